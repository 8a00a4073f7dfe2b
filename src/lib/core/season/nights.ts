/** Odds of cold nights ahead: the forecast's members blended into what such nights have been in other years. */
import cdf from '@stdlib/stats-base-dists-normal-cdf';
import { dayInYear, dayOfYear, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { lastDay } from './record.js';
import type { DailyRecord } from './record.js';
import type { Forecast } from './scenarios.js';

/** Nights within so many days of a date count as that date's, so that thirty years give hundreds. */
const WINDOW = 10;

/** Lowest temperatures of all years about a day of the year. */
function pool(r: DailyRecord, doy: number): number[] {
	const lows: number[] = [];
	for (let year = yearOf(r.first) - 1; year <= yearOf(lastDay(r)) + 1; year++) {
		const i = dayInYear(year, doy) - r.first;
		for (let j = i - WINDOW; j <= i + WINDOW; j++) {
			const low = r.low[j];
			if (low !== undefined && !Number.isNaN(low)) lows.push(low);
		}
	}
	return lows;
}

/** Share of such nights at or below the threshold in the record; never quite 0 or 1, for a record is short. NaN without a record. */
export function usualNight(r: DailyRecord, day: DayNumber, threshold: number): number {
	const lows = pool(r, dayOfYear(day));
	if (lows.length === 0) return Number.NaN;
	return (lows.filter((l) => l <= threshold).length + 0.25) / (lows.length + 0.5);
}

/** What a member may still be out by on its own, °C: a garden is not the grid cell it lies in. From memory. */
const DRESSING = 1.2;

/** How much the forecast counts against climatology so many days ahead: nearly all at first, a third on the tenth day. From memory. */
export const forecastWeight = (lead: number): number =>
	lead < 0 ? 0 : lead > 10 ? 0 : Math.min(1, 1.02 * Math.exp(-((lead / 9.5) ** 2)));

export interface NightOdds {
	day: DayNumber;
	/** Chance that this night falls to the threshold. */
	chance: number;
	/** Middle and 1-in-10 cold of the forecast; null beyond it. */
	middle: number | null;
	cold: number | null;
}

/** Odds, night by night, of falling to a threshold. `issued` is the day the forecast was made. */
export function nightsAhead(
	r: DailyRecord,
	forecast: Forecast | null,
	issued: DayNumber,
	from: DayNumber,
	days: number,
	threshold: number
): NightOdds[] {
	return Array.from({ length: days }, (_, n): NightOdds => {
		const day = from + n;
		const usual = usualNight(r, day, threshold);
		const told = (forecast?.members ?? []).flatMap((m) => m[day - forecast!.from]?.low ?? []);
		if (told.length === 0) return { day, chance: Number.isNaN(usual) ? 0 : usual, middle: null, cold: null };
		const w = Number.isNaN(usual) ? 1 : forecastWeight(day - issued);
		const dressed = told.reduce((sum, low) => sum + cdf(threshold, low, DRESSING), 0) / told.length;
		const sorted = [...told].sort((a, b) => a - b);
		return {
			day,
			chance: w * dressed + (1 - w) * (Number.isNaN(usual) ? dressed : usual),
			middle: sorted[Math.floor(sorted.length / 2)]!,
			cold: sorted[Math.floor(sorted.length / 10)]!
		};
	});
}

/**
 * Chance that at least one night of [from, from + days) falls to the threshold. Nights hang together:
 * members and years are gone through whole, not night by night.
 */
export function anyNight(
	r: DailyRecord,
	forecast: Forecast | null,
	issued: DayNumber,
	from: DayNumber,
	days: number,
	threshold: number
): number {
	const end = forecast ? Math.min(from + days, forecast.from + (forecast.members[0]?.length ?? 0)) : from;
	const told = Math.max(0, end - from);
	let spared = 1;
	if (forecast && told > 0) {
		let none = 0;
		for (const m of forecast.members) {
			let free = 1;
			for (let day = from; day < end; day++) {
				const low = m[day - forecast.from]?.low;
				if (low !== undefined) free *= 1 - cdf(threshold, low, DRESSING);
			}
			none += free / forecast.members.length;
		}
		const w = forecastWeight((from + end - 1) / 2 - issued);
		const usual = noneInYears(r, from, told, threshold);
		spared = Number.isNaN(usual) ? none : w * none + (1 - w) * usual;
	}
	const rest = noneInYears(r, from + told, days - told, threshold);
	return 1 - spared * (Number.isNaN(rest) ? 1 : rest);
}

/** Share of years without any night at or below the threshold in a stretch of the calendar. */
function noneInYears(r: DailyRecord, from: DayNumber, days: number, threshold: number): number {
	if (days <= 0) return 1;
	const doy = dayOfYear(from);
	let years = 0;
	let none = 0;
	for (let year = yearOf(r.first) - 1; year <= yearOf(lastDay(r)) + 1; year++)
		// Weeks to either side serve as years of their own: three times the years for the same climate.
		for (const shift of [-7, 0, 7]) {
			const i = dayInYear(year, doy) + shift - r.first;
			let known = true;
			let spared = true;
			for (let j = i; j < i + days; j++) {
				const low = r.low[j];
				if (low === undefined || Number.isNaN(low)) {
					known = false;
					break;
				}
				if (low <= threshold) spared = false;
			}
			if (known) {
				years++;
				if (spared) none++;
			}
		}
	return years === 0 ? Number.NaN : (none + 0.25) / (years + 0.5);
}
