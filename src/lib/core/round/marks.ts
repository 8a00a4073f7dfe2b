/** What was last said of a work on one plant, and when the work stands again. */
import type { DayNumber } from '../dates.js';
import { ASKED_AGAIN } from './words.js';

export interface Mark {
	done: DayNumber | null;
	skipped: DayNumber | null;
	until: DayNumber | null;
}
/** Looks up the mark of a work on a plant. */
export type Marks = (work: string, target: string) => Mark | undefined;

/** The first day on which work, due by itself on `due`, is asked for again. */
export function asksFrom(work: string, due: DayNumber, mark: Mark | undefined, every = ASKED_AGAIN[work] ?? 3): DayNumber {
	if (!mark) return due;
	let from = due;
	if (mark.skipped !== null) from = Math.max(from, mark.skipped + every);
	// Put off is a promise for a day: it stands even when that day is nearer than the work itself would ask.
	if (mark.until !== null) from = Math.max(from, mark.until);
	return from;
}
