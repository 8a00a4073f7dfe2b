/** "Keep one alive through the winter": the parent under shelter, cuttings as insurance, or both. */
import { meanOf, betaOf } from '../odds/beta.js';

export interface Shelter {
	in: string;
	chance: number;
	weight: number;
	care: number;
	say: string;
}

export interface KeepAnswer {
	shelter: Shelter | null;
	/** Chance that a parent comes through. */
	parentAlone: number;
	/** Confidence that the cuttings must give, when the parent is sheltered as well; 0 when it is enough alone. */
	cuttingsMustGive: number;
}

/**
 * Either the parent or a cutting must live: 1 − (1 − parent)(1 − cuttings) ≥ confidence, the two
 * taken as independent (they stand in different places).
 */
export function keepThrough(
	shelters: readonly Shelter[],
	available: ReadonlySet<string>,
	parents: number,
	confidence: number
): KeepAnswer {
	const usable = shelters.filter((s) => s.in === 'ground' || available.has(s.in));
	const best = usable.reduce<Shelter | null>((a, b) => (a && a.chance >= b.chance ? a : b), null);
	// One parent's chance; further parents in the same place share its fate more than not, so they add nothing here.
	const parentAlone = best && parents > 0 ? meanOf(betaOf(best.chance, best.weight)) : 0;
	const cuttingsMustGive = parentAlone >= confidence ? 0 : 1 - (1 - confidence) / (1 - parentAlone);
	return { shelter: best, parentAlone, cuttingsMustGive };
}
