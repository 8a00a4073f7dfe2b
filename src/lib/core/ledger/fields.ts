/** Fields that entries are made of, each with its limits and a sentence for when it is wrong. */
import { sayNumber } from '../numbers.js';
import { z } from 'zod';
import { isIsoDate, sayDate } from '../dates.js';
import { CAUSES } from './causes.js';

export const isoDate = z.string().refine(isIsoDate, {
	error: () => `That is no day of the calendar: write it like ${sayDate('2027-05-01')}.`
});
export const uuid = z.uuid('That is not an id.');
export const name = (most: number) => z.string().trim().min(1, 'Give it a name.').max(most, `At most ${most} characters.`);
export const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
export const whole = (least: number, most: number, what: string) =>
	z
		.number({ error: `${what}: a number, please.` })
		.int(`${what}: a whole number, please.`)
		.min(least, `${what}: ${least} at least.`)
		.max(most, { error: () => `${what}: ${sayNumber(most)} at most.` });
export const within = (least: number, most: number, what: string) =>
	z
		.number({ error: `${what}: a number, please.` })
		.min(least, { error: () => `${what}: between ${sayNumber(least, 2)} and ${sayNumber(most)}.` })
		.max(most, { error: () => `${what}: between ${sayNumber(least, 2)} and ${sayNumber(most)}.` });
/** A kind of plant, by the id that the handbook or the garden has for it. */
export const kindId = z.string().min(1).max(60);

export const MOST_NOTE = 5_000;
export const MOST_PIECES = 5_000;
export const pieces = (what: string) => whole(0, MOST_PIECES, what);
export const some = (what: string) => whole(1, MOST_PIECES, what);
/** Left out in entries of before it was asked. */
export const cause = z.enum(CAUSES).nullable().optional();
