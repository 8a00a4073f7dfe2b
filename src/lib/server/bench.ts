/** Batches as the bench shows them: what they are, what they will come to, what is next. */
import { kindsOf, recordOf, wayIn } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { handbook } from './handbook.js';
import { forecastBatch } from './wants.js';
import * as state from './store/state.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { StageName } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { quantilesOf } from '$lib/core/odds/strike.js';
import { batchTasks, inWalkingOrder, shelterTask, winterLook } from '$lib/core/round/tasks.js';
import type { Task } from '$lib/core/round/tasks.js';

export interface BatchView extends Batch {
	kindName: string;
	wayName: string;
	pieceWord: [string, string];
	placeName: string;
	inHand: number;
	/** What it will usually come to, and between what, in the ground. */
	coming: { mean: number; p05: number; p50: number; p95: number } | null;
	plantedOn: { quick: string; usual: string; slow: string } | null;
	/** Stages with the day they are usually reached. */
	steps: { to: StageName; from: string; on: string }[];
	/** Expected on the viewed day: stage and pieces. */
	expected: { stage: StageName | 'struck' | 'planned'; pieces: number };
	next: Task | null;
}

/** What is expected of a batch on a day to come: the stage it will have reached and how many are left. */
export function expectedOn(
	b: Batch,
	ahead: readonly { stage: StageName; odds: { alpha: number; beta: number } }[],
	steps: readonly { stage: { to: StageName }; from: DayNumber; to: DayNumber }[],
	day: DayNumber
): { stage: StageName | 'struck' | 'planned'; pieces: number } {
	if (b.status === 'planned' && dayNumber(b.plannedOn!) > day) return { stage: 'planned', pieces: b.plannedCount };
	let stage: StageName | 'struck' = b.potted > 0 ? 'potted' : b.rooted > 0 && b.unrooted === 0 ? 'rooted' : 'struck';
	let pieces = b.status === 'planned' ? b.plannedCount : inHand(b);
	for (const step of steps) {
		if (step.to > day) break;
		stage = step.stage.to;
		const odds = ahead.find((a) => a.stage === step.stage.to)?.odds;
		if (odds) pieces *= odds.alpha / (odds.alpha + odds.beta);
	}
	return { stage, pieces };
}

export async function batchViews(garden: Garden, day: DayNumber, batches: readonly Batch[]): Promise<BatchView[]> {
	const db = database();
	const [kinds, places] = await Promise.all([kindsOf(garden.id), state.places(db, garden.id)]);
	// Ended batches have nothing ahead of them that the record could tell.
	const living = batches.filter((b) => b.status === 'planned' || b.status === 'growing');
	const record = await recordOf(
		garden.id,
		living.map((b) => b.kindId)
	);
	const now = dayNumber(garden.today);
	return batches.map((b): BatchView => {
		const kind = kinds.get(b.kindId);
		const profile = wayIn(kind, b.wayId);
		const way = profile ? handbook().ways.get(profile.way) : undefined;
		const f = b.status === 'dropped' || b.status === 'done' ? null : forecastBatch(b, kinds, record, garden, null);
		const q = f ? quantilesOf(f.pmf) : null;
		const tasks = kind && profile ? batchTasks(b, kind, profile, day, day + 500, garden.climate) : [];
		tasks.sort((a, c) => a.from - c.from);
		return {
			...b,
			kindName: kind?.common ?? b.kindId,
			wayName: way?.name ?? b.wayId,
			pieceWord: way?.piece ?? ['piece', 'pieces'],
			placeName: places.find((p) => p.id === b.placeId)?.name ?? '',
			inHand: inHand(b),
			coming: f && q ? { mean: f.pmf.reduce((s, p, k) => s + p * k, 0), p05: q.p05, p50: q.p50, p95: q.p95 } : null,
			plantedOn: f?.planted
				? { quick: isoOf(f.planted.quick), usual: isoOf(f.planted.usual), slow: isoOf(f.planted.slow) }
				: null,
			steps: (f?.usual?.steps ?? []).map((s) => ({ to: s.stage.to, from: isoOf(s.from), on: isoOf(s.to) })),
			expected: f?.usual && day > now ? expectedOn(b, f.ahead, f.usual.steps, day) : expectedOn(b, [], [], day),
			next: tasks[0] ?? null
		};
	});
}

export interface RoundStop {
	placeId: string | null;
	placeName: string;
	tasks: (Task & { title: string; code: string | null; late: boolean; link: string; seen: number | null })[];
	minutes: number;
}

export interface Round {
	stops: RoundStop[];
	minutes: number;
	/** Minutes a week that the person gives. */
	budget: number;
	/** What may wait with the least loss when there is more than that, by key. */
	mayWait: string[];
	later: { on: string; title: string; link: string }[];
}

const VERB: Record<Task['kind'], string> = {
	strike: 'Strike',
	look: 'Look at',
	'winter-look': 'Look over',
	pot: 'Pot',
	'winter-count': 'Count',
	shelter: 'Bring in',
	plant: 'Plant',
	decide: 'Decide'
};

/** The round of a day: all that falls due within a week of it, in walking order. */
export async function roundOf(garden: Garden, day: DayNumber): Promise<Round> {
	const db = database();
	const [kinds, places, all, stocks] = await Promise.all([
		kindsOf(garden.id),
		state.places(db, garden.id),
		state.batches(db, garden.id, ['planned', 'growing']),
		state.stocks(db, garden.id)
	]);
	const place = new Map(places.map((p) => [p.id, p]));
	const sheltered = (id: string | null) => ['sill', 'lit_shelf', 'frame', 'garage'].includes(place.get(id ?? '')?.kind ?? '');
	const horizon = day + 60;
	const tasks: Task[] = [];
	for (const b of all) {
		const kind = kinds.get(b.kindId);
		const way = wayIn(kind, b.wayId);
		if (!kind || !way) continue;
		tasks.push(...batchTasks(b, kind, way, day, horizon, garden.climate));
		tasks.push(...winterLook(b, sheltered(b.placeId), day, horizon, garden.climate));
		if (b.status === 'growing')
			tasks.push(
				...shelterTask(
					{ id: b.id, what: 'batch', placeId: b.placeId, count: inHand(b), sheltered: sheltered(b.placeId) },
					kind,
					day,
					horizon,
					garden.climate
				)
			);
	}
	for (const s of stocks) {
		const kind = kinds.get(s.kind_id);
		if (!kind || s.gone_on) continue;
		tasks.push(
			...shelterTask(
				{ id: s.id, what: 'stock', placeId: s.place_id, count: s.count, sheltered: sheltered(s.place_id) },
				kind,
				day,
				horizon,
				garden.climate
			)
		);
	}
	const batchById = new Map(all.map((b) => [b.id, b]));
	const stockById = new Map(stocks.map((s) => [s.id, s]));
	const nameOf = (t: Task) => {
		const b = t.batchId ? batchById.get(t.batchId) : undefined;
		const s = t.stockId ? stockById.get(t.stockId) : undefined;
		return kinds.get(b?.kindId ?? s?.kind_id ?? '')?.common ?? '';
	};
	const title = (t: Task) =>
		t.kind === 'winter-count' ? `Count ${t.count} ${nameOf(t)} after winter` : `${VERB[t.kind]} ${t.count} ${nameOf(t)}`;
	const link = (t: Task) => (t.batchId ? `bench/${t.batchId}${`?do=${t.kind}`}` : t.stockId ? `stock/${t.stockId}` : 'wants');
	// A planned batch is struck where its stock stands, if it has no place of its own.
	const at = (t: Task) => (t.kind === 'strike' && t.stockId ? (stockById.get(t.stockId)?.place_id ?? t.placeId) : t.placeId);
	const placed = tasks.map((t) => ({ ...t, placeId: at(t) }));
	const due = inWalkingOrder(
		placed.filter((t) => t.from <= day + 6),
		(id) => place.get(id ?? '')?.walk ?? 1000
	);
	const stops: RoundStop[] = [];
	for (const t of due) {
		let stop = stops.find((s) => s.placeId === t.placeId);
		if (!stop)
			stops.push(
				(stop = {
					placeId: t.placeId,
					placeName: place.get(t.placeId ?? '')?.name ?? 'No place given',
					tasks: [],
					minutes: 0
				})
			);
		stop.tasks.push({
			...t,
			title: title(t),
			code: t.batchId ? (batchById.get(t.batchId)?.code ?? null) : null,
			late: t.by < day,
			link: link(t),
			seen: t.batchId ? (batchById.get(t.batchId)?.entries ?? null) : null
		});
		stop.minutes += t.minutes;
	}
	const minutes = due.reduce((sum, t) => sum + t.minutes, 0);
	const budget = garden.data.minutes_per_week;
	const mayWait: string[] = [];
	let over = minutes - budget;
	// Let wait what has the longest time left, until the rest fits.
	for (const t of [...due].sort((a, b) => b.by - a.by)) {
		if (over <= 0) break;
		if (t.by <= day + 6) break;
		mayWait.push(t.key);
		over -= t.minutes;
	}
	const later = placed
		.filter((t) => t.from > day + 6)
		.sort((a, b) => a.from - b.from)
		.slice(0, 6)
		.map((t) => ({ on: isoOf(t.from), title: title(t), link: link(t) }));
	return { stops, minutes, budget, mayWait, later };
}
