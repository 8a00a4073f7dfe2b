/** How cold it gets in a shelter: by many winters as they may come, each felt by a body that it may be. */
import { quantileOf } from '../season/frostDates.js';
import { inside } from './thermal.js';
import type { Body, Weather } from './thermal.js';

/** Marks, °C: at or below which for how long is what plants ask. */
export const MARKS = [-15, -10, -7, -5, -3, -1, 0, 2, 5, 7, 10] as const;
/** Stored roots and sleeping plants wake on days warmer than this on the mean. Common practice, no source. */
export const WAKES_C = 10;

export interface InsideWinters {
	/** Lowest of each winter, °C. */
	coldest: Float64Array;
	/** Longest spell of hours at or below each mark, by winter: `spells[mark][winter]`. */
	spells: readonly Float64Array[];
	/** Days of each winter whose mean is above WAKES_C. */
	wakes: Float64Array;
	/** Lows by day and winter: `lows[day * winters + winter]`. */
	lows: Float32Array;
	days: number;
}

/** @param winters outside, all of the same days; `bodyOf` the body that feels the winter of a number */
export function throughShelter(winters: readonly Weather[], bodyOf: (winter: number) => Body): InsideWinters {
	const n = winters.length;
	const days = winters[0]?.anchor.length ?? 0;
	const coldest = new Float64Array(n).fill(Infinity);
	const spells = MARKS.map(() => new Float64Array(n));
	const wakes = new Float64Array(n);
	const lows = new Float32Array(days * n);
	const running = new Float64Array(MARKS.length);
	const warmest = MARKS.at(-1)!;
	for (const [w, weather] of winters.entries()) {
		running.fill(0);
		let [low, sum, runs] = [Infinity, 0, false];
		inside(bodyOf(w), weather, null, (d, h, c) => {
			if (c < low) low = c;
			sum += c;
			// Most hours of a mild place are above every mark.
			if (c <= warmest || runs) {
				runs = c <= warmest;
				for (let m = 0; m < MARKS.length; m++) {
					if (c > MARKS[m]!) running[m] = 0;
					else if (++running[m]! > spells[m]![w]!) spells[m]![w] = running[m]!;
				}
			}
			if (h < 23) return;
			lows[d * n + w] = low;
			if (low < coldest[w]!) coldest[w] = low;
			if (sum / 24 > WAKES_C) wakes[w]!++;
			[low, sum] = [Infinity, 0];
		});
	}
	return { coldest, spells, wakes, lows, days };
}

const sorted = (values: ArrayLike<number>): number[] => Array.from(values).sort((a, b) => a - b);

/** The coldest night that comes in so many winters, °C: 1 is the usual one (the middle), 5 the coldest of five. */
export const coldestIn = (w: Pick<InsideWinters, 'coldest'>, winters: number): number =>
	quantileOf(sorted(w.coldest), winters <= 1 ? 0.5 : 1 / winters);

/** Share of the winters with a spell of so many hours at or below one of MARKS. */
export function oddsOfSpell(w: Pick<InsideWinters, 'spells'>, mark: (typeof MARKS)[number], hours: number): number {
	const spells = w.spells[MARKS.indexOf(mark)]!;
	return spells.reduce((k, s) => k + (s >= hours ? 1 : 0), 0) / Math.max(1, spells.length);
}

/** What of ten winters have nine, five and one at or below, day by day: quantiles of the lows. */
export function lowsBy(w: InsideWinters, q: readonly number[]): number[][] {
	const n = w.coldest.length;
	return Array.from({ length: w.days }, (_, d) => {
		const day = sorted(w.lows.subarray(d * n, (d + 1) * n));
		return q.map((share) => quantileOf(day, share));
	});
}
