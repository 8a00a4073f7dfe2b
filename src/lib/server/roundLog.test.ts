/** The round follows what is logged: work done, put off, skipped; what was seen; days away; the walk. */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo, DEMO_GARDEN } from '../../../demo/load.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { awayPlan } from './away.js';
import { awaySpan } from './awaySpan.js';
import { gardenById, kindsOf } from './context.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { rebuild, record, undo } from './ledger.js';
import { roundOf } from './round.js';
import { careId } from './roundTasks.js';
import { seasonOf } from './season.js';
import * as state from './store/state.js';
import { noTreatment } from '../../testing/acts.js';
import { addDays, dayNumber, isoOf } from '$lib/core/dates.js';
import { tickSheetPdf } from '$lib/formats/tickSheet.js';

const TODAY = '2026-09-05';
const garden = async (): Promise<Garden> => (await gardenById(DEMO_GARDEN))!;

beforeAll(async () => {
	process.env.SURCULUS_TODAY = TODAY;
	await closeDatabase();
	await freshDatabase('round_log');
	await loadDemo();
});
afterAll(async () => {
	delete process.env.SURCULUS_TODAY;
	await closeDatabase();
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

	it('what hardly will root any more is one line, and stays away once it is left', async () => {
		const id = uuidv7();
		const struck = { kind_id: 'fuchsia', way_id: 'softwood', stock_id: null, want_id: null, place_id: null };
		const look = (on: string, alive: number) => ({
			id: uuidv7(),
			kind: 'batch.checked' as const,
			subjectId: id,
			on,
			data: { alive, rooted: 0, sign: 'none' }
		});
		const kind = (await kindsOf(await garden())).get('fuchsia')!;
		const way = kind.ways[0]!;
		const made = await record(writer, [
			{
				id,
				kind: 'batch.struck',
				subjectId: id,
				on: '2026-05-10',
				takesCode: true,
				data: { ...struck, way_id: way.id, struck: 4, container: '', treatment: noTreatment }
			},
			...['2026-06-20', '2026-07-15', '2026-08-12'].map((on) => look(on, 4))
		]);
		expect(made.ok ? '' : JSON.stringify(made.problem)).toBe('');
		const round = await roundOf(await garden(), dayNumber(TODAY));
		const line = round.stragglers.find((t) => t.batchId === id)!;
		expect(line.count).toBe(4);
		expect(line.why).toContain('hardly root any more');
		expect([...round.stops.flatMap((s) => s.tasks), ...round.week].some((t) => t.batchId === id && t.work === 'look')).toBe(
			false
		);
		await log('care.put-off', { work: 'look', placeId: null, targets: [id] }, { until: addDays(TODAY, 28) });
		expect((await roundOf(await garden(), dayNumber(TODAY))).stragglers.some((t) => t.batchId === id)).toBe(false);
		const lost = { count: 4, why: 'no roots', planted: false };
		expect((await record(writer, [{ id: uuidv7(), kind: 'batch.lost', subjectId: id, on: TODAY, data: lost }])).ok).toBe(true);
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
		const pdf = await tickSheetPdf({
			title: 'Three Alders',
			under: `${from} to ${to}`,
			rows: away.rows.map((r) => ({ ...r, head: r.day })),
			none: '',
			fonts: null
		});
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
