/** A garden as the joint plan is asked about it: its wants, its stock, its places, its weeks, and all that takes of them already. */
import { endOf } from './asWanted.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { protectionOf } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { modelOf } from './model.js';
import type { Model } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import { carriedBy } from './carried.js';
import { groundFor } from './groundFree.js';
import { solver } from './solver.js';
import * as state from './store/state.js';
import { wantParts } from './wantParts.js';
import { stockPlantOf, takingsFrom } from './takings.js';
import { othersOf, standingOf, waitsFor } from './wants.js';
import { dayNumber, isoOf, yearOf } from '$lib/core/dates.js';
import { JOINT, kindsFor, MOST_DAYS, wouldDo } from '$lib/core/joint/index.js';
import { weightsOf } from '$lib/core/joint/aims.js';
import type { JointRequest, JointWant, Rules, Source, Weights } from '$lib/core/joint/index.js';
import { isBarred } from '$lib/core/material/protection.js';
import { boughtFor, priceOf } from '$lib/core/ledger/wish.js';
import { wantOdds } from '$lib/core/plan/wantOdds.js';
import type { WantOdds } from '$lib/core/plan/wantOdds.js';

/** It stands already, its day has gone by, its day is too far off, there are too many before it, or it was left out by hand. */
export type Left = 'met' | 'due' | 'far' | 'many' | 'without';
/** More wants are planned by their days, the first of them first: what is planned is a fact for the rest. */
const MOST_WANTS = 100;

export interface JointAsk {
	m: Model;
	snapshot: Snapshot;
	request: JointRequest;
	/** Batches of each want that is planned for, as the want's own odds are reckoned. */
	mine: ReadonlyMap<string, readonly Batch[]>;
	/** How many batches each want has, those that are open to change as well. */
	all: ReadonlyMap<string, number>;
	/** Batches of each want that are only planned and open to change. */
	gives: ReadonlyMap<string, readonly Batch[]>;
	/** All wants as they stand, where what is only planned is open to change as well. */
	whole: readonly state.WantRow[];
	/** Wants that nothing is planned for, and why. */
	left: readonly { wantId: string; why: Left }[];
}

export interface AsIf {
	minutes: number | null;
	/** By place: cm² more. */
	room: ReadonlyMap<string, number>;
	without: ReadonlySet<string>;
}

export interface JointOptions {
	weights?: Weights;
	rules?: Rules;
	/** As if there were so many minutes a week, so much more room in a place, and these wants were not. */
	asIf?: AsIf;
	/** Leaves batches that are only planned open to change. */
	anew?: boolean;
	seed?: number;
}

export async function jointAsk(garden: Garden, options: JointOptions = {}): Promise<JointAsk> {
	const db = database();
	const [m, whole, solve] = await Promise.all([modelOf(garden), snapshotOf(garden.id), solver()]);
	const snapshot = options.anew
		? {
				...whole,
				living: whole.living.filter((b) => b.status !== 'planned'),
				wants: whole.wants.map((w) => ({ ...w, buying: 0 }))
			}
		: whole;
	const open = snapshot.wants
		.filter((w) => !w.dropped_on && m.kinds.has(w.kind_id))
		.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
	const stocks = snapshot.stocks.filter((s) => !s.gone_on && m.kinds.has(s.kind_id));
	const ids = (rows: readonly { id: string }[]) => rows.map((r) => r.id);
	const [ofWants, fromStocks] = await Promise.all([
		state.batchesOfWants(db, garden.id, ids(open)),
		state.batchesFrom(db, garden.id, ids(stocks))
	]);
	const counts = (b: Batch) => !(options.anew && b.status === 'planned');
	const mine = new Map(open.map((w) => [w.id, ofWants.filter((b) => b.wantId === w.id && counts(b))]));
	const gives = new Map(
		open.map((w) => [
			w.id,
			ofWants.filter((b) => b.wantId === w.id && !counts(b)).sort((a, b) => (a.plannedOn! < b.plannedOn! ? -1 : 1))
		])
	);
	const wants: JointWant[] = [];
	const left: { wantId: string; why: Left }[] = [];
	for (const w of open) {
		const due = dayNumber(w.due);
		const wish = { target: w.target, due, enough: w.enough, lateWeeks: w.late_weeks };
		const otherwise = wouldDo(wish).filter((o) => o.due >= m.today && o.due <= m.today + MOST_DAYS);
		const last = otherwise.reduce((day, o) => Math.max(day, o.due), due);
		const batches = mine.get(w.id)!;
		const planted = standingOf(w, batches);
		const why = options.asIf?.without.has(w.id)
			? 'without'
			: planted >= w.target
				? 'met'
				: last < m.today
					? 'due'
					: due > m.today + MOST_DAYS
						? 'far'
						: wants.length >= MOST_WANTS
							? 'many'
							: null;
		if (why) left.push({ wantId: w.id, why });
		else
			wants.push({
				...{
					id: w.id,
					kindId: w.kind_id,
					orKinds: w.or_kinds.filter((id) => m.kinds.has(id)),
					target: w.target,
					due,
					confidence: w.confidence
				},
				priority: JOINT.weighs.value[w.weighs],
				oneAge: w.purpose === 'hedge',
				...endOf(m.garden, w, m.kinds),
				buys: w.may_buy > boughtFor(w) ? { most: w.may_buy - boughtFor(w), each: priceOf(m.kinds, w) } : null,
				bought: boughtFor(w),
				waits: waitsFor(snapshot.wants, w, m.today) !== null,
				ground: groundFor(m, snapshot, w, new Set(ids(batches))),
				already: oddsOf(m, snapshot, w, batches).pmf,
				otherwise: otherwise.map((o) => ({
					...o,
					already: oddsOf(m, snapshot, { ...w, target: o.target, due: isoOf(o.due) }, batches).pmf
				}))
			});
	}
	const wanted = new Set(wants.flatMap(kindsFor));
	const sources = stocks.filter((s) => wanted.has(s.kind_id) && !isBarred(protectionOf(s), yearOf(m.today)));
	const carried = carriedBy(m, snapshot, solve, wanted);
	const request: JointRequest = {
		...carried,
		minutesPerWeek: options.asIf?.minutes ?? carried.minutesPerWeek,
		rooms: carried.rooms.map((r) => (r.cm2 === null ? r : { ...r, cm2: r.cm2 + (options.asIf?.room.get(r.id) ?? 0) })),
		...{ wants, rho: m.record.rho, seed: options.seed ?? 1 },
		sources: sources.map((s) => sourceOf(m, s, fromStocks.filter(counts))),
		weights: options.weights ?? weightsOf('usual'),
		rules: options.rules
	};
	const all = new Map(open.map((w) => [w.id, ofWants.filter((b) => b.wantId === w.id && b.status !== 'dropped').length]));
	return { m, snapshot, request, mine, gives, all, whole: whole.wants, left };
}

/** The odds of a want with some batches: the same that Wants tells of those that it has. */
export function oddsOf(m: Model, snapshot: Snapshot, w: state.WantRow, batches: readonly Batch[]): WantOdds {
	return wantOdds(w.target, othersOf(m, w, snapshot.stocks), wantParts(m, batches, dayNumber(w.due)).parts);
}

function sourceOf(m: Model, s: state.StockRow, batches: readonly Batch[]): Source {
	const kind = m.kinds.get(s.kind_id)!;
	const ways = kind.ways.map((w) => w.id);
	return {
		...{ id: s.id, kindId: kind.id, stock: stockPlantOf(s, kind), takings: takingsFrom(s, kind, batches) },
		record: Object.fromEntries(ways.map((w) => [w, m.record.of(kind.id, w, [], s.label)])),
		shares: Object.fromEntries(ways.map((w) => [w, `${kind.id} ${w} ${m.record.isApart(kind.id, w, s.label) ? s.label : ''}`]))
	};
}
