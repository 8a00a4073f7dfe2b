/**
 * Winter as one hazard: what a kind bears, against what its place offers, for as long as it lasts. A whole winter at
 * the place that a way means is the way's figure; another place multiplies its hazard as the kind's shelters stand to
 * each other, and outdoors the coldest night is set against the kind's hardiness.
 */
import type { Kind } from '../handbook/schema.js';
import { IN_POTS_OUTDOORS, OUTDOORS } from '../places.js';
import type { Belief } from '../odds/belief.js';
import { gridFor } from '../odds/chanceGrid.js';
import { livesBy, marginIn, nightOf, oneNight } from '../season/cold.js';
import type { Bears, ColdFelt } from '../season/cold.js';
import { PLAN } from './judged.js';

/** Where plants spend a winter: a kind of place of the garden. */
export type WinterPlace = string;

const POTTED_LESS_C = PLAN.pottedLess.value;
const COLD_STEP_C = PLAN.coldStep.value;
const UNHARDENED_C = PLAN.unhardened.value;

export interface WinterAt {
	kind: Pick<Kind, 'winter' | 'hardiness_c'>;
	/** Null: as the way means it. */
	place: WinterPlace | null;
	/** Lowest night of an average winter outdoors, °C. */
	coldestC: number;
	/** Each winter that may come inside, where the place is a shelter; null or left out where it is not known. */
	inside?: readonly ColdFelt[] | null;
	/** Share of the winter's cold still to come, where what came of it is told by its nights (frostSeen.ts); 1 if left out. */
	coldAhead?: number;
}

/** In a pot roots freeze through sooner; above freezing a pot is no colder than the ground. */
const potted = (c: number): number => (c < 0 ? Math.min(c + POTTED_LESS_C, Math.max(c, FREEZES_C)) : c);
const FREEZES_C = -1;
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** What it bears in growth and at rest, °C. What is tender does not harden. */
export function bearsOf({ hardiness_c: { v } }: PlantCold, inPots: boolean): Bears {
	const restingC = inPots ? potted(v) : v;
	return { growingC: Math.max(restingC, UNHARDENED_C), restingC };
}
export type PlantCold = Pick<Kind, 'hardiness_c'>;

/** Chance to live through the worst of these days, 0–1. */
export const livesThrough = (kind: PlantCold, felt: ColdFelt, inPots: boolean): number =>
	livesBy(marginIn(felt, bearsOf(kind, inPots)));

/** The same for the coldest night of a winter at rest, of which only the average is known. */
export function livesWinter({ hardiness_c: { v } }: Pick<Kind, 'hardiness_c'>, coldestC: number, inPots: boolean): number {
	return logistic((coldestC - (inPots ? potted(v) : v)) / COLD_STEP_C);
}

/** The coldest day of a usual winter in the shelters that the handbook's chances are meant for. */
const MEANT: ReadonlyMap<string, ColdFelt> = new Map(
	(['sill', 'lit_shelf', 'garage', 'frame'] as const).map((place) => {
		const lowC = PLAN.meantFor.value[place];
		return [place, oneNight(nightOf(lowC, lowC + PLAN.meantSwing.value[place]), PLAN.meantHardened.value[place])];
	})
);

/**
 * Chance that the coldest night is borne, 0–1, in each winter that may come; one chance where all that is known is the
 * average. In a shelter the handbook's chance has the cold of such a shelter in it: only what this one is colder counts.
 */
export function bearsEach({ kind, place, coldestC, inside }: WinterAt): Float64Array {
	if (place === null) return Float64Array.of(1);
	if (OUTDOORS.has(place)) return Float64Array.of(livesWinter(kind, coldestC, IN_POTS_OUTDOORS.has(place)));
	if (!inside?.length) return Float64Array.of(place === 'ground' ? livesWinter(kind, coldestC, false) : 1);
	const inPots = place !== 'ground';
	const meant = MEANT.get(place);
	const usual = meant === undefined ? 1 : livesThrough(kind, meant, inPots);
	return Float64Array.from(inside, (felt) => Math.min(1, livesThrough(kind, felt, inPots) / usual));
}

/** Of one place's winters by what is borne: hundreds of batches ask the same of it. */
const borneIn = new WeakMap<readonly ColdFelt[], Map<string, number>>();

/** The same over all winters. */
export function bearsCold(at: WinterAt): number {
	const mean = () => {
		const each = bearsEach(at);
		return each.reduce((sum, p) => sum + p, 0) / each.length;
	};
	if (!at.inside?.length) return mean();
	let known = borneIn.get(at.inside);
	if (!known) borneIn.set(at.inside, (known = new Map()));
	const key = `${at.place} ${at.kind.hardiness_c.v} ${at.coldestC}`;
	let p = known.get(key);
	if (p === undefined) known.set(key, (p = mean()));
	return p;
}

/**
 * What a kind's shelter is worth apart from the cold, which is reckoned by the nights. In the ground the handbook's figure is
 * that at the limit of hardiness, where the cold alone takes half (trade: about even odds there under mulch).
 */
export const besidesCold = (s: { in: string; chance: number }): number =>
	s.in === 'ground' && s.chance < HARDY_THERE ? Math.min(BEST_OUT, s.chance / AT_LIMIT) : s.chance;
/** From here on it is the figure of a plant that stays where it stands, not of one at its limit. */
const HARDY_THERE = 0.9;
const BEST_OUT = 0.95;
const AT_LIMIT = 0.5;

/** Chance of a whole plant to live through a winter where it stands, 0–1; null where nobody keeps its kind so. */
export function livesAt(at: WinterAt): number | null {
	const as = at.place === null || OUTDOORS.has(at.place) ? 'ground' : at.place;
	const s = at.kind.winter.shelters.find((x) => x.in === as);
	return s ? besidesCold(s) * bearsCold({ ...at, place: at.place ?? 'bed' }) : null;
}

/** How many times the hazard of the best shelter a place has for the kind; 1 where nothing is known of it. */
function relativeHazard(kind: WinterAt['kind'], place: WinterPlace | null): number {
	if (place === null) return 1;
	const as = OUTDOORS.has(place) ? 'ground' : place;
	const here = kind.winter.shelters.find((s) => s.in === as);
	const best = kind.winter.shelters.reduce((c, s) => Math.max(c, s.chance), 0);
	return here && best > 0 ? Math.log(besidesCold(here)) / Math.log(best) : 1;
}

/** A whole winter's chance at a place, from the chance where the way means it. */
export const chanceAt = (usual: number, at: WinterAt): number =>
	Math.min(0.9999, Math.max(0.0001, usual ** relativeHazard(at.kind, at.place) * bearsCold(at) ** (at.coldAhead ?? 1)));

/** The same weight of knowledge about another mean. */
export function aboutMean(usual: Belief, mean: number): Belief {
	const weight = usual.alpha + usual.beta;
	return { ...usual, alpha: mean * weight, beta: (1 - mean) * weight };
}

/** Points over a winter's chance: enough for a power of it. */
const POINTS = 21;

/** Chance to come through so many winters (part of one for its part), when the chance of one is only known as a Beta. */
export function throughWinters(one: Belief, winters: number): number {
	if (winters <= 0) return 1;
	const { p, w } = gridFor(one, POINTS);
	return p.reduce((sum, chance, i) => sum + w[i]! * chance ** winters, 0);
}
