/** Small trials, and looks as they teach. */
import { jStat } from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceBetter, looksOf, trialSentence } from './index.js';
import { rootingAfter } from '../odds/rooting.js';
import { emptyBatch } from '../../../testing/batches.js';

describe('a small trial', () => {
	it('the chance that one is better: a closed form, symmetry, and integration by a statistics library', () => {
		// Beta(2,1) against Beta(1,2): 5/6.
		expect(chanceBetter({ rooted: 1, failed: 0 }, { rooted: 0, failed: 1 })).toBeCloseTo(5 / 6, 3);
		const counts = fc.record({ rooted: fc.nat(30), failed: fc.nat(30) });
		fc.assert(
			fc.property(counts, counts, (a, b) => {
				expect(chanceBetter(a, b) + chanceBetter(b, a)).toBeCloseTo(1, 6);
				let sum = 0;
				const n = 3000;
				for (let i = 0; i < n; i++) {
					const p = (i + 0.5) / n;
					sum += (jStat.beta.pdf(p, a.rooted + 1, a.failed + 1) * jStat.beta.cdf(p, b.rooted + 1, b.failed + 1)) / n;
				}
				expect(chanceBetter(a, b)).toBeCloseTo(sum, 2);
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

describe('what was logged, as looks', () => {
	const b = emptyBatch({
		id: 'b',
		seen: { rooted: { passed: 5, failed: 2 } },
		looks: [
			{ on: '2027-07-10', unrooted: 12, newly: null, lost: 0, sign: 'firm', looked: null, showing: null },
			{ on: '2027-07-20', unrooted: 12, newly: 5, lost: 2, sign: 'resists a tug', looked: null, showing: null },
			{ on: '2027-07-25', unrooted: 5, newly: null, lost: 0, sign: 'none', looked: null, showing: null }
		]
	});
	const at = (day: number) => day - 20_000;
	it('a sign without a number counts for one piece, a count for all, a bare count of the living for nothing', () => {
		const { looks, since, died } = looksOf(b, at);
		expect(looks).toHaveLength(2);
		expect(looks[0]).toMatchObject({ looked: 1, showing: 1, sign: 'firm', since: 0 });
		expect(looks[1]).toMatchObject({ looked: 12, showing: 5, sign: 'counted', since: 0 });
		expect(since).toBe(looks[1]!.at);
		expect(died).toBe(2);
	});
	it('what died lowers the chance of the rest', () => {
		const prior = { chance: { alpha: 8, beta: 2 }, days: [10, 20, 40] as const };
		const { looks, died } = looksOf(b, at);
		expect(rootingAfter(prior, looks, died).chance).toBeLessThan(rootingAfter(prior, looks, 0).chance);
	});
});
