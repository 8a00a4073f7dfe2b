/** The joint plan: candidates, patterns, the choice among them, and what it comes to. */
import type { DayNumber } from '../dates.js';
import { Field, lastDue } from './candidates.js';
import type { Candidate } from './candidates.js';
import { Choice, descend, inTurn } from './descend.js';
import type { Choosing } from './descend.js';
import { JOINT } from './judged.js';
import { master } from './master.js';
import type { Solvers } from './master.js';
import { Rows } from './needs.js';
import { patternsOf, plantsOf } from './patterns.js';
import type { Pattern, PatternsOf } from './patterns.js';
import { Odds } from './wantChance.js';
import type { Part } from './wantChance.js';
import { roomIn } from './rooms.js';
import { Sample } from './sample.js';
import type { Tail } from './tail.js';
import { wayFor } from './types.js';
import type { JointPlan, JointRequest, JointWant, Load, PlannedFor } from './types.js';

/** Seasons of the sample that the search is made on. */
const SEASONS = 400;
/** Patterns put first in turn by the search, for each want. */
const TRIES = 40;
/** Nobody plans further ahead: what is due later is looked at with the last day that there is. */
export const MOST_DAYS = 3 * 366;

/** Places that are kept free have no room but for what stands in them, and that takes none of the others'. */
function keptFree(r: JointRequest): JointRequest {
	const free = new Set(r.rules?.notPlaces);
	if (free.size === 0) return r;
	return {
		...r,
		rooms: r.rooms.map((room) => (free.has(room.id) ? { ...room, cm2: 0 } : room)),
		busy: r.busy.map((b) => (b.roomId !== null && free.has(b.roomId) ? { ...b, need: { ...b.need, areaCm2: 0 } } : b))
	};
}

/** All that does not change while plans of one garden are compared. */
export interface Prepared {
	r: JointRequest;
	field: Field;
	rows: Rows;
	/** By want: as it is asked for, then as would do too. */
	faces: Face[][];
	/** By want, of all its faces. */
	candidates: Candidate[][];
	/** By want: what the sample is known to be too hopeful by. */
	margins: Float64Array;
	worth: number[];
	pools: Pattern[][];
}

/** A want as it may be met. */
export interface Face {
	want: JointWant;
	given: number;
	odds: Odds;
	candidates: readonly Candidate[];
}

/** @param known candidates worked out before, where wants' days and stock are the same: only targets may differ */
export function prepareJoint(asked: JointRequest, known?: Field, tails = new Map<number, Tail>()): Prepared {
	const r = keptFree(asked);
	const field = known ?? new Field(r, new Sample(SEASONS, r.seed, r.rho));
	const faces = r.wants.map((whole) =>
		[
			{ want: whole, given: 0 },
			...(whole.otherwise ?? []).map(({ given, ...as }) => ({ want: { ...whole, ...as, whole: whole.target }, given }))
		].map(({ want, given }): Face => ({
			...{ want, given, candidates: [...field.candidatesOf(want)] },
			odds: new Odds(want, field, tails, pinnedFor(r, field, want))
		}))
	);
	const candidates = faces.map((list) => list.flatMap((f) => f.candidates));
	const fixed = faces.map((list) => list[0]!.odds.fixed);
	const rows = rowsOf(
		r,
		candidates.map((list, i) => [...list, ...fixed[i]!.map((x) => x.c)])
	);
	holdPinned(r, rows, field, faces);
	const worth = faces.map(([f]) => worthOf(f!));
	const p: Prepared = { r, field, rows, faces, candidates, margins: new Float64Array(r.wants.length), worth, pools: [] };
	p.pools = r.wants.map((_, at) => poolOf(p, at));
	return p;
}

function rowsOf(r: JointRequest, candidates: readonly (readonly Candidate[])[]): Rows {
	const until = candidates.reduce(
		(day, list) => list.reduce((d, c) => Math.max(d, c.usual.leaves), day),
		r.wants.reduce((d, w) => Math.max(d, lastDue(w)), r.today)
	);
	const takenOn = new Map<string, DayNumber[]>();
	for (const list of candidates) for (const c of list) takenOn.set(c.source.id, [...(takenOn.get(c.source.id) ?? []), c.on]);
	return new Rows(r, Math.min(until, r.today + MOST_DAYS), takenOn);
}

/** The same patterns where there is more or less of room and minutes. */
export function withLimits(p: Prepared, asked: JointRequest): Prepared {
	const r = keptFree(asked);
	const fixed = p.faces.map(([f]) => f!.odds.fixed.map((x) => x.c));
	const rows = rowsOf(
		r,
		p.candidates.map((list, i) => [...list, ...fixed[i]!])
	);
	holdPinned(r, rows, p.field, p.faces);
	return { ...p, r, rows };
}

/** What was pinned takes its room first, even where there is too little. */
function holdPinned(r: JointRequest, rows: Rows, field: Field, faces: readonly Face[][]): void {
	faces.forEach(([f], i) => {
		const { fixed } = f!.odds;
		for (const { c, n } of fixed) rows.hold(field.asksOf(rows, c, n));
		rows.hold(rows.groundAsks(r.wants[i]!, plantsOf(fixed)));
	});
}

/** What a want is worth in money: enough that no saving of work is bought with it. */
function worthOf({ want: w, odds, candidates }: Face): number {
	const { each, perPlant, times } = JOINT.short.value;
	const missing = odds.usuallyMissing;
	const cheapest = candidates.reduce((least, c) => Math.min(least, (missing / c.mean) * c.perPiece), Infinity);
	// What may be bought is worth its price.
	const bought = w.buys ? w.buys.most * w.buys.each * JOINT.buy.value * TWICE : 0;
	return w.priority * Math.max(each + perPlant * w.target, Number.isFinite(cheapest) ? times * cheapest : 0, bought);
}

const TWICE = 2;

export const patternsFor = (p: Prepared, at: number, { want, given, odds, candidates }: Face = p.faces[at]![0]!): PatternsOf => ({
	...{ field: p.field, rows: p.rows, at, want, given, odds },
	candidates: candidates.filter((c) => !odds.fixed.some((x) => x.c.name === c.name)),
	confidence: Math.min(MOST_SURE, want.confidence + p.r.weights.surer + p.margins[at]!),
	worth: p.worth[at]!
});
const MOST_SURE = 0.995;

/** All faces' patterns, the cheapest first; of those that add nothing the cheapest alone. */
export function poolOf(p: Prepared, at: number): Pattern[] {
	const { waits, confidence } = p.r.wants[at]!;
	const all = p.faces[at]!.flatMap((face) => patternsOf(patternsFor(p, at, face))).filter(
		(x) => !waits || x.empty || x.odds >= confidence
	);
	const idle = all.filter((x) => x.empty).reduce((a, b) => (b.cost < a.cost ? b : a));
	return all.filter((x) => !x.empty || x === idle).sort((a, b) => a.cost - b.cost || (a.key < b.key ? -1 : 1));
}

/** What was pinned for a want: obeyed, in season or not. What can't be at all (a plant that has gone) is left out. */
function pinnedFor(r: JointRequest, field: Field, want: JointWant): Part[] {
	return (r.rules?.pinned ?? []).flatMap((x) => {
		const source = r.sources.find((s) => s.id === x.sourceId);
		const way = r.kinds.get(source?.kindId ?? '')?.kind.ways.find((w) => w.id === x.wayId);
		const c =
			x.wantId === want.id && source && way
				? field.candidate(want, source, wayFor(want, source.kindId, way), x.on, field.windowOn(source.kindId, way, x.on), true)
				: null;
		return c ? [{ c, n: x.pieces }] : [];
	});
}

/** Weightiest first; of like ones the one that is due first. */
const inOrder = (p: Prepared): number[] =>
	p.r.wants
		.map((w, i) => ({ i, worth: p.worth[i]!, due: w.due }))
		.sort((a, b) => b.worth - a.worth || a.due - b.due || a.i - b.i)
		.map((x) => x.i);

export interface Found {
	chosen: Pattern[];
	/** The greedy one, what it began from. */
	first: Pattern[];
	bound: number;
}

const choosingOf = (p: Prepared): Choosing => ({
	pools: p.pools.map((pool) => pool.filter((x) => fitsAlone(x, p.rows.limits))),
	limits: p.rows.limits
});
const triesOf = (p: Prepared): number => TRIES * p.r.wants.length;

/** A first choice, by hand's reach alone: there long before the best one. */
export function firstChoice(p: Prepared): Found {
	const of = choosingOf(p);
	const first = whole(p, inTurn(of, inOrder(p)));
	const best = whole(p, descend(of, first, triesOf(p)));
	const bound = of.pools.reduce((sum, pool) => sum + pool[0]!.cost, 0);
	return { chosen: best, first, bound: Math.min(bound, costOf(best)) };
}

/** A choice made better by the programme of all patterns; never worse. @param stopped asked between its steps */
export function betterChoice(p: Prepared, found: Found, solvers: Solvers, stopped?: () => boolean): Found {
	const of = choosingOf(p);
	const told = master(of, found.chosen, solvers, stopped);
	let best = found.chosen;
	if (told.chosen && holds(of, told.chosen)) {
		const polished = whole(p, descend(of, told.chosen, triesOf(p)));
		if (costOf(polished) < costOf(best) - 1e-9) best = polished;
	}
	return { chosen: best, first: found.first, bound: Math.min(Math.max(found.bound, told.bound), costOf(best)) };
}

/** The best choice found, with limits by steps, not by the clock: the same question has the same plan. */
export function choose(p: Prepared, solvers: Solvers | null, stopped?: () => boolean): Found {
	const found = firstChoice(p);
	return solvers ? betterChoice(p, found, solvers, stopped) : found;
}

/** What asks for more than there is by itself is in no plan, and would only flatter the bound. What adds nothing always fits. */
const fitsAlone = ({ asks: { rows, amounts } }: Pattern, limits: Float64Array): boolean =>
	rows.every((row, i) => amounts[i]! <= limits[row]! * (1 + 1e-6) + 1e-6);

const whole = (p: Prepared, chosen: readonly (Pattern | null)[]): Pattern[] =>
	chosen.map((x, w) => x ?? p.pools[w]!.find((y) => y.empty) ?? p.pools[w]![0]!);

export const costOf = (chosen: readonly Pattern[]): number => chosen.reduce((sum, x) => sum + x.cost, 0);

/** Does every row hold? Reckoned anew, whatever the search or the solver says. */
export function holds(of: Choosing, chosen: readonly Pattern[]): boolean {
	const { loads } = new Choice(of, chosen);
	return loads.every((load, row) => load <= of.limits[row]! * (1 + 1e-6) + 1e-6);
}

/** The choice told: batches with where they stand, and what all of it asks for week by week. */
export function tell(p: Prepared, found: Found): JointPlan {
	const wants = found.chosen.map((x, w) => toldFor(p, x, w));
	return {
		wants,
		objective: costOf(found.chosen),
		bound: found.bound,
		candidates: p.candidates.reduce((n, list) => n + list.length, 0),
		patterns: p.pools.reduce((n, pool) => n + pool.length, 0),
		loads: loadsOf(p, found.chosen)
	};
}

function toldFor(p: Prepared, x: Pattern, w: number): PlannedFor {
	const batches = x.parts.map(({ c, n }) => {
		const effort = p.field.effortOf(c, n);
		const stages = p.field.stagesOf(p.rows, c, n, effort);
		return {
			batch: {
				sourceId: c.source.id,
				wayId: c.way.id,
				on: c.on,
				pieces: n,
				inBest: c.inBest,
				pinned: p.faces[w]![0]!.odds.fixed.some((y) => y.c.name === c.name && y.n === n),
				needs: effort.stages,
				rooms: effort.stages.map((need) => firstRoom(p, p.rows.setOf(stages, need)))
			},
			effort
		};
	});
	return {
		wantId: p.r.wants[w]!.id,
		batches: batches.map((b) => b.batch).sort((a, b) => a.on - b.on),
		buys: x.buys,
		as: x.as,
		sampled: x.odds,
		alone: p.faces[w]![0]!.odds.alone,
		minutes: batches.reduce((sum, b) => sum + b.effort.minutes, 0),
		cost: batches.reduce((sum, b) => sum + b.effort.cost, 0) + boughtFor(p.r.wants[w]!, x)
	};
}

/** What a pattern's bought plants cost. */
export const boughtFor = (want: JointWant, x: Pattern): number => x.buys * (want.buys?.each ?? 0);

const firstRoom = (p: Prepared, set: number): string | null =>
	set ? (p.r.rooms.find((room, i) => set & (1 << i) && room.cm2 !== 0)?.id ?? null) : null;

function loadsOf(p: Prepared, chosen: readonly Pattern[]): Load[] {
	const { loads } = new Choice({ pools: p.pools, limits: p.rows.limits }, chosen);
	const weekly = (row: (w: number) => number, limit: (w: number) => number) =>
		Array.from({ length: p.rows.weeks }, (_, w) => ({
			from: p.rows.dayOf(w),
			busy: p.rows.busy[row(w)]!,
			plan: loads[row(w)]! + p.rows.held[row(w)]!,
			limit: limit(w)
		}));
	return [
		{
			of: 'minutes',
			weeks: weekly(
				(w) => w,
				() => p.r.minutesPerWeek
			)
		},
		...p.rows.sets.map((set, i): Load => ({
			of: p.r.rooms.filter((_, at) => set & (1 << at)).map((room) => room.id),
			weeks: weekly(
				(w) => p.rows.roomRow(i, w),
				() => roomIn(set, p.r.rooms)
			)
		}))
	];
}

/**
 * The last day on which so many pieces of a part of the plan still give the want what it is promised (or, where it is
 * short, nearly what it gets), the other batches as they are.
 */
export function lastDayOf(found: Pick<Found, 'chosen'> & { p: Prepared }, at: number, part: Pattern['parts'][number]): DayNumber {
	const { p, chosen } = found;
	const x = chosen[at]!;
	const asked = Math.min(x.odds, p.r.wants[at]!.confidence) - NEARLY_AS_GOOD;
	const face = p.faces[at]!.find((f) => f.want === x.as)!;
	let last = part.c.on;
	const later = face.candidates
		.filter((c) => c.source === part.c.source && c.way === part.c.way && c.on > part.c.on && c.most >= part.n)
		.sort((a, b) => a.on - b.on);
	for (const c of later) {
		const odds = face.odds.all(
			x.parts.map((y) => (y === part ? { c, n: y.n } : y)),
			x.buys
		);
		if (odds < asked) break;
		last = c.on;
	}
	return last;
}
/** What the sample cannot tell apart. */
const NEARLY_AS_GOOD = 0.01;
