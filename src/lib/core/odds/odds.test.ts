import fc from 'fast-check';
import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import {
	atLeast,
	betaBinomialPmf,
	betaOf,
	certain,
	expected,
	learn,
	meanCount,
	meanOf,
	outcome,
	quantile,
	reachTable,
	ruleOf,
	sayCount,
	sayDoes,
	sayOdds,
	sayOddsShort,
	sayPlanted,
	sayShare,
	sayThat,
	sayOddsAsked,
	standing,
	shifted,
	smallestReaching,
	spreadOf,
	strike,
	sumOf,
	through
} from './index.js';
import type { Beta } from './index.js';

/** The Beta-binomial term written with a statistics library's own functions (jStat). */
const byLibrary = (k: number, n: number, { alpha, beta }: Beta) =>
	jStat.combination(n, k) * (jStat.betafn(k + alpha, n - k + beta) / jStat.betafn(alpha, beta));

const shape = fc.double({ min: 0.2, max: 60, noNaN: true });
const chance = fc.record({ alpha: shape, beta: shape });

describe('Beta-binomial', () => {
	it('agrees term by term with jStat', () => {
		for (const b of [
			{ alpha: 2.5, beta: 4 },
			{ alpha: 0.7, beta: 0.4 },
			{ alpha: 9, beta: 1 },
			{ alpha: 1, beta: 1 }
		])
			for (const n of [1, 2, 7, 40]) {
				const pmf = betaBinomialPmf(n, b);
				for (let k = 0; k <= n; k++) expect(pmf[k]).toBeCloseTo(byLibrary(k, n, b), 11);
			}
	});

	it('is uniform under a uniform prior: 1/(n+1) each (Bayes 1763, closed form)', () => {
		const pmf = betaBinomialPmf(25, { alpha: 1, beta: 1 });
		for (const p of pmf) expect(p).toBeCloseTo(1 / 26, 12);
	});

	it("is Pólya's urn: 3 red and 2 white balls, each put back with one more (by hand)", () => {
		// P(2 red in 2 draws) = 3/5 · 4/6; P(1) = 2 · 3/5 · 2/6; P(0) = 2/5 · 3/6.
		const pmf = betaBinomialPmf(2, { alpha: 3, beta: 2 });
		expect(pmf[2]).toBeCloseTo(0.4, 12);
		expect(pmf[1]).toBeCloseTo(0.4, 12);
		expect(pmf[0]).toBeCloseTo(0.2, 12);
	});

	it('sums to one and has the textbook mean and variance', () => {
		fc.assert(
			fc.property(chance, fc.integer({ min: 1, max: 150 }), (b, n) => {
				const pmf = betaBinomialPmf(n, b);
				const s = b.alpha + b.beta;
				const mean = (n * b.alpha) / s;
				const variance = (n * b.alpha * b.beta * (s + n)) / (s * s * (s + 1));
				const m = meanCount(pmf);
				expect(pmf.reduce((a, p) => a + p, 0)).toBeCloseTo(1, 9);
				expect(m).toBeCloseTo(mean, 7);
				expect(pmf.reduce((a, p, k) => a + p * (k - m) ** 2, 0) / variance).toBeCloseTo(1, 6);
			})
		);
	});

	it('does not underflow for weights far beyond any count', () => {
		const pmf = betaBinomialPmf(400, betaOf(0.5, 1e8));
		expect(pmf[200]).toBeCloseTo(jStat.binomial.pdf(200, 400, 0.5), 4);
	});
});

describe('chains of stages', () => {
	const three: Beta[] = [
		{ alpha: 8, beta: 2 },
		{ alpha: 3, beta: 1.5 },
		{ alpha: 20, beta: 1 }
	];

	/** Every way in which n pieces can thin out, enumerated with the library's terms. */
	function enumerate(stages: readonly Beta[], n: number): number[] {
		const total = new Array<number>(n + 1).fill(0);
		const go = (i: number, left: number, p: number): void => {
			if (i === stages.length) {
				total[left]! += p;
				return;
			}
			for (let k = 0; k <= left; k++) go(i + 1, k, p * byLibrary(k, left, stages[i]!));
		};
		go(0, n, 1);
		return total;
	}

	it('agrees with brute-force enumeration', () => {
		for (const n of [1, 5, 12]) {
			const exact = enumerate(three, n);
			outcome(three, n).forEach((p, k) => expect(p).toBeCloseTo(exact[k]!, 11));
		}
	});

	it('the backward table equals the forward sum, for every number struck', () => {
		fc.assert(
			fc.property(fc.array(chance, { minLength: 1, maxLength: 4 }), fc.integer({ min: 0, max: 12 }), (stages, target) => {
				const table = reachTable(stages, target, 24);
				for (let n = 0; n <= 24; n++) expect(table[n]).toBeCloseTo(atLeast(outcome(stages, n), target), 8);
			}),
			{ numRuns: 60 }
		);
	});

	it('one stage with a single target: closed form P(≥1 of n) = 1 − B(α, β+n)/B(α, β)', () => {
		const b = { alpha: 1.2, beta: 6 };
		const table = reachTable([b], 1, 30);
		for (const n of [1, 4, 30])
			expect(table[n]).toBeCloseTo(1 - jStat.betafn(b.alpha, b.beta + n) / jStat.betafn(b.alpha, b.beta), 10);
	});

	it('stages of near-certain odds reduce to the binomial of their product', () => {
		const sure = (m: number) => betaOf(m, 1e7);
		const pmf = outcome([sure(0.9), sure(0.8)], 30);
		for (const k of [15, 21, 25]) expect(pmf[k]).toBeCloseTo(jStat.binomial.pdf(k, 30, 0.72), 4);
	});

	it('a poor chance with a high target does not lose its small numbers', () => {
		const poor = betaOf(0.02, 500);
		const table = reachTable([poor], 60, 4_000);
		for (const n of [400, 1_000, 4_000]) expect(table[n]).toBeCloseTo(atLeast(outcome([poor], n), 60), 9);
		// 80 ± 25 of 4,000 pass (mean and spread of the chance), so 60 are passed more often than not.
		expect(table[4_000]).toBeGreaterThan(0.7);
	});

	it('pieces that join later pass only what is left', () => {
		const joined = through(shifted(through(certain(4), ruleOf(three[0]!, 4)), 3), ruleOf(three[1]!, 7));
		const mean = (4 * 0.8 + 3) * meanOf(three[1]!);
		expect(meanCount(joined)).toBeCloseTo(mean, 10);
	});
});

describe('how many to strike', () => {
	const stages = [betaOf(0.8, 12), betaOf(0.92, 30), betaOf(0.9, 15)];

	it('is the smallest number that reaches the confidence', () => {
		for (const [target, confidence] of [
			[1, 0.5],
			[12, 0.9],
			[40, 0.8]
		] as const) {
			const answer = strike(stages, target, confidence);
			if (!answer.ok) throw new Error(answer.problem.sentence);
			const n = answer.value.strike;
			expect(atLeast(outcome(stages, n), target)).toBeGreaterThanOrEqual(confidence);
			expect(atLeast(outcome(stages, n - 1), target)).toBeLessThan(confidence);
			expect(answer.value.mean).toBeCloseTo(expected(stages, n), 10);
		}
	});

	it('answers for 200 through five stages', () => {
		const answer = strike([...stages, betaOf(0.95, 20), betaOf(0.97, 40)], 200, 0.9);
		expect(answer.ok && answer.value.strike > 200 / 0.6).toBe(true);
		expect(answer.ok && answer.value.probability >= 0.9).toBe(true);
	});

	it('asks for more when the stage is less well known, though the mean is the same', () => {
		const known = strike([betaOf(0.7, 200)], 20, 0.9);
		const vague = strike([betaOf(0.7, 6)], 20, 0.9);
		expect(known.ok && vague.ok && vague.value.strike > known.value.strike).toBe(true);
	});

	it('refuses what no number of pieces can buy', () => {
		const answer = strike([{ alpha: 0.3, beta: 2 }], 50, 0.99);
		expect(answer.ok).toBe(false);
		if (!answer.ok) expect(answer.problem.code).toBe('odds.out-of-reach');
	});

	it('finds the edges of a rising table', () => {
		expect(smallestReaching(Float64Array.from([0, 0.2, 0.5, 0.9]), 0.5)).toBe(2);
		expect(smallestReaching(Float64Array.from([0, 0.2]), 0.5)).toBeNull();
	});

	it('quantiles are those of the cumulative sum', () => {
		const pmf = Float64Array.from([0.1, 0.2, 0.4, 0.3]);
		expect([0.05, 0.1, 0.3, 0.7, 0.71, 1].map((q) => quantile(pmf, q))).toEqual([0, 0, 1, 2, 3, 3]);
	});
});

describe('learning and adding', () => {
	it('Bayes adds counts to the shapes: prior 2:2, 7 of 10 seen → mean 9/14 (closed form)', () => {
		const b = learn({ alpha: 2, beta: 2 }, 7, 3);
		expect(meanOf(b)).toBeCloseTo(9 / 14, 12);
		expect(spreadOf(b)).toBeCloseTo(Math.sqrt((9 * 5) / (14 * 14 * 15)), 12);
	});

	it('learning then predicting equals enumeration of the posterior on a grid', () => {
		// Posterior by brute force: prior density × likelihood over a fine grid of chances.
		const prior = { alpha: 3, beta: 2 };
		const [passed, failed, n, k] = [6, 4, 8, 5];
		let top = 0;
		let bottom = 0;
		for (let i = 1; i < 20_000; i++) {
			const p = i / 20_000;
			const density = jStat.beta.pdf(p, prior.alpha, prior.beta) * p ** passed * (1 - p) ** failed;
			bottom += density;
			top += density * jStat.binomial.pdf(k, n, p);
		}
		expect(betaBinomialPmf(n, learn(prior, passed, failed))[k]).toBeCloseTo(top / bottom, 8);
	});

	it('sums of counts', () => {
		const a = Float64Array.from([0.5, 0.5]);
		expect([...sumOf(a, a)]).toEqual([0.25, 0.5, 0.25]);
	});

	it('says odds as people do, the same everywhere', () => {
		const said = [0, 0.004, 0.006, 0.02, 0.05, 0.1, 0.41, 0.8731, 0.9, 0.95, 0.97, 0.99, 0.999, 1].map(sayOdds);
		expect(said).toEqual([
			'hardly ever',
			'hardly ever',
			'1 time in 100',
			'2 times in 100',
			'5 times in 100',
			'1 time in 10',
			'4 times in 10',
			'9 times in 10',
			'9 times in 10',
			'95 times in 100',
			'98 times in 100',
			'99 times in 100',
			'almost certain',
			'almost certain'
		]);
		expect([0, 0.1, 0.41, 0.9, 1].map((p) => sayDoes(p, 'you', 'get', 'all 4'))).toEqual([
			'you hardly ever get all 4',
			'1 time in 10 you get all 4',
			'4 times in 10 you get all 4',
			'9 times in 10 you get all 4',
			'you almost certainly get all 4'
		]);
		const spread = (p05: number, p50: number, p95: number) => ({ p05, p50, p95 });
		expect([spread(0, 0, 0), spread(0, 0, 1), spread(0, 1, 2), spread(4, 4, 4), spread(2, 4, 5)].map(sayCount)).toEqual([
			'don’t count on any',
			'don’t count on any; at best 1',
			'usually 1, and 9 times in 10 between 0 and 2',
			'almost always 4',
			'usually 4, and 9 times in 10 between 2 and 5'
		]);
		expect(
			[spread(0, 0, 0), spread(0, 0, 2), spread(0, 1, 2), spread(4, 4, 4), spread(2, 4, 5)].map((x) => sayPlanted(x))
		).toEqual([
			'Don’t count on any of these being planted',
			'Don’t count on any of these being planted; at best 2 are',
			'Of these usually 1 ends up planted, 9 times in 10 between 0 and 2',
			'Of these almost always 4 end up planted',
			'Of these usually 4 end up planted, 9 times in 10 between 2 and 5'
		]);
		expect(sayPlanted(spread(4, 4, 4), true)).toBe('Of these almost always 4 end up ready in pots');
		expect(sayOddsShort(0.41)).toBe('4 in 10');
		expect(sayThat(0.41, 'it rains')).toBe('4 in 10 that it rains');
		expect(sayThat(1, 'it rains')).toBe('almost certain that it rains');
		expect(sayThat(0, 'it rains')).toBe('hardly any chance that it rains');
		expect([0.01, 0.1, 0.7, 0.99].map(sayShare)).toEqual(['hardly any', 'about 1 in 10', 'about 7 in 10', 'nearly all']);
	});

	it('judges odds by what was asked: less than even is never likely', () => {
		expect(standing(0.5, 0.5)).toBe('in hand');
		// What rounds to what was asked and is less says so; what is met or told as less does not.
		expect(sayOddsAsked(0.78, 0.8)).toBe('not quite 8 times in 10');
		expect(sayOddsAsked(0.8, 0.8)).toBe('8 times in 10');
		expect(sayOddsAsked(0.7, 0.8)).toBe('7 times in 10');
		expect(standing(0.41, 0.5)).toBe('in doubt');
		expect(standing(0.75, 0.9)).toBe('likely');
		expect(standing(0.2, 0.9)).toBe('unlikely');
	});
});
