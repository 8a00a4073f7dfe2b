/** Last and first frosts of a record for any threshold: as they were, and as a fitted distribution. */
import quantile from '@stdlib/stats-base-dists-normal-quantile';
import cdf from '@stdlib/stats-base-dists-normal-cdf';
import { dayInYear, wrapDoy, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { lastDay, lowOn } from './record.js';
import type { DailyRecord } from './record.js';

export interface FrostSide {
	/** Days from the middle of the warm season in the years that had frost on this side, ascending. */
	offsets: number[];
	/** Years that were watched well enough, and those of them without. */
	years: number;
	without: number;
	/** Normal distribution fitted to the years with frost, days from the middle of the warm season. */
	mean: number;
	sd: number;
}

export interface FrostDates {
	/** °C: a night at or below it counts. */
	threshold: number;
	/** Day of the year about which the warm season lies. */
	middle: number;
	last: FrostSide;
	first: FrostSide;
	/** Days between them in each year that had both, ascending. */
	free: number[];
}

const HALF = 183;
/** A half year with more of its nights unknown than this tells nothing sure of its frosts. */
const MOST_UNKNOWN = 0.08;

function side(found: (number | null)[]): FrostSide {
	const offsets = found.filter((o): o is number => o !== null).sort((a, b) => a - b);
	const mean = offsets.length ? offsets.reduce((s, o) => s + o, 0) / offsets.length : Number.NaN;
	const variance = offsets.length > 1 ? offsets.reduce((s, o) => s + (o - mean) ** 2, 0) / (offsets.length - 1) : Number.NaN;
	return { offsets, years: found.length, without: found.length - offsets.length, mean, sd: Math.sqrt(variance) };
}

/**
 * For each warm season of the record: the last night at or below the threshold before its middle, and
 * the first after it. Half years with too many nights unknown are left out.
 */
export function frostDates(r: DailyRecord, threshold: number, middle: number): FrostDates {
	const lasts: (number | null)[] = [];
	const firsts: (number | null)[] = [];
	const free: number[] = [];
	for (let year = yearOf(r.first); year <= yearOf(lastDay(r)) + 1; year++) {
		const summer = dayInYear(year, middle);
		const scan = (step: 1 | -1): number | null | undefined => {
			let unknown = 0;
			let found: number | null = null;
			for (let n = step === 1 ? 1 : 0; n < HALF; n++) {
				const low = lowOn(r, summer + step * n);
				if (Number.isNaN(low)) unknown++;
				else if (low <= threshold && found === null) found = step * n;
			}
			return unknown > MOST_UNKNOWN * HALF ? undefined : found;
		};
		const last = scan(-1);
		const first = scan(1);
		if (last !== undefined) lasts.push(last);
		if (first !== undefined) firsts.push(first);
		if (typeof last === 'number' && typeof first === 'number') free.push(first - last);
	}
	return { threshold, middle, last: side(lasts), first: side(firsts), free: free.sort((a, b) => a - b) };
}

/** Chance that a year has such a night on this side at all. */
export const shareWith = (s: FrostSide): number => (s.years === 0 ? Number.NaN : 1 - s.without / s.years);

/**
 * The date by which the last frost has been in a share q of all years (0.1: an early spring; 0.9: safe
 * nine years in ten), as day of the year; null where that share is reached without any frost.
 * `empirical` interpolates between the years (Hyndman and Fan 1996, type 7); else the fitted normal.
 */
export function lastFrostBy(f: FrostDates, q: number, how: 'empirical' | 'fitted'): number | null {
	const frostless = 1 - shareWith(f.last);
	if (!(q > frostless)) return null;
	return at(f, f.last, (q - frostless) / (1 - frostless), how);
}

/** The date by which the first frost has come in a share q of all years; null where it never does in so many. */
export function firstFrostBy(f: FrostDates, q: number, how: 'empirical' | 'fitted'): number | null {
	const frosty = shareWith(f.first);
	if (!(q < frosty) && !(q === frosty && q === 1)) return null;
	return at(f, f.first, q / frosty, how);
}

function at(f: FrostDates, s: FrostSide, q: number, how: 'empirical' | 'fitted'): number | null {
	if (s.offsets.length === 0) return null;
	if (how === 'empirical') return wrapDoy(f.middle + quantileOf(s.offsets, q));
	if (s.offsets.length < 2) return null;
	return wrapDoy(
		f.middle + Math.max(-HALF, Math.min(HALF, quantile(Math.min(0.9999, Math.max(0.0001, q)), s.mean, Math.max(0.5, s.sd))))
	);
}

/** Quantile of sorted numbers, type 7 of Hyndman and Fan (1996), "Sample quantiles in statistical packages". */
export function quantileOf(sorted: readonly number[], q: number): number {
	const h = (sorted.length - 1) * Math.min(1, Math.max(0, q));
	const below = Math.floor(h);
	return sorted[below]! + (h - below) * ((sorted[below + 1] ?? sorted[below]!) - sorted[below]!);
}

/** Chance that a frost of the threshold still comes between a day and the middle of the warm season that follows it. */
export function oddsOfLaterFrost(f: FrostDates, day: DayNumber): number {
	if (f.last.offsets.length === 0) return 0;
	const middles = [yearOf(day), yearOf(day) + 1].map((y) => dayInYear(y, f.middle));
	const next = middles.find((m) => m >= day) ?? middles[1]!;
	// Just past the middle of a warm season the frosts of the next spring are still all to come, but not this season's.
	if (next - day > HALF) return 0;
	return shareWith(f.last) * (1 - cdf(day - next, f.last.mean, Math.max(1, f.last.sd || 12)));
}
