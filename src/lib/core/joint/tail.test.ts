/** The table of tails against a reference library's binomial distribution. */
import { jStat } from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Tail } from './tail.js';

const atLeast = (t: number, n: number, q: number): number => {
	let sum = 0;
	for (let k = t; k <= n; k++) sum += jStat.binomial.pdf(k, n, q);
	return sum;
};

describe('chance that enough of n live', () => {
	it('is the binomial distribution’s (jStat), for targets from none to two hundred', () => {
		for (const target of [0, 1, 2, 7, 30, 200]) {
			const tail = new Tail(target);
			for (const n of [1, 2, 8, 31, 210, 400])
				// On the table's own points.
				for (const q of [0, 1 / 256, 0.25, 0.5, 0.75, 250 / 256, 1]) {
					const exact = atLeast(target, n, q);
					expect(tail.of(n, q), `${target} of ${n} at ${q}`).toBeCloseTo(exact, 5);
				}
		}
	});

	it.each([
		{ most: 80, within: 0.0005 },
		{ most: 200, within: 0.0015 }
	])('lies between the points within $within for $most pieces, at any chance', ({ most, within }) => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: most }),
				fc.integer({ min: 1, max: most }),
				// As often near none and near all as between.
				fc.oneof(
					fc.double({ min: 0, max: 1, noNaN: true }),
					fc.double({ min: 0, max: 0.01, noNaN: true }),
					fc.integer({ min: 1, max: 4095 }).map((k) => k / 4096),
					fc.integer({ min: 1, max: 64 }).map((k) => 1 - k / 8192)
				),
				(t, n, q) => {
					expect(Math.abs(new Tail(t).of(n, q) - atLeast(t, n, q))).toBeLessThan(within);
				}
			),
			{
				numRuns: 300,
				examples: [
					[1, 35, 0.00145],
					[1, most, 0.00024],
					[most, most, 0.99976]
				]
			}
		);
	});

	it('rises with the pieces and with their chance', () => {
		const tail = new Tail(12);
		for (let n = 0; n < 60; n++) {
			expect(tail.of(n + 1, 0.6)).toBeGreaterThanOrEqual(tail.of(n, 0.6) - 1e-7);
			expect(tail.of(n, 0.7)).toBeGreaterThanOrEqual(tail.of(n, 0.6) - 1e-7);
		}
	});

	it('errs on the careful side for a sum of unlike pieces whose target lies below the mean (Hoeffding 1956, from memory)', () => {
		// 10 pieces at 0.9 and 10 at 0.5, wanted 11 of a mean of 14: exact by convolution of two binomials.
		let exact = 0;
		for (let a = 0; a <= 10; a++)
			for (let b = 0; b <= 10; b++) if (a + b >= 11) exact += jStat.binomial.pdf(a, 10, 0.9) * jStat.binomial.pdf(b, 10, 0.5);
		const told = new Tail(11).of(20, 0.7);
		expect(told).toBeLessThanOrEqual(exact);
		expect(exact - told).toBeLessThan(0.03);
	});
});
