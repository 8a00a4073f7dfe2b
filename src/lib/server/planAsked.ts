/** What is asked of the plan: in its address, and by hand. */
import { z } from 'zod';
import { isIsoDate } from '$lib/core/dates.js';
import { AIMS } from '$lib/core/joint/aims.js';
import type { Aim } from '$lib/core/joint/aims.js';

export const aimOf = (query: URLSearchParams): { aim: Aim; anew: boolean } => ({
	aim: AIMS.find((a) => a === query.get('aim')) ?? 'usual',
	anew: query.get('anew') === '1'
});

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

export const handRequest = z.strictObject({
	aim: z.enum(AIMS).default('usual'),
	anew: z.boolean().default(false),
	batches: z.array(batchAsked.extend({ pinned: z.boolean().default(false) })).max(MOST_BATCHES),
	resolve: z.boolean().default(false)
});
