/** The simulation that the exact odds are held against, with a registry library's generators. */
import betas from '@stdlib/random-base-beta';
import binomials from '@stdlib/random-base-binomial';
import type { Beta } from '../src/lib/core/odds/beta.js';

const beta = betas.factory({ seed: 7 });
const binomial = binomials.factory({ seed: 11 });

/** How often each number of survivors came up. */
export function simulate(stages: readonly Beta[], struck: number, runs: number): Float64Array {
	const found = new Float64Array(struck + 1);
	for (let run = 0; run < runs; run++) {
		let left = struck;
		for (const stage of stages) {
			if (left === 0) break;
			left = binomial(left, beta(stage.alpha, stage.beta));
		}
		found[left]! += 1 / runs;
	}
	return found;
}
