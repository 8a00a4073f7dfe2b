/** The services over the sample garden, loaded as of several days of the year. */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_GARDEN, loadDemo } from '../../../demo/load.js';
import { WANTS } from '../../../demo/story.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { batchViews } from './bench.js';
import { roundOf } from './round.js';
import { gardenById, kindsOf, viewedDay } from './context.js';
import { recordOf } from './record.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { rebuild, record } from './ledger.js';
import { PROJECTIONS } from './store/projections.js';
import { stockViews } from './stock.js';
import * as state from './store/state.js';
import { stripLanes } from './strip.js';
import { planWant } from './wantPlan.js';
import { wantViews } from './wants.js';
import { addDays, dayNumber, isoOf } from '$lib/core/dates.js';
import { worthOf } from '$lib/core/evidence/evidence.js';
import { inHand } from '$lib/core/ledger/index.js';

async function demoAsOf(today: string): Promise<Garden> {
	process.env.SURCULUS_TODAY = today;
	await closeDatabase();
	await freshDatabase(`demo_${today.replaceAll('-', '')}`);
	await loadDemo();
	return (await gardenById(DEMO_GARDEN))!;
}
afterAll(async () => {
	delete process.env.SURCULUS_TODAY;
	await closeDatabase();
});

describe.each(['2026-02-10', '2026-05-20', '2026-11-25', '2028-02-29'])('the sample garden on %s', (today) => {
	let garden: Garden;
	beforeAll(async () => {
		garden = await demoAsOf(today);
	});

	it('tells nothing that lies ahead, and its books balance', async () => {
		const { rows } = await database().query<{ newest: string; n: number }>(
			'SELECT max(happened_on) AS newest, count(*) AS n FROM entry'
		);
		expect(rows[0]!.newest <= today).toBe(true);
		expect(Number(rows[0]!.n)).toBeGreaterThan(150);
		const batches = await state.batches(database(), garden.id);
		expect(batches.length).toBeGreaterThan(25);
		for (const b of batches) expect(inHand(b) + b.planted + b.given + b.kept + b.splitOff + b.lost).toBe(b.struck);
	});

	it('has work, living batches, wants in hand and wants in trouble', async () => {
		const day = dayNumber(today);
		const round = await roundOf(garden, day);
		expect(round.stops.length + round.later.length).toBeGreaterThan(0);
		const wants = await wantViews(garden);
		expect(wants).toHaveLength(Object.keys(WANTS).length);
		const words = new Set(wants.map((w) => w.standing));
		expect(words.size).toBeGreaterThanOrEqual(3);
		for (const w of wants) {
			expect(w.odds).toBeGreaterThanOrEqual(w.oddsGrowing - 1e-9);
			expect(w.pmf.reduce((s, p) => s + p, 0)).toBeCloseTo(1, 6);
		}
		expect((await stripLanes(garden)).every((l) => l.to >= l.from)).toBe(true);
	});

	it('walks the round in the order of places, urgent first, with minutes that add up', async () => {
		for (const ahead of [0, 60, 150, 240]) {
			const day = dayNumber(today) + ahead;
			const round = await roundOf(garden, day);
			const places = await state.places(database(), garden.id);
			const order = round.stops.map((s) => places.find((p) => p.id === s.placeId)?.walk ?? 1000);
			expect(order).toEqual([...order].sort((a, b) => a - b));
			expect(round.todayMinutes).toBeCloseTo(
				round.stops.reduce((m, s) => m + s.minutes, 0),
				6
			);
			// The week counts what comes again as often as it comes.
			expect(round.minutes).toBeGreaterThanOrEqual(round.todayMinutes);
			for (const t of round.week) expect(t.from > day && t.from <= day + 6).toBe(true);
			for (const stop of round.stops)
				for (const task of stop.tasks) {
					expect(task.from).toBeLessThanOrEqual(day);
					expect(task.late).toBe(task.by < day);
					expect(task.count).toBeGreaterThan(0);
				}
			const keys = round.stops.flatMap((s) => s.tasks.map((t) => t.key));
			expect(new Set(keys).size).toBe(keys.length);
			for (const key of round.mayWait) expect([...keys, ...round.week.map((t) => t.key)]).toContain(key);
		}
	});

	it('can be rebuilt from its ledger to the same rows', async () => {
		const tables = Object.values(PROJECTIONS);
		const dump = () => Promise.all(tables.map(async (t) => (await database().query(`SELECT * FROM ${t} ORDER BY 1, 2`)).rows));
		const before = await dump();
		await rebuild(garden.id);
		expect(await dump()).toEqual(before);
	});
});

describe('planning and looking, on the sample garden', () => {
	const today = '2026-09-05';
	let garden: Garden;
	beforeAll(async () => {
		garden = await demoAsOf(today);
	});
	const writer = () => ({ gardenId: garden.id, actor: 'test', today });

	it('views a day within the strip only', () => {
		expect(viewedDay(garden, '2027-03-01')).toMatchObject({ iso: '2027-03-01', isToday: false });
		for (const wrong of [null, 'soon', '2027-02-30', '2035-01-01', '2020-01-01', today])
			expect(viewedDay(garden, wrong)).toMatchObject({ iso: today, isToday: true });
	});

	it('refuses to plan from protected stock, and says why', async () => {
		const want = (await wantViews(garden)).find((w) => w.label === 'three for my sister')!;
		const lantern = (await state.stocks(database(), garden.id)).find((s) => s.label.includes('Chalk Lantern'))!;
		const refused = await planWant(garden, want.id, lantern.id);
		expect(refused!.plan).toBeNull();
		expect(refused!.why).toMatch(/may not be multiplied/);
		// Left to choose, it takes the stock that may be used.
		const free = await planWant(garden, want.id, null);
		expect(free!.stockId).not.toBe(lantern.id);
		expect(free!.plan).not.toBeNull();
	});

	it('a plan taken makes the odds what the plan promised', async () => {
		const want = (await wantViews(garden)).find((w) => w.label === 'cover the upper bank')!;
		expect(want.standing).toBe('no plan');
		const planned = await planWant(garden, want.id, null);
		const best = planned!.plan!.ways[0]!.best!;
		const stockId = planned!.stockId;
		const acts = best.flushes.map((f) => {
			const id = uuidv7();
			return {
				id,
				kind: 'batch.planned' as const,
				subjectId: id,
				on: today,
				takesCode: true,
				data: {
					kind_id: want.kindId,
					way_id: best.wayId,
					stock_id: stockId,
					want_id: want.id,
					place_id: null,
					count: f.pieces,
					planned_on: isoOf(f.on)
				}
			};
		});
		expect((await record(writer(), acts)).ok).toBe(true);
		const [after] = await wantViews(garden, want.id);
		expect(after!.odds).toBeCloseTo(best.probability, 2);
		expect(after!.planned).toBe(best.strike);
		expect(after!.oddsGrowing).toBe(0);
		expect(after!.standing).toBe('in hand');
		// And nothing more is asked for.
		expect((await planWant(garden, want.id, null))!.why).toMatch(/in hand/);
		// What is planned is off the stock's account on the day it is to be taken.
		const [stock] = await stockViews(garden, best.on, stockId!);
		const gives = stock!.gives.find((g) => g.wayId === best.wayId)!;
		expect(gives.now).toBe(gives.full - best.strike);
		expect(stock!.taken[0]).toMatchObject({ planned: true, pieces: best.flushes.at(-1)!.pieces });
	});

	it('a check moves the odds of its want the way it should', async () => {
		const want = (await wantViews(garden)).find((w) => w.kindId === 'marguerite')!;
		const batch = (await state.batchesOfWants(database(), garden.id, [want.id])).at(-1)!;
		const check = (alive: number, rooted: number) => {
			const id = uuidv7();
			return record(writer(), [
				{ id, kind: 'batch.checked', subjectId: batch.id, on: today, data: { alive, rooted, sign: 'none' } }
			]);
		};
		expect((await check(inHand(batch), inHand(batch))).ok).toBe(true);
		const [good] = await wantViews(garden, want.id);
		expect(good!.odds).toBeGreaterThan(want.odds);
		expect((await check(8, 8)).ok).toBe(true);
		const [bad] = await wantViews(garden, want.id);
		expect(bad!.odds).toBeLessThan(good!.odds);
		expect(bad!.quantiles.p95).toBeLessThanOrEqual(8);
	});

	it('learns from its own record, but not a batch from itself twice', async () => {
		const all = await recordOf(garden);
		const batches = (await state.batches(database(), garden.id)).filter(
			(b) => b.kindId === 'lavender' && b.wayId === 'semi-ripe'
		);
		// Summed as the core does; a batch that is still rooting counts by what it shows so far.
		const plain = worthOf(
			batches.map((b) => b.seen),
			all.rho
		);
		const summed = all.of('lavender', 'semi-ripe');
		expect(Object.keys(summed).sort()).toEqual(Object.keys(plain).sort());
		for (const stage of ['potted', 'wintered'] as const) expect(summed[stage]?.passed).toBe(plain[stage]?.passed);
		const rate = (t: { passed: number; failed: number }) => t.passed / (t.passed + t.failed);
		expect(Math.abs(rate(summed.rooted!) - rate(plain.rooted!))).toBeLessThan(0.1);
		const done = batches.find((b) => b.unrooted === 0 && b.seen.potted)!;
		const rest = worthOf(
			batches.filter((b) => b !== done).map((b) => b.seen),
			all.rho
		);
		expect(all.of('lavender', 'semi-ripe', [done.id]).potted?.passed ?? 0).toBeCloseTo(rest.potted?.passed ?? 0, 9);
		expect(all.of('lavender', 'no-such-way')).toEqual({});
	});

	it('own figures reach the kinds of this garden only', async () => {
		const id = uuidv7();
		await record(writer(), [
			{ id, kind: 'figure.set', subjectId: id, on: today, data: { kind_id: 'sage', path: 'size.spacing_cm', value: 77 } }
		]);
		expect((await kindsOf(garden)).get('sage')!.size.spacing_cm).toBe(77);
		expect((await kindsOf({ ...garden, id: uuidv7() })).get('sage')!.size.spacing_cm).not.toBe(77);
	});

	it('expects of batches fewer pieces the further ahead one looks', async () => {
		const living = await state.batches(database(), garden.id, ['growing']);
		const at = async (day: string) => (await batchViews(garden, dayNumber(day), living)).map((v) => v.expected.pieces);
		const now = await at(today);
		const later = await at(addDays(today, 120));
		const latest = await at(addDays(today, 300));
		now.forEach((n, i) => {
			expect(later[i]!).toBeLessThanOrEqual(n + 1e-9);
			expect(latest[i]!).toBeLessThanOrEqual(later[i]! + 1e-9);
		});
	});
});
