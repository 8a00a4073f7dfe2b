/**
 * When a batch's pieces are planted: each luck walks its own stages, crosses its own winters and is in time or not. What
 * comes to the same is put together; which of the pieces live is left open (counts.ts).
 */
import type { DayNumber } from '../dates.js';
import type { Kind, Stage, StageName, WayProfile } from '../handbook/schema.js';
import type { CohortStage } from '../ledger/cohorts.js';
import type { Belief } from '../odds/belief.js';
import { daysAt, durationOf, luckOf, ownLuckAt, shareBy } from '../odds/durations.js';
import type { Duration } from '../odds/durations.js';
import { LUCKS } from '../odds/rooting.js';
import type { Rooting } from '../odds/rooting.js';
import type { Season } from '../season/season.js';
import type { Clock } from './clock.js';
import { endsInPots } from './ends.js';
import { daysByLuck, LUCK_POINTS, OWN_SHARES, PIECES } from './lucks.js';
import { tableFor } from './timetable.js';
import type { Timetable } from './timetable.js';
import { FURTHEST_DAYS, walk } from './walk.js';
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
	/** Of a way that ends in pots: the day for which they are wanted. */
	wanted?: DayNumber | null | undefined;
	/** A stage's chance where this batch stands and when it was struck, from the way's: the same if left out. */
	at?: ((stage: StageName, usual: number) => number) | undefined;
	/** A night that may have killed all that was last seen alive before it, and the chance that it did not. */
	frost?: { on: DayNumber; alive: number } | null | undefined;
	/** The years that may come, as lists, and the usual one. */
	years: readonly Year[];
	season: Season;
}

/** Winters are told apart to an eighth: finer than a garden's record can tell them. */
export const PARTS_OF_WINTER = 8;
/** Nothing is nursed through more winters than this before it is planted. */
const MOST_PARTS = 8 * PARTS_OF_WINTER;

/** Of a luck's pieces those in time, by the winters they cross, in eighths. */
export interface Class {
	winters: number;
	pieces: number;
}
export type Classes = readonly Class[];

export interface Group {
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

/** A stage that takes time: does it go on through winter, and its days by luck and piece. */
interface Timed {
	always: boolean;
	days: Float32Array;
}

interface Times {
	/** Null where the way has no stage of rooting. */
	rooting: { duration: Duration; days: Float32Array } | null;
	potted: Timed | null;
	ready: Timed | null;
	winters: boolean;
}

const stageOf = (way: ForecastOf['way'], to: StageName): Stage | undefined => way.stages.find((s) => s.to === to);

function timesOf(way: ForecastOf['way']): Times {
	const timed = (to: 'potted' | 'ready'): Timed | null => {
		const stage = stageOf(way, to);
		return stage ? { always: stage.grows === 'always', days: daysByLuck(to, stage.days) } : null;
	};
	const rooted = stageOf(way, 'rooted');
	return {
		rooting: rooted ? { duration: durationOf(rooted.days), days: daysByLuck('rooted', rooted.days) } : null,
		potted: timed('potted'),
		ready: timed('ready'),
		winters: stageOf(way, 'wintered') !== undefined
	};
}

/** Of each piece (by its place among all) the day on which it has rooted, given that it will and had not by the last count. */
function rootedOf(f: ForecastOf, t: Times, c: StandingCohort): (root: number, i: number, year: Year) => DayNumber {
	const { rooting } = t;
	if (c.stage !== 'unrooted' || !rooting) return () => c.since;
	const since = f.rooting?.since ?? 0;
	const { clock, today } = f;
	const { struckOn } = f.standing;
	const soonest = Math.max(today, c.since);
	if (since === 0) return (_, i, year) => Math.max(soonest, clock.dayAt(rooting.days[i]!, 0, struckOn, year));
	const from = dayOfReading(f, since);
	const before = LUCKS.map(({ z }) => shareBy(rooting.duration, since, z));
	return (root, i, year) => {
		const share = before[root]! + OWN_SHARES[i]! * (1 - before[root]!);
		const days = daysAt(rooting.duration, luckOf(LUCKS[root]!.z, ownLuckAt(share)));
		return Math.max(soonest, clock.dayAt(Math.max(since, days), since, from, year));
	};
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
function passed(today: DayNumber, stage: Timed, from: DayNumber, i: number, t: Timetable): DayNumber {
	const days = stage.days[i]!;
	const done = stage.always ? from + days : t.base + t.dayOf[Math.min(t.days, t.grown[Math.min(t.days, from - t.base)]! + days)]!;
	return done > today ? done : today;
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

/** When the largest cohort's pieces are planted: weight by day, of all and of those in time. */
class Planted {
	all = 0;
	inTime = 0;
	private readonly weights: Float64Array;

	constructor(
		private readonly first: DayNumber,
		days: number,
		private readonly due: DayNumber
	) {
		this.weights = new Float64Array(days);
	}

	/** @param on null: never */
	add(on: DayNumber | null, w: number): void {
		this.all += w;
		if (on === null) return;
		this.weights[on - this.first]! += w;
		if (on <= this.due) this.inTime += w;
	}

	days = (): Days => daysOf(this.first, this.weights);
}

/** A cohort's pieces of one luck: those that are in time, by the winters they cross. Each is told to `planted` where it counts. */
type Walked = (luck: number, year: number, planted: Planted | null, w: number) => Classes;

function walkedBy(f: ForecastOf, t: Times, c: StandingCohort, tables: readonly Timetable[]): Walked {
	const rooted = rootedOf(f, t, c);
	const potted = c.stage === 'potted' ? null : t.potted;
	const pots = endsInPots(f.way);
	const due = f.due ?? Infinity;
	const { today } = f;
	const byWinters = new Int32Array(MOST_PARTS + 1);
	return (k, at, planted, w) => {
		const year = f.years[at]!;
		const table = tables[at]!;
		const { root } = LUCK_POINTS[k]!;
		const behind = table.winters[c.aliveOn - table.base]!;
		byWinters.fill(0);
		for (let i = k * PIECES; i < (k + 1) * PIECES; i++) {
			let day = rooted(root, i, year);
			// Those that have rooted and stand unpotted are potted from today on.
			if (potted) day = passed(today, potted, Math.max(today, day), i, table);
			if (t.ready) day = passed(today, t.ready, day, i, table);
			day = Math.max(today, day) - table.base;
			const on = day >= table.days ? -1 : pots ? day : table.planted[day]!;
			planted?.add(on < 0 ? null : on + table.base, w);
			if (on < 0 || on + table.base > due) continue;
			byWinters[t.winters ? Math.min(MOST_PARTS, Math.round((table.winters[on]! - behind) * PARTS_OF_WINTER)) : 0]!++;
		}
		const found: Class[] = [];
		for (let winters = 0; winters <= MOST_PARTS; winters++)
			if (byWinters[winters]! > 0) found.push({ winters, pieces: byWinters[winters]! });
		return found;
	};
}

/** Walks every luck, and puts those together that come to the same. */
export function prepare(asked: ForecastOf): Prepared {
	const f = { ...asked, standing: { ...asked.standing, cohorts: alike(asked.standing.cohorts) } };
	const t = timesOf(f.way);
	const { cohorts, struckOn } = f.standing;
	const largest = largestOf(cohorts);
	const left = f.rooting?.of(null).lucks;
	const first = cohorts.reduce((day, c) => Math.min(day, c.since, c.aliveOn), Math.min(f.today, struckOn));
	const last = Math.max(f.today, struckOn) + FURTHEST_DAYS;
	const tables = f.years.map((year) => tableFor(year, first, last));
	const many = tables.reduce((n, t) => Math.max(n, t.base + t.days + 1 - first), 1);
	const planted = new Planted(first, many, f.due ?? Infinity);
	const walked = cohorts.map((c) => walkedBy(f, t, c, tables));
	const groups = new Map<string, Group>();
	LUCK_POINTS.forEach((luck, k) => {
		const at = Math.floor(luck.year * f.years.length);
		// What the looks taught of the batch's pace weighs its days, too.
		const w = (luck.w * (left ? left[luck.root]! / LUCKS[luck.root]!.w : 1)) / PIECES;
		const classes = walked.map((of, j) => of(k, at, j === largest ? planted : null, w));
		const key = classes.map((list) => list.map((c) => `${c.winters}:${c.pieces} `).join('')).join('|');
		let group = groups.get(key);
		if (!group) groups.set(key, (group = { roots: new Float64Array(LUCKS.length), classes }));
		group.roots[luck.root]! += luck.w;
	});
	const days = planted.days();
	let usual: Walk | null | undefined;
	const usually = () => (usual === undefined ? (usual = usualOf(f)) : usual);
	return {
		of: f,
		groups: [...groups.values()],
		inTime: planted.all > 0 ? planted.inTime / planted.all : 1,
		dates: () => datesOf(days, usually()),
		usual: usually,
		plantedBy: (share) => dayAtShare(days, share)
	};
}

/** Days on which any are planted, in order, with their weight. */
interface Days {
	on: Int32Array;
	w: Float64Array;
}

function daysOf(first: DayNumber, weights: Float64Array): Days {
	const at: number[] = [];
	weights.forEach((w, i) => w > 0 && at.push(i));
	return { on: Int32Array.from(at, (i) => first + i), w: Float64Array.from(at, (i) => weights[i]!) };
}

/** Weighted quantile of the days; null without any. */
function dayAtShare({ on, w }: Days, share: number): DayNumber | null {
	const total = w.reduce((a, b) => a + b, 0);
	let sum = 0;
	for (let i = 0; i < on.length; i++) if ((sum += w[i]!) >= share * total - 1e-12) return on[i]!;
	return on.at(-1) ?? null;
}

function datesOf(days: Days, usual: Walk | null): Dates | null {
	const quick = dayAtShare(days, 0.1);
	if (!usual || quick === null) return null;
	return {
		quick: Math.min(quick, usual.planted),
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
		wanted: f.wanted,
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
