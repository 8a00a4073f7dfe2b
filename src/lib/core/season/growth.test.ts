/** Growth and standstill against a walk day by day, which needs no cleverness to be right. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayInYear, dayNumber, isoOf, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import {
	afterGrowth,
	frostOdds,
	nextStandstill,
	nextTurning,
	lastTurning,
	openings,
	seasonOfClimate,
	turning,
	wintersIn
} from './index.js';
import type { Climate, WindowRule } from './index.js';

const doy = fc.integer({ min: 0, max: 40 });
/** Gardens with a winter, on either half of the globe. */
const climate = fc.tuple(fc.boolean(), doy, doy, fc.integer({ min: 5, max: 20 })).map(([south, spring, autumn, sd]): Climate => ({
	latitude: south ? -42 : 48,
	longitude: 10,
	coldestC: -12,
	lastFrost: { doy: south ? 260 + spring : 100 + spring, sd },
	firstFrost: { doy: south ? 110 + autumn : 265 + autumn, sd }
}));
const someDay = fc.integer({ min: dayNumber('2024-01-01'), max: dayNumber('2032-12-31') });

/** Does growth rest on this day? Looked up from the dates of leaf fall and bud break of the years around. */
function rests(day: DayNumber, c: Climate): boolean {
	const falls: DayNumber[] = [];
	const breaks: DayNumber[] = [];
	for (let year = yearOf(day) - 2; year <= yearOf(day) + 2; year++) {
		falls.push(dayInYear(year, turning('leaf_fall', c).doy));
		breaks.push(dayInYear(year, turning('bud_break', c).doy));
	}
	const lastFall = Math.max(...falls.filter((f) => f <= day));
	const lastBreak = Math.max(...breaks.filter((b) => b <= day));
	return lastFall > lastBreak;
}

describe('growth', () => {
	it('counts the days on which nothing rests, as counting them one by one does', () => {
		fc.assert(
			fc.property(climate, someDay, fc.integer({ min: 1, max: 400 }), (c, start, days) => {
				let day = start;
				let left = days;
				while (rests(day, c)) day++;
				while (left > 0) {
					if (!rests(day, c)) left--;
					day++;
				}
				// The last day of growth may be the eve of leaf fall: then the next is in the standstill or just after.
				const reckoned = afterGrowth(seasonOfClimate(c), start, days);
				expect(Math.abs(reckoned - day), `${isoOf(start)} + ${days}`).toBeLessThanOrEqual(1);
			}),
			{ numRuns: 150 }
		);
	});

	it('a standstill holds the day or comes next, and ends where growth begins', () => {
		fc.assert(
			fc.property(climate, someDay, (c, day) => {
				const rest = nextStandstill(day, c)!;
				expect(rest.to).toBeGreaterThan(rest.from);
				expect(rest.to).toBeGreaterThanOrEqual(day);
				expect(rests(Math.max(rest.from, day === rest.to ? rest.from : day), c) || rest.from > day || day === rest.to).toBe(true);
				expect(rests(rest.to, c)).toBe(false);
				expect(rests(rest.to - 1, c)).toBe(true);
			})
		);
	});

	it('every year has one winter, so years and winters agree', () => {
		fc.assert(
			fc.property(climate, someDay, fc.integer({ min: 1, max: 6 }), (c, day, years) => {
				// Whole years hold whole winters, wherever in one they begin: what is cut off at one end comes back at the other.
				const winters = wintersIn(seasonOfClimate(c), day, day + Math.round(years * 365.25));
				expect(Math.abs(winters - years)).toBeLessThan(0.02);
			})
		);
	});
});

describe('turning points', () => {
	it('the next and the last lie around the day, a year apart', () => {
		fc.assert(
			fc.property(
				climate,
				someDay,
				fc.constantFrom('last_frost', 'first_frost', 'bud_break', 'leaf_fall', 'longest_day'),
				fc.integer({ min: -120, max: 120 }),
				(c, day, anchor, offset) => {
					const next = nextTurning(anchor, offset, day, c);
					const last = lastTurning(anchor, offset, day, c);
					expect(next).toBeGreaterThanOrEqual(day);
					expect(last).toBeLessThanOrEqual(day);
					expect(next - day).toBeLessThanOrEqual(366);
					expect(day - last).toBeLessThanOrEqual(366);
					if (next !== day) expect([365, 366]).toContain(next - last);
				}
			)
		);
	});

	it('the longest day lies in June in the north and in December in the south (astronomy)', () => {
		const at = (latitude: number) =>
			isoOf(
				dayInYear(2027, turning('longest_day', { latitude, longitude: 0, coldestC: 0, lastFrost: null, firstFrost: null }).doy)
			).slice(5);
		expect(at(50)).toBe('06-21');
		expect(at(-35)).toBe('12-21');
	});
});

describe('windows', () => {
	const rule: WindowRule = {
		opens: { from: 'last_frost', days: 20 },
		closes: { from: 'first_frost', days: -20 },
		no_frost: 'all_year'
	};

	it('are the same whether asked for a year or for a day inside them', () => {
		fc.assert(
			fc.property(climate, someDay, (c, day) => {
				const year = openings(rule, day - 200, day + 200, c);
				const here = openings(rule, day, day, c);
				expect(here).toEqual(year.filter((w) => w.opens <= day && w.closes >= day));
			})
		);
	});

	it('do not overlap and come in order', () => {
		fc.assert(
			fc.property(climate, someDay, (c, day) => {
				const all = openings(rule, day, day + 1200, c);
				expect(all.length).toBeGreaterThanOrEqual(3);
				for (let i = 1; i < all.length; i++) expect(all[i]!.opens).toBeGreaterThan(all[i - 1]!.closes);
			})
		);
	});
});

describe('frost odds', () => {
	it('agree with drawing frost dates by the thousand', () => {
		// A fixed sequence of normal numbers by Box–Muller from a linear congruential generator (Numerical Recipes).
		let state = 12345;
		const uniform = () => (state = (1664525 * state + 1013904223) % 2 ** 32) / 2 ** 32;
		const normal = () => Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
		const c: Climate = {
			latitude: 50,
			longitude: 10,
			coldestC: -15,
			lastFrost: { doy: 120, sd: 12 },
			firstFrost: { doy: 285, sd: 10 }
		};
		const runs = 20_000;
		for (const date of ['2027-04-20', '2027-05-05', '2027-05-20', '2027-10-01', '2027-10-20']) {
			const day = dayNumber(date);
			let frosty = 0;
			for (let i = 0; i < runs; i++) {
				const last = dayInYear(2027, 120) + 12 * normal();
				const first = dayInYear(2027, 285) + 10 * normal();
				if (day < last || day > first) frosty++;
			}
			expect(Math.abs(frostOdds(day, c) - frosty / runs), date).toBeLessThan(0.015);
		}
	});

	it('stay between nothing and certainty on every day', () => {
		fc.assert(
			fc.property(climate, someDay, (c, day) => {
				const odds = frostOdds(day, c);
				expect(odds).toBeGreaterThanOrEqual(0);
				expect(odds).toBeLessThanOrEqual(1);
			})
		);
	});
});
