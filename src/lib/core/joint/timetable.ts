/** The years that may come as tables by day: what a walk through them asks ten million times. */
import type { DayNumber } from '../dates.js';
import type { Year } from '../plan/walk.js';
import { plantedFrom } from '../plan/walk.js';
import { woreOn } from '../season/season.js';

/** All by days since `base`. */
export interface Timetable {
	base: DayNumber;
	days: number;
	/** Days of growth done before a day. */
	grown: Int32Array;
	/** First day before which so many days of growth are done. */
	dayOf: Int32Array;
	/** First day from a day on which it may be planted; −1 where there is none. */
	planted: Int32Array;
	/** Winters gone by. */
	winters: Float32Array;
}

export function timetableOf(year: Year, base: DayNumber, days: number): Timetable {
	const grown = new Int32Array(days + 1);
	const dayOf = new Int32Array(days + 1).fill(days);
	const planted = new Int32Array(days + 1);
	const winters = new Float32Array(days + 1);
	const rests = new Uint8Array(days + 1);
	for (const rest of year.rests) {
		const from = Math.max(0, rest.from - base);
		const to = Math.min(days + 1, rest.to - base);
		if (to <= from) {
			if (rest.to <= base) for (let d = 0; d <= days; d++) winters[d]! += 1;
			continue;
		}
		rests.fill(1, from, to);
		for (let d = from; d <= days; d++) winters[d]! += d < to ? woreOn(rest, base + d) : 1;
	}
	for (let d = 0; d < days; d++) {
		grown[d + 1] = grown[d]! + (rests[d] ? 0 : 1);
		if (grown[d + 1]! > grown[d]!) dayOf[grown[d + 1]!] = d + 1;
	}
	dayOf[0] = 0;
	for (let d = days; d >= 0; d--) {
		const on = plantedAt(year, base + d, d < days && planted[d + 1]! >= 0 ? base + planted[d + 1]! : null);
		planted[d] = on === null || on - base > days ? -1 : on - base;
	}
	return { base, days, grown, dayOf, planted, winters };
}

/** The same day, or as the day after has it: asked once for each opening, not for each day. */
function plantedAt(year: Year, day: DayNumber, after: DayNumber | null): DayNumber | null {
	if (after === null) return plantedFrom(year, day);
	return year.plantings.some((p) => p.from <= day && day <= p.to) ? day : after;
}
