/** One model of a batch: what says nothing of the living changes nothing, and every screen tells the same. */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { batchViews } from './bench.js';
import { gardenById } from './context.js';
import { closeDatabase, database } from './db.js';
import { createGarden, record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { forecastOf, known, modelOf, usuallyPlanted } from './model.js';
import * as state from './store/state.js';
import { stripLanes } from './strip.js';
import { wantViews } from './wants.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import { foldBatch, inHand, partOf } from '$lib/core/ledger/index.js';
import type { AnyEntry } from '$lib/core/ledger/index.js';
import { meanCount } from '$lib/core/odds/strike.js';

const settings = {
	...{ name: 'Forty-five north', place: '', latitude: 45, longitude: 7, height_m: 300, time_zone: 'Europe/Rome' },
	...{ units: 'metric', temperature: 'C', currency: 'EUR', coldest_c: -15, minutes_per_week: 120, away: [], guessed: [] },
	...{ last_frost: { doy: 118, sd: 10 }, first_frost: { doy: 292, sd: 10 } }
};
const none = { medium: '', hormone: '', wound: false, cover: '' };
const TODAY = '2027-08-20';
const gardenId = uuidv7();
const writer = { gardenId, actor: 'test', today: TODAY };
const [frame, bench, want, batch, part] = Array.from({ length: 5 }, () => uuidv7()) as [string, string, string, string, string];
const act = (kind: Act['kind'], subjectId: string, data: Record<string, unknown>, on: string): Act => ({
	id: uuidv7(),
	kind,
	subjectId,
	on,
	data
});
async function log(...acts: Act[]) {
	const r = await record(writer, acts);
	if (!r.ok) throw new Error(r.problem.sentence);
	return r.value;
}
const place = (id: string, kind: string) =>
	act('place.set', id, { name: kind, kind, light: 'part', low_c: null, high_c: null, room_cm2: null, walk: 1 }, '2027-03-01');
const struck = (n: number) => ({
	...{
		kind_id: 'lavender',
		way_id: 'semi-ripe',
		stock_id: null,
		want_id: want,
		place_id: frame,
		struck: n,
		treatment: none,
		container: ''
	}
});

/** What each screen tells of the batches of the want. */
async function told() {
	const garden = (await gardenById(gardenId))!;
	const m = await modelOf(garden);
	const batches = await state.batches(database(), gardenId, ['growing', 'planned']);
	const [w] = await wantViews(garden, want);
	return { w: w!, m, batches, views: await batchViews(garden, m.today, batches), garden };
}
const odds = async () => (await told()).w;

beforeAll(async () => {
	process.env.SURCULUS_TODAY = TODAY;
	await freshDatabase('model');
	await createGarden(gardenId, 'Forty-five north', 'test', '2027-03-01', [
		{ id: gardenId, kind: 'garden.set', subjectId: gardenId, on: '2027-03-01', data: settings },
		place(frame, 'frame'),
		place(bench, 'frame')
	]);
	await log(
		act(
			'want.set',
			want,
			{
				kind_id: 'lavender',
				purpose: 'plants',
				label: '',
				place_id: null,
				target: 9,
				due: '2029-06-30',
				confidence: 0.9,
				shape: null
			},
			'2027-03-01'
		),
		{ ...act('batch.struck', batch, struck(24), '2027-07-05'), takesCode: true },
		act('batch.checked', batch, { alive: 22, rooted: 6, sign: 'resists a tug' }, '2027-08-01'),
		act('batch.checked', batch, { alive: 21, rooted: 11, sign: 'resists a tug' }, '2027-08-18')
	);
});
afterAll(async () => {
	await closeDatabase();
	delete process.env.SURCULUS_TODAY;
});

describe('every screen tells the same of a batch', () => {
	it('bench, want and strip: one forecast, one day', async () => {
		const { w, m, batches, views, garden } = await told();
		const f = forecastOf(m, known(m, batches[0]!)!);
		// The want's day is so far off that all is in time: its count is the batch's.
		expect(w.pmf.reduce((s, p, k) => s + p * k, 0)).toBeCloseTo(meanCount(f.pmf), 2);
		expect(views[0]!.coming!.mean).toBeCloseTo(meanCount(f.pmf), 12);
		expect(w.quantiles.p50).toBe(views[0]!.coming!.p50);
		expect(w.ready!.usual).toBe(views[0]!.plantedOn!.usual);
		const lane = (await stripLanes(garden)).find((l) => l.code === batches[0]!.code)!;
		expect(isoOf(lane.to)).toBe(views[0]!.plantedOn!.usual);
		expect(usuallyPlanted(m, known(m, batches[0]!)!)).toBe(dayNumber(views[0]!.plantedOn!.usual));
		expect(w.growing).toBe(inHand(batches[0]!));
		expect(views[0]!.rooting!.unrooted).toBe(batches[0]!.unrooted);
	});
});

describe('what says nothing of the living', () => {
	it('moves nothing: a move to a place alike, its undo and redo', async () => {
		const before = await odds();
		const moved = await log(act('batch.moved', batch, { place_id: bench }, TODAY));
		expect((await odds()).odds).toBeCloseTo(before.odds, 9);
		await undo(writer, moved.ids[0]!, uuidv7());
		expect((await odds()).pmf).toEqual(before.pmf);
	});

	it('a count that is undone is as if it had never been', async () => {
		const before = await odds();
		const bad = await log(act('batch.checked', batch, { alive: 12, rooted: 11, sign: 'rot' }, TODAY));
		expect((await odds()).odds).toBeLessThan(before.odds - 0.02);
		await undo(writer, bad.ids[0]!, uuidv7());
		expect((await odds()).pmf).toEqual(before.pmf);
	});

	it('a split conserves the odds of the want, and each part remembers its looks', async () => {
		const before = await told();
		const whole = before.batches[0]!;
		// Fourteen are eleven rooted and three laggards.
		await log(act('batch.split', batch, { count: 14, to: part }, TODAY), {
			...act(
				'batch.split-off',
				part,
				{
					from: batch,
					kind_id: 'lavender',
					way_id: 'semi-ripe',
					stock_id: null,
					want_id: want,
					place_id: frame,
					struck_on: '2027-07-05',
					treatment: none,
					container: '',
					...partOf(whole, 14)
				},
				TODAY
			),
			takesCode: true
		});
		const after = await told();
		expect(after.w.batches).toHaveLength(2);
		after.w.pmf.forEach((p, k) => expect(p).toBeCloseTo(before.w.pmf[k] ?? 0, 9));
		// The laggards that stay have been looked at twice: few of them still root.
		const rest = after.views.find((v) => v.id === batch)!;
		expect(rest.unrooted).toBe(whole.unrooted - 3);
		expect(rest.rooting!.ever).toBeCloseTo(before.views[0]!.rooting!.ever, 9);
		expect(after.views.find((v) => v.id === part)!.rooting!.ever).toBeCloseTo(before.views[0]!.rooting!.ever, 9);
	});

	it('a move in winter does not make the winter pass', async () => {
		process.env.SURCULUS_TODAY = '2028-01-24';
		const before = (await told()).views.map((v) => v.coming!.mean);
		await record({ ...writer, today: '2028-01-25' }, [act('batch.moved', batch, { place_id: frame }, '2028-01-25')]);
		process.env.SURCULUS_TODAY = '2028-01-25';
		const after = (await told()).views.map((v) => v.coming!.mean);
		after.forEach((mean, i) => expect(mean).toBeLessThanOrEqual(before[i]! + 0.02));
		process.env.SURCULUS_TODAY = TODAY;
	});
});

describe('entries of one day', () => {
	const ID = uuidv7();
	const entry = (kind: string, data: object) =>
		({ id: uuidv7(), kind, subjectId: ID, on: '2027-08-01', data, note: '' }) as unknown as AnyEntry;
	const start = { ...entry('batch.struck', { code: 'x', ...struck(20) }), on: '2027-07-01' } as AnyEntry;
	it('leave the same batch behind in any order, where each may come first', () => {
		const moved = entry('batch.moved', { place_id: bench });
		const given = entry('batch.given', { count: 3, to: '' });
		const check = entry('batch.checked', { alive: 20, rooted: null, sign: 'firm' });
		const of = (...list: AnyEntry[]) => {
			const r = foldBatch([start, ...list]);
			if (!r.ok) throw new Error(r.problem.sentence);
			const { cohorts, seen, unrooted, rootRecord } = r.value!;
			return { cohorts, seen, unrooted, left: rootRecord.epochs.at(-1)!.left };
		};
		expect(of(moved, check, given)).toEqual(of(check, moved, given));
		expect(of(given, moved)).toEqual(of(moved, given));
	});
});
