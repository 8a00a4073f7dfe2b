/** What is asked of the plan: in its address, and by hand. */
import { z } from 'zod';
import { isIsoDate } from '$lib/core/dates.js';
import { AIMS } from '$lib/core/joint/aims.js';
import type { Aim } from '$lib/core/joint/aims.js';
import type { Batch } from '$lib/core/ledger/index.js';

export interface PlanChoice {
	aim: Aim;
	/** Batches that are only planned are open to change. */
	anew: boolean;
	/** Ways that are not to be used: "lavender~semi-ripe". */
	not: readonly string[];
	/** Days between which nothing is to be struck: "2027-05-01~2027-05-14". */
	off: readonly string[];
	/** Places that are kept free, by id: nothing new stands there. */
	free: readonly string[];
	/** What all that is new may cost; null: not said. */
	spend: number | null;
}
/** The same choice has the same name. */
export const choiceKey = ({ aim, anew, not, off, free, spend }: PlanChoice): string =>
	JSON.stringify([aim, anew, [...not].sort(), [...off].sort(), [...free].sort(), spend]);

const WAY = /^[a-z0-9-]{1,60}~[a-z0-9-]{1,60}$/;
/** More ways are not ruled out by hand. */
const MOST_NOT = 30;

export const aimOf = (query: URLSearchParams): PlanChoice => ({
	aim: AIMS.find((a) => a === query.get('aim')) ?? 'usual',
	anew: query.get('anew') === '1',
	not: [...new Set(query.getAll('not'))].filter((x) => WAY.test(x)).slice(0, MOST_NOT),
	off: [...new Set(query.getAll('off'))].filter(isSpan).slice(0, MOST_OFF),
	free: [...new Set(query.getAll('free'))].filter((x) => z.uuid().safeParse(x).success).slice(0, MOST_FREE),
	spend: spendIn(query.get('spend'))
});

/** More times away from it are not ruled out by hand. */
const MOST_OFF = 20;
/** More places are not kept free by hand. */
export const MOST_FREE = 20;
export const MOST_SPENT = 100_000;
function isSpan(text: string): boolean {
	const [from = '', to = '', more] = text.split('~');
	return more === undefined && isIsoDate(from) && isIsoDate(to) && from <= to;
}
function spendIn(text: string | null): number | null {
	const n = text === null || text.trim() === '' ? Number.NaN : Number(text);
	return n >= 0 && n <= MOST_SPENT ? n : null;
}

/** More batches are no home's plan. */
export const MOST_BATCHES = 400;
const DAY = 'A day of the calendar, as 2027-05-31.';

export const batchAsked = z.strictObject({
	want: z.uuid(),
	way: z.string().min(1).max(60),
	stock: z.uuid(),
	on: z.string().refine(isIsoDate, DAY),
	pieces: z.number().int().min(1).max(5000)
});

/** Plants to buy for a want. */
export const buyAsked = z.strictObject({ want: z.uuid(), count: z.number().int().min(0).max(2_000) });
/** Taken with the plan: how many are to be bought in all, and how many were when it was made. */
export const buyTaken = buyAsked.extend({ was: z.number().int().min(0).max(2_000) });

/** Is a batch planned just as it is asked for: nothing to write, nothing that gives way? */
export const isPlannedAs = (b: Batch, x: z.infer<typeof batchAsked>): boolean =>
	b.wantId === x.want && b.wayId === x.way && b.stockId === x.stock && b.plannedOn === x.on && b.plannedCount === x.pieces;

export const handRequest = z.strictObject({
	aim: z.enum(AIMS).default('usual'),
	anew: z.boolean().default(false),
	not: z.array(z.string().regex(WAY)).max(MOST_NOT).default([]),
	off: z
		.array(z.string().refine(isSpan, 'Two days, as 2027-05-01~2027-05-14, the first of them first.'))
		.max(MOST_OFF)
		.default([]),
	free: z.array(z.uuid()).max(MOST_FREE).default([]),
	spend: z.number().min(0).max(MOST_SPENT).nullable().default(null),
	batches: z.array(batchAsked.extend({ pinned: z.boolean().default(false) })).max(MOST_BATCHES),
	buys: z.array(buyAsked).max(MOST_BATCHES).default([]),
	resolve: z.boolean().default(false)
});
