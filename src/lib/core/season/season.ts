/**
 * One season for whoever plans: when windows open, when growth rests, how much growth a stretch of days holds, how
 * much of a winter, and when frosts come. The climate answers for its middle year; each year of the record, and each
 * chance year of a climate that has only frost dates, answers for itself. What is asked of many such years is a
 * distribution: an opening that comes ten days late in one year of six is late in one year of six.
 */
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { dayInYear, wrapDoy, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { evened } from '../evened.js';
import { turning } from './anchors.js';
import type { Climate } from './climate.js';
import { standstillsOf } from './growth.js';
import type { Span } from './growth.js';
import { budBreaksIn, frostsIn, leafFallsIn } from './scenarios.js';
import type { RecordClimate, Scenario } from './scenarios.js';
import { openingsIn } from './suitability.js';
import type { Opening, SeasonKind, Sighting, WindowOdds } from './suitability.js';
import { openings } from './windows.js';
import type { WindowRule } from './windows.js';
import { SEASON } from './judged.js';

export interface Season {
	/** Openings of a window that touch [from, to], in order. */
	openings(rule: WindowRule, from: DayNumber, to: DayNumber): readonly Opening[];
	/** Stretches in which growth outdoors rests, that touch [from, to], in order. */
	standstills(from: DayNumber, to: DayNumber): readonly Span[];
	/** Last frosts of springs and first frosts of autumns in [from, to]. */
	frostsIn(from: DayNumber, to: DayNumber): { last: DayNumber[]; first: DayNumber[] };
}

/** The middle year of a climate, every year the same. */
export function seasonOfClimate(c: Climate): Season {
	const restIn = standstillsOf(c);
	return {
		openings: (rule, from, to) => openings(rule, from, to, c),
		standstills(from, to) {
			const found: Span[] = [];
			for (let year = yearOf(from) - 1; ; year++) {
				const rest = restIn(year);
				if (!rest || rest.from > to) return found;
				if (rest.to >= from) found.push(rest);
			}
		},
		frostsIn(from, to) {
			const each = (anchor: 'last_frost' | 'first_frost') => {
				const doy = turning(anchor, c).doy;
				const days: DayNumber[] = [];
				for (let year = yearOf(from); year <= yearOf(to); year++) days.push(dayInYear(year, doy));
				return days.filter((d) => d >= from && d <= to);
			};
			return c.lastFrost ? { last: each('last_frost'), first: each('first_frost') } : { last: [], first: [] };
		}
	};
}

/** Openings that most years have make the usual season. */
export const MOST_YEARS = 0.5;

/**
 * The usual season of a kind: windows open and close on the middle day of the years that may come, as the handbook
 * and the round tell them, so that a plan, a stock plant and a calendar name the same day. Later years go like the
 * year ahead. All else the climate answers.
 *
 * @param ahead the last calendar year of which the odds know every opening whole
 */
export function usualSeason(base: Season, odds: (rule: WindowRule) => WindowOdds | null, ahead: number): Season {
	const known = new WeakMap<WindowRule, readonly Opening[] | null>();
	const all = (rule: WindowRule): readonly Opening[] | null => {
		let list = known.get(rule);
		if (list !== undefined) return list;
		const told = odds(rule);
		if (told === null) list = null;
		else {
			const spans = told.likely
				.filter((l) => l.share >= MOST_YEARS)
				.map((l) => ({
					year: yearOf(l.opens.p50),
					whole: l.closes.p90 < dayInYear(ahead + 2, 1) - EDGE_DAYS,
					o: { opens: l.opens.p50, closes: l.closes.p50, bestFrom: l.bestFrom, bestTo: l.bestTo } as Opening
				}));
			const of = (year: number) => spans.filter((x) => x.year === year);
			const pattern = of(ahead).map((x) => x.o);
			// The year after is told by its own openings where all of it is known: the year in hand has its own weather.
			const after = of(ahead + 1);
			const own = after.length === pattern.length && after.every((x) => x.whole);
			const next = own ? after.map((x) => x.o) : pattern.map((o) => movedBy(o, yearsOn(ahead, 1)));
			const later = Array.from({ length: YEARS_AHEAD - 1 }, (_, i) => yearsOn(ahead + 1, i + 1));
			const before = spans.filter((x) => x.year <= ahead).map((x) => x.o);
			list = [...before, ...next, ...later.flatMap((days) => next.map((o) => movedBy(o, days)))].sort(
				(x, y) => x.opens - y.opens
			);
		}
		known.set(rule, list);
		return list;
	};
	return {
		...base,
		openings(rule, from, to) {
			const list = all(rule);
			return list === null ? base.openings(rule, from, to) : list.filter((o) => o.closes >= from && o.opens <= to);
		}
	};
}

/** Openings that close later than this before the last day known of may be cut short by it. */
const EDGE_DAYS = 20;

const yearsOn = (year: number, years: number): number => dayInYear(year + years, 1) - dayInYear(year, 1);

const movedBy = (o: Opening, days: number): Opening => ({
	opens: o.opens + days,
	closes: o.closes + days,
	bestFrom: o.bestFrom + days,
	bestTo: o.bestTo + days
});

/** Two irrational steps that fill the square evenly: powers of the plastic number (Roberts 2018, the R₂ sequence). */
const R2 = [0.7548776662466927, 0.5698402909980532] as const;
const fraction = (x: number) => x - Math.floor(x);

/**
 * Chance years of a climate that is known by its frost dates only: both moved by their spread, independently of each
 * other, on a fixed even set of points.
 */
export function chanceSeasons(c: Climate, count = 31): Season[] {
	if (!c.lastFrost || !c.firstFrost) return [seasonOfClimate(c)];
	const { lastFrost, firstFrost } = c;
	// Each date's quantiles are even by themselves, too: few points of the square lean to one side of them.
	const lucks = R2.map((step) =>
		evened(Array.from({ length: count }, (_, i) => fraction(0.5 + (i + 1) * step))).map((u) => normalQuantile(u, 0, 1))
	);
	return Array.from({ length: count }, (_, i) => {
		const z = lucks.map((l) => l[i]!);
		const moved = (f: { doy: number; sd: number }, by: number) => ({ ...f, doy: wrapDoy(f.doy + f.sd * by) });
		return seasonOfClimate({ ...c, lastFrost: moved(lastFrost, z[0]!), firstFrost: moved(firstFrost, z[1]!) });
	});
}

export interface RecordYears {
	recordClimate: RecordClimate;
	/** As the year in hand may go, with what has been observed laid over; and as years go, without. */
	now: readonly Scenario[];
	ever: readonly Scenario[];
}

/** Years ahead take their weather from other years of the record, a stride on each. */
const STRIDE = 7;

/**
 * A season for each year of the record. The year in hand is its scenario; later years follow other years of the
 * record, for no two summers running are the same.
 */
export function seasonsOfRecord(
	{ recordClimate, now, ever }: RecordYears,
	kind: SeasonKind,
	sightings: readonly Sighting[] = []
): Season[] {
	const memo = new Map<string, Opening[]>();
	/** What begins in the middle year of a scenario, or for the year in hand in the year before it too. */
	const patterns = new Map<string, Opening[][]>();
	const n = ever.length;
	const seasonal = (key: string, k: number, reckon: (s: Scenario) => Opening[]): Opening[] => {
		let list = memo.get(`${key} ${k}`);
		if (list) return list;
		let pattern = patterns.get(key);
		if (!pattern) patterns.set(key, (pattern = ever.map((s) => reckon(s).filter((o) => yearOf(o.opens) === s.year))));
		const here = now[k]!;
		list = reckon(here).filter((o) => yearOf(o.opens) <= here.year);
		for (let ahead = 1; ahead <= YEARS_AHEAD; ahead++) {
			const other = (k + STRIDE * ahead) % n;
			const shift = dayInYear(here.year + ahead, 1) - dayInYear(ever[other]!.year, 1);
			for (const o of pattern[other]!) list.push(movedBy(o, shift));
		}
		list = list.filter((o, i) => i === 0 || o.opens > list![i - 1]!.opens);
		memo.set(`${key} ${k}`, list);
		return list;
	};
	const days = (at: readonly DayNumber[]): Opening[] => at.map((d) => ({ opens: d, closes: d, bestFrom: d, bestTo: d }));
	return now.map((_, k): Season => ({
		openings: (rule, from, to) =>
			seasonal(JSON.stringify(rule), k, (s) => openingsIn(rule, s, recordClimate, kind, sightings)).filter(
				(o) => o.closes >= from && o.opens <= to
			),
		standstills: (from, to) =>
			seasonal('rest', k, (s) => restsIn(s, recordClimate))
				.filter((o) => o.closes >= from && o.opens <= to)
				.map((o) => ({ from: o.opens, to: o.closes })),
		frostsIn: (from, to) => {
			const side = (which: 'last' | 'first') =>
				seasonal(which, k, (s) => days(frostsIn(s, recordClimate, which)))
					.map((o) => o.opens)
					.filter((d) => d >= from && d <= to);
			return recordClimate.climate.lastFrost ? { last: side('last'), first: side('first') } : { last: [], first: [] };
		}
	}));
}

/** As far as a plan looks: a hedge grown on for three years, and one more. */
const YEARS_AHEAD = 7;
const USUAL_REST = SEASON.rest.value;

/** From leaf fall to bud break in one scenario; no rest in a winter in which buds break before the leaves are down. */
function restsIn(s: Scenario, recordClimate: RecordClimate): Opening[] {
	if (!recordClimate.climate.lastFrost) return [];
	const breaks = budBreaksIn(s, recordClimate);
	return leafFallsIn(s, recordClimate).flatMap((fall) => {
		const usual = fall + USUAL_REST;
		const to = breaks.reduce<DayNumber | null>((a, b) => (a === null || Math.abs(b - usual) < Math.abs(a - usual) ? b : a), null);
		if (to === null || to <= fall || to - fall > 330) return [];
		return [{ opens: fall, closes: to, bestFrom: fall, bestTo: to }];
	});
}

/** Days of growth in a stretch: those outside of a standstill. */
export function growthDays(s: Pick<Season, 'standstills'>, from: DayNumber, to: DayNumber): number {
	let days = Math.max(0, to - from);
	for (const rest of s.standstills(from, to)) days -= Math.max(0, Math.min(to, rest.to) - Math.max(from, rest.from));
	return Math.max(0, days);
}

/** The day on which so many days of growth are done, when growth rests in the standstills. */
export function afterGrowth(s: Season, start: DayNumber, days: number): DayNumber {
	let day = start;
	let left = days;
	for (const rest of s.standstills(start, start + days + 40 * 366)) {
		if (rest.to <= day) continue;
		if (day + left < rest.from) break;
		left -= Math.max(0, rest.from - day);
		if (left <= 0) return rest.from;
		day = Math.max(day, rest.to);
	}
	return day + left;
}

/** A standstill's winter, from 0 to 1, by a day: cold is deepest in its middle. Own judgement. */
export const woreOn = (rest: Span, day: DayNumber): number => {
	const t = Math.min(1, Math.max(0, (day - rest.from) / Math.max(1, rest.to - rest.from)));
	return (1 - Math.cos(Math.PI * t)) / 2;
};

/** How many winters lie between two days, part of one counting for its part: half a standstill is half a winter. */
export function wintersIn(s: Season, from: DayNumber, to: DayNumber): number {
	let winters = 0;
	for (const rest of s.standstills(from, to)) winters += Math.max(0, woreOn(rest, to) - woreOn(rest, from));
	return winters;
}
