/** Windows: when a way suits, measured from moments of the garden's year. */
import type { DayNumber } from '../dates.js';
import type { Climate } from './climate.js';
import { lastMoment, momentIn, nextMoment, sayMoment } from './moments.js';
import type { Moment } from './moments.js';

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

const after = (m: Moment, day: DayNumber, c: Climate) => nextMoment(m, day, c);

/** The wet season as a window. */
const RAINY = (rains: { start: number; end: number }): WindowRule => ({
	opens: { from: 'longest_day', days: 0, rule: { by: 'rains', edge: 'start' }, at: { doy: rains.start, sd: 12 } },
	closes: { from: 'longest_day', days: 0, rule: { by: 'rains', edge: 'end' }, at: { doy: rains.end, sd: 12 } },
	no_frost: 'by_season'
});

/** Every opening of a window that touches [from, to], in order. */
export function openings(rule: WindowRule, from: DayNumber, to: DayNumber, c: Climate): OpenWindow[] {
	if (!c.lastFrost && c.rains && rule.no_frost === 'with_rains') return openings(RAINY(c.rains), from, to, c);
	if (rule.no_frost !== 'by_season' && !c.lastFrost)
		return [{ opens: from, closes: to, bestFrom: from, bestTo: to, opensSd: 0, closesSd: 0 }];
	const found: OpenWindow[] = [];
	let opens = lastMoment(rule.opens, from, c);
	while (opens <= to) {
		const closes = after(rule.closes, opens + 1, c);
		const next = after(rule.opens, opens + 1, c);
		// A window that would outlast its year is one that in this climate never shuts well: clip it there.
		const shut = Math.min(closes, next - 1);
		const bestFrom = rule.best ? Math.min(after(rule.best.from, opens, c), shut) : opens;
		const bestTo = rule.best ? Math.min(after(rule.best.to, bestFrom, c), shut) : shut;
		if (shut >= from)
			found.push({
				opens,
				closes: shut,
				bestFrom,
				bestTo,
				opensSd: momentIn(rule.opens, c).sd,
				closesSd: momentIn(rule.closes, c).sd
			});
		opens = next;
	}
	return found;
}

/** "from 45 days after the last frost to 40 days before the first frost". */
export function sayRule(rule: WindowRule): string {
	return `from ${sayMoment(rule.opens)} to ${sayMoment(rule.closes)}`;
}
