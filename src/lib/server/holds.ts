/** What a batch stands in. */
import type { WayProfile } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { standsIn } from '$lib/core/mix/stands.js';
import type { Book } from '$lib/core/mix/stands.js';

export interface Holds {
	name: string;
	areaCm2: number;
	count: number;
	/** A row or the ground: nothing that could be counted. */
	open: boolean;
}

export function holdsOf(b: Batch, profile: WayProfile | undefined, book: Book): Holds {
	const { container, count } = profile ? standsIn(b, profile, book) : { container: null, count: 0 };
	return { name: container?.name ?? 'pot', areaCm2: container?.area_cm2 ?? 81, count, open: container?.vessel === null };
}
