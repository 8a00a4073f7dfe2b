/** Leaving a garden: what of each plant is taken along, by when, and what the load comes to. */
import type { DayNumber } from '../dates.js';

export interface WholePlant {
	/** The last day before leaving on which it is lifted in its season; null where none comes. In a pot, the day of leaving. */
	on: DayNumber | null;
	lives: number;
	kgEach: number;
	litresEach: number;
	people: number;
	inPot: boolean;
}
export interface Pieces {
	wayId: string;
	/** Until when they are taken: its window shuts, or just so long before leaving that they are rooted by then. */
	from: DayNumber;
	until: DayNumber;
	/** How many it gives. */
	gives: number;
}

export type Taking = { how: 'whole'; plant: WholePlant } | { how: 'pieces'; pieces: Pieces } | { how: 'none' };

/** More than this for one plant, kg, and pieces of it are the better load. Two people's lift (NIOSH's 23 kg each). */
const HEAVY_KG = 46;
/** Less sure than this, and pieces are the better bet. Own judgement. */
const SURE = 0.75;

/**
 * A young plant in a pot travels whole; one that is light and likely to live is lifted; of the rest pieces are taken, the
 * most that a way gives. What can neither be lifted nor cut before the day stays.
 */
export function takingOf(whole: WholePlant | null, pieces: readonly Pieces[]): Taking {
	const most = pieces.filter((p) => p.gives > 0 && p.until >= p.from).sort((a, b) => b.gives - a.gives || a.from - b.from)[0];
	const lifts = whole !== null && whole.on !== null;
	if (lifts && (whole.inPot || (whole.kgEach <= HEAVY_KG && whole.lives >= SURE))) return { how: 'whole', plant: whole };
	if (most) return { how: 'pieces', pieces: most };
	return lifts ? { how: 'whole', plant: whole } : { how: 'none' };
}

/** Of pieces: a small pot each, with wet mix. Own judgement. */
export const PIECE = { kg: 0.5, litres: 0.5 };

/** What all of it weighs and takes up. */
export function loadOf(takings: readonly { taking: Taking; count: number; pieces: number }[]): {
	kg: number;
	litres: number;
	pots: number;
} {
	const load = { kg: 0, litres: 0, pots: 0 };
	for (const { taking, count, pieces } of takings) {
		if (taking.how === 'none') continue;
		const n = taking.how === 'whole' ? count : pieces;
		load.pots += n;
		load.kg += n * (taking.how === 'whole' ? taking.plant.kgEach : PIECE.kg);
		load.litres += n * (taking.how === 'whole' ? taking.plant.litresEach : PIECE.litres);
	}
	return load;
}

/** Pieces of one plant that are worth a place in the van: enough that some live. Own judgement. */
export const ENOUGH_PIECES = 6;
