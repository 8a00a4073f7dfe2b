/**
 * A record made for a garden that has none: weather from the generator, bent until its frosts and its
 * coldest night are those that the person gave. It is not what happened: wherever it shows, it says so.
 */
import { randomLcg } from 'd3-random';
import { dayInYear, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { zonalSwing } from './climate.js';
import type { Climate } from './climate.js';
import { frostDates, shareWith } from './frostDates.js';
import { generate } from './generator.js';
import type { GeneratorModel } from './generator.js';
import { coldestNights } from './heat.js';
import type { DailyRecord } from './record.js';

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
	const season = (((c.firstFrost.doy - c.lastFrost.doy) % 365) + 365) % 365;
	return ((((Math.round(c.lastFrost.doy + season / 2) - 1) % 365) + 365) % 365) + 1;
}

const SEED = 0.4142;
const ROUNDS = 14;

/** The generator whose weather has the garden's frost dates and coldest night, found by bending and trying. */
export function madeModel(c: Climate): GeneratorModel {
	const middle = warmMiddle(c);
	const b: Bend = {
		night: c.coldestC + 22,
		swing: Math.max(1, zonalSwing(c.latitude)),
		coldestDoy: ((middle + 182 - 1) % 365) + 1,
		winterSd: 4.5
	};
	if (!c.lastFrost || !c.firstFrost) {
		b.swing = Math.min(b.swing, 6);
		b.winterSd = 2.4;
		b.night = Math.max(c.coldestC, 2) + b.swing + 6;
	}
	const goal = c.lastFrost && c.firstFrost ? (((c.firstFrost.doy - c.lastFrost.doy) % 365) + 365) % 365 : null;
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

/** Thirty made years up to the end of the year before `today`. */
export function madeRecord(c: Climate, today: DayNumber): DailyRecord {
	const first = dayInYear(yearOf(today) - MADE_YEARS, 1);
	return generate(madeModel(c), randomLcg(SEED), first, dayInYear(yearOf(today), 1) - first);
}
