import { sayNumber } from '../numbers.js';
import { refuse, ok } from '../result.js';
import type { Result } from '../result.js';
import type { Belief } from './belief.js';
import { expected, outcome, reachTable } from './chain.js';

/** More than this is a nursery's work, not a home's; it also bounds the sums. */
export const MOST_STRUCK = 5_000;
export const MOST_TARGET = 2_000;
export const MOST_STAGES = 12;

/** A chance that meets the wish exactly must not miss it by the rounding of its last bit. */
const ROUNDING = 1e-12;

export interface Quantiles {
	p05: number;
	p25: number;
	p50: number;
	p75: number;
	p95: number;
}

export interface StrikeAnswer {
	/** Smallest number of pieces to strike. */
	strike: number;
	/** Chance that at least the target survives when so many are struck. */
	probability: number;
	/** Expected survivors. */
	mean: number;
	quantiles: Quantiles;
}

/** Smallest count whose cumulative chance reaches q. */
export function quantile(pmf: Float64Array, q: number): number {
	let sum = 0;
	for (let k = 0; k < pmf.length; k++) {
		sum += pmf[k]!;
		if (sum >= q - ROUNDING) return k;
	}
	return pmf.length - 1;
}

export const quantilesOf = (pmf: Float64Array): Quantiles => ({
	p05: quantile(pmf, 0.05),
	p25: quantile(pmf, 0.25),
	p50: quantile(pmf, 0.5),
	p75: quantile(pmf, 0.75),
	p95: quantile(pmf, 0.95)
});

export const meanCount = (pmf: Float64Array): number => pmf.reduce((sum, p, k) => sum + p * k, 0);

/** P(count ≥ target). */
export function atLeast(pmf: Float64Array, target: number): number {
	let below = 0;
	for (let k = 0; k < Math.min(target, pmf.length); k++) below += pmf[k]!;
	return Math.max(0, 1 - below);
}

/** Smallest n with table[n] ≥ confidence, or null. The table rises with n. */
export function smallestReaching(table: Float64Array, confidence: number): number | null {
	let low = 0;
	let high = table.length - 1;
	const enough = confidence - ROUNDING;
	if (!(table[high]! >= enough)) return null;
	while (low < high) {
		const mid = (low + high) >> 1;
		if (table[mid]! >= enough) high = mid;
		else low = mid + 1;
	}
	return low;
}

/**
 * How many to strike so that at least `target` come through all stages with the wished confidence.
 * Exact. Refuses when more than MOST_STRUCK pieces would be needed, which happens when a stage is
 * poorly known: no number of pieces buys certainty against a bad day that hits them all.
 */
export function strike(stages: readonly Belief[], target: number, confidence: number): Result<StrikeAnswer> {
	const passAll = expected(stages, 1);
	let most = Math.min(MOST_STRUCK, Math.max(16, Math.ceil((target / passAll) * 1.6) + 8));
	for (;;) {
		const table = reachTable(stages, target, most);
		const n = smallestReaching(table, confidence);
		if (n !== null) {
			const pmf = outcome(stages, n);
			return ok({
				strike: n,
				probability: table[n]!,
				mean: expected(stages, n),
				quantiles: quantilesOf(pmf)
			});
		}
		if (most >= MOST_STRUCK) {
			const best = Math.floor(table[most]! * 100);
			return refuse(
				'odds.out-of-reach',
				`Even ${sayNumber(MOST_STRUCK)} pieces would bring ${target} only ${best} times in 100. Ask for fewer, or for less certainty.`,
				'confidence'
			);
		}
		most = Math.min(MOST_STRUCK, most * 2);
	}
}
