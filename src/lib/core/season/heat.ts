/** Warmth and cold added up: growing degree days, chill hours, coldest nights. */
import { dayInYear, yearOf } from '../dates.js';
import { lastDay, lowOn } from './record.js';
import type { DailyRecord } from './record.js';

/** Degree days of one day by the simple average: the mean of low and high above the base, nothing below. */
export const degreeDays = (low: number, high: number, base: number): number => Math.max(0, (low + high) / 2 - base);

/**
 * Modified degree days with an upper cut-off: low and high are first brought within base and cut-off,
 * then averaged (the "86/50 method" of US corn growers when base is 50 °F and cut-off 86 °F; McMaster
 * and Wilhelm 1997, "Growing degree-days: one equation, two interpretations", their method 2).
 */
export function modifiedDegreeDays(low: number, high: number, base: number, cutOff: number): number {
	const within = (t: number) => Math.min(cutOff, Math.max(base, t));
	return (within(low) + within(high)) / 2 - base;
}

/** Warmth above which most garden plants of cool climates grow no faster, °C. 86 °F, as for corn. */
export const CUT_OFF_C = 30;

/** Sum of degree days over [from, to] of a record; days without both temperatures count as the mean of the known ones. */
export function sumDegreeDays(r: DailyRecord, from: number, to: number, base: number): number {
	let sum = 0;
	let known = 0;
	for (let day = from; day <= to; day++) {
		const low = lowOn(r, day);
		const high = r.high[day - r.first] ?? Number.NaN;
		if (Number.isNaN(low) || Number.isNaN(high)) continue;
		known++;
		sum += degreeDays(low, high, base);
	}
	return known === 0 ? Number.NaN : (sum * (to - from + 1)) / known;
}

/** Hours of a day with a temperature at or below t, when it swings as a cosine between low and high. */
export function hoursBelow(low: number, high: number, t: number): number {
	if (high <= t) return 24;
	if (low > t) return 0;
	if (high === low) return 24;
	const reach = (t - (low + high) / 2) / ((high - low) / 2);
	return 24 - (24 * Math.acos(Math.max(-1, Math.min(1, reach)))) / Math.PI;
}

/** 32–45 °F: the span in which hours of chill are counted (Weinberger 1950). */
export const CHILL_SPAN = [0, 7.2] as const;

/** Chill hours of a day. */
export const chillHours = (low: number, high: number): number =>
	hoursBelow(low, high, CHILL_SPAN[1]) - hoursBelow(low, high, CHILL_SPAN[0]);

/** Lowest night of each winter that is known from its middle July to July (January to January in the south), by its later year. */
export function coldestNights(r: DailyRecord, middle: number): { year: number; low: number }[] {
	const found: { year: number; low: number }[] = [];
	for (let year = yearOf(r.first); year <= yearOf(lastDay(r)); year++) {
		const from = dayInYear(year, middle);
		let low = Infinity;
		let unknown = 0;
		for (let day = from; day < from + 365; day++) {
			const v = lowOn(r, day);
			if (Number.isNaN(v)) unknown++;
			else if (v < low) low = v;
		}
		if (unknown < 0.1 * 365) found.push({ year: year + 1, low });
	}
	return found;
}
