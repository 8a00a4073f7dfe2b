/**
 * What a batch (living or planned) will come to. Given the batch's own chances, its luck and the year, its pieces
 * pass independently, each on its own days: so each luck walks its own stages, crosses its own winters and is in time
 * or not, and the counts are mixed over the lucks. What is exchangeable is summed exactly (odds/kernel.ts).
 */
import type { DayNumber } from '../dates.js';
import type { Kind, Stage, StageName, WayProfile } from '../handbook/schema.js';
import type { CohortStage } from '../ledger/cohorts.js';
import { concentrationOf, logLikelihoodOfMean, summaryOf } from '../odds/belief.js';
import type { Belief } from '../odds/belief.js';
import type { Beta } from '../odds/beta.js';
import { certain, ruleOf, shifted } from '../odds/chain.js';
import { gridFor } from '../odds/chanceGrid.js';
import { daysAt, durationOf, luckOf, ownLuckAt, shareBy } from '../odds/durations.js';
import type { Duration } from '../odds/durations.js';
import { atomRule, keptRule, through } from '../odds/kernel.js';
import type { Atom, Rule } from '../odds/kernel.js';
import { LUCKS } from '../odds/rooting.js';
import type { Rooting, RootingLeft } from '../odds/rooting.js';
import { sumOf } from '../odds/sum.js';
import type { Season } from '../season/season.js';
import type { Clock } from './clock.js';
import { LUCK_POINTS } from './lucks.js';
import type { Luck } from './lucks.js';
import { grownBy, plantedFrom, walk, wintersOf } from './walk.js';
import type { Walk, Year } from './walk.js';

export interface StandingCohort {
	stage: CohortStage;
	count: number;
	since: DayNumber;
	/** Last day on which it was counted alive: what winter there was before has been come through. */
	aliveOn: DayNumber;
}

/** Where the pieces of a batch stand: their cohorts, and those in the ground. */
export interface Standing {
	cohorts: readonly StandingCohort[];
	planted: number;
	struckOn: DayNumber;
}

export interface ForecastOf {
	kind: Pick<Kind, 'plant_out'>;
	way: Pick<WayProfile, 'stages'>;
	standing: Standing;
	/** The stages' odds for this batch: way's mean, correlation, own counts. */
	odds: ReadonlyMap<StageName, Belief>;
	/** What was seen of those that have not rooted; null if nothing was. Then their counts are not in `odds`. */
	rooting: Rooting | null;
	clock: Clock;
	today: DayNumber;
	/** What is not there by then does not count; null: however late. */
	due: DayNumber | null;
	/** A winter's chance where this batch stands, from the way's: the same if left out. */
	winterAt?: ((usual: number) => number) | undefined;
	/** The years that may come, as lists, and the usual one. */
	years: readonly Year[];
	season: Season;
}

/** Winters are told apart to an eighth: finer than a garden's record can tell them. */
const PARTS_OF_WINTER = 8;

/** Of a luck's pieces those in time, by the winters they cross, in eighths. */
interface Class {
	winters: number;
	pieces: number;
}
type Classes = readonly Class[];

interface Group {
	/** Prior weight by luck with rooting. */
	roots: Float64Array;
	classes: Classes[];
}

/** Days on which a batch may be planted: 1 in 10, usually, 9 in 10. */
export interface Dates {
	quick: DayNumber;
	usual: DayNumber;
	slow: DayNumber;
}

/** Times worked out, chances still open: the same times serve any odds. */
export interface Prepared {
	of: ForecastOf;
	groups: Group[];
	/** Share of the largest cohort that is in time. */
	inTime: number;
	dates(): Dates | null;
	usual(): Walk | null;
	/** Day by which so large a share of the largest cohort's pieces is planted, of those that ever are; null if none is. */
	plantedBy(share: number): DayNumber | null;
}

interface Times {
	/** Does the way have a stage of rooting? */
	roots: boolean;
	rooting: Duration;
	potted: { stage: Stage; duration: Duration } | null;
	ready: { stage: Stage; duration: Duration } | null;
	winters: boolean;
}

const stageOf = (way: ForecastOf['way'], to: StageName): Stage | undefined => way.stages.find((s) => s.to === to);

function timesOf(way: ForecastOf['way']): Times {
	const timed = (to: StageName) => {
		const stage = stageOf(way, to);
		return stage ? { stage, duration: durationOf(stage.days) } : null;
	};
	return {
		roots: stageOf(way, 'rooted') !== undefined,
		rooting: durationOf(stageOf(way, 'rooted')?.days ?? [0, 0, 0]),
		potted: timed('potted'),
		ready: timed('ready'),
		winters: stageOf(way, 'wintered') !== undefined
	};
}

/** Day on which one piece has rooted, given that it will and had not by the last count. */
function rootedOn(f: ForecastOf, t: Times, c: StandingCohort, luck: Luck, own: number, year: Year): DayNumber {
	const batch = LUCKS[luck.root]!.z;
	const since = f.rooting?.since ?? 0;
	const before = shareBy(t.rooting, since, batch);
	const days = daysAt(t.rooting, luckOf(batch, ownLuckAt(before + own * (1 - before))));
	const on = since > 0 ? dayOfReading(f, since) : f.standing.struckOn;
	return Math.max(c.since, f.clock.dayAt(Math.max(since, days), since, on, year));
}

const readings = new WeakMap<ForecastOf, DayNumber>();
/** The day of the last full count: where the clock read `since`. */
function dayOfReading(f: ForecastOf, since: number): DayNumber {
	let day = readings.get(f);
	if (day === undefined) {
		day = f.standing.struckOn;
		while (day < f.today && f.clock.at(day) < since - 1e-9) day++;
		readings.set(f, day);
	}
	return day;
}

/** End of a stage that begins on a day: what should have been done by today and was not is done today at the soonest. */
function passed(f: ForecastOf, stage: Times['potted'], from: DayNumber, z: number, year: Year): DayNumber {
	if (!stage) return from;
	const days = Math.round(daysAt(stage.duration, z));
	const done = stage.stage.grows === 'always' ? from + days : grownBy(year, from, days);
	return done > f.today ? done : f.today;
}

/** The way of one piece from where its cohort stands: the day it is planted; null if never. */
function plantedOn(
	f: ForecastOf,
	t: Times,
	c: StandingCohort,
	luck: Luck,
	piece: Luck['pieces'][number],
	year: Year
): DayNumber | null {
	let day = c.since;
	if (c.stage === 'unrooted' && t.roots) day = Math.max(f.today, rootedOn(f, t, c, luck, piece.root, year));
	if (c.stage !== 'potted') {
		// Those that have rooted and stand unpotted are potted from today on.
		if (t.potted && day < f.today) day = f.today;
		day = passed(f, t.potted, day, luckOf(luck.batch.potted, piece.potted), year);
	}
	day = passed(f, t.ready, day, luckOf(luck.batch.ready, piece.ready), year);
	return plantedFrom(year, Math.max(f.today, day));
}

/** Cohorts of one stage and one history are one: parts of a batch count as the batch that they were. */
function alike(cohorts: readonly StandingCohort[]): StandingCohort[] {
	const merged = new Map<string, StandingCohort>();
	for (const c of cohorts) {
		const key = `${c.stage} ${c.since} ${c.aliveOn}`;
		merged.set(key, { ...c, count: c.count + (merged.get(key)?.count ?? 0) });
	}
	return [...merged.values()].sort((a, b) => a.stage.localeCompare(b.stage) || a.since - b.since || a.aliveOn - b.aliveOn);
}

/** Walks every luck, and puts those together that come to the same. */
export function prepare(asked: ForecastOf): Prepared {
	const f = { ...asked, standing: { ...asked.standing, cohorts: alike(asked.standing.cohorts) } };
	const t = timesOf(f.way);
	const cohorts = f.standing.cohorts;
	const groups = new Map<string, Group>();
	const largest = largestOf(cohorts);
	const days: { day: DayNumber; w: number }[] = [];
	let inTime = 0;
	let all = 0;
	const left = f.rooting?.of(null).lucks;
	for (const luck of LUCK_POINTS) {
		const year = f.years[Math.floor(luck.year * f.years.length)]!;
		// What the looks taught of the batch's pace weighs its days, too.
		const w = (luck.w * (left ? left[luck.root]! / LUCKS[luck.root]!.w : 1)) / luck.pieces.length;
		let key = '';
		const classes = cohorts.map((c, i): Classes => {
			const found: Class[] = [];
			for (const piece of luck.pieces) {
				const day = plantedOn(f, t, c, luck, piece, year);
				if (i === largest) all += w;
				if (day === null) continue;
				if (i === largest) days.push({ day, w });
				if (f.due !== null && day > f.due) continue;
				if (i === largest) inTime += w;
				const winters = t.winters ? Math.round(wintersOf(year, c.aliveOn, day) * PARTS_OF_WINTER) : 0;
				const same = found.find((x) => x.winters === winters);
				if (same) same.pieces++;
				else found.push({ winters, pieces: 1 });
			}
			found.sort((a, b) => a.winters - b.winters);
			for (const x of found) key += `${x.winters}:${x.pieces} `;
			key += '|';
			return found;
		});
		let group = groups.get(key);
		if (!group) groups.set(key, (group = { roots: new Float64Array(LUCKS.length), classes }));
		group.roots[luck.root]! += luck.w;
	}
	let usual: Walk | null | undefined;
	const usually = () => (usual === undefined ? (usual = usualOf(f)) : usual);
	return {
		of: f,
		groups: [...groups.values()],
		inTime: all > 0 ? inTime / all : 1,
		dates: () => datesOf(days, usually()),
		usual: usually,
		plantedBy: (share) => dayAtShare(days, share)
	};
}

/** Weighted quantile of the days; null without any. */
function dayAtShare(days: { day: DayNumber; w: number }[], share: number): DayNumber | null {
	if (days.length === 0) return null;
	const sorted = [...days].sort((a, b) => a.day - b.day);
	const total = sorted.reduce((s, d) => s + d.w, 0);
	let sum = 0;
	for (const d of sorted) if ((sum += d.w) >= share * total - 1e-12) return d.day;
	return sorted.at(-1)!.day;
}

function datesOf(days: { day: DayNumber; w: number }[], usual: Walk | null): Dates | null {
	if (!usual || days.length === 0) return null;
	return {
		quick: Math.min(dayAtShare(days, 0.1)!, usual.planted),
		usual: usual.planted,
		slow: Math.max(dayAtShare(days, 0.9)!, usual.planted)
	};
}

/** The cohort with most pieces, by its place in the list. */
const largestOf = (cohorts: readonly StandingCohort[]): number =>
	cohorts.reduce((a, c, i) => (c.count > (cohorts[a]?.count ?? 0) ? i : a), 0);

/** The usual way of the largest part of a batch from where it stands; null when nothing is in hand or it is never planted. */
export const usualOf = (f: ForecastOf): Walk | null => usualWalk(f, f.standing.cohorts[largestOf(f.standing.cohorts)] ?? null);

/** The way that pieces of a cohort usually go, in the usual year. */
function usualWalk(f: ForecastOf, c: StandingCohort | null): Walk | null {
	if (!c) return null;
	const has = (stage: StageName) => stageOf(f.way, stage) !== undefined;
	const reached = c.stage === 'unrooted' ? null : has(c.stage) ? c.stage : has('rooted') ? 'rooted' : null;
	const waiting = c.stage === 'rooted' && has('potted');
	return walk({
		kind: f.kind,
		way: f.way,
		start: waiting ? Math.max(f.today, c.since) : c.stage === 'unrooted' ? f.standing.struckOn : c.since,
		season: f.season,
		reached,
		aliveOn: c.aliveOn,
		today: f.today,
		rootedOn: c.stage === 'unrooted' ? usuallyRooted(f) : null
	});
}

/** Day by which half of the pieces left that will root have. */
function usuallyRooted(f: ForecastOf): DayNumber | null {
	const stage = stageOf(f.way, 'rooted');
	if (!stage) return null;
	const d = durationOf(stage.days);
	const since = f.rooting?.since ?? 0;
	const z = f.rooting ? f.rooting.of(null).lucks.reduce((s, w, b) => s + w * LUCKS[b]!.z, 0) : 0;
	const before = shareBy(d, since, z);
	const days = daysAt(d, luckOf(z, ownLuckAt(before + 0.5 * (1 - before))));
	const on = since > 0 ? dayOfReading(f, since) : f.standing.struckOn;
	const year: Year = { rests: f.season.standstills(on - 366, on + 1500), plantings: [] };
	return f.clock.dayAt(Math.max(since, days), since, on, year);
}

/** Points over the chance of a winter, where part of one is crossed. */
const WINTER_POINTS = 33;
/** Shares of pieces nearer to each other than this are taken together at their mean. */
const SHARE_BINS = 200;
/** The same where several cohorts are told apart: their combinations are many, and means are kept. */
const COARSE_BINS = 40;
const WHOLE = PARTS_OF_WINTER;
const PIECES_A_LUCK = LUCK_POINTS[0]!.pieces.length;

/** One state of the batch's surroundings: for each cohort the share that is in time and through its winters. */
interface Surroundings {
	/** Prior weight by luck with rooting, and of all. */
	roots: Float64Array;
	w: number;
	shares: number[];
}

/** Share of a luck's pieces that are in time and live, when a whole winter is come through with this chance. */
function shareOf(classes: Classes, chance: number): number {
	let pieces = 0;
	for (const c of classes) pieces += c.winters === 0 ? c.pieces : c.pieces * chance ** (c.winters / WHOLE);
	return pieces / PIECES_A_LUCK;
}

function surroundings(p: Prepared, winter: Belief | null): Surroundings[] {
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
			// Ends stay ends: certain is not nearly certain.
			const bin = (s: number) => (s >= 1 ? Infinity : s <= 0 ? -1 : Math.round(s * (many ? COARSE_BINS : SHARE_BINS)));
			const key = many ? shares.map(bin).join() : bin(shares[0]!);
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

/** Is every winter crossed a whole one, and no other number of them? Then it is a stage like any other. */
const onlyWholeWinters = (p: Prepared): boolean =>
	p.groups.every((g) => g.classes.every((c) => c.every((x) => x.winters === WHOLE)));
const noWinters = (p: Prepared): boolean => p.groups.every((g) => g.classes.every((c) => c.every((x) => x.winters === 0)));

const LATER: readonly StageName[] = ['potted', 'wintered', 'ready', 'planted'];

/** Distribution of how many are in the ground in the end (by the due day), at given odds. */
export function countsOf(p: Prepared, odds: ReadonlyMap<StageName, Belief>, left: RootingLeft | null): Float64Array {
	const { cohorts, planted } = p.of.standing;
	const all = cohorts.reduce((n, c) => n + c.count, 0);
	if (all === 0) return certain(planted);
	const winter = odds.get('wintered');
	const whole = winter !== undefined && onlyWholeWinters(p);
	const states = surroundings(p, winter && !whole && !noWinters(p) ? winter : null);
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
		// Ends stay ends: certain is not nearly certain.
		const key = q <= 0 ? -1 : q >= 1 ? Infinity : Math.round(q * SHARE_BINS);
		const bin = bins.get(key);
		if (bin) {
			bin.q = (bin.q * bin.w + q * w) / (bin.w + w || 1);
			bin.w += w;
		} else bins.set(key, { w, q });
		all += w;
	}
	return [...bins.values()].map((b) => ({ w: b.w / all, q: b.q }));
}

export interface Forecast {
	/** Chance for each number in the ground in the end, or by the due day if one was given. */
	pmf: Float64Array;
	/** Chance that a piece of the largest part is in time. */
	inTime: number;
	/** Stages ahead, with the batch's own odds told as one Beta each. */
	ahead: { stage: StageName; odds: Beta }[];
	/** The usual way of the largest part from here on. */
	usual: Walk | null;
	planted: Dates | null;
}

export function forecast(f: ForecastOf): Forecast {
	return forecastFrom(prepare(f));
}

export function forecastFrom(p: Prepared): Forecast {
	const { standing, odds, rooting } = p.of;
	const stages = new Set<StageName>();
	for (const c of standing.cohorts) {
		if (c.stage === 'unrooted') stages.add('rooted');
		if (c.stage !== 'potted') stages.add('potted');
		for (const s of ['ready', 'planted'] as const) stages.add(s);
	}
	if (!noWinters(p)) stages.add('wintered');
	const told = (stage: StageName): Beta =>
		stage === 'rooted' && rooting ? asBeta(rooting.of(null)) : summaryOf(odds.get(stage)!);
	return {
		pmf: countsOf(p, odds, rooting?.of(null) ?? null),
		inTime: p.inTime,
		ahead: p.of.way.stages.filter((s) => stages.has(s.to) && odds.has(s.to)).map((s) => ({ stage: s.to, odds: told(s.to) })),
		usual: p.usual(),
		planted: p.dates()
	};
}

/** What those left come to, as one Beta of the same mean and spread. */
function asBeta(left: RootingLeft): Beta {
	let mean = 0;
	let square = 0;
	left.atoms.forEach((atoms, j) =>
		atoms.forEach(({ w, q }) => {
			mean += left.lucks[j]! * w * q;
			square += left.lucks[j]! * w * q * q;
		})
	);
	const m = Math.min(0.9999, Math.max(0.0001, mean));
	const weight = Math.max(0.01, (m * (1 - m)) / Math.max(1e-9, square - mean * mean) - 1);
	return { alpha: m * weight, beta: (1 - m) * weight };
}

/** The same when the way's means are given, and how well they explain what this batch showed (ln, up to a constant). */
export function countsGiven(p: Prepared, means: ReadonlyMap<StageName, number>): { logEvidence: number; pmf: Float64Array } {
	let logEvidence = 0;
	const odds = new Map<StageName, Belief>();
	for (const [stage, belief] of p.of.odds) {
		const usual = means.get(stage)!;
		const mu = stage === 'wintered' && p.of.winterAt ? p.of.winterAt(usual) : usual;
		const c = concentrationOf(Math.max(1e-4, belief.rho ?? 0));
		odds.set(stage, { alpha: mu * c, beta: (1 - mu) * c, rho: 0, passed: belief.passed, failed: belief.failed });
		logEvidence += logLikelihoodOfMean(mu, belief);
	}
	const left = p.of.rooting?.of(odds.get('rooted')!) ?? null;
	if (left) logEvidence += Math.log(Math.max(1e-300, left.evidence));
	return { logEvidence, pmf: countsOf(p, odds, left) };
}
