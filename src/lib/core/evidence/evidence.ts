/** The way's odds: handbook first, then this garden's own record. */
import { betaOf, learn } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import type { Stage, StageName } from '../handbook/schema.js';

export interface Tally {
	passed: number;
	failed: number;
}

export type Tallies = Partial<Record<StageName, Tally>>;

/**
 * Pieces of one batch share their day, their mix and their weather, so twenty of them teach less than
 * twenty batches of one. Correlation within a batch; a middling value of cluster studies, from memory.
 */
export const WITHIN_BATCH = 0.1;

/**
 * What one batch's count is worth to another batch: the effective sample size n / (1 + (n − 1)ρ).
 * Source: Kish, "Survey Sampling" (1965), design effect of a cluster.
 */
export function asEvidence({ passed, failed }: Tally): Tally {
	const n = passed + failed;
	if (n === 0) return { passed: 0, failed: 0 };
	const share = 1 / (1 + (n - 1) * WITHIN_BATCH);
	return { passed: passed * share, failed: failed * share };
}

/** What several batches are worth together, stage by stage. */
export function worthOf(batches: readonly Tallies[]): Tallies {
	const sum: Tallies = {};
	for (const tallies of batches)
		for (const [stage, tally] of Object.entries(tallies) as [StageName, Tally][]) {
			const worth = asEvidence(tally);
			const before = sum[stage] ?? { passed: 0, failed: 0 };
			sum[stage] = { passed: before.passed + worth.passed, failed: before.failed + worth.failed };
		}
	return sum;
}

/** The same without one batch. */
export function without(worth: Tallies, batch: Tallies): Tallies {
	const own = worthOf([batch]);
	const left: Tallies = {};
	for (const [stage, tally] of Object.entries(worth) as [StageName, Tally][])
		left[stage] = {
			passed: Math.max(0, tally.passed - (own[stage]?.passed ?? 0)),
			failed: Math.max(0, tally.failed - (own[stage]?.failed ?? 0))
		};
	return left;
}

/** The odds of a stage: handbook figure, taught by what other batches of the kind and way are worth. */
export function stageOdds(stage: Pick<Stage, 'to' | 'chance' | 'weight'>, worth: Tallies): Beta {
	const odds = betaOf(stage.chance, stage.weight);
	const seen = worth[stage.to];
	return seen ? learn(odds, seen.passed, seen.failed) : odds;
}
