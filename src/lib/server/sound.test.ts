/** What was written is there once, right, and stays: any order of doing, undoing, sending twice, and deriving afresh. */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { act, ACTS_TODAY, placeAct as place, stockAct as stock, struckAct as struck } from '../../testing/acts.js';
import { gardenSettings } from '../../testing/garden.js';
import { closeDatabase, database } from './db.js';
import { createGarden, record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { entryById } from './store/entries.js';
import * as state from './store/state.js';

const TODAY = ACTS_TODAY;
let gardenId = '';
const writer = () => ({ gardenId, actor: 'test', today: TODAY });
const checked = (id: string, alive: number, more: Partial<Act> = {}) =>
	act('batch.checked', id, { alive, rooted: null, sign: 'none' }, more);
const ok = async (...acts: Act[]) => {
	const r = await record(writer(), acts);
	if (!r.ok) throw new Error(`${r.problem.code}: ${r.problem.sentence}`);
	return r.value;
};
const codeOf = async (r: ReturnType<typeof record>) => {
	const answer = await r;
	return answer.ok ? 'ok' : answer.problem.code;
};
const standing = async (id: string) => !(await entryById(database(), gardenId, id))!.undone;
const newGarden = async () => {
	gardenId = uuidv7();
	const r = await createGarden(gardenId, 'sound', 'test', TODAY, [
		{ ...act('garden.set', gardenId, gardenSettings()), id: gardenId }
	]);
	if (!r.ok) throw new Error(r.problem.sentence);
};
beforeAll(async () => {
	await freshDatabase('sound_house');
	await newGarden();
});
afterAll(closeDatabase);

describe('undone, done again, undone', () => {
	it('as often as one likes: entry, state and story say the same', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const lost = await ok(act('batch.lost', id, { count: 3, why: 'slugs', planted: false }));
		const entry = lost.ids[0]!;
		let last = entry;
		for (let n = 1; n <= 6; n++) {
			// By undoing what was done last, or by undoing the entry itself again.
			const undoId = uuidv7();
			const off = n % 2 === 1;
			const r = await undo(writer(), off && n > 2 ? entry : last, undoId);
			expect(r.ok, `${n}`).toBe(true);
			last = undoId;
			expect(await standing(entry)).toBe(!off);
			expect((await state.batchById(database(), gardenId, id))!.lost).toBe(off ? 0 : 3);
			const { line } = (await entryById(database(), gardenId, undoId))!;
			expect(line).toMatch(off ? /^Undone: (?!Done|Undone)/ : /^Done again: (?!Done|Undone)/);
		}
		expect(await codeOf(undo(writer(), entry, uuidv7()) as never)).toBe('ok');
		expect(await codeOf(undo(writer(), entry, uuidv7()) as never)).toBe('entry.undone');
	});
});

describe('sent twice', () => {
	it('is one; with other content it is told and not kept; undone it says so', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const loss = act('batch.lost', id, { count: 1, why: '', planted: false });
		await ok(loss);
		expect((await ok(loss)).already).toBe(true);
		// The answer was cut off, the person corrects 1 to 3 and sends again.
		const other = await record(writer(), [{ ...loss, data: { count: 3, why: '', planted: false } }]);
		expect(!other.ok && other.problem).toMatchObject({ code: 'entry.sent-otherwise' });
		expect(!other.ok && other.problem.sentence).toContain('lost 1');
		expect(await codeOf(record(writer(), [{ ...loss, note: 'and a note' }]))).toBe('entry.sent-otherwise');
		expect(await codeOf(record(writer(), [{ ...loss, on: '2027-07-19' }]))).toBe('entry.sent-otherwise');
		expect((await state.batchById(database(), gardenId, id))!.lost).toBe(1);
		await undo(writer(), loss.id, uuidv7());
		expect(await codeOf(record(writer(), [loss]))).toBe('entry.sent-undone');
	});

	it('a garden made twenty times at once is one', async () => {
		const id = uuidv7();
		const begun = { ...act('garden.set', id, gardenSettings()), id };
		const made = await Promise.all(Array.from({ length: 20 }, () => createGarden(id, 'twenty', 'test', TODAY, [begun])));
		expect(new Set(made.map((m) => (m.ok ? m.value.slug : m.problem.code)))).toEqual(new Set(['twenty']));
	});
});

describe('two people', () => {
	it('one corrects a stock plant while the other carries it in: both stand', async () => {
		const [id, sill] = [uuidv7(), uuidv7()];
		await ok(place(sill));
		await ok(stock(id));
		const { version } = (await state.stockById(database(), gardenId, id))!;
		const told = await ok({ ...stock(id, { count: 9 }), seen: version });
		// The page that wrote it goes on from there before it has the new counts; a sending again tells none.
		expect(told.version).toBe((await state.stockById(database(), gardenId, id))!.version);
		await ok(act('stock.moved', id, { place_id: sill }));
		expect(await state.stockById(database(), gardenId, id)).toMatchObject({ count: 9, place_id: sill });
		// A form drawn before that is told, even if something was undone in between.
		expect(await codeOf(record(writer(), [{ ...stock(id, { count: 12 }), seen: version }]))).toBe('entry.changed-since');
		const again = await ok(stock(id, { count: 8 }));
		const seen = (await state.stockById(database(), gardenId, id))!.version;
		await undo(writer(), again.ids[0]!, uuidv7());
		await ok(stock(id, { count: 7 }));
		expect(await codeOf(record(writer(), [{ ...stock(id, { count: 6 }), seen }]))).toBe('entry.changed-since');
		expect((await state.stockById(database(), gardenId, id))!.count).toBe(7);
	});

	it('undo plus a log are not what was seen', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const first = await ok(checked(id, 18));
		const seen = (await state.batchById(database(), gardenId, id))!.version;
		await undo(writer(), first.ids[0]!, uuidv7());
		await ok(checked(id, 12));
		expect(await codeOf(record(writer(), [checked(id, 17, { seen })]))).toBe('entry.changed-since');
	});
});

describe('what is not there', () => {
	it('cannot be dropped, closed, ended, cleared or worked on', async () => {
		const nobody = uuidv7();
		const work = { care: 'water', place_id: null, targets: [nobody] };
		for (const [a, code] of [
			[act('want.dropped', nobody, { why: '' }), 'want.unknown'],
			[act('want.buying', nobody, { count: 2 }), 'want.unknown'],
			[act('want.bought', nobody, { count: 2 }), 'want.unknown'],
			[act('place.closed', nobody, {}), 'place.unknown'],
			[act('place.walked', nobody, { walk: 3 }), 'place.unknown'],
			[act('stock.moved', nobody, { place_id: nobody }), 'stock.unknown'],
			[act('timer.ended', nobody, {}), 'timer.unknown'],
			[act('figure.cleared', nobody, { kind_id: 'triffid', path: 'x' }), 'kind.unknown'],
			[act('care.done', nobody, work), 'care.unknown']
		] as const)
			expect(await codeOf(record(writer(), [a])), a.kind).toBe(code);
	});
});
