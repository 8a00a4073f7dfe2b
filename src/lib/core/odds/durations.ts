/**
 * How long a stage takes. The handbook gives three figures: by when 1 in 10, 1 in 2 and 9 in 10 pieces are
 * through. A standard normal luck z (high = slow) leads to ln(days) = ln(usual) + z · spread, with one spread
 * below the usual and another above: a split log-normal that meets all three figures.
 */
import cdf from '@stdlib/stats-base-dists-normal-cdf';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { ODDS } from './judged.js';

export type ThreeDays = readonly [low: number, usual: number, high: number];

/** Standard normal luck of the slowest tenth. */
export const Z90 = normalQuantile(0.9, 0, 1);

export const BATCH_SHARE = ODDS.batchShare.value;
export const STAGE_CORRELATION = ODDS.stageCorrelation.value;

/** A low figure of nought would never be met by a logarithm: it is read as this share of the usual. */
const LEAST_SHARE = 1 / 20;
/** Log spread when the figures leave none: all within a hair of the usual. */
const NO_SPREAD = 1e-4;

export interface Duration {
	/** ln of the usual days; −∞ when the stage takes no time. */
	mu: number;
	/** Log spread on the quick and on the slow side, for one standard deviation of luck. */
	below: number;
	above: number;
}

export function durationOf([low, usual, high]: ThreeDays): Duration {
	if (usual <= 0) return { mu: -Infinity, below: NO_SPREAD, above: NO_SPREAD };
	return {
		mu: Math.log(usual),
		below: Math.max(NO_SPREAD, Math.log(usual / Math.max(low, usual * LEAST_SHARE)) / Z90),
		above: Math.max(NO_SPREAD, Math.log(Math.max(high, usual) / usual) / Z90)
	};
}

/** Days at a standard normal luck. */
export const daysAt = (d: Duration, z: number): number =>
	d.mu === -Infinity ? 0 : Math.exp(d.mu + z * (z < 0 ? d.below : d.above));

/** The luck at which a stage takes so many days; −∞ for no time at all. */
export function luckAt(d: Duration, days: number): number {
	if (days <= 0) return -Infinity;
	if (d.mu === -Infinity) return Infinity;
	const x = Math.log(days) - d.mu;
	return x / (x < 0 ? d.below : d.above);
}

const OWN = Math.sqrt(1 - BATCH_SHARE);
const SHARED = Math.sqrt(BATCH_SHARE);

/** A piece's luck from its batch's and its own, all standard normal. */
export const luckOf = (batch: number, own: number): number => SHARED * batch + OWN * own;

/** Share of a batch's pieces that are through after so many days, when the batch's luck is given. */
export function shareBy(d: Duration, days: number, batch: number): number {
	const z = luckAt(d, days);
	return z === -Infinity ? 0 : z === Infinity ? 1 : cdf((z - SHARED * batch) / OWN, 0, 1);
}

/** A piece's own luck (standard normal) at which so large a share of the batch's pieces are through. */
export const ownLuckAt = (share: number): number => normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, share)), 0, 1);
