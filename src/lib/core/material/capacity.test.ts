/** What stock gives, how it grows back, and whether it may be multiplied. */
import { describe, expect, it } from 'vitest';
import { canGive, fullYield, mayMultiply, recoversOn, takingOf } from './index.js';
import { flushesFor, mostBy, piecesOf } from '../plan/index.js';

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
		const took = [takingOf(plant, gives, 48, 1000)];
		expect(canGive(plant, gives, took, 1000)).toBe(0);
		expect(canGive(plant, gives, took, 1060)).toBe(24);
		expect(canGive(plant, gives, took, 1120)).toBe(48);
		expect(recoversOn(plant, gives, took, 24, 1000)).toBe(1060);
		expect(recoversOn(plant, gives, took, 49, 1000)).toBeNull();
		const usedUp = { ...gives, uses_up: true };
		expect(canGive(plant, usedUp, [takingOf(plant, usedUp, 48, 1000)], 2000)).toBe(0);
	});

	it('keeps what is promised for later: 48 in April leave in March only what grows back by then', () => {
		// 48 promised for day 1060; taken on 1050, a piece is back by a twelfth on 1060.
		const promised = [takingOf(plant, gives, 48, 1060)];
		expect(canGive(plant, gives, promised, 1050)).toBe(0);
		expect(canGive(plant, gives, promised, 940)).toBe(48);
		// 36 promised: a quarter of the plant is free, and a little more for what grows back.
		const some = [takingOf(plant, gives, 36, 1060)];
		expect(canGive(plant, gives, some, 1050)).toBe(Math.floor(12 / (1 - 10 / 120)));
	});

	it('is one plant, whatever the way: half of its divisions leave half of its cuttings', () => {
		const division = { ...gives, n: 6, power: 1, recover_days: 900 };
		const took = [takingOf(plant, division, 3, 1000)];
		expect(canGive(plant, gives, took, 1000)).toBe(24);
	});

	it('grows on from the day it was told, and is no youngster for ever', () => {
		const young = { ...plant, sizeCm: 40, ageYears: 0, toldOn: 1000, matureCm: 80 };
		expect(fullYield(young, gives, 1000)).toBe(6);
		expect(fullYield(young, gives, 1000 + 366)).toBeGreaterThan(12);
		expect(fullYield(young, gives, 1000 + 3660)).toBe(48);
	});

	it('is taken in as few flushes as will do', () => {
		const f = (from: number) => ({ last: 1000, open: [{ from, to: 1000 }], stock: plant, gives, takings: [] });
		expect(flushesFor(40, f(900))).toEqual([{ on: 1000, pieces: 40 }]);
		expect(flushesFor(60, f(800))).toEqual([
			{ on: 880, pieces: 48 },
			{ on: 1000, pieces: 12 }
		]);
		// No time to grow back whole: begun as soon as may be, and five sixths are there again.
		expect(flushesFor(60, f(900))).toEqual([
			{ on: 900, pieces: 48 },
			{ on: 1000, pieces: 12 }
		]);
		expect(piecesOf(mostBy(f(900)))).toBe(48 + 40);
		expect(flushesFor(89, f(900))).toBeNull();
		// All of one age: no two of them farther apart.
		expect(flushesFor(60, { ...f(800), within: 60 })?.map((x) => x.on)).toEqual([940, 1000]);
		expect(flushesFor(60, { ...f(800), within: 0 })).toBeNull();
		// 200 days are a plant and two thirds beside the first.
		expect(piecesOf(mostBy(f(800)))).toBe(48 + 32 + 48);
		expect(piecesOf(mostBy(f(800), 70))).toBe(70);
	});

	it('is not multiplied while protected, but may be with leave or once the term is over', () => {
		expect(mayMultiply({ status: 'protected', until: 2041, leave: null }, 2027).may).toBe('no');
		expect(mayMultiply({ status: 'protected', until: 2020, leave: null }, 2027).may).toBe('look');
		expect(mayMultiply({ status: 'protected', until: 2041, leave: { basis: 'licence', reference: 'x' } }, 2027).may).toBe('yes');
		expect(mayMultiply({ status: 'unknown', until: null, leave: null }, 2027).may).toBe('look');
	});
});
