/** Odds of cold nights ahead: the forecast's members blended into what such nights have been in other years. */
import cdf from '@stdlib/stats-base-dists-normal-cdf';
import { dayInYear, dayOfYear, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { lastDay } from './record.js';
import type { DailyRecord } from './record.js';
import type { Forecast } from './scenarios.js';
import { SEASON } from './judged.js';

const WINDOW = SEASON.nightsAlike.value;

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

const DRESSING = SEASON.dressing.value;

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
 * Chance that at least one night of [from, from + days) falls to the threshold. Nights hang together: each night's
 * chance is that of the members and years which the nights before have spared, so that a longer stretch is never
 * safer than a shorter one.
 */
export function anyNight(
	r: DailyRecord,
	forecast: Forecast | null,
	issued: DayNumber,
	from: DayNumber,
	days: number,
	threshold: number
): number {
	const usual = sparedInYears(r, from, days, threshold);
	const told = forecast ? sparedByMembers(forecast, from, days, threshold) : [];
	let spared = 1;
	for (let n = 0; n < days; n++) {
		const hazard = (list: readonly number[]): number | null => {
			const now = list[n];
			const before = n === 0 ? 1 : list[n - 1];
			if (now === undefined || before === undefined || Number.isNaN(now)) return null;
			return before <= 0 ? 1 : 1 - now / before;
		};
		const byYears = hazard(usual);
		const byMembers = hazard(told);
		const w = byMembers === null ? 0 : byYears === null ? 1 : forecastWeight(from + n - issued);
		spared *= 1 - (w * (byMembers ?? 0) + (1 - w) * (byYears ?? 0));
	}
	return 1 - spared;
}

/** For each length of stretch, the share of the forecast's members that spare it; as far as it tells. */
function sparedByMembers(forecast: Forecast, from: DayNumber, days: number, threshold: number): number[] {
	const free = forecast.members.map(() => 1);
	const spared: number[] = [];
	for (let n = 0; n < days; n++) {
		const lows = forecast.members.map((m) => m[from + n - forecast.from]?.low);
		if (lows.every((l) => l === undefined)) break;
		lows.forEach((low, i) => {
			if (low !== undefined) free[i]! *= 1 - cdf(threshold, low, DRESSING);
		});
		spared.push(free.reduce((a, b) => a + b, 0) / free.length);
	}
	return spared;
}

/** For each length of stretch, the share of the record's years without any night at or below the threshold. */
function sparedInYears(r: DailyRecord, from: DayNumber, days: number, threshold: number): number[] {
	const doy = dayOfYear(from);
	const spared = new Float64Array(days);
	const known = new Float64Array(days);
	for (let year = yearOf(r.first) - 1; year <= yearOf(lastDay(r)) + 1; year++)
		// Weeks to either side serve as years of their own: three times the years for the same climate.
		for (const shift of [-7, 0, 7]) {
			const i = dayInYear(year, doy) + shift - r.first;
			const lows = Array.from({ length: days }, (_, n) => r.low[i + n]);
			// A stretch with a night unknown would make the longer ones look rarer than the shorter.
			if (lows.some((l) => l === undefined || Number.isNaN(l))) continue;
			const hit = lows.findIndex((l) => l! <= threshold);
			for (let n = 0; n < days; n++) {
				known[n]!++;
				if (hit < 0 || hit > n) spared[n]!++;
			}
		}
	return Array.from(spared, (s, n) => (known[n] === 0 ? Number.NaN : (s + 0.25) / (known[n]! + 0.5)));
}
