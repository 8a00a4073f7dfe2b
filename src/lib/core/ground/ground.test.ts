import { describe, expect, it } from 'vitest';
import { bedCount, groundLength, hedgeCount, plantsPerM2 } from './index.js';

const M2_PER_SQFT = 0.09290304;
const CM_PER_IN = 2.54;

describe('plants per area', () => {
	/**
	 * Plants per square foot on the square, as ground-cover spacing tables of US university extension
	 * services print them (from memory), and the factor 1.15 they give for triangular spacing.
	 */
	const TABLE: [inches: number, perSqFt: number][] = [
		[4, 9],
		[6, 4],
		[8, 2.25],
		[9, 1.78],
		[10, 1.44],
		[12, 1],
		[15, 0.64],
		[18, 0.44],
		[24, 0.25],
		[36, 0.11]
	];

	it('agrees with the printed spacing table', () => {
		for (const [inches, per] of TABLE) {
			const square = plantsPerM2(inches * CM_PER_IN, 'square') * M2_PER_SQFT;
			expect(square).toBeCloseTo(per, 2);
			expect(plantsPerM2(inches * CM_PER_IN, 'triangular') / plantsPerM2(inches * CM_PER_IN, 'square')).toBeCloseTo(1.155, 3);
		}
	});

	it('is 1/s² and 2/(√3 s²)', () => {
		expect(plantsPerM2(25, 'square')).toBeCloseTo(16, 10);
		expect(plantsPerM2(25, 'triangular')).toBeCloseTo(32 / Math.sqrt(3), 10);
	});
});

describe('hedges', () => {
	const hedge = (lengthM: number, spacingCm: number, rows: 1 | 2 = 1, spares = 0) => {
		const r = hedgeCount({ lengthM, spacingCm, rows, spares });
		return r.ok ? r.value : r.problem.path;
	};

	it('counts both ends: 12 m at 60 cm are 21 plants (fence-post rule, common practice)', () => {
		expect(hedge(12, 60)).toBe(21);
		expect(hedge(12, 60, 2)).toBe(41);
		expect(hedge(12, 60, 1, 3)).toBe(24);
		expect(hedge(0.3, 60)).toBe(1);
		expect(hedge(2.1, 30)).toBe(8);
	});

	it('refuses what is no hedge', () => {
		expect(hedge(0, 60)).toBe('length');
		expect(hedge(-3, 60)).toBe('length');
		expect(hedge(12, 1)).toBe('spacing');
		expect(hedge(12, 60, 1, 1.5)).toBe('spares');
		expect(hedge(Number.NaN, 60)).toBe('length');
	});
});

describe('beds and slopes', () => {
	it('lengthens the ground by the slope: 60° doubles it', () => {
		expect(groundLength(4, 60)).toBeCloseTo(8, 10);
		expect(groundLength(4, 0)).toBe(4);
	});

	it('counts a bed by area or by sides', () => {
		const base = { slopeDeg: 0, spacingCm: 50, pattern: 'square', spares: 0 } as const;
		expect(bedCount({ ...base, areaM2: 10 })).toMatchObject({ ok: true, value: { count: 40 } });
		expect(bedCount({ ...base, widthM: 2, lengthM: 5, slopeDeg: 60 })).toMatchObject({
			value: { count: 80, areaM2: expect.closeTo(20, 6) }
		});
		expect(bedCount({ ...base, areaM2: 0.01, spares: 2 })).toMatchObject({ value: { count: 3 } });
		for (const bad of [
			{ ...base },
			{ ...base, areaM2: -1 },
			{ ...base, areaM2: 4, slopeDeg: 80 },
			{ ...base, areaM2: 4, spacingCm: 0 }
		])
			expect(bedCount(bad).ok).toBe(false);
	});
});
