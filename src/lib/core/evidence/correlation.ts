/** How alike the pieces of one batch fare in this garden: the correlation ρ, learnt from its batches. */
import { logLikelihoodOfMean } from '../odds/belief.js';
import type { Beta } from '../odds/beta.js';
import { meanNodes } from '../odds/meanNodes.js';
import type { Tally } from './tally.js';
import { EVIDENCE } from './judged.js';

export const USUAL_CORRELATION = EVIDENCE.correlation.value;
const PRIOR_WEIGHT = EVIDENCE.correlationWeight.value;
/** Values weighed; above 0.6 the pieces of a batch would all live or all die. */
const VALUES = [0.01, 0.02, 0.035, 0.05, 0.07, 0.1, 0.14, 0.19, 0.25, 0.33, 0.43, 0.55];
/** Means within a group are known well enough from so wide a step in the logit. */
const NARROW = 0.5;
/** The newest counts of a garden tell as much of ρ as it needs; more cost time on every entry. */
export const MOST_COUNTS = 500;

/** Batches of one kind and way at one stage, which share their mean. */
export interface CountGroup {
	prior: Beta;
	batches: readonly Tally[];
}

/** Equal counts together: many batches come to the same few. */
function byCount(batches: readonly Tally[]): (Tally & { times: number })[] {
	const found = new Map<string, Tally & { times: number }>();
	for (const { passed, failed } of batches) {
		const key = `${passed} ${failed}`;
		const same = found.get(key);
		if (same) same.times++;
		else found.set(key, { passed, failed, times: 1 });
	}
	return [...found.values()];
}

/**
 * Posterior mean of ρ on a fixed list of values. The mean chance of each group is summed over; a group of one
 * batch tells nothing of how batches differ and is left out. 0.1 without any evidence.
 */
export function learnCorrelation(groups: readonly CountGroup[]): number {
	const telling = groups
		.map((g) => ({ nodes: meanNodes(g.prior, NARROW), batches: g.batches.filter((b) => b.passed + b.failed > 1) }))
		.filter((g) => g.batches.length > 1)
		.map((g) => ({ nodes: g.nodes, alike: byCount(g.batches) }));
	if (telling.length === 0) return USUAL_CORRELATION;
	const logs = VALUES.map((rho, v) => {
		// Values lie unevenly: each stands for the stretch around it.
		const width = ((VALUES[v + 1] ?? 0.7) - (VALUES[v - 1] ?? 0)) / 2;
		let log = Math.log(width) + (USUAL_CORRELATION * PRIOR_WEIGHT - 1) * Math.log(rho);
		log += ((1 - USUAL_CORRELATION) * PRIOR_WEIGHT - 1) * Math.log1p(-rho);
		for (const g of telling) {
			const told = g.nodes.map(
				({ w, mu }) =>
					Math.log(w) +
					g.alike.reduce((s, { times, ...b }) => s + times * logLikelihoodOfMean(mu, { alpha: 1, beta: 1, rho, ...b }), 0)
			);
			const best = Math.max(...told);
			log += best + Math.log(told.reduce((s, l) => s + Math.exp(l - best), 0));
		}
		return log;
	});
	const best = Math.max(...logs);
	const weights = logs.map((l) => Math.exp(l - best));
	const all = weights.reduce((a, b) => a + b, 0);
	return VALUES.reduce((s, rho, v) => s + (rho * weights[v]!) / all, 0);
}
