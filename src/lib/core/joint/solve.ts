/** From the question to a plan whose promises were looked over: searched on a sample, told by the wants' own odds. */
import { keyOf, patternOf } from './patterns.js';
import { betterChoice, choose, firstChoice, patternsFor, poolOf, prepareJoint } from './plan.js';
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

/** A plan that was begun: there is a first one, and all that a better one is looked for with. */
export interface Begun {
	p: Prepared;
	found: Found;
	/** The odds of a want with a pattern, each worked out once. */
	told: Exact;
}

export function beginJoint(r: JointRequest, exact: Exact): Begun {
	const p = prepareJoint(r);
	const known = new Map<string, number>();
	const told: Exact = (as, x) => {
		const key = `${x.want} ${as.target} ${as.due} ${x.key}`;
		let odds = known.get(key);
		if (odds === undefined) known.set(key, (odds = exact(as, x)));
		return odds;
	};
	return { p, found: firstChoice(p), told };
}

/** What was found, with no more bought than it takes, and its promises as the wants will tell them. */
export function toldOf({ p, told }: Begun, found: Found): Solved {
	const chosen = found.chosen.map((x, w) => (x.buys > 0 ? asFewBought(p, told, x, w) : x));
	return {
		...{ ...found, p, chosen },
		odds: chosen.map((x, w) => told(p.r.wants[w]!, x)),
		promised: chosen.map((x) => told(x.as, x))
	};
}

/** The search buys in steps: of what it chose as few as still do. */
function asFewBought(p: Prepared, told: Exact, x: Pattern, w: number): Pattern {
	const asked = Math.min(MOST_ASKED, p.r.wants[w]!.confidence + p.r.weights.surer);
	const own = x.parts.slice(p.faces[w]![0]!.odds.fixed.length);
	if (told(x.as, x) < asked) return x;
	const withSo = (buys: number) => patternOf(patternsFor(p, w), own, keyOf(own), buys);
	let [low, high] = [-1, x.buys];
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if (told(x.as, withSo(middle)) >= asked) high = middle;
		else low = middle;
	}
	return high === x.buys ? x : withSo(high);
}

/**
 * The search picks what looks best on its sample, so its promises are a little too good, and a little more for each
 * thing that it leaves out (what grows already shares its way's chances). So each promise is worked out anew as the
 * want will tell it; where that is short by more than nothing the want is asked for more, and all is chosen once more.
 *
 * @param stopped asked between the steps; what was begun can be finished another time
 * @returns null where it was stopped
 */
export function finishJoint(begun: Begun, solvers: Solvers | null, stopped: () => boolean = () => false): Solved | null {
	const { told } = begun;
	const { r } = begun.p;
	// Asked anew after a stop it goes the same way: margins and pools are its own.
	const p: Prepared = { ...begun.p, margins: begun.p.margins.slice(), pools: [...begun.p.pools] };
	let found = solvers ? betterChoice(p, begun.found, solvers, stopped) : begun.found;
	for (let round = 0; round < ROUNDS; round++) {
		if (stopped()) return null;
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
		found = choose(p, solvers, stopped);
	}
	return stopped() ? null : toldOf({ ...begun, p }, found);
}
const MOST_ASKED = 0.99;

/** The plan of all wants, from the question to its end. */
export const solveJoint = (r: JointRequest, solvers: Solvers | null, exact: Exact): Solved =>
	finishJoint(beginJoint(r, exact), solvers)!;
