/**
 * Is it rooted yet? Each piece either roots or never does; if it does, after a time that is log-normal in
 * warmth-days. What is not known of a batch is its chance to root at all and how quick it is as a whole:
 * looks teach both, sign by sign.
 */
import cdf from '@stdlib/stats-base-dists-normal-cdf';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import type { Beta } from './beta.js';

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

export interface Look {
	/** Warmth-days since the strike. */
	at: number;
	/** Pieces looked at, and those of them that showed the sign. */
	looked: number;
	showing: number;
	sign: RootSign | 'counted';
	/** Warmth-days at the last look at these same pieces, when none of them had rooted yet; 0 if it is the first. */
	since?: number;
}

/** Signs that a person may count by; or roots that were counted as such, which are hardly ever mistaken. */
export const COUNTED = { rooted: 0.97, not: 0.02 } as const;

export interface RootingPrior {
	/** Chance that a piece roots at all. */
	chance: Beta;
	/** Warmth-days by which 1 in 10, 1 in 2 and 9 in 10 of those that root have rooted. */
	days: readonly [number, number, number];
}

/** Batches of one kind differ as wholes (the day, the wood, the hand) by about this, as a log spread. From memory. */
const BATCH_SPREAD = 0.22;
const CHANCES = 21;
const SPEEDS = 13;

/** Log-normal in two halves, so that low, usual and high are met each. */
interface Timing {
	mu: number;
	below: number;
	above: number;
}
const Z90 = 1.2815515655446004;

function timingOf(days: RootingPrior['days']): Timing {
	const [low, usual, high] = days.map((d) => Math.max(0.5, d)) as [number, number, number];
	// The spread of all batches is that of a batch's pieces and of the batches among each other.
	const own = (s: number) => Math.sqrt(Math.max(0.05 ** 2, s * s - BATCH_SPREAD ** 2));
	return {
		mu: Math.log(usual),
		below: own(Math.max(0.01, Math.log(usual / low) / Z90)),
		above: own(Math.max(0.01, Math.log(high / usual) / Z90))
	};
}

/** Share of those that will root which has rooted after so many warmth-days, at a pace of e^`slow` times the usual days. */
function rootedBy(t: Timing, at: number, slow: number): number {
	if (at <= 0) return 0;
	const x = Math.log(at) - t.mu - slow;
	return cdf(x, 0, x < 0 ? t.below : t.above);
}

export interface Rooting {
	/** Chance that a piece, not yet known to have rooted, has by then. */
	rooted(at: number): number;
	/** Share of those that will ever root which has by then. */
	share(at: number): number;
	/** Chance that a piece that has not rooted by then still will. */
	hope(at: number): number;
	/** Chance that a piece which had not rooted at `since` has by `at`. */
	rootedSince(since: number, at: number): number;
	/** Chance to root at all, and pace: 1 usual, 2 takes twice as long. */
	chance: number;
	pace: number;
}

/** Of pieces not rooted before, the share that has by now, from the shares of those that will: the chance of an interval-censored time. */
function between(p: number, before: number, after: number): number {
	const was = p * before;
	return was >= 1 - 1e-12 ? 1 : Math.max(0, p * after - was) / (1 - was);
}

/** Likelihood of a look, given the share of the looked-at that has rooted; its constant falls out. */
function logLikelihood(look: Look, rooted: number): number {
	const s = look.sign === 'counted' ? COUNTED : SIGN_ODDS[look.sign];
	const q = Math.min(1 - 1e-9, Math.max(1e-9, s.rooted * rooted + s.not * (1 - rooted)));
	return look.showing * Math.log(q) + (look.looked - look.showing) * Math.log(1 - q);
}

const SLOW = Array.from({ length: SPEEDS }, (_, j) => BATCH_SPREAD * normalQuantile((j + 0.5) / SPEEDS, 0, 1));

/**
 * What looks teach, by Bayes' rule on a grid of chance and pace. Pieces that died unrooted are pieces that
 * never root. Looks that cannot be (more showing than looked at, before the strike) are for the caller to
 * refuse; here they are left out.
 */
export function rootingAfter(prior: RootingPrior, looks: readonly Look[], died = 0): Rooting {
	const timing = timingOf(prior.days);
	const { alpha, beta } = prior.chance;
	const told = looks
		.filter((l) => l.at >= 0 && l.showing <= l.looked && l.looked > 0)
		.map((look) => ({
			look,
			before: SLOW.map((slow) => rootedBy(timing, look.since ?? 0, slow)),
			after: SLOW.map((slow) => rootedBy(timing, look.at, slow))
		}));
	const weight = new Float64Array(CHANCES * SPEEDS);
	const chanceOf = (i: number) => (i + 0.5) / CHANCES;
	let most = -Infinity;
	for (let i = 0; i < CHANCES; i++) {
		const p = chanceOf(i);
		// Density of the Beta at the middle of each cell; its constant falls out.
		const logP = (alpha - 1) * Math.log(p) + (beta - 1 + died) * Math.log(1 - p);
		for (let j = 0; j < SPEEDS; j++) {
			let log = logP;
			for (const t of told) log += logLikelihood(t.look, between(p, t.before[j]!, t.after[j]!));
			weight[i * SPEEDS + j] = log;
			if (log > most) most = log;
		}
	}
	// The chance falls out of every question but how it hangs together with the pace: its mean at each pace is enough.
	const chanceAt = new Float64Array(SPEEDS);
	let total = 0;
	let slowness = 0;
	for (let i = 0; i < CHANCES; i++)
		for (let j = 0; j < SPEEDS; j++) {
			const w = Math.exp(weight[i * SPEEDS + j]! - most);
			total += w;
			chanceAt[j]! += w * chanceOf(i);
			slowness += w * SLOW[j]!;
		}
	for (let j = 0; j < SPEEDS; j++) chanceAt[j]! /= total;
	const chance = chanceAt.reduce((a, b) => a + b, 0);
	const rooted = (at: number) => {
		let sum = 0;
		for (let j = 0; j < SPEEDS; j++) sum += chanceAt[j]! * rootedBy(timing, at, SLOW[j]!);
		return sum;
	};
	return {
		rooted,
		share: (at) => rooted(at) / chance,
		hope: (at) => {
			const by = rooted(at);
			return by >= 1 ? 0 : (chance - by) / (1 - by);
		},
		rootedSince: (since, at) => {
			const before = rooted(since);
			return before >= 1 ? 1 : Math.max(0, rooted(Math.max(since, at)) - before) / (1 - before);
		},
		chance,
		pace: Math.exp(slowness / total)
	};
}

/** Mean temperature at which a way's days are meant, and below which its roots stand still, °C. */
export interface Warmth {
	usual_c: number;
	still_c: number;
}
/** Soft wood under cover. From memory: roots start about 5 °C and hurry to the low twenties. */
export const USUAL_WARMTH: Warmth = { usual_c: 18, still_c: 5 };
const FASTEST = 1.35;

/** Warmth-days in a day of so many °C on average: 1 at the way's usual, none in the cold, never much more. */
export const warmthDays = (meanC: number, { usual_c, still_c }: Warmth = USUAL_WARMTH): number =>
	Math.min(FASTEST, Math.max(0, (meanC - still_c) / (usual_c - still_c)));

/** A look disturbs about this share of pieces so that they set back; a rooted piece that waits unpotted loses about this a day. Common practice, no source. */
const HARM_OF_LOOK = 0.005;
const LOSS_OF_WAITING = 0.003;

/** What will not root within so many days more is not waited for, once half has. Common practice, no source. */
const NO_LONGER = 60;

export interface RootingDates {
	/** Days from now; null when not within the reach of `most`. When half and four fifths of what will root has. */
	half: number | null;
	eighty: number | null;
	/** The next look: when waiting has cost as much as the look will. */
	look: number | null;
	/** From when fewer than 1 in 10 of what has not rooted still will. */
	giveUp: number | null;
}

/**
 * Dates that follow, reading warmth-days ahead from `at` by `warmthOn` (day 0 is today). `since`: warmth-days
 * at the last count, when what is left had not rooted.
 */
export function rootingDates(r: Rooting, at: number, warmthOn: (day: number) => number, since = 0, most = 500): RootingDates {
	// Warmth-days by each day, and two months beyond the last.
	const warmth = [at];
	for (let day = 1; day <= most + NO_LONGER; day++) warmth.push(warmth[day - 1]! + warmthOn(day));
	const by = tabulated(r.rooted, Math.min(at, since), warmth.at(-1)!);
	const before = by(since);
	const newlyAt = (w: number) => (before >= 1 ? 1 : Math.max(0, by(w) - before) / (1 - before));
	const hopeAt = (w: number) => (by(w) >= 1 ? 0 : (r.chance - by(w)) / (1 - by(w)));
	const hoped = hopeAt(since);
	const found: RootingDates = { half: null, eighty: null, look: null, giveUp: null };
	let waiting = 0;
	for (let day = 0; day <= most; day++) {
		const w = warmth[day]!;
		const newly = newlyAt(w);
		if (found.half === null && hoped > 0 && newly >= 0.5 * hoped) found.half = day;
		// Of what is left and will root, four fifths have.
		if (found.eighty === null && hoped > 0 && newly >= 0.8 * hoped) found.eighty = day;
		waiting += LOSS_OF_WAITING * newly;
		if (found.look === null && waiting >= HARM_OF_LOOK) found.look = day;
		// Hope is lowest late; early on it is high because nothing has had the time. In the cold it stays, but for nothing.
		if ((found.eighty !== null || hoped < 0.1) && found.giveUp === null && by(w) > 0.5 * r.chance) {
			const soon = by(w) >= 1 ? 0 : (by(warmth[day + NO_LONGER]!) - by(w)) / (1 - by(w));
			if (hopeAt(w) < 0.1 || soon < 0.05) found.giveUp = day;
		}
		if (found.giveUp !== null && found.look !== null) break;
	}
	return found;
}

const KNOTS = 80;

/** A rising function of warmth read off a table even in the logarithm, straight between its points: a batch asks it a thousand times. */
function tabulated(of: (w: number) => number, from: number, to: number): (w: number) => number {
	const low = Math.log(Math.max(0.5, from));
	const step = Math.max(1e-9, (Math.log(Math.max(1, to)) - low) / (KNOTS - 1));
	const table = Float64Array.from({ length: KNOTS }, (_, i) => of(Math.exp(low + i * step)));
	return (w) => {
		if (w <= 0) return 0;
		const x = (Math.log(w) - low) / step;
		if (x <= 0) return of(w);
		if (x >= KNOTS - 1) return table[KNOTS - 1]!;
		const i = Math.floor(x);
		return table[i]! + (x - i) * (table[i + 1]! - table[i]!);
	};
}
