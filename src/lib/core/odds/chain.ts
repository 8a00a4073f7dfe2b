/**
 * Pieces through stages, one after another. A stage's chance is a Beta, or a belief in two levels (belief.ts);
 * stages are independent of each other. Everything here is a finite sum, not a simulation.
 */
import { meanChance, partsOf } from './belief.js';
import type { Belief } from './belief.js';
import { before, mixedRule, through } from './kernel.js';
import type { Rule } from './kernel.js';

/** The rule of a stage for at most so many pieces. */
export const ruleOf = (stage: Belief, most: number): Rule => mixedRule(partsOf(stage, most));

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
export function outcome(stages: readonly Belief[], struck: number): Float64Array {
	return stages.reduce((entering, stage) => through(entering, ruleOf(stage, struck)), certain(struck));
}

/** Expected survivors of `struck` pieces. */
export const expected = (stages: readonly Belief[], struck: number): number =>
	stages.reduce((left, stage) => left * meanChance(stage), struck);

/** Worth 1 from the target on: the end of the backward sum. */
export const reached = (target: number, most: number): Float64Array =>
	Float64Array.from({ length: most + 1 }, (_, n) => (n >= target ? 1 : 0));

/**
 * Chance that at least `target` survive all stages, for every number struck from 0 to `most`:
 * backward from the last stage, so one table answers every confidence. O(stages × most²).
 */
export function reachTable(stages: readonly Belief[], target: number, most: number): Float64Array {
	return backward(stages, reached(target, most));
}

/** The same from any worth of the number that comes through. */
export function backward(stages: readonly Belief[], worth: Float64Array): Float64Array {
	let table = worth;
	for (let i = stages.length - 1; i >= 0; i--) table = before(table, ruleOf(stages[i]!, worth.length - 1));
	// Rounding may carry a chance a hair over 1.
	return table.map((p) => Math.min(1, p));
}

/** For k = 0 … most, the chance that k new ones and what is there anyway make the target. */
export function missingFrom(existing: Float64Array, target: number, most: number): Float64Array {
	const worth = new Float64Array(most + 1);
	let sum = 0;
	let from = existing.length;
	for (let k = 0; k <= most; k++) {
		for (const least = Math.max(0, target - k); from > least;) sum += existing[--from]!;
		worth[k] = Math.min(1, sum);
	}
	return worth;
}

/**
 * The same, together with pieces that come from elsewhere: `existing[k]` is the chance that k are
 * there anyway. Independent of the new ones.
 */
export const reachWith = (existing: Float64Array, stages: readonly Belief[], target: number, most: number): Float64Array =>
	backward(stages, missingFrom(existing, target, most));
