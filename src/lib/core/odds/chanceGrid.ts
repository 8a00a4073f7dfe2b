/** A batch's own chance as points with weights, for what hangs on it other than by Beta-binomial sums. */
import { lnBeta } from './beta.js';
import { partsOf } from './belief.js';
import type { Belief, Part } from './belief.js';

export interface ChanceGrid {
	p: Float64Array;
	/** Weights, summing to 1. */
	w: Float64Array;
	/** Points in the logit: the first and the step. */
	low: number;
	step: number;
}

const SLIGHT = 1e-7;
/** Beyond this a chance is as good as 0 or 1: what weight lies there is laid on the last point. */
const FURTHEST = 14;
/** From here on p ≈ e^x or 1 − p ≈ e^(−x) to a ten-thousandth; a grid that ends before has nothing beyond its end. */
const FAR = 10;
/** e^(−12) ≈ 6e−6 of a tail may be left out. */
const TAIL = 12;

/** Density of a mixture of Betas in the logit, where the Jacobian p(1−p) raises both shapes by one. */
const densityAt = (parts: readonly Part[], x: number): number => {
	const lnP = -Math.log1p(Math.exp(-x));
	const lnQ = -Math.log1p(Math.exp(x));
	let density = 0;
	for (const part of parts) density += part.w * Math.exp(part.alpha * lnP + part.beta * lnQ - lnBeta(part.alpha, part.beta));
	return density;
};

/**
 * Weights of a chance on the points of a grid, not normalised. A small shape (a batch that nearly all lives or dies)
 * has much of its weight beyond any logit: there the density is e^(−βx)/B(α, β), and its integral goes to the end.
 */
function weightsOn({ p, low, step }: Omit<ChanceGrid, 'w'>, parts: readonly Part[]): Float64Array {
	const w = p.map((_, i) => densityAt(parts, low + i * step));
	const last = p.length - 1;
	const high = low + last * step;
	for (const part of parts) {
		const lnB = lnBeta(part.alpha, part.beta);
		if (high > FAR) w[last]! += (part.w * Math.exp(-part.beta * (high + step / 2) - lnB)) / part.beta / step;
		if (low < -FAR) w[0]! += (part.w * Math.exp(part.alpha * (low - step / 2) - lnB)) / part.alpha / step;
	}
	return w;
}

/** Evenly spaced points in the logit over all but a ten-millionth of the weight: the trapezoidal rule (meanNodes.ts). */
export function chanceGrid(belief: Belief, points: number): ChanceGrid {
	const parts = partsOf(belief, 40);
	let from = Infinity;
	let to = -Infinity;
	for (const { w, alpha, beta } of parts) {
		if (w < SLIGHT) continue;
		// Apart, for the quotient of a vanishing shape is 0.
		const middle = Math.log(alpha) - Math.log(beta);
		const sd = Math.sqrt(1 / alpha + 1 / beta);
		// The logit's density falls like e^(αx) and e^(−βx): slowly on the side of a small shape.
		from = Math.min(from, middle - Math.max(6 * sd, TAIL / alpha));
		to = Math.max(to, middle + Math.max(6 * sd, TAIL / beta));
	}
	const low = Math.max(-FURTHEST, Math.min(from, FURTHEST - 1));
	const high = Math.min(FURTHEST, Math.max(to, low + 1));
	const step = (high - low) / (points - 1);
	const p = Float64Array.from({ length: points }, (_, i) => 1 / (1 + Math.exp(-(low + i * step))));
	const w = weightsOn({ p, low, step }, parts);
	const all = w.reduce((a, b) => a + b, 0);
	return { p, w: w.map((v) => v / all), low, step };
}

/** Weights on the same points for another chance; not normalised: their sum is how well the points bear it. */
export const densityOn = (grid: ChanceGrid, parts: readonly Part[]): Float64Array => weightsOn(grid, parts);

const grids = new Map<string, ChanceGrid>();
/** Chances are few, batches many: grids are kept for a while. */
export function gridFor(belief: Belief, points: number): ChanceGrid {
	const { alpha, beta, rho = 0, passed = 0, failed = 0 } = belief;
	const key = `${alpha} ${beta} ${rho} ${passed} ${failed} ${points}`;
	let grid = grids.get(key);
	if (!grid) {
		if (grids.size > 2_000) grids.clear();
		grids.set(key, (grid = chanceGrid(belief, points)));
	}
	return grid;
}
