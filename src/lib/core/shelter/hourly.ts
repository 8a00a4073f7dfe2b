/** Hours of the day from its lowest and its highest. */
import { dayOfYear } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { daylightHours, extraterrestrial } from '../season/water.js';
import { SHELTER } from './judged.js';

const LOWEST = SHELTER.lowestHour.value;
const HIGHEST = SHELTER.highestHour.value;
const RISES_H = HIGHEST - LOWEST;
const FALLS_H = 24 - RISES_H;
const half = (u: number) => (1 - Math.cos(Math.PI * u)) / 2;

/** For each hour of a day, which two of [highest before, lowest, highest, lowest after] it lies between, and how far on. */
const SHARES = Array.from({ length: 24 }, (_, h): readonly [number, number] => {
	if (h < LOWEST) return [0, half((h + 24 - HIGHEST) / FALLS_H)];
	return h < HIGHEST ? [1, half((h - LOWEST) / RISES_H)] : [2, half((h - HIGHEST) / FALLS_H)];
});

/**
 * Temperature at the full hours of days in a row: half cosines from the lowest at sunrise to the highest of the
 * afternoon and back (the scheme of de Wit et al. 1978 that crop models use; from memory).
 *
 * @returns 24 values a day, °C
 */
export function hoursOf(low: ArrayLike<number>, high: ArrayLike<number>): Float64Array {
	const days = low.length;
	const out = new Float64Array(days * 24);
	for (let d = 0; d < days; d++) {
		const marks = [high[d - 1] ?? high[d]!, low[d]!, high[d]!, low[d + 1] ?? low[d]!];
		for (let h = 0; h < 24; h++) {
			const [from, share] = SHARES[h]!;
			out[d * 24 + h] = marks[from]! + (marks[from + 1]! - marks[from]!) * share;
		}
	}
	return out;
}

/** Coefficient of Hargreaves' radiation formula for a garden inland, °C^-0.5 (FAO-56, eq. 50). */
const K_RS = 0.16;
/** Sun that reaches the ground, MJ m⁻² day⁻¹, from the day's swing of temperature (FAO-56, eq. 50). */
export const sunOf = (latitude: number, day: DayNumber, low: number, high: number): number =>
	K_RS * Math.sqrt(Math.max(0, high - low)) * extraterrestrial(latitude, dayOfYear(day));

/** How a day's sun is spread over its hours: mean 1; nothing in polar night. Highest at half past twelve. */
export function sunShape(latitude: number, doy: number): Float64Array {
	const long = daylightHours(latitude, doy);
	const shape = Float64Array.from({ length: 24 }, (_, h) =>
		Math.max(0, Math.cos((Math.PI * (h + 0.5 - 12.5)) / Math.max(1, long)))
	);
	for (let h = 0; h < 24; h++) if (Math.abs(h + 0.5 - 12.5) >= long / 2) shape[h] = 0;
	const sum = shape.reduce((a, b) => a + b, 0);
	return sum > 0 ? shape.map((s) => (s * 24) / sum) : shape;
}
