/** A daily weather record: lowest and highest temperature and rain, day by day, with gaps. */
import { dayInYear, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import type { Result } from '../result.js';
import { ok, refuse } from '../result.js';

export interface WeatherDay {
	day: DayNumber;
	/** Lowest and highest temperature, °C, and rain, mm; null when not known. */
	low: number | null;
	high: number | null;
	rain: number | null;
}

/** Columns by day from `first`; NaN where nothing is known. */
export interface DailyRecord {
	first: DayNumber;
	low: Float64Array;
	high: Float64Array;
	rain: Float64Array;
}

/** What a day on earth can be, with room: outside of it a figure is an error. From memory of the world's extremes. */
export const POSSIBLE = { low: [-90, 50], high: [-80, 60], rain: [0, 1900] } as const;
/** Longest record that is read: 200 years. */
export const MOST_DAYS = 73_100;
/** Fewer whole years than this tell nothing of a climate. Normals are usually made of 30. */
export const LEAST_YEARS = 3;

export const dayCount = (r: DailyRecord): number => r.low.length;
export const lastDay = (r: DailyRecord): DayNumber => r.first + r.low.length - 1;

export function emptyRecord(first: DayNumber, days: number): DailyRecord {
	const blank = () => new Float64Array(days).fill(Number.NaN);
	return { first, low: blank(), high: blank(), rain: blank() };
}

const orNaN = (v: number | null) => v ?? Number.NaN;

/** One record of days in any order; where a day comes twice, the later one in the list stands. */
export function recordOfDays(days: readonly WeatherDay[]): DailyRecord {
	if (days.length === 0) return emptyRecord(0, 0);
	let first = Infinity;
	let last = -Infinity;
	for (const d of days) {
		if (d.day < first) first = d.day;
		if (d.day > last) last = d.day;
	}
	const r = emptyRecord(first, Math.min(MOST_DAYS, last - first + 1));
	for (const d of days) {
		const i = d.day - first;
		if (i >= r.low.length) continue;
		r.low[i] = orNaN(d.low);
		r.high[i] = orNaN(d.high);
		r.rain[i] = orNaN(d.rain);
	}
	return r;
}

/** The days of a record again, those of which nothing is known left out. */
export function daysOf(r: DailyRecord): WeatherDay[] {
	const known = (v: number) => (Number.isNaN(v) ? null : v);
	const days: WeatherDay[] = [];
	for (let i = 0; i < r.low.length; i++) {
		const d = { day: r.first + i, low: known(r.low[i]!), high: known(r.high[i]!), rain: known(r.rain[i]!) };
		if (d.low !== null || d.high !== null || d.rain !== null) days.push(d);
	}
	return days;
}

export const lowOn = (r: DailyRecord, day: DayNumber): number => r.low[day - r.first] ?? Number.NaN;
export const highOn = (r: DailyRecord, day: DayNumber): number => r.high[day - r.first] ?? Number.NaN;
export const rainOn = (r: DailyRecord, day: DayNumber): number => r.rain[day - r.first] ?? Number.NaN;

/** Calendar years of which at least nine tenths of the lowest and highest temperatures are known. */
export function wholeYears(r: DailyRecord): number[] {
	const years: number[] = [];
	for (let year = yearOf(r.first); year <= yearOf(lastDay(r)); year++) {
		const from = dayInYear(year, 1);
		let known = 0;
		for (let i = 0; i < 365; i++) {
			const at = from + i - r.first;
			if (!Number.isNaN(r.low[at] ?? Number.NaN) && !Number.isNaN(r.high[at] ?? Number.NaN)) known++;
		}
		if (known >= 0.9 * 365) years.push(year);
	}
	return years;
}

export interface RecordDoubt {
	code: 'fahrenheit' | 'swapped' | 'inches';
	sentence: string;
}

/**
 * What looks wrong with a record as a whole, for the person to be asked about: lowest and highest
 * swapped; Fahrenheit taken for Celsius. No place on earth has a year's mean above 35 °C or a mean of
 * its warmest tenth of days above 45 °C; and a difference of day and night above 25 °C on average is
 * that of a °F record.
 */
export function doubts(r: DailyRecord): RecordDoubt[] {
	let pairs = 0;
	let reversed = 0;
	let sum = 0;
	let range = 0;
	let above = 0;
	for (let i = 0; i < r.low.length; i++) {
		const low = r.low[i]!;
		const high = r.high[i]!;
		if (Number.isNaN(low) || Number.isNaN(high)) continue;
		pairs++;
		if (low > high) reversed++;
		sum += (low + high) / 2;
		range += Math.abs(high - low);
		if (Math.max(low, high) > 45) above++;
	}
	if (pairs === 0) return [];
	const found: RecordDoubt[] = [];
	if (reversed > pairs / 2)
		found.push({
			code: 'swapped',
			sentence: 'The lowest temperature is above the highest on most days: the two columns look swapped.'
		});
	if (sum / pairs > 35 || above > 0.02 * pairs)
		found.push({
			code: 'fahrenheit',
			sentence: `A mean of ${Math.round(sum / pairs)} °C is hotter than any place on earth: these look like degrees Fahrenheit.`
		});
	else if (range / pairs > 25)
		found.push({
			code: 'fahrenheit',
			sentence: `Day and night differ by ${Math.round(range / pairs)} °C on average, more than anywhere: these look like degrees Fahrenheit.`
		});
	return found;
}

/** A day that cannot be, with its reason; or the day. */
export function possibleDay(d: WeatherDay): Result<WeatherDay> {
	for (const [what, word, unit] of [
		['low', 'lowest temperature', '°C'],
		['high', 'highest temperature', '°C'],
		['rain', 'rain', 'mm']
	] as const) {
		const v = d[what];
		const [least, most] = POSSIBLE[what];
		if (v !== null && !(v >= least && v <= most))
			return refuse(`weather.${what}`, `A ${word} of ${v} ${unit} cannot be: between ${least} and ${most}.`, what);
	}
	if (d.low !== null && d.high !== null && d.low > d.high)
		return refuse('weather.order', `The lowest temperature (${d.low} °C) is above the highest (${d.high} °C).`, 'low');
	return ok(d);
}

/** Stretches of days without any temperature, inside the record. */
export function gaps(r: DailyRecord): { from: DayNumber; days: number }[] {
	const found: { from: DayNumber; days: number }[] = [];
	for (let i = 0; i < r.low.length; i++) {
		if (!Number.isNaN(r.low[i]!) || !Number.isNaN(r.high[i]!)) continue;
		const before = found.at(-1);
		if (before && before.from + before.days === r.first + i) before.days++;
		else found.push({ from: r.first + i, days: 1 });
	}
	return found;
}
