/** The chain of Beta-binomials summed term by term, as it was before stages were walked down by leaving one piece out. */
import { certain } from '../src/lib/core/odds/chain.js';
import { eachTerm } from '../src/lib/core/odds/betaBinomial.js';
import type { Beta } from '../src/lib/core/odds/beta.js';

export function byTerms(stages: readonly Beta[], struck: number): Float64Array {
	return stages.reduce((entering, stage) => {
		const leaving = new Float64Array(entering.length);
		entering.forEach((weight, m) => {
			if (weight < 1e-18) return;
			eachTerm(m, stage, (k, p) => {
				leaving[k]! += weight * p;
			});
		});
		return leaving;
	}, certain(struck));
}
