/** A growing batch for the tests, all that is not said being nought or nothing. */
import { blankBatch, struckRooting, tidied } from '$lib/core/ledger/index.js';
import type { Batch, Cohort } from '$lib/core/ledger/index.js';

export const emptyBatch = (of: Partial<Batch> & { id: string }): Batch => {
	const struck = of.struckOn ?? of.plannedOn ?? '2027-01-01';
	const cohort = (stage: Cohort['stage']): Cohort => ({
		stage,
		count: of[stage] ?? 0,
		since: struck,
		aliveOn: of.lastOn ?? struck,
		lookedOn: null
	});
	const begun = { code: '', kind_id: 'coleus', way_id: 'water', stock_id: null, want_id: null, place_id: null };
	return {
		...blankBatch(of.id, begun),
		status: 'growing',
		lastOn: of.struckOn ?? null,
		cohorts: tidied([cohort('unrooted'), cohort('rooted'), cohort('potted')]),
		rootRecord: struckRooting(struck, of.unrooted ?? 0),
		version: 1,
		...of
	};
};
