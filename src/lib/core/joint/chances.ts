/** The chance that a piece of a batch to be is in the ground by the due day, in each season of a sample. */
import type { DayNumber } from '../dates.js';
import type { StageName, WayProfile } from '../handbook/schema.js';
import type { Belief } from '../odds/belief.js';
import { daysAt, durationOf, luckOf, ownLuckAt } from '../odds/durations.js';
import { LUCKS } from '../odds/rooting.js';
import { LUCK_POINTS } from '../plan/lucks.js';
import { PARTS_OF_WINTER } from '../plan/timing.js';
import type { Sample } from './sample.js';
import type { Timetable } from './timetable.js';

const PIECES = LUCK_POINTS[0]!.pieces.length;
/** Stages that take time, each with its days by luck and piece, and whether it goes on in winter. */
interface Timed {
	always: boolean;
	days: Int32Array;
}

const timed = new WeakMap<WayProfile, Timed[]>();

/** A way's days for each luck and each of its pieces: worked out once for all its dates. */
function timedOf(way: WayProfile): Timed[] {
	let found = timed.get(way);
	if (found) return found;
	found = [];
	for (const to of ['rooted', 'potted', 'ready'] as const) {
		const stage = way.stages.find((s) => s.to === to);
		if (!stage) continue;
		const d = durationOf(stage.days);
		const days = new Int32Array(LUCK_POINTS.length * PIECES);
		LUCK_POINTS.forEach((luck, k) =>
			luck.pieces.forEach((piece, i) => {
				if (to === 'rooted') {
					const batch = LUCKS[luck.root]!.z;
					days[k * PIECES + i] = Math.ceil(Math.min(20_000, daysAt(d, luckOf(batch, ownLuckAt(piece.root)))));
				} else days[k * PIECES + i] = Math.round(Math.min(20_000, daysAt(d, luckOf(luck.batch[to], piece[to]))));
			})
		);
		found.push({ always: stage.grows === 'always', days });
	}
	timed.set(way, found);
	return found;
}

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

/** Of each season the chance of one piece, 0–1. */
export function chancesIn(sample: Sample, c: ChancesOf): Float32Array {
	const q = new Float32Array(sample.size).fill(1);
	let winter: Float64Array | null = null;
	for (const stage of c.way.stages) {
		const belief = c.odds.get(stage.to)!;
		const own = sample.ownOf(`${c.name} ${stage.to}`, sample.meanOf(c.shares, stage.to, belief));
		if (stage.to === 'wintered') winter = own;
		else for (let s = 0; s < q.length; s++) q[s]! *= own[s]!;
	}
	const stages = timedOf(c.way);
	const lucks = sample.lucksOf(c.name);
	const many = c.years.length;
	for (let s = 0; s < q.length; s++) {
		const year = c.years[sample.yearIn(s, many)]!;
		const start = c.on - year.base;
		const last = c.due - year.base;
		const luck = lucks[s]! * PIECES;
		const p = winter ? winter[s]! : 1;
		let inTime = 0;
		for (let i = 0; i < PIECES; i++) {
			let day = start;
			for (const t of stages) {
				const days = t.days[luck + i]!;
				day = t.always ? day + days : year.dayOf[Math.min(year.days, year.grown[Math.min(day, year.days)]! + days)]!;
				if (day > last) break;
			}
			if (day > last) continue;
			const on = year.planted[day]!;
			if (on < 0 || on > last) continue;
			if (!winter) inTime++;
			else {
				const parts = Math.round((year.winters[on]! - year.winters[start]!) * PARTS_OF_WINTER);
				inTime += parts === 0 ? 1 : p ** (parts / PARTS_OF_WINTER);
			}
		}
		q[s]! *= inTime / PIECES;
	}
	return q;
}

/** Mean over the seasons. */
export const meanOf = (q: Float32Array): number => q.reduce((a, b) => a + b, 0) / q.length;
