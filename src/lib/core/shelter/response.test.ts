import fc from 'fast-check';
import ode45 from 'ode45-cash-karp';
import { describe, expect, it } from 'vitest';
import { DAY_H, gainOf, lagOf, respond } from './response.js';
import type { Outside } from './response.js';

/** The same equation by an adaptive Runge-Kutta of Cash & Karp, from step to step: it knows nothing of our closed form. */
function solved(tau: number, start: number, o: Outside, until: number): (t: number) => number {
	const marks = [...new Set([0, ...o.steps.map((s) => s.atHour).filter((h) => h > 0 && h < until), until])].sort((a, b) => a - b);
	const ends: { from: number; y: number }[] = [{ from: 0, y: start }];
	const along = (from: number, y: number, to: number) => {
		// Shorter than its shortest step, it would never come to an end.
		if (to - from < 1e-12) return y;
		const steps = o.steps.filter((s) => s.atHour <= from).reduce((sum, s) => sum + s.deltaC, 0);
		const out = (t: number) => o.meanC + steps + o.amplitudeC * Math.cos((2 * Math.PI * (t - o.peakHour)) / 24);
		const slope = (d: number[], [T]: number[], t: number) => void (d[0] = (out(t) - T!) / tau);
		const solver = ode45([y], slope, from, Math.min(0.01, (to - from) / 4), { tol: 1e-13, dtMaxMag: 1, verbose: false });
		solver.steps(1e6, to);
		return solver.y[0]!;
	};
	for (let i = 0; i + 1 < marks.length; i++) ends.push({ from: marks[i + 1]!, y: along(marks[i]!, ends[i]!.y, marks[i + 1]!) });
	return (t) => {
		const before = ends.findLast((e) => e.from <= t)!;
		return along(before.from, before.y, t);
	};
}

const outside: fc.Arbitrary<Outside> = fc.record({
	meanC: fc.double({ min: -30, max: 30, noNaN: true }),
	amplitudeC: fc.double({ min: 0, max: 15, noNaN: true }),
	peakHour: fc.double({ min: -30, max: 30, noNaN: true }),
	steps: fc.array(
		fc.record({ atHour: fc.double({ min: -20, max: 90, noNaN: true }), deltaC: fc.double({ min: -15, max: 15, noNaN: true }) }),
		{ maxLength: 4 }
	)
});
const tau = fc.double({ min: 0.5, max: 200, noNaN: true });
const start = fc.double({ min: -20, max: 30, noNaN: true });

describe('the response of a shelter to the air outside', () => {
	it('has the gain and the lag of a first-order system, as its settled swing shows', () => {
		// Oppenheim & Willsky, Signals and Systems, 2nd ed.: H(jω) = 1 / (1 + jωτ).
		for (const t of [0.25, 3, 12, 40]) {
			const w = (2 * Math.PI) / 24;
			expect(gainOf(t)).toBeCloseTo(1 / Math.sqrt(1 + (w * t) ** 2), 14);
			expect(lagOf(t)).toBeCloseTo(Math.atan(w * t) / w, 13);
			const r = respond(t, 3, { meanC: 3, amplitudeC: 8, peakHour: 15, steps: [] });
			const day = 60 * DAY_H;
			expect(r.at(day + 15 + lagOf(t)) - 3).toBeCloseTo(8 * gainOf(t), 9);
			expect(r.at(day + 15 + lagOf(t) + 12) - 3).toBeCloseTo(-8 * gainOf(t), 9);
		}
		// A time constant of 24/2π h: half the power, an eighth of a turn, 3 hours.
		expect([gainOf(24 / (2 * Math.PI)), lagOf(24 / (2 * Math.PI))]).toEqual([
			expect.closeTo(Math.SQRT1_2, 14),
			expect.closeTo(3, 14)
		]);
	});

	it('cools by Newton’s law: half way in τ ln 2, to 1/e in τ', () => {
		const r = respond(10, 20, { meanC: 0, amplitudeC: 0, peakHour: 0, steps: [] });
		expect(r.at(10 * Math.LN2)).toBeCloseTo(10, 12);
		expect(r.at(10)).toBeCloseTo(20 / Math.E, 12);
		const cold = respond(10, 5, { meanC: 5, amplitudeC: 0, peakHour: 0, steps: [{ atHour: 6, deltaC: -10 }] });
		expect([cold.at(6), cold.at(6 + 10 * Math.LN2)]).toEqual([expect.closeTo(5, 12), expect.closeTo(0, 12)]);
		expect(cold.hoursAtOrBelow(0, 36)).toBeCloseTo(30 - 10 * Math.LN2, 9);
		// A change that came before the beginning is there from the start.
		const there = respond(10, 5, { meanC: 5, amplitudeC: 0, peakHour: 0, steps: [{ atHour: -50, deltaC: -10 }] });
		expect(there.at(10 * Math.LN2)).toBeCloseTo(0, 12);
	});

	it('agrees with a solver of differential equations that knows no closed form', () => {
		fc.assert(
			fc.property(tau, start, outside, fc.double({ min: 0, max: 96, noNaN: true }), (t, s, o, hour) => {
				expect(Math.abs(respond(t, s, o).at(hour) - solved(t, s, o, 96)(hour))).toBeLessThan(1e-8);
			}),
			{ numRuns: 150 }
		);
	});

	it('knows its lowest, and how long it is at or below a mark, as a fine look along it does', () => {
		fc.assert(
			fc.property(tau, start, outside, fc.double({ min: -10, max: 10, noNaN: true }), (t, s, o, mark) => {
				const r = respond(t, s, o);
				const end = 96;
				const n = 96 * 400;
				let [low, below] = [Infinity, 0];
				for (let i = 0; i <= n; i++) low = Math.min(low, r.at((i * end) / n));
				for (let i = 0; i < n; i++) below += r.at(((i + 0.5) * end) / n) <= mark ? end / n : 0;
				const found = r.lowest(end);
				expect(found.c).toBeLessThanOrEqual(low + 1e-12);
				// Between two looks of 9 seconds it turns by less than this at most.
				expect(found.c).toBeGreaterThan(low - 1e-3);
				expect(r.at(found.hour)).toBe(found.c);
				expect(Math.abs(r.hoursAtOrBelow(mark, end) - below)).toBeLessThan(0.02);
			}),
			{ numRuns: 60 }
		);
	});

	it('stands still where nothing moves, and counts a mark that it stands on', () => {
		const still = respond(5, 0, { meanC: 0, amplitudeC: 0, peakHour: 0, steps: [] });
		expect([still.at(7), still.lowest(24), still.hoursAtOrBelow(0, 24), still.hoursAtOrBelow(-0.001, 24)]).toEqual([
			...[0, { c: 0, hour: 0 }, 24, 0]
		]);
	});
});
