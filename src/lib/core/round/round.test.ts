/** The round's parts: water balance, care rhythms and their marks, triggers of the weather. */
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { describe, expect, it } from 'vitest';
import { dayInYear, dayNumber } from '../dates.js';
import { careRuleSchema } from '../handbook/schema.js';
import type { CareRule, Kind, WayProfile } from '../handbook/schema.js';
import { emptyBatch } from '../../../testing/batches.js';
import { book, kind as kindOf } from '../../../testing/handbook.js';
import { climateOfRecord, madeRecord } from '../season/index.js';
import type { Forecast } from '../season/index.js';
import { north } from '../../../testing/climates.js';
import { asksFrom } from './marks.js';
import { atOnePlace, careOf } from './care.js';
import type { CareSetting } from './care.js';
import { skyOf } from './sky.js';
import type { SkyOf } from './sky.js';
import { bringIn, closestDay, coverTonight, dampDays, hardenOff, heatAhead, rainTomorrow, soilFit } from './triggers.js';
import type { Outdoors } from './triggers.js';
import { bucketOf, dryOn, litresFor } from './watering.js';
import type { PotOfWater } from './watering.js';

const TODAY = dayNumber('2026-09-05');
const record = madeRecord(north, TODAY);
const recordClimate = climateOfRecord(record, north)!;
const members = (days: { low: number; high: number; rain: number }[], spread = 0.5): Forecast => ({
	from: TODAY,
	members: Array.from({ length: 20 }, (_, k) => days.map((d) => ({ ...d, low: d.low + spread * (k / 10 - 1), high: d.high })))
});
const week = (d: { low: number; high: number; rain: number }, n = 10) => Array.from({ length: n }, () => ({ ...d }));
const calm = skyOf(record, recordClimate, [], members(week({ low: 9, high: 20, rain: 0 })), TODAY);
const say = (c: number) => `${c} °C`;

const pot: PotOfWater = { litres: 0.42, area: 81, indoors: false, covered: false, unrooted: false, resting: false };

describe('the water of a pot', () => {
	it('a 9 cm pot on a summer bench wants water within days, in a room within a fortnight (common practice, no source)', () => {
		const july = dayInYear(2026, 196);
		const summer = skyOf(record, recordClimate, [], null, july);
		expect(dryOn(pot, july, summer)! - july).toBeLessThanOrEqual(5);
		expect(dryOn({ ...pot, indoors: true }, july, summer)! - july).toBeGreaterThan(3);
		expect(dryOn({ ...pot, indoors: true }, july, summer)! - july).toBeLessThanOrEqual(14);
	});
	it('covered leaf cuttings want none for a month (common practice, no source)', () => {
		const july = dayInYear(2026, 196);
		const summer = skyOf(record, recordClimate, [], null, july);
		const tray = { ...pot, litres: 4.5, area: 850, covered: true, unrooted: true, indoors: true };
		const dry = dryOn(tray, july, summer);
		expect(dry === null || dry - july >= 30).toBe(true);
	});
	it('rests in winter, is filled by rain, and has no water to lose in a jar', () => {
		expect(dryOn({ ...pot, indoors: true, resting: true }, TODAY, calm)!).toBeGreaterThan(
			dryOn({ ...pot, indoors: true }, TODAY, calm)!
		);
		const wet = skyOf(record, recordClimate, [], members(week({ low: 9, high: 15, rain: 6 })), TODAY);
		expect(dryOn(pot, TODAY, wet)! - TODAY).toBeGreaterThan(dryOn(pot, TODAY, calm)! - TODAY);
		expect(dryOn({ ...pot, litres: 0 }, TODAY, calm)).toBeNull();
	});
	it('dries later the larger the pot, and water to bring grows with the pots', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.2, max: 8, noNaN: true }), fc.integer({ min: 1, max: 40 }), (litres, n) => {
				const big = { ...pot, litres: litres * 1.5 };
				const small = { ...pot, litres };
				expect(bucketOf(big)).toBeGreaterThan(bucketOf(small));
				const [a, b] = [dryOn(small, TODAY, calm), dryOn(big, TODAY, calm)];
				expect(b === null || (a !== null && b >= a)).toBe(true);
				expect(litresFor(small, n + 1)).toBeGreaterThanOrEqual(litresFor(small, n));
			}),
			{ numRuns: 40 }
		);
	});
});

describe('marks', () => {
	const mark = (m: Partial<Record<'done' | 'skipped' | 'until', number>>) => ({ done: null, skipped: null, until: null, ...m });
	it('skipped work is asked for again after its days, put-off work on its day', () => {
		expect(asksFrom('look', 100, undefined)).toBe(100);
		expect(asksFrom('look', 100, mark({ skipped: 100 }))).toBe(110);
		expect(asksFrom('look', 100, mark({ until: 105 }))).toBe(105);
		expect(asksFrom('turn', 100, mark({ skipped: 99 }), 7)).toBe(106);
	});
});

const water = {
	way: 'water',
	piece: { say: '', src: '' },
	cover: 'none',
	stages: [
		{ to: 'rooted', holds: 'jar' },
		{ to: 'potted', holds: 'pot-9' }
	]
} as unknown as WayProfile;
const soft = {
	way: 'soft-tip',
	piece: { say: '', src: '' },
	cover: 'dome',
	stages: [
		{ to: 'rooted', holds: 'pot-9' },
		{ to: 'potted', holds: 'pot-9' }
	]
} as unknown as WayProfile;
const rule = (r: Partial<CareRule> & { id: string }): CareRule =>
	careRuleSchema.parse({
		say: 'Do',
		thing: ['jar', 'jars'],
		while: ['unrooted'],
		every: 3,
		minutes: 1,
		why: 'why',
		neighbour: '',
		src: 'practice',
		...r
	});
const setting = (over: Partial<CareSetting>): CareSetting => ({
	batch: emptyBatch({ id: 'b1', struckOn: '2026-09-01', struck: 12, unrooted: 12, placeId: 'p1' }),
	kind: {} as Kind,
	way: water,
	placeKind: 'sill',
	book,
	climate: north,
	sky: calm,
	marks: () => undefined,
	...over
});

describe('care', () => {
	const change = rule({ id: 'change-water', holds: ['jar'] });
	it('water is changed every third day from the strike, or from the last change', () => {
		const [due] = careOf(setting({}), [change], TODAY, TODAY + 6);
		expect(due).toMatchObject({ care: 'change-water', due: dayNumber('2026-09-04'), containers: 2, minutes: 2 });
		const done = () => ({ done: TODAY, skipped: null, until: null });
		expect(careOf(setting({ marks: done }), [change], TODAY, TODAY + 6)[0]!.due).toBe(TODAY + 3);
	});
	it('stock standing in water is renewed after some six weeks; what stands in pots is not (common practice, no source)', () => {
		const renew = (parse(readFileSync('handbook/care.yaml', 'utf8')) as unknown[])
			.map((r) => careRuleSchema.parse(r))
			.find((r) => r.id === 'renew')!;
		const batch = { ...emptyBatch({ id: 'b', struckOn: '2026-09-01', struck: 6, rooted: 6, unrooted: 0, placeId: 'p1' }) };
		const on = (iso: string, way = water) =>
			careOf(setting({ batch, way }), [renew], dayNumber(iso), dayNumber(iso) + 6).map((d) => d.care);
		expect(on('2026-09-10')).toEqual([]);
		expect(on('2027-01-10')).toEqual(['renew']);
		expect(on('2027-01-10', soft)).not.toContain('renew');
	});
	it('asks only of what it is for: container, state, cover, place, season', () => {
		const ids = (s: CareSetting, rules: CareRule[]) => careOf(s, rules, TODAY, TODAY + 20).map((d) => d.care);
		expect(ids(setting({ way: soft }), [change])).not.toContain('change-water');
		const vent = rule({ id: 'vent', cover: 'lid' });
		expect(ids(setting({ way: soft }), [vent])).toContain('vent');
		expect(ids(setting({}), [vent])).not.toContain('vent');
		const bare = {
			...emptyBatch({ id: 'b', struckOn: '2026-09-01', struck: 2, unrooted: 2 }),
			treatment: { medium: '', hormone: '', wound: false, cover: 'none, no dome' }
		};
		expect(ids(setting({ way: soft, batch: bare }), [vent])).not.toContain('vent');
		const turn = rule({ id: 'turn', places: ['sill'] });
		expect(ids(setting({}), [turn])).toContain('turn');
		expect(ids(setting({ placeKind: 'frame' }), [turn])).not.toContain('turn');
		const feed = rule({ id: 'feed', season: 'growth' });
		const winter = dayNumber('2027-01-10');
		expect(
			careOf(setting({ sky: skyOf(record, recordClimate, [], null, winter) }), [feed], winter, winter + 20).map((d) => d.care)
		).not.toContain('feed');
	});
	it('what is done once is not asked for again, and an empty or ended batch asks for nothing', () => {
		const pinch = rule({ id: 'pinch', once: true });
		const done = (work: string) => (work === 'pinch' ? { done: TODAY - 1, skipped: null, until: null } : undefined);
		expect(careOf(setting({ marks: done }), [pinch], TODAY, TODAY + 30)).toEqual([]);
		const ended = { ...emptyBatch({ id: 'b', struckOn: '2026-09-01', struck: 2, unrooted: 0 }), lost: 2 };
		expect(careOf(setting({ batch: ended }), [change], TODAY, TODAY + 30)).toEqual([]);
	});
	it('nothing is watered in frozen pots outdoors; when it thaws they are asked for (common practice, no source)', () => {
		const potted = { ...emptyBatch({ id: 'b', struckOn: '2026-09-01', struck: 6, potted: 6, placeId: 'p1' }) };
		const sky = (mean: (day: number) => number): SkyOf => ({
			...calm,
			today: dayNumber('2027-01-20'),
			on: (day) => ({ low: mean(day) - 3, high: mean(day) + 3, rain: 0, from: 'observed' }),
			et0: () => 2
		});
		const waters = (mean: (day: number) => number, placeKind = 'bench') => {
			const day = dayNumber('2027-01-20');
			return careOf(setting({ batch: potted, way: soft, placeKind, sky: sky(mean) }), [], day, day + 6).filter(
				(d) => d.care === 'water'
			);
		};
		expect(waters(() => 6)).toHaveLength(1);
		expect(waters(() => -5)).toEqual([]);
		// Indoors the frost outside is nothing to them.
		expect(waters(() => -5, 'sill')).toHaveLength(1);
		const thaw = dayNumber('2027-01-22');
		expect(waters((day) => (day < thaw ? -5 : 9))[0]!.due).toBeGreaterThanOrEqual(thaw);
	});
	it('covered leaf pieces want no water for a month, and trays are wetted from below (common practice, no source)', () => {
		const way = kindOf('streptocarpus').ways.find((w) => w.way === 'leaf')!;
		const batch = emptyBatch({ id: 'b', struckOn: '2026-09-01', struck: 12, unrooted: 12, placeId: 'p1' });
		const due = careOf(
			setting({ batch: { ...batch, treatment: { ...batch.treatment, cover: 'dome' } }, way }),
			[],
			TODAY,
			TODAY + 90
		);
		const water = due.find((d) => d.care === 'water');
		if (water) expect(water.due).toBeGreaterThanOrEqual(dayNumber('2026-10-01'));
		const open = careOf(
			setting({ batch: { ...batch, treatment: { ...batch.treatment, cover: 'none' } }, way }),
			[],
			TODAY,
			TODAY + 30
		);
		expect(open.find((d) => d.care === 'water')!.why).toContain('From below');
	});
	it('twelve jars on a sill are one task', () => {
		const dues = Array.from({ length: 12 }, (_, i) =>
			careOf(setting({ batch: { ...setting({}).batch, id: `b${i}` } }), [change], TODAY, TODAY + 6)
		).flat();
		const elsewhere = careOf(setting({ batch: { ...setting({}).batch, id: 'x', placeId: 'p2' } }), [change], TODAY, TODAY + 6);
		const tasks = atOnePlace([...dues, ...elsewhere], TODAY);
		expect(tasks).toHaveLength(2);
		expect(tasks[0]).toMatchObject({ placeId: 'p1', containers: 24 });
		expect(tasks[0]!.batchIds).toHaveLength(12);
	});
});

const out = (over: Partial<Outdoors> = {}): Outdoors => ({
	id: 's1',
	what: 'stock',
	placeId: 'terrace',
	count: 9,
	vessels: over.count ?? 9,
	tray: false,
	limitC: 7,
	hardyC: 4,
	movable: true,
	name: 'Coleus',
	...over
});

describe('triggers', () => {
	it('nights under the limit in the forecast call the pots in, with odds, minutes and both costs', () => {
		const coldWeek = members([...week({ low: 12, high: 20, rain: 0 }, 3), ...week({ low: 5, high: 15, rain: 0 }, 7)]);
		const sky = skyOf(record, recordClimate, [], coldWeek, TODAY);
		const [t] = bringIn([out(), out({ id: 's2', count: 3 })], TODAY, TODAY + 60, sky, null, say);
		expect(t).toMatchObject({ kind: 'shelter', count: 12, placeId: 'terrace', targets: ['s1', 's2'] });
		expect(t!.by).toBeGreaterThanOrEqual(TODAY);
		expect(t!.by).toBeLessThanOrEqual(TODAY + 3);
		expect(t!.chance).toBeGreaterThan(0.9);
		expect(t!.minutes).toBe(9);
		expect(t!.ifMissed && t!.ifNeedless).toBeTruthy();
	});
	it('without a forecast the usual year tells the day, the earlier the more tender', () => {
		const usual = skyOf(record, recordClimate, [], null, TODAY);
		const by = (limitC: number) => bringIn([out({ limitC })], TODAY, TODAY + 120, usual, null, say)[0]!.by;
		expect(by(10)).toBeLessThanOrEqual(by(5));
		expect(by(5)).toBeLessThan(by(0));
		expect(bringIn([out({ limitC: -40 })], TODAY, TODAY + 120, usual, null, say)).toEqual([]);
		expect(bringIn([out({ movable: false })], TODAY, TODAY + 120, usual, null, say)).toEqual([]);
	});
	it('inside and outside are closest in autumn, the earlier the warmer the room', () => {
		const warm = closestDay(recordClimate.normals, recordClimate.middle, 15)!;
		const cool = closestDay(recordClimate.normals, recordClimate.middle, 8)!;
		expect(warm).toBeGreaterThan(220);
		expect(cool).toBeGreaterThan(warm);
		expect(closestDay(recordClimate.normals, recordClimate.middle, -60)).toBeNull();
	});
	it('a frost tonight asks for a cover, and not without a forecast', () => {
		const frost = skyOf(record, recordClimate, [], members(week({ low: -2, high: 9, rain: 0 })), TODAY);
		const [t] = coverTonight([out({ movable: false, limitC: 0 })], TODAY, frost, say);
		expect(t).toMatchObject({ kind: 'cover', from: TODAY, by: TODAY });
		expect(t!.chance).toBeGreaterThan(0.9);
		expect(coverTonight([out({ limitC: -20 })], TODAY, frost, say)).toEqual([]);
		expect(coverTonight([out()], TODAY, skyOf(record, recordClimate, [], null, TODAY), say)).toEqual([]);
	});
	it('hardening goes by steps and pauses on a cold night', () => {
		const t = { ...out({ limitC: 2 }), plantOn: TODAY + 8 };
		expect(hardenOff([t], TODAY, TODAY + 6, calm, say)[0]!.say).toContain('day 5 of 12');
		const cold = skyOf(record, recordClimate, [], members(week({ low: 1, high: 9, rain: 0 })), TODAY);
		expect(hardenOff([t], TODAY, TODAY + 6, cold, say)[0]!.say).toContain('Pause');
		expect(hardenOff([{ ...t, plantOn: TODAY + 60 }], TODAY, TODAY + 6, calm, say)).toEqual([]);
	});
	it('heat touches what has no roots; dull damp days and rain are found', () => {
		const hot = skyOf(record, recordClimate, [], members(week({ low: 19, high: 34, rain: 0 })), TODAY);
		expect(heatAhead([out()], TODAY, hot, say)).toHaveLength(1);
		expect(heatAhead([], TODAY, hot, say)).toEqual([]);
		expect(heatAhead([out()], TODAY, calm, say)).toEqual([]);
		const dull = skyOf(record, recordClimate, [], members(week({ low: 8, high: 14, rain: 3 })), TODAY);
		expect(dampDays(TODAY, dull)).toHaveLength(7);
		expect(dampDays(TODAY, hot)).toEqual([]);
		expect(rainTomorrow(TODAY, dull)).toBe(1);
		expect(rainTomorrow(TODAY, hot)).toBe(0);
		expect(rainTomorrow(TODAY, skyOf(record, recordClimate, [], null, TODAY))).toBeNull();
	});
	it('soil is fit when thawed and drained', () => {
		const days = (low: number, rain: number) =>
			skyOf(
				record,
				recordClimate,
				Array.from({ length: 12 }, (_, n) => ({ day: TODAY - 1 - n, low, high: low + 8, rain })),
				null,
				TODAY
			);
		expect(soilFit(TODAY, days(8, 0)).fit).toBe(true);
		expect(soilFit(TODAY, days(8, 15)).fit).toBe(false);
		expect(soilFit(TODAY, days(-12, 0)).say).toContain('frozen');
	});
});

describe('the sky', () => {
	it('prefers what was seen, then what is told, then what is usual', () => {
		const sky: SkyOf = skyOf(
			record,
			recordClimate,
			[{ day: TODAY - 1, low: 3, high: 12, rain: 1 }],
			members(week({ low: 6, high: 18, rain: 0 }), 0),
			TODAY
		);
		expect(sky.on(TODAY - 1)).toMatchObject({ low: 3, from: 'observed' });
		expect(sky.on(TODAY + 1)).toMatchObject({ low: 6, from: 'forecast' });
		expect(sky.on(TODAY + 40).from).toBe('usual');
		expect(sky.lastTold).toBe(TODAY + 9);
		expect(sky.et0(TODAY)).toBeGreaterThan(0.5);
	});
});
