/** A batch is given to a want that came after it, and taken away; a want is changed in place, and nobody writes over another. */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { act, ACTS_TODAY, stockAct, struckAct } from '../../testing/acts.js';
import { gardenSettings } from '../../testing/garden.js';
import { gardenById } from './context.js';
import { closeDatabase, database } from './db.js';
import { createGarden, record, undo } from './ledger.js';
import * as state from './store/state.js';
import { wantViews } from './wants.js';

const gardenId = uuidv7();
const writer = { gardenId, actor: 'test', today: ACTS_TODAY };
const code = async (result: ReturnType<typeof record>) => {
	const r = await result;
	return r.ok ? 'ok' : r.problem.code;
};
const want = (subject: string, over: Record<string, unknown> = {}, more = {}) =>
	act(
		'want.set',
		subject,
		{
			kind_id: 'lavender',
			purpose: 'plants',
			label: '',
			place_id: null,
			target: 8,
			due: '2029-06-01',
			confidence: 0.8,
			shape: null,
			...over
		},
		more
	);
const view = async (id: string) => (await wantViews((await gardenById(gardenId))!, id))[0]!;

beforeAll(async () => {
	process.env.SURCULUS_TODAY = ACTS_TODAY;
	await closeDatabase();
	await freshDatabase('meant');
	const made = await createGarden(gardenId, 'meant', 'test', ACTS_TODAY, [act('garden.set', gardenId, gardenSettings())]);
	expect(made.ok).toBe(true);
});
afterAll(async () => {
	delete process.env.SURCULUS_TODAY;
	await closeDatabase();
});

describe('a batch that was struck first', () => {
	const batch = uuidv7();
	const wanted = uuidv7();

	it('serves the want that it is given to, and no longer when it is taken away', async () => {
		const stock = uuidv7();
		expect(await code(record(writer, [stockAct(stock), struckAct(batch, stock, 20)]))).toBe('ok');
		expect(await code(record(writer, [want(wanted)]))).toBe('ok');
		expect((await view(wanted)).odds).toBe(0);
		const given = await record(writer, [act('batch.meant', batch, { want_id: wanted })]);
		expect(given.ok).toBe(true);
		const with20 = (await view(wanted)).odds;
		expect(with20).toBeGreaterThan(0.5);
		expect(await code(record(writer, [act('batch.meant', batch, { want_id: null })]))).toBe('ok');
		expect((await view(wanted)).odds).toBe(0);
		// Undone, it serves it again.
		const last = (await state.batchById(database(), gardenId, batch))!;
		expect(last.wantId).toBeNull();
		const { rows } = await database().query<{ id: string }>(
			`SELECT id FROM entry WHERE garden_id = $1 AND kind = 'batch.meant' ORDER BY seq DESC LIMIT 1`,
			[gardenId]
		);
		expect((await undo(writer, rows[0]!.id, uuidv7())).ok).toBe(true);
		expect((await view(wanted)).odds).toBe(with20);
	});

	it('serves no want of another kind, nor one that is not there', async () => {
		const sage = uuidv7();
		expect(await code(record(writer, [want(sage, { kind_id: 'sage' })]))).toBe('ok');
		expect(await code(record(writer, [act('batch.meant', batch, { want_id: sage })]))).toBe('want.other-kind');
		expect(await code(record(writer, [act('batch.meant', batch, { want_id: uuidv7() })]))).toBe('want.unknown');
		expect(await code(record(writer, [act('batch.meant', uuidv7(), { want_id: wanted })]))).toBe('batch.unknown');
	});

	it('serves a want that it would do for as well, and counts there beside those of the first kind', async () => {
		const any = uuidv7();
		const others = (or_kinds: string[], over = {}) =>
			code(record(writer, [want(any, { kind_id: 'sage', or_kinds, target: 16, ...over })]));
		expect(await others(['lavender', 'sage'])).toBe('want.same-kind');
		expect(await others(['lavender', 'lavender'])).toBe('want.same-kind');
		expect(await others(['no such kind'])).toBe('kind.unknown');
		expect(await others(['lavender'], { purpose: 'hedge' })).toBe('want.one-kind');
		expect(await others(['lavender', 'box', 'iris', 'catmint', 'fuchsia'])).not.toBe('ok');
		expect(await others(['lavender', 'box'])).toBe('ok');
		const of = await view(any);
		expect(of.kindName).toMatch(/^.*sage, .*lavender or .*box$/i);
		expect(of.odds).toBe(0);
		expect(await code(record(writer, [act('batch.meant', batch, { want_id: any })]))).toBe('ok');
		const lavender = (await view(any)).odds;
		const [stock, second] = [uuidv7(), uuidv7()];
		expect(await code(record(writer, [stockAct(stock, { kind_id: 'sage' })]))).toBe('ok');
		const sage = { ...{ kind_id: 'sage', way_id: 'semi-ripe', stock_id: stock, want_id: any }, place_id: null, count: 20 };
		expect(
			await code(record(writer, [act('batch.planned', second, { ...sage, planned_on: '2027-08-20' }, { takesCode: true })]))
		).toBe('ok');
		const both = await view(any);
		expect(both.odds).toBeGreaterThan(lavender);
		expect(both.batches.map((b) => b.kindName).sort()).toEqual(['English lavender', 'Garden sage']);
		const { rows } = await database().query<{ line: string }>(
			`SELECT line FROM entry WHERE garden_id = $1 AND subject_id = $2 ORDER BY seq DESC LIMIT 1`,
			[gardenId, any]
		);
		expect(rows[0]!.line).toMatch(/^Want: 16 .*sage, .*lavender or .*box/i);
		expect(await code(record(writer, [act('batch.meant', batch, { want_id: null })]))).toBe('ok');
	});

	it('is grown on for a want of taller plants: later, by its year, and back to its own time when that is not asked any more', async () => {
		const [of, tall] = [uuidv7(), uuidv7()];
		expect(await code(record(writer, [struckAct(of, null, 20)]))).toBe('ok');
		const ask = (least_cm: number | null, over = {}) =>
			code(record(writer, [want(tall, { due: '2028-06-01', least_cm, ...over })]));
		// Lavender grows 60 cm tall; of iris nobody tells; what is kept alive is as tall as it is.
		expect(await ask(55)).toBe('want.height');
		expect(await ask(2)).not.toBe('ok');
		expect(await ask(30, { kind_id: 'iris' })).toBe('want.height');
		expect(await ask(30, { or_kinds: ['iris'] })).toBe('want.height');
		expect(await ask(30, { purpose: 'keep' })).toBe('want.height');
		expect(await ask(null)).toBe('ok');
		expect(await code(record(writer, [act('batch.meant', of, { want_id: tall })]))).toBe('ok');
		const soon = await view(tall);
		expect(soon.odds).toBeGreaterThan(0.5);
		expect(await ask(30)).toBe('ok');
		const never = await view(tall);
		expect(never.odds).toBeLessThan(0.05);
		expect(never.leastCm).toBe(30);
		// From 8 cm with a first year's shoot of 15 towards 60: 30 after some two years of growth.
		expect(never.ready!.usual > '2029-06').toBe(true);
		expect(never.ready!.usual < '2031-01').toBe(true);
		// Typed in inches it is kept as it was typed, and told to the centimetre.
		expect(await ask(12 * 2.54, { due: '2031-06-01' })).toBe('ok');
		expect((await view(tall)).odds).toBeGreaterThan(0.5);
		expect(await ask(null)).toBe('ok');
		expect((await view(tall)).odds).toBe(soon.odds);
		const lines = await database().query<{ line: string }>(
			`SELECT line FROM entry WHERE garden_id = $1 AND subject_id = $2 AND line LIKE '%tall%' ORDER BY seq`,
			[gardenId, tall]
		);
		expect(lines.rows.map((r) => r.line).join()).not.toContain('30.48');
		expect(lines.rows[0]!.line).toMatch(/; at least 30 cm tall$/);
		expect(await code(record(writer, [act('batch.meant', of, { want_id: null })]))).toBe('ok');
	});

	it('a planned one can be given away as well, and is struck for what it is meant for then', async () => {
		const planned = uuidv7();
		const plan = {
			kind_id: 'lavender',
			way_id: 'semi-ripe',
			stock_id: null,
			want_id: null,
			place_id: null,
			count: 9,
			planned_on: '2027-07-25'
		};
		expect(await code(record(writer, [act('batch.planned', planned, plan, { takesCode: true })]))).toBe('ok');
		expect(await code(record(writer, [act('batch.meant', planned, { want_id: wanted })]))).toBe('ok');
		expect((await view(wanted)).planned).toBe(9);
	});
});

describe('a want changed in place', () => {
	it('has another number, day and certainty, and its odds follow; who saw an older one is told', async () => {
		const id = uuidv7();
		expect(await code(record(writer, [want(id, { target: 5 })]))).toBe('ok');
		const first = await view(id);
		expect(
			await code(record(writer, [want(id, { target: 12, due: '2030-05-01', confidence: 0.9 }, { seen: first.version })]))
		).toBe('ok');
		const second = await view(id);
		expect([second.target, second.due, second.confidence]).toEqual([12, '2030-05-01', 0.9]);
		expect(await code(record(writer, [want(id, { target: 3 }, { seen: first.version })]))).toBe('entry.changed-since');
		expect((await view(id)).target).toBe(12);
		expect(await code(record(writer, [want(id, { due: ACTS_TODAY }, { seen: second.version })]))).toBe('want.past');
	});
});

describe('plants that are bought towards a want', () => {
	it('count with those that grow: planned ones until they are undone, bought ones once they stand', async () => {
		const wanted = uuidv7();
		expect(await code(record(writer, [want(wanted, { kind_id: 'sage', may_buy: 5 })]))).toBe('ok');
		expect(await view(wanted)).toMatchObject({ mayBuy: 5, buying: 0, bought: 0, odds: 0, standing: 'no plan' });
		const plan = await record(writer, [act('want.buying', wanted, { count: 8 })]);
		expect(await view(wanted)).toMatchObject({ buying: 8, odds: 1, oddsGrowing: 0, standing: 'in hand', planted: 0 });
		expect(await code(record(writer, [act('want.buying', wanted, { count: 9 })]))).toBe('want.buy');
		// Nothing grows: all of them are needed.
		expect((await view(wanted)).wouldBuy).toBe(8);
		// Bought in two goes: what is still to be goes down by as many.
		expect(await code(record(writer, [act('want.bought', wanted, { count: 3 })]))).toBe('ok');
		expect(await view(wanted)).toMatchObject({ buying: 5, bought: 3, odds: 1, oddsGrowing: 0, planted: 3 });
		expect(await code(record(writer, [act('want.buying', wanted, { count: 6 })]))).toBe('want.buy');
		expect(await code(record(writer, [act('want.bought', wanted, { count: 5 })]))).toBe('ok');
		expect(await view(wanted)).toMatchObject({ buying: 0, bought: 8, standing: 'met' });
		// Another number, all else as it stands: what was bought stays.
		expect(await code(record(writer, [want(wanted, { kind_id: 'sage', target: 12 })]))).toBe('ok');
		expect(await view(wanted)).toMatchObject({ bought: 8, odds: 0 });
		// The plan undone: those that were bought were bought none the less.
		if (!plan.ok) throw new Error('refused');
		await undo(writer, plan.value.ids[0]!, uuidv7());
		expect(await view(wanted)).toMatchObject({ buying: 0, bought: 8 });
	});

	it('are none of a hedge, and no more than are wanted', async () => {
		expect(await code(record(writer, [want(uuidv7(), { purpose: 'hedge', may_buy: 2 })]))).toBe('want.one-age');
		expect(await code(record(writer, [want(uuidv7(), { may_buy: 9 })]))).toBe('want.buy');
	});
});

describe('what is wanted in pots', () => {
	it('counts once it is given, and what is given of what was to be planted does not', async () => {
		const stock = uuidv7();
		expect(await code(record(writer, [stockAct(stock)]))).toBe('ok');
		for (const [purpose, had] of [
			['gifts', 6],
			['plants', 0]
		] as const) {
			const [wanted, batch] = [uuidv7(), uuidv7()];
			expect(await code(record(writer, [want(wanted, { purpose, target: 6 })]))).toBe('ok');
			expect(await code(record(writer, [struckAct(batch, stock, 10), act('batch.meant', batch, { want_id: wanted })]))).toBe(
				'ok'
			);
			expect(await code(record(writer, [act('batch.potted', batch, { count: 8, container: '', place_id: null })]))).toBe('ok');
			const potted = await view(wanted);
			expect(potted.planted).toBe(0);
			expect(await code(record(writer, [act('batch.given', batch, { count: 6, to: 'the fête' })]))).toBe('ok');
			expect(await view(wanted)).toMatchObject({ planted: had, standing: had === 6 ? 'met' : 'unlikely' });
			if (had === 6) expect((await view(wanted)).odds).toBe(1);
		}
	});
});
