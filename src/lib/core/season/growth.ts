import type { DayNumber } from '../dates.js';
import { nextTurning } from './anchors.js';
import type { Climate } from './climate.js';

/** True where the year has a winter in which plants outdoors stand still. */
export const hasWinter = (c: Climate): boolean => c.lastFrost !== null;

/** The next standstill: from leaf fall to bud break. Contains `day` if that lies in one. */
export function nextStandstill(day: DayNumber, c: Climate): { from: DayNumber; to: DayNumber } {
	const to = nextTurning('bud_break', 0, day, c);
	const fall = nextTurning('leaf_fall', 0, day, c);
	if (fall <= to) return { from: fall, to };
	// Leaf fall lies behind: the standstill has begun already.
	return { from: nextTurning('leaf_fall', 0, day - 366, c), to };
}

/** The day on which so many days of growth are done, when growth rests from leaf fall to bud break. */
export function afterGrowth(start: DayNumber, days: number, c: Climate): DayNumber {
	if (!hasWinter(c)) return start + days;
	let day = start;
	let left = days;
	// Each turn crosses one winter, so a bound on turns is a bound on years.
	for (let turns = 0; turns < 60 && left > 0; turns++) {
		const rest = nextStandstill(day, c);
		if (day >= rest.from) day = rest.to;
		const until = nextTurning('leaf_fall', 0, day + 1, c);
		const step = Math.min(left, until - day);
		day += step;
		left -= step;
	}
	return day;
}

/** The standstills whose middle lies between a and b: the winters that plants go through in that time. */
export function wintersBetween(a: DayNumber, b: DayNumber, c: Climate): { from: DayNumber; to: DayNumber }[] {
	if (!hasWinter(c)) return [];
	const found: { from: DayNumber; to: DayNumber }[] = [];
	for (let rest = nextStandstill(a, c); (rest.from + rest.to) / 2 <= b; rest = nextStandstill(rest.to + 1, c))
		if ((rest.from + rest.to) / 2 >= a) found.push(rest);
	return found;
}

/** Does the stretch from a to b hold the middle of a winter? */
export const crossesWinter = (a: DayNumber, b: DayNumber, c: Climate): boolean => wintersBetween(a, b, c).length > 0;
