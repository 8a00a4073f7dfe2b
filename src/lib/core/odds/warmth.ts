/** The batch's clock: days at the warmth that a way's figures are meant for. */
import { ODDS } from './judged.js';

/** Mean temperature at which a way's days are meant, and below which its roots stand still, °C. */
export interface Warmth {
	usual_c: number;
	still_c: number;
}
/** Soft wood under cover. From memory: roots start about 5 °C and hurry to the low twenties. */
export const USUAL_WARMTH: Warmth = { usual_c: 18, still_c: 5 };
const FASTEST = ODDS.fastest.value;

/** Warmth-days in a day of so many °C on average: 1 at the way's usual, none in the cold, never much more. */
export const warmthDays = (meanC: number, { usual_c, still_c }: Warmth = USUAL_WARMTH): number =>
	Math.min(FASTEST, Math.max(0, (meanC - still_c) / (usual_c - still_c)));
