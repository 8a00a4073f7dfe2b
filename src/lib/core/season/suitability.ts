/** Windows over all the years of a record: likely dates, their spread, and how well a day suits. */
import { dayInYear, dayOfYear } from '../dates.js';
import type { DayNumber } from '../dates.js';
import type { Anchor } from './anchors.js';
import { turning } from './anchors.js';
import { quantileOf } from './frostDates.js';
import type { Moment, ShootStage } from './momentSchema.js';
import {
	budBreaksIn,
	dayLengthsIn,
	dayOfSum,
	frostChancesIn,
	frostsIn,
	leafFallsIn,
	nightsAboveIn,
	nightsBelowIn,
	rainsIn,
	soilFreezesIn
} from './scenarios.js';
import type { RecordClimate, Scenario } from './scenarios.js';
import { usualDays, thawed } from './windows.js';
import type { WindowRule } from './windows.js';
import { SEASON } from './judged.js';

/** What of a kind its windows ask for. */
export interface SeasonKind {
	id: string;
	habit: string;
	shoots?: { semi_ripe: number; hard: number } | undefined;
	bloom: { opens: Moment; days: number } | null;
}

/** What a person saw, as it moves the moments of one kind. */
export const SIGHTINGS = ['bud_break', 'semi-ripe', 'hard', 'bloom', 'bloom_over', 'leaf_fall'] as const;
export type SightingOf = (typeof SIGHTINGS)[number];
export const SIGHTING_WORDS: Record<SightingOf, string> = {
	bud_break: 'buds have broken',
	'semi-ripe': 'this year’s shoots have turned firm',
	hard: 'this year’s shoots have hardened to wood',
	bloom: 'the first flowers are open',
	bloom_over: 'the flowers are over',
	leaf_fall: 'the leaves are down'
};
export interface Sighting {
	event: SightingOf;
	day: DayNumber;
}

/** Degree days above 5 °C from bud break to semi-ripe and hard shoots. From memory; a kind may give its own. */
const SHOOTS_BY_HABIT: Record<string, { semi_ripe: number; hard: number }> = {
	'evergreen shrub': { semi_ripe: 560, hard: 1350 },
	'deciduous shrub': { semi_ripe: 480, hard: 1250 },
	climber: { semi_ripe: 520, hard: 1300 },
	tree: { semi_ripe: 560, hard: 1300 }
};
const USUAL_SHOOTS = SEASON.shoots.value;
const SOFT_SUM = SEASON.soft.value;

/** A sighting speaks of the season it was made in: of a moment that was expected within so many days of it. */
const SAME_SEASON = 150;

/** The event of a sighting that a moment waits for. */
const eventOf = (m: Moment): SightingOf | null => {
	if (!m.rule) return m.from === 'bud_break' || m.from === 'leaf_fall' ? m.from : null;
	if (m.rule.by === 'shoot') return m.rule.is === 'soft' ? null : m.rule.is;
	return m.rule.by === 'bloom_over' ? 'bloom_over' : null;
};

/** All days of a scenario on which a moment comes, in order; empty where it never does. */
export function momentsIn(
	m: Moment,
	s: Scenario,
	recordClimate: RecordClimate,
	kind: SeasonKind,
	sightings: readonly Sighting[] = []
): DayNumber[] {
	const days = whenTrue(m, s, recordClimate, kind, sightings);
	const event = eventOf(m);
	const seen = sightings.filter((x) => x.event === event);
	const moved = seen.length === 0 ? days : moveTo(days, seen);
	const offset = m.rule ? (m.then ?? 0) : m.days;
	return offset === 0 ? moved : moved.map((d) => d + offset);
}

/** Puts what was seen in the place of what was expected of the same season. */
function moveTo(days: readonly DayNumber[], seen: readonly Sighting[]): DayNumber[] {
	const moved = [...days];
	for (const { day } of seen) {
		let nearest = -1;
		for (let i = 0; i < moved.length; i++)
			if (nearest < 0 || Math.abs(moved[i]! - day) < Math.abs(moved[nearest]! - day)) nearest = i;
		if (nearest >= 0 && Math.abs(moved[nearest]! - day) <= SAME_SEASON) moved[nearest] = day;
		else moved.push(day);
	}
	return moved.sort((a, b) => a - b);
}

/** Reckoned once a scenario, for what does not hang on the kind. */
function once(s: Scenario, key: string, reckon: () => DayNumber[]): DayNumber[] {
	let days = s.memo.get(key);
	if (!days) s.memo.set(key, (days = reckon()));
	return days;
}

function anchorsIn(anchor: Anchor, s: Scenario, recordClimate: RecordClimate): DayNumber[] {
	return once(s, anchor, () => {
		const { years } = s;
		if (anchor === 'longest_day') return years.map((y) => dayInYear(y, turning(anchor, recordClimate.climate).doy));
		// Without a winter the cool season stands in for it, the same each year.
		if (!recordClimate.climate.lastFrost) return years.map((y) => dayInYear(y, turning(anchor, recordClimate.climate).doy));
		if (anchor === 'last_frost') return frostsIn(s, recordClimate, 'last');
		if (anchor === 'first_frost') return frostsIn(s, recordClimate, 'first');
		return anchor === 'bud_break' ? budBreaksIn(s, recordClimate) : leafFallsIn(s, recordClimate);
	});
}

function whenTrue(
	m: Moment,
	s: Scenario,
	recordClimate: RecordClimate,
	kind: SeasonKind,
	sightings: readonly Sighting[]
): DayNumber[] {
	const rule = m.rule;
	if (!rule) return anchorsIn(m.from, s, recordClimate);
	const buds = () => momentsIn({ from: 'bud_break', days: 0 }, s, recordClimate, kind, sightings);
	const blooms = () =>
		kind.bloom ? moveTo(momentsIn(kind.bloom.opens, s, recordClimate, kind, sightings), seenAs('bloom')) : [];
	const seenAs = (event: SightingOf) => sightings.filter((x) => x.event === event);
	switch (rule.by) {
		case 'degree_days': {
			const since =
				rule.since === 'bloom'
					? blooms()
					: rule.since === 'bud_break'
						? buds()
						: rule.since === 'last_frost'
							? anchorsIn('last_frost', s, recordClimate)
							: s.years.map((y) => dayInYear(y, recordClimate.middle) - 183);
			return since.flatMap((from) => dayOfSum(s, from, rule.base, rule.sum) ?? []);
		}
		case 'day_length':
			return once(s, `light ${rule.hours} ${rule.going}`, () =>
				dayLengthsIn(s, recordClimate.climate.latitude, rule.hours, rule.going)
			);
		case 'nights_above':
			return once(s, `above ${rule.c}`, () => nightsAboveIn(s, recordClimate, rule.c));
		case 'nights_below':
			return once(s, `below ${rule.c}`, () => nightsBelowIn(s, recordClimate, rule.c));
		case 'bloom_over':
			return kind.bloom ? blooms().map((d) => d + kind.bloom!.days) : [];
		case 'soil_freeze':
			return once(s, 'soil', () => soilFreezesIn(s, recordClimate));
		case 'frost_chance':
			return once(s, `frost ${rule.chance} ${rule.side}`, () => frostChancesIn(s, recordClimate, rule.chance, rule.side));
		case 'shoot': {
			const sums = kind.shoots ?? SHOOTS_BY_HABIT[kind.habit] ?? USUAL_SHOOTS;
			const sum: Record<ShootStage, number> = { soft: SOFT_SUM, 'semi-ripe': sums.semi_ripe, hard: sums.hard };
			return buds().flatMap((from) => dayOfSum(s, from, 5, sum[rule.is]) ?? []);
		}
		case 'rains':
			return once(s, `rains ${rule.edge}`, () => rainsIn(s, recordClimate, rule.edge));
	}
}

export interface Opening {
	opens: DayNumber;
	closes: DayNumber;
	bestFrom: DayNumber;
	bestTo: DayNumber;
	/** The part of it that follows a long frost of the ground. */
	afterThaw?: true | undefined;
}

/** A window in one scenario: each opening with the next closing after it. */
export function openingsIn(
	rule: WindowRule,
	s: Scenario,
	recordClimate: RecordClimate,
	kind: SeasonKind,
	sightings: readonly Sighting[] = []
): Opening[] {
	if (rule.no_frost === 'with_rains' && !recordClimate.climate.lastFrost && recordClimate.rains) {
		const ends = rainsIn(s, recordClimate, 'end');
		return rainsIn(s, recordClimate, 'start').flatMap((opens) => {
			const closes = ends.find((d) => d > opens);
			return closes === undefined ? [] : [{ opens, closes, bestFrom: opens, bestTo: closes }];
		});
	}
	if (rule.no_frost !== 'by_season' && !recordClimate.climate.lastFrost) {
		const end = s.first + s.low.length - 1;
		return [{ opens: s.first, closes: end, bestFrom: s.first, bestTo: end }];
	}
	const days = (m: Moment) => momentsIn(m, s, recordClimate, kind, sightings);
	/** The day of a moment that belongs to an opening; its plain form where the rule does not come true that year. */
	const near = (m: Moment, expected: DayNumber): DayNumber | null =>
		nearest(days(m), expected) ?? (m.rule ? nearest(days({ from: m.from, days: m.days }), expected) : null);
	const opens = days(rule.opens);
	const found: Opening[] = [];
	for (const [i, from] of opens.entries()) {
		const shuts = near(rule.closes, from + usualDays(rule.opens, rule.closes));
		// Unknown beyond the end of the scenario; or it would shut before it opens: no opening this year.
		if (shuts === null || shuts <= from) continue;
		const to = Math.min(shuts, (opens[i + 1] ?? Infinity) - 1, from + 364);
		const within = (m: Moment, least: DayNumber, otherwise: DayNumber) =>
			Math.min(to, Math.max(least, near(m, from + usualDays(rule.opens, m)) ?? otherwise));
		const bestFrom = rule.best ? within(rule.best.from, from, from) : from;
		const bestTo = rule.best ? within(rule.best.to, bestFrom, to) : to;
		found.push(...thawed(rule, { opens: from, closes: to, bestFrom, bestTo }, recordClimate.climate));
	}
	return found;
}

/** Moments of one season lie within half a year of where they are expected. */
const SAME_YEAR = 182;
function nearest(days: readonly DayNumber[], expected: DayNumber): DayNumber | null {
	let best: DayNumber | null = null;
	for (const d of days)
		if (Math.abs(d - expected) <= SAME_YEAR && (best === null || Math.abs(d - expected) < Math.abs(best - expected))) best = d;
	return best;
}

const EDGE = SEASON.edge.value;

/** How well a day suits one opening: 1 inside, falling to nothing over two weeks outside. */
const suits = (o: Opening, day: DayNumber): number =>
	day >= o.opens && day <= o.closes ? 1 : Math.max(0, 1 - (day < o.opens ? o.opens - day : day - o.closes) / EDGE);

export interface WindowOdds {
	/** By scenario, the openings that touch the span asked for. */
	byYear: Opening[][];
	/** Likely dates of the openings in the span: 1 in 10, the middle, 9 in 10. */
	likely: { opens: Spread; closes: Spread; bestFrom: number; bestTo: number; share: number }[];
	/** 0–1 for any day: the share of years in which it suits. */
	on(day: DayNumber): number;
}
export interface Spread {
	p10: DayNumber;
	p50: DayNumber;
	p90: DayNumber;
}

const spread = (days: number[]): Spread => {
	days.sort((a, b) => a - b);
	return {
		p10: Math.round(quantileOf(days, 0.1)),
		p50: Math.round(quantileOf(days, 0.5)),
		p90: Math.round(quantileOf(days, 0.9))
	};
};

/** A window over all scenarios. */
export function windowOdds(
	rule: WindowRule,
	scenarios: readonly Scenario[],
	recordClimate: RecordClimate,
	kind: SeasonKind,
	sightings: readonly Sighting[] = []
): WindowOdds {
	return windowOddsOf(scenarios.map((s) => openingsIn(rule, s, recordClimate, kind, sightings)));
}

/** The same from the openings of each year that may come. */
export function windowOddsOf(byYear: Opening[][]): WindowOdds {
	// Openings of one season lie together: sorted by their middle, a gap of a third of a year parts two seasons.
	const all = byYear.flat().sort((a, b) => a.opens + a.closes - (b.opens + b.closes));
	const seasons: Opening[][] = [];
	for (const o of all) {
		// What shuts by the frost and what opens by the thaw are two seasons, however near.
		const last = seasons.findLast((s) => s[0]!.afterThaw === o.afterThaw);
		const middle = (x: Opening) => (x.opens + x.closes) / 2;
		if (last && middle(o) - middle(last.at(-1)!) < 110 && middle(o) - middle(last[0]!) < 200) last.push(o);
		else seasons.push([o]);
	}
	return {
		byYear,
		likely: seasons
			.filter((list) => list.length >= Math.max(1, 0.1 * byYear.length))
			.map((list) => ({
				opens: spread(list.map((o) => o.opens)),
				closes: spread(list.map((o) => o.closes)),
				bestFrom: spread(list.map((o) => o.bestFrom)).p50,
				bestTo: spread(list.map((o) => o.bestTo)).p50,
				share: Math.min(1, list.length / byYear.length)
			})),
		on(day) {
			let sum = 0;
			for (const openings of byYear) {
				let best = 0;
				for (const o of openings) best = Math.max(best, suits(o, day));
				sum += best;
			}
			return byYear.length ? sum / byYear.length : 0;
		}
	};
}

/** Usual day of the year of a moment in a garden and its spread, over the middle year of all scenarios. */
export function momentOver(
	m: Moment,
	scenarios: readonly Scenario[],
	recordClimate: RecordClimate,
	kind: SeasonKind
): { doy: number; sd: number } | null {
	const days: number[] = [];
	let year = 0;
	for (const s of scenarios) {
		year = s.year;
		for (const d of momentsIn(m, s, recordClimate, kind)) days.push(d);
	}
	if (days.length < 0.5 * scenarios.length) return null;
	// Circular mean: a moment about New Year falls on both sides of it.
	const angle = (d: number) => (2 * Math.PI * (d - dayInYear(year, 1))) / 365.25;
	const sin = days.reduce((t, d) => t + Math.sin(angle(d)), 0) / days.length;
	const cos = days.reduce((t, d) => t + Math.cos(angle(d)), 0) / days.length;
	const mean = (Math.atan2(sin, cos) / (2 * Math.PI)) * 365.25;
	const spreadOf = Math.sqrt(Math.max(0, -2 * Math.log(Math.min(1, Math.hypot(sin, cos)))));
	return { doy: dayOfYear(dayInYear(year, 1) + Math.round(mean)), sd: Math.round((spreadOf / (2 * Math.PI)) * 365.25 * 10) / 10 };
}
