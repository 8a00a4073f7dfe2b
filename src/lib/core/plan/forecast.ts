/** What a living (or planned) batch will come to: from what was seen, through the stages still ahead. */
import cdf from '@stdlib/stats-base-dists-normal-cdf';
import quantileOfNormal from '@stdlib/stats-base-dists-normal-quantile';
import type { DayNumber } from '../dates.js';
import type { Kind, Stage, StageName, WayProfile } from '../handbook/schema.js';
import { betaOf, learn, meanOf } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import { certain, shifted, through } from '../odds/chain.js';
import type { Tallies } from '../evidence/evidence.js';
import type { Climate } from '../season/climate.js';
import { chanceInTime, walk } from './walk.js';
import type { Walk } from './walk.js';

/** How many pieces of a batch stand at which stage now. */
export interface Standing {
	unrooted: number;
	rooted: number;
	potted: number;
	planted: number;
	/** Day of the last entry: a winter before it has been come through. */
	aliveOn: DayNumber | null;
	/** Day of striking (for a planned batch the day it is to be struck). */
	struckOn: DayNumber;
	/** Day since when the rooted and the potted stand where they stand. */
	since: DayNumber;
	/** Last day on which the rooted were counted, if ever. */
	lookedOn: DayNumber | null;
	seen: Tallies;
}

type Pool = 'unrooted' | 'rooted' | 'potted';

export interface Forecast {
	/** Chance for each number in the ground in the end, however late. */
	pmf: Float64Array;
	/** The same, counting only what is there by the due day. */
	pmfInTime: Float64Array;
	/** Chance that the largest part of the batch is in time. */
	inTime: number;
	/** Stages ahead with the odds used. */
	ahead: { stage: StageName; odds: Beta }[];
	/** The usual way of the largest part from here on. */
	usual: Walk | null;
	planted: { quick: DayNumber; usual: DayNumber; slow: DayNumber } | null;
}

const POOLS: readonly Pool[] = ['unrooted', 'rooted', 'potted'];

/** The share of pieces that have rooted so long after striking, of those that ever will. */
export function shareRooted([low, usual, high]: Stage['days'], days: number): number {
	if (days <= 0) return 0;
	const z90 = quantileOfNormal(0.9, 0, 1);
	const z = Math.log(days / usual);
	const reach = z < 0 ? Math.log(usual / Math.max(low, usual / 20)) : Math.log(Math.max(high, usual * 1.01) / usual);
	return cdf((z / reach) * z90, 0, 1);
}

/**
 * Odds of a piece that was looked at and had not rooted: by Bayes it is either slow or never will,
 * p(1 − F) against 1 − p. The weight stays, for no more is known of such pieces than of others.
 */
export function oddsOfSlow(odds: Beta, share: number): Beta {
	const p = meanOf(odds);
	const slow = p * (1 - share);
	const mean = slow / (slow + 1 - p);
	return betaOf(Math.min(0.999, Math.max(0.001, mean)), odds.alpha + odds.beta);
}

/**
 * Forecast of a batch. `odds` are the way's, taught by other batches; the batch's own counts are
 * added whole. The unrooted, the rooted and the potted go their ways at their own times; luck with
 * time is taken to be the same for all, so the slowest part is the first to come too late.
 */
export function forecast(
	kind: Pick<Kind, 'plant_out'>,
	way: Pick<WayProfile, 'stages'>,
	standing: Standing,
	odds: ReadonlyMap<StageName, Beta>,
	today: DayNumber,
	due: DayNumber | null,
	climate: Climate
): Forecast {
	const own = new Map(
		[...odds].map(([stage, b]) => {
			const tally = standing.seen[stage];
			return [stage, tally ? learn(b, tally.passed, tally.failed) : b] as const;
		})
	);
	const rooting = way.stages.find((s) => s.to === 'rooted');
	const first = odds.get('rooted');
	if (rooting && first && standing.lookedOn !== null && standing.unrooted > 0) {
		const tally = standing.seen.rooted ?? { passed: 0, failed: 0 };
		// Those counted as rooted are no luck of the rest; what was lost is, and how long it has been.
		const seen = learn(first, tally.passed, tally.failed);
		own.set('rooted', oddsOfSlow(seen, shareRooted(rooting.days, standing.lookedOn - standing.struckOn)));
	}

	const pools = POOLS.filter((p) => standing[p] > 0);
	if (pools.length === 0) {
		const done = certain(standing.planted);
		return { pmf: done, pmfInTime: done, inTime: 1, ahead: [], usual: null, planted: null };
	}

	const go = (pool: Pool, q: number) => walkPool(kind, way, standing, pool, q, today, climate);
	const largest = largestPool(standing)!;
	const usual = go(largest, 0.5);
	const winters = usual?.steps.filter((s) => s.stage.to === 'wintered').length ?? 0;
	const lastStages = [...Array<StageName>(winters).fill('wintered'), 'ready' as const, 'planted' as const].filter((s) =>
		own.has(s)
	);

	/** Distribution of what comes of some of the pools. */
	const pmfOf = (some: ReadonlySet<Pool>): Float64Array => {
		const count = (p: Pool) => (some.has(p) ? standing[p] : 0);
		let pmf = certain(count('unrooted'));
		if (own.has('rooted')) pmf = through(pmf, own.get('rooted')!);
		pmf = shifted(pmf, count('rooted'));
		if (own.has('potted')) pmf = through(pmf, own.get('potted')!);
		pmf = shifted(pmf, count('potted'));
		for (const stage of lastStages) pmf = through(pmf, own.get(stage)!);
		return shifted(pmf, standing.planted);
	};

	const ahead = [
		...(standing.unrooted > 0 && own.has('rooted') ? (['rooted'] as const) : []),
		...(standing.unrooted + standing.rooted > 0 && own.has('potted') ? (['potted'] as const) : []),
		...lastStages
	].map((stage) => ({ stage, odds: own.get(stage)! }));

	const pmf = pmfOf(new Set(pools));
	const times = new Map(pools.map((p) => [p, due === null ? 1 : chanceInTime((q) => go(p, q)?.planted ?? null, due)]));
	const day = (q: number) => go(largest, q)?.planted ?? null;
	const dates = [day(0.1), day(0.5), day(0.9)] as const;
	return {
		pmf,
		pmfInTime: [...times.values()].every((t) => t === 1) ? pmf : inTimeMixture(times, pmfOf, pmf.length),
		inTime: times.get(largest)!,
		ahead,
		usual,
		planted:
			dates[0] !== null && dates[1] !== null && dates[2] !== null ? { quick: dates[0], usual: dates[1], slow: dates[2] } : null
	};
}

const largestPool = (s: Standing): Pool | null =>
	POOLS.reduce<Pool | null>((a, b) => (s[b] > 0 && (a === null || s[b] >= s[a]) ? b : a), null);

function walkPool(
	kind: Pick<Kind, 'plant_out'>,
	way: Pick<WayProfile, 'stages'>,
	standing: Standing,
	pool: Pool,
	q: number,
	today: DayNumber,
	climate: Climate
): Walk | null {
	const has = (stage: StageName) => way.stages.some((s) => s.to === stage);
	const at = pool === 'unrooted' ? null : has(pool) ? pool : has('rooted') ? 'rooted' : null;
	const start = pool === 'unrooted' ? standing.struckOn : standing.since;
	const w = walk(kind, way, start, q, climate, at, standing.aliveOn);
	// What should have been done by today and was not cannot be planted before today.
	if (!w || w.planted >= today) return w;
	const late = walk(kind, { stages: way.stages.filter((s) => s.to === 'planted') }, today, q, climate);
	return late ? { steps: [...w.steps.slice(0, -1), ...late.steps], planted: late.planted } : null;
}

/** The usual way of the largest part of a batch from where it stands; null when nothing is in hand. */
export function usualWalk(
	kind: Pick<Kind, 'plant_out'>,
	way: Pick<WayProfile, 'stages'>,
	standing: Standing,
	today: DayNumber,
	climate: Climate
): Walk | null {
	const pool = largestPool(standing);
	return pool && walkPool(kind, way, standing, pool, 0.5, today, climate);
}

/** One luck for all pools: up to the smallest chance all are in time, then one after another drops out. */
function inTimeMixture(
	times: ReadonlyMap<Pool, number>,
	pmfOf: (some: ReadonlySet<Pool>) => Float64Array,
	length: number
): Float64Array {
	const mixed = new Float64Array(length);
	const order = [...times].sort((a, b) => a[1] - b[1]);
	let from = 0;
	for (let i = 0; i <= order.length; i++) {
		const to = i < order.length ? order[i]![1] : 1;
		if (to > from) {
			const left = new Set(order.slice(i).map(([p]) => p));
			pmfOf(left).forEach((p, k) => (mixed[k]! += p * (to - from)));
		}
		from = Math.max(from, to);
	}
	return mixed;
}
