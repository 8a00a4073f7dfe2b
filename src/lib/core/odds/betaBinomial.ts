import { lnBeta, lnChoose } from './beta.js';
import type { Beta } from './beta.js';

/** Terms this much smaller than the largest cannot move a sum of at most 10⁴ terms by 10⁻¹². */
const NEGLIGIBLE = 1e-17;

/** One term of the Beta-binomial: the chance that k of n pieces pass. Logs, so large weights do not underflow. */
export function betaBinomialTerm(k: number, n: number, { alpha, beta }: Beta): number {
	if (k < 0 || k > n) return 0;
	return Math.exp(lnChoose(n, k) + lnBeta(k + alpha, n - k + beta) - lnBeta(alpha, beta));
}

/**
 * Where the largest term sits, or an end when both shapes are below one. From the ratio of
 * neighbouring terms; only a starting point, so rounding does no harm.
 */
function mode(n: number, { alpha, beta }: Beta): number {
	const total = alpha + beta - 2;
	if (total <= 0) return alpha > beta ? n : 0;
	return Math.min(n, Math.max(0, Math.floor(((n + 1) * (alpha - 1)) / total)));
}

/**
 * Visits the terms of the Beta-binomial of n pieces, from the mode outwards by the ratio of
 * neighbours, leaving out what is negligible. U-shaped ones (both shapes below one) are visited whole.
 */
export function eachTerm(n: number, b: Beta, visit: (k: number, p: number) => void): void {
	const { alpha, beta } = b;
	const start = mode(n, b);
	const top = betaBinomialTerm(start, n, b);
	const stop = alpha < 1 || beta < 1 ? 0 : top * NEGLIGIBLE;
	let p = top;
	for (let k = start; k <= n && p > stop; k++) {
		visit(k, p);
		p *= ((n - k) * (k + alpha)) / ((k + 1) * (n - k - 1 + beta));
	}
	p = top;
	for (let k = start; k > 0;) {
		p *= (k * (n - k + beta)) / ((n - k + 1) * (k - 1 + alpha));
		k--;
		if (p <= stop) break;
		visit(k, p);
	}
}

/** The whole distribution of survivors of n pieces, index = how many. */
export function betaBinomialPmf(n: number, b: Beta): Float64Array {
	const pmf = new Float64Array(n + 1);
	eachTerm(n, b, (k, p) => {
		pmf[k] = p;
	});
	return pmf;
}
