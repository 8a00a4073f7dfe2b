/**
 * A year as it may go: each year of the record tells one way. What has been observed this year and what
 * the forecast says are laid over all of them, so that every rule sharpens as the season goes.
 */
import { dayInYear, dayOfYear, nearestDoy, wrapDoy } from '../dates.js';
import type { DayNumber } from '../dates.js';
import type { Climate } from './climate.js';
import { frostDates, lastFrostBy, firstFrostBy, quantileOf, shareWith } from './frostDates.js';
import type { FrostDates } from './frostDates.js';
import { LEAF_FALL_AFTER_FIRST_FROST, BUD_BREAK_BEFORE_LAST_FROST } from './anchors.js';
import { doysFrom, fitHarmonics, harmonicYear } from './harmonics.js';
import { wholeYears } from './record.js';
import type { DailyRecord, WeatherDay } from './record.js';
import { coldestNights, sumDegreeDays } from './heat.js';
import { warmMiddle } from './made.js';
import { dayLength } from './solar.js';
import { SEASON } from './judged.js';

/** Means by day of the year, index 0 = 1 January. */
export interface Normals {
	low: Float64Array;
	high: Float64Array;
	rain: Float64Array;
}

/** What a record tells of a garden's year. */
export interface RecordClimate {
	climate: Climate;
	normals: Normals;
	/** Day of the year in the middle of the warm season. */
	middle: number;
	frost: FrostDates;
	/** Whole years it rests on. */
	years: number[];
	/** Degree days above 5 °C since midwinter at which buds usually break here. */
	budBreakSum: number;
	/** Mean lowest night of a winter, °C. */
	coldestC: number;
	/** Day of the year on which the rains usually begin and end; null where the year has no dry season. */
	rains: { start: number; end: number } | null;
}

export interface Forecast {
	/** First day that it tells. */
	from: DayNumber;
	/** Members by day: each is one way that the weather may go. */
	members: { low: number; high: number; rain: number }[][];
}

const RARE_FROST = SEASON.rareFrost.value;

/** Smoothed daily normals of a record. */
export function normalsOf(r: DailyRecord): Normals {
	const doys = doysFrom(r.first, r.low.length);
	const curve = (column: Float64Array, k: number) => harmonicYear(fitHarmonics(doys, column, k));
	return { low: curve(r.low, 3), high: curve(r.high, 3), rain: curve(r.rain, 2).map((v) => Math.max(0, v)) };
}

/** Day of the year on which a yearly curve is highest. */
const peakOf = (curve: Float64Array): number => curve.indexOf(curve.reduce((a, b) => Math.max(a, b))) + 1;

/** The year of a garden as its record tells it; null when the record has too few whole years. */
export function climateOfRecord(r: DailyRecord, at: { latitude: number; longitude: number }, least = 3): RecordClimate | null {
	const years = wholeYears(r);
	if (years.length < least) return null;
	const normals = normalsOf(r);
	const mean = normals.low.map((v, i) => (v + normals.high[i]!) / 2);
	// Near the equator the year has no warm middle to speak of: take the hemisphere's.
	const swing = Math.max(...mean) - Math.min(...mean);
	const middle = swing > 4 ? peakOf(mean) : warmMiddle({ ...at, coldestC: 20, lastFrost: null, firstFrost: null });
	const frost = frostDates(r, 0, middle);
	const nights = coldestNights(r, middle);
	const coldestC = nights.length ? nights.reduce((s, n) => s + n.low, 0) / nights.length : Math.min(...normals.low) - 8;
	const frosty = shareWith(frost.last) >= RARE_FROST && shareWith(frost.first) >= RARE_FROST;
	const dated = (s: FrostDates['last']) => ({
		doy: wrapDoy(middle + s.mean),
		sd: Math.min(60, Math.max(1, Number.isNaN(s.sd) ? 12 : s.sd)),
		share: shareWith(s)
	});
	const rains = rainsOf(normals.rain);
	const climate: Climate = {
		...at,
		rains,
		coldestC: Math.round(coldestC * 10) / 10,
		lastFrost: frosty ? dated(frost.last) : null,
		firstFrost: frosty ? dated(frost.first) : null,
		frozen: frozenSpan(mean, middle)
	};
	// Calibrated so that buds break when the handbook's plain rule says, in the middle year; by warmth in each.
	const winter = wrapDoy(middle + 183);
	// In a mild winter the rule may point to a day before midwinter: then buds break as soon as warmth allows.
	const rule = climate.lastFrost ? ((climate.lastFrost.doy - BUD_BREAK_BEFORE_LAST_FROST - winter + 912) % 365) - 182 : 0;
	const until = Math.max(0, rule);
	const sums = years
		.map((y) => dayInYear(y, middle) - 182)
		.map((from) => sumDegreeDays(r, from, from + Math.min(until, 250), 5))
		.filter((v) => !Number.isNaN(v))
		.sort((x, y) => x - y);
	const budBreakSum = sums.length ? quantileOf(sums, 0.5) : 5;
	return {
		climate,
		normals,
		middle,
		frost,
		years,
		coldestC,
		budBreakSum: Math.max(2, budBreakSum),
		rains
	};
}

const LONG_FROZEN = SEASON.longFrozen.value;

/**
 * Days of the year between which bare ground is frozen in a usual winter, by the year's mean temperatures (from day 1):
 * from the first so cold until they are above freezing again. Null where that is not for long: such frosts come and go.
 */
export function frozenSpan(mean: Float64Array | readonly number[], middle: number): { from: number; to: number } | null {
	const on = (i: number) => mean[wrapDoy(middle + i) - 1]!;
	let from = -1;
	for (let i = 0; i < 365 && from < 0; i++) if (on(i) < SOIL_FREEZES_BELOW) from = i;
	if (from < 0) return null;
	let to = from;
	while (to < 365 && on(to + 1) < 0) to++;
	return to - from + 1 < LONG_FROZEN ? null : { from: wrapDoy(middle + from), to: wrapDoy(middle + to) };
}

/** A dry season is one with less than half of the year's mean rain, at a place whose rain swings that much. */
function rainsOf(rain: Float64Array): RecordClimate['rains'] {
	const mean = rain.reduce((s, v) => s + v, 0) / rain.length;
	if (!(mean > 0) || Math.min(...rain) > 0.5 * mean) return null;
	let start = 0;
	let end = 0;
	for (let i = 0; i < rain.length; i++) {
		const before = rain[(i + rain.length - 1) % rain.length]!;
		if (before < mean && rain[i]! >= mean) start = i + 1;
		if (before >= mean && rain[i]! < mean) end = i + 1;
	}
	return start && end ? { start, end } : null;
}

/** Four years of days, the third of which is told of, as one year of the record would have them. */
export interface Scenario {
	/** 1 January of the first. */
	first: DayNumber;
	year: number;
	years: readonly number[];
	low: Float64Array;
	high: Float64Array;
	rain: Float64Array;
	/** Turning points and moments already reckoned on this scenario. */
	memo: Map<string, DayNumber[]>;
}

/** More than sixty years tell of a climate that is no longer this one. */
const MOST_SCENARIOS = 60;
/** Days before this one are certain. */
export interface Sharpening {
	today: DayNumber;
	observed: readonly WeatherDay[];
	forecast: Forecast | null;
}

/**
 * The scenarios of a year: four calendar years, from 1 January two years before it, so that what opened in
 * the autumn before last is known too. Years beyond either end of the
 * record are taken from its other end; what is missing is filled from the normals.
 */
export function scenariosOf(r: DailyRecord, recordClimate: RecordClimate, year: number, sharp: Sharpening | null): Scenario[] {
	const years = recordClimate.years.slice(-MOST_SCENARIOS);
	const span = [year - 2, year - 1, year, year + 1] as const;
	const first = dayInYear(span[0], 1);
	const days = dayInYear(year + 2, 1) - first;
	const doys = doysFrom(first, days);
	return years.map((source, k) => {
		const low = new Float64Array(days);
		const high = new Float64Array(days);
		const rain = new Float64Array(days);
		for (const ahead of [-2, -1, 0, 1]) {
			const from = dayInYear(year + ahead, 1);
			const to = dayInYear(year + ahead + 1, 1);
			const other = years.includes(source + ahead) ? source + ahead : ahead < 0 ? (years.at(ahead) ?? years[0]!) : years[0]!;
			const there = dayInYear(other, 1) - r.first;
			for (let day = from; day < to; day++) {
				const i = day - first;
				const j = there + (day - from);
				low[i] = r.low[j] ?? Number.NaN;
				high[i] = r.high[j] ?? Number.NaN;
				rain[i] = r.rain[j] ?? Number.NaN;
			}
		}
		for (let i = 0; i < days; i++) {
			if (Number.isNaN(low[i]!)) low[i] = recordClimate.normals.low[doys[i]! - 1]!;
			if (Number.isNaN(high[i]!)) high[i] = recordClimate.normals.high[doys[i]! - 1]!;
			if (Number.isNaN(rain[i]!)) rain[i] = recordClimate.normals.rain[doys[i]! - 1]!;
		}
		if (sharp) overlay({ low, high, rain, first }, sharp, k);
		return { first, year, years: span, low, high, rain, memo: new Map() };
	});
}

function overlay(s: Pick<Scenario, 'low' | 'high' | 'rain' | 'first'>, sharp: Sharpening, k: number): void {
	const put = (day: DayNumber, d: { low: number | null; high: number | null; rain: number | null }) => {
		const i = day - s.first;
		if (i < 0 || i >= s.low.length) return;
		if (d.low !== null) s.low[i] = d.low;
		if (d.high !== null) s.high[i] = d.high;
		if (d.rain !== null) s.rain[i] = d.rain;
	};
	for (const d of sharp.observed) if (d.day <= sharp.today) put(d.day, d);
	const f = sharp.forecast;
	if (!f || f.members.length === 0) return;
	const member = f.members[k % f.members.length]!;
	for (const [n, d] of member.entries()) if (f.from + n > sharp.today) put(f.from + n, d);
}

/** Warm middles and the winters' middles before them, within the scenario. */
function summers(s: Scenario, recordClimate: RecordClimate): DayNumber[] {
	return [...s.years, s.year + 2]
		.map((y) => dayInYear(y, recordClimate.middle))
		.filter((d) => d - 183 >= s.first - 120 && d - 183 < s.first + s.low.length);
}

const at = (column: Float64Array, s: Scenario, day: DayNumber): number => column[day - s.first] ?? Number.NaN;

/** First day from `from` on which warmth above the base has added up to `sum`; null if not within 330 days. */
export function dayOfSum(s: Scenario, from: DayNumber, base: number, sum: number): DayNumber | null {
	let total = 0;
	for (let day = from; day < from + 330; day++) {
		const low = at(s.low, s, day);
		const high = at(s.high, s, day);
		if (Number.isNaN(low)) {
			// Before the scenario begins nothing is known, and in its first winter little is missed.
			if (day < s.first) continue;
			return null;
		}
		total += Math.max(0, (low + high) / 2 - base);
		if (total >= sum) return day;
	}
	return null;
}

/** Every last (first) frost of the scenario; a winter without counts as over (begun) in its middle. */
export function frostsIn(s: Scenario, recordClimate: RecordClimate, side: 'last' | 'first', threshold = 0): DayNumber[] {
	return summers(s, recordClimate).flatMap((summer) => {
		const step = side === 'last' ? -1 : 1;
		for (let n = side === 'last' ? 0 : 1; n < 183; n++) {
			const low = at(s.low, s, summer + step * n);
			if (Number.isNaN(low)) break;
			if (low <= threshold) return [summer + step * n];
		}
		const end = summer + step * 183;
		return Number.isNaN(at(s.low, s, end)) ? [] : [end];
	});
}

export function budBreaksIn(s: Scenario, recordClimate: RecordClimate): DayNumber[] {
	return summers(s, recordClimate).flatMap((summer) => dayOfSum(s, summer - 182, 5, recordClimate.budBreakSum) ?? []);
}

/** Half by the light, half by the cold: leaves fall about their usual day, moved by half of what the first frost is early or late. From memory. */
export function leafFallsIn(s: Scenario, recordClimate: RecordClimate): DayNumber[] {
	const usual = recordClimate.climate.firstFrost;
	if (!usual) return [];
	return frostsIn(s, recordClimate, 'first').map((frost) => {
		const near = nearestDoy(frost, usual.doy);
		return Math.round(near + LEAF_FALL_AFTER_FIRST_FROST + (frost - near) / 2);
	});
}

const SOIL_FREEZES_BELOW = SEASON.soilFreezes.value;

/** First day after midsummer from which ten days are on average so cold. */
export function soilFreezesIn(s: Scenario, recordClimate: RecordClimate): DayNumber[] {
	const span = 10;
	return summers(s, recordClimate).flatMap((summer) => {
		let sum = 0;
		for (let day = summer; day < summer + 240; day++) {
			sum += (at(s.low, s, day) + at(s.high, s, day)) / 2;
			if (day - summer >= span) sum -= (at(s.low, s, day - span) + at(s.high, s, day - span)) / 2;
			if (Number.isNaN(sum)) return [];
			if (day - summer >= span && sum / span < SOIL_FREEZES_BELOW) return [day - span + 1];
		}
		return [];
	});
}

export function nightsAboveIn(s: Scenario, recordClimate: RecordClimate, c: number): DayNumber[] {
	const span = 7;
	return summers(s, recordClimate).flatMap((summer) => {
		let sum = 0;
		for (let day = summer - 183, n = 0; day < summer + 60; day++) {
			const low = at(s.low, s, day);
			if (Number.isNaN(low)) {
				if (day < s.first) continue;
				return [];
			}
			sum += low;
			n++;
			if (n > span) sum -= at(s.low, s, day - span);
			if (n >= span && sum / span >= c) return [day];
		}
		return [];
	});
}

export function nightsBelowIn(s: Scenario, recordClimate: RecordClimate, c: number): DayNumber[] {
	return summers(s, recordClimate).flatMap((summer) => {
		for (let day = summer + 1; day < summer + 183; day++) {
			if (Number.isNaN(at(s.low, s, day + 1))) return [];
			if (at(s.low, s, day) <= c && at(s.low, s, day + 1) <= c) return [day];
		}
		return [];
	});
}

const LENGTHS = new Map<string, Float64Array>();
/** Day lengths of a latitude by day of the year: the same each year to a minute. */
function lengths(latitude: number): Float64Array {
	const key = latitude.toFixed(2);
	let table = LENGTHS.get(key);
	if (!table) {
		// A household has a handful of gardens; whoever asks for hundreds pays the reckoning again.
		if (LENGTHS.size > 50) LENGTHS.clear();
		const first = dayInYear(2025, 1);
		table = Float64Array.from({ length: 366 }, (_, i) => dayLength(latitude, 0, first + Math.min(364, i)));
		LENGTHS.set(key, table);
	}
	return table;
}

export function dayLengthsIn(s: Scenario, latitude: number, hours: number, going: 'up' | 'down'): DayNumber[] {
	const table = lengths(latitude);
	const found: DayNumber[] = [];
	for (let day = s.first + 1, doy = dayOfYear(s.first) + 1; day < s.first + s.low.length; day++, doy++) {
		if (doy >= 366) doy = dayOfYear(day);
		const before = table[(doy + 364) % 366]!;
		const now = table[doy - 1]!;
		if (going === 'up' ? before < hours && now >= hours : before >= hours && now < hours) found.push(day);
	}
	// A date that falls on the seam of the year would come twice.
	return found.filter((d, i) => i === 0 || d - found[i - 1]! > 30);
}

/** Rains begin (end) when twenty days bring more (less) than their share of the year's mean, nearest to the usual day. */
export function rainsIn(s: Scenario, recordClimate: RecordClimate, edge: 'start' | 'end'): DayNumber[] {
	if (!recordClimate.rains) return [];
	const span = 20;
	const share = (recordClimate.normals.rain.reduce((t, v) => t + v, 0) / 366) * span;
	const usual = recordClimate.rains[edge];
	const found: DayNumber[] = [];
	for (const y of s.years) {
		const about = dayInYear(y, usual);
		let best: DayNumber | null = null;
		for (let n = 0; n <= 50 && best === null; n++)
			for (const day of n === 0 ? [about] : [about - n, about + n]) {
				let sum = 0;
				for (let i = 0; i < span; i++) sum += at(s.rain, s, day + i);
				let back = 0;
				for (let i = 1; i <= span; i++) back += at(s.rain, s, day - i);
				if (Number.isNaN(sum) || Number.isNaN(back)) continue;
				if (edge === 'start' ? sum >= share && back < share : sum < share && back >= share) {
					best = day;
					break;
				}
			}
		found.push(best ?? about);
	}
	return found;
}

/** The day by which frost has a chance left, the same in every scenario: it is a fact of the climate. */
export function frostChancesIn(
	s: Scenario,
	recordClimate: RecordClimate,
	chance: number,
	side: 'spring' | 'autumn'
): DayNumber[] {
	const doy =
		side === 'spring'
			? lastFrostBy(recordClimate.frost, 1 - chance, 'fitted')
			: firstFrostBy(recordClimate.frost, chance, 'fitted');
	if (doy === null) return [];
	return s.years.map((y) => dayInYear(y, doy));
}
