/**
 * Is it rooted yet? Each piece either roots or never does. If it does, after a time that is split log-normal in
 * the batch's clock (durations.ts); if it never does, it rots in the end, after a time of its own. What is not
 * known of a batch is its chance to root at all, its luck with time, and how soon its failures rot: what was
 * counted and seen teaches all three by Bayes' rule on a grid.
 */
import cdf from '@stdlib/stats-base-dists-normal-cdf';
import { partsOf } from './belief.js';
import type { Belief } from './belief.js';
import { densityOn, gridFor } from './chanceGrid.js';
import type { ChanceGrid } from './chanceGrid.js';
import { BATCH_SHARE, durationOf, luckAt } from './durations.js';
import type { Duration, ThreeDays } from './durations.js';
import type { Atom } from './kernel.js';
import { ODDS } from './judged.js';

/** Signs of roots from the strongest to the weakest, and the bad ones. */
export const ROOT_SIGNS = ['roots seen', 'resists a tug', 'new growth', 'firm', 'none', 'wilting', 'rot'] as const;
export type RootSign = (typeof ROOT_SIGNS)[number];

/**
 * How often a sign is seen on a piece that has rooted and on one that has not. From memory of practice:
 * leaves stay firm long before roots, tips grow on stored food, a tug may catch on callus.
 */
export const SIGN_ODDS: Record<RootSign, { rooted: number; not: number }> = {
	'roots seen': { rooted: 0.6, not: 0.005 },
	'resists a tug': { rooted: 0.9, not: 0.08 },
	'new growth': { rooted: 0.7, not: 0.25 },
	firm: { rooted: 0.97, not: 0.7 },
	none: { rooted: 0.1, not: 0.9 },
	wilting: { rooted: 0.06, not: 0.3 },
	rot: { rooted: 0.01, not: 0.12 }
};

/** A sign seen on pieces that were not counted. */
export interface SignLook {
	/** The batch's clock (days of the usual warmth, or of growth) since the strike. */
	at: number;
	/** Pieces looked at, and those of them that showed the sign. */
	looked: number;
	showing: number;
	sign: RootSign;
}

/**
 * What was counted between two full counts of the pieces that had not rooted. At its beginning all were alive and
 * unrooted. Times are in the batch's clock.
 */
export interface Epoch {
	from: number;
	/** Found dead, having been alive at `after`. */
	died: { after: number; by: number; count: number }[];
	/** Known to have rooted by then. */
	rooted: { by: number; count: number }[];
	/** The rest, last known to be alive at `seen`; if `counted`, looked at then and not rooted. */
	left: number;
	seen: number;
	counted: boolean;
}

export interface RootingSeen {
	epochs: readonly Epoch[];
	signs: readonly SignLook[];
}
export const NOTHING_SEEN: RootingSeen = { epochs: [], signs: [] };

export interface RootingPrior {
	/** The way's mean chance and the correlation within a batch; or Beta(α, β) for the batch's own chance. */
	chance: Belief;
	days: ThreeDays;
}

/** A batch's luck with time: points and weights of the standard normal, evenly to nearly 5 spreads (trapezoidal rule). */
const LUCK_STEP = 0.6;
export const LUCKS: readonly { z: number; w: number }[] = (() => {
	const points = Array.from({ length: 17 }, (_, i) => (i - 8) * LUCK_STEP).map((z) => ({ z, w: Math.exp((-z * z) / 2) }));
	const all = points.reduce((s, p) => s + p.w, 0);
	return points.map((p) => ({ z: p.z, w: p.w / all }));
})();

const ROT_TIMES = ODDS.rotTimes.value;
const B = LUCKS.length;
const R = ROT_TIMES.length;
const LN_LUCKS = LUCKS.map((l) => Math.log(l.w));
const SLIP = ODDS.slip.value;

/** Chances in the logit: so many points are within 1e−4 of the limit for any prior used here. */
const CHANCE_POINTS = 33;

/** Shares by a reading of the clock: those of a way are the same for all its batches, and asked again and again. */
const knownShares = new Map<string, Map<number, Float64Array>>();
const MOST_SHARES = 50_000;
let sharesKept = 0;

/** Share of the pieces that will root which has by each luck of the batch, when the clock reads `at`. Not to be written to. */
function sharesOf(days: ThreeDays): (at: number) => Float64Array {
	const d = durationOf(days);
	const key = days.join(' ');
	return (at) => {
		let ofWay = knownShares.get(key);
		const before = ofWay?.get(at);
		if (before) return before;
		if (!ofWay || sharesKept >= MOST_SHARES) {
			if (sharesKept >= MOST_SHARES) {
				knownShares.clear();
				sharesKept = 0;
			}
			knownShares.set(key, (ofWay = new Map()));
		}
		const z = luckAt(d, at);
		const shares = Float64Array.from(LUCKS, (l) =>
			z === -Infinity ? 0 : z === Infinity ? 1 : cdf((z - Math.sqrt(BATCH_SHARE) * l.z) / Math.sqrt(1 - BATCH_SHARE), 0, 1)
		);
		ofWay.set(at, shares);
		sharesKept++;
		return shares;
	};
}

const lnOf = (q: number): number => Math.log(Math.max(SLIP, q));

/** Of several looks at the same pieces for the same sign only the last is new evidence: what was firm stays firm. */
function lastOfEach(signs: readonly SignLook[]): SignLook[] {
	const last = new Map<RootSign, SignLook>();
	for (const s of signs)
		if (s.looked > 0 && s.showing <= s.looked && s.at >= 0) {
			const before = last.get(s.sign);
			if (!before || s.at >= before.at) last.set(s.sign, s);
		}
	return [...last.values()];
}

export interface RootingLeft {
	evidence: number;
	lucks: Float64Array;
	atoms: Atom[][];
}

export interface Rooting {
	/** Chance that a piece, when struck, has rooted by then. */
	rooted(at: number): number;
	/** Chance that one of the pieces left has rooted by then, and that one found alive and unrooted then still will. */
	left(at: number): { now: number; hope: number };
	/** The two by themselves. */
	now(at: number): number;
	/** Chance that one of the pieces left ever will (or has). */
	ever: number;
	hope(at: number): number;
	/** Chance to root at all, and pace: 1 usual, 2 takes twice as long. */
	chance: number;
	pace: number;
	/** Clock at the last full count. */
	since: number;
	/**
	 * What the pieces left come to: how likely each of LUCKS is, and at each the chance to root ever as points with
	 * weights that sum to 1. With a belief it is as if that had been the prior of the chance; `evidence` then tells how
	 * well that prior explains what was seen, against the one that was given.
	 */
	of(belief: Belief | null): RootingLeft;
}

/** The grid of chance, luck and rotting after all that was seen, with what is asked of it again and again. */
interface Posterior {
	grid: ChanceGrid;
	duration: Duration;
	share(at: number): Float64Array;
	/** Weights of the cells, chance by chance, luck by luck, rotting by rotting; they sum to 1. */
	weight: Float64Array;
	/** Clock at the last full count, and when those left were last known to be alive. */
	since: number;
	aliveAt: number;
	/** Share rooted at `since` by luck, of those that will; share alive at `aliveAt` by rotting, of those that never will. */
	was: Float64Array;
	aliveLeft: Float64Array;
	alive(rot: number, at: number): number;
}

/** Bayes' rule over the grid: the prior of each cell with how well it explains the counts, deaths and signs. */
function posteriorOf(prior: RootingPrior, seen: RootingSeen): Posterior {
	const duration = durationOf(prior.days);
	const usual = Math.max(0.5, prior.days[1]);
	const grid = gridFor({ ...prior.chance, passed: 0, failed: 0 }, CHANCE_POINTS);
	const { p } = grid;
	const alive = (rot: number, at: number) => (at <= 0 ? 1 : Math.exp(-at / (rot * usual)));
	const share = sharesOf(prior.days);
	const last = seen.epochs.at(-1);
	// A full count closes an epoch; after it the pieces left start a new one.
	const since = last ? (last.counted ? last.seen : last.from) : 0;
	const aliveAt = last ? last.seen : 0;
	const was = share(since);
	const aliveLeft = Float64Array.from(ROT_TIMES, (rot) => alive(rot, aliveAt));
	const told = seen.epochs.map((e) => termsOf(e, share, alive));
	const signs = lastOfEach(seen.signs.filter((s) => s.at >= since)).map((s) => ({ ...s, by: share(s.at) }));

	const weight = new Float64Array(CHANCE_POINTS * B * R);
	let most = -Infinity;
	for (let i = 0; i < CHANCE_POINTS; i++) {
		const [chance, never] = [p[i]!, 1 - p[i]!];
		const [lnP, lnQ] = [Math.log(chance), Math.log1p(-chance)];
		for (let b = 0; b < B; b++)
			for (let r = 0; r < R; r++) {
				let log = Math.log(grid.w[i]! + 1e-300) + LN_LUCKS[b]!;
				for (const t of told) {
					log += t.deaths * lnQ + t.lnDied[r]! + t.roots * lnP + t.lnRooted[b]!;
					if (t.open > 0) log -= t.open * lnOf(chance * t.unrooted[b]! + never * t.alive[r]!);
					if (t.left > 0) log += t.left * lnOf(chance * t.unrootedLeft[b]! + never * t.aliveLeft[r]!);
				}
				for (const s of signs) {
					const open = chance * (1 - was[b]!) + never * aliveLeft[r]!;
					log += lnOfSign(s, open > 0 ? Math.min(1, (chance * (s.by[b]! - was[b]!)) / open) : 1);
				}
				weight[(i * B + b) * R + r] = log;
				if (log > most) most = log;
			}
	}
	let total = 0;
	for (let k = 0; k < weight.length; k++) total += weight[k] = Math.exp(weight[k]! - most);
	for (let k = 0; k < weight.length; k++) weight[k]! /= total;
	return { grid, duration, share, weight, since, aliveAt, was, aliveLeft, alive };
}

/** ln of the chance of a sign on the pieces looked at, when such a share of them has rooted. */
function lnOfSign(s: SignLook, rooted: number): number {
	const odds = SIGN_ODDS[s.sign];
	const q = Math.min(1 - 1e-9, Math.max(1e-9, odds.rooted * rooted + odds.not * (1 - rooted)));
	return s.showing * Math.log(q) + (s.looked - s.showing) * Math.log(1 - q);
}

/** Every cell of the grid that has weight: chance, luck, rotting. */
function eachCell({ weight }: Posterior, visit: (w: number, i: number, b: number, r: number) => void): void {
	for (let i = 0; i < CHANCE_POINTS; i++)
		for (let b = 0; b < B; b++)
			for (let r = 0; r < R; r++) {
				const w = weight[(i * B + b) * R + r]!;
				if (w > 1e-12) visit(w, i, b, r);
			}
}

/** Of the pieces left, alive when last seen and not rooted at the last count: they root ever, by Bayes' rule. */
function everOf({ grid, was, aliveLeft }: Posterior, i: number, b: number, r: number): number {
	const will = grid.p[i]! * (1 - was[b]!);
	return will / Math.max(1e-300, will + (1 - grid.p[i]!) * aliveLeft[r]!);
}

/** What the pieces left come to; with a belief as if that had been the prior of the chance. */
function leftOf(post: Posterior, belief: Belief | null): RootingLeft {
	const { grid } = post;
	// Another prior for the chance weighs the same cells anew: by the ratio of the two densities.
	const tilt = belief === null ? null : densityOn(grid, partsOf(belief, 40)).map((v, i) => v / (grid.w[i]! + 1e-300));
	const perLuck = new Float64Array(B);
	const weights = new Float64Array(B * (ATOM_BINS + 1));
	const sums = new Float64Array(B * (ATOM_BINS + 1));
	let all = 0;
	eachCell(post, (w, i, b, r) => {
		const v = tilt === null ? w : w * tilt[i]!;
		const q = everOf(post, i, b, r);
		const bin = b * (ATOM_BINS + 1) + Math.round(q * ATOM_BINS);
		weights[bin]! += v;
		sums[bin]! += v * q;
		perLuck[b]! += v;
		all += v;
	});
	const atoms = LUCKS.map((_, b) => {
		const found: Atom[] = [];
		for (let bin = b * (ATOM_BINS + 1); bin < (b + 1) * (ATOM_BINS + 1); bin++)
			if (weights[bin]! > 0) found.push({ w: weights[bin]! / perLuck[b]!, q: sums[bin]! / weights[bin]! });
		return found;
	});
	return { evidence: all, lucks: perLuck.map((v) => v / all), atoms };
}

/** What was seen, by Bayes' rule. */
export function rootingAfter(prior: RootingPrior, seen: RootingSeen = NOTHING_SEEN): Rooting {
	const post = posteriorOf(prior, seen);
	const { grid, duration, share, since, aliveAt, was, aliveLeft, alive } = post;
	// What answers any question of when: at each luck the share that roots (of those left, of all), at each rotting the rest.
	const everAt = new Float64Array(B);
	const neverAt = new Float64Array(R);
	const chanceAt = new Float64Array(B);
	let slowness = 0;
	eachCell(post, (w, i, b, r) => {
		const will = everOf(post, i, b, r);
		everAt[b]! += w * will;
		neverAt[r]! += w * (1 - will);
		chanceAt[b]! += w * grid.p[i]!;
		const z = Math.sqrt(BATCH_SHARE) * LUCKS[b]!.z;
		slowness += w * z * (z < 0 ? duration.below : duration.above);
	});
	const sumOf = (v: Float64Array, of: (k: number) => number) => v.reduce((s, w, k) => s + w * of(k), 0);
	const ever = sumOf(everAt, () => 1);
	const left = (at: number): { now: number; hope: number } => {
		const byThen = share(at);
		// Before the last count the pieces left were unrooted: hope is that of the count.
		const open = share(Math.max(since, at));
		let now = 0;
		let waiting = 0;
		for (let b = 0; b < B; b++) {
			const unrooted = 1 - was[b]!;
			const of = (f: number) => (unrooted <= 1e-12 ? 1 : Math.max(0, f - was[b]!) / unrooted);
			now += everAt[b]! * of(byThen[b]!);
			waiting += everAt[b]! * (1 - of(open[b]!));
		}
		let rotting = 0;
		for (let r = 0; r < R; r++)
			rotting += (neverAt[r]! * alive(ROT_TIMES[r]!, Math.max(aliveAt, at))) / Math.max(1e-300, aliveLeft[r]!);
		return { now, hope: waiting + rotting <= 1e-300 ? 0 : waiting / (waiting + rotting) };
	};
	let asSeen: RootingLeft | null = null;
	return {
		chance: sumOf(chanceAt, () => 1),
		pace: Math.exp(slowness),
		since,
		ever,
		rooted: (at) => sumOf(chanceAt, (b) => share(at)[b]!),
		left,
		now: (at) => left(at).now,
		hope: (at) => left(at).hope,
		of: (belief) => (belief === null ? (asSeen ??= leftOf(post, null)) : leftOf(post, belief))
	};
}

/** Points of a chance nearer to each other than this are taken together at their mean. */
const ATOM_BINS = 128;

/** What an epoch showed, taken apart so that each part is worked out once for the luck or the rotting it hangs on. */
interface Terms {
	deaths: number;
	roots: number;
	/** ln of the chances of the times of death, by rot time, and of rooting, by luck. */
	lnDied: Float64Array;
	lnRooted: Float64Array;
	/** Pieces at its beginning, and their shares unrooted (of those that will root) and alive (of those that never do). */
	open: number;
	unrooted: Float64Array;
	alive: Float64Array;
	/** The same of the rest at its end. */
	left: number;
	unrootedLeft: Float64Array;
	aliveLeft: Float64Array;
}

function termsOf(e: Epoch, share: (at: number) => Float64Array, alive: (rot: number, at: number) => number): Terms {
	const deaths = e.died.reduce((n, x) => n + x.count, 0);
	const roots = e.rooted.reduce((n, x) => n + x.count, 0);
	const byRot = (of: (rot: number) => number) => Float64Array.from(ROT_TIMES, of);
	const was = share(e.from);
	const unrooted = was.map((f) => 1 - f);
	return {
		deaths,
		roots,
		lnDied: byRot((rot) => e.died.reduce((s, x) => s + x.count * lnOf(alive(rot, x.after) - alive(rot, x.by)), 0)),
		lnRooted: was.map((f, b) => e.rooted.reduce((s, x) => s + x.count * lnOf(share(x.by)[b]! - f), 0)),
		open: deaths + roots + e.left,
		unrooted,
		alive: byRot((rot) => alive(rot, e.from)),
		left: e.left,
		unrootedLeft: e.counted ? share(e.seen).map((f) => 1 - f) : unrooted,
		aliveLeft: byRot((rot) => alive(rot, e.seen))
	};
}
