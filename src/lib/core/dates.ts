/**
 * Plain dates. Outside the core a date is an ISO string (YYYY-MM-DD); inside, arithmetic runs on
 * day numbers (whole days since 1970-01-01, proleptic Gregorian). Temporal.PlainDate does the calendar.
 */
import { utcFormat } from 'd3-time-format';
import { Temporal } from 'temporal-polyfill';
import { writing } from './writing.js';
import type { DayWriting } from './writing.js';

export type IsoDate = string;
/** Whole days since 1970-01-01. */
export type DayNumber = number;

const MS_PER_DAY = 86_400_000;

/** True for a real calendar date written YYYY-MM-DD, years 1900–2199 (30 February is not one). */
export function isIsoDate(text: string): boolean {
	if (!/^(19|20|21)\d\d-\d\d-\d\d$/.test(text)) return false;
	try {
		return Temporal.PlainDate.from(text, { overflow: 'reject' }).toString() === text;
	} catch {
		return false;
	}
}

/** A page reads some thousand dates off its rows, most of them of the same few years: each is worked out once. */
const numbers = new Map<IsoDate, DayNumber>();
const texts = new Map<DayNumber, IsoDate>();
const MOST_KEPT = 20_000;
function kept<K, V>(known: Map<K, V>, key: K, reckon: () => V): V {
	let value = known.get(key);
	if (value === undefined) {
		if (known.size >= MOST_KEPT) known.clear();
		known.set(key, (value = reckon()));
	}
	return value;
}

export const dayNumber = (iso: IsoDate): DayNumber =>
	kept(numbers, iso, () =>
		Math.round(Temporal.PlainDate.from(iso).toZonedDateTime({ timeZone: 'UTC' }).epochMilliseconds / MS_PER_DAY)
	);

export const isoOf = (day: DayNumber): IsoDate => kept(texts, Math.round(day), () => plainDate(day).toString());

export function plainDate(day: DayNumber): Temporal.PlainDate {
	return Temporal.Instant.fromEpochMilliseconds(Math.round(day) * MS_PER_DAY)
		.toZonedDateTimeISO('UTC')
		.toPlainDate();
}

const firstOfYear = (year: number): DayNumber => FIRST_OF_YEAR[year - FIRST_KNOWN] ?? Date.UTC(year, 0, 1) / MS_PER_DAY;
/** Read off a table: planning asks it a million times. */
const FIRST_KNOWN = 1800;
const FIRST_OF_YEAR = Int32Array.from({ length: 500 }, (_, i) => Date.UTC(FIRST_KNOWN + i, 0, 1) / MS_PER_DAY);

/** Calendar year of a day. Plain arithmetic, for planning asks it a million times. */
export function yearOf(day: DayNumber): number {
	const guess = Math.floor(1970 + day / 365.2425);
	if (firstOfYear(guess + 1) <= day) return guess + 1;
	return firstOfYear(guess) > day ? guess - 1 : guess;
}

/** Day of the year, 1 January = 1. */
export const dayOfYear = (day: DayNumber): number => day - firstOfYear(yearOf(day)) + 1;

/** Day number of the given day of a year; day 366 of a common year is 1 January of the next. */
export const dayInYear = (year: number, doy: number): DayNumber => firstOfYear(year) + Math.round(doy) - 1;

export const addDays = (iso: IsoDate, days: number): IsoDate => isoOf(dayNumber(iso) + Math.round(days));

/** Any day of the year, rounded and brought into 1–365. */
export const wrapDoy = (doy: number): number => ((((Math.round(doy) - 1) % 365) + 365) % 365) + 1;

/** Days round the year from one day of it to a later one, 0–364. */
export const daysRound = (from: number, to: number): number => (((to - from) % 365) + 365) % 365;

/** The day of the given day of the year that is nearest to a day. */
export function nearestDoy(day: DayNumber, doy: number): DayNumber {
	const year = yearOf(day);
	let best = dayInYear(year, doy);
	for (const y of [year - 1, year + 1]) {
		const other = dayInYear(y, doy);
		if (Math.abs(other - day) < Math.abs(best - day)) best = other;
	}
	return best;
}

/** Days from a to b (positive when b is later). */
export const daysBetween = (a: IsoDate, b: IsoDate): number => dayNumber(b) - dayNumber(a);

/** Today's date in a time zone, from an instant handed in by the caller. */
export function dateIn(timeZone: string, epochMilliseconds: number): IsoDate {
	return Temporal.Instant.fromEpochMilliseconds(epochMilliseconds).toZonedDateTimeISO(timeZone).toPlainDate().toString();
}

/** With a year and without. What the browser itself offers for it takes a slow phone a quarter of a second to make. */
const FORMATS: Record<DayWriting, readonly [withYear: (day: Date) => string, without: (day: Date) => string]> = {
	'day-first': [utcFormat('%-d %b %Y'), utcFormat('%-d %b')],
	'month-first': [utcFormat('%b %-d, %Y'), utcFormat('%b %-d')],
	dots: [utcFormat('%-d.%-m.%Y'), utcFormat('%-d.%-m.')],
	// "05-01" is read as a price or a pot size: in figures the year stays.
	iso: [utcFormat('%Y-%m-%d'), utcFormat('%Y-%m-%d')]
};

/** "12 May" or, with a year, "12 May 2027", or as whoever reads writes it. */
export function sayDate(iso: IsoDate, withYear = true): string {
	const day = FORMATS[writing().days][withYear ? 0 : 1];
	return day(new Date(dayNumber(iso) * MS_PER_DAY));
}

/** A stretch of days as a person says it: "a day", "12 days", "3 weeks", "4 months", "2½ years". */
export function sayWait(days: number): string {
	const whole = Math.round(days);
	if (whole <= 1) return 'a day';
	if (whole < 14) return `${whole} days`;
	if (whole < 60) return `${Math.round(whole / 7)} weeks`;
	if (whole < 365) return `${Math.round(whole / 30.4)} months`;
	const halves = Math.round(whole / 182.6);
	const years = `${Math.floor(halves / 2)}${halves % 2 ? '½' : ''}`;
	return years === '1' ? 'a year' : `${years} years`;
}
