/** Work due, derived from batches, plans and the season; never typed. */
import type { DayNumber } from '../dates.js';
import { dayNumber, isoOf, sayDate } from '../dates.js';
import type { Kind, StageName, WayProfile } from '../handbook/schema.js';
import { inHand } from '../ledger/batch.js';
import type { Batch } from '../ledger/batch.js';
import { GIVEN_UP } from '../odds/rootingWords.js';
import { endsInPots } from '../plan/ends.js';
import { walk } from '../plan/walk.js';
import { afterGrowth } from '../season/season.js';
import type { Season } from '../season/season.js';
import type { FrostSeen } from '../plan/frostSeen.js';
import { sayFell } from '../plan/frostSeen.js';
import type { OffSeason } from '../plan/offSeason.js';
import { ROUND } from './judged.js';

export type TaskKind = 'strike' | 'missed' | 'frost-count' | 'look' | 'winter-look' | 'pot' | 'winter-count' | 'plant' | 'decide';

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
	/** Pieces that hardly will root: nothing to be done for them but to give them up. */
	straggling?: boolean;
}

const base = { batchId: null, stockId: null, wantId: null, placeId: null };

const LEAST_BETWEEN_LOOKS = ROUND.betweenLooks.value;
/** A look at a batch: minutes for the walk and the tug, and so many seconds a piece. Common practice, no source. */
const lookMinutes = (pieces: number) => 2 + pieces * 0.1;

/** When looks and warmth tell more of the roots than the handbook's days. */
export interface RootingNews {
	look: DayNumber | null;
	giveUp: DayNumber | null;
	/** As the bench has it: "given up", "probably rooted". */
	word: string;
	sentence: string;
}

export interface TasksOf {
	batch: Batch;
	kind: Kind;
	way: WayProfile;
	today: DayNumber;
	until: DayNumber;
	/** The usual season of the garden. */
	season: Season;
	/** Null where nothing is known of the roots. */
	news?: RootingNews | null;
	/** A planned batch whose day has gone by and whose window is shut; a night that may have killed. */
	off?: OffSeason | null;
	frost?: FrostSeen | null;
}

type Draft = Pick<Task, 'key' | 'kind' | 'from' | 'by' | 'count' | 'minutes' | 'why' | 'straggling'>;

/** Work that a batch asks for by `until`. */
export function batchTasks(t: TasksOf): Task[] {
	const { batch } = t;
	const at = { ...base, batchId: batch.id, placeId: batch.placeId, wantId: batch.wantId, stockId: batch.stockId };
	const drafts =
		batch.status === 'planned'
			? [strikeTask(t)]
			: batch.status === 'growing'
				? t.frost && t.frost.alive < ASK_BELOW
					? // Whatever else it would ask for waits until somebody knows what lives.
						[frostTask(t, t.frost)]
					: [winterTask(t), lookTask(t), potTask(t), plantTask(t)]
				: [];
	return drafts.flatMap((d) => (d && d.from <= t.until ? [{ ...at, ...d }] : []));
}

const stageOf = (t: TasksOf, to: StageName) => t.way.stages.find((s) => s.to === to);

/** A chance of life under which a look is worth the walk. */
const ASK_BELOW = ROUND.askBelow.value;

function frostTask({ batch }: TasksOf, frost: FrostSeen): Draft {
	const count = inHand(batch) - batch.planted + batch.lostPlanted;
	return {
		key: `frost:${batch.id}:${frost.on}`,
		kind: 'frost-count',
		from: frost.on + 1,
		by: frost.on + 4,
		count,
		minutes: lookMinutes(count),
		why: `It fell to ${sayFell(frost, count)}. Firm leaves, or green under the bark where you scratch it, are alive.`
	};
}

function strikeTask({ batch, way, today, off }: TasksOf): Draft {
	const on = dayNumber(batch.plannedOn!);
	if (on < today && off)
		return {
			key: `missed:${batch.id}`,
			kind: 'missed',
			from: on,
			by: on + 7,
			count: batch.plannedCount,
			minutes: 5,
			why: `Its day has gone by and its window is shut.${off.opens === null ? '' : ` It opens again on ${sayDate(isoOf(off.opens))}.`} Plan again, or drop it: struck now, few would take.`
		};
	return {
		key: `strike:${batch.id}`,
		kind: 'strike',
		from: on - 3,
		by: on + 7,
		count: batch.plannedCount,
		minutes: batch.plannedCount * (way.stages[0]?.minutes ?? 2),
		why:
			on < today - 7
				? 'Its planned day has gone by: strike now, or plan again.'
				: `Its day is ${on === today ? 'today' : sayDate(isoOf(on), false)}.`
	};
}

/** Only a count of the living proves a winter passed: those that were last counted before its end are counted after it. */
function winterTask(t: TasksOf): Draft | null {
	const { batch, season, today } = t;
	if (!stageOf(t, 'wintered') || batch.cohorts.length === 0) return null;
	const counted = Math.min(...batch.cohorts.map((c) => dayNumber(c.aliveOn)));
	const rest = season.standstills(counted, today + 366).find((r) => r.to > counted);
	if (!rest) return null;
	const count = batch.cohorts.reduce((n, c) => (dayNumber(c.aliveOn) < rest.to ? n + c.count : n), 0);
	return {
		key: `winter:${batch.id}:${rest.to}`,
		kind: 'winter-count',
		from: rest.to,
		by: rest.to + 21,
		count,
		minutes: lookMinutes(count),
		why: 'Growth has begun again: count what came through the winter.'
	};
}

function lookTask(t: TasksOf): Draft | null {
	const { batch, today, news } = t;
	const rooting = stageOf(t, 'rooted');
	if (batch.unrooted === 0 || !rooting) return null;
	const struck = dayNumber(batch.struckOn!);
	const last = dayNumber(batch.lastOn ?? batch.struckOn!);
	const after = (days: number) => (rooting.grows === 'always' ? struck + days : afterGrowth(t.season, struck, days));
	if (news?.word === GIVEN_UP)
		return {
			key: `straggling:${batch.id}:${last}`,
			kind: 'look',
			from: last + LEAST_BETWEEN_LOOKS,
			by: last + 4 * LEAST_BETWEEN_LOOKS,
			count: batch.unrooted,
			minutes: lookMinutes(batch.unrooted),
			why: news.sentence,
			straggling: true
		};
	// By what is known of its roots; else first when half should have rooted, then every ten days or so, for each look disturbs.
	const due = news ? news.look : Math.max(after(rooting.days[1]), last + 10);
	if (due === null) return null;
	const from = Math.max(due, last + LEAST_BETWEEN_LOOKS);
	const late = today > after(rooting.days[2]);
	return {
		// The day moves with the weather; the last look does not, and so names the task.
		key: `look:${batch.id}:${last}`,
		kind: 'look',
		from,
		by: from + 7,
		count: batch.unrooted,
		minutes: lookMinutes(batch.unrooted),
		why:
			news?.sentence ??
			(late ? 'Past the slowest usual time: what has not rooted may be given up.' : 'Half should have rooted by now.')
	};
}

function potTask(t: TasksOf): Draft | null {
	const { batch } = t;
	const potting = stageOf(t, 'potted');
	if (batch.rooted === 0 || !potting) return null;
	const due = Math.min(...batch.cohorts.filter((c) => c.stage === 'rooted').map((c) => dayNumber(c.since)));
	return {
		key: `pot:${batch.id}`,
		kind: 'pot',
		from: due,
		by: due + 14,
		count: batch.rooted,
		minutes: batch.rooted * potting.minutes,
		why: 'Short roots settle quickest.'
	};
}

const PLANTED_TOGETHER = ROUND.plantedTogether.value;

function plantTask(t: TasksOf): Draft | null {
	const { batch, kind, way, season, today } = t;
	// Wanted in their pots: nobody plants them here.
	if (endsInPots(way)) return null;
	const potting = stageOf(t, 'potted');
	const ready = batch.cohorts
		.filter((c) => c.stage === 'potted' || (c.stage === 'rooted' && !potting))
		.flatMap((c) => {
			const usual = walk({
				kind,
				way,
				start: dayNumber(c.since),
				season,
				reached: potting ? 'potted' : 'rooted',
				aliveOn: dayNumber(c.aliveOn),
				today
			});
			return usual ? [{ on: usual.planted, count: c.count }] : [];
		})
		.sort((a, b) => a.on - b.on);
	const first = ready[0];
	if (!first) return null;
	const count = ready.reduce((n, r) => (r.on <= first.on + PLANTED_TOGETHER ? n + r.count : n), 0);
	return {
		key: `plant:${batch.id}`,
		kind: 'plant',
		from: first.on,
		by: first.on + PLANTED_TOGETHER,
		count,
		minutes: count * (stageOf(t, 'planted')?.minutes ?? stageOf(t, 'ready')?.minutes ?? 3),
		why: 'They are big enough, and the season is right.'
	};
}

const WINTER_LOOK_DAYS = ROUND.winterLook.value;

/** In winter plants under shelter are looked over once a week: water, mould, mice. */
export function winterLook(batch: Batch, sheltered: boolean, today: DayNumber, until: DayNumber, season: Season): Task[] {
	const pieces = inHand(batch);
	if (!sheltered || pieces === 0 || batch.status !== 'growing') return [];
	const rest = season.standstills(today, until)[0];
	if (!rest) return [];
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
	lift: 0.05,
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
	'frost-count': 0.02,
	'frost-look': 0.02,
	missed: 0.02,
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
