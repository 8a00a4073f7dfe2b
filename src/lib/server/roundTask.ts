/** One piece of work of the round. */
import type { Carried } from './roundTriggers.js';
import type { DayNumber } from '$lib/core/dates.js';

export interface RoundTask {
	key: string;
	/** What it is called in the ledger of care: change-water, look, shelter, … */
	work: string;
	title: string;
	code: string | null;
	from: DayNumber;
	by: DayNumber;
	late: boolean;
	placeId: string | null;
	targets: string[];
	batchId: string | null;
	link: string;
	count: number;
	minutes: number;
	why: string;
	chance: number | null;
	ifNeedless: string | null;
	ifMissed: string | null;
	/** Comes again after so many days. */
	every: number | null;
	/** Standing entries of its batch when this was drawn. */
	seen: number | null;
	/** How it is logged: one tap, a count, a move indoors or out, or on its own page. */
	log: 'tap' | 'count' | 'bring' | 'out' | 'page';
	/** Pieces that hardly will root any more: told in one line of their own. */
	straggling: boolean;
	/** Of what is to be brought in: each plant, and the place that suits it. */
	carried: readonly Carried[];
}

type Blank = 'straggling' | 'carried' | 'code' | 'batchId' | 'chance' | 'ifNeedless' | 'ifMissed' | 'every' | 'seen' | 'log';
const NONE: readonly Carried[] = [];
/** A task with all its fields, written out: spreading some into each of thousands takes longer than working them out. */
export const task = (t: Omit<RoundTask, Blank> & Partial<Pick<RoundTask, Blank>>): RoundTask => ({
	key: t.key,
	work: t.work,
	title: t.title,
	code: t.code ?? null,
	from: t.from,
	by: t.by,
	late: t.late,
	placeId: t.placeId,
	targets: t.targets,
	batchId: t.batchId ?? null,
	link: t.link,
	count: t.count,
	minutes: t.minutes,
	why: t.why,
	chance: t.chance ?? null,
	ifNeedless: t.ifNeedless ?? null,
	ifMissed: t.ifMissed ?? null,
	every: t.every ?? null,
	seen: t.seen ?? null,
	log: t.log ?? 'page',
	straggling: t.straggling ?? false,
	carried: t.carried ?? NONE
});
