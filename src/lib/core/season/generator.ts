/**
 * A stochastic weather generator after Richardson (1981), "Stochastic simulation of daily
 * precipitation, temperature, and solar radiation", Water Resources Research 17(1): rain as a two-state
 * Markov chain with gamma amounts, lowest and highest temperature as a bivariate first-order
 * autoregression about seasonal means and spreads that depend on whether the day is wet.
 */
import { randomGamma, randomNormal } from 'd3-random';
import { dayOfYear } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { doysFrom, fitHarmonics, harmonicYear } from './harmonics.js';
import { emptyRecord } from './record.js';
import type { DailyRecord } from './record.js';
import { SEASON } from './judged.js';

/** A wet day has at least this much rain, mm: a hundredth of an inch, what gauges have long been read to. */
export const WET_MM = 0.254;

type ByWetness = readonly [dry: Float64Array, wet: Float64Array];

/** All curves by day of the year, index 0 = 1 January, 366 long. */
export interface GeneratorModel {
	/** Chance of a wet day after a dry one, after a wet one. */
	wetAfter: ByWetness;
	/** Gamma amounts of wet days, mm above WET_MM: shape and scale. */
	shape: Float64Array;
	scale: Float64Array;
	low: { mean: ByWetness; sd: ByWetness };
	high: { mean: ByWetness; sd: ByWetness };
	/** Tomorrow's standardised residuals (low, high) = A · today's + B · fresh normal numbers. */
	a: readonly [number, number, number, number];
	b: readonly [number, number, number, number];
	/** Share of the variance that is a slow swing of warm and cold months, which day-to-day chance does not explain: 0–1. */
	slow: number;
}

const SLOW_DAYS = SEASON.slowDays.value;
const MONTHS = 12;
const monthOf = (doy: number) => Math.min(MONTHS - 1, Math.floor(((doy - 1) / 365.25) * MONTHS));
const clamp = (v: number, least: number, most: number) => Math.min(most, Math.max(least, v));

/** A smooth yearly curve through monthly values: two harmonics. */
const smooth = (monthly: readonly number[], least: number, most: number): Float64Array =>
	harmonicYear(
		fitHarmonics(
			monthly.map((_, m) => Math.round(((m + 0.5) / MONTHS) * 365.25)),
			monthly,
			2
		)
	).map((v) => clamp(v, least, most));

/** Least wet days of a month for its gamma to be fitted from them; fewer borrow the whole year's. */
const LEAST_WET = 20;

/** Gamma shape and scale by Thom's (1958) approximation of the maximum likelihood, from mean and mean logarithm. */
function thom(mean: number, meanLog: number): { shape: number; scale: number } {
	const a = Math.max(1e-4, Math.log(mean) - meanLog);
	const shape = clamp((1 + Math.sqrt(1 + (4 * a) / 3)) / (4 * a), 0.2, 5);
	return { shape, scale: mean / shape };
}

/** −1 where rain was not read, else whether the day was wet. */
function wetDays(rain: Float64Array): Int8Array {
	return Int8Array.from(rain, (mm) => (Number.isNaN(mm) ? -1 : mm >= WET_MM ? 1 : 0));
}

/** Rain: chances of a wet day by the day before, and the gamma amounts, month by month and smoothed. */
function fitRain(
	rain: Float64Array,
	wet: Int8Array,
	doys: ArrayLike<number>
): Pick<GeneratorModel, 'wetAfter' | 'shape' | 'scale'> {
	const after = [0, 1].map(() => Array.from({ length: MONTHS }, () => ({ wet: 0, all: 0 })));
	const amounts = Array.from({ length: MONTHS + 1 }, () => ({ n: 0, sum: 0, logs: 0 }));
	for (let i = 0; i < rain.length; i++) {
		const m = monthOf(doys[i]!);
		if (i > 0 && wet[i]! >= 0 && wet[i - 1]! >= 0) {
			const cell = after[wet[i - 1]!]![m]!;
			cell.all++;
			cell.wet += wet[i]!;
		}
		if (wet[i] === 1) {
			const above = Math.max(0.05, rain[i]! - WET_MM);
			for (const cell of [amounts[m]!, amounts[MONTHS]!]) {
				cell.n++;
				cell.sum += above;
				cell.logs += Math.log(above);
			}
		}
	}
	// One made-up dry and wet day a month keep a month without rain from being certain of it.
	const chance = (cell: { wet: number; all: number }) => (cell.wet + 0.5) / (cell.all + 1);
	const wetAfter = after.map((months) => smooth(months.map(chance), 0.003, 0.97)) as unknown as ByWetness;
	const year = amounts[MONTHS]!;
	const gammas = amounts.slice(0, MONTHS).map((cell) => {
		const c = cell.n >= LEAST_WET ? cell : year;
		return c.n > 1 ? thom(c.sum / c.n, c.logs / c.n) : { shape: 0.7, scale: 6 };
	});
	const shapes = gammas.map((g) => g.shape);
	const means = gammas.map((g) => g.shape * g.scale);
	const shape = smooth(shapes, 0.2, 5);
	return { wetAfter, shape, scale: smooth(means, 0.1, 200).map((v, i) => v / shape[i]!) };
}

/** Fewer dry or wet days than this do not tell how they differ from the usual. */
const LEAST_OF_A_STATE = 200;

interface Temperatures {
	/** Mean of the day, wet or dry. */
	all: Float64Array;
	byWetness: { mean: ByWetness; sd: ByWetness };
}

/** Means and spreads of a column by the day of the year and by wetness. */
function fitTemperatures(column: Float64Array, wet: Int8Array, doys: ArrayLike<number>): Temperatures {
	const all = harmonicYear(fitHarmonics(doys, column));
	const of = (state: 0 | 1) => {
		const mine = column.map((v, i) => (wet[i] === state || (wet[i] === -1 && state === 0) ? v - all[doys[i]! - 1]! : Number.NaN));
		const count = mine.reduce((n, v) => n + (Number.isNaN(v) ? 0 : 1), 0);
		const offset = count > LEAST_OF_A_STATE ? harmonicYear(fitHarmonics(doys, mine, 2)) : new Float64Array(366);
		const variance = harmonicYear(
			fitHarmonics(
				doys,
				mine.map((v, i) => (v - offset[doys[i]! - 1]!) ** 2),
				2
			)
		);
		return { mean: all.map((v, i) => v + offset[i]!), sd: variance.map((v) => Math.sqrt(clamp(v, 0.25, 400))) };
	};
	const [dry, rainy] = [of(0), of(1)];
	return { all, byWetness: { mean: [dry.mean, rainy.mean], sd: [dry.sd, rainy.sd] } };
}

/** Fits the generator to a record. Days of which something is unknown are passed over. */
export function fitGenerator(r: DailyRecord): GeneratorModel {
	const doys = doysFrom(r.first, r.low.length);
	const wet = wetDays(r.rain);
	const low = fitTemperatures(r.low, wet, doys);
	const high = fitTemperatures(r.high, wet, doys);
	const x = leftOver(r.low, low, wet, doys);
	const y = leftOver(r.high, high, wet, doys);
	const persistence = persistenceOf(x, y);
	const slow = slowShare(x.left, persistence.xx);
	return {
		...fitRain(r.rain, wet, doys),
		low: low.byWetness,
		high: high.byWetness,
		...autoregression(correlation(x.left, y.left, 0), persistence, slow),
		slow
	};
}

/**
 * A column less the mean of such a day, and by how much its rain or dryness moves that mean; both in units of the one's
 * spread over the whole year, so that the seasons that swing most, in which frosts fall, weigh most.
 */
interface Standardised {
	left: Float64Array;
	byRain: Float64Array;
}

function leftOver(
	column: Float64Array,
	{ all, byWetness: { mean } }: Temperatures,
	wet: Int8Array,
	doys: ArrayLike<number>
): Standardised {
	const left = new Float64Array(column.length);
	const byRain = new Float64Array(column.length);
	let squares = 0;
	let known = 0;
	for (let i = 0; i < column.length; i++) {
		const state = wet[i] === 1 ? 1 : 0;
		const doy = doys[i]! - 1;
		left[i] = column[i]! - mean[state][doy]!;
		byRain[i] = mean[state][doy]! - all[doy]!;
		if (Number.isNaN(left[i]!)) continue;
		squares += left[i]! ** 2;
		known++;
	}
	const spread = squares > 0 ? Math.sqrt(squares / known) : 1;
	return { left: left.map((v) => v / spread), byRain: byRain.map((v) => v / spread) };
}

/** Correlation of one column with another `lag` days before, of columns whose mean is nought. */
function correlation(p: Float64Array, q: Float64Array, lag: number): number {
	let sum = 0;
	let pp = 0;
	let qq = 0;
	for (let i = lag; i < p.length; i++) {
		const u = p[i]!;
		const v = q[i - lag]!;
		if (Number.isNaN(u) || Number.isNaN(v)) continue;
		sum += u * v;
		pp += u * u;
		qq += v * v;
	}
	return pp > 0 && qq > 0 ? clamp(sum / Math.sqrt(pp * qq), -0.97, 0.97) : 0;
}

/** Correlations of what is left with the day before: low with low, low with high, high with low, high with high. */
interface Persistence {
	xx: number;
	xy: number;
	yx: number;
	yy: number;
}

/**
 * The sky turns by degrees: the day before the rain is already mild. A chain of wet and dry days switches at once, so
 * what a day's residual shares with the rain of the day before or after would be lost, and with it a sixth of the
 * persistence at a maritime station. It is given to the residuals, that the temperatures keep the record's own.
 */
function persistenceOf(x: Standardised, y: Standardised): Persistence {
	const pair = (p: Standardised, q: Standardised) =>
		clamp(
			correlation(p.left, q.left, 1) + shared(p.byRain, q.left, p.left) + shared(p.left, q.byRain, q.left),
			-MOST_PERSISTENCE,
			MOST_PERSISTENCE
		);
	return { xx: pair(x, x), xy: pair(x, y), yx: pair(y, x), yy: pair(y, y) };
}
/** More than this is an instrument that stuck. */
const MOST_PERSISTENCE = 0.95;

/** Mean product of p with q of the day before, on days of which `known` tells that both were read. */
function shared(p: Float64Array, q: Float64Array, known: Float64Array): number {
	let sum = 0;
	let n = 0;
	for (let i = 1; i < p.length; i++) {
		const product = p[i]! * q[i - 1]!;
		if (Number.isNaN(product) || Number.isNaN(known[i]!) || Number.isNaN(known[i - 1]!)) continue;
		sum += product;
		n++;
	}
	return n > 0 ? sum / n : 0;
}

/**
 * A = M₁M₀⁻¹ and BBᵀ = M₀ − AM₁ᵀ from the correlations of residuals on one day and a day apart
 * (Richardson 1981, eqs. 8–9), after the slow swing, which both share, has been taken out of them.
 */
function autoregression(sameDay: number, dayApart: Persistence, slow: number) {
	const without = (r: number) => (r - slow) / (1 - slow);
	const r0 = without(sameDay);
	const [xx, xy, yx, yy] = [dayApart.xx, dayApart.xy, dayApart.yx, dayApart.yy].map(without) as [number, number, number, number];
	const det = 1 - r0 * r0;
	const a = [(xx - xy * r0) / det, (xy - xx * r0) / det, (yx - yy * r0) / det, (yy - yx * r0) / det] as const;
	const s11 = Math.max(0.02, 1 - (a[0] * xx + a[1] * xy));
	const s12 = r0 - (a[0] * yx + a[1] * yy);
	const s22 = Math.max(0.02, 1 - (a[2] * yx + a[3] * yy));
	const b11 = Math.sqrt(s11);
	const b21 = s12 / b11;
	return { a, b: [b11, 0, b21, Math.sqrt(Math.max(0.01, s22 - b21 * b21))] as const };
}

/** More of the variance than this is no slow swing but a trend or a change of instrument. */
const MOST_SLOW = 0.2;

/**
 * Generators of this kind give months too alike from year to year (Katz and Parlange 1998,
 * "Overdispersion phenomenon in stochastic modeling of precipitation"). What the months of the record
 * vary beyond it is given back as a slow swing.
 */
function slowShare(x: Float64Array, persistence: number): number {
	const span = 30;
	const means: number[] = [];
	for (let i = 0; i + span <= x.length; i += span) {
		let sum = 0;
		let known = 0;
		for (let j = i; j < i + span; j++)
			if (!Number.isNaN(x[j]!)) {
				sum += x[j]!;
				known++;
			}
		if (known >= 25) means.push(sum / known);
	}
	if (means.length < 24) return 0;
	const seen = means.reduce((s, m) => s + m * m, 0) / means.length;
	// Variance of the mean of n days of an autoregression with lag-one correlation ρ.
	const rho = clamp(persistence, 0, 0.95);
	const byChance = (1 + rho) / (1 - rho) / span - (2 * rho * (1 - rho ** span)) / ((1 - rho) ** 2 * span * span);
	return clamp(seen - byChance, 0, MOST_SLOW);
}

export interface GeneratorState {
	wet: 0 | 1;
	x: number;
	y: number;
	slow: number;
}

/** Weather day after day, from a source of uniform numbers in [0, 1). The same source gives the same weather. */
export function weatherFrom(m: GeneratorModel, uniform: () => number) {
	const normal = randomNormal.source(uniform)();
	const gamma = randomGamma.source(uniform);
	const quick = Math.sqrt(1 - m.slow);
	const share = Math.sqrt(m.slow);
	const keep = 1 - 1 / SLOW_DAYS;
	const stir = Math.sqrt(1 - keep * keep);
	const s: GeneratorState = { wet: uniform() < 0.4 ? 1 : 0, x: normal(), y: 0, slow: normal() };
	s.y = 0.6 * s.x + 0.8 * normal();
	return (doy: number): { low: number; high: number; rain: number } => {
		const i = doy - 1;
		s.wet = uniform() < m.wetAfter[s.wet][i]! ? 1 : 0;
		const e = normal();
		const f = normal();
		const x = m.a[0] * s.x + m.a[1] * s.y + m.b[0] * e;
		s.y = m.a[2] * s.x + m.a[3] * s.y + m.b[2] * e + m.b[3] * f;
		s.x = x;
		s.slow = keep * s.slow + stir * normal();
		let low = m.low.mean[s.wet][i]! + m.low.sd[s.wet][i]! * (quick * s.x + share * s.slow);
		let high = m.high.mean[s.wet][i]! + m.high.sd[s.wet][i]! * (quick * s.y + share * s.slow);
		if (high < low + 0.3) {
			// A day without sun: both meet, a hair apart.
			const middle = (low + high) / 2;
			low = middle - 0.15;
			high = middle + 0.15;
		}
		return { low, high, rain: s.wet ? WET_MM + gamma(m.shape[i]!, m.scale[i]!)() : 0 };
	};
}

/** A record of `days` days from `first`, rounded to tenths as instruments are read. */
export function generate(m: GeneratorModel, uniform: () => number, first: DayNumber, days: number): DailyRecord {
	const next = weatherFrom(m, uniform);
	const r = emptyRecord(first, days);
	const doys = doysFrom(first, days);
	// The first weeks run off unseen, so that the chance beginning is forgotten.
	for (let i = 0; i < 60; i++) next(dayOfYear(first));
	for (let i = 0; i < days; i++) {
		const d = next(doys[i]!);
		r.low[i] = Math.round(d.low * 10) / 10;
		r.high[i] = Math.round(d.high * 10) / 10;
		r.rain[i] = Math.round(d.rain * 10) / 10;
	}
	return r;
}
