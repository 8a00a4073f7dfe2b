/** Whether a kind is alive in spring: copies of it in several places, which share each winter and share each place. */
import { betaBinomialTerm } from '../odds/betaBinomial.js';

/** From here on it will probably come through. Own judgement. */
export const LIKELY_FROM = 0.8;

/** Plants or pieces that stand together. */
export interface Copies {
	count: number;
	/** Chance of one of them to live, by winter: `byWinter[w % length]`; one number where all winters are alike. */
	byWinter: ArrayLike<number>;
	/**
	 * How alike they fare besides the winter that all of them see: 0 each by itself, 1 all as one (one leak, one mouse,
	 * one forgotten week). The intraclass correlation of a beta-binomial.
	 */
	alike: number;
}

/** Chance that none of them lives, when one lives with chance p. */
export function noneOf(count: number, p: number, alike: number): number {
	if (p <= 0 || count === 0) return 1;
	if (p >= 1) return 0;
	if (alike >= 1) return 1 - p;
	if (alike <= 0) return (1 - p) ** count;
	const weight = 1 / alike - 1;
	return betaBinomialTerm(0, count, { alpha: p * weight, beta: (1 - p) * weight });
}

/**
 * Chance that one at least is alive after the winter, over so many winters as they may come: given the winter, places
 * fare by themselves; a winter that is hard on one is hard on all.
 */
export function oneAlive(copies: readonly Copies[], winters: number): number {
	let lost = 0;
	for (let w = 0; w < winters; w++) {
		let none = 1;
		for (const c of copies) none *= noneOf(c.count, c.byWinter[w % c.byWinter.length]!, c.alike);
		lost += none;
	}
	return 1 - lost / winters;
}
