import { describe, expect, it } from 'vitest';
import { countsOf, mixed } from './mix.js';
import type { Point } from './region.js';

const rows = (n: number, m: number): Point[] => Array.from({ length: n * m }, (_, i) => [i % n, Math.floor(i / n)]);

describe('a mix', () => {
	it('has so many of each as its share, what is left over by the largest remainders (worked by hand)', () => {
		expect(countsOf(36, [60, 40])).toEqual([22, 14]);
		expect(countsOf(10, [1, 1, 1])).toEqual([4, 3, 3]);
		// Hamilton's method as it is taught: 25 seats for 1,600, 500 and 400 of 2,500 are 16, 5 and 4.
		expect(countsOf(25, [1600, 500, 400])).toEqual([16, 5, 4]);
		expect(countsOf(1, [1, 99])).toEqual([0, 1]);
	});
	it('stands in groups of three, five and seven neighbours, one of another size a kind at most; the same seed, the same bed', () => {
		for (const [n, m, shares, seed] of [
			[12, 4, [60, 40], 1],
			[20, 3, [50, 30, 20], 7],
			[7, 7, [80, 20], 3],
			[30, 2, [1, 1], 5]
		] as const) {
			// prettier-ignore
			const points = rows(n, m);
			const { of, groups } = mixed(points, shares, seed);
			expect(shares.map((_, k) => of.filter((x) => x === k).length)).toEqual(countsOf(points.length, shares));
			expect(groups.flat().sort((a, b) => a - b)).toEqual([...points.keys()]);
			const odd = groups.filter((g) => ![3, 5, 7].includes(g.length));
			expect(odd.length).toBeLessThanOrEqual(shares.length);
			for (const g of groups)
				for (const i of g)
					if (g.length > 1) {
						const near = Math.min(
							...g.filter((j) => j !== i).map((j) => Math.hypot(points[i]![0] - points[j]![0], points[i]![1] - points[j]![1]))
						);
						expect(near).toBeLessThanOrEqual(2.3);
					}
			expect(mixed(points, shares, seed).of).toEqual(of);
			expect(mixed(points, shares, seed + 1).of).not.toEqual(of);
		}
	});
	it('of one plant, or of none, is what there is', () => {
		expect(mixed([[0, 0]], [50, 50]).of).toEqual([0]);
		expect(mixed([], [50, 50]).of).toEqual([]);
	});
});
