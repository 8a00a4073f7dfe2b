/**
 * Chance that enough of n pieces live when each does with chance q, as a table over n and q for one target:
 *
 *   P(Bin(n+1, q) ≥ T) = P(Bin(n, q) ≥ T) + q · P(Bin(n, q) = T − 1),
 *
 * a step of two multiplications for each cell. Sums of batches with chances of their own are read at their mean chance:
 * a binomial of the mean is spread a little wider than the sum (Hoeffding 1956, "On the distribution of the number of
 * successes in independent trials"), so what is told errs on the careful side where the target lies below the mean.
 */

/**
 * The table's points in q: eight times as close in its outer eighths as between them. A chance near none or all bends the
 * tail within 1/n of the end, so that many pieces (a pot of 200) need points there.
 */
const EDGE = 1 / 8;
const FINE = 2048;
const COARSE = 256;
/** Points below the middle part, and at its end. */
const MIDDLE = EDGE * FINE;
const TOP = MIDDLE + (1 - 2 * EDGE) * COARSE;
const BINS = TOP + EDGE * FINE;
const POINTS = Float64Array.from({ length: BINS + 1 }, (_, b) =>
	b <= MIDDLE ? b / FINE : b <= TOP ? EDGE + (b - MIDDLE) / COARSE : 1 - (BINS - b) / FINE
);

export class Tail {
	/** rows[n][bin] for n = 0 … so far. */
	private readonly rows: Float32Array[] = [];
	private readonly at: Float64Array;
	private row: Float64Array;

	constructor(readonly target: number) {
		// P(Bin(n, q) = target − 1) as n goes up; below target − 1 it is none.
		this.at = new Float64Array(BINS + 1);
		this.row = new Float64Array(BINS + 1).fill(target <= 0 ? 1 : 0);
		this.rows.push(Float32Array.from(this.row));
		if (target === 1) this.at.fill(1);
	}

	private grow(n: number): void {
		const t = this.target;
		for (let m = this.rows.length - 1; m < n; m++) {
			if (t > 0)
				for (let b = 0; b <= BINS; b++) {
					const q = POINTS[b]!;
					this.row[b]! += q * this.at[b]!;
					if (m + 1 === t - 1) this.at[b] = q ** (t - 1);
					else if (m + 1 > t - 1) this.at[b]! *= ((m + 1) / (m + 2 - t)) * (1 - q);
				}
			this.rows.push(Float32Array.from(this.row));
		}
	}

	/** @param q 0–1 */
	of(n: number, q: number): number {
		if (n >= this.rows.length) this.grow(n);
		const row = this.rows[n]!;
		const x = q < EDGE ? q * FINE : q < 1 - EDGE ? MIDDLE + (q - EDGE) * COARSE : BINS - (1 - q) * FINE;
		const b = Math.min(BINS - 1, Math.floor(x));
		const low = row[b]!;
		return low + (x - b) * (row[b + 1]! - low);
	}
}
