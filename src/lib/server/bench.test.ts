/** The bench over the sample garden: roots, trays, clocks, shelf, vessels, mixes, guides, labels. */
import { v5 as uuidv5, v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_GARDEN, loadDemo } from '../../../demo/load.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { batchViews } from './bench.js';
import { gardenById } from './context.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { guideOf } from './guide.js';
import { labelsFor } from './labels.js';
import { rebuild, record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { plannedWithin, preparing } from './mixing.js';
import { roundOf } from './round.js';
import { meanAt } from './rooting.js';
import * as benchware from './store/benchware.js';
import * as state from './store/state.js';
import { handbook } from './handbook.js';
import { dayNumber } from '$lib/core/dates.js';

let garden: Garden;
const today = '2026-09-05';
const writer = () => ({ gardenId: garden.id, actor: 'test', today });
const act = (kind: Act['kind'], subjectId: string, data: Record<string, unknown>, on = today): Act => ({
	id: uuidv7(),
	kind,
	subjectId,
	on,
	data
});
const code = async (...acts: Act[]) => {
	const r = await record(writer(), acts);
	return r.ok ? 'ok' : r.problem.code;
};
const view = async (c: string, curve = false) => {
	const b = (await state.batchByCode(database(), garden.id, c))!;
	return (await batchViews(garden, dayNumber(today), [b], { curve }))[0]!;
};
const rooting = async () => {
	const growing = await state.batches(database(), garden.id, ['growing']);
	return growing.filter((b) => b.unrooted > 5 && b.looks.length === 0);
};

beforeAll(async () => {
	process.env.SURCULUS_TODAY = today;
	await freshDatabase('bench_test');
	await loadDemo();
	garden = (await gardenById(DEMO_GARDEN))!;
});
afterAll(async () => {
	delete process.env.SURCULUS_TODAY;
	await closeDatabase();
});

describe('is it rooted yet', () => {
	it('every batch that is rooting has one sentence, chances that can be, and a curve that rises', async () => {
		const growing = (await state.batches(database(), garden.id, ['growing'])).filter((b) => b.unrooted > 0);
		expect(growing.length).toBeGreaterThan(5);
		for (const v of await batchViews(garden, dayNumber(today), growing, { curve: true })) {
			const r = v.rooting!;
			expect(r, v.code).not.toBeNull();
			expect(r.sentence.length).toBeGreaterThan(20);
			expect(r.now).toBeGreaterThanOrEqual(0);
			expect(r.now).toBeLessThanOrEqual(r.ever + 1e-9);
			expect(r.ever).toBeLessThanOrEqual(1);
			for (let i = 1; i < r.curve.length; i++) expect(r.curve[i]!.share).toBeGreaterThanOrEqual(r.curve[i - 1]!.share - 1e-12);
			if (r.eighty !== null && r.giveUp !== null && r.eighty > r.today) expect(r.giveUp).toBeGreaterThanOrEqual(r.eighty - 1);
			expect(JSON.stringify(r)).not.toMatch(/null,"ever"|NaN/);
		}
	});

	it('a look moves the odds: many rooted early raise them, none late lowers them; undo brings them back', async () => {
		const b = (await rooting())[0]!;
		const before = (await view(b.code)).rooting!;
		const good = act('batch.checked', b.id, {
			alive: b.unrooted,
			rooted: Math.floor(b.unrooted * 0.7),
			sign: 'resists a tug'
		});
		expect(await code(good)).toBe('ok');
		const after = await view(b.code);
		expect(after.rooted).toBe(Math.floor(b.unrooted * 0.7));
		expect(after.rooting!.pace).toBeLessThan(before.pace + 1e-9);
		expect((await undo(writer(), good.id, uuidv7())).ok).toBe(true);
		expect((await view(b.code)).rooting).toEqual(before);
		// Seven weeks on, when most should have: that none has says that fewer ever will.
		const later = '2026-10-25';
		process.env.SURCULUS_TODAY = later;
		const then = (await gardenById(DEMO_GARDEN))!;
		const seen = async () => {
			const now = (await state.batchByCode(database(), garden.id, b.code))!;
			return (await batchViews(then, dayNumber(later), [now]))[0]!.rooting!;
		};
		const expected = await seen();
		const none = act('batch.checked', b.id, { alive: b.unrooted, rooted: 0, sign: 'none' }, later);
		expect((await record({ ...writer(), today: later }, [none])).ok).toBe(true);
		const poor = await seen();
		expect(poor.ever).toBeLessThan(expected.ever - 0.02);
		// Just looked at: nothing has had the time to root since.
		expect(poor.now).toBeLessThan(0.01);
		await undo({ ...writer(), today: later }, none.id, uuidv7());
		process.env.SURCULUS_TODAY = today;
	});

	it('a thermometer at the place speeds or slows it', async () => {
		const [b] = await rooting();
		const place = (await state.places(database(), garden.id)).find((p) => p.id === b!.placeId)!;
		const days = Array.from({ length: 40 }, (_, i) => dayNumber(today) - i);
		const put = (low: number, high: number) =>
			Promise.all(
				days.map((d) =>
					database().query(
						`INSERT INTO reading_day (garden_id, place_id, day, low, high, last_c, last_at, readings) VALUES ($1, $2, date '1970-01-01' + $3::int, $4, $5, $4, now(), 1)
						 ON CONFLICT (garden_id, place_id, day) DO UPDATE SET low = EXCLUDED.low, high = EXCLUDED.high`,
						[garden.id, place.id, d, low, high]
					)
				)
			);
		await put(18, 24);
		const warm = (await view(b!.code)).rooting!;
		await put(5, 9);
		const cold = (await view(b!.code)).rooting!;
		await database().query('DELETE FROM reading_day WHERE garden_id = $1', [garden.id]);
		expect(warm.warmth).toBeGreaterThan(2 * cold.warmth);
		expect(warm.now).toBeGreaterThan(cold.now);
	});

	it('a day is as warm as it was read, else as the shelter follows the sky, else as the sky', () => {
		const sky = { on: () => ({ low: -8, high: -2, rain: 0, from: 'usual' as const }) } as never;
		expect(meanAt(undefined, () => ({ low: 3, high: 5 }), sky, 1)).toBe(4);
		expect(meanAt(undefined, null, sky, 1)).toBe(-5);
		expect(meanAt(new Map([[1, { low: 4, high: 8 }]]), () => ({ low: 3, high: 5 }), sky, 1)).toBe(6);
	});

	it('the round asks for a look when it is worth it, with the same sentence', async () => {
		const round = await roundOf(garden, dayNumber(today) + 20);
		const looks = [...round.stops.flatMap((s) => s.tasks), ...round.week].filter((t) => t.work === 'look');
		expect(looks.length).toBeGreaterThan(0);
		for (const t of looks) expect(t.why).toMatch(/root/i);
	});
});

describe('trays', () => {
	it('are kept, counted by their cells, and rebuilt alike', async () => {
		const [b] = await rooting();
		const n = b!.unrooted;
		const columns = 5;
		const rows = Math.ceil(n / columns);
		const of = Array.from({ length: rows * columns }, (_, i) => (i < n ? i % 2 : -1));
		expect(await code(act('batch.laid-out', b!.id, { rows, columns, groups: ['powder', 'none'], of }))).toBe('ok');
		expect(
			await code(act('batch.checked', b!.id, { alive: n - 1, rooted: 2, sign: 'none', cells: { rooted: [0, 2], lost: [3] } }))
		).toBe('ok');
		const stored = (await state.batchById(database(), garden.id, b!.id))!;
		expect(stored.tray!.cells.slice(0, 4)).toBe('rurx');
		const all = async () => JSON.stringify(await state.batches(database(), garden.id));
		const before = await all();
		await rebuild(garden.id);
		expect(await all()).toBe(before);
	});
	it('bad layouts are refused by name', async () => {
		const [b] = await rooting();
		expect(await code(act('batch.laid-out', b!.id, { rows: 100, columns: 100, groups: [], of: [] }))).toBe('tray.size');
		expect(await code(act('batch.laid-out', b!.id, { rows: 1, columns: 2, groups: [], of: Number.NaN }))).toBe('entry.invalid');
		expect(
			await code(act('batch.checked', b!.id, { alive: 1, rooted: 0, sign: 'none', cells: { rooted: [5000], lost: [] } }))
		).toBe('entry.invalid');
	});
});

describe('clocks, shelf and vessels', () => {
	it('a clock runs by the database, ends, and can be brought back', async () => {
		const id = uuidv7();
		const started = act('timer.started', id, {
			say: 'Soak',
			batch_id: null,
			minutes: 15,
			started_at: '2026-09-05T08:00:00.000Z'
		});
		expect(await code({ ...started, id })).toBe('ok');
		const [t] = await benchware.timers(database(), garden.id);
		expect(t!.ends_at.toISOString()).toBe('2026-09-05T08:15:00.000Z');
		const ended = act('timer.ended', id, {});
		expect(await code(ended)).toBe('ok');
		expect(await benchware.timers(database(), garden.id)).toEqual([]);
		await undo(writer(), ended.id, uuidv7());
		expect(await benchware.timers(database(), garden.id)).toHaveLength(1);
		expect(
			await code(act('timer.started', uuidv7(), { say: 'x', batch_id: null, minutes: 0, started_at: '2026-09-05T08:00:00Z' }))
		).toBe('entry.invalid');
	});
	it('what is on the shelf is not bought again', async () => {
		const wanted = [{ id: 'a', title: '', code: null, kindId: 'box', wayId: 'semi-ripe', pieces: 200, on: null, vesselId: null }];
		const before = await preparing(garden, wanted);
		const perlite = before.materials.find((m) => m.id === 'perlite')!;
		expect(perlite.buy.cost).toBeGreaterThan(0);
		const set = (litres: number) => act('shelf.set', uuidv5('shelf perlite', garden.id), { material: 'perlite', litres });
		expect(await code(set(500))).toBe('ok');
		const after = await preparing(garden, wanted);
		expect(after.materials.find((m) => m.id === 'perlite')!.buy.cost).toBe(0);
		expect(after.cost).toBeLessThan(before.cost);
		expect(after.bought).toBeGreaterThan(after.cost);
		expect(await code(set(-1))).toBe('entry.invalid');
	});
	it('a vessel of one’s own is filled like the others; one wider at the base is refused', async () => {
		const id = uuidv7();
		const vessel = { shape: 'tray', lengthCm: 60, widthCm: 18, heightCm: 15 };
		expect(await code({ ...act('vessel.set', id, { name: 'blue box', vessel }), id })).toBe('ok');
		const p = await preparing(garden, [
			{ id: 'a', title: '', code: null, kindId: 'box', wayId: 'semi-ripe', pieces: 40, on: null, vesselId: id }
		]);
		expect(p.rows[0]!.filling.vesselName).toBe('blue box');
		expect(p.rows[0]!.filled.litres).toBeCloseTo((60 * 18 * 14) / 1000, 6);
		expect(
			await code(act('vessel.set', uuidv7(), { name: 'vase', vessel: { shape: 'round', topCm: 8, baseCm: 12, heightCm: 20 } }))
		).toBe('entry.invalid');
		expect(await code(act('vessel.gone', id, {}))).toBe('ok');
		expect(await benchware.vessels(database(), garden.id)).toEqual([]);
	});
});

describe('preparing, guides and labels', () => {
	it('what is planned is filled the day before, and the round says so', async () => {
		const kinds = handbook().kinds;
		const id = uuidv7();
		const planned: Act = {
			...act('batch.planned', id, {
				kind_id: 'streptocarpus',
				way_id: 'leaf',
				stock_id: null,
				want_id: null,
				place_id: null,
				count: 24,
				planned_on: '2026-09-09'
			}),
			takesCode: true
		};
		expect(kinds.has('streptocarpus')).toBe(true);
		expect(await code(planned)).toBe('ok');
		expect((await plannedWithin(garden, 7)).map((w) => w.id)).toContain(id);
		const round = await roundOf(garden, dayNumber(today));
		const task = [...round.stops.flatMap((s) => s.tasks), ...round.week].find((t) => t.work === 'prepare');
		expect(task?.title).toMatch(/Fill \d+ × seed tray/);
		// A tray that has to soak a day is filled a day sooner.
		expect(task!.from).toBe(dayNumber('2026-09-07'));
		expect(task!.why).toContain('soak');
	});
	it('every kind and way has a guide: cautions first, a drawing, steps in the person’s units', async () => {
		for (const kind of handbook().kinds.values())
			for (const w of kind.ways) {
				const g = await guideOf(garden, kind.id, w.id, new URLSearchParams('slant=1&hormone=1'));
				expect(g.steps[0]!.caution, `${kind.id} ${w.id}`).toBe(true);
				expect(g.steps.length).toBeGreaterThan(4);
				for (const h of kind.hazards) expect(g.steps[0]!.say).toContain(h.say);
				expect(JSON.stringify(g.drawing)).not.toMatch(/null|NaN/);
				expect(g.steps.map((s) => s.say).join(' ')).not.toMatch(/undefined|NaN/);
			}
		await expect(guideOf(garden, 'box', 'nonsense', new URLSearchParams())).rejects.toMatchObject({ status: 404 });
	});
	it('labels are named by code, each as often as asked; what is no code of this garden is told', async () => {
		const [b] = await state.batches(database(), garden.id, ['growing']);
		const { labels, unknown } = await labelsFor(garden, `${b!.code.toLowerCase()}:3, ZZZ-Z`, 'http://127.0.0.1:4180');
		expect(labels).toHaveLength(3);
		expect(labels[0]!.qr).toBe(`http://127.0.0.1:4180/g/${garden.slug}/c/${b!.code}`);
		expect(unknown).toEqual(['ZZZ-Z']);
	});
});
