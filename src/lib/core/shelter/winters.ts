/** How cold it gets in a shelter: by many winters as they may come, each felt by a body that it may be. */
import { asNight, hardenedAfter, hardenedAt, harmOfHour, nightOf, worstOf } from '../season/cold.js';
import type { ColdFelt } from '../season/cold.js';
import { quantileOf } from '../season/frostDates.js';
import { inside } from './thermal.js';
import type { Body, Weather } from './thermal.js';

/** Marks, °C: at or below which for how long is what plants ask. */
export const MARKS = [-15, -10, -7, -5, -3, -1, 0, 2, 5, 7, 10] as const;
export interface InsideWinters {
	/** Lowest of each winter, °C. */
	coldest: Float64Array;
	/** What plants feel of each winter, if they stand in there through it. */
	felt: readonly ColdFelt[];
	/** Longest spell of hours at or below each mark, by winter: `spells[mark][winter]`. */
	spells: readonly Float64Array[];
	/** Hours for which a heater ran, by winter. */
	heatedH: Float64Array;
	/** Of the HEART of each winter, the days of which more than half was warm enough for what rests to wake. */
	warmDays: Float64Array;
}
/** Days of a winter in its heart, counted from its first: a winter begins 80 days after midsummer. */
export const HEART = [60, 150] as const;
/** Stored plants wake above it, °C. Common practice, no source. */
export const WAKES_C = 10;

/** A whole day at its lowest is felt as a night so much colder, °C: no day is felt as more. */
const AT_MOST = -nightOf(0, 0);

/** A winter's days as they come hour by hour; of most it is plain that another was worse, and their harm is not reckoned. */
class WorstDays {
	readonly hardened: number[] = [];
	readonly nightC: number[] = [];
	private readonly hours = new Float64Array(24);
	private soft = Number.NaN;

	hour(hour: number, c: number): void {
		const { hours } = this;
		hours[hour] = c;
		if (hour < 23) return;
		let [sum, low] = [0, Infinity];
		for (let h = 0; h < 24; h++) {
			sum += hours[h]!;
			if (hours[h]! < low) low = hours[h]!;
		}
		// Its first day tells how hardened a plant is that comes in.
		const soft = Number.isNaN(this.soft) ? hardenedAt(sum / 24) : hardenedAfter(this.soft, sum / 24);
		this.soft = soft;
		for (let i = 0; i < this.nightC.length; i++) if (this.hardened[i]! <= soft && this.nightC[i]! <= low - AT_MOST) return;
		let harm = 0;
		for (let h = 0; h < 24; h++) harm += harmOfHour(hours[h]!);
		this.hardened.push(soft);
		this.nightC.push(asNight(harm));
	}
}

/** @param winters outside, all of the same days; `bodyOf` the body that feels the winter of a number */
export function throughShelter(winters: readonly Weather[], bodyOf: (winter: number) => Body): InsideWinters {
	const n = winters.length;
	const coldest = new Float64Array(n).fill(Infinity);
	const spells = MARKS.map(() => new Float64Array(n));
	const heatedH = new Float64Array(n);
	const warmDays = new Float64Array(n);
	const running = new Float64Array(MARKS.length);
	const warmest = MARKS.at(-1)!;
	const felt: ColdFelt[] = [];
	for (const [w, weather] of winters.entries()) {
		running.fill(0);
		let [low, runs, warm] = [Infinity, false, 0];
		const days = new WorstDays();
		inside(bodyOf(w), weather, null, (day, hour, c, heated) => {
			heatedH[w]! += heated;
			days.hour(hour, c);
			if (day >= HEART[0] && day < HEART[1]) {
				if (hour === 0) warm = 0;
				if (c > WAKES_C && ++warm === 13) warmDays[w]!++;
			}
			if (c < low) low = c;
			// Most hours of a mild place are above every mark.
			if (c > warmest && !runs) return;
			runs = c <= warmest;
			for (let m = 0; m < MARKS.length; m++) {
				if (c > MARKS[m]!) running[m] = 0;
				else if (++running[m]! > spells[m]![w]!) spells[m]![w] = running[m]!;
			}
		});
		coldest[w] = low;
		felt.push(worstOf(days.hardened, days.nightC));
	}
	return { coldest, felt, spells, heatedH, warmDays };
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
