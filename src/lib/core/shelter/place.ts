/** A garden's own shelter: what is believed of it, and the winters it goes through. */
import { randomLcg } from 'd3-random';
import { dayInYear, dayOfYear, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { fitGenerator, generate } from '../season/generator.js';
import { highOn, lastDay, lowOn } from '../season/record.js';
import type { DailyRecord } from '../season/record.js';
import { SHELTER_KINDS } from './bodies.js';
import type { ShelterKindName } from './bodies.js';
import { guarded, UNGUARDED } from './guards.js';
import type { Guard } from './guards.js';
import { drawn, fitShelter, unread } from './fit.js';
import type { Fitted, Read } from './fit.js';
import { hoursOf, sunOf, sunShape } from './hourly.js';
import { SHELTER } from './judged.js';
import { daysInside, earthOn, houseOn } from './thermal.js';
import type { Body, Weather } from './thermal.js';
import { throughShelter } from './winters.js';
import type { InsideWinters } from './winters.js';

/** What of a garden its shelters feel. */
export interface Site {
	latitude: number;
	/** Usual lowest and highest by day of the year, index 0 = 1 January, °C. */
	normals: { low: ArrayLike<number>; high: ArrayLike<number> };
	/** Day of the year in the middle of the warm season. */
	middle: number;
}

export interface ShelterPlace {
	name: ShelterKindName;
	/** Lowest and highest that the household says it sees, °C; null where it does not say. */
	lowC: number | null;
	highC: number | null;
	/** What is over it this winter, or heats it; readings are of the place as it was without. */
	guard?: Guard;
}

/** Days outside in a row. */
export interface Days {
	first: DayNumber;
	low: Float64Array;
	high: Float64Array;
}

/** What is known of a shelter. */
export interface Known {
	fitted: Fitted;
	inside: InsideWinters;
	/** The same winters, the same bodies, under another guard. */
	under(guard: Guard): InsideWinters;
	/** Lowest and highest inside on days in a row, by the body in the middle of what is believed, or by one that may be. */
	on(days: Days, body?: Body): { low: Float64Array; high: Float64Array };
}

/** Mean, swing and warmest day of a garden's year in the air. */
function yearIn({ normals: { low, high } }: Site): { mean: number; swing: number; warmestDoy: number } {
	const mean = Array.from({ length: 365 }, (_, i) => (low[i]! + high[i]!) / 2);
	const most = Math.max(...mean);
	return {
		mean: mean.reduce((a, b) => a + b, 0) / 365,
		swing: (most - Math.min(...mean)) / 2,
		warmestDoy: mean.indexOf(most) + 1
	};
}

/** A house that is said to be warmer or colder than most is: the middle of what it is said to see. */
const houseIn = (p: ShelterPlace): number | null =>
	SHELTER_KINDS[p.name].share[0] > 0.8 && p.lowC !== null && p.highC !== null ? (p.lowC + p.highC) / 2 : null;

/** Days outside as a shelter of a sort feels them. */
function feltBy(
	p: ShelterPlace,
	site: Site,
	year: ReturnType<typeof yearIn>,
	shapes: Map<number, Float64Array>
): (d: Days) => Weather {
	const house = houseIn(p);
	const byHouse = SHELTER_KINDS[p.name].anchor === 'house';
	return ({ first, low, high }) => ({
		hours: hoursOf(low, high),
		sun: low.map((c, d) => sunOf(site.latitude, first + d, c, high[d]!)),
		shape: (d) => {
			const doy = dayOfYear(first + d);
			let shape = shapes.get(doy);
			if (!shape) shapes.set(doy, (shape = sunShape(site.latitude, doy)));
			return shape;
		},
		anchor: low.map((c, d) => {
			if (!byHouse) return earthOn(dayOfYear(first + d), year);
			const mean = (c + high[d]!) / 2;
			return house === null ? houseOn(mean) : Math.max(house, mean);
		})
	});
}

const BEFORE_COLD = 80;
const WINTER_DAYS = 220;
/** A winter of the record with more days unknown tells nothing of its coldest. */
const MOST_UNKNOWN = 0.15;
const MOST_WINTERS = 60;

/**
 * The winters of a record, from late summer to late spring, the last ones first. They are the record's own: one that is
 * made was made so that its frosts and its coldest nights are this garden's. A measured one that is short has not seen
 * the winter that comes once in twenty years: the weather generator that it teaches adds what is missing.
 */
export function wintersOf(record: DailyRecord, site: Site): Days[] {
	const own = ownWinters(record, site);
	if (own.length >= LEAST_WINTERS || own.length < LEAST_TAUGHT) return own;
	const more = (LEAST_WINTERS - own.length + 2) * 366;
	const made = generate(fitGenerator(record), randomLcg(MADE_BY), record.first, more);
	return [...own, ...ownWinters(made, site).slice(0, LEAST_WINTERS - own.length)];
}
const LEAST_WINTERS = 25;
/** Winters that teach a generator something. */
const LEAST_TAUGHT = 2;
/** Any: the same record has the same winters. */
const MADE_BY = 0.618;

function ownWinters(record: DailyRecord, site: Site): Days[] {
	const winters: Days[] = [];
	const { low: usualLow, high: usualHigh } = site.normals;
	for (let year = yearOf(lastDay(record)); year >= yearOf(record.first) && winters.length < MOST_WINTERS; year--) {
		const first = dayInYear(year, site.middle) + BEFORE_COLD;
		let unknown = 0;
		const on = (of: typeof lowOn, usual: ArrayLike<number>) =>
			Float64Array.from({ length: WINTER_DAYS }, (_, d) => {
				const c = of(record, first + d);
				if (!Number.isNaN(c)) return c;
				unknown++;
				return usual[dayOfYear(first + d) - 1]!;
			});
		const [low, high] = [on(lowOn, usualLow), on(highOn, usualHigh)];
		if (unknown <= MOST_UNKNOWN * 2 * WINTER_DAYS) winters.push({ first, low, high });
	}
	if (winters.length > 0) return winters;
	// A record full of holes: its usual days are all that is known.
	const first = dayInYear(yearOf(lastDay(record)), site.middle) + BEFORE_COLD;
	const usual = (of: ArrayLike<number>) => Float64Array.from({ length: WINTER_DAYS }, (_, d) => of[dayOfYear(first + d) - 1]!);
	return [{ first, low: usual(usualLow), high: usual(usualHigh) }];
}

/** Times each winter is felt by another body, so that what is not known of the shelter is in the odds. */
const FELT = 90;
/** How far a household is off in what it says a place falls to, °C. */
const SAID_C = SHELTER.said.value;
/** Days before and after the coldest night in which a shelter comes to its own. */
const [BEFORE, AFTER] = [25, 4];

const least = (values: Float64Array): number => values.reduce((a, b) => Math.min(a, b), Infinity);

/** The coldest weeks of the usual winter: the one whose coldest night is in the middle of all. */
function usualCold(winters: readonly Days[]): Days {
	const usual = [...winters].sort((a, b) => least(a.low) - least(b.low))[winters.length >> 1]!;
	const at = usual.low.indexOf(least(usual.low));
	const [from, to] = [Math.max(0, at - BEFORE), at + AFTER];
	return { first: usual.first + from, low: usual.low.slice(from, to), high: usual.high.slice(from, to) };
}

/** Beliefs after the household's own word of how low it falls in a usual winter. */
function withWord(f: Fitted, lowC: number, cold: Weather): Fitted {
	const weights = f.weights.map((w, i) => {
		if (w < 1e-5) return 0;
		const usual = least(daysInside(f.bodies[i]!, cold).low);
		return w * Math.exp(-(((usual - lowC) / SAID_C) ** 2) / 2);
	});
	const sum = weights.reduce((a, b) => a + b, 0);
	// What is said may be beyond all that such a place can be: then it is heated, or a slip. The nearest stand.
	return sum > 1e-12 ? { ...f, weights: weights.map((w) => w / sum) } : f;
}

/** The body in the middle of what is believed. */
export function middleBody(f: Fitted): Body {
	let [tau, share, sun] = [0, 0, 0];
	f.bodies.forEach((b, i) => {
		tau += f.weights[i]! * Math.log(b.tauH);
		share += f.weights[i]! * Math.log(b.share / (1 - b.share));
		sun += f.weights[i]! * b.sunC;
	});
	return { tauH: Math.exp(tau), share: 1 / (1 + Math.exp(-share)), sunC: sun };
}

/** Apart from what is kept of a shelter, lest the hours of all winters be kept with it. */
function throughAll(outside: readonly Weather[], fitted: Fitted): InsideWinters {
	const times = Math.max(1, Math.ceil(FELT / outside.length));
	const bodies = drawn(fitted, outside.length * times);
	const all = bodies.map((_, i) => outside[i % outside.length]!);
	return throughShelter(all, (w) => bodies[w]!);
}

/**
 * @param winters outside, one at least
 * @param read days outside with what a thermometer in the shelter read on them
 */
export function knowShelter(
	p: ShelterPlace,
	site: Site,
	winters: readonly Days[],
	read: { days: Days; inside: Read } | null
): Known {
	const kind = SHELTER_KINDS[p.name];
	const felt = feltBy(p, site, yearIn(site), new Map());
	let fitted = read ? fitShelter(kind, felt(read.days), read.inside) : unread(kind);
	if (p.lowC !== null) fitted = withWord(fitted, p.lowC, felt(usualCold(winters)));
	const guard = p.guard ?? UNGUARDED;
	const under = (b: Body) => guarded(b, p.name, guard);
	const middle = under(middleBody(fitted));
	const now: Fitted = guard === UNGUARDED ? fitted : { ...fitted, bodies: fitted.bodies.map(under) };
	return {
		fitted: now,
		inside: throughAll(winters.map(felt), now),
		under: (other) => throughAll(winters.map(felt), { ...fitted, bodies: fitted.bodies.map((b) => guarded(b, p.name, other)) }),
		on: (days, body = middle) => daysInside(body, felt(days))
	};
}
