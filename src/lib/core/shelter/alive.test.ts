/** Is it dead, and a pot's winter: by Bayes' rule written out, and by facts of the trade. */
import { describe, expect, it } from 'vitest';
import { jStat } from 'jstat';
import { GIVE_UP, livesGiven, SHOOTS, SIGNS_OF_LIFE, stillWithout, warmDaysToWait } from './alive.js';
import { daysToDry, outOn } from './indoors.js';
import { saturation } from '../season/water.js';
import { handsFor, potKg } from './carry.js';

describe('is it dead?', () => {
	it('moves as Bayes’ rule has it', () => {
		const [a, d] = SIGNS_OF_LIFE.bark.yes;
		expect(livesGiven(0.4, { bark: true }, 0)).toBeCloseTo((0.4 * a) / (0.4 * a + 0.6 * d), 12);
		expect(livesGiven(0.4, { bark: false }, 0)).toBeCloseTo((0.4 * (1 - a)) / (0.4 * (1 - a) + 0.6 * (1 - d)), 12);
		expect(livesGiven(0.4, {}, 0)).toBe(0.4);
		expect(livesGiven(0, { bark: true }, 0)).toBe(0);
		expect(livesGiven(1, { bark: false, crown: false, snaps: true }, 300)).toBeGreaterThan(0.99);
	});
	it('waits by warmth: the log-normal of another library', () => {
		for (const days of [5, 20, 35, 60, 120])
			expect(stillWithout(days)).toBeCloseTo(1 - jStat.lognormal.cdf(days, Math.log(SHOOTS.days), SHOOTS.spread), 6);
		expect(stillWithout(0)).toBe(1);
	});
	it('gives no plant up while there is hope, and each in the end', () => {
		const hopeful = warmDaysToWait(0.7, { bark: true })!;
		const poor = warmDaysToWait(0.3, { crown: false })!;
		expect(hopeful).toBeGreaterThan(poor);
		expect(livesGiven(0.7, { bark: true }, hopeful)).toBeLessThan(GIVE_UP);
		expect(livesGiven(0.7, { bark: true }, hopeful - 1)).toBeGreaterThanOrEqual(GIVE_UP);
		// A green one in March is not thrown out in March (common practice, no source).
		expect(hopeful).toBeGreaterThan(45);
		expect(warmDaysToWait(1, {})).toBeNull();
	});
});

describe('a pot that rests indoors', () => {
	it('wants water every week or two in a room when small, seldom in a cold garage (common practice, no source)', () => {
		expect(daysToDry(10, 18)).toBeGreaterThan(7);
		expect(daysToDry(10, 18)).toBeLessThan(21);
		expect(daysToDry(20, 5)).toBeGreaterThan(40);
		expect(daysToDry(20, 5)).toBeGreaterThan(daysToDry(20, 18));
		expect(daysToDry(0, 10)).toBe(0);
	});
	it('goes by what the air can take up (FAO-56, table 2.3)', () => {
		expect(saturation(5)).toBeCloseTo(0.872, 3);
		expect(saturation(20)).toBeCloseTo(2.338, 3);
		expect(saturation(30)).toBeCloseTo(4.243, 3);
	});
	it('goes out once no night ahead is too cold, and not at all where nights always are', () => {
		const sky = { coldNight: (from: number, days: number, c: number) => (from + days > 100 && from < 130 && c > -5 ? 0.5 : 0) };
		expect(outOn(2, 90, 200, sky)).toBe(130);
		expect(outOn(2, 10, 20, sky)).toBe(10);
		expect(outOn(2, 90, 20, sky)).toBeNull();
	});
	it('is carried by one up to 23 kg, by two above (NIOSH lifting equation’s load constant)', () => {
		expect(handsFor(22.9)).toBe(1);
		expect(handsFor(23.1)).toBe(2);
		// A tub 40 cm across holds about 40 L, and is too much for one.
		expect(handsFor(potKg(40))).toBe(2);
		expect(handsFor(potKg(25))).toBe(1);
	});
});
