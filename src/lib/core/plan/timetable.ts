/** The years that may come as tables by day: what a walk through them asks ten million times. */
import type { DayNumber } from '../dates.js';
import type { Year } from './walk.js';
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

/** Nobody waits longer for a window to open. */
const MOST_WAIT = 4 * 366;

export function timetableOf(year: Year, base: DayNumber, days: number): Timetable {
	const grown = new Int32Array(days + 1);
	const dayOf = new Int32Array(days + 1).fill(days);
	const planted = new Int32Array(days + 1).fill(-1);
	const winters = new Float32Array(days + 1);
	const rests = new Uint8Array(days + 1);
	let gone = 0;
	let filled = 0;
	for (const rest of [...year.rests].sort((a, b) => a.from - b.from)) {
		const from = Math.min(days + 1, Math.max(0, rest.from - base));
		const to = Math.min(days + 1, Math.max(0, rest.to - base));
		winters.fill(gone, filled, from);
		rests.fill(1, from, to);
		for (let d = from; d < to; d++) winters[d] = gone + woreOn(rest, base + d);
		filled = to;
		gone++;
	}
	winters.fill(gone, filled);
	for (let d = 0; d < days; d++) {
		grown[d + 1] = grown[d]! + (rests[d] ? 0 : 1);
		if (grown[d + 1]! > grown[d]!) dayOf[grown[d + 1]!] = d + 1;
	}
	dayOf[0] = 0;
	const open = new Uint8Array(days + 1);
	for (const p of year.plantings) open.fill(1, Math.min(days + 1, Math.max(0, p.from - base)), Math.max(0, p.to - base + 1));
	let next = -1;
	for (let d = days; d >= 0; d--) {
		if (open[d]) next = d;
		if (next >= 0 && next - d <= MOST_WAIT) planted[d] = next;
	}
	return { base, days, grown, dayOf, planted, winters };
}

const kept = new WeakMap<Year, Timetable>();
const YEAR = 366;

/** A year's table that holds all days from one to another: made once, and anew where it has to reach further. */
export function tableFor(year: Year, from: DayNumber, to: DayNumber): Timetable {
	const known = kept.get(year);
	if (known && known.base <= from && known.base + known.days >= to) return known;
	// Batches of one garden were struck in some few years: they share a table.
	const base = Math.min(known?.base ?? Infinity, Math.floor(from / YEAR) * YEAR);
	const end = Math.max(known ? known.base + known.days : 0, Math.ceil(to / YEAR) * YEAR);
	const table = timetableOf(year, base, end - base);
	kept.set(year, table);
	return table;
}
