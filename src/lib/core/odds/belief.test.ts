/** Chances in two levels: against exact rationals, closed limits and a statistics library. */
import fc from 'fast-check';
import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { atomRule, before, chanceGrid, expected, meanNodes, mixedRule, outcome, partsOf, strike, through } from './index.js';
import type { Belief } from './index.js';

/** Exact fractions, for what must be right to 1e-6. */
type Q = readonly [bigint, bigint];
const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? (a < 0n ? -a : a) : gcd(b, a % b));
const q = (n: bigint, d: bigint): Q => {
	const g = gcd(n, d) || 1n;
	return d < 0n ? [-n / g, -d / g] : [n / g, d / g];
};
const of = (n: number): Q => q(BigInt(n), 1n);
const add = (a: Q, b: Q): Q => q(a[0] * b[1] + b[0] * a[1], a[1] * b[1]);
const mul = (a: Q, b: Q): Q => q(a[0] * b[0], a[1] * b[1]);
const div = (a: Q, b: Q): Q => q(a[0] * b[1], a[1] * b[0]);
const num = (a: Q): number => Number((a[0] * 10n ** 18n) / a[1]) / 1e18;

/** Polynomials in μ, by rising powers. */
type Poly = Q[];
const times = (a: Poly, b: Poly): Poly => {
	const p: Poly = Array.from({ length: a.length + b.length - 1 }, () => of(0));
	a.forEach((x, i) => b.forEach((y, j) => (p[i + j] = add(p[i + j]!, mul(x, y)))));
	return p;
};
/** E[μ^i] of Beta(α, β) for whole shapes: Π (α + r)/(α + β + r). */
const moment = (i: number, alpha: number, beta: number): Q => {
	let m = of(1);
	for (let r = 0; r < i; r++) m = mul(m, q(BigInt(alpha + r), BigInt(alpha + beta + r)));
	return m;
};
/**
 * P(k of n) with μ ~ Beta(α, β) and p | μ ~ Beta(μc, (1−μ)c), c = (1−ρ)/ρ: C(n,k) E[(μc)_k ((1−μ)c)_{n−k}] / (c)_n,
 * the rising factorials multiplied out as polynomials in μ.
 */
function exact(n: number, k: number, alpha: number, beta: number, c: Q): number {
	let poly: Poly = [of(1)];
	for (let i = 0; i < k; i++) poly = times(poly, [of(i), c]);
	for (let i = 0; i < n - k; i++) poly = times(poly, [add(c, of(i)), mul(c, of(-1))]);
	let sum = of(0);
	poly.forEach((a, i) => (sum = add(sum, mul(a, moment(i, alpha, beta)))));
	let below = of(1);
	for (let i = 0; i < n; i++) below = mul(below, add(c, of(i)));
	let choose = of(1);
	for (let i = 0; i < k; i++) choose = div(mul(choose, of(n - i)), of(i + 1));
	return num(div(mul(choose, sum), below));
}

describe('a batch with a chance of its own', () => {
	it('agrees with enumeration in exact fractions', () => {
		for (const [alpha, beta] of [
			[1, 1],
			[7, 2],
			[40, 13],
			[2, 9]
		] as const)
			for (const [rho, c] of [
				[0.1, q(9n, 1n)],
				[0.5, q(1n, 1n)],
				[0.01, q(99n, 1n)],
				[0.9, q(1n, 9n)]
			] as const)
				for (const n of [1, 4, 11]) {
					const pmf = outcome([{ alpha, beta, rho }], n);
					for (let k = 0; k <= n; k++)
						expect(Math.abs(pmf[k]! - exact(n, k, alpha, beta, c)), `${alpha} ${rho} ${n} ${k}`).toBeLessThan(1e-9);
				}
	});

	it('with a batch’s own counts agrees with Bayes’ rule in exact fractions', () => {
		// P(k of n more | 5 of 6 seen) = P(seen and k) / P(seen), each an expectation of a polynomial: by the ratio of
		// the Beta-binomials of all pieces, with the ways of choosing which of them were the first six.
		const [alpha, beta, c] = [7, 3, q(9n, 1n)];
		const choose = (n: number, k: number) => jStat.combination(n, k);
		const seen = exact(6, 5, alpha, beta, c) / choose(6, 5);
		const pmf = outcome([{ alpha, beta, rho: 0.1, passed: 5, failed: 1 }], 4);
		for (let k = 0; k <= 4; k++) {
			const both = exact(10, 5 + k, alpha, beta, c) / choose(10, 5 + k);
			expect(pmf[k]).toBeCloseTo((choose(4, k) * both) / seen, 9);
		}
	});

	it('without correlation is the one-level model, and with all of it lives or dies as one', () => {
		const b = { alpha: 6, beta: 2 };
		const plain = outcome([b], 30);
		outcome([{ ...b, rho: 1e-8 }], 30).forEach((p, k) => expect(p).toBeCloseTo(plain[k]!, 6));
		const one = outcome([{ ...b, rho: 0.99999 }], 30);
		expect(one[30]).toBeCloseTo(0.75, 3);
		expect(one[0]).toBeCloseTo(0.25, 3);
		expect(Math.max(...one.subarray(1, 30))).toBeLessThan(1e-4);
	});

	it('keeps the mean, sums to one and has the variance of the two levels', () => {
		const shape = fc.double({ min: 0.3, max: 80, noNaN: true });
		fc.assert(
			fc.property(
				shape,
				shape,
				fc.double({ min: 0.001, max: 0.95, noNaN: true }),
				fc.integer({ min: 1, max: 120 }),
				(alpha, beta, rho, n) => {
					const pmf = outcome([{ alpha, beta, rho }], n);
					const mean = alpha / (alpha + beta);
					const m = pmf.reduce((s, p, k) => s + p * k, 0);
					expect(pmf.reduce((s, p) => s + p, 0)).toBeCloseTo(1, 9);
					expect(m).toBeCloseTo(n * mean, 6);
					// Var = n·E[p(1−p)] + n²·Var p, with Var p = Var μ + ρ E[μ(1−μ)].
					const varMu = (mean * (1 - mean)) / (alpha + beta + 1);
					const varP = varMu + rho * (mean * (1 - mean) - varMu);
					const want = n * (mean * (1 - mean) - varP) + n * n * varP;
					expect(pmf.reduce((s, p, k) => s + p * (k - m) ** 2, 0) / want).toBeCloseTo(1, 5);
				}
			),
			{ numRuns: 60 }
		);
	});

	it('is not bought by a long record: 40 batches of 15 of 20 leave 23 to strike for 12 at 9 in 10, not 19', () => {
		// 800 pieces at ρ = .1 are worth 276 by Kish; with the handbook's 14 the Beta has a weight of 290.
		const way = (rho: number): Belief => ({ alpha: 290 * 0.75, beta: 290 * 0.25, rho });
		const n = (rho: number, target: number) => {
			const s = strike([way(rho)], target, 0.9);
			return s.ok ? s.value.strike : null;
		};
		expect([n(0, 12), n(0.1, 12), n(0, 30), n(0.1, 30)]).toEqual([19, 23, 45, 55]);
	});

	it('a batch of which none rooted predicts little for its rest', () => {
		const rest = (rho: number) => expected([{ alpha: 217, beta: 73, rho, passed: 0, failed: 10 }], 1);
		expect(rest(0)).toBeCloseTo(217 / 300, 9);
		expect(rest(0.1)).toBeCloseTo(0.36, 1);
	});
});

describe('sums over a chance', () => {
	it('nodes have the Beta’s mean and variance, whatever its shape', () => {
		const shape = fc.double({ min: 0.05, max: 5_000, noNaN: true });
		fc.assert(
			fc.property(shape, shape, (alpha, beta) => {
				const nodes = meanNodes({ alpha, beta });
				const mean = nodes.reduce((s, n) => s + n.w * n.mu, 0);
				expect(mean).toBeCloseTo(alpha / (alpha + beta), 8);
				const variance = nodes.reduce((s, n) => s + n.w * (n.mu - mean) ** 2, 0);
				expect(variance / ((alpha * beta) / ((alpha + beta) ** 2 * (alpha + beta + 1)))).toBeCloseTo(1, 4);
			})
		);
	});

	it('points of a chance give back its mean, and powers of it as the closed form does', () => {
		const { p, w } = chanceGrid({ alpha: 10.5, beta: 1.5, rho: 0 }, 33);
		const power = (e: number) => p.reduce((s, x, i) => s + w[i]! * x ** e, 0);
		for (const e of [1, 2, 0.5]) expect(power(e)).toBeCloseTo(jStat.betafn(10.5 + e, 1.5) / jStat.betafn(10.5, 1.5), 5);
	});

	it('points of a chance that is next to none or next to sure still sum to one', () => {
		for (const mean of [0.0001, 0.001, 0.01, 0.99, 0.999, 0.9999])
			for (const weight of [4, 10, 40]) {
				const { p, w } = chanceGrid({ alpha: mean * weight, beta: (1 - mean) * weight, rho: 0.1 }, 33);
				expect(w.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
				expect(Math.abs(p.reduce((s, x, i) => s + w[i]! * x, 0) - mean)).toBeLessThan(0.01);
			}
	});
});

describe('a stage as a rule', () => {
	it('leaving one out by chance: every row follows from the one above', () => {
		const rule = mixedRule(partsOf({ alpha: 5, beta: 2, rho: 0.2 }, 40));
		const worth = Float64Array.from({ length: 41 }, (_, k) => Math.sqrt(k));
		before(worth, rule).forEach((v, n) => {
			const direct = rule(n).reduce((s, p, k) => s + p * worth[k]!, 0);
			expect(v).toBeCloseTo(direct, 9);
		});
	});

	it('a list of chances is the mixture of binomials, by a statistics library', () => {
		const pmf = through(
			Float64Array.from([0, 0, 0, 0, 0, 0, 1]),
			atomRule([
				{ w: 0.25, q: 0 },
				{ w: 0.5, q: 0.3 },
				{ w: 0.25, q: 1 }
			])
		);
		for (let k = 0; k <= 6; k++) {
			const ends = (k === 0 ? 0.25 : 0) + (k === 6 ? 0.25 : 0);
			expect(pmf[k]).toBeCloseTo(ends + 0.5 * jStat.binomial.pdf(k, 6, 0.3), 12);
		}
	});
});
