/** Smooth yearly curves: a mean and the first harmonics of the year, fitted by least squares. */
import { Matrix, solve } from 'ml-matrix';
import { dayOfYear } from '../dates.js';
import type { DayNumber } from '../dates.js';

/** a₀ + Σ aₖ cos kωt + bₖ sin kωt with ω = 2π/365.25 and t the day of the year: [a₀, a₁, b₁, a₂, b₂, …]. */
export type Harmonics = readonly number[];

const OMEGA = (2 * Math.PI) / 365.25;

/** Three harmonics follow the year of a mid-latitude garden; more follow its accidents. */
export const USUAL_HARMONICS = 3;

const TABLE = new Map<number, Float64Array[]>();

/** cos and sin for each day of the year, reckoned once. */
function basis(k: number): Float64Array[] {
	let rows = TABLE.get(k);
	if (!rows) {
		rows = Array.from({ length: 367 }, (_, doy) => {
			const row = new Float64Array(2 * k + 1);
			row[0] = 1;
			for (let j = 1; j <= k; j++) {
				row[2 * j - 1] = Math.cos(j * OMEGA * doy);
				row[2 * j] = Math.sin(j * OMEGA * doy);
			}
			return row;
		});
		TABLE.set(k, rows);
	}
	return rows;
}

/**
 * Least squares on all days that have a value (normal equations; the basis is near orthogonal, so
 * they are well conditioned). Gaps do not bend it as they would bend means by day.
 */
export function fitHarmonics(doys: ArrayLike<number>, values: ArrayLike<number>, k = USUAL_HARMONICS): Harmonics {
	const rows = basis(k);
	const width = 2 * k + 1;
	// Days of one date share their row: sum by date first.
	const sums = new Float64Array(367);
	const counts = new Float64Array(367);
	for (let i = 0; i < values.length; i++) {
		const v = values[i]!;
		if (Number.isNaN(v)) continue;
		sums[doys[i]!]! += v;
		counts[doys[i]!]! += 1;
	}
	const a = Matrix.zeros(width, width);
	const b = Matrix.zeros(width, 1);
	let n = 0;
	for (let doy = 1; doy <= 366; doy++) {
		if (counts[doy] === 0) continue;
		n += counts[doy]!;
		const row = rows[doy]!;
		for (let r = 0; r < width; r++) {
			b.set(r, 0, b.get(r, 0) + row[r]! * sums[doy]!);
			for (let c = 0; c < width; c++) a.set(r, c, a.get(r, c) + counts[doy]! * row[r]! * row[c]!);
		}
	}
	if (n === 0) return new Array<number>(width).fill(0);
	// A hair of ridge keeps a record of half a year solvable; on a whole one it is far below rounding.
	for (let r = 1; r < width; r++) a.set(r, r, a.get(r, r) + n * 1e-9);
	return solve(a, b).to1DArray();
}

/** Value of the curve on a day of the year, 1–366. */
export function harmonicAt(h: Harmonics, doy: number): number {
	const row = basis((h.length - 1) / 2)[doy]!;
	let sum = 0;
	for (let i = 0; i < h.length; i++) sum += h[i]! * row[i]!;
	return sum;
}

/** The curve for days 1–366, at index 0–365. */
export const harmonicYear = (h: Harmonics): Float64Array => Float64Array.from({ length: 366 }, (_, i) => harmonicAt(h, i + 1));

export const doysFrom = (first: DayNumber, days: number): Uint16Array => {
	const doys = new Uint16Array(days);
	for (let i = 0, doy = 0; i < days; i++) {
		// 1 January comes again after 365 or 366 days: ask the calendar only when it may.
		doy = i === 0 || doy >= 365 ? dayOfYear(first + i) : doy + 1;
		doys[i] = doy;
	}
	return doys;
};
