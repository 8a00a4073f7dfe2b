/** A batch's way through the seasons: when each stage is reached, from strike to the ground. */
import type { DayNumber } from '../dates.js';
import type { Kind, Stage, StageName, WayProfile } from '../handbook/schema.js';
import { endsInPots } from './ends.js';
import { daysAt, durationOf } from '../odds/durations.js';
import { woreOn } from '../season/season.js';
import type { Season } from '../season/season.js';
import type { Span } from '../season/growth.js';

export interface Step {
	stage: Stage;
	/** Day the stage is entered (work is done) and passed. */
	from: DayNumber;
	to: DayNumber;
}

export interface Walk {
	/** Stages gone through, in order of time; wintered once for each winter crossed. */
	steps: Step[];
	/** Day of planting; of a way that ends in pots the day on which they are ready. */
	planted: DayNumber;
	/** Until then they stand where they are. */
	leaves: DayNumber;
}

/** Farther ahead than this nothing is planted. */
export const FURTHEST_DAYS = 6 * 366;

/** First day from `day` on which the kind may be planted out; null if none within four years. */
export function plantingDay(kind: Pick<Kind, 'plant_out'>, day: DayNumber, season: Season): DayNumber | null {
	let best: DayNumber | null = null;
	for (const rule of kind.plant_out)
		for (const window of season.openings(rule, day, day + 4 * 366)) {
			const on = Math.max(day, window.opens);
			if (on <= window.closes && (best === null || on < best)) best = on;
			if (window.opens > day) break;
		}
	return best;
}

/** A season's rests and plantings in plain lists, read off once: a forecast asks them some thousand times. */
export interface Year {
	rests: readonly Span[];
	plantings: readonly Span[];
}

export function yearOfSeason(season: Season, kind: Pick<Kind, 'plant_out'>, from: DayNumber): Year {
	const to = from + FURTHEST_DAYS + 2 * 366;
	const plantings = kind.plant_out.flatMap((rule) =>
		season.openings(rule, from, to).map((o) => ({ from: o.opens, to: o.closes }))
	);
	return {
		rests: season.standstills(from - 366, to),
		plantings: plantings.sort((a, b) => a.from - b.from || a.to - b.to)
	};
}

/** The day on which so many days of growth are done. */
export function grownBy(y: Year, start: DayNumber, days: number): DayNumber {
	let day = start;
	let left = days;
	for (const rest of y.rests) {
		if (rest.to <= day) continue;
		if (day + left < rest.from) break;
		left -= Math.max(0, rest.from - day);
		if (left <= 0) return rest.from;
		day = rest.to;
	}
	return day + left;
}

/** First day from `day` on which it may be planted; null if there is none within four years. */
export function plantedFrom(y: Year, day: DayNumber): DayNumber | null {
	let best: DayNumber | null = null;
	for (const p of y.plantings) {
		if (best !== null && p.from >= best) break;
		if (p.to >= day) best = Math.min(best ?? Infinity, Math.max(day, p.from));
	}
	return best !== null && best <= day + 4 * 366 ? best : null;
}

/** Winters between two days, part of one counting for its part. */
export function wintersOf(y: Year, from: DayNumber, to: DayNumber): number {
	let winters = 0;
	for (const rest of y.rests) {
		if (rest.to <= from) continue;
		if (rest.from >= to) break;
		winters += woreOn(rest, to) - woreOn(rest, from);
	}
	return winters;
}

export interface WalkFrom {
	kind: Pick<Kind, 'plant_out'>;
	way: Pick<WayProfile, 'stages'>;
	start: DayNumber;
	season: Season;
	/** Leaves out what has been passed already. */
	reached?: StageName | null;
	/** Winters before the pieces were last counted are behind. */
	aliveOn?: DayNumber | null;
	/** The same luck for all stages, standard normal; 0 the usual. */
	luck?: number;
	/** Nothing ahead is done before this day. */
	today?: DayNumber;
	/** Of a way that ends in pots: the day for which they are wanted. */
	wanted?: DayNumber | null | undefined;
	/** Day on which the pieces root, where that is known better than from the handbook's days. */
	rootedOn?: DayNumber | null;
}

/** The usual way of pieces from a day on: what is shown and what work is reckoned by. Null if it is never planted. */
export function walk(w: WalkFrom): Walk | null {
	const { kind, way, start, season, luck = 0, today = -Infinity, rootedOn = null } = w;
	const year = yearOfSeason(season, kind, start - 366);
	const passed = w.reached == null ? -1 : way.stages.findIndex((s) => s.to === w.reached);
	const ahead = way.stages.slice(passed + 1).filter((s) => s.to !== 'wintered' && s.to !== 'planted');
	const steps: Step[] = [];
	let day = start;
	for (const stage of ahead) {
		const days = Math.round(daysAt(durationOf(stage.days), luck));
		const done = stage.grows === 'always' ? day + days : grownBy(year, day, days);
		const to = Math.max(today, stage.to === 'rooted' && rootedOn !== null ? rootedOn : done);
		steps.push({ stage, from: day, to });
		day = to;
	}
	const pots = endsInPots(way);
	const planted = pots ? Math.max(day, today) : plantedFrom(year, Math.max(day, today));
	if (planted === null) return null;
	const leaves = pots ? Math.max(planted, w.wanted ?? planted) : planted;
	const winter = way.stages.find((s) => s.to === 'wintered');
	const behind = Math.max(start, w.aliveOn ?? start);
	if (winter)
		for (const rest of year.rests) {
			const middle = (rest.from + rest.to) / 2;
			if (middle < behind || middle > leaves) continue;
			const to = Math.min(rest.to, leaves);
			const at = steps.findIndex((s) => s.to > to);
			steps.splice(at < 0 ? steps.length : at, 0, { stage: winter, from: Math.max(start, rest.from), to });
		}
	const last = way.stages.find((s) => s.to === 'planted');
	if (last) steps.push({ stage: last, from: planted, to: planted });
	return { steps, planted, leaves };
}
