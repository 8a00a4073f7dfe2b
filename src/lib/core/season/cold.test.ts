/** What cold does to a plant. Published figures are named; the rest are laws that must hold. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	asNight,
	bearsNow,
	hardenedAfter,
	hardenedAt,
	harmOfHour,
	livesBy,
	marginIn,
	nightOf,
	oneNight,
	worstOf
} from './cold.js';

const warmth = fc.double({ min: -40, max: 30, noNaN: true });

describe('harm by degrees and hours', () => {
	it('four times as long does as much as 1.7 °C more, and six hours at a night’s lowest are that night', () => {
		const hours = (n: number, c: number) => asNight(n * harmOfHour(c));
		expect(hours(6, -5)).toBeCloseTo(-5, 9);
		expect(hours(24, -5)).toBeCloseTo(-5 - 1.2 * Math.log(4), 9);
		for (const c of [-40, -12, 0, 9]) expect(nightOf(c, c)).toBeCloseTo(c - 1.2 * Math.log(4), 9);
		// A winter's night outdoors falls some 7 °C below its day: it is felt as itself; a desert's is soon over.
		expect(Math.abs(nightOf(-8, -1) + 8)).toBeLessThan(0.15);
		expect(nightOf(-8, 12)).toBeGreaterThan(-7.6);
	});

	it('is no more than ten degrees’ difference where a plant’s buds die from the first to the last', () => {
		// Washington State University's critical temperatures of fruit buds (EB0913; from memory): from 10 to 90 in 100
		// killed lie 3 °F at full bloom (28 to 25 °F) and up to 15 °F at first swell (15 to 0 °F, apple).
		const between = (2 * Math.log(9) * 1.2 * 9) / 5;
		expect(between).toBeGreaterThan(3);
		expect(between).toBeLessThan(15);
		expect(livesBy(0)).toBe(0.5);
		expect(livesBy(-1.2 * Math.log(9))).toBeCloseTo(0.1, 12);
	});

	it('colder or longer is never milder', () => {
		fc.assert(
			fc.property(warmth, warmth, fc.double({ min: 0, max: 5, noNaN: true }), (a, b, less) => {
				const [low, high] = [Math.min(a, b), Math.max(a, b)];
				expect(nightOf(low - less, high)).toBeLessThanOrEqual(nightOf(low, high) + 1e-9);
				expect(nightOf(low, high + less)).toBeGreaterThanOrEqual(nightOf(low, high) - 1e-9);
			})
		);
	});
});

describe('hardening', () => {
	it('comes in weeks of cool days and goes in fewer of warm ones; neither passes what the days keep', () => {
		const after = (h: number, meanC: number, days: number) => {
			for (let d = 0; d < days; d++) h = hardenedAfter(h, meanC);
			return h;
		};
		expect(after(0, 2, 14)).toBeCloseTo(1 - Math.exp(-1), 9);
		expect(after(1, 15, 7)).toBeCloseTo(Math.exp(-1), 9);
		expect(after(0, 2, 60)).toBeGreaterThan(0.98);
		expect([hardenedAt(9), after(0, 9, 200), after(1, 9, 200)].map((x) => Math.round(x * 1e6) / 1e6)).toEqual([0.5, 0.5, 0.5]);
		fc.assert(
			fc.property(fc.double({ min: 0, max: 1, noNaN: true }), warmth, (h, c) => {
				const next = hardenedAfter(h, c);
				expect(next >= Math.min(h, hardenedAt(c)) && next <= Math.max(h, hardenedAt(c))).toBe(true);
			})
		);
	});

	it('decides what is borne: a first frost in growth takes what the same frost in winter leaves', () => {
		const bears = { growingC: -1, restingC: -12 };
		expect(livesBy(marginIn(oneNight(-6, 0), bears))).toBeLessThan(0.05);
		expect(livesBy(marginIn(oneNight(-6, 1), bears))).toBeGreaterThan(0.95);
		expect(bearsNow(bears, 0.5)).toBe(-6.5);
		// A figure of its own that is the wrong way round hardens nothing.
		expect(bearsNow({ growingC: -3, restingC: 0 }, 1)).toBe(-3);
	});
});

describe('the worst days of a winter', () => {
	it('are as bad as all of its days, for every plant', () => {
		const day = fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), warmth);
		fc.assert(
			fc.property(fc.array(day, { minLength: 1, maxLength: 60 }), warmth, warmth, (days, a, b) => {
				const bears = { growingC: Math.max(a, b), restingC: Math.min(a, b) };
				const [h, c] = [days.map((d) => d[0]), days.map((d) => d[1])];
				const worst = worstOf(h, c);
				expect(marginIn(worst, bears)).toBe(Math.min(...days.map(([x, t]) => t - bearsNow(bears, x))));
				expect(worst.nightC.length).toBeLessThanOrEqual(days.length);
			})
		);
	});
});
