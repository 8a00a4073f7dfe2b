/**
 * What a garden's own winters say of how a kind keeps in a kind of place. One stock plant, however many stand together, is
 * one try a winter; what the cold killed is left out, for cold is reckoned by the nights of its place; what rotted, dried
 * up, starved of light or was eaten counts.
 */
import { dayInYear, dayNumber, yearOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import type { Cause } from '../ledger/causes.js';

export interface Wintered {
	passed: number;
	failed: number;
}

/** A stock plant, where it stood from when, and what became of it. */
export interface Kept {
	kind_id: string;
	since: string;
	/** Day on which it was last looked over. */
	told_on: string;
	gone_on: string | null;
	gone_cause: Cause | null;
	stays: readonly { from: string; placeId: string | null }[];
}

const COUNTS: ReadonlySet<Cause> = new Set(['wet', 'dry', 'dark', 'pest']);
/** A plant that was looked over so long after the middle of winter has come through it. */
const THROUGH_DAYS = 70;
/** Farther back a garden kept its plants otherwise. */
const MOST_WINTERS = 12;

/**
 * By "kind place", the place in the handbook's words.
 *
 * @param midsummer day of the year in the middle of the warm season: winter's middle is half a year from it
 */
export function winteredBy(
	stocks: readonly Kept[],
	placeKind: (id: string) => string | undefined,
	midsummer: number
): Map<string, Wintered> {
	const found = new Map<string, Wintered>();
	const coldest = ((midsummer + 182 - 1) % 365) + 1;
	for (const s of stocks) {
		const end: DayNumber = s.gone_on ? dayNumber(s.gone_on) : dayNumber(s.told_on);
		const begun = dayNumber(s.since);
		for (let year = Math.max(yearOf(begun), yearOf(end) - MOST_WINTERS); year <= yearOf(end); year++) {
			const middle = dayInYear(year, coldest);
			if (middle < begun || end < middle - 60) continue;
			const at = s.stays.findLast((stay) => dayNumber(stay.from) <= Math.min(middle, end))?.placeId;
			const kind = at ? placeKind(at) : undefined;
			if (!kind) continue;
			const through = end >= middle + THROUGH_DAYS;
			const lost = s.gone_on !== null && !through && s.gone_cause !== null && COUNTS.has(s.gone_cause);
			if (!through && !lost) continue;
			const key = `${s.kind_id} ${kind}`;
			const w = found.get(key) ?? { passed: 0, failed: 0 };
			if (through) w.passed++;
			else w.failed++;
			found.set(key, w);
		}
	}
	return found;
}

/** A shelter of the handbook after what was seen: the mean of its Beta, and its weight. */
export function learntShelter<S extends { chance: number; weight: number }>(s: S, seen: Wintered | undefined): S {
	if (!seen || seen.passed + seen.failed === 0) return s;
	const weight = s.weight + seen.passed + seen.failed;
	return { ...s, weight, chance: (s.chance * s.weight + seen.passed) / weight };
}
