/** What a batch is worth as evidence. */
import { describe, expect, it } from 'vitest';
import { asEvidence, without, worthOf } from './evidence.js';

describe('evidence', () => {
	it('from one batch is worth less than its count: Kish’s effective sample size', () => {
		// n / (1 + (n − 1)·0.1): 20 pieces are worth 6.9.
		const e = asEvidence({ passed: 15, failed: 5 });
		expect(e.passed + e.failed).toBeCloseTo(20 / 2.9, 10);
		const a = { rooted: { passed: 12, failed: 8 } };
		const b = { rooted: { passed: 3, failed: 0 }, potted: { passed: 3, failed: 0 } };
		const left = without(worthOf([a, b]), a);
		expect(left.rooted!.passed).toBeCloseTo(worthOf([b]).rooted!.passed, 12);
		expect(left.potted).toEqual(worthOf([b]).potted);
		expect(asEvidence({ passed: 1, failed: 0 })).toEqual({ passed: 1, failed: 0 });
		expect(asEvidence({ passed: 0, failed: 0 })).toEqual({ passed: 0, failed: 0 });
	});
});
