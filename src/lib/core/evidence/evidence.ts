/** The way's odds: handbook first, then this garden's own record. */
import { USUAL_CORRELATION } from './correlation.js';
import { betaOf, learn } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import type { Stage, StageName } from '../handbook/schema.js';
import type { Tallies, Tally } from './tally.js';

export type { Tallies, Tally };

/**
 * What one batch's count is worth to another batch: the effective sample size n / (1 + (n − 1)ρ). Pieces of one
 * batch share their day, their mix and their weather, so twenty of them teach less than twenty batches of one.
 * Source: Kish, "Survey Sampling" (1965), design effect of a cluster.
 */
export function asEvidence({ passed, failed }: Tally, rho: number = USUAL_CORRELATION): Tally {
	const n = passed + failed;
	if (n === 0) return { passed: 0, failed: 0 };
	const share = 1 / (1 + Math.max(0, n - 1) * rho);
	return { passed: passed * share, failed: failed * share };
}

/** What several batches are worth together, stage by stage. */
export function worthOf(batches: readonly Tallies[], rho: number = USUAL_CORRELATION): Tallies {
	const sum: Tallies = {};
	for (const tallies of batches)
		for (const [stage, tally] of Object.entries(tallies) as [StageName, Tally][]) {
			const worth = asEvidence(tally, rho);
			const before = sum[stage] ?? { passed: 0, failed: 0 };
			sum[stage] = { passed: before.passed + worth.passed, failed: before.failed + worth.failed };
		}
	return sum;
}

/** The same without some of the batches. */
export function without(worth: Tallies, batches: readonly Tallies[], rho: number = USUAL_CORRELATION): Tallies {
	const own = worthOf(batches, rho);
	const left: Tallies = {};
	for (const [stage, tally] of Object.entries(worth) as [StageName, Tally][])
		left[stage] = {
			passed: Math.max(0, tally.passed - (own[stage]?.passed ?? 0)),
			failed: Math.max(0, tally.failed - (own[stage]?.failed ?? 0))
		};
	return left;
}

/**
 * A batch that is still rooting, as a count that does not flatter. Those that root show it before those that never
 * will, so r rooted of n at a time when a share F of the rooters has is no record of r out of r: the failures so far
 * stand for F of all failures. Expected passes n·p·F and failures n·(1−p)·F keep the ratio right.
 *
 * @param left pieces alive and unrooted at the last count
 * @param share F, 0–1, of those that will root which has by then, at the usual pace
 * @param chance the handbook's mean chance, for the pieces left
 */
export function countSoFar({ passed, failed }: Tally, left: number, share: number, chance: number): Tally {
	if (left === 0) return { passed, failed };
	const all = passed + failed + left;
	// Failures that have not rotted yet are among those left.
	const hidden = Math.max(0, all * (1 - chance) - failed);
	const slow = all * chance * (1 - share);
	const never = hidden + slow > 0 ? (left * hidden) / (hidden + slow) : 0;
	return { passed, failed: share * (failed + never) };
}

/** The odds of a stage: handbook figure, taught by what other batches of the kind and way are worth. */
export function stageOdds(stage: Pick<Stage, 'to' | 'chance' | 'weight'>, worth: Tallies): Beta {
	const odds = betaOf(stage.chance, stage.weight);
	const seen = worth[stage.to];
	return seen ? learn(odds, seen.passed, seen.failed) : odds;
}
