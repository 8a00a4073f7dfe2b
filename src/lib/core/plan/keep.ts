/** "Keep one alive through the winter": the parent under shelter, with cuttings as the insurance. */
import { certain } from '../odds/chain.js';

export interface Shelter {
	in: string;
	chance: number;
	weight: number;
	care: number;
	say: string;
}

export interface KeepAnswer {
	/** Where the parent is best off (or stands already); null when no place of the garden will do. */
	shelter: Shelter | null;
	/** It has still to be moved there. */
	toMove: boolean;
	/** Chance that the parent comes through. */
	parentAlone: number;
	/** Chance for each number of parents alive after winter. */
	pmf: Float64Array;
}

/**
 * What comes of the parents. One that stands in a shelter already is reckoned there; else in the best
 * of the garden's places. Parents in one place share its fate (one frost, one leak), so they are taken
 * to live or die together, the careful assumption.
 *
 * @param available kinds of place that the garden has
 * @param standsIn kind of place where the parents stand now, if known
 */
export function keepThrough(
	shelters: readonly Shelter[],
	available: ReadonlySet<string>,
	standsIn: string | null,
	parents: number
): KeepAnswer {
	const there = shelters.find((s) => s.in === standsIn) ?? null;
	const usable = shelters.filter((s) => s.in === 'ground' || available.has(s.in));
	const best = usable.reduce<Shelter | null>((a, b) => (a && a.chance >= b.chance ? a : b), null);
	const shelter = there ?? best;
	if (!shelter || parents < 1) return { shelter, toMove: false, parentAlone: 0, pmf: certain(0) };
	const pmf = new Float64Array(parents + 1);
	pmf[0] = 1 - shelter.chance;
	pmf[parents] = shelter.chance;
	return { shelter, toMove: there === null && shelter.in !== 'ground', parentAlone: shelter.chance, pmf };
}
