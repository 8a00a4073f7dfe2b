/** The stages' odds for a batch: the handbook's figure, taught by the garden's other batches, and what the batch showed itself. */
import { stageOdds } from '../evidence/evidence.js';
import type { Tallies } from '../evidence/tally.js';
import type { StageName, WayProfile } from '../handbook/schema.js';
import type { Belief } from '../odds/belief.js';

/**
 * @param others what the garden's other batches of the way are worth
 * @param rho correlation within a batch
 * @param own counts of the batch itself; those of a stage that is told otherwise (looks at what roots) left out
 */
export function beliefsOf(
	way: Pick<WayProfile, 'stages'>,
	others: Tallies,
	rho: number,
	own: Tallies = {}
): Map<StageName, Belief> {
	return new Map(
		way.stages.map((s) => [
			s.to,
			{ ...stageOdds(s, others), rho, passed: Math.max(0, own[s.to]?.passed ?? 0), failed: own[s.to]?.failed ?? 0 }
		])
	);
}
