import { dayInYear, daysRound, nearestDoy, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { turning } from './anchors.js';
import type { Climate } from './climate.js';
import { SEASON } from './judged.js';

export interface Span {
	from: DayNumber;
	to: DayNumber;
}

const USUAL_REST = SEASON.rest.value;

/** Days from one day of the year to another, forwards or backwards, whichever is nearer to what is usual: −365 … 364. */
export function signedDays(from: number, to: number, usual: number): number {
	const on = daysRound(from, to);
	return Math.abs(on - usual) <= Math.abs(on - 365 - usual) ? on : on - 365;
}

/**
 * Day of the year on which growth outdoors comes to rest, and for how many days; null where it does not. In a mild
 * winter buds would break before the leaves are down: then there is no rest.
 */
export function restOf(c: Climate): { fall: number; bud: number; days: number } | null {
	if (!c.lastFrost) return null;
	const fall = turning('leaf_fall', c).doy;
	const bud = turning('bud_break', c).doy;
	const days = signedDays(fall, bud, USUAL_REST);
	return days > 0 ? { fall, bud, days } : null;
}

/** True where the year has a winter in which plants outdoors stand still. */
export const hasWinter = (c: Climate): boolean => restOf(c) !== null;

/** The standstill that begins in a year: from leaf fall to bud break. Null where there is none. */
export function standstillsOf(c: Climate): (year: number) => Span | null {
	let found = standstills.get(c);
	if (!found) standstills.set(c, (found = reckonStandstills(c)));
	return found;
}
const standstills = new WeakMap<Climate, (year: number) => Span | null>();

function reckonStandstills(c: Climate): (year: number) => Span | null {
	const rest = restOf(c);
	const known = new Map<number, Span>();
	return (year) => {
		if (!rest) return null;
		let span = known.get(year);
		if (!span) {
			const from = dayInYear(year, rest.fall);
			// Leap years move the end by a day against the beginning.
			known.set(year, (span = { from, to: nearestDoy(from + rest.days, rest.bud) }));
		}
		return span;
	};
}

/** The next standstill. Contains `day` if that lies in one. Null where there is none. */
export function nextStandstill(day: DayNumber, c: Climate): Span | null {
	const restIn = standstillsOf(c);
	for (let year = yearOf(day) - 1; ; year++) {
		const rest = restIn(year);
		if (!rest || rest.to >= day) return rest;
	}
}
