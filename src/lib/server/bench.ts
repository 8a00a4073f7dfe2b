/** Batches as the bench shows them: what they are, what they will come to, what is next. */
import { wayLabel } from './windows.js';
import { wayIn } from './context.js';
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import { holdsOf } from './holds.js';
import type { Holds } from './holds.js';
import { forecastOf, known, modelOf, rootingViewOf, tasksFor, troubleIn } from './model.js';
import type { Known, Model } from './model.js';
import type { RootingView } from './rooting.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/names.js';
import type { StageName } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import type { Trouble } from '$lib/core/plan/troubleWords.js';
import { meanCount, quantilesOf } from '$lib/core/odds/strike.js';
import { endsInPots } from '$lib/core/plan/ends.js';
import type { Task } from '$lib/core/round/tasks.js';

export interface BatchView extends Batch {
	kindName: string;
	/** What people call this form of it; blank where they do not. */
	form: string;
	wayName: string;
	pieceWord: [string, string];
	placeName: string;
	inHand: number;
	/** What it will usually come to, and between what, in the ground. */
	coming: { mean: number; p05: number; p50: number; p95: number } | null;
	/** It is wanted in pots: it is planted nowhere, and those days are of being ready. */
	inPots: boolean;
	plantedOn: { quick: string; usual: string; slow: string } | null;
	/** Stages with the day they are usually reached. */
	steps: { to: StageName; from: string; on: string }[];
	/** Expected on the viewed day: stage and pieces. */
	expected: { stage: StageName | 'struck' | 'planned'; pieces: number };
	next: Task | null;
	/** What its pieces stand in, and how many of those: for the drawing to scale. */
	holds: Holds;
	/** Is it rooted yet? Null when nothing is left to root. */
	rooting: RootingView | null;
	/** Frost that was, a day off its window, a day gone by. */
	trouble: Trouble | null;
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

/** What each asks for next, and the room it takes, cm²: enough to put hundreds in order. */
export async function standingOfAll(
	garden: Garden,
	day: DayNumber,
	batches: readonly Batch[]
): Promise<Map<string, { next: Task | null; roomCm2: number }>> {
	const m = await modelOf(garden);
	return new Map(
		batches.map((b) => {
			const k = known(m, b);
			const holds = holdsOf(b, wayIn(m.kinds.get(b.kindId), b.wayId), m.book);
			return [b.id, { next: k ? nextOf(m, k, day) : null, roomCm2: holds.areaCm2 * holds.count }];
		})
	);
}

/** Nobody plans a day's work further ahead. */
const NEXT_WITHIN = 500;
const nextOf = (m: Model, k: Known, day: DayNumber): Task | null => tasksFor(m, k, day, day + NEXT_WITHIN)[0] ?? null;

export async function batchViews(
	garden: Garden,
	day: DayNumber,
	batches: readonly Batch[],
	wanted: { curve?: boolean; forecast?: boolean } = {}
): Promise<BatchView[]> {
	const m = await modelOf(garden);
	const { kinds, places } = m;
	return batches.map((b): BatchView => {
		const kind = kinds.get(b.kindId);
		const profile = wayIn(kind, b.wayId);
		const way = profile ? handbook().ways.get(profile.way) : undefined;
		const place = places.find((p) => p.id === b.placeId);
		const ended = b.status === 'dropped' || b.status === 'done';
		const k = ended ? null : known(m, b);
		const rooting = k ? rootingViewOf(m, k, wanted.curve ?? false) : null;
		const f = k && wanted.forecast !== false ? forecastOf(m, k) : null;
		const q = f ? quantilesOf(f.pmf) : null;
		return {
			...b,
			kindName: kind ? withVariety(kind) : b.kindId,
			form: m.formOf(b.stockId),
			wayName: kind && profile ? wayLabel(kind, profile) : b.wayId,
			pieceWord: way?.piece ?? ['piece', 'pieces'],
			placeName: place?.name ?? '',
			inHand: inHand(b),
			coming: f && q ? { mean: meanCount(f.pmf), p05: q.p05, p50: q.p50, p95: q.p95 } : null,
			inPots: k !== null && endsInPots(k.way),
			plantedOn: f?.planted
				? { quick: isoOf(f.planted.quick), usual: isoOf(f.planted.usual), slow: isoOf(f.planted.slow) }
				: null,
			steps: (f?.usual?.steps ?? []).map((s) => ({ to: s.stage.to, from: isoOf(s.from), on: isoOf(s.to) })),
			expected: f?.usual && day > m.today ? expectedOn(b, f.ahead, f.usual.steps, day) : expectedOn(b, [], [], day),
			next: k ? nextOf(m, k, day) : null,
			rooting,
			trouble: k ? troubleIn(m, k) : null,
			holds: holdsOf(b, profile, m.book)
		};
	});
}
