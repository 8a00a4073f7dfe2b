/** Corners as they are typed: one a line, its numbers apart by blanks. */
import { readNumber } from '../numbers.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';

/**
 * @param each how many numbers a line has
 * @param read a length in the garden's own unit, to metres
 */
export function readRows(text: string, each: number, read: (typed: string) => number | null, path: string): Result<number[][]> {
	const rows: number[][] = [];
	for (const [i, line] of text.split('\n').entries()) {
		const parts = line
			.trim()
			.split(/[\s;]+/)
			.filter(Boolean);
		if (parts.length === 0) continue;
		const row = parts.map((p) => (readNumber(p) === null ? Number.NaN : (read(p) ?? Number.NaN)));
		if (row.length !== each || row.some((n) => Number.isNaN(n)))
			return refuse('ground.row', `Line ${i + 1}: ${each} numbers with a blank between them, please.`, path);
		rows.push(row);
	}
	return ok(rows);
}
