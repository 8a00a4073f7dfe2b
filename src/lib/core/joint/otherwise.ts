/** How a want would do too where it cannot be met whole: with fewer, later, or both. */
import type { DayNumber } from '../dates.js';
import { JOINT } from './judged.js';
import type { Otherwise } from './types.js';

export interface Wish {
	target: number;
	due: DayNumber;
	/** Fewer that would do; null where none would. */
	enough: number | null;
	/** Weeks that it may be late. */
	lateWeeks: number;
}

/** Weeks late from which the half of them is looked at as well. */
const HALVED = 4;

export type WouldDo = Omit<Otherwise, 'already'>;

/** The ways in which it would do, the one that gives up least first. */
export function wouldDo({ target, due, enough, lateWeeks }: Wish): WouldDo[] {
	const { always, fewer, late } = JOINT.otherwise.value;
	const few = enough !== null && enough < target ? enough : null;
	const way = (n: number, weeks: number): WouldDo => ({
		...{ target: n, due: due + 7 * weeks },
		given: always + fewer * (1 - n / target) + (weeks > 0 ? (late * weeks) / lateWeeks : 0)
	});
	const ways: WouldDo[] = [];
	if (few !== null) ways.push(way(few, 0));
	// Half as late as it may be is looked at too: nobody wants to wait longer than they must.
	if (lateWeeks >= HALVED) ways.push(way(target, Math.round(lateWeeks / 2)));
	if (lateWeeks > 0) ways.push(way(target, lateWeeks));
	if (few !== null && lateWeeks > 0) ways.push(way(few, lateWeeks));
	return ways.sort((a, b) => a.given - b.given);
}
