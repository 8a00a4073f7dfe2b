/**
 * A record made for a garden that has none: weather from the generator, bent until its frosts and its
 * coldest night are those that the person gave. It is not what happened: wherever it shows, it says so.
 */
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { randomLcg } from 'd3-random';
import { dayInYear, daysRound, wrapDoy, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { zonalSwing } from './climate.js';
import type { Climate } from './climate.js';
import { frostDates, shareWith } from './frostDates.js';
import { generate } from './generator.js';
import type { GeneratorModel } from './generator.js';
import { coldestNights } from './heat.js';
import type { DailyRecord } from './record.js';
import { SEASON } from './judged.js';

export const MADE_YEARS = 30;

interface Bend {
	/** Mean night of the year and half its swing, °C; day of the year that is coldest. */
	night: number;
	swing: number;
	coldestDoy: number;
	/** Day-to-day spread in winter, °C. */
	winterSd: number;
}

const wave = (doy: number, peak: number) => Math.cos((2 * Math.PI * (doy - peak)) / 365.25);

/** Share of wet days and rain of a wet day by latitude: wet at the equator and in the fifties, dry about 25°. From memory. */
function wetness(latitude: number, doy: number): { share: number; mm: number } {
	const l = Math.abs(latitude);
	const summer = wave(doy, latitude < 0 ? 15 : 197);
	if (l < 23.5) return { share: 0.42 + 0.28 * summer * (l / 23.5 + 0.4), mm: 10 };
	if (l < 40) return { share: 0.24 - 0.14 * summer, mm: 8 };
	return { share: 0.42 + 0.03 * summer, mm: 4.5 + 1.5 * summer };
}

function modelOf(b: Bend, latitude: number): GeneratorModel {
	const year = (f: (doy: number) => number) => Float64Array.from({ length: 366 }, (_, i) => f(i + 1));
	const cold = (doy: number) => wave(doy, b.coldestDoy);
	const night = (doy: number) => b.night - b.swing * cold(doy);
	// Warm half years have wider days and steadier nights than winters. From memory.
	const range = (doy: number) => 9 - 2.5 * cold(doy);
	const spread = (doy: number) => 3.2 + (b.winterSd - 3.2) * (0.5 + 0.5 * cold(doy));
	const persistence = 1.5;
	const wetAfter = [0, 1].map((state) =>
		year((doy) => {
			const { share } = wetness(latitude, doy);
			const odds = (share / (1 - share)) * (state ? persistence : 1 / persistence);
			return Math.min(0.95, Math.max(0.01, odds / (1 + odds)));
		})
	) as unknown as GeneratorModel['wetAfter'];
	const both = (dry: (doy: number) => number, wet: (doy: number) => number) => [year(dry), year(wet)] as const;
	return {
		wetAfter,
		shape: year(() => 0.75),
		scale: year((doy) => wetness(latitude, doy).mm / 0.75),
		// Wet days have milder nights and cooler days. From memory.
		low: {
			mean: both(
				(d) => night(d) - 0.8,
				(d) => night(d) + 1.1
			),
			sd: both(spread, (d) => 0.8 * spread(d))
		},
		high: {
			mean: both(
				(d) => night(d) + range(d) + 1.2,
				(d) => night(d) + range(d) - 1.8
			),
			sd: both((d) => 1.15 * spread(d), spread)
		},
		// Lag-one correlations of about 0.65 and one of 0.6 between low and high of a day: Richardson (1981) gives 0.6–0.7. From memory.
		a: [0.55, 0.15, 0.12, 0.58],
		b: [0.74, 0, 0.25, 0.71],
		slow: 0.06
	};
}

/** Middle of the warm season, day of the year, from the frost dates or from the hemisphere. */
export function warmMiddle(c: Climate): number {
	const usual = c.latitude < 0 ? 20 : 201;
	if (!c.lastFrost || !c.firstFrost) return usual;
	return wrapDoy(c.lastFrost.doy + daysRound(c.lastFrost.doy, c.firstFrost.doy) / 2);
}

const SEED = 0.4142;
const ROUNDS = 14;

/** The generator whose weather has the garden's frost dates and coldest night, found by bending and trying. */
export function madeModel(c: Climate): GeneratorModel {
	const middle = warmMiddle(c);
	const b: Bend = {
		night: c.coldestC + 22,
		swing: Math.max(1, zonalSwing(c.latitude)),
		coldestDoy: wrapDoy(middle + 182),
		winterSd: 4.5
	};
	if (!c.lastFrost || !c.firstFrost) {
		b.swing = Math.min(b.swing, 6);
		b.winterSd = 2.4;
		b.night = Math.max(c.coldestC, 2) + b.swing + 6;
	}
	const goal = c.lastFrost && c.firstFrost ? daysRound(c.lastFrost.doy, c.firstFrost.doy) : null;
	for (let round = 0; round < ROUNDS; round++) {
		const r = generate(modelOf(b, c.latitude), randomLcg(SEED), dayInYear(1991, 1), MADE_YEARS * 365 + 7);
		const nights = coldestNights(r, middle);
		const coldest = nights.reduce((s, n) => s + n.low, 0) / nights.length;
		const step = round < 6 ? 0.8 : 0.5;
		if (goal === null) {
			b.night += step * (Math.max(c.coldestC, 1.5) - coldest);
			continue;
		}
		const f = frostDates(r, 0, middle);
		const [last, first] = [f.last.mean, f.first.mean];
		if (Number.isNaN(last) || Number.isNaN(first) || shareWith(f.last) < 0.5) {
			b.night -= 1.5;
			continue;
		}
		// Frost-free days grow with the mean night; a flank of the year rises some 2π·swing/365 °C a day.
		const flank = Math.max(0.04, (2 * Math.PI * b.swing) / 365);
		b.night += step * 0.5 * (goal - (first - last)) * flank * 0.9;
		const off = (last + first) / 2;
		b.coldestDoy -= step * off;
		// A colder winter about the same frosts: more swing, its mean kept where the frosts want it next time.
		b.swing = Math.max(1.5, b.swing + step * 0.45 * (coldest - c.coldestC));
	}
	return modelOf(b, c.latitude);
}

const COLDEST_SD = SEASON.coldestSpread.value;
/** A night that must freeze freezes by so much at least, and one that must not stays so far above, °C. */
const HAIR = 0.3;

/** Standard normal scores for so many years, evenly spread and in an order by chance: their mean is 0 and their spread 1. */
function scores(n: number, uniform: () => number): number[] {
	const z = Array.from({ length: n }, (_, i) => normalQuantile((i + 0.5) / n, 0, 1));
	const sd = Math.sqrt(z.reduce((s, v) => s + v * v, 0) / (n - 1));
	for (let i = n - 1; i > 0; i--) {
		const j = Math.floor(uniform() * (i + 1));
		[z[i], z[j]] = [z[j]!, z[i]!];
	}
	return z.map((v) => v / sd);
}

/** Sets a night's low, and keeps the day warmer than its night. */
function setLow(r: DailyRecord, i: number, low: number): void {
	if (r.low[i] === undefined) return;
	r.low[i] = Math.round(low * 10) / 10;
	if (r.high[i]! < r.low[i]! + HAIR) r.high[i] = Math.round((r.low[i]! + HAIR) * 10) / 10;
}

/**
 * Holds a made record to what the person told: in each year the last and the first frost fall on days about the told
 * dates with the told spread, nights between them do not freeze, and the coldest nights average what was told. Bending
 * the generator alone leaves frosts spread two to three times too wide in mild winters.
 */
export function heldToFrosts(r: DailyRecord, c: Climate): DailyRecord {
	const { lastFrost, firstFrost } = c;
	const firstYear = yearOf(r.first);
	const years = yearOf(r.first + r.low.length - 1) - firstYear + 1;
	if (!lastFrost || !firstFrost) {
		for (let i = 0; i < r.low.length; i++) if (r.low[i]! <= HAIR) setLow(r, i, HAIR + 0.2 * Math.abs(r.low[i]!));
		return r;
	}
	const uniform = randomLcg(SEED / 2);
	const middle = warmMiddle(c);
	const [zLast, zFirst, zCold] = [scores(years + 2, uniform), scores(years + 2, uniform), scores(years + 2, uniform)];
	const spring: DayNumber[] = [];
	const autumn: DayNumber[] = [];
	for (let k = 0; k < years + 2; k++) {
		const summer = dayInYear(firstYear - 1 + k, middle);
		const back = daysRound(lastFrost.doy, middle);
		const on = daysRound(middle, firstFrost.doy);
		spring.push(summer - Math.max(1, Math.round(back - lastFrost.sd * zLast[k]!)));
		autumn.push(summer + Math.max(1, Math.round(on + firstFrost.sd * zFirst[k]!)));
	}
	for (let k = 0; k < spring.length; k++) {
		const at = (day: DayNumber) => day - r.first;
		// A winter whose first frost would come after its last has one, half-way.
		const before = autumn[k - 1];
		if (before !== undefined && before > spring[k]!) spring[k] = autumn[k - 1] = Math.round((before + spring[k]!) / 2);
		for (let day = spring[k]! + 1; day < autumn[k]!; day++) {
			const low = r.low[at(day)];
			if (low !== undefined && low <= HAIR) setLow(r, at(day), HAIR + 0.2 * Math.abs(low));
		}
	}
	for (let k = 0; k < spring.length; k++) {
		for (const day of [spring[k]!, autumn[k]!]) {
			const low = r.low[day - r.first];
			if (low !== undefined && low > -HAIR) setLow(r, day - r.first, -HAIR);
		}
		const begins = autumn[k - 1];
		if (begins !== undefined) holdColdest(r, begins, spring[k]!, c.coldestC + COLDEST_SD * zCold[k]!);
	}
	return r;
}

/** Stretches the frosts of a winter until the coldest is the wished one; which nights freeze stays as it is. */
function holdColdest(r: DailyRecord, from: DayNumber, to: DayNumber, wished: number): void {
	let coldest = 0;
	for (let day = from; day <= to; day++) coldest = Math.min(coldest, r.low[day - r.first] ?? 0);
	if (coldest >= 0) return;
	const stretch = Math.min(-HAIR, wished) / coldest;
	for (let day = from; day <= to; day++) {
		const low = r.low[day - r.first];
		if (low !== undefined && low < 0) setLow(r, day - r.first, Math.min(-HAIR / 3, low * stretch));
	}
}

/** Thirty made years up to the end of the year before `today`. */
export function madeRecord(c: Climate, today: DayNumber): DailyRecord {
	const first = dayInYear(yearOf(today) - MADE_YEARS, 1);
	return heldToFrosts(generate(madeModel(c), randomLcg(SEED), first, dayInYear(yearOf(today), 1) - first), c);
}
