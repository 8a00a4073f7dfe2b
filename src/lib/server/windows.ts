/** Windows as the screens show them: suitability along the year, likely dates, and what to say of them. */
import { handbook } from './handbook.js';
import type { Season } from './season.js';
import { isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import { MOST_YEARS } from '$lib/core/season/season.js';
import { sayRule } from '$lib/core/season/windows.js';
import type { WindowRule } from '$lib/core/season/windows.js';

export const STEP = 4;
/** From half a month back to a year ahead, as year bars are drawn. */
export const BAR_DAYS = 380;

export interface WindowView {
	say: string;
	/** Suitability 0–1 every STEP days. */
	values: number[];
	/** On the day looked at. */
	now: number;
	allYear: boolean;
	/** The opening that holds the day, or the next one. */
	next: {
		open: boolean;
		opens: { early: string; usual: string; late: string };
		closes: { early: string; usual: string; late: string };
		best: { from: string; to: string };
		/** Share of years that have it at all. */
		share: number;
	} | null;
	/** Share of years that have it, where most have not: then it is shut on every screen. */
	seldom: number | null;
}

export const suitability = (season: Season, rule: WindowRule, kind: Kind, from: DayNumber, days: number): number[] => {
	const odds = season.windows(rule, kind);
	return Array.from({ length: Math.floor(days / STEP) + 1 }, (_, i) => Math.round(odds.on(from + i * STEP) * 100) / 100);
};

export function windowView(season: Season, rule: WindowRule, kind: Kind, day: DayNumber, from: DayNumber = day - 15): WindowView {
	const odds = season.windows(rule, kind);
	const ahead = odds.likely.filter((o) => o.closes.p50 >= day);
	const l = ahead.find((o) => o.share >= MOST_YEARS);
	const dates = (s: { p10: number; p50: number; p90: number }) => ({
		early: isoOf(s.p10),
		usual: isoOf(s.p50),
		late: isoOf(s.p90)
	});
	return {
		say: sayRule(rule),
		values: suitability(season, rule, kind, from, BAR_DAYS),
		now: odds.on(day),
		allYear: season.allYear(rule),
		next: l
			? {
					open: l.opens.p50 <= day,
					opens: dates(l.opens),
					closes: dates(l.closes),
					best: { from: isoOf(l.bestFrom), to: isoOf(l.bestTo) },
					share: l.share
				}
			: null,
		seldom: l ? null : (ahead[0]?.share ?? null)
	};
}

/** Name of a way of a kind, told apart where it has the same way at two seasons: "division, late". */
export function wayLabel(kind: Kind, w: WayProfile): string {
	const name = handbook().ways.get(w.way)?.name ?? w.id;
	const twins = kind.ways.filter((o) => o.way === w.way).length > 1;
	const more = w.id.startsWith(`${w.way}-`) ? w.id.slice(w.way.length + 1).replaceAll('-', ' ') : '';
	return twins && more ? `${name}, ${more}` : name;
}

/** Windows of a kind for the season strip. */
export interface StripWindow {
	label: string;
	from: DayNumber;
	values: number[];
}

export const stripWindows = (season: Season, kind: Kind, now: DayNumber, wayId: string | null = null): StripWindow[] =>
	kind.ways
		.filter((w) => wayId === null || w.id === wayId)
		.slice(0, 4)
		.map((w) => ({
			label: wayLabel(kind, w),
			from: now - 92,
			values: suitability(season, w.window, kind, now - 92, 92 + 457)
		}));
