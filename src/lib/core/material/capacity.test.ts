/** What stock gives, how it grows back, and whether it may be multiplied. */
import { describe, expect, it } from 'vitest';
import { canGive, fullYield, mayMultiply, recoversOn } from './index.js';
import { flushesFor, mostBy } from '../plan/index.js';

describe('what stock gives', () => {
	const gives = {
		n: 48,
		at_cm: 80,
		measure: 'height',
		power: 2,
		recover_days: 120,
		uses_up: false,
		src: 'practice'
	} as const;
	const plant = { count: 1, sizeCm: 80, ageYears: 2, condition: 'strong' } as const;

	it('scales with size, count, age and condition', () => {
		expect(fullYield(plant, gives)).toBe(48);
		expect(fullYield({ ...plant, sizeCm: 40, count: 2 }, gives)).toBe(24);
		expect(fullYield({ ...plant, condition: 'weak' }, gives)).toBe(12);
		expect(fullYield({ ...plant, ageYears: 0.5 }, gives)).toBe(24);
		expect(fullYield({ ...plant, sizeCm: null }, gives)).toBe(48);
	});

	it('grows back: 48 pieces in about four months (common practice, no source)', () => {
		const took = [{ on: 1000, pieces: 48 }];
		expect(canGive(plant, gives, took, 1000)).toBe(0);
		expect(canGive(plant, gives, took, 1060)).toBe(24);
		expect(canGive(plant, gives, took, 1120)).toBe(48);
		expect(recoversOn(plant, gives, took, 24, 1000)).toBe(1060);
		expect(recoversOn(plant, gives, took, 49, 1000)).toBeNull();
		expect(canGive(plant, { ...gives, uses_up: true }, took, 2000)).toBe(0);
		expect(canGive(plant, gives, took, 999)).toBe(48);
	});

	it('is taken in as few flushes as will do', () => {
		expect(flushesFor(40, 1000, 900, plant, gives, [])).toEqual([{ on: 1000, pieces: 40 }]);
		expect(flushesFor(60, 1000, 800, plant, gives, [])).toEqual([
			{ on: 880, pieces: 48 },
			{ on: 1000, pieces: 12 }
		]);
		expect(flushesFor(60, 1000, 900, plant, gives, [])).toBeNull();
		expect(mostBy(1000, 800, plant, gives, [])).toBe(96);
	});

	it('is not multiplied while protected, but may be with leave or once the term is over', () => {
		expect(mayMultiply({ status: 'protected', until: 2041, leave: null }, 2027).may).toBe('no');
		expect(mayMultiply({ status: 'protected', until: 2020, leave: null }, 2027).may).toBe('look');
		expect(mayMultiply({ status: 'protected', until: 2041, leave: { basis: 'licence', reference: 'x' } }, 2027).may).toBe('yes');
		expect(mayMultiply({ status: 'unknown', until: null, leave: null }, 2027).may).toBe('look');
	});
});
