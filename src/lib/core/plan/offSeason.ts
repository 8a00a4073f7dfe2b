/**
 * Out of season: what a day is worth for a way that has its window. Nothing is forbidden, for people have their
 * reasons and mild years; but a shoot too soft or too old, or one at rest, seldom roots, and that is told.
 */
import type { DayNumber } from '../dates.js';
import { dayInYear, yearOf } from '../dates.js';
import type { Season } from '../season/season.js';
import type { WindowRule } from '../season/windows.js';
import { PLAN } from './judged.js';

export interface OffSeason {
	/** Days from the nearest open day; Infinity where the window never opens. */
	days: number;
	/** When it opens next; null if it never does. */
	opens: DayNumber | null;
	/** What the odds that a piece takes are multiplied by. */
	times: number;
}

/** Those cut with roots or stores of their own bear a wrong day better than a stem that has to live on its leaves. */
const ROOTED: ReadonlySet<string> = new Set(['clump', 'sucker', 'tuber', 'root', 'layer']);

/** By how much the odds fall so many days from the window. */
export function offSeasonTimes(days: number, draws: string): number {
	const { grace, fade, least } = ROOTED.has(draws) ? PLAN.offSeasonRooted.value : PLAN.offSeasonStem.value;
	return Math.max(least, Math.min(1, Math.exp((grace - days) / fade)));
}

/** A year's openings either side are enough to know the nearest. */
const AROUND = 366;

/**
 * How far a day is from its window in the usual season; null on an open day. Days of years gone by are held against
 * the same day of the year that `season` knows from.
 */
export function offSeason(season: Season, rule: WindowRule, draws: string, on: DayNumber, today: DayNumber): OffSeason | null {
	const day = on >= today - AROUND ? on : dayInYear(yearOf(today), 1) + (on - dayInYear(yearOf(on), 1));
	const near = season.openings(rule, day - AROUND, day + AROUND);
	if (near.some((o) => o.opens <= day && day <= o.closes)) return null;
	const days = near.reduce((least, o) => Math.min(least, o.opens > day ? o.opens - day : day - o.closes), Infinity);
	const times = offSeasonTimes(days, draws);
	// Windows are not shut like doors.
	if (times === 1) return null;
	const next = near
		.filter((o) => o.opens > day)
		.reduce<DayNumber | null>((a, o) => (a === null ? o.opens : Math.min(a, o.opens)), null);
	return { days, opens: next, times };
}

/** A chance moved on the scale of odds. */
export const timesOdds = (chance: number, times: number): number => {
	const odds = (chance / (1 - chance)) * times;
	return odds / (1 + odds);
};
