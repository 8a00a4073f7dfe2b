/** Lanes of the season strip: what grows, is planned or wanted, side by side in as few rows as it takes. */

import type { DayNumber } from '../dates.js';

/** More rows than these are not drawn. */
export const MOST_ROWS = 8;

export interface Lane {
	code: string;
	label: string;
	from: DayNumber;
	/** Usual day of planting. */
	to: DayNumber;
	kind: 'growing' | 'planned' | 'want';
}

/** Rows for the lanes so that none overlap: first row that is free, earliest first. */
export function packed<L extends Pick<Lane, 'from' | 'to'>>(lanes: readonly L[]): (L & { row: number })[] {
	const ends: number[] = [];
	return [...lanes]
		.sort((a, b) => a.from - b.from)
		.map((lane) => {
			let row = ends.findIndex((end) => end + 4 < lane.from);
			if (row < 0) row = ends.length;
			ends[row] = lane.to;
			return { ...lane, row };
		});
}

/** The lanes that a strip from one day to another draws, each with its row. */
export const drawn = <L extends Pick<Lane, 'from' | 'to'>>(
	lanes: readonly L[],
	first: number,
	last: number
): (L & { row: number })[] => packed(lanes.filter((l) => l.to >= first && l.from <= last)).filter((l) => l.row < MOST_ROWS);
