/** Fields that entries are made of, each with its limits and a sentence for when it is wrong. */
import { z } from 'zod';
import { isIsoDate } from '../dates.js';

export const isoDate = z.string().refine(isIsoDate, 'That is not a date of the calendar (year 1900 to 2199).');
export const uuid = z.uuid('That is not an id.');
export const name = (most: number) => z.string().trim().min(1, 'Give it a name.').max(most, `At most ${most} characters.`);
export const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
export const whole = (least: number, most: number, what: string) =>
	z
		.number({ error: `${what}: a number, please.` })
		.int(`${what}: a whole number, please.`)
		.min(least, `${what}: ${least} at least.`)
		.max(most, `${what}: ${most.toLocaleString('en')} at most.`);
export const within = (least: number, most: number, what: string) =>
	z
		.number({ error: `${what}: a number, please.` })
		.min(least, `${what}: between ${least} and ${most.toLocaleString('en')}.`)
		.max(most, `${what}: between ${least} and ${most.toLocaleString('en')}.`);
/** A kind of plant, by the id that the handbook or the garden has for it. */
export const kindId = z.string().min(1).max(60);

export const MOST_NOTE = 5_000;
export const MOST_PIECES = 5_000;
export const pieces = (what: string) => whole(0, MOST_PIECES, what);
export const some = (what: string) => whole(1, MOST_PIECES, what);
