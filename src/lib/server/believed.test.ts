/**
 * What is believed of a batch until somebody looks: a wrong day lowers its odds, a missed day lowers them more, a night of
 * frost where it stands kills, and a count settles it. Facts of the trade (common practice, no source).
 */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { batchViews } from './bench.js';
import { gardenById } from './context.js';
import { closeDatabase, database } from './db.js';
import { createGarden, record } from './ledger.js';
import { forecastOf, known, modelOf, tasksFor } from './model.js';
import { recordOf } from './record.js';
import * as state from './store/state.js';
import { roundWorld } from './roundWorld.js';
import { tasksOf } from './roundTasks.js';
import { stockViews } from './stock.js';
import { wantViews } from './wants.js';
import { act, noTreatment } from '../../testing/acts.js';
import { dayNumber } from '$lib/core/dates.js';
import { atLeast, meanCount } from '$lib/core/odds/strike.js';

const garden = uuidv7();
const [bench, row, sill, want] = Array.from({ length: 4 }, () => uuidv7()) as [string, string, string, string];
const settings = {
	...{ name: 'Believed', place: '', latitude: 45, longitude: 7, height_m: 300, time_zone: 'Europe/Rome' },
	...{ units: 'metric', temperature: 'C', currency: 'EUR', coldest_c: -15, minutes_per_week: 120, away: [], guessed: [] },
	...{ last_frost: { doy: 118, sd: 10 }, first_frost: { doy: 292, sd: 10 } }
};
const place = (id: string, name: string, kind: string) =>
	act('place.set', id, { name, kind, light: 'part', low_c: null, high_c: null, room_cm2: null, walk: 1 }, { on: '2026-03-01' });

async function log(today: string, ...acts: ReturnType<typeof act>[]) {
	const r = await record({ gardenId: garden, actor: 'test', today }, acts);
	if (!r.ok) throw new Error(r.problem.sentence);
}
const strike = (
	id: string,
	kind_id: string,
	way_id: string,
	struck: number,
	on: string,
	place_id: string | null,
	want_id: string | null = null
) =>
	act(
		'batch.struck',
		id,
		{ kind_id, way_id, stock_id: null, want_id, place_id, struck, treatment: noTreatment, container: '' },
		{ on, takesCode: true }
	);
/** Everything told of a batch on a day. */
async function on(today: string, id: string) {
	process.env.SURCULUS_TODAY = today;
	const g = (await gardenById(garden))!;
	const m = await modelOf(g);
	const b = (await state.batchById(database(), garden, id))!;
	const k = known(m, b)!;
	const [view] = await batchViews(g, m.today, [b]);
	return { f: forecastOf(m, k), k, view: view!, tasks: tasksFor(m, k, m.today, m.today + 6), garden: g };
}
/** What a thermometer at a place read on nights. */
async function nights(placeId: string, lows: Record<string, number>) {
	for (const [day, low] of Object.entries(lows))
		await database().query(
			`INSERT INTO reading_day (garden_id, place_id, day, low, high, last_c, last_at, readings) VALUES ($1, $2, $3, $4, $5, $4, $3::date, 24)`,
			[garden, placeId, day, low, low + 6]
		);
}

beforeAll(async () => {
	process.env.SURCULUS_TODAY = '2026-09-05';
	await freshDatabase('believed');
	await createGarden(garden, 'Believed', 'test', '2026-03-01', [
		{ id: garden, kind: 'garden.set', subjectId: garden, on: '2026-03-01', data: settings },
		place(bench, 'Open bench', 'bench'),
		place(row, 'Row', 'nursery_row'),
		place(sill, 'Sill', 'sill')
	]);
});
afterAll(async () => {
	await closeDatabase();
	delete process.env.SURCULUS_TODAY;
});

describe('out of season', () => {
	it('twelve soft tips of forsythia and twenty leafy rods of dogwood in early September: few, and told so', async () => {
		const [tips, rods, inSeason] = [uuidv7(), uuidv7(), uuidv7()];
		await log(
			'2026-09-05',
			strike(tips, 'forsythia', 'soft-tip', 12, '2026-09-05', sill),
			strike(rods, 'dogwood', 'hardwood', 20, '2026-09-05', row)
		);
		for (const [id, most] of [
			[tips, 3],
			[rods, 5]
		] as const) {
			const { f, view } = await on('2026-09-05', id);
			expect(meanCount(f.pmf)).toBeLessThan(most);
			expect(view.trouble!.sentence).toMatch(/^Struck out of season\. (Usually \d+ of \d+ take|Don’t count on any)/);
		}
		await log('2026-12-01', strike(inSeason, 'dogwood', 'hardwood', 20, '2026-12-01', row));
		const { f, view } = await on('2026-12-01', inSeason);
		expect(meanCount(f.pmf)).toBeGreaterThan(8);
		expect(view.trouble).toBeNull();
	});

	it('its record says little of the way in season: ten dead in the wrong month do not lower the right one', async () => {
		const wrong = uuidv7();
		process.env.SURCULUS_TODAY = '2027-07-20';
		const before = (await recordOf((await gardenById(garden))!)).of('catmint', 'soft-tip');
		await log(
			'2027-07-20',
			strike(wrong, 'forsythia', 'hardwood', 10, '2027-06-20', row),
			act('batch.lost', wrong, { count: 10, why: '', planted: false }, { on: '2027-07-20' })
		);
		const record = await recordOf((await gardenById(garden))!);
		expect(record.of('forsythia', 'hardwood').rooted).toBeUndefined();
		expect(record.of('catmint', 'soft-tip')).toEqual(before);
	});
});

describe('planned, due, late and missed', () => {
	const box = uuidv7();
	it('a planned day that goes by never helps', async () => {
		await log(
			'2026-08-01',
			act(
				'batch.planned',
				box,
				{
					kind_id: 'box',
					way_id: 'semi-ripe',
					stock_id: null,
					want_id: null,
					place_id: null,
					planned_on: '2026-08-20',
					count: 16
				},
				{ on: '2026-08-01', takesCode: true }
			)
		);
		const planned = await on('2026-08-01', box);
		expect(planned.view.trouble).toBeNull();
		const late = await on('2026-08-28', box);
		expect(late.view.trouble!.word).toBe('late');
		const missed = await on('2027-02-22', box);
		expect(missed.view.trouble!.word).toMatch(/^missed/);
		expect(missed.view.trouble!.sentence).toContain('Out of season');
		expect(meanCount(late.f.pmf)).toBeLessThanOrEqual(meanCount(planned.f.pmf) + 1e-9);
		expect(meanCount(missed.f.pmf)).toBeLessThan(meanCount(planned.f.pmf) / 3);
		// The round asks to plan it again, and names the day from which it would be right.
		expect(missed.tasks[0]).toMatchObject({ kind: 'missed' });
		expect(missed.tasks[0]!.why).toMatch(/opens again on \d+ \w+/);
		expect(late.tasks[0]!.kind).toBe('strike');
	});
});

describe('frost', () => {
	const daisies = uuidv7();
	it('kills what stands out in it, asks for a look, and a count settles it', async () => {
		await log(
			'2026-09-05',
			act(
				'want.set',
				want,
				{
					kind_id: 'marguerite',
					purpose: 'plants',
					label: '',
					place_id: null,
					target: 8,
					due: '2027-07-01',
					confidence: 0.9,
					shape: null
				},
				{ on: '2026-09-05' }
			),
			strike(daisies, 'marguerite', 'soft-tip', 16, '2026-08-10', bench, want)
		);
		await log(
			'2026-09-20',
			act('batch.checked', daisies, { alive: 14, rooted: 14, sign: 'resists a tug' }, { on: '2026-09-20' })
		);
		const before = await on('2026-11-20', daisies);
		expect(before.k.frost).toBeNull();
		const wanted = async () => (await wantViews((await gardenById(garden))!, want))[0]!;
		await nights(bench, { '2026-11-18': 3, '2026-11-21': -21, '2026-11-22': -4 });
		// Next morning already.
		const after = await on('2026-11-23', daisies);
		expect(after.k.frost).toMatchObject({ lowC: -21 });
		expect(meanCount(after.f.pmf)).toBeLessThan(0.05);
		expect((await wanted()).odds).toBeLessThan(0.01);
		expect(after.view.trouble!.sentence).toMatch(
			/^On 21 Nov.* it fell to [−-]21\s°C where they stand: they are almost certainly dead/
		);
		expect(after.tasks.map((t) => t.kind)).toEqual(['frost-count']);
		// Nobody looks: in May it is still not said that thirteen will be planted.
		expect(meanCount((await on('2027-05-20', daisies)).f.pmf)).toBeLessThan(0.05);
		// Somebody does: six were green under the bark.
		await log('2026-11-24', act('batch.wintered', daisies, { alive: 6 }, { on: '2026-11-24' }));
		const looked = await on('2026-11-24', daisies);
		expect(looked.k.frost).toBeNull();
		expect(looked.view.trouble).toBeNull();
		expect(looked.view.inHand).toBe(6);
	});

	it('a night at what the kind bears takes all or none: even odds are two heaps, not half the pot', async () => {
		const id = uuidv7();
		await log('2026-09-05', strike(id, 'marguerite', 'soft-tip', 20, '2026-08-10', bench));
		await log('2026-12-05', act('batch.wintered', id, { alive: 18 }, { on: '2026-12-05' }));
		// A daisy that bears −2 °C in the ground bears −1 °C in a pot.
		await nights(bench, { '2026-12-06': -1 });
		const after = await on('2026-12-07', id);
		const alive = after.k.frost!.alive;
		expect(alive).toBeGreaterThan(0.45);
		expect(alive).toBeLessThan(0.55);
		expect(after.f.pmf[0]).toBeGreaterThan(1 - alive - 1e-9);
		// What is left of the other half is the batch as it would have been.
		const unhurt = { ...after.k, frost: null };
		const m = await modelOf(after.garden);
		const usual = forecastOf(m, unhurt).pmf;
		usual.forEach((p, n) => expect(after.f.pmf[n]!).toBeCloseTo((n === 0 ? 1 - alive : 0) + p * alive, 6));
		expect(atLeast(after.f.pmf, 1)).toBeLessThan(alive);
	});

	it('a pot left out by mistake: next morning it is asked after, carried in or not, until it is looked over', async () => {
		const pot = uuidv7();
		const set = {
			kind_id: 'fuchsia',
			place_id: bench,
			label: 'by the door',
			count: 1,
			size_cm: 40,
			age_years: 3,
			condition: 'strong'
		};
		const more = { protection: { status: 'free', until: null }, from_batch: null };
		await log('2027-01-10', act('stock.set', pot, { ...set, ...more }, { on: '2027-01-10' }));
		await nights(bench, { '2027-01-12': -9 });
		const told = async (today: string) => {
			process.env.SURCULUS_TODAY = today;
			const g = (await gardenById(garden))!;
			const [view] = await stockViews(g, dayNumber(today), pot);
			const looks = tasksOf(await roundWorld(g), dayNumber(today)).due.filter(
				(t) => t.targets.includes(pot) && t.work === 'frost-look'
			);
			return { view: view!, looks };
		};
		const morning = await told('2027-01-13');
		expect(morning.view.trouble).toMatch(
			/^On 12 Jan.* it fell to [−-]9\s°C where it stands: it is (almost certainly|probably) dead\. Look/
		);
		expect(morning.view.gives.every((g) => g.now === 0)).toBe(true);
		expect(morning.looks).toHaveLength(1);
		expect(morning.looks[0]!.title).toMatch(/^Look whether Bush fuchsia, by the door lives$/);
		// Carried in after the night: that brings nothing back.
		await log('2027-01-13', act('stock.moved', pot, { place_id: sill }, { on: '2027-01-13' }));
		expect((await told('2027-01-14')).looks).toHaveLength(1);
		await log('2027-01-14', act('stock.set', pot, { ...set, ...more, place_id: sill, condition: 'weak' }, { on: '2027-01-14' }));
		const looked = await told('2027-01-15');
		expect(looked.view.trouble).toBeNull();
		expect(looked.looks).toEqual([]);
	});

	it('does nothing to what bears it, or to what stands on the sill', async () => {
		const [hardy, inside] = [uuidv7(), uuidv7()];
		await log(
			'2026-12-20',
			strike(hardy, 'dogwood', 'hardwood', 10, '2026-12-01', row),
			strike(inside, 'marguerite', 'soft-tip', 10, '2026-09-10', sill)
		);
		await nights(row, { '2026-12-21': -18 });
		expect((await on('2026-12-23', hardy)).k.frost).toBeNull();
		expect((await on('2026-12-23', inside)).k.frost).toBeNull();
	});
});

describe('brought in', () => {
	it('each plant to the place that suits its kind; trays and pots are counted as such', async () => {
		const [pot, tray, shelf, garage] = [uuidv7(), uuidv7(), uuidv7(), uuidv7()];
		const set = { place_id: bench, label: '', count: 1, size_cm: 40, age_years: 3, condition: 'strong' };
		const more = { protection: { status: 'free', until: null }, from_batch: null };
		await log(
			'2027-09-01',
			place(shelf, 'Shelf under lights', 'lit_shelf'),
			place(garage, 'Garage', 'garage'),
			act('stock.set', pot, { ...set, ...more, kind_id: 'angels-trumpet' }, { on: '2027-09-01' }),
			strike(tray, 'coleus', 'soft-tip', 24, '2027-09-01', bench)
		);
		process.env.SURCULUS_TODAY = '2027-09-30';
		const g = (await gardenById(garden))!;
		const w = await roundWorld(g);
		const task = tasksOf(w, dayNumber('2027-09-30')).due.find((t) => t.work === 'shelter' && t.targets.includes(pot))!;
		expect(task.title).toMatch(/^Bring in (\d+ trays? and )?\d+ pots?$/);
		const to = (id: string) => w.places.find((p) => p.id === task.carried.find((c) => c.id === id)?.to)?.kind;
		// The dormant shrub rests dark and cool; coleus needs light and warmth.
		expect(to(pot)).toBe('garage');
		if (task.targets.includes(tray)) expect(['lit_shelf', 'sill']).toContain(to(tray));
	});
});

describe('lifted after the first frost', () => {
	it('a dahlia in the border is not called in before it, and is lifted when it has been', async () => {
		const [border, dahlia] = [uuidv7(), uuidv7()];
		const set = { place_id: border, label: 'red', count: 2, size_cm: 90, age_years: 3, condition: 'strong' };
		await log(
			'2027-09-01',
			place(border, 'Border', 'bed'),
			act(
				'stock.set',
				dahlia,
				{ ...set, protection: { status: 'free', until: null }, from_batch: null, kind_id: 'dahlia' },
				{ on: '2027-09-01' }
			)
		);
		const due = async (today: string) => {
			process.env.SURCULUS_TODAY = today;
			const g = (await gardenById(garden))!;
			return tasksOf(await roundWorld(g), dayNumber(today)).due.filter((t) => t.targets.includes(dahlia));
		};
		// The usual first frost is on 19 October.
		expect((await due('2027-10-05')).map((t) => t.work)).toEqual([]);
		const [lift] = await due('2027-10-22');
		expect(lift).toMatchObject({ work: 'lift', title: 'Lift 2 Garden dahlia, red', log: 'bring' });
		expect(lift!.carried[0]!.to).not.toBeNull();
		await log('2027-10-22', act('stock.moved', dahlia, { place_id: sill }, { on: '2027-10-22' }));
		expect((await due('2027-10-23')).filter((t) => t.work === 'lift')).toEqual([]);
	});
});
