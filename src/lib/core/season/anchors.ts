/**
 * The turning points of a garden's year, from which all windows are measured. They move with the
 * garden and lie half a year apart in the two hemispheres.
 */
import { dayInYear, wrapDoy, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import type { Climate } from './climate.js';
import { SEASON } from './judged.js';

export const ANCHORS = ['last_frost', 'first_frost', 'bud_break', 'leaf_fall', 'longest_day', 'shortest_day'] as const;
export type Anchor = (typeof ANCHORS)[number];

export const ANCHOR_WORDS: Record<Anchor, string> = {
	last_frost: 'the last frost',
	first_frost: 'the first frost',
	bud_break: 'bud break',
	leaf_fall: 'leaf fall',
	longest_day: 'the longest day',
	shortest_day: 'the shortest day'
};

export const BUD_BREAK_BEFORE_LAST_FROST = SEASON.budBreak.value;
export const LEAF_FALL_AFTER_FIRST_FROST = SEASON.leafFall.value;
const COOL_SEASON_ENDS = SEASON.coolSeasonEnds.value;
const COOL_SEASON_STARTS = SEASON.coolSeasonStarts.value;

export interface Turning {
	/** Day of the year. */
	doy: number;
	/** Spread from year to year, days. */
	sd: number;
}

export function turning(anchor: Anchor, c: Climate): Turning {
	const south = c.latitude < 0;
	const shortest = south ? 172 : 355; // 21 June, 21 December
	switch (anchor) {
		case 'shortest_day':
			return { doy: shortest, sd: 0 };
		case 'longest_day':
			return { doy: south ? 355 : 172, sd: 0 };
		case 'last_frost':
			return c.lastFrost ?? { doy: wrapDoy(shortest + COOL_SEASON_ENDS), sd: 10 };
		case 'first_frost':
			return c.firstFrost ?? { doy: wrapDoy(shortest - COOL_SEASON_STARTS), sd: 10 };
		case 'bud_break': {
			const t = turning('last_frost', c);
			return { doy: wrapDoy(t.doy - BUD_BREAK_BEFORE_LAST_FROST), sd: t.sd };
		}
		case 'leaf_fall': {
			const t = turning('first_frost', c);
			return { doy: wrapDoy(t.doy + LEAF_FALL_AFTER_FIRST_FROST), sd: t.sd };
		}
	}
}

/** The first such day on or after `from`, with an offset in days. */
export function nextTurning(anchor: Anchor, offset: number, from: DayNumber, c: Climate): DayNumber {
	const { doy } = turning(anchor, c);
	for (let year = yearOf(from) - 2; ; year++) {
		const day = dayInYear(year, doy) + offset;
		if (day >= from) return day;
	}
}

/** The last such day on or before `until`. */
export function lastTurning(anchor: Anchor, offset: number, until: DayNumber, c: Climate): DayNumber {
	const { doy } = turning(anchor, c);
	for (let year = yearOf(until) + 2; ; year--) {
		const day = dayInYear(year, doy) + offset;
		if (day <= until) return day;
	}
}
