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
