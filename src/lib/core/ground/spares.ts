/** Spares of the same age: how many are kept by, so that every gap of the first two years is filled. */
import type { Kind } from '../handbook/schema.js';
import { lnChoose } from '../odds/beta.js';
import { GROUND } from './judged.js';
import { livesBase, movedAs } from './survive.js';
import type { MovedBefore } from './survive.js';

/** A plant that is planted out in its season lives through its first two years. */
export function livesTwoYears(kind: Pick<Kind, 'habit' | 'size'>, before?: MovedBefore): number {
	return livesBase(movedAs(kind), before) * GROUND.secondYear.value;
}

/**
 * The fewest spares that replace all that die, with a chance, when the spares may die as well.
 *
 * @param count planted, @param lives chance of each, @param sure chance wished for
 */
export function sparesFor(count: number, lives: number, sure: number): number {
	if (lives >= 1) return 0;
	const most = count + 10;
	const enough = (n: number): number => {
		let sum = 0;
		for (let k = count; k <= n; k++) sum += Math.exp(lnChoose(n, k) + k * Math.log(lives) + (n - k) * Math.log1p(-lives));
		return sum;
	};
	// Half of those that are usually lost never do.
	for (let spares = Math.floor((count / lives - count) / 2); spares < most; spares++)
		if (enough(count + spares) >= sure) return spares;
	return most;
}
