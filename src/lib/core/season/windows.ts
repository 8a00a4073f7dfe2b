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
	/** In a garden without frost: open all the year, or still by the cool season. */
	no_frost: 'all_year' | 'by_season';
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

/** Every opening of a window that touches [from, to], in order. */
export function openings(rule: WindowRule, from: DayNumber, to: DayNumber, c: Climate): OpenWindow[] {
	if (rule.no_frost === 'all_year' && !c.lastFrost)
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
