/** What a batch stands in. */
import { handbook } from './handbook.js';
import type { WayProfile } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';

export interface Holds {
	name: string;
	areaCm2: number;
	count: number;
}

/** Containers of a batch as they stand now: named by the person, else the handbook's for its stage. */
export function holdsOf(b: Batch, profile: WayProfile | undefined): Holds {
	const { containers } = handbook();
	const stage = b.potted > 0 ? profile?.stages.find((s) => s.to === 'potted' || s.to === 'ready') : profile?.stages[0];
	const c = [...containers.values()].find((x) => x.name === b.container) ?? containers.get(stage?.holds ?? '');
	const pieces = b.status === 'planned' ? b.plannedCount : inHand(b);
	return { name: c?.name ?? 'pot', areaCm2: c?.area_cm2 ?? 81, count: Math.ceil(pieces / Math.max(1, c?.pieces ?? 1)) };
}
