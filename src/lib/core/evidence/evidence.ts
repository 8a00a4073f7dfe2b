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

/** The odds of a stage: handbook figure, taught by the tallies of other batches of the kind and way. */
export function stageOdds(stage: Pick<Stage, 'to' | 'chance' | 'weight'>, others: readonly Tallies[]): Beta {
	return others.reduce<Beta>(
		(odds, tallies) => {
			const tally = tallies[stage.to];
			if (!tally) return odds;
			const worth = asEvidence(tally);
			return learn(odds, worth.passed, worth.failed);
		},
		betaOf(stage.chance, stage.weight)
	);
}
