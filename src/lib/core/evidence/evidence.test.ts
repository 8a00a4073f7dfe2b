/** What a batch is worth as evidence. */
import { describe, expect, it } from 'vitest';
import { randomBeta, randomLcg } from 'd3-random';
import { asEvidence, countSoFar, without, worthOf } from './evidence.js';
import { learnCorrelation, USUAL_CORRELATION } from './correlation.js';

describe('evidence', () => {
	it('from one batch is worth less than its count: Kish’s effective sample size', () => {
		// n / (1 + (n − 1)·0.1): 20 pieces are worth 6.9.
		const e = asEvidence({ passed: 15, failed: 5 });
		expect(e.passed + e.failed).toBeCloseTo(20 / 2.9, 10);
		const a = { rooted: { passed: 12, failed: 8 } };
		const b = { rooted: { passed: 3, failed: 0 }, potted: { passed: 3, failed: 0 } };
		const left = without(worthOf([a, b]), [a]);
		expect(left.rooted!.passed).toBeCloseTo(worthOf([b]).rooted!.passed, 12);
		expect(left.potted).toEqual(worthOf([b]).potted);
		expect(asEvidence({ passed: 1, failed: 0 })).toEqual({ passed: 1, failed: 0 });
		expect(asEvidence({ passed: 0, failed: 0 })).toEqual({ passed: 0, failed: 0 });
	});

	it('of a batch still rooting does not flatter: its early rooters stand beside the failures that have not shown yet', () => {
		// 100 struck at a chance of .7, at a time when 4 in 10 of the rooters have: 28 rooted, 72 left; told as 28 of 40.
		for (const [p, share] of [
			[0.7, 0.4],
			[0.9, 0.1],
			[0.3, 0.95]
		] as const) {
			const rooted = 100 * p * share;
			const c = countSoFar({ passed: rooted, failed: 0 }, 100 - rooted, share, p);
			expect(c.passed / (c.passed + c.failed)).toBeCloseTo(p, 9);
			// Half of the failures have rotted: the ratio stays.
			const rotted = (100 * (1 - p)) / 2;
			const d = countSoFar({ passed: rooted, failed: rotted }, 100 - rooted - rotted, share, p);
			expect(d.passed / (d.passed + d.failed)).toBeCloseTo(p, 9);
		}
		expect(countSoFar({ passed: 3, failed: 2 }, 0, 0.2, 0.7)).toEqual({ passed: 3, failed: 2 });
	});
});

describe('the correlation within a batch', () => {
	it('is a tenth until batches tell, and then what they tell: batches of made-up gardens at three correlations', () => {
		expect(learnCorrelation([])).toBe(USUAL_CORRELATION);
		const uniform = randomLcg(0.42);
		const beta = randomBeta.source(uniform);
		const learnt = [0.03, 0.12, 0.35].map((rho) => {
			const c = (1 - rho) / rho;
			const groups = Array.from({ length: 40 }, () => {
				const mu = beta(8, 3)();
				const batches = Array.from({ length: 6 }, () => {
					const p = beta(mu * c, (1 - mu) * c)();
					const passed = Array.from({ length: 15 }, uniform).filter((u) => u < p).length;
					return { passed, failed: 15 - passed };
				});
				return { prior: { alpha: 8, beta: 3 }, batches };
			});
			return learnCorrelation(groups);
		});
		expect(Math.abs(learnt[0]! - 0.03)).toBeLessThan(0.02);
		expect(Math.abs(learnt[1]! - 0.12)).toBeLessThan(0.05);
		expect(Math.abs(learnt[2]! - 0.35)).toBeLessThan(0.09);
	});
});
