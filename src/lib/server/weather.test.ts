/** Weather in and out of the house: records, the station well and ill, thermometers, doors, the round that follows. */
import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import ICAL from 'ical.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { loadDemo, DEMO_GARDEN } from '../../../demo/load.js';
import { freePort } from '../../../bin/lib.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { vegaCity } from '../../testing/vegaWeather.js';
import { awayPlan } from './away.js';
import { awaySpan } from './awaySpan.js';
import { gardenCalendar } from './calendar.js';
import { gardenById, kindsOf } from './context.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { createGarden, rebuild, record, undo } from './ledger.js';
import { readingsSchema, takeReadings } from './readings.js';
import { careId, roundOf } from './round.js';
import { seasonOf } from './season.js';
import { refreshStation } from './station.js';
import * as state from './store/state.js';
import * as weather from './store/weather.js';
import { gardenOfToken, makeToken, MOST_TOKENS, revokeToken, tokens } from './tokens.js';
import { importRecord, importSchema } from './weather.js';
import type { ImportBody } from './weather.js';
import { stripWeather } from './strip.js';
import { weatherView } from './weatherView.js';
import { windowView } from './windows.js';
import { yearView } from './yearView.js';
import { addDays, dayNumber, isoOf } from '$lib/core/dates.js';
import { daysOf } from '$lib/core/season/record.js';
import { awaySheetPdf } from '$lib/formats/awaySheet.js';

const TODAY = '2026-09-05';
let station: ChildProcess;
let address = '';
const garden = async (): Promise<Garden> => (await gardenById(DEMO_GARDEN))!;
const scenario = async (body: unknown) => {
	const answer = await fetch(`${address}/scenario`, { method: 'PUT', body: JSON.stringify(body) });
	expect(answer.status).toBe(200);
};

beforeAll(async () => {
	process.env.SURCULUS_TODAY = TODAY;
	await closeDatabase();
	await freshDatabase('weather');
	await loadDemo();
	const port = await freePort();
	address = `http://127.0.0.1:${port}`;
	station = spawn(process.execPath, ['--import', 'tsx', join(process.cwd(), 'stand-ins/weather-station/server.ts')], {
		env: { ...process.env, PORT: String(port) },
		stdio: 'ignore'
	});
	for (let i = 0; i < 150; i++) {
		if (
			await fetch(`${address}/healthz`).then(
				(a) => a.ok,
				() => false
			)
		)
			break;
		await new Promise((r) => setTimeout(r, 100));
	}
	process.env.SURCULUS_STAND_INS = `weather-station=${address}`;
});
afterAll(async () => {
	station.kill();
	delete process.env.SURCULUS_TODAY;
	delete process.env.SURCULUS_STAND_INS;
	await closeDatabase();
});

const seattle = (from = 0, to = 1461): ImportBody => {
	const days = vegaCity('Seattle').slice(from, to);
	const tenths = (of: (d: (typeof days)[number]) => number) => days.map((d) => Math.round(of(d) * 10));
	return {
		id: uuidv7(),
		name: 'Seattle',
		format: 'csv',
		first: days[0]!.date,
		low: tenths((d) => d.low),
		high: tenths((d) => d.high),
		rain: tenths((d) => d.rain)
	};
};

describe('a record taken in', () => {
	it('changes the climate that all is reckoned by, and undone gives it back', async () => {
		const before = await garden();
		expect(before.base.made).toBe(false);
		const body = seattle();
		const writer = { gardenId: before.id, actor: 'test', today: TODAY };
		// The demo's own record is taken out first, so that Seattle stands alone.
		const demo = (await weather.imports(database(), before.id))[0]!;
		expect((await undo(writer, demo.id, uuidv7())).ok).toBe(true);
		expect((await garden()).base.made).toBe(true);
		expect((await importRecord(before, 'test', body)).ok).toBe(true);
		const after = await garden();
		expect(after.base.made).toBe(false);
		expect(after.base.rc.years).toEqual([2012, 2013, 2014, 2015]);
		expect(after.climate.coldestC).toBeGreaterThan(-9);
		expect(daysOf(after.base.record)).toHaveLength(1461);
		// The kinds' windows moved with it: a maritime spring begins earlier than a mountain one.
		const opens = async (g: Garden) => (await kindsOf(g)).get('box')!.ways[0]!.window.opens.at!.doy;
		expect(await opens(after)).not.toBe(await opens(before));
		// Sent again it is the same record, and it can be undone like any entry.
		expect((await importRecord(before, 'test', body)).ok).toBe(true);
		expect(await weather.imports(database(), before.id)).toHaveLength(1);
		const kept = await rebuild(before.id);
		expect(kept.entries).toBeGreaterThan(100);
		expect((await weather.imports(database(), before.id)).map((i) => i.id)).toEqual([body.id]);
		expect((await undo(writer, body.id, uuidv7())).ok).toBe(true);
		expect((await garden()).base.made).toBe(true);
		// And the demo's stands again when its own undoing is undone.
		const { rows } = await database().query<{ id: string }>(`SELECT id FROM entry WHERE reverses = $1`, [demo.id]);
		expect((await undo(writer, rows[0]!.id, uuidv7())).ok).toBe(true);
		expect((await garden()).base.key).toBe(before.base.key);
	});

	it('of one week makes no climate, and the days count as observed', async () => {
		const g = await garden();
		const first = addDays(TODAY, -8);
		const week = {
			id: uuidv7(),
			name: 'notebook',
			format: 'csv' as const,
			first,
			low: [51, 52, 53, 54, 55, 56, 57],
			high: [151, 152, 153, 154, 155, 156, 157],
			rain: [0, 0, 10, 0, 0, 0, null]
		};
		expect((await importRecord(g, 'test', week)).ok).toBe(true);
		const after = await garden();
		expect(after.base.rc.years).toEqual(g.base.rc.years);
		expect(after.base.recent.find((d) => d.day === dayNumber(first))).toMatchObject({ low: 5.1, high: 15.1 });
		expect((await seasonOf(after)).sky.on(dayNumber(first))).toMatchObject({ low: 5.1, from: 'observed' });
		await undo({ gardenId: g.id, actor: 'test', today: TODAY }, week.id, uuidv7());
	});

	it('is refused whole when a day cannot be, comes from the future or holds nothing', async () => {
		const g = await garden();
		const code = async (change: Partial<ImportBody>) => {
			const result = await importRecord(g, 'test', { ...seattle(0, 10), ...change });
			return result.ok ? 'ok' : result.problem.code;
		};
		expect(await code({ low: [9000, ...Array.from({ length: 9 }, () => 1)] })).toBe('weather.low');
		expect(await code({ low: Array.from({ length: 10 }, () => 400) })).toBe('weather.order');
		expect(await code({ first: '2026-09-01' })).toBe('weather.future');
		const nothing = Array.from({ length: 10 }, () => null);
		expect(await code({ low: nothing, high: nothing, rain: nothing })).toBe('weather.empty');
		expect(importSchema.safeParse({ ...seattle(0, 10), high: [1] }).success).toBe(false);
		const { rows } = await database().query('SELECT 1 FROM weather_import WHERE garden_id = $1 AND name = $2 AND NOT standing', [
			g.id,
			'Seattle'
		]);
		expect(rows.length).toBeLessThanOrEqual(1);
	});
});

describe('the weather station', () => {
	beforeEach(() => scenario({ mode: 'ok', spells: [] }));
	const told = async () => (await weather.stationState(database(), DEMO_GARDEN))!;

	it('tells past days, today by the hour and twenty members of ten days', async () => {
		const g = await garden();
		await weather.takeTurn(database(), g.id, 0);
		await refreshStation(g);
		const s = await told();
		expect(s.trouble).toBeNull();
		expect(s.issued_on).toBe(TODAY);
		expect(s.forecast).toHaveLength(20);
		expect(s.forecast!.every((m) => m.length === 10)).toBe(true);
		expect(s.hours!.hours).toHaveLength(24);
		expect((await weather.stationDays(database(), g.id, addDays(TODAY, -400))).length).toBe(400);
		const spread = (n: number) => {
			const lows = s.forecast!.map((m) => m[n]!.low);
			return Math.max(...lows) - Math.min(...lows);
		};
		expect(spread(9)).toBeGreaterThan(spread(1));
	});

	it('a cold snap put upon it calls the tender pots in and asks for covers', async () => {
		const before = await roundOf(await garden(), dayNumber(TODAY));
		await scenario({ spells: [{ from: addDays(TODAY, 1), to: addDays(TODAY, 4), degrees: -14 }] });
		await refreshStation(await garden());
		const after = await roundOf(await garden(), dayNumber(TODAY));
		const bring = (r: typeof after) => r.stops.flatMap((s) => s.tasks).filter((t) => t.work === 'shelter');
		const soon = bring(after);
		expect(soon.length).toBeGreaterThan(0);
		expect(Math.max(...soon.map((t) => t.chance!))).toBeGreaterThan(0.9);
		expect(Math.min(...soon.map((t) => t.by))).toBeLessThanOrEqual(dayNumber(TODAY) + 2);
		expect(Math.max(0, ...bring(before).map((t) => t.chance!))).toBeLessThan(Math.max(...soon.map((t) => t.chance!)));
		const calendar = await gardenCalendar(await garden(), 'http://127.0.0.1');
		const events = new ICAL.Component(ICAL.parse(calendar) as never[]).getAllSubcomponents('vevent');
		expect(events.length).toBeGreaterThan(5);
		expect(events.some((e) => e.getAllSubcomponents('valarm').length === 1)).toBe(true);
	});

	const ills: [string, RegExp][] = [
		['down', /503/],
		['nonsense', /no sense/],
		['huge', /longer than 2 MB/],
		['wrong-day', /not for today/],
		['hang', /does not answer/]
	];
	for (const [mode, sentence] of ills)
		it(`${mode}: what was known stays, the trouble is told, the round works on`, { timeout: 15_000 }, async () => {
			await refreshStation(await garden());
			const before = await told();
			await scenario({ mode });
			await refreshStation(await garden());
			const after = await told();
			expect(after.trouble).toMatch(sentence);
			expect(after.forecast).toEqual(before.forecast);
			expect(after.ok_at).toEqual(before.ok_at);
			const view = await weatherView(await garden(), dayNumber(TODAY), null);
			expect(view.station.trouble).toMatch(sentence);
			expect(view.nights).toHaveLength(10);
		});

	it('gone altogether, it is said so', async () => {
		process.env.SURCULUS_STAND_INS = 'weather-station=http://127.0.0.1:1';
		await refreshStation(await garden());
		expect((await told()).trouble).toMatch(/cannot be reached/);
		process.env.SURCULUS_STAND_INS = `weather-station=${address}`;
	});
});

describe('gardens at the edges of the earth', () => {
	const places: [string, number, { last: number; first: number } | null, number][] = [
		['the north pole', 90, { last: 190, first: 215 }, -45],
		['the Arctic circle', 66.6, { last: 160, first: 250 }, -35],
		['the equator', 0, null, 16],
		['the wet and dry tropics', 14, null, 12],
		['the southern circle', -66.6, { last: 355, first: 35 }, -30],
		['a mild southern coast', -41, { last: 250, first: 160 }, -2]
	];
	for (const [name, latitude, frost, coldest] of places)
		it(`${name}: every screen's figures are figures`, async () => {
			process.env.SURCULUS_STAND_INS = '';
			const id = uuidv7();
			const made = await createGarden(id, name, 'test', TODAY, [
				{
					id,
					kind: 'garden.set',
					subjectId: id,
					on: TODAY,
					data: {
						name,
						place: '',
						latitude,
						longitude: 10,
						height_m: 10,
						time_zone: 'UTC',
						units: 'metric',
						temperature: 'C',
						currency: 'EUR',
						coldest_c: coldest,
						last_frost: frost && { doy: frost.last, sd: 10 },
						first_frost: frost && { doy: frost.first, sd: 10 },
						minutes_per_week: 60,
						away: [],
						guessed: []
					}
				}
			]);
			expect(made.ok ? '' : made.problem.sentence).toBe('');
			const g = (await gardenById(id))!;
			expect(g.base.made).toBe(true);
			for (const ahead of [0, 100, 200, 300]) {
				const day = dayNumber(TODAY) + ahead;
				expect((await roundOf(g, day)).stops).toEqual([]);
				const view = await weatherView(g, day, 5);
				expect(view.nights.every((n) => n.freeze >= 0 && n.freeze <= 1 && Number.isFinite(n.et0))).toBe(true);
				expect(view.warmth.every((w) => Number.isFinite(w.here) && Number.isFinite(w.usual))).toBe(true);
				expect(view.frost).toHaveLength(4);
			}
			const season = await seasonOf(g);
			const strip = await stripWeather(g);
			expect(strip.usual.every((w) => Number.isFinite(w.low) && w.low <= w.high)).toBe(true);
			for (const kind of (await kindsOf(g)).values())
				for (const w of kind.ways) {
					const view = windowView(season, w.window, kind, dayNumber(TODAY));
					expect(view.values.every((v) => v >= 0 && v <= 1)).toBe(true);
				}
			const year = await yearView(g, dayNumber(TODAY));
			expect(year.points.every((p) => p.frost >= 0 && p.frost <= 1 && p.light >= 0 && p.light <= 24)).toBe(true);
			process.env.SURCULUS_STAND_INS = `weather-station=${address}`;
		});
});

describe('thermometers', () => {
	const NOW = Date.parse('2026-09-05T10:00:00Z');
	const send = (readings: unknown[], now = NOW) => {
		const body = readingsSchema.safeParse({ readings });
		return body.success ? takeReadings(DEMO_GARDEN, body.data, now) : Promise.resolve(null);
	};
	const days = async () =>
		(
			await database().query<{ day: string; low: number; high: number; last_c: number; readings: number }>(
				'SELECT day, low, high, last_c, readings FROM reading_day WHERE garden_id = $1 ORDER BY day',
				[DEMO_GARDEN]
			)
		).rows;

	it('keep lowest, highest and now of each day, in whatever order they come', async () => {
		await send([
			{ place: 'Kitchen sill', at: '2026-09-05T06:00:00+02:00', now_c: 17.5 },
			{ place: 'kitchen sill', at: '2026-09-05T11:00:00+02:00', now_c: 21 },
			{ place: 'Kitchen sill', at: '2026-09-05T03:00:00+02:00', now_c: 16, low_c: 15.2 }
		]);
		expect(await days()).toMatchObject([{ day: '2026-09-05', last_c: 21, readings: 3 }]);
		expect((await days())[0]!.low).toBeCloseTo(15.2, 4);
	});

	it('a day is the garden’s own: across midnight and the change of clocks', async () => {
		// In Warsaw clocks go back on 25 October 2026: the day has 25 hours, and all of them are that day's.
		const now = Date.parse('2026-10-26T12:00:00Z');
		await send(
			[
				'2026-10-24T21:59:00Z',
				'2026-10-24T22:01:00Z',
				'2026-10-25T00:30:00Z',
				'2026-10-25T22:59:00Z',
				'2026-10-25T23:01:00Z'
			].map((at) => ({ place: 'Garage', at, now_c: 8 })),
			now
		);
		const counted = Object.fromEntries((await days()).map((d) => [d.day, d.readings]));
		expect(counted).toMatchObject({ '2026-10-24': 1, '2026-10-25': 3, '2026-10-26': 1 });
	});

	it('refuse what cannot be: 900 °C, an unknown place, the future, last year, lowest above highest', async () => {
		const before = await days();
		expect(await send([{ place: 'Garage', now_c: 900 }])).toBeNull();
		expect(await send([{ place: 'Garage', now_c: 5, low_c: 9, high_c: 3 }])).toBeNull();
		expect(await send([])).toBeNull();
		for (const [reading, code] of [
			[{ place: 'Attic', now_c: 5 }, 'place.unknown'],
			[{ place: 'Garage', now_c: 5, at: '2026-09-06T10:00:00Z' }, 'reading.future'],
			[{ place: 'Garage', now_c: 5, at: '2024-09-06T10:00:00Z' }, 'reading.old']
		] as const) {
			// A good one beside a bad one is not taken either.
			const result = await send([{ place: 'Garage', now_c: 5 }, reading]);
			expect(result && !result.ok ? result.problem.code : '').toBe(code);
		}
		expect(await days()).toEqual(before);
	});

	it('ten thousand readings of an hour are one row a place', async () => {
		for (let call = 0; call < 10; call++) {
			const result = await send(
				Array.from({ length: 1000 }, (_, i) => ({
					place: 'Cold frame',
					at: new Date(NOW - (call * 1000 + i) * 360).toISOString(),
					now_c: 10 + ((call * 1000 + i) % 50) / 10
				}))
			);
			expect(result?.ok).toBe(true);
		}
		const { rows } = await database().query<{ n: number; readings: number }>(
			`SELECT count(*) AS n, sum(readings) AS readings FROM reading_day r JOIN place p ON p.garden_id = r.garden_id AND p.id = r.place_id WHERE p.name = 'Cold frame'`
		);
		expect(rows[0]).toMatchObject({ n: 1, readings: 10_000 });
	});
});

describe('doors', () => {
	it('open one garden for one purpose, until shut; a garden has so many and no more', async () => {
		const token = (await makeToken(DEMO_GARDEN, 'calendar', 'phone'))!;
		expect(await gardenOfToken(token, 'calendar')).toBe(DEMO_GARDEN);
		expect(await gardenOfToken(token, 'readings')).toBeNull();
		expect(await gardenOfToken(token.slice(1) + 'A', 'calendar')).toBeNull();
		expect(await gardenOfToken('', 'calendar')).toBeNull();
		const { rows } = await database().query<{ n: number }>(
			`SELECT count(*) AS n FROM garden_token WHERE encode(token_hash, 'escape') LIKE '%' || $1 || '%'`,
			[token]
		);
		expect(rows[0]!.n).toBe(0);
		const [door] = await tokens(DEMO_GARDEN);
		expect(door!.used_at).not.toBeNull();
		await revokeToken(DEMO_GARDEN, door!.id);
		expect(await gardenOfToken(token, 'calendar')).toBeNull();
		for (let i = 0; i < MOST_TOKENS; i++) expect(await makeToken(DEMO_GARDEN, 'readings', String(i))).not.toBeNull();
		expect(await makeToken(DEMO_GARDEN, 'readings', 'one more')).toBeNull();
	});
});

describe('the round follows what is logged', () => {
	const writer = { gardenId: DEMO_GARDEN, actor: 'test', today: TODAY };
	const find = async (work: string, from: 'stops' | 'any' = 'any') => {
		const round = await roundOf(await garden(), dayNumber(TODAY));
		const all = [...round.stops.flatMap((s) => s.tasks), ...(from === 'any' ? round.week : [])];
		return all.find((t) => t.work === work);
	};
	const log = (
		kind: 'care.done' | 'care.skipped' | 'care.put-off',
		t: { work: string; placeId: string | null; targets: string[] },
		more = {}
	) =>
		record(writer, [
			{
				id: uuidv7(),
				kind,
				subjectId: careId(DEMO_GARDEN, t.work, t.placeId),
				on: TODAY,
				data: { care: t.work, place_id: t.placeId, targets: t.targets, ...more }
			}
		]);

	it('done is not asked again until its rhythm comes round; undone it is', async () => {
		const vent = (await find('vent'))!;
		expect(vent).toBeTruthy();
		const done = await log('care.done', vent);
		const after = (await roundOf(await garden(), dayNumber(TODAY))).stops.flatMap((s) => s.tasks).find((t) => t.key === vent.key);
		expect(after).toBeUndefined();
		expect((await undo(writer, done.ok ? done.value.ids[0]! : '', uuidv7())).ok).toBe(true);
		expect((await find('vent'))!.key).toBe(vent.key);
	});

	it('put off comes on its day, skipped after its days; a day gone by is refused', async () => {
		const pot = (await find('pot', 'stops'))!;
		await log('care.put-off', pot, { until: addDays(TODAY, 4) });
		const week = (await roundOf(await garden(), dayNumber(TODAY))).week.find(
			(t) => t.work === 'pot' && t.targets[0] === pot.targets[0]
		);
		expect(isoOf(week!.from)).toBe(addDays(TODAY, 4));
		const late = await log('care.put-off', pot, { until: addDays(TODAY, -1) });
		expect(late.ok ? '' : late.problem.code).toBe('care.until');
		await log('care.skipped', pot, { why: 'no pots left' });
		const round = await roundOf(await garden(), dayNumber(TODAY));
		expect(
			[...round.stops.flatMap((s) => s.tasks), ...round.week].some((t) => t.work === 'pot' && t.targets[0] === pot.targets[0])
		).toBe(false);
	});

	it('is the same after the state is derived afresh', async () => {
		const before = await roundOf(await garden(), dayNumber(TODAY));
		await rebuild(DEMO_GARDEN);
		const after = await roundOf(await garden(), dayNumber(TODAY));
		expect(after.stops.map((s) => s.tasks.map((t) => t.key))).toEqual(before.stops.map((s) => s.tasks.map((t) => t.key)));
	});

	it('what a person saw moves the windows at once', async () => {
		const box = (await kindsOf(await garden())).get('sage')!;
		const opens = async () => {
			const season = await seasonOf(await garden());
			return season.windows(box.ways[0]!.window, box).likely.find((l) => isoOf(l.opens.p50).startsWith('2026'))!.opens;
		};
		const before = await opens();
		const id = uuidv7();
		const on = '2026-06-20';
		expect(
			(await record(writer, [{ id, kind: 'sighting.made', subjectId: id, on, data: { kind_id: 'sage', event: 'semi-ripe' } }])).ok
		).toBe(true);
		const after = await opens();
		expect(isoOf(after.p50)).toBe(on);
		expect(after.p50).not.toBe(before.p50);
		const ahead = await record(writer, [
			{
				id: uuidv7(),
				kind: 'sighting.made',
				subjectId: uuidv7(),
				on: addDays(TODAY, 3),
				data: { kind_id: 'sage', event: 'bloom' }
			}
		]);
		expect(ahead.ok).toBe(false);
	});

	it('days away: the sheet tells what, where and how of each day in them, and nothing of other days', async () => {
		const [from, to] = [addDays(TODAY, 3), addDays(TODAY, 12)];
		const away = await awayPlan(await garden(), dayNumber(TODAY), dayNumber(from), dayNumber(to));
		expect(away.rows.length).toBeGreaterThan(3);
		expect(away.rows.every((r) => isoOf(r.on) >= from && isoOf(r.on) <= to && r.how.length > 10 && r.place !== '')).toBe(true);
		expect(away.before.every((t) => isoOf(t.by) <= to)).toBe(true);
		const pdf = await awaySheetPdf({ garden: 'Three Alders', span: `${from} to ${to}`, rows: away.rows, fonts: null });
		expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
		expect(pdf.length).toBeGreaterThan(1500);
		const code = (f: string, t: string) => {
			const span = awaySpan({ from: f, to: t }, TODAY);
			return span.ok ? 'ok' : span.problem.code;
		};
		expect([
			code('soon', to),
			code(to, from),
			code('2026-01-01', '2026-02-01'),
			code(from, addDays(from, 90)),
			code('2028-01-01', '2028-01-05')
		]).toEqual(['away.date', 'away.order', 'away.past', 'away.long', 'away.far']);
		expect(code('2026-09-01', to)).toBe('ok');
	});

	it('the walk can be put in another order', async () => {
		const places = await state.places(database(), DEMO_GARDEN);
		const reversed = [...places].reverse();
		const acts = reversed.map((p, i) => ({
			id: uuidv7(),
			kind: 'place.set' as const,
			subjectId: p.id,
			on: TODAY,
			data: { name: p.name, kind: p.kind, light: p.light, low_c: p.low_c, high_c: p.high_c, room_cm2: p.room_cm2, walk: i + 1 }
		}));
		expect((await record(writer, acts)).ok).toBe(true);
		const round = await roundOf(await garden(), dayNumber(TODAY));
		const order = round.stops.map((s) => reversed.findIndex((p) => p.id === s.placeId));
		expect(order).toEqual([...order].sort((a, b) => a - b));
	});
});
