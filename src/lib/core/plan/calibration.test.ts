/**
 * Promises kept, with few draws and wide bounds; npm run calibrate counts them in full (docs/calibration.md). The engine
 * that grows the batches is the tests' own (testing/growIt.ts).
 */
import { describe, expect, it } from 'vitest';
import { errorOf, foretell, keepPromises } from '../../../testing/calibrate.js';
import { allKinds } from '../../../testing/handbook.js';

const kinds = allKinds();

describe('what is promised is kept', () => {
	it('wants planned at 80, 90 and 95 in 100 are met about so often, in gardens of seven climates', { timeout: 400_000 }, () => {
		const all = keepPromises(kinds, 90, 40, 0.1618);
		for (const confidence of [0.8, 0.9, 0.95]) {
			const list = all.filter((p) => p.confidence === confidence);
			const runs = list.reduce((n, p) => n + p.runs, 0);
			const promised = list.reduce((s, p) => s + p.promised * p.runs, 0) / runs;
			const kept = list.reduce((s, p) => s + p.kept, 0) / runs;
			expect(list.length).toBeGreaterThan(12);
			// Whole pieces and days of every fourth make the promise a little more than was asked.
			expect(promised).toBeGreaterThanOrEqual(confidence - 1e-9);
			expect(promised).toBeLessThan(confidence + 0.02);
			expect(Math.abs(kept - promised), `${confidence}: ${kept}`).toBeLessThan(0.015 + 2.5 * errorOf(promised, runs));
		}
	});

	it('is it rooted yet, and how many will be planted: chances and intervals hold', { timeout: 400_000 }, () => {
		const { rooted, ranks } = foretell(kinds, 1_200, 0.5772);
		for (const bin of rooted.filter((b) => b.pieces >= 250)) {
			const told = bin.told / bin.pieces;
			// Pieces of one batch fare alike: their error is that of the batches, some ten pieces each.
			expect(Math.abs(bin.came / bin.pieces - told), `told ${told}`).toBeLessThan(0.02 + 2.5 * errorOf(told, bin.pieces / 10));
		}
		const inside = ranks.filter((r) => r >= 0.05 && r <= 0.95).length / ranks.length;
		expect(ranks.length).toBeGreaterThan(600);
		expect(Math.abs(inside - 0.9)).toBeLessThan(0.03);
	});
});
