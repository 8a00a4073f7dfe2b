/** The odds of a want: its batches together, and what they hang on. */
import { grouped } from '../grouped.js';
import type { Beta } from '../odds/beta.js';
import { betaOf, meanOf, spreadOf } from '../odds/beta.js';
import { certain } from '../odds/chain.js';
import { gaussNodes } from '../odds/gaussNodes.js';
import { atLeast, meanCount, quantilesOf } from '../odds/strike.js';
import type { Quantiles } from '../odds/strike.js';
import { sumOf } from '../odds/sum.js';
import type { StageName } from '../handbook/schema.js';
import { countsGiven, countsOf } from './counts.js';
import type { KnownStates } from './counts.js';
import type { Prepared } from './timing.js';

export interface WantOdds {
	probability: number;
	quantiles: Quantiles;
	mean: number;
	pmf: Float64Array;
}

/** A batch as it counts towards a want, or (parts of one strike) several with one chance. */
export interface WantBatch {
	/** Batches of one kind and way share their mean chances. */
	way: string;
	/** The way's mean by stage, without what the want's own batches showed. */
	means: ReadonlyMap<StageName, Beta>;
	/** The same with it: where the means are looked for. */
	likely: ReadonlyMap<StageName, Beta>;
	prepared: Prepared;
}

/**
 * Gauss nodes over the way's mean chances, shared by its batches: a product rule, most nodes for the stage whose mean
 * is least known. Against three times as many for each no chance moves by more than .002 (tested).
 */
const NODES = [4, 3, 2, 2, 2] as const;

/** How much a stage's mean, being unknown, moves what comes of a batch. */
const unknownOf = (b: Beta): number => spreadOf(b) / meanOf(b);

/** Every combination of the stages' nodes, with its weight. */
function combinations(likely: ReadonlyMap<StageName, Beta>, finer: number): { w: number; means: Map<StageName, number> }[] {
	const order = [...likely].sort((a, b) => unknownOf(b[1]) - unknownOf(a[1]));
	return order.reduce(
		(all, [stage, beta], i) => {
			const nodes = gaussNodes(beta, (NODES[i] ?? 2) * finer);
			return all.flatMap((c) => nodes.map((n) => ({ w: c.w * n.w, means: new Map([...c.means, [stage, n.mu] as const]) })));
		},
		[{ w: 1, means: new Map<StageName, number>() }]
	);
}

const logDensity = (mu: number, { alpha, beta }: Beta): number => (alpha - 1) * Math.log(mu) + (beta - 1) * Math.log1p(-mu);

/** Several batches of one way: their counts are independent only when the means are given. */
function together(batches: readonly WantBatch[], finer: number): Float64Array {
	const { means: prior, likely } = batches[0]!;
	const known: KnownStates = new Map();
	const told = combinations(likely, finer).map(({ w, means }) => {
		// The nodes lie as the likely means do: what that differs from the prior is made good by weight.
		let log = Math.log(w);
		for (const [s, mu] of means) log += logDensity(mu, prior.get(s)!) - logDensity(mu, likely.get(s)!);
		let pmf = certain(0);
		for (const b of batches) {
			const given = countsGiven(b.prepared, means, known);
			log += given.logEvidence;
			pmf = sumOf(pmf, given.pmf);
		}
		return { log, pmf };
	});
	const best = told.reduce((m, t) => Math.max(m, t.log), -Infinity);
	const total = new Float64Array(told[0]!.pmf.length);
	let all = 0;
	for (const t of told) {
		const w = Math.exp(t.log - best);
		all += w;
		t.pmf.forEach((v, k) => (total[k]! += w * v));
	}
	return total.map((v) => v / all);
}

/**
 * Distribution of what all batches bring together, in time. Ways are independent of each other; one batch alone is
 * exact. `finer` multiplies the nodes of every stage: for tests.
 */
export function countsTogether(batches: readonly WantBatch[], finer = 1): Float64Array {
	let pmf = certain(0);
	for (const group of grouped(batches, (b) => b.way).values()) {
		const [only] = group;
		const { odds, rooting } = only!.prepared.of;
		const one = group.length === 1 ? countsOf(only!.prepared, odds, rooting?.of(null) ?? null) : together(group, finer);
		pmf = sumOf(pmf, one);
	}
	return pmf;
}

/**
 * The odds that a target stands by the due day. A batch that comes too late counts for nothing: a plant that is not
 * there on the day is not what was asked. `others` are counts from elsewhere (the parent kept alive), independent.
 */
export function wantOdds(target: number, others: readonly Float64Array[], batches: readonly WantBatch[]): WantOdds {
	const pmf = others.reduce(sumOf, countsTogether(batches));
	return { pmf, probability: atLeast(pmf, target), quantiles: quantilesOf(pmf), mean: meanCount(pmf) };
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
 * The stage on which a want hangs most: each stage's chance is set one standard deviation lower and higher, and the
 * odds that move furthest decide. Only an order is asked for, so the other batches are taken as they are.
 */
export function hangsOn(
	target: number,
	others: readonly Float64Array[],
	batches: readonly { prepared: Prepared; ahead: readonly { stage: StageName; odds: Beta }[] }[]
): Hinge | null {
	const alone = batches.map(({ prepared: p }) => countsOf(p, p.of.odds, p.of.rooting?.of(null) ?? null));
	const elsewhere = others.reduce(sumOf, certain(0));
	let worst: Hinge | null = null;
	batches.forEach(({ prepared, ahead }, i) => {
		const rest = alone.reduce((sum, pmf, j) => (j === i ? sum : sumOf(sum, pmf)), elsewhere);
		for (const { stage, odds } of ahead) {
			const at = (m: number) => {
				const sure = betaOf(Math.min(0.999, Math.max(0.001, m)), SURE);
				const set = new Map([...prepared.of.odds, [stage, sure] as const]);
				const left = stage === 'rooted' ? null : (prepared.of.rooting?.of(null) ?? null);
				return atLeast(sumOf(rest, countsOf(prepared, set, left)), target);
			};
			const swing = at(meanOf(odds) + spreadOf(odds)) - at(meanOf(odds) - spreadOf(odds));
			if (!worst || swing > worst.swing) worst = { batch: i, stage, swing };
		}
	});
	return worst;
}
