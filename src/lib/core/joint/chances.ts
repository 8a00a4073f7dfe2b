/** The chance that a piece of a batch to be is in the ground by the due day, in each season of a sample. */
import type { DayNumber } from '../dates.js';
import type { StageName, WayProfile } from '../handbook/schema.js';
import type { Belief } from '../odds/belief.js';
import { endsInPots } from '../plan/ends.js';
import { daysByLuck, PIECES, TIMED } from '../plan/lucks.js';
import { PARTS_OF_WINTER } from '../plan/timing.js';
import type { Sample } from './sample.js';
import type { Timetable } from '../plan/timetable.js';

/** Pieces of a luck that one season looks at: others in the next, so that all seasons together see all. */
const LOOKED_AT = 16;
const PARTS = PIECES / LOOKED_AT;

/** Stages that take time, each with its days by luck and piece, and whether it goes on in winter. */
const timedOf = (way: WayProfile): { always: boolean; days: Float32Array }[] =>
	TIMED.flatMap((to) => {
		const stage = way.stages.find((s) => s.to === to);
		return stage ? [{ always: stage.grows === 'always', days: daysByLuck(to, stage.days) }] : [];
	});

export interface ChancesOf {
	/** Names the batch: its own luck hangs on it. */
	name: string;
	/** Which mean chances it shares. */
	shares: string;
	way: WayProfile;
	odds: ReadonlyMap<StageName, Belief>;
	on: DayNumber;
	due: DayNumber;
	/** The kind's years, in the order of all kinds' years. */
	years: readonly Timetable[];
}

/**
 * Of each season the chance of one piece, 0–1.
 * @param least where by time alone their mean stays below, none are told: what never comes in time asks for no more work
 */
export function chancesIn(sample: Sample, c: ChancesOf, least = 0): Float32Array | null {
	const ownOf = (stage: StageName) => sample.ownOf(`${c.name} ${stage}`, sample.meanOf(c.shares, stage, c.odds.get(stage)!));
	const stages = c.way.stages.map((s) => s.to);
	const q = inTime(sample, c, stages.includes('wintered') ? ownOf('wintered') : null);
	if (meanOf(q) < least) return null;
	for (const stage of stages) {
		if (stage === 'wintered') continue;
		const own = ownOf(stage);
		for (let s = 0; s < q.length; s++) q[s]! *= own[s]!;
	}
	return q;
}

/** Of each season the share that is in time, by its luck with days and, of each winter on the way, its chance. */
function inTime(sample: Sample, c: ChancesOf, winter: Float64Array | null): Float32Array {
	const q = new Float32Array(sample.size);
	const stages = timedOf(c.way);
	const lucks = sample.lucksOf(c.name);
	const many = c.years.length;
	const pots = endsInPots(c.way);
	for (let s = 0; s < q.length; s++) {
		const year = c.years[sample.yearIn(s, many)]!;
		const start = c.on - year.base;
		const last = c.due - year.base;
		const luck = lucks[s]! * PIECES + (s % PARTS) * LOOKED_AT;
		const p = winter ? winter[s]! : 1;
		let inTime = 0;
		for (let i = 0; i < LOOKED_AT; i++) {
			let day = start;
			for (const t of stages) {
				const days = Math.ceil(t.days[luck + i]!);
				day = t.always ? day + days : year.dayOf[Math.min(year.days, year.grown[Math.min(day, year.days)]! + days)]!;
				if (day > last) break;
			}
			if (day > last) continue;
			const on = pots ? day : year.planted[day]!;
			if (on < 0 || on > last) continue;
			if (!winter) inTime++;
			else {
				const parts = Math.round((year.winters[on]! - year.winters[start]!) * PARTS_OF_WINTER);
				inTime += parts === 0 ? 1 : p ** (parts / PARTS_OF_WINTER);
			}
		}
		q[s] = inTime / LOOKED_AT;
	}
	return q;
}

/** Mean over the seasons. */
export const meanOf = (q: Float32Array): number => q.reduce((a, b) => a + b, 0) / q.length;
