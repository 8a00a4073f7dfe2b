/**
 * Fixed points and weights for sums over a Beta distribution. In the logit x = ln(μ/(1−μ)) its density is
 * ∝ e^{αx}/(1+e^x)^{α+β}: analytic in a strip of half-width π and falling off exponentially on both sides, so
 * the trapezoidal rule on the whole line converges geometrically (Trefethen and Weideman 2014, "The
 * exponentially convergent trapezoidal rule"). No draws: the same question has the same answer.
 */
import type { Beta } from './beta.js';

export interface Node {
	/** Weight; all of a set sum to 1. */
	w: number;
	/** The mean chance, 0–1. */
	mu: number;
}

/** Terms below this share of the largest are left out. */
const NEGLIGIBLE = 1e-18;
/** Step in the logit: e^(−2π·π/0.5) ≈ 1e−17 is what it leaves out. */
const LARGEST_STEP = 0.5;
/** Shapes far below any that a count of pieces leads to would ask for millions of nodes. */
const MOST_NODES = 20_000;

/**
 * Nodes over μ ~ Beta(α, β). `narrow` is the width in the logit of what is summed over them (as a standard
 * deviation): the step is half of the width of the product of both.
 */
export function meanNodes({ alpha, beta }: Beta, narrow = Infinity): Node[] {
	const mode = Math.log(alpha / beta);
	const width = 1 / Math.sqrt((alpha * beta) / (alpha + beta) + 1 / (narrow * narrow));
	// Twice as far from the mode on the side that falls more slowly; e^(−αd) = NEGLIGIBLE ends it.
	const reach = -Math.log(NEGLIGIBLE);
	const furthest = reach / Math.min(alpha, beta) + Math.sqrt(2 * reach * ((alpha + beta) / (alpha * beta)));
	const step = Math.max(Math.min(LARGEST_STEP, width / 2), (2 * furthest) / MOST_NODES);
	const logDensity = (x: number) => alpha * x - (alpha + beta) * (x > 0 ? x + Math.log1p(Math.exp(-x)) : Math.log1p(Math.exp(x)));
	const top = logDensity(mode);
	const nodes: Node[] = [];
	let total = 0;
	for (const side of [1, -1])
		for (let i = side === 1 ? 0 : 1; ; i++) {
			const x = mode + side * i * step;
			const w = Math.exp(logDensity(x) - top);
			if (w < NEGLIGIBLE) break;
			nodes.push({ w, mu: 1 / (1 + Math.exp(-x)) });
			total += w;
		}
	for (const n of nodes) n.w /= total;
	return nodes;
}
