/** The years' tables against the walk that every plan is shown by. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { tableFor, timetableOf } from './timetable.js';
import { grownBy, plantedFrom, wintersOf } from './walk.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';
import { yearsOf } from '../../../testing/plans.js';

const today = dayNumber('2027-03-20');

describe('the years as tables', () => {
	it('say what a walk through the same year says, in gardens with and without winter', () => {
		for (const climate of [north, south, tropics, arctic])
			for (const year of yearsOf(kind('penstemon'), climate, today).slice(0, 4)) {
				const t = timetableOf(year, today, 900);
				for (let d = 0; d < 400; d += 13) {
					for (const days of [1, 17, 90, 200]) {
						const on = grownBy(year, today + d, days);
						// A day that lies in a rest itself: the walk begins where the rest ends.
						if (year.rests.some((r) => r.from <= today + d && today + d < r.to)) continue;
						if (on - today < 900) expect(t.dayOf[t.grown[d]! + days]! + today).toBe(on);
					}
					const on = plantedFrom(year, today + d);
					expect(t.planted[d]).toBe(on === null || on - today > 900 ? -1 : on - today);
					expect(t.winters[400]! - t.winters[d]!).toBeCloseTo(wintersOf(year, today + d, today + 400), 4);
				}
			}
	});

	it('reach as far as they are asked to, and say the same from an earlier day', () => {
		const [year] = yearsOf(kind('penstemon'), north, today);
		const short = tableFor(year!, today, today + 700);
		expect(tableFor(year!, today + 20, today + 300)).toBe(short);
		const long = tableFor(year!, today - 500, today + 2_000);
		expect(long.base).toBeLessThanOrEqual(today - 500);
		expect(long.base + long.days).toBeGreaterThanOrEqual(today + 2_000);
		for (let day = today; day < today + 300; day += 7) {
			const [a, b] = [short, long].map((t) => t.planted[day - t.base]! + t.base);
			expect(a).toBe(b);
		}
	});
});
