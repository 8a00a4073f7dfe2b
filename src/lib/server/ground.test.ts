/** The ground of the demo's garden by days: as it was, as it is, as it is planned; and what the round asks after a move. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { gardenById } from './context.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { fitsOnDay, groundElsewhere, groundFor } from './groundFree.js';
import { bedsShown } from './groundBeds.js';
import { bedFilled } from './groundView.js';
import { whereTo } from './groundWhere.js';
import { leavingShown } from './leavingView.js';
import { record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { modelOf } from './model.js';
import { fateOf, movedBefore } from './moved.js';
import { movesId } from './movesMeant.js';
import { movesPlanned } from './movesView.js';
import { groundTasks } from './roundGround.js';
import { roundWorld } from './roundWorld.js';
import { snapshotOf } from './snapshot.js';
import * as state from './store/state.js';
import { addDays, dayNumber } from '$lib/core/dates.js';
import { mayStand } from '$lib/core/ground/index.js';
import { DEMO_GARDEN, loadDemo } from '../../../demo/load.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { fillTowns } from '../../../bin/towns.js';

let today = '2026-09-05';
let garden: Garden;
const on = async (day: string) => {
	today = process.env.SURCULUS_TODAY = day;
	garden = (await gardenById(DEMO_GARDEN))!;
};
const write = async (kind: string, subjectId: string, data: object, day = today) => {
	const act = { id: uuidv7(), kind, subjectId, on: day, note: '', data } as unknown as Act;
	const done = await record({ gardenId: garden.id, actor: 'test', today }, [act]);
	expect(done.ok, JSON.stringify(done)).toBe(true);
	return done.ok ? done.value.ids[0]! : '';
};
const place = async (name: string) => (await state.places(database(), garden.id)).find((p) => p.name === name)!;
const stock = async (kind: string) => (await state.stocks(database(), garden.id)).find((s) => s.kind_id === kind)!;
const bed = async (name: string, day: string) => (await bedsShown(garden, dayNumber(day))).find((b) => b.name === name)!;
const kept = { moves: null, by: '', weekends: '', hold: '', free: '' };

beforeAll(async () => {
	process.env.SURCULUS_TODAY = today;
	await fillTowns(await freshDatabase('ground_test'));
	await loadDemo();
	await on(today);
}, 120_000);
afterAll(() => closeDatabase());

describe('the ground on a day', () => {
	it('has what was planted from batches, less what was lost, each where it fits beside what is set', async () => {
		for (const b of await bedsShown(garden)) {
			for (const s of b.stands) {
				expect(s.count).toBeGreaterThan(0);
				for (const p of s.at) expect(mayStand({ ...b.ground!, margin: -0.002 }, p), `${b.name} ${s.name}`).toBe(true);
			}
		}
		const catmint = (await bed('Path edge', today)).stands.filter((s) => s.what === 'batch' && s.name.startsWith('Catmint'));
		const planted = (await snapshotOf(garden.id)).planted.filter((p) => p.kind_id === 'catmint');
		expect(catmint.reduce((n, s) => n + s.count, 0)).toBe(planted.reduce((n, p) => n + p.count, 0));
		// On the day before the first of them nothing of it was there.
		const first = planted[0]!.planted_on;
		const before = (await bed('Path edge', addDays(first, -1))).stands.filter((s) => s.what === 'batch');
		expect(before.map((s) => s.id)).not.toContain(planted[0]!.id);
		// What winter kills here stands for its summer only.
		const tender = (await bed('Path edge', today)).stands.filter((s) => s.name.startsWith('Ivy'));
		const all = (await snapshotOf(garden.id)).planted.filter((p) => p.kind_id === 'ivy-pelargonium');
		expect(all.length).toBeGreaterThan(tender.length);
		expect(tender.map((s) => s.id)).toEqual(all.filter((p) => p.planted_on > '2026-01-01').map((p) => p.id));
		expect((await bed('Path edge', first)).stands.map((s) => s.id)).toContain(planted[0]!.id);
	});

	it('counts what fits beside all that stands there', async () => {
		const path = await place('Path edge');
		const q = { kind: 'lavender', spacing: '', margin: '', pattern: '', turn: '', gaps: '', beside: '', share: '' };
		const filled = (await bedFilled(garden, path.id, q)).filled!;
		const beside = (await bed('Path edge', today)).stands;
		for (const [x, y] of filled.points)
			for (const s of beside)
				for (const [u, v] of s.at)
					expect(Math.hypot(x - u, y - v)).toBeGreaterThan((s.acrossM + filled.asked.spacingCm / 100) / 2 - 0.002);
		const to = (await whereTo(garden, 'lavender', 5))!.beds.find((b) => b.id === path.id)!;
		expect(to.fits).toBe(filled.asked.count);
	});

	it('is the same for a want that is planned for a bed: what fits on its day beside all that stands there then', async () => {
		const [m, s] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
		const penstemon = s.wants.find((w) => w.kind_id === 'penstemon')!;
		const ground = groundFor(m, s, penstemon, new Set())!;
		expect(ground.bedId).toBe((await place('Cutting bed')).id);
		expect(ground.from[0]).toBe(m.today);
		for (const [i, day] of ground.from.entries()) {
			if ((ground.from[i + 1] ?? Infinity) <= dayNumber(penstemon.due)) continue;
			const told = (await whereTo(garden, 'penstemon', 14, { on: day }))!.beds.find((b) => b.id === ground.bedId)!;
			expect(ground.fits[i]).toBe(told.fits);
		}
		// What is to move there leaves room for few; before it there is plenty. A day later than today's count is the last one's.
		const early = groundFor(m, s, { ...penstemon, due: addDays(today, 30) }, new Set())!;
		expect(fitsOnDay(early, dayNumber(today))).toBeLessThan(14);
		expect(early.fits[0]!).toBeGreaterThan(14);
		expect(fitsOnDay(ground, dayNumber(penstemon.due))).toBeLessThan(14);
		// A bed that it could go to instead has room for some on the day, and is not the one it is for.
		for (const other of groundElsewhere(m, s, penstemon, new Set())) {
			expect(other.bedId).not.toBe(ground.bedId);
			expect(fitsOnDay(other, dayNumber(penstemon.due))).toBeGreaterThan(0);
		}
		// No bed, none that is measured, a hedge: nothing is said of ground.
		for (const over of [{ place_id: null }, { place_id: (await place('Kitchen sill')).id }, { purpose: 'hedge' as const }])
			expect(groundFor(m, s, { ...penstemon, ...over }, new Set())).toBeNull();
	});

	it('grows: no plant is narrower on a later day, and none wider than its kind gets', async () => {
		const m = await modelOf(garden);
		const days = ['2026-07-01', today, '2027-06-01', '2027-11-01'];
		const widths = await Promise.all(days.map(async (d) => new Map((await bedsShown(garden, dayNumber(d))).flatMap((b) => b.stands.map((s) => [s.id, s.acrossM] as const))))); // prettier-ignore
		const s = await snapshotOf(garden.id);
		for (const [i, later] of widths.entries())
			for (const [id, across] of i === 0 ? [] : widths[i - 1]!) {
				expect(later.get(id) ?? across).toBeGreaterThanOrEqual(across);
				const row = s.stocks.find((x) => x.id === id);
				const kind = row && m.kinds.get(row.kind_id)!;
				if (kind && row.size_cm === null) expect(across).toBeLessThanOrEqual(kind.size.spread_cm / 100 + 0.01);
			}
	});

	it('shows kept moves as done from their day on, and what is on its way to a bed', async () => {
		const order = (await movesPlanned(garden, kept)).order!;
		for (const s of order.steps.filter((x) => x.does !== 'waits' && x.on !== null)) {
			const after = (await bedsShown(garden, dayNumber(s.on!) + 30)).find((b) => b.name === s.to)!;
			if (order.last! <= addDays(s.on!, 30))
				expect(
					after.stands.map((x) => x.id),
					s.name
				).toContain(s.stock);
		}
		const wanted = (await snapshotOf(garden.id)).wants.find((w) => w.kind_id === 'lavender')!;
		const year = await bedsShown(garden, dayNumber(today) + 400);
		const path = year.find((b) => b.id === wanted.place_id)!;
		expect(path.stands.some((s) => s.coming && s.count > 0)).toBe(true);
		expect((await bedsShown(garden)).flatMap((b) => b.stands).every((s) => !s.coming)).toBe(true);
	});
});

describe('after a move', () => {
	it('it was where it was, is where it is, and the round asks for a look and for water; undone, for neither', async () => {
		const [iris, bank, border] = [await stock('iris'), await place('Bank above the stream'), await place('Long border')];
		const moved = await write('stock.moved', iris.id, { place_id: bank.id });
		const stands = async (name: string, day: string) => (await bed(name, day)).stands.map((s) => s.id);
		expect(await stands('Long border', addDays(today, -1))).toContain(iris.id);
		expect(await stands('Bank above the stream', today)).toContain(iris.id);
		expect(await stands('Long border', today)).not.toContain(iris.id);
		const spots = (await bed('Long border', addDays(today, -1))).stands.find((s) => s.id === iris.id)!.at;
		expect(spots).toHaveLength(2);
		const works = async (day: string) =>
			groundTasks(await roundWorld(garden), dayNumber(day)).filter((t) => t.targets.includes(iris.id) && t.work !== 'move');
		// Four weeks on it is looked at, at its new place; before that nobody asks.
		const looks = (all: Awaited<ReturnType<typeof works>>) => all.filter((t) => t.work === 'moved-look');
		expect(looks(await works(addDays(today, 15)))).toEqual([]);
		const [look] = looks(await works(addDays(today, 25)));
		expect(look).toMatchObject({ placeId: bank.id, from: dayNumber(today) + 28, log: 'tap' });
		await on(addDays('2026-09-05', 30));
		await write('care.done', uuidv7(), { care: 'moved-look', place_id: bank.id, targets: [iris.id] });
		expect(looks(await works(today))).toEqual([]);
		expect(looks(await works(addDays('2026-09-05', 176)))).toHaveLength(1);
		// In a dry summer it is watered, and not again the day after it was.
		await on('2027-07-20');
		const dry = (await works('2027-07-20')).filter((t) => t.work === 'water-moved');
		expect(dry).toHaveLength(1);
		await write('care.done', uuidv7(), { care: 'water-moved', place_id: bank.id, targets: [iris.id] });
		const [again] = (await works('2027-07-20')).filter((t) => t.work === 'water-moved');
		if (again) expect(again.from).toBeGreaterThan(dayNumber('2027-07-21'));
		await on('2026-10-05');
		const undone = await undo({ gardenId: garden.id, actor: 'test', today }, moved, uuidv7());
		expect(undone.ok).toBe(true);
		expect(await works('2026-10-05')).toEqual([]);
		expect((await stock('iris')).place_id).toBe(border.id);
	});

	it('what lived or died of those moved before tells the next', async () => {
		await on('2026-09-05');
		const [phlox, cutting] = [await stock('phlox'), await place('Cutting bed')];
		const m = await modelOf(garden);
		const odds = async () => {
			const s = await snapshotOf(garden.id);
			const x = s.stocks.find((r) => r.kind_id === 'daylily')!;
			return fateOf(m, s, { stock: x, kind: m.kinds.get('daylily')!, lift: null }, m.today).lives!;
		};
		const before = await odds();
		await write('stock.moved', phlox.id, { place_id: cutting.id });
		expect(await odds()).toBe(before);
		await on('2026-12-01');
		await write('stock.gone', phlox.id, { why: 'dried out', cause: 'dry' });
		expect(movedBefore(await modelOf(garden), await snapshotOf(garden.id), 'clump')).toEqual({ lived: 0, died: phlox.count });
		// 20 of the book's at .96 and two that died.
		expect(await odds()).toBeCloseTo((20 * 0.96) / 22, 6);
		expect(before).toBeCloseTo(0.96, 6);
	});
});

describe('leaving the garden', () => {
	it('takes each plant once, in its season and before the day, and never what is protected by pieces', async () => {
		await on('2026-09-05');
		const left = await leavingShown(garden, { on: '2028-05-15', to: 'Galway' });
		const standing = (await state.stocks(database(), garden.id)).filter((s) => !s.gone_on);
		expect(left.plants.map((p) => p.id).sort()).toEqual(standing.map((s) => s.id).sort());
		expect(left.town!.name).toMatch(/Galway/);
		for (const p of left.plants) {
			const s = standing.find((x) => x.id === p.id)!;
			if (p.from !== null) expect(p.from >= today && p.from <= '2028-05-15', p.name).toBe(true);
			if (p.until !== null) expect(p.until <= '2028-05-15' && p.until >= p.from!, p.name).toBe(true);
			if (s.protection === 'protected') expect(p.how).not.toBe('pieces');
			if (p.how === 'whole') expect(p.takes).toBe(s.count);
		}
		// A holly of 2.6 m is nobody's load: pieces of it, or nothing.
		expect(left.plants.find((p) => p.name.startsWith('Holly'))!.how).not.toBe('whole');
		expect(left.load.kg).toBeGreaterThan(20);
		expect(left.load.pots).toBe(left.plants.reduce((n, p) => n + p.takes, 0));
		// A milder coast warns of less than a harder winter does.
		const cautions = async (to: string) =>
			(await leavingShown(garden, { on: '2028-05-15', to })).plants.reduce((n, p) => n + p.cautions.length, 0);
		expect(await cautions('Galway')).toBeLessThan(await cautions('Yakutsk'));
		expect((await leavingShown(garden, { on: '2026-01-01', to: '' })).wrong).toMatch(/within three years/);
		expect((await leavingShown(garden, { on: '', to: 'Qqqqxxyyzz' })).wrong).toMatch(/No town/);
	});
});

describe('a plan of moves', () => {
	it('refuses what makes no sense, with a sentence', async () => {
		await on('2026-12-01');
		const [sage, lavender, path] = [await stock('sage'), await stock('lavender'), await place('Path edge')];
		const refused = async (moves: object[], more: object = {}) => {
			const act = { id: uuidv7(), kind: 'moves.set', subjectId: movesId(garden.id), on: today, note: '' };
			const data = { by_day: null, weekends: false, hold_id: null, moves, ...more };
			const r = await record({ gardenId: garden.id, actor: 'test', today }, [{ ...act, data } as unknown as Act]);
			return r.ok ? 'kept' : r.problem.sentence;
		};
		const to = { stock_id: sage.id, place_id: path.id };
		expect(await refused([{ ...to, takes: sage.id }])).toMatch(/own place/);
		expect(await refused([to, to])).toMatch(/Each plant goes to one place/);
		expect(await refused([{ ...to, at: [[40, 2]] }])).toMatch(/outside Path edge/);
		expect(await refused([{ ...to, stock_id: uuidv7() }])).toMatch(/no such stock/);
		expect(await refused([{ ...to, place_id: uuidv7() }])).toMatch(/no such place/);
		expect(await refused([to], { hold_id: uuidv7() })).toMatch(/no such place/);
		expect(await refused([to], { by_day: 'soon' })).toMatch(/no day of the calendar/);
		const both = { place_id: path.id, takes: lavender.id };
		const iris = await stock('iris');
		expect(await refused([{ ...both, stock_id: sage.id }, { ...both, stock_id: iris.id }])).toMatch(/one spot/); // prettier-ignore
		expect(await refused(Array.from({ length: 201 }, () => to))).toMatch(/At most 200 moves/);
	});

	it('finds no day in ground that is frozen, and none before the seasons open', async () => {
		const order = (await movesPlanned(garden, kept)).order!;
		const m = await modelOf(garden);
		for (const s of order.steps)
			if (s.on !== null && s.does !== 'out') {
				const month = Number(s.on.slice(5, 7));
				expect([1, 2], `${s.name} ${s.on}`).not.toContain(month);
				expect(dayNumber(s.on)).toBeGreaterThanOrEqual(m.today);
			}
		const days = order.steps.map((s) => s.on).filter((d) => d !== null);
		expect([...days].sort()).toEqual(days);
	});
});
