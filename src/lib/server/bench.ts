/** Batches as the bench shows them: what they are, what they will come to, what is next. */
import { kindsOf, recordOf, wayIn } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { handbook } from './handbook.js';
import { meansOf, rootingOf, ROOTING_DAYS } from './rooting.js';
import type { RootingView } from './rooting.js';
import { seasonOf } from './season.js';
import { readingsSince } from './store/weather.js';
import { forecastBatch } from './wants.js';
import * as state from './store/state.js';
import { addDays, dayNumber, isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { StageName, WayProfile } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { quantilesOf } from '$lib/core/odds/strike.js';
import { batchTasks } from '$lib/core/round/tasks.js';
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
	/** What its pieces stand in, and how many of those: for the drawing to scale. */
	holds: { name: string; areaCm2: number; count: number };
	/** Is it rooted yet? Null when nothing is left to root. */
	rooting: RootingView | null;
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

export async function batchViews(
	garden: Garden,
	day: DayNumber,
	batches: readonly Batch[],
	wanted: { curve?: boolean; forecast?: boolean } = {}
): Promise<BatchView[]> {
	const db = database();
	const [kinds, places, season, readings] = await Promise.all([
		kindsOf(garden),
		state.places(db, garden.id),
		seasonOf(garden),
		readingsSince(db, garden.id, addDays(garden.today, -ROOTING_DAYS))
	]);
	const record = await recordOf(garden.id);
	const now = dayNumber(garden.today);
	const means = meansOf(places, readings, season.sky);
	return batches.map((b): BatchView => {
		const kind = kinds.get(b.kindId);
		const profile = wayIn(kind, b.wayId);
		const way = profile ? handbook().ways.get(profile.way) : undefined;
		const place = places.find((p) => p.id === b.placeId);
		const rooting =
			kind && profile
				? rootingOf(garden, b, kind, profile, record.of(b.kindId, b.wayId, b.seen), means(b.placeId), wanted.curve ?? false)
				: null;
		const f =
			b.status === 'dropped' || b.status === 'done' || wanted.forecast === false
				? null
				: forecastBatch(b, kinds, record, garden, null, undefined, rooting?.late ?? 0);
		const q = f ? quantilesOf(f.pmf) : null;
		const tasks = kind && profile ? batchTasks(b, kind, profile, day, day + 500, garden.climate, rooting) : [];
		tasks.sort((a, c) => a.from - c.from);
		return {
			...b,
			kindName: kind?.common ?? b.kindId,
			wayName: way?.name ?? b.wayId,
			pieceWord: way?.piece ?? ['piece', 'pieces'],
			placeName: place?.name ?? '',
			inHand: inHand(b),
			coming: f && q ? { mean: f.pmf.reduce((s, p, k) => s + p * k, 0), p05: q.p05, p50: q.p50, p95: q.p95 } : null,
			plantedOn: f?.planted
				? { quick: isoOf(f.planted.quick), usual: isoOf(f.planted.usual), slow: isoOf(f.planted.slow) }
				: null,
			steps: (f?.usual?.steps ?? []).map((s) => ({ to: s.stage.to, from: isoOf(s.from), on: isoOf(s.to) })),
			expected: f?.usual && day > now ? expectedOn(b, f.ahead, f.usual.steps, day) : expectedOn(b, [], [], day),
			next: tasks[0] ?? null,
			rooting,
			holds: holdsOf(b, profile)
		};
	});
}

/** Containers of a batch as they stand now: named by the person, else the handbook's for its stage. */
function holdsOf(b: Batch, profile: WayProfile | undefined): BatchView['holds'] {
	const { containers } = handbook();
	const stage = b.potted > 0 ? profile?.stages.find((s) => s.to === 'potted' || s.to === 'ready') : profile?.stages[0];
	const c = [...containers.values()].find((x) => x.name === b.container) ?? containers.get(stage?.holds ?? '');
	const pieces = b.status === 'planned' ? b.plannedCount : inHand(b);
	return { name: c?.name ?? 'pot', areaCm2: c?.area_cm2 ?? 81, count: Math.ceil(pieces / Math.max(1, c?.pieces ?? 1)) };
}
