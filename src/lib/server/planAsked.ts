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
	/** As if there were so many minutes a week; null: as there are. */
	minutes: number | null;
	/** As if a place had so much more room: its id and cm², "…~4000". */
	room: readonly string[];
	/** Wants, by id, that nothing is planned for. */
	without: readonly string[];
}
/** The same choice has the same name. */
export const choiceKey = ({ aim, anew, not, off, free, spend, minutes, room, without }: PlanChoice): string => {
	const lists = [not, off, free, room, without].map((list) => [...list].sort());
	return JSON.stringify([aim, anew, lists, spend, minutes]);
};

const WAY = /^[a-z0-9-]{1,60}~[a-z0-9-]{1,60}$/;
/** More ways are not ruled out by hand. */
const MOST_NOT = 30;

export const aimOf = (query: URLSearchParams): PlanChoice => ({
	aim: AIMS.find((a) => a === query.get('aim')) ?? 'usual',
	anew: query.get('anew') === '1',
	not: [...new Set(query.getAll('not'))].filter((x) => WAY.test(x)).slice(0, MOST_NOT),
	off: [...new Set(query.getAll('off'))].filter(isSpan).slice(0, MOST_OFF),
	free: [...new Set(query.getAll('free'))].filter((x) => z.uuid().safeParse(x).success).slice(0, MOST_FREE),
	spend: numberIn(query.get('spend'), MOST_SPENT),
	minutes: numberIn(query.get('minutes'), MOST_MINUTES),
	room: [...new Set(query.getAll('room'))].filter((x) => ROOM.test(x)).slice(0, MOST_FREE),
	without: [...new Set(query.getAll('without'))].filter((x) => z.uuid().safeParse(x).success).slice(0, MOST_WITHOUT)
});

/** More times away from it are not ruled out by hand. */
const MOST_OFF = 20;
/** More places are not kept free by hand. */
export const MOST_FREE = 20;
export const MOST_SPENT = 100_000;
/** A week has no more. */
export const MOST_MINUTES = 7 * 24 * 60;
/** More wants than can be planned are not left out by hand. */
const MOST_WITHOUT = 100;
/** A place and room in it, up to 100 m². */
const ROOM = /^[0-9a-f-]{36}~[0-9]{1,7}$/;
function isSpan(text: string): boolean {
	const [from = '', to = '', more] = text.split('~');
	return more === undefined && isIsoDate(from) && isIsoDate(to) && from <= to;
}
function numberIn(text: string | null, most: number): number | null {
	const n = text === null || text.trim() === '' ? Number.NaN : Number(text);
	return n >= 0 && n <= most ? n : null;
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
	minutes: z.number().min(0).max(MOST_MINUTES).nullable().default(null),
	room: z.array(z.string().regex(ROOM)).max(MOST_FREE).default([]),
	without: z.array(z.uuid()).max(MOST_WITHOUT).default([]),
	batches: z.array(batchAsked.extend({ pinned: z.boolean().default(false) })).max(MOST_BATCHES),
	buys: z.array(buyAsked).max(MOST_BATCHES).default([]),
	resolve: z.boolean().default(false)
});
