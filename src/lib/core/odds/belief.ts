/**
 * Chances in two levels. A way has a mean chance μ in a garden, known as a Beta distribution; each batch has a
 * chance p of its own about it, for its pieces share their day, their wood and their hand:
 *
 *   μ ~ Beta(α, β),   p | μ ~ Beta(μ(1−ρ)/ρ, (1−μ)(1−ρ)/ρ),   pieces independent given p.
 *
 * ρ is the correlation of two pieces of one batch when μ is known (the beta-binomial's intra-class
 * correlation; Prentice 1986, "Binary regression using an extended beta-binomial distribution", from memory).
 * ρ = 0 leaves one chance for all batches.
 */
import { betaOf, lnBeta } from './beta.js';
import type { Beta } from './beta.js';
import { meanNodes } from './meanNodes.js';

/** What is known of a stage for one batch: the way's mean, the correlation, and what this batch showed itself. */
export interface Belief extends Beta {
	/** 0 ≤ ρ < 1; 0 if left out. */
	rho?: number | undefined;
	/** Pieces of this same batch that have passed and failed the stage already. */
	passed?: number | undefined;
	failed?: number | undefined;
}

/** One part of a mixture of Beta distributions. */
export interface Part extends Beta {
	w: number;
}

/** Below this the two levels cannot be told from one at any number of pieces asked for here. */
const NO_CORRELATION = 1e-9;
const SLIGHT = 1e-16;

/** Concentration of p about μ: the weight of Beta(μc, (1−μ)c). */
export const concentrationOf = (rho: number): number => (1 - rho) / rho;

/** The batch's chance when the way's mean is given: Beta(μc + passed, (1−μ)c + failed); μ itself when ρ = 0. */
export function givenMean(mu: number, { rho = 0, passed = 0, failed = 0 }: Pick<Belief, 'rho' | 'passed' | 'failed'>): Beta {
	const c = concentrationOf(Math.max(rho, NO_CORRELATION));
	return { alpha: Math.max(mu * c, Number.MIN_VALUE) + passed, beta: Math.max((1 - mu) * c, Number.MIN_VALUE) + failed };
}

/** ln of how well a mean explains what the batch showed: the Beta-binomial likelihood without its constant. */
export function logLikelihoodOfMean(mu: number, belief: Belief): number {
	const { rho = 0, passed = 0, failed = 0 } = belief;
	if (passed + failed === 0) return 0;
	if (rho < NO_CORRELATION) return passed * Math.log(mu) + failed * Math.log1p(-mu);
	const after = givenMean(mu, belief);
	const before = givenMean(mu, { rho });
	return lnBeta(after.alpha, after.beta) - lnBeta(before.alpha, before.beta);
}

/**
 * The batch's own chance as a mixture of Beta distributions, exact to rounding for counts of up to `pieces`:
 * a quadrature over μ, each node weighed by what the batch showed.
 */
export function partsOf(belief: Belief, pieces = 100): Part[] {
	const { alpha, beta, rho = 0, passed = 0, failed = 0 } = belief;
	if (rho < NO_CORRELATION) return [{ w: 1, alpha: alpha + passed, beta: beta + failed }];
	const mean = alpha / (alpha + beta);
	const spread = Math.max(1e-12, mean * (1 - mean));
	const n = Math.max(1, pieces + passed + failed);
	const nodes = meanNodes({ alpha, beta }, Math.sqrt((rho + (1 - rho) / n) / spread));
	const told = nodes.map((node) => logLikelihoodOfMean(node.mu, belief));
	const best = told.reduce((a, b) => Math.max(a, b), -Infinity);
	let total = 0;
	const parts = nodes.map(({ w, mu }, i): Part => {
		const weight = w * Math.exp(told[i]! - best);
		total += weight;
		return { w: weight, ...givenMean(mu, belief) };
	});
	for (const p of parts) p.w /= total;
	return parts.filter((p) => p.w > SLIGHT);
}

/** Mean and variance of the batch's own chance, from its parts. */
export function momentsOf(parts: readonly Part[]): { mean: number; variance: number } {
	let mean = 0;
	let square = 0;
	for (const { w, alpha, beta } of parts) {
		const n = alpha + beta;
		mean += (w * alpha) / n;
		square += (w * alpha * (alpha + 1)) / (n * (n + 1));
	}
	return { mean, variance: Math.max(0, square - mean * mean) };
}

/** Expected chance of one more piece of the batch to pass. */
export const meanChance = (belief: Belief): number =>
	!belief.passed && !belief.failed ? belief.alpha / (belief.alpha + belief.beta) : momentsOf(partsOf(belief)).mean;

/** One Beta with the same mean and variance as the batch's chance: for telling it, not for reckoning on. */
export function summaryOf(belief: Belief): Beta {
	const { mean, variance } = momentsOf(partsOf(belief));
	return betaOf(mean, Math.max(1e-6, (mean * (1 - mean)) / Math.max(1e-12, variance) - 1));
}
