/** What a small trial tells, and that it tells little: three pieces to a treatment prove hardly anything. */
import { lnBeta } from '../odds/beta.js';
import { sayOddsShort } from '../odds/words.js';
import type { GroupResult } from '../ledger/tray.js';
import { EVIDENCE } from './judged.js';

interface Counts {
	rooted: number;
	failed: number;
}

/**
 * Chance that the first treatment roots more readily than the second, each from a flat start (Beta(1, 1)). For whole
 * counts it is a finite sum: with p₁ ~ Beta(a, b), p₂ ~ Beta(c, d),
 * P(p₁ > p₂) = Σ_{i<a} B(c + i, b + d) / ((b + i) · B(1 + i, b) · B(c, d)), a tail of the Beta-binomial
 * (Miller 2015, "Formulas for Bayesian A/B testing", from memory).
 */
export function chanceBetter(first: Counts, second: Counts): number {
	const [a, b] = [first.rooted + 1, first.failed + 1];
	const [c, d] = [second.rooted + 1, second.failed + 1];
	let sum = 0;
	for (let i = 0; i < a; i++) sum += Math.exp(lnBeta(c + i, b + d) - Math.log(b + i) - lnBeta(1 + i, b) - lnBeta(c, d));
	return Math.min(1, sum);
}

const HARDLY_LUCK = EVIDENCE.hardlyLuck.value;
const HINT = EVIDENCE.hint.value;
const FEW = EVIDENCE.few.value;

/** One sentence on the best of a trial against the next. Null when nothing has been decided, or there is nothing to compare. */
export function trialSentence(results: readonly GroupResult[]): string | null {
	const told = results.filter((r) => r.rooted + r.lost > 0);
	if (told.length < 2) return null;
	const rate = (r: GroupResult) => (r.rooted + 1) / (r.rooted + r.lost + 2);
	const [best, next] = [...told].sort((a, b) => rate(b) - rate(a));
	const chance = chanceBetter({ rooted: best!.rooted, failed: best!.lost }, { rooted: next!.rooted, failed: next!.lost });
	const of = (r: GroupResult) => `${r.rooted} of ${r.rooted + r.lost}`;
	const facts = `${best!.group}: ${of(best!)} rooted; ${next!.group}: ${of(next!)}.`;
	const odds = `${sayOddsShort(chance)} that ${best!.group} is better`;
	const fewest = Math.min(...told.map((r) => r.rooted + r.lost));
	if (chance < HINT) return `${facts} That could well be luck${fewest < FEW ? ', and so few tell little' : ''}.`;
	if (chance < HARDLY_LUCK) return `${facts} A hint, no proof: ${odds}. Do it again.`;
	return `${facts} Hardly luck: ${odds} here.`;
}
