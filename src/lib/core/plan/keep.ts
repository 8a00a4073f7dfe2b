/** "Keep one alive through the winter": the parent under shelter, with cuttings as the insurance. */
import type { Kind } from '../handbook/schema.js';
import { betaOf } from '../odds/beta.js';
import { certain } from '../odds/chain.js';
import type { ColdFelt } from '../season/cold.js';
import { livesAt, throughWinters } from './winter.js';

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
	/** Chance for each number of parents alive on the day. */
	pmf: Float64Array;
}

export interface KeepOf {
	kind: Pick<Kind, 'winter' | 'hardiness_c'>;
	/** Kinds of place that the garden has. */
	available: ReadonlySet<string>;
	/** Kind of place where the parents stand now, if known. */
	standsIn: string | null;
	parents: number;
	/** Lowest night of an average winter outdoors, °C. */
	coldestC: number;
	/** Each winter that may come in the garden's best place of a kind. */
	inside?: (kind: string) => readonly ColdFelt[] | null;
	/** Chance that they live today; 1 if left out. */
	alive?: number;
	/** Winters until the day they are wanted: part of one counts for its part, and from spring to autumn there is none. */
	winters: number;
}

/**
 * What comes of the parents. One that stands in a shelter already is reckoned there; else in the best of the garden's
 * places. Parents in one place share its fate (one frost, one leak), so they are taken to live or die together, the
 * careful assumption.
 */
export function keepThrough({ kind, available, standsIn, parents, coldestC, inside, winters, alive = 1 }: KeepOf): KeepAnswer {
	const { shelters } = kind.winter;
	const chanceIn = (s: Shelter) =>
		livesAt({ kind, coldestC, place: s.in === 'ground' ? 'bed' : s.in, inside: inside?.(s.in) ?? null })!;
	const there = shelters.find((s) => s.in === standsIn) ?? null;
	const usable = shelters.filter((s) => s.in === 'ground' || available.has(s.in));
	const best = usable.reduce<Shelter | null>((a, b) => (a && chanceIn(a) >= chanceIn(b) ? a : b), null);
	const shelter = there ?? best;
	if (!shelter || parents < 1) return { shelter, toMove: false, parentAlone: 0, pmf: certain(0) };
	const mean = Math.min(0.999, Math.max(0.001, chanceIn(shelter)));
	const alone = alive * throughWinters(betaOf(mean, shelter.weight), winters);
	const pmf = new Float64Array(parents + 1);
	pmf[0] = 1 - alone;
	pmf[parents]! += alone;
	return { shelter, toMove: there === null && shelter.in !== 'ground', parentAlone: alone, pmf };
}
