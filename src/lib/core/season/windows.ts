/** Windows: when a way suits, measured from moments of the garden's year. */
import { dayInYear, daysRound, nearestDoy, wrapDoy, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { turning } from './anchors.js';
import type { Climate } from './climate.js';
import { signedDays } from './growth.js';
import { momentIn, sayMoment } from './moments.js';
import type { Moment } from './momentSchema.js';

export interface WindowRule {
	opens: Moment;
	closes: Moment;
	/** The best of it; the whole window if not said. */
	best?: { from: Moment; to: Moment } | undefined;
	/**
	 * In a garden without frost: open all the year, still by the cool season, or from the first rains to
	 * the last where the year has a dry season.
	 */
	no_frost: 'all_year' | 'by_season' | 'with_rains';
	/** What digs waits for the ground: shut while it is frozen. Put there for a garden, never written in the handbook. */
	digs?: boolean | undefined;
}

export interface OpenWindow {
	opens: DayNumber;
	closes: DayNumber;
	bestFrom: DayNumber;
	bestTo: DayNumber;
	/** Spread of the edges from year to year, days. */
	opensSd: number;
	closesSd: number;
}

/** The wet season as a window. */
const RAINY = (rains: { start: number; end: number }): WindowRule => ({
	opens: { from: 'longest_day', days: 0, rule: { by: 'rains', edge: 'start' }, at: { doy: rains.start, sd: 12 } },
	closes: { from: 'longest_day', days: 0, rule: { by: 'rains', edge: 'end' }, at: { doy: rains.end, sd: 12 } },
	no_frost: 'by_season'
});

/** Why a window does not open in a garden, as the rest of a sentence. */
export const whyNever = (rule: WindowRule, c: Climate): string =>
	!c.lastFrost
		? 'what it waits for does not come without a winter'
		: rule.opens.never
			? 'what it waits for comes in too few years'
			: 'the season is too short, and it would shut before it opens';

/** Where frost never comes many ways are open all the year; by the rains where there are some and the way goes by them. */
export const openAllYear = (rule: WindowRule, c: Climate): boolean =>
	!c.lastFrost && (rule.no_frost === 'all_year' || (rule.no_frost === 'with_rains' && !c.rains));

/**
 * Every opening of a window that touches [from, to], in order, in the middle year of a climate. None where it would
 * shut before it opens, or where what opens it does not come in most years.
 */
export function openings(rule: WindowRule, from: DayNumber, to: DayNumber, c: Climate): OpenWindow[] {
	if (!c.lastFrost && c.rains && rule.no_frost === 'with_rains') return openings(RAINY(c.rains), from, to, c);
	if (openAllYear(rule, c)) return [{ opens: from, closes: to, bestFrom: from, bestTo: to, opensSd: 0, closesSd: 0 }];
	if (rule.opens.never) return [];
	const open = dayOf(rule.opens, c);
	const days = signedDays(open, dayOf(rule.closes, c), usualDays(rule.opens, rule.closes));
	// It would shut before it opens: in this climate there is no such window.
	if (days <= 0) return [];
	const best = rule.best;
	const bestFrom = best ? clamp(signedDays(open, dayOf(best.from, c), usualDays(rule.opens, best.from)), 0, days) : 0;
	const bestTo = best ? clamp(signedDays(open, dayOf(best.to, c), usualDays(rule.opens, best.to)), bestFrom, days) : days;
	const found: OpenWindow[] = [];
	const edges = { opensSd: momentIn(rule.opens, c).sd, closesSd: momentIn(rule.closes, c).sd };
	for (let year = yearOf(from) - 2; ; year++) {
		const opens = dayInYear(year, open);
		if (opens > to) return found;
		// Leap years move an edge by a day against the other.
		const edge = (after: number, m: Moment) => Math.max(opens, nearestDoy(opens + after, dayOf(m, c)));
		const closes = edge(days, rule.closes);
		if (closes < from) continue;
		const bestOpens = best ? Math.min(closes, opens + bestFrom) : opens;
		const bestCloses = best ? Math.min(closes, Math.max(bestOpens, bestTo === days ? closes : opens + bestTo)) : closes;
		for (const o of thawed(rule, { opens, closes, bestFrom: bestOpens, bestTo: bestCloses }, c))
			if (o.closes >= from && o.opens <= to) found.push({ ...o, ...edges });
	}
}

/** An opening without the days on which the ground is frozen: one part before the frost, one after the thaw. */
export function thawed<O extends { opens: DayNumber; closes: DayNumber; bestFrom: DayNumber; bestTo: DayNumber }>(
	rule: WindowRule,
	o: O,
	c: Climate
): O[] {
	if (!rule.digs || !c.frozen) return [o];
	let parts = [o];
	for (let year = yearOf(o.opens) - 1; year <= yearOf(o.closes) + 1; year++) {
		const freezes = dayInYear(year, c.frozen.from);
		const thaws = freezes + daysRound(c.frozen.from, c.frozen.to);
		parts = parts.flatMap((p) => {
			if (p.closes < freezes || p.opens > thaws) return [p];
			const before = { ...p, closes: freezes - 1 };
			const after = { ...p, opens: thaws + 1, ...(p.opens < freezes ? { afterThaw: true as const } : {}) };
			return [before, after].flatMap((x) => {
				if (x.closes < x.opens) return [];
				// The best of it is where it was, or as near to it as is left.
				const bestFrom = clamp(x.bestFrom, x.opens, x.closes);
				return [{ ...x, bestFrom, bestTo: clamp(x.bestTo, bestFrom, x.closes) }];
			});
		});
	}
	return parts;
}

const clamp = (v: number, least: number, most: number) => Math.min(most, Math.max(least, v));

/** Usual day of the year of a moment, with its days before or after. */
const dayOf = (m: Moment, c: Climate): number => wrapDoy(momentIn(m, c).doy + (m.at ? 0 : m.days));

/** A garden with a real winter and a real summer, in which every window of the handbook has its right length: made up. */
const TEMPERATE: Climate = {
	latitude: 50,
	longitude: 0,
	coldestC: -12,
	lastFrost: { doy: 115, sd: 10 },
	firstFrost: { doy: 290, sd: 10 }
};

/** Days from one moment to another in such a garden: tells in any other whether the order still holds. */
export const usualDays = (from: Moment, to: Moment): number => {
	const plain = (m: Moment) => turning(m.from, TEMPERATE).doy + m.days;
	return daysRound(plain(from), plain(to));
};

/** "from 45 days after the last frost to 40 days before the first frost". */
export function sayRule(rule: WindowRule): string {
	return `from ${sayMoment(rule.opens)} to ${sayMoment(rule.closes)}`;
}
