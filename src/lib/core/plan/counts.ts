/**
 * How many come through: the lucks of a batch mixed over its chances. Given both, pieces pass independently, so what is
 * exchangeable is summed exactly (odds/kernel.ts).
 */
import type { StageName } from '../handbook/schema.js';
import type { CohortStage } from '../ledger/cohorts.js';
import { concentrationOf, logLikelihoodOfMean } from '../odds/belief.js';
import type { Belief } from '../odds/belief.js';
import { certain, ruleOf, shifted } from '../odds/chain.js';
import { gridFor } from '../odds/chanceGrid.js';
import { atomRule, keptRule, through } from '../odds/kernel.js';
import type { Atom, Rule } from '../odds/kernel.js';
import { LUCKS } from '../odds/rooting.js';
import type { RootingLeft } from '../odds/rooting.js';
import { sumOf } from '../odds/sum.js';
import { PIECES } from './lucks.js';
import { PARTS_OF_WINTER } from './timing.js';
import type { Classes, Prepared } from './timing.js';

/** Points over the chance of a winter, where part of one is crossed. */
const WINTER_POINTS = 33;
/** Shares of pieces nearer to each other than this are taken together at their mean. */
const SHARE_BINS = 64;
/** The same where several cohorts are told apart: their combinations are many, and means are kept. */
const COARSE_BINS = 24;
const WHOLE = PARTS_OF_WINTER;

/** One state of the batch's surroundings: for each cohort the share that is in time and through its winters. */
export interface Surroundings {
	/** Prior weight by luck with rooting, and of all. */
	roots: Float64Array;
	w: number;
	shares: number[];
}

/** Share of a luck's pieces that are in time and live, when a whole winter is come through with this chance. */
function shareOf(classes: Classes, chance: number): number {
	let pieces = 0;
	for (const c of classes) pieces += c.winters === 0 ? c.pieces : c.pieces * chance ** (c.winters / WHOLE);
	return pieces / PIECES;
}

/** Ends stay ends: certain is not nearly certain. */
const binOf = (share: number, bins: number): number => (share >= 1 ? Infinity : share <= 0 ? -1 : Math.round(share * bins));

/** By batch and the chance of its winter: while a batch is summed over many means of its other stages. */
export type KnownStates = Map<Prepared, Map<string, Surroundings[]>>;

function surroundings(p: Prepared, winter: Belief | null, known?: KnownStates): Surroundings[] {
	const work = () => withFrost(p, mixedWinters(p, winter));
	if (!known) return work();
	const key = winter ? `${winter.alpha} ${winter.beta}` : '';
	let of = known.get(p);
	if (!of) known.set(p, (of = new Map()));
	let states = of.get(key);
	if (!states) of.set(key, (states = work()));
	return states;
}

function mixedWinters(p: Prepared, winter: Belief | null): Surroundings[] {
	const grid = winter ? gridFor(winter, WINTER_POINTS) : { p: [1], w: [1] };
	const found = new Map<string | number, Surroundings>();
	const many = p.of.standing.cohorts.length > 1;
	for (const g of p.groups) {
		const weight = g.roots.reduce((a, b) => a + b, 0);
		for (let k = 0; k < grid.p.length; k++) {
			const part = grid.w[k]!;
			const w = weight * part;
			if (w < 1e-10) continue;
			const shares = g.classes.map((c) => shareOf(c, grid.p[k]!));
			const key = many ? shares.map((s) => binOf(s, COARSE_BINS)).join() : binOf(shares[0]!, SHARE_BINS);
			const same = found.get(key);
			if (same) {
				for (let i = 0; i < shares.length; i++) same.shares[i] = (same.shares[i]! * same.w + shares[i]! * w) / (same.w + w);
				same.w += w;
				for (let j = 0; j < g.roots.length; j++) same.roots[j]! += g.roots[j]! * part;
			} else found.set(key, { roots: g.roots.map((r) => r * part), w, shares });
		}
	}
	return [...found.values()];
}

/** A night that killed kills all that stood in it: beside each state the same one with those gone. */
function withFrost(p: Prepared, states: Surroundings[]): Surroundings[] {
	const { frost, standing } = p.of;
	if (!frost) return states;
	const { alive, on } = frost;
	const part = (s: Surroundings, w: number, shares: number[]) => ({ roots: s.roots.map((r) => r * w), w: s.w * w, shares });
	return states.flatMap((s) => [
		part(s, alive, s.shares),
		part(
			s,
			1 - alive,
			s.shares.map((share, i) => (standing.cohorts[i]!.aliveOn < on ? 0 : share))
		)
	]);
}

/** Is every winter crossed a whole one, and no other number of them? Then it is a stage like any other. */
const onlyWholeWinters = (p: Prepared): boolean =>
	p.groups.every((g) => g.classes.every((c) => c.every((x) => x.winters === WHOLE)));
export const noWinters = (p: Prepared): boolean => p.groups.every((g) => g.classes.every((c) => c.every((x) => x.winters === 0)));

const LATER: readonly StageName[] = ['potted', 'wintered', 'ready', 'planted'];

/** Distribution of how many are in the ground in the end (by the due day), at given odds. */
export function countsOf(
	p: Prepared,
	odds: ReadonlyMap<StageName, Belief>,
	left: RootingLeft | null,
	known?: KnownStates
): Float64Array {
	const { cohorts, planted } = p.of.standing;
	const all = cohorts.reduce((n, c) => n + c.count, 0);
	if (all === 0) return certain(planted);
	const winter = odds.get('wintered');
	const whole = winter !== undefined && onlyWholeWinters(p);
	const states = surroundings(p, winter && !whole && !noWinters(p) ? winter : null, known);
	const rules = new Map([...odds].map(([to, belief]) => [to, keptRule(ruleOf(belief, all))]));
	const stage = (pmf: Float64Array, to: StageName) => {
		const rule = rules.get(to);
		return rule && (to !== 'wintered' || whole) ? through(pmf, rule) : pmf;
	};
	const weights = (s: Surroundings) => (left ? s.roots.map((r, j) => (r * left.lucks[j]!) / LUCKS[j]!.w) : s.roots);
	/** Chances to root ever for those left, over the lucks of a state. */
	const rootAtoms = (s: Surroundings, share: number): Atom[] =>
		left!.atoms.flatMap((atoms, j) => {
			const w = weights(s)[j]!;
			return w < 1e-12 ? [] : atoms.map((a) => ({ w: w * a.w, q: a.q * share }));
		});
	if (cohorts.length === 1) {
		// All pieces alike: the states are points of one chance, and in which order they are thinned does not matter.
		const [c] = cohorts;
		const unrooted = c!.stage === 'unrooted' && odds.has('rooted');
		const atoms = states.flatMap((s) =>
			unrooted && left ? rootAtoms(s, s.shares[0]!) : [{ w: weights(s).reduce((a, b) => a + b, 0), q: s.shares[0]! }]
		);
		let pmf = certain(c!.count);
		if (unrooted && !left) pmf = stage(pmf, 'rooted');
		for (const to of LATER) if (to !== 'potted' || c!.stage !== 'potted') pmf = stage(pmf, to);
		return shifted(through(pmf, atomRule(gathered(atoms))), planted);
	}
	const total = new Float64Array(all + planted + 1);
	const rootRules = left?.atoms.map((atoms) => keptRule(atomRule(gathered(atoms))));
	for (const s of states) {
		const w = weights(s).reduce((a, b) => a + b, 0);
		if (w < 1e-9) continue;
		const thinned = (at: CohortStage) =>
			cohorts.reduce<Float64Array | null>((sum, c, i) => {
				if (c.stage !== at) return sum;
				const pmf = atomRule([{ w: 1, q: s.shares[i]! }])(c.count);
				return sum ? sumOf(sum, pmf) : pmf;
			}, null) ?? certain(0);
		let pmf = thinned('unrooted');
		if (pmf.length > 1 && odds.has('rooted')) pmf = through(pmf, rootRules ? mixed(rootRules, weights(s)) : rules.get('rooted')!);
		pmf = stage(sumOf(pmf, thinned('rooted')), 'potted');
		pmf = sumOf(pmf, thinned('potted'));
		for (const to of LATER.slice(1)) pmf = stage(pmf, to);
		pmf.forEach((v, k) => (total[k + planted]! += w * v));
	}
	const sum = total.reduce((a, b) => a + b, 0);
	return total.map((v) => v / sum);
}

/**
 * A batch of one cohort that has shown nothing yet: the chances of a piece to be in time and through its winters, as
 * points; or, where every way through crosses one whole winter, in time alone, with the winter a stage like any other.
 */
export function chancesOf(p: Prepared, odds: ReadonlyMap<StageName, Belief>): { whole: boolean; atoms: Atom[] } {
	const winter = odds.get('wintered');
	const whole = winter !== undefined && onlyWholeWinters(p);
	const grid = winter && !whole && !noWinters(p) ? gridFor(winter, WINTER_POINTS) : { p: [1], w: [1] };
	// The last bins are for what is certain either way.
	const weights = new Float64Array(SHARE_BINS + 3);
	const sums = new Float64Array(SHARE_BINS + 3);
	for (const g of p.groups) {
		const weight = g.roots.reduce((a, b) => a + b, 0);
		for (let k = 0; k < grid.p.length; k++) {
			const w = weight * grid.w[k]!;
			const q = Math.min(1, shareOf(g.classes[0]!, grid.p[k]!));
			const bin = q >= 1 ? SHARE_BINS + 2 : q <= 0 ? SHARE_BINS + 1 : Math.round(q * SHARE_BINS);
			weights[bin]! += w;
			sums[bin]! += w * q;
		}
	}
	const atoms: Atom[] = [];
	const all = weights.reduce((a, b) => a + b, 0);
	weights.forEach((w, bin) => {
		if (w > 1e-12) atoms.push({ w: w / all, q: sums[bin]! / w });
	});
	return { whole, atoms };
}

/** One rule or another by chance: its rows are theirs, weighed. */
const mixed =
	(rules: readonly Rule[], weights: Float64Array): Rule =>
	(n) => {
		const row = new Float64Array(n + 1);
		const all = weights.reduce((a, b) => a + b, 0);
		rules.forEach((rule, j) => {
			if (weights[j]! > 1e-9 * all) rule(n).forEach((p, k) => (row[k]! += (weights[j]! / all) * p));
		});
		return row;
	};

/** Points of a chance brought together at their means, with weights that sum to 1. */
export function gathered(atoms: readonly Atom[]): Atom[] {
	const bins = new Map<number, Atom>();
	let all = 0;
	for (const { w, q } of atoms) {
		const key = binOf(q, SHARE_BINS);
		const bin = bins.get(key);
		if (bin) {
			bin.q = (bin.q * bin.w + q * w) / (bin.w + w || 1);
			bin.w += w;
		} else bins.set(key, { w, q });
		all += w;
	}
	return [...bins.values()].map((b) => ({ w: b.w / all, q: b.q }));
}

/** The same when the way's means are given, and how well they explain what this batch showed (ln, up to a constant). */
export function countsGiven(
	p: Prepared,
	means: ReadonlyMap<StageName, number>,
	known?: KnownStates
): { logEvidence: number; pmf: Float64Array } {
	let logEvidence = 0;
	const odds = new Map<StageName, Belief>();
	for (const [stage, belief] of p.of.odds) {
		const usual = means.get(stage)!;
		const mu = p.of.at ? p.of.at(stage, usual) : usual;
		const c = concentrationOf(Math.max(1e-4, belief.rho ?? 0));
		odds.set(stage, { alpha: mu * c, beta: (1 - mu) * c, rho: 0, passed: belief.passed, failed: belief.failed });
		logEvidence += logLikelihoodOfMean(mu, belief);
	}
	const left = p.of.rooting?.of(odds.get('rooted')!) ?? null;
	if (left) logEvidence += Math.log(Math.max(1e-300, left.evidence));
	return { logEvidence, pmf: countsOf(p, odds, left, known) };
}
