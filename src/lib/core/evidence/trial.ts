/** What a small trial tells, and that it tells little: three pieces to a treatment prove hardly anything. */
import type { GroupResult } from '../ledger/tray.js';

const POINTS = 400;

/** Weights of a Beta distribution at the middles of a fine grid, and their running sum. */
function gridOf(alpha: number, beta: number): { weight: Float64Array; below: Float64Array } {
	const log = Array.from({ length: POINTS }, (_, i) => {
		const p = (i + 0.5) / POINTS;
		return (alpha - 1) * Math.log(p) + (beta - 1) * Math.log(1 - p);
	});
	const top = Math.max(...log);
	const weight = Float64Array.from(log, (l) => Math.exp(l - top));
	const all = weight.reduce((a, b) => a + b, 0);
	const below = new Float64Array(POINTS);
	let sum = 0;
	for (let i = 0; i < POINTS; i++) {
		weight[i]! /= all;
		// Half of its own cell: ties count for half.
		below[i] = sum + weight[i]! / 2;
		sum += weight[i]!;
	}
	return { weight, below };
}

/** Chance that the first treatment roots more readily than the second, each from a flat start (Beta(1, 1)). */
export function chanceBetter(a: { rooted: number; failed: number }, b: { rooted: number; failed: number }): number {
	const first = gridOf(a.rooted + 1, a.failed + 1);
	const second = gridOf(b.rooted + 1, b.failed + 1);
	return first.weight.reduce((sum, w, i) => sum + w * second.below[i]!, 0);
}

/** One sentence on the best of a trial against the next. Null when nothing has been decided, or there is nothing to compare. */
export function trialSentence(results: readonly GroupResult[]): string | null {
	const told = results.filter((r) => r.rooted + r.lost > 0);
	if (told.length < 2) return null;
	const rate = (r: GroupResult) => (r.rooted + 1) / (r.rooted + r.lost + 2);
	const [best, next] = [...told].sort((a, b) => rate(b) - rate(a));
	const chance = chanceBetter({ rooted: best!.rooted, failed: best!.lost }, { rooted: next!.rooted, failed: next!.lost });
	const of = (r: GroupResult) => `${r.rooted} of ${r.rooted + r.lost}`;
	const facts = `${best!.group}: ${of(best!)} rooted; ${next!.group}: ${of(next!)}.`;
	if (chance < 0.8)
		return `${facts} That could well be luck: about ${Math.round(chance * 10)} in 10 that ${best!.group} is better.`;
	if (chance < 0.95)
		return `${facts} A hint, no proof: about ${Math.round(chance * 10)} in 10 that ${best!.group} is better. Do it again.`;
	return `${facts} Hardly luck: more than 19 in 20 that ${best!.group} is better here.`;
}
