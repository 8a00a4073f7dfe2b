/** Work due, derived from batches, plans and the season; never typed. */
import type { DayNumber } from '../dates.js';
import { dayNumber } from '../dates.js';
import type { Kind, WayProfile } from '../handbook/schema.js';
import { inHand } from '../ledger/foldBatch.js';
import type { Batch } from '../ledger/foldBatch.js';
import { afterGrowth, hasWinter, nextStandstill } from '../season/growth.js';
import type { Climate } from '../season/climate.js';
import { plantingDay, stageDays, walk } from '../plan/walk.js';

export type TaskKind = 'strike' | 'look' | 'winter-look' | 'pot' | 'winter-count' | 'plant' | 'decide';

export interface Task {
	/** Stable: the same work has the same key from day to day. */
	key: string;
	kind: TaskKind;
	/** From when it is due, and by when it should be done. */
	from: DayNumber;
	by: DayNumber;
	placeId: string | null;
	batchId: string | null;
	stockId: string | null;
	wantId: string | null;
	count: number;
	minutes: number;
	why: string;
}

const base = { batchId: null, stockId: null, wantId: null, placeId: null };

/** However much a look would tell, pieces are left alone for so many days after one. Common practice, no source. */
const LEAST_BETWEEN_LOOKS = 4;
/** A look at a batch: minutes for the walk and the tug, and so many seconds a piece. Common practice, no source. */
const lookMinutes = (pieces: number) => 2 + pieces * 0.1;

/** When looks and warmth tell more of the roots than the handbook's days. */
export interface RootingNews {
	look: DayNumber | null;
	giveUp: DayNumber | null;
	sentence: string;
}

/** Work that a batch asks for by `until`. */
export function batchTasks(
	batch: Batch,
	kind: Kind,
	way: WayProfile,
	today: DayNumber,
	until: DayNumber,
	climate: Climate,
	news: RootingNews | null = null
): Task[] {
	const at = {
		...base,
		batchId: batch.id,
		placeId: batch.placeId,
		wantId: batch.wantId,
		stockId: batch.stockId
	};
	const tasks: Task[] = [];
	const add = (task: Omit<Task, keyof typeof base> & Partial<typeof base>) => {
		if (task.from <= until) tasks.push({ ...at, ...task });
	};
	if (batch.status === 'planned') {
		const on = dayNumber(batch.plannedOn!);
		add({
			key: `strike:${batch.id}`,
			kind: 'strike',
			from: on - 3,
			by: on + 7,
			count: batch.plannedCount,
			minutes: batch.plannedCount * (way.stages[0]?.minutes ?? 2),
			why: on < today - 7 ? 'Its planned day has gone by: strike now, or plan again.' : 'Planned for now.'
		});
		return tasks;
	}
	if (batch.status !== 'growing') return tasks;
	const since = dayNumber(batch.since ?? batch.struckOn!);
	const last = dayNumber(batch.lastOn ?? batch.struckOn!);
	const find = (to: string) => way.stages.find((s) => s.to === to);

	// Whatever was logged after a winter has counted what came through it.
	const rest = nextStandstill(last, climate);
	const winter = find('wintered');
	if (climate.lastFrost && winter && rest.to <= until)
		add({
			key: `winter:${batch.id}:${rest.to}`,
			kind: 'winter-count',
			from: rest.to,
			by: rest.to + 21,
			count: inHand(batch),
			minutes: lookMinutes(inHand(batch)),
			why: 'Growth has begun again: count what came through the winter.'
		});

	const rooting = find('rooted');
	if (batch.unrooted > 0 && rooting) {
		const struck = dayNumber(batch.struckOn!);
		const after = (q: number) =>
			rooting.grows === 'always' ? struck + stageDays(rooting.days, q) : afterGrowth(struck, stageDays(rooting.days, q), climate);
		const slow = after(0.9);
		// By what is known of its roots; else first when half should have rooted, then every ten days or so, for each look disturbs.
		const due = news ? news.look : Math.max(after(0.5), last + 10);
		const why =
			news?.sentence ??
			(today > slow ? 'Past the slowest usual time: what has not rooted may be given up.' : 'Half should have rooted by now.');
		// The day moves with the weather; the last look does not, and so names the task.
		if (due !== null)
			add({
				key: `look:${batch.id}:${last}`,
				kind: 'look',
				from: Math.max(due, last + LEAST_BETWEEN_LOOKS),
				by: Math.max(due, last + LEAST_BETWEEN_LOOKS) + 7,
				count: batch.unrooted,
				minutes: lookMinutes(batch.unrooted),
				why
			});
	}
	const potting = find('potted');
	if (batch.rooted > 0 && potting) {
		const due = last;
		add({
			key: `pot:${batch.id}`,
			kind: 'pot',
			from: due,
			by: due + 14,
			count: batch.rooted,
			minutes: batch.rooted * potting.minutes,
			why: 'Rooted: short roots settle quickest.'
		});
	}
	const ready = find('ready');
	const toPlant = batch.potted + (potting ? 0 : batch.rooted);
	if (toPlant > 0) {
		const usual = walk(kind, way, since, 0.5, climate, batch.potted > 0 && potting ? 'potted' : 'rooted', last);
		const on = usual ? Math.max(usual.planted, plantingDay(kind, today, climate) ?? usual.planted) : null;
		if (on !== null)
			add({
				key: `plant:${batch.id}`,
				kind: 'plant',
				from: on,
				by: on + 21,
				count: toPlant,
				minutes: toPlant * (find('planted')?.minutes ?? ready?.minutes ?? 3),
				why: 'Big enough, and the season is right.'
			});
	}
	return tasks;
}

/** Plants under shelter are looked over this often in winter. Common practice, no source. */
const WINTER_LOOK_DAYS = 7;

/** In winter plants under shelter are looked over once a week: water, mould, mice. */
export function winterLook(batch: Batch, sheltered: boolean, today: DayNumber, until: DayNumber, climate: Climate): Task[] {
	const pieces = inHand(batch);
	if (!sheltered || pieces === 0 || batch.status !== 'growing' || !hasWinter(climate)) return [];
	const rest = nextStandstill(today, climate);
	const due = Math.max(rest.from, dayNumber(batch.lastOn ?? batch.struckOn!) + WINTER_LOOK_DAYS);
	if (due > until || due >= rest.to) return [];
	// A week that was missed is gone: it is not late, it is due now.
	const from = Math.max(due, today);
	return [
		{
			...base,
			batchId: batch.id,
			placeId: batch.placeId,
			wantId: batch.wantId,
			key: `winter-look:${batch.id}:${due}`,
			kind: 'winter-look',
			from,
			by: from + 6,
			count: pieces,
			minutes: 1 + pieces * 0.1,
			why: 'Once a week in winter: water only what is dry, take out what moulds.'
		}
	];
}

/** Order of the walk: by place, and at each place the most urgent first. */
export function inWalkingOrder<T extends { placeId: string | null; by: DayNumber; key: string }>(
	tasks: readonly T[],
	walkOf: (placeId: string | null) => number
): T[] {
	return [...tasks].sort((a, b) => walkOf(a.placeId) - walkOf(b.placeId) || a.by - b.by || a.key.localeCompare(b.key));
}

/** What a week's waiting costs, in plants' worth a plant: our own judgement of what practice holds urgent. */
const LOSS: Record<string, number> = {
	cover: 1,
	heat: 0.6,
	water: 0.6,
	shelter: 0.5,
	'change-water': 0.15,
	vent: 0.12,
	strike: 0.1,
	prepare: 0.02,
	mist: 0.1,
	pot: 0.06,
	plant: 0.04,
	'winter-look': 0.04,
	'tap-film': 0.03,
	harden: 0.03,
	'winter-count': 0.01,
	look: 0.01,
	feed: 0.01,
	turn: 0.005,
	pinch: 0.005
};

/** Loss of leaving a task until next week: nothing if it is not due by then, more the nearer its last day. */
export function lossOfWaiting(
	task: { work: string; by: DayNumber; count: number; chance?: number | null },
	day: DayNumber
): number {
	const late = Math.max(0, Math.min(1, (day + 7 - task.by) / 7));
	return (LOSS[task.work] ?? 0.05) * Math.max(1, task.count) * (task.chance ?? 1) * (0.1 + 0.9 * late);
}

/**
 * What may wait when time is short: what loses least for the minutes it frees, until the rest fits.
 * What would lose a plant or more does not wait.
 */
export function mayWait<
	T extends { key: string; work: string; by: DayNumber; count: number; minutes: number; chance?: number | null }
>(tasks: readonly T[], day: DayNumber, budget: number): string[] {
	let over = tasks.reduce((sum, t) => sum + t.minutes, 0) - budget;
	const waiting: string[] = [];
	const rated = tasks.map((t) => ({ t, loss: lossOfWaiting(t, day) })).filter((r) => r.loss < 1);
	rated.sort((a, b) => a.loss / Math.max(0.5, a.t.minutes) - b.loss / Math.max(0.5, b.t.minutes));
	for (const { t } of rated) {
		if (over <= 0) break;
		waiting.push(t.key);
		over -= t.minutes;
	}
	return waiting;
}
