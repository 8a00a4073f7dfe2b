/** Hedges counted by hand, and against setting plant after plant in whole millimetres. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hedgePlants } from './hedge.js';

describe('a hedge', () => {
	it('is counted with both its ends, in decimals as they are written (worked by hand)', () => {
		expect(hedgePlants(30, 0.5, 1)).toBe(61);
		expect(hedgePlants(0.7, 0.1, 1)).toBe(8);
		expect(hedgePlants(12, 0.6, 1)).toBe(21);
		expect(hedgePlants(0, 0.6, 1)).toBe(1);
		expect(hedgePlants(0, 0.6, 2)).toBe(1);
		expect(hedgePlants(0.59, 0.6, 1)).toBe(1);
		// 10 m at 1 m: 11 in front, and ten in the gaps; half a gap left over takes one more behind.
		expect(hedgePlants(10, 1, 2)).toBe(21);
		expect(hedgePlants(10.5, 1, 2)).toBe(22);
		expect(hedgePlants(0.3, 0.6, 2)).toBe(2);
		expect(hedgePlants(1e6, 1e-3, 1)).toBe(1_000_000_001);
		expect(hedgePlants(3e-7, 1e-7, 1)).toBe(4);
	});
	it('is what setting one after the other gives', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 40_000 }), fc.integer({ min: 1, max: 3_000 }), (lengthMm, spacingMm) => {
				let [front, back] = [0, 0];
				for (let at = 0; at <= lengthMm; at += spacingMm) front++;
				for (let at = spacingMm; at <= 2 * lengthMm; at += 2 * spacingMm) back++;
				expect(hedgePlants(lengthMm / 1000, spacingMm / 1000, 1)).toBe(front);
				expect(hedgePlants(lengthMm / 1000, spacingMm / 1000, 2)).toBe(front + back);
			})
		);
	});
});
