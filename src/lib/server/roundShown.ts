/** The round as its screen shows it: the first rows of the walk, and work on very many plants by a name for them all. */
import { createHash } from 'node:crypto';
import type { Garden } from './context.js';
import { tasksOf } from './roundTasks.js';
import type { Round } from './round.js';
import type { RoundTask } from './roundTasks.js';
import { roundWorld } from './roundWorld.js';
import type { DayNumber } from '$lib/core/dates.js';

/** More plants than these are not sent to and fro: the form names the task, and what it is about is found again. */
const MOST_SENT = 50;

export interface ShownTask extends Omit<RoundTask, 'targets'> {
	targets: string[];
	/** Stands for the plants where there are too many to send; null where they are sent. */
	many: string | null;
}

export interface ShownRound extends Omit<Round, 'stops' | 'week' | 'stragglers'> {
	stops: { placeId: string | null; placeName: string; minutes: number; tasks: ShownTask[] }[];
	week: ShownTask[];
	stragglers: ShownTask[];
	/** Tasks due that are not shown, and the same of the week. */
	hidden: number;
	weekHidden: number;
}

/** Changes when any of the plants does. */
export const markOf = (targets: readonly string[]): string =>
	createHash('sha1')
		.update([...targets].sort().join())
		.digest('base64url')
		.slice(0, 16);

const shown = (t: RoundTask): ShownTask =>
	t.targets.length > MOST_SENT ? { ...t, targets: [], carried: [], many: markOf(t.targets) } : { ...t, many: null };

export function shownRound(round: Round, rows: number): ShownRound {
	let left = rows;
	const stops: ShownRound['stops'] = [];
	for (const stop of round.stops) {
		if (left <= 0) break;
		const tasks = stop.tasks.slice(0, left).map(shown);
		left -= tasks.length;
		stops.push({ ...stop, tasks });
	}
	const week = round.week.slice(0, rows).map(shown);
	const keys = new Set([...stops.flatMap((s) => s.tasks), ...week].map((t) => t.key));
	return {
		...round,
		stops,
		week,
		stragglers: round.stragglers.map(shown),
		mayWait: round.mayWait.filter((key) => keys.has(key)),
		hidden: round.stops.reduce((n, s) => n + s.tasks.length, 0) - (rows - left),
		weekHidden: round.week.length - week.length
	};
}

/** The plants of a task that was shown by a name; null when they are not the same any more. */
export async function targetsOf(garden: Garden, day: DayNumber, key: string, mark: string): Promise<string[] | null> {
	const { due } = tasksOf(await roundWorld(garden), day);
	const task = due.find((t) => t.key === key);
	return task && markOf(task.targets) === mark ? task.targets : null;
}
