/** Small trials, and looks as they teach. */
import { randomLcg } from 'd3-random';
import { jStat } from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { foldBatch } from '../ledger/index.js';
import type { AnyEntry } from '../ledger/index.js';
import { rootingAfter } from '../odds/rooting.js';
import { chanceBetter, rootingSeen, trialSentence } from './index.js';

describe('a small trial', () => {
	it('the chance that one is better: a closed form, symmetry, and integration by a statistics library', () => {
		// Beta(2,1) against Beta(1,2): 5/6.
		expect(chanceBetter({ rooted: 1, failed: 0 }, { rooted: 0, failed: 1 })).toBeCloseTo(5 / 6, 12);
		// Great and even counts: a step of one half of the difference, which a coarse grid misses (.7518 by simulation of 10⁶).
		expect(chanceBetter({ rooted: 500, failed: 500 }, { rooted: 500, failed: 500 })).toBeCloseTo(0.5, 9);
		expect(chanceBetter({ rooted: 500, failed: 500 }, { rooted: 499, failed: 501 })).toBeCloseTo(0.5178, 3);
		const counts = fc.record({ rooted: fc.nat(30), failed: fc.nat(30) });
		fc.assert(
			fc.property(counts, counts, (a, b) => {
				expect(chanceBetter(a, b) + chanceBetter(b, a)).toBeCloseTo(1, 10);
				let sum = 0;
				// Fine enough for the steepest corner, where a step of 1/3000 is five millionths out.
				const n = 12_000;
				for (let i = 0; i < n; i++) {
					const p = (i + 0.5) / n;
					sum += (jStat.beta.pdf(p, a.rooted + 1, a.failed + 1) * jStat.beta.cdf(p, b.rooted + 1, b.failed + 1)) / n;
				}
				expect(chanceBetter(a, b)).toBeCloseTo(sum, 5);
			}),
			{ numRuns: 40 }
		);
	});
	it('three pieces to a treatment prove nothing (common practice, no source)', () => {
		const g = (group: string, rooted: number, lost: number) => ({ group, pieces: rooted + lost, rooted, lost, waiting: 0 });
		expect(trialSentence([g('powder', 2, 1), g('none', 1, 2)])).toMatch(/luck/);
		expect(trialSentence([g('powder', 19, 1), g('none', 4, 16)])).toMatch(/Hardly luck/);
		expect(trialSentence([g('powder', 2, 1)])).toBeNull();
		expect(trialSentence([g('powder', 0, 0), g('none', 0, 0)])).toBeNull();
	});
});

describe('a trial between equals', () => {
	it('is called hardly luck in about one of twenty', () => {
		const uniform = randomLcg(0.31);
		let called = 0;
		const trials = 4_000;
		for (let i = 0; i < trials; i++) {
			const p = 0.3 + 0.5 * uniform();
			const n = 8 + Math.floor(uniform() * 18);
			const group = (name: string) => {
				const rooted = Array.from({ length: n }, uniform).filter((u) => u < p).length;
				return { group: name, pieces: n, rooted, lost: n - rooted, waiting: 0 };
			};
			if (trialSentence([group('powder'), group('none')])!.includes('Hardly luck')) called++;
		}
		expect(called / trials).toBeLessThan(0.06);
		expect(called / trials).toBeGreaterThan(0.01);
	});
});

describe('what was logged, as the roots are told by it', () => {
	const day = (on: number) => on - dayNumber('2027-07-01');
	const ID = '0190a8f0-0000-7000-8000-000000000001';
	const none = { medium: '', hormone: '', wound: false, cover: '' };
	const entry = (kind: string, on: string, data: object) =>
		({ id: on + kind, kind, subjectId: ID, on, data, note: '' }) as unknown as AnyEntry;
	const struck = (n: number) =>
		entry('batch.struck', '2027-07-01', {
			...{ code: 'x', kind_id: 'coleus', way_id: 'water', stock_id: null, want_id: null, place_id: null },
			...{ struck: n, treatment: none, container: '' }
		});
	const told = (...entries: AnyEntry[]) => {
		const r = foldBatch(entries);
		if (!r.ok) throw new Error(r.problem.sentence);
		return rootingSeen(r.value!.rootRecord, day);
	};
	const check = (on: string, alive: number, rooted: number | null, sign = 'none') =>
		entry('batch.checked', on, { alive, rooted, sign });

	it('a sign without a number counts for one piece, a count for all, a bare count of the living for life alone', () => {
		const s = told(struck(12), check('2027-07-10', 12, null, 'firm'), check('2027-07-25', 11, null));
		expect(s.signs).toEqual([{ at: 9, looked: 1, showing: 1, sign: 'firm' }]);
		expect(s.epochs).toEqual([
			{ from: 0, died: [{ after: 9, by: 24, count: 1 }], rooted: [], left: 11, seen: 24, counted: false }
		]);
	});
	it('a count of the rooted closes a span, and a piece found dead is dead, not unrooted as well', () => {
		const s = told(struck(12), check('2027-07-21', 10, 5), check('2027-07-31', 10, 7));
		expect(s.epochs).toEqual([
			{ from: 0, died: [{ after: 0, by: 20, count: 2 }], rooted: [{ by: 20, count: 5 }], left: 5, seen: 20, counted: true },
			{ from: 20, died: [], rooted: [{ by: 30, count: 2 }], left: 3, seen: 30, counted: true }
		]);
	});
	it('what died lowers the chance of the rest', () => {
		const prior = { chance: { alpha: 8, beta: 2 }, days: [10, 20, 40] as const };
		const after = (dead: number) => rootingAfter(prior, told(struck(12), check('2027-07-21', 12 - dead, 5))).chance;
		expect(after(4)).toBeLessThan(after(0));
	});
	it('given away unrooted is no success and no failure', () => {
		const given = entry('batch.given', '2027-07-05', { count: 10, to: 'a neighbour' });
		const r = foldBatch([struck(12), given]);
		expect(r.ok && r.value!.seen.rooted).toBeUndefined();
		expect(told(struck(12), given).epochs).toMatchObject([{ left: 2, died: [], rooted: [] }]);
	});
});
