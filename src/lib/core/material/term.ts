/** When a variety's protection ends, by the kind of right and the dates that labels and registers carry. */
import { addDays, dayNumber } from '../dates.js';
import type { IsoDate } from '../dates.js';

export interface Term {
	years: number;
	/** Of trees and vines. */
	woody_years: number;
	/** What the years run from. */
	from: 'filed' | 'granted';
}

/** The last day of the term; null when the day it runs from is not known: unknown stays unknown. */
export function termEnd(term: Term, dates: { filed: IsoDate | null; granted: IsoDate | null }, woody: boolean): IsoDate | null {
	const from = dates[term.from];
	if (from === null) return null;
	const year = Number(from.slice(0, 4)) + (woody ? term.woody_years : term.years);
	// The right of 29 February ends with February where there is no such day.
	const [month, day] = [from.slice(5, 7), from.slice(8, 10)];
	const leap = month === '02' && day === '29' && !(year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0));
	return addDays(`${year}-${month}-${leap ? '28' : day}`, leap ? 0 : -1);
}

export const termRuns = (end: IsoDate | null, today: IsoDate): boolean | null =>
	end === null ? null : dayNumber(today) <= dayNumber(end);
