/** The clock that a batch roots by: days, days of growth, or days of the usual warmth where it stands. */
import type { DayNumber } from '../dates.js';
import { growthDays } from '../season/season.js';
import type { Season } from '../season/season.js';
import { FURTHEST_DAYS, grownBy } from './walk.js';
import type { Year } from './walk.js';

export interface Clock {
	/** It stands still through winters outdoors, and goes on in spring. */
	rests: boolean;
	/** Reading on a day; 0 on the day of striking. */
	at(day: DayNumber): number;
	/** Day on which it reads so much, when it read `from` on the day `on`, in one year's season. */
	dayAt(reading: number, from: number, on: DayNumber, year: Year): DayNumber;
}

/** Every day counts: what roots under cover at its handbook's warmth. */
export const calendarClock = (struck: DayNumber): Clock => ({
	rests: false,
	at: (day) => Math.max(0, day - struck),
	dayAt: (reading, from, on) => on + Math.ceil(reading - from)
});

/** Days of growth count; in the standstill of winter the clock rests. */
export const growthClock = (struck: DayNumber, usual: Season): Clock => ({
	rests: true,
	at: (day) => growthDays(usual, struck, day),
	dayAt: (reading, from, on, year) => grownBy(year, on, Math.ceil(reading - from))
});

/** Warmth counts: `warmthOn` gives the worth of a day, 1 at the warmth that the handbook's days are meant for. */
export function warmthClock(struck: DayNumber, warmthOn: (day: DayNumber) => number): Clock {
	// Sums by days since the strike, filled as far as they are asked for.
	const sums = [0];
	const sumTo = (n: number): number => {
		while (sums.length <= n) sums.push(sums.at(-1)! + warmthOn(struck + sums.length));
		return sums[n]!;
	};
	return {
		rests: false,
		at: (day) => sumTo(Math.max(0, day - struck)),
		dayAt(reading) {
			while (sums.at(-1)! < reading && sums.length <= FURTHEST_DAYS) sumTo(sums.length + 30);
			let low = 0;
			let high = sums.length - 1;
			while (low < high) {
				const middle = (low + high) >> 1;
				if (sums[middle]! >= reading) high = middle;
				else low = middle + 1;
			}
			return struck + low;
		}
	};
}
