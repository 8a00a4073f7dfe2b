/** The odds of a want: its batches together, and what they hang on. */
import { betaOf, meanOf, spreadOf } from '../odds/beta.js';
import { atLeast, quantilesOf } from '../odds/strike.js';
import type { Quantiles } from '../odds/strike.js';
import { certain } from '../odds/chain.js';
import { sumOf } from '../odds/sum.js';
import type { StageName } from '../handbook/schema.js';
import type { Forecast } from './forecast.js';

export interface WantOdds {
	probability: number;
	quantiles: Quantiles;
	mean: number;
	pmf: Float64Array;
}

/**
 * Batches are taken as independent. A batch that comes too late counts for nothing: a plant that is
 * not there on the day is not what was asked.
 */
export function wantOdds(target: number, planted: number, batches: readonly Pick<Forecast, 'pmfInTime'>[]): WantOdds {
	const pmf = batches.reduce((sum, b) => sumOf(sum, b.pmfInTime), certain(planted));
	return {
		pmf,
		probability: atLeast(pmf, target),
		quantiles: quantilesOf(pmf),
		mean: pmf.reduce((sum, p, k) => sum + p * k, 0)
	};
}

/** As good as known: enough weight that the stage's own uncertainty is gone. */
const SURE = 100_000;

export interface Hinge {
	batch: number;
	stage: StageName;
	/** How far the odds move between this stage's bad and good luck. */
	swing: number;
}

/**
 * The stage on which a want hangs most: each stage's chance is set one standard deviation lower and
 * higher, and the odds that move furthest decide. `again` forecasts batch i with one stage replaced.
 */
export function hangsOn(
	target: number,
	batches: readonly Pick<Forecast, 'pmfInTime' | 'ahead'>[],
	again: (batch: number, stage: StageName, odds: { alpha: number; beta: number }) => Pick<Forecast, 'pmfInTime'>
): Hinge | null {
	let worst: Hinge | null = null;
	batches.forEach((batch, i) => {
		for (const { stage, odds } of batch.ahead) {
			const mean = meanOf(odds);
			const spread = spreadOf(odds);
			const at = (m: number) => {
				const changed = batches.map((b, j) => (j === i ? again(i, stage, betaOf(Math.min(0.999, Math.max(0.001, m)), SURE)) : b));
				return wantOdds(target, 0, changed).probability;
			};
			const swing = at(mean + spread) - at(mean - spread);
			if (!worst || swing > worst.swing) worst = { batch: i, stage, swing };
		}
	});
	return worst;
}
