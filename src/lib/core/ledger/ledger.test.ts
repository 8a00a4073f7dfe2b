import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { codeOf, effective, foldBatch, inHand, MOST_CODES, readCode } from './index.js';
import type { AnyEntry, EntryData, EntryKind } from './index.js';

let next = 0;
const entry = <K extends EntryKind>(kind: K, data: EntryData<K>, on = '2027-07-01') =>
	({ id: `e${next++}`, kind, subjectId: 'b', on, data, note: '' }) as unknown as AnyEntry;

const none = { medium: '', hormone: '', wound: false, cover: '' };
const struck = (n: number, on = '2027-06-15') =>
	entry(
		'batch.struck',
		{
			code: '322-U',
			kind_id: 'box',
			way_id: 'semi-ripe',
			stock_id: null,
			want_id: null,
			place_id: null,
			struck: n,
			treatment: none,
			container: ''
		},
		on
	);
const check = (alive: number, rooted: number | null, on = '2027-07-20') =>
	entry('batch.checked', { alive, rooted, sign: 'none' }, on);
const potted = (count: number, on = '2027-08-01') => entry('batch.potted', { count, container: '', place_id: null }, on);
const planted = (count: number, on = '2027-09-01') => entry('batch.planted', { count, place_id: null }, on);

const fold = (...entries: AnyEntry[]) => {
	const r = foldBatch(entries);
	if (!r.ok) throw new Error(r.problem.code);
	return r.value!;
};
const code = (...entries: AnyEntry[]) => {
	const r = foldBatch(entries);
	return r.ok ? 'ok' : r.problem.code;
};

describe('codes on sticks', () => {
	it('read back as written, in any dress', () => {
		for (const n of [0, 1, 30, 31, 961, MOST_CODES - 1]) {
			const c = codeOf(n);
			expect(readCode(c)).toEqual({ ok: true, value: c });
			expect(readCode(` ${c.toLowerCase().replace('-', ' ')}`)).toEqual({ ok: true, value: c });
		}
	});

	it('catch every single wrong character and every swap of two', () => {
		const alphabet = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
		for (const n of [5, 777, 20_000]) {
			const c = codeOf(n).replace('-', '');
			for (let i = 0; i < 4; i++) {
				for (const wrong of alphabet) if (wrong !== c[i]) expect(readCode(c.slice(0, i) + wrong + c.slice(i + 1)).ok).toBe(false);
				for (let j = i + 1; j < 4; j++) {
					if (c[i] === c[j]) continue;
					const swapped = [...c];
					[swapped[i], swapped[j]] = [swapped[j]!, swapped[i]!];
					expect(readCode(swapped.join('')).ok).toBe(false);
				}
			}
		}
	});

	it('are refused with a reason', () => {
		expect(readCode('12')).toMatchObject({ problem: { code: 'code.length' } });
		expect(readCode('O0IL')).toMatchObject({ problem: { code: 'code.character' } });
	});
});

describe('the story of a batch', () => {
	it('goes from strike to the ground', () => {
		const b = fold(
			struck(20),
			check(18, 5),
			check(17, 15, '2027-07-30'),
			potted(15),
			planted(12),
			entry('batch.lost', { count: 2, why: 'slugs', planted: true }, '2027-09-20')
		);
		expect(b).toMatchObject({
			struck: 20,
			unrooted: 2,
			rooted: 0,
			potted: 3,
			planted: 12,
			lost: 3,
			lostPlanted: 2,
			status: 'growing'
		});
		expect(b.seen).toMatchObject({
			rooted: { passed: 15, failed: 3 },
			potted: { passed: 15, failed: 0 },
			planted: { passed: 10, failed: 2 }
		});
	});

	it('potting what has not been counted as rooted counts it so', () => {
		expect(fold(struck(10), potted(6)).seen).toMatchObject({
			rooted: { passed: 6, failed: 0 },
			potted: { passed: 6, failed: 0 }
		});
	});

	it('refuses counts that cannot be, each with its reason', () => {
		expect(code(struck(10), check(11, null))).toBe('batch.more-alive');
		expect(code(struck(10), check(8, 9))).toBe('batch.more-rooted');
		expect(code(struck(10), check(10, 6), check(10, 4, '2027-07-21'))).toBe('batch.fewer-rooted');
		expect(code(struck(10), check(10, 6), check(8, 4, '2027-07-21'))).toBe('ok');
		expect(code(struck(10), potted(11))).toBe('batch.too-many');
		expect(code(struck(10), potted(10), planted(11))).toBe('batch.too-many');
		expect(code(struck(10), entry('batch.lost', { count: 1, why: '', planted: true }))).toBe('batch.lost-planted');
		expect(code(struck(10), check(9, null, '2027-06-14'))).toBe('batch.date-order');
		expect(code(struck(10), struck(10))).toBe('batch.struck-twice');
		expect(code(check(1, null))).toBe('batch.not-begun');
		expect(code(struck(10), entry('batch.split', { count: 10, to: 'x' }))).toBe('batch.split-all');
		expect(code(struck(10), entry('batch.wintered', { alive: 11 }))).toBe('batch.more-alive');
	});

	it('counts after one night’s frost are not: what it takes says nothing of how the way winters', () => {
		const before = [struck(10), check(10, 10), potted(10)] as const;
		const b = fold(...before, entry('batch.wintered', { alive: 2, after: 'frost' }, '2027-10-20'));
		expect(b).toMatchObject({ potted: 2, lost: 8, winteredOn: null });
		expect(b.seen).toEqual(fold(...before).seen);
		// Winter is still ahead, and its own count is of the two.
		const spring = fold(
			...before,
			entry('batch.wintered', { alive: 2, after: 'frost' }, '2027-10-20'),
			entry('batch.wintered', { alive: 1, after: 'winter' }, '2028-04-20')
		);
		expect(spring.seen.wintered).toEqual({ passed: 1, failed: 1 });
	});

	it('counts after winter are held against the winter', () => {
		const b = fold(struck(10), check(10, 10), potted(10), entry('batch.wintered', { alive: 7 }, '2028-04-20'));
		expect(b).toMatchObject({ potted: 7, lost: 3, winteredOn: '2028-04-20' });
		expect(b.seen.wintered).toEqual({ passed: 7, failed: 3 });
	});

	it('whatever is logged, no count falls below zero and all pieces are somewhere', () => {
		const n = fc.integer({ min: 0, max: 25 });
		const some = fc.integer({ min: 1, max: 25 });
		const act = fc.oneof(
			fc.tuple(n, fc.option(n)).map(([a, r]) => check(a, r)),
			some.map((c) => potted(c, '2027-07-20')),
			some.map((c) => planted(c, '2027-07-20')),
			some.map((count) => entry('batch.given', { count, to: '' }, '2027-07-20')),
			some.map((count) => entry('batch.kept', { count, stock_id: 'x' }, '2027-07-20')),
			some.map((count) => entry('batch.split', { count, to: 'x' }, '2027-07-20')),
			n.map((alive) => entry('batch.wintered', { alive }, '2027-07-20')),
			fc.tuple(some, fc.boolean()).map(([count, p]) => entry('batch.lost', { count, why: '', planted: p }, '2027-07-20'))
		);
		fc.assert(
			fc.property(fc.array(act, { maxLength: 12 }), (acts) => {
				let story = [struck(20)];
				for (const a of acts) {
					const r = foldBatch([...story, a]);
					if (r.ok) story = [...story, a];
				}
				const b = fold(...story);
				const counts = [
					b.unrooted,
					b.rooted,
					b.potted,
					b.planted,
					b.given,
					b.kept,
					b.splitOff,
					b.lost,
					b.planted - b.lostPlanted
				];
				expect(Math.min(...counts)).toBeGreaterThanOrEqual(0);
				expect(inHand(b) + b.planted + b.given + b.kept + b.splitOff + b.lost).toBe(20);
				for (const t of Object.values(b.seen)) expect(Math.min(t.passed, t.failed)).toBeGreaterThanOrEqual(0);
			}),
			{ numRuns: 400 }
		);
	});
});

describe('undo', () => {
	it('takes an entry out, and the undo of an undo puts it back', () => {
		const s = struck(10);
		const c = check(7, 3);
		const undo = entry('entry.reversed', { reverses: c.id });
		const redo = entry('entry.reversed', { reverses: undo.id });
		expect(effective([s, c, undo])).toEqual([s]);
		expect(effective([s, c, undo, redo])).toEqual([s, c]);
	});

	it('is refused by the same rules when later entries need it', () => {
		const s = struck(10);
		expect(foldBatch(effective([s, check(9, null), entry('entry.reversed', { reverses: s.id })]))).toMatchObject({ ok: false });
	});
});
