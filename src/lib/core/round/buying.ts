/** Plants that are to be bought: when they come on the round, and how many of them it still takes. */
import type { DayNumber } from '../dates.js';
import { atLeast } from '../odds/strike.js';
import { ROUND } from './judged.js';

/** From this day on they are asked for. */
export const buyFrom = (due: DayNumber, today: DayNumber): DayNumber => Math.max(today, due - ROUND.buyAhead.value);

/**
 * The fewest to buy with which a want is as sure as asked, of those that are to be; all of them where even they don't do.
 *
 * @param pmf chance of each number that stands on the day, those that are to be bought among them
 */
export function fewestToBuy(pmf: Float64Array, want: { target: number; confidence: number; buying: number }): number {
	const { target, confidence, buying } = want;
	for (let k = 0; k < buying; k++) if (atLeast(pmf, target + buying - k) >= confidence - NOTHING) return k;
	return buying;
}
/** For rounding. */
const NOTHING = 1e-9;
