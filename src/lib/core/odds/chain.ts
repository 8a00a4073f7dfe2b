/**
 * Pieces through stages. Stage i has the chance pᵢ ~ Beta(αᵢ, βᵢ), one pᵢ for all pieces, the
 * stages independent; so the survivors of a stage are Beta-binomial given those who entered it.
 * Everything here is a finite sum, not a simulation.
 */
import { meanOf } from './beta.js';
import type { Beta } from './beta.js';
import { eachTerm } from './betaBinomial.js';

/** Survivors after one more stage, when `entering[k]` is the chance that k pieces enter it. */
export function through(entering: Float64Array, stage: Beta): Float64Array {
	const leaving = new Float64Array(entering.length);
	for (let m = 0; m < entering.length; m++) {
		const weight = entering[m]!;
		if (weight < 1e-18) continue;
		eachTerm(m, stage, (k, p) => {
			leaving[k]! += weight * p;
		});
	}
	return leaving;
}

/** A count that is certain. */
export function certain(count: number): Float64Array {
	const pmf = new Float64Array(count + 1);
	pmf[count] = 1;
	return pmf;
}

/** The same distribution with `count` more pieces that need not pass. */
export function shifted(pmf: Float64Array, count: number): Float64Array {
	if (count === 0) return pmf;
	const moved = new Float64Array(pmf.length + count);
	moved.set(pmf, count);
	return moved;
}

/** Distribution of the survivors of `struck` pieces through all stages. O(stages × struck²). */
export function outcome(stages: readonly Beta[], struck: number): Float64Array {
	return stages.reduce(through, certain(struck));
}

/** Expected survivors of `struck` pieces. */
export const expected = (stages: readonly Beta[], struck: number): number =>
	stages.reduce((left, stage) => left * meanOf(stage), struck);

/** Chance that at least `target` of m pieces pass the last stage, for every m up to `most`. */
function lastStage(stage: Beta, target: number, most: number): Float64Array {
	const atLeast = new Float64Array(most + 1);
	if (target <= 0) return atLeast.fill(1);
	const { alpha, beta } = stage;
	// Pólya's urn: the (m+1)th piece passes with chance (α + k)/(α + β + m) when k of m have passed,
	// so P(≥ t of m+1) = P(≥ t of m) + P(t−1 of m) · (α + t − 1)/(α + β + m). One term per m.
	// Held as a logarithm, for the first terms of a poor chance are smaller than any number.
	let lnBelow = -Infinity; // ln P(t−1 of m), started at m = t−1 where all must have passed
	for (let m = 0; m < most; m++) {
		if (m === target - 1) {
			lnBelow = 0;
			for (let i = 0; i < m; i++) lnBelow += Math.log((alpha + i) / (alpha + beta + i));
		} else if (m >= target) {
			lnBelow += Math.log((m / (m - target + 1)) * ((beta + m - target) / (alpha + beta + m - 1)));
		}
		const gain = Math.exp(lnBelow) * ((alpha + target - 1) / (alpha + beta + m));
		atLeast[m + 1] = Math.min(1, atLeast[m]! + gain);
	}
	return atLeast;
}

/**
 * Chance that at least `target` survive all stages, for every number struck from 0 to `most`:
 * backward from the last stage, so one table answers every confidence. O(stages × most²).
 */
export function reachTable(stages: readonly Beta[], target: number, most: number): Float64Array {
	const last = stages[stages.length - 1];
	if (!last) return Float64Array.from({ length: most + 1 }, (_, n) => (n >= target ? 1 : 0));
	let table = lastStage(last, target, most);
	for (let i = stages.length - 2; i >= 0; i--) {
		const stage = stages[i]!;
		const next = new Float64Array(most + 1);
		for (let n = target; n <= most; n++) {
			let sum = 0;
			eachTerm(n, stage, (k, p) => {
				sum += p * table[k]!;
			});
			next[n] = Math.min(1, sum);
		}
		table = next;
	}
	return table;
}

/**
 * The same, together with pieces that come from elsewhere: `existing[k]` is the chance that k are
 * there anyway. Independent of the new ones.
 */
export function reachWith(existing: Float64Array, stages: readonly Beta[], target: number, most: number): Float64Array {
	const total = new Float64Array(most + 1);
	existing.forEach((weight, k) => {
		if (weight < 1e-6) return;
		if (k >= target) {
			for (let n = 0; n <= most; n++) total[n]! += weight;
			return;
		}
		const table = reachTable(stages, target - k, most);
		for (let n = 0; n <= most; n++) total[n]! += weight * table[n]!;
	});
	return total;
}
