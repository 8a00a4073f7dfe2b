/** What was foretold of a stock plant, beside what was had from it: the next telling learns from the last. */
import { MATERIAL } from './judged.js';

export interface Foretold {
	/** Pieces foretold before the cut, and struck. */
	foretold: number;
	had: number;
}

const DOUBT = MATERIAL.doubt.value;

/** Factor by which the next telling is moved: near 1 until enough has been seen; never beyond threefold either way. */
export function learntFactor(past: readonly Foretold[]): number {
	const foretold = past.reduce((sum, p) => sum + p.foretold, 0);
	const had = past.reduce((sum, p) => sum + p.had, 0);
	return Math.min(3, Math.max(1 / 3, (had + DOUBT) / (foretold + DOUBT)));
}
