/** From the question to a plan whose promises were looked over: searched on a sample, told by the wants' own odds. */
import { choose, prepareJoint, poolOf } from './plan.js';
import type { Found, Prepared } from './plan.js';
import type { Pattern } from './patterns.js';
import type { Solvers } from './master.js';
import type { JointRequest, JointWant } from './types.js';

/**
 * The odds of a want with a pattern, as the want itself will tell them once it is planned.
 * @param as the want as it is met: fewer or later than asked, where that would do too
 */
export type Exact = (as: JointWant, pattern: Pattern) => number;

export interface Solved extends Found {
	p: Prepared;
	/** By want: what it will tell of itself, and of what it is met as. */
	odds: number[];
	promised: number[];
}

/** A sample is so much too hopeful on top of what was seen of it: it chose what looked best. */
const ON_TOP = 0.004;
/** Rounds of looking over: after the second nearly none is short. */
const ROUNDS = 3;

/**
 * The search picks what looks best on its sample, so its promises are a little too good, and a little more for each
 * thing that it leaves out (what grows already shares its way's chances). So each promise is worked out anew as the
 * want will tell it; where that is short by more than nothing the want is asked for more, and all is chosen once more.
 */
export function solveJoint(r: JointRequest, solvers: Solvers | null, exact: Exact): Solved {
	const p = prepareJoint(r);
	const known = new Map<string, number>();
	const told = (as: JointWant, x: Pattern): number => {
		const key = `${x.want} ${as.target} ${as.due} ${x.key}`;
		let odds = known.get(key);
		if (odds === undefined) known.set(key, (odds = exact(as, x)));
		return odds;
	};
	let found = choose(p, solvers);
	for (let round = 0; round < ROUNDS; round++) {
		let short = false;
		found.chosen.forEach((x, w) => {
			const asked = Math.min(MOST_ASKED, r.wants[w]!.confidence + r.weights.surer);
			if (x.parts.length === 0 || x.odds < asked) return;
			const odds = told(x.as, x);
			if (odds >= asked - 1e-9) return;
			p.margins[w]! += asked - odds + ON_TOP;
			p.pools[w] = poolOf(p, w);
			short = true;
		});
		if (!short) break;
		found = choose(p, solvers);
	}
	return {
		...{ ...found, p },
		odds: found.chosen.map((x, w) => told(r.wants[w]!, x)),
		promised: found.chosen.map((x) => told(x.as, x))
	};
}
const MOST_ASKED = 0.99;
