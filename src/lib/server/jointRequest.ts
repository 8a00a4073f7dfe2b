/** A garden as the joint plan is asked about it: its wants, its stock, its places, its weeks, and all that takes of them already. */
import type { Garden } from './context.js';
import { database } from './db.js';
import { protectionOf, inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { forecastOf, known, modelOf } from './model.js';
import type { Model } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import { solver } from './solver.js';
import * as state from './store/state.js';
import { wantParts } from './wantParts.js';
import { keepOf, stockPlantOf, takingsFrom } from './wants.js';
import { winterIn } from './winterPlan.js';
import { dayNumber, yearOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { MOST_DAYS } from '$lib/core/joint/index.js';
import { weightsOf } from '$lib/core/joint/aims.js';
import type { Busy, JointRequest, JointWant, KindYears, Room, Rules, Source, Weights } from '$lib/core/joint/index.js';
import { isBarred } from '$lib/core/material/protection.js';
import { effortOf } from '$lib/core/plan/effort.js';
import { wantOdds } from '$lib/core/plan/wantOdds.js';
import type { WantOdds } from '$lib/core/plan/wantOdds.js';

/** It stands already, its day has gone by, its day is too far off, or there are too many before it. */
export type Left = 'met' | 'due' | 'far' | 'many';
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
	/** Wants that nothing is planned for, and why. */
	left: readonly { wantId: string; why: Left }[];
}

export interface JointOptions {
	weights?: Weights;
	rules?: Rules;
	/** Leaves batches that are only planned open to change. */
	anew?: boolean;
	seed?: number;
}

export async function jointAsk(garden: Garden, options: JointOptions = {}): Promise<JointAsk> {
	const db = database();
	const [m, whole, solve] = await Promise.all([modelOf(garden), snapshotOf(garden.id), solver()]);
	const snapshot = options.anew ? { ...whole, living: whole.living.filter((b) => b.status !== 'planned') } : whole;
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
	const wants: JointWant[] = [];
	const left: { wantId: string; why: Left }[] = [];
	for (const w of open) {
		const due = dayNumber(w.due);
		const batches = mine.get(w.id)!;
		const planted = batches.reduce((n, b) => n + b.planted - b.lostPlanted, 0);
		const why =
			planted >= w.target
				? 'met'
				: due < m.today
					? 'due'
					: due > m.today + MOST_DAYS
						? 'far'
						: wants.length >= MOST_WANTS
							? 'many'
							: null;
		if (why) left.push({ wantId: w.id, why });
		else
			wants.push({
				...{ id: w.id, kindId: w.kind_id, target: w.target, due, confidence: w.confidence, priority: 1 },
				already: oddsOf(m, snapshot, w, batches).pmf
			});
	}
	const wanted = new Set(wants.map((w) => w.kindId));
	const sources = stocks.filter((s) => wanted.has(s.kind_id) && !isBarred(protectionOf(s), yearOf(m.today)));
	const rooms: Room[] = m.places.filter((p) => !p.closed).map((p) => ({ id: p.id, kind: p.kind, cm2: p.room_cm2 }));
	const busy = [...busyBatches(m, snapshot.living), ...busyStock(m, snapshot, solve)];
	const of = (kindId: string): KindYears => {
		const kind = m.kinds.get(kindId)!;
		return { kind, season: m.season.usualFor(kind), years: m.season.years(kind) };
	};
	const kindIds = new Set([...wanted, ...busy.map((b) => b.kindId)]);
	const request: JointRequest = {
		...{ today: m.today, wants, rooms, busy, book: m.book, rho: m.record.rho, seed: options.seed ?? 1 },
		sources: sources.map((s) => sourceOf(m, s, fromStocks.filter(counts))),
		kinds: new Map([...kindIds].map((id) => [id, of(id)])),
		// Nobody who keeps plants has no time for them: none means that they have not said.
		minutesPerWeek: garden.data.minutes_per_week || Infinity,
		away: garden.data.away.map((a) => ({ from: dayNumber(a.from), to: dayNumber(a.to) })),
		weights: options.weights ?? weightsOf('usual'),
		rules: options.rules
	};
	const all = new Map(open.map((w) => [w.id, ofWants.filter((b) => b.wantId === w.id && b.status !== 'dropped').length]));
	return { m, snapshot, request, mine, all, left };
}

/** The odds of a want with some batches: the same that Wants tells of those that it has. */
export function oddsOf(m: Model, snapshot: Snapshot, w: state.WantRow, batches: readonly Batch[]): WantOdds {
	const parents = w.purpose === 'keep' ? [keepOf(m, m.kinds.get(w.kind_id)!, snapshot.stocks, dayNumber(w.due)).pmf] : [];
	return wantOdds(w.target, parents, wantParts(m, batches, dayNumber(w.due)).parts);
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

/** What living and planned batches will ask for, stage by stage; the present stage where they stand. */
function busyBatches(m: Model, living: readonly Batch[]): Busy[] {
	return living.flatMap((b): Busy[] => {
		const k = known(m, b);
		const usual = k && forecastOf(m, k).usual;
		if (!k || !usual) return [];
		const pieces = b.status === 'planned' ? b.plannedCount : inHand(b);
		const { stages } = effortOf({ walk: usual, odds: k.odds, struck: pieces, way: k.way, book: m.book });
		return stages.map((need, i) => ({
			kindId: b.kindId,
			struck: i === 0 && b.status === 'planned',
			roomId: i === 0 && b.status === 'growing' ? b.placeId : null,
			grows: k.way.stages.find((s) => s.to === need.to)?.grows ?? 'season',
			need
		}));
	});
}

/** Plants of the stock that stand under a roof in winter, in the winters to come as in the next. */
function busyStock(m: Model, snapshot: Snapshot, solve: Awaited<ReturnType<typeof solver>>): Busy[] {
	const winter = winterIn(m, snapshot, solve);
	const roofed = new Set(winter.rooms.map((p) => p.id));
	const rests = m.season.usual.standstills(m.today, m.today + MOST_DAYS);
	return winter.things.flatMap((t): Busy[] => {
		const place = winter.plan.at.get(t.id)?.place ?? null;
		if (t.what !== 'stock' || place === null || !roofed.has(place)) return [];
		return rests.map((rest) => ({
			kindId: t.kind.id,
			roomId: place,
			grows: 'season',
			struck: false,
			need: standing(rest.from, rest.to, t.areaCm2, t.count)
		}));
	});
}

const standing = (from: DayNumber, until: DayNumber, areaCm2: number, count: number): Busy['need'] => ({
	...{ to: 'wintered' as const, from, until, entering: count, container: '', open: false, containers: count, areaCm2 },
	...{ litres: 0, minutes: 0, minutesPerWeek: 0, handling: 0 }
});
