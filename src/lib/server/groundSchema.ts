import { z } from 'zod';
import { FARTHEST_M, MOST_CORNERS, MOST_HOLES } from '$lib/core/ground/index.js';

const number = (name: string, least: number, most: number) =>
	z
		.number({ error: `${name} must be a number.` })
		.min(least, `${name} must be ${least} at least.`)
		.max(most, `${name} must be ${most} at most.`);

export type HedgeRequest = z.infer<typeof hedgeRequest>;
/** Metres. */
export const hedgeRequest = z.strictObject({
	length: number('length', 0, 1_000_000),
	spacing: number('spacing', 0.001, 10_000),
	rows: z.union([z.literal(1), z.literal(2)], { error: 'rows must be 1 or 2.' })
});

/** More beds than any garden has; the order of as many moves is found in milliseconds. */
const MOST_BEDS = 2_000;
const named = z.string().min(1, 'A name has one letter at least.').max(80, 'A name has 80 letters at most.');
const standing = (name: string) =>
	z
		.record(named, named.nullable(), { error: `${name} must name a bed, or null, for each plant.` })
		.refine((of) => Object.keys(of).length <= MOST_BEDS, `At most ${MOST_BEDS} plants.`);

export type OrderRequest = z.infer<typeof orderRequest>;
export const orderRequest = z.strictObject({
	beds: z.array(named, { error: 'beds must be a list of names.' }).max(MOST_BEDS, `At most ${MOST_BEDS} beds.`),
	start: standing('start'),
	target: standing('target'),
	parking: z.enum(['holding', 'anywhere'], { error: 'parking must be "holding" or "anywhere".' })
});

const corner = z.tuple([number('x', -FARTHEST_M, FARTHEST_M), number('y', -FARTHEST_M, FARTHEST_M)], {
	error: 'A corner is [x, y] in metres.'
});
const ring = z.array(corner, { error: 'An outline is a list of corners.' }).max(MOST_CORNERS, `At most ${MOST_CORNERS} corners.`);
export type FillRequest = z.infer<typeof fillRequest>;
/** Metres. */
export const fillRequest = z.strictObject({
	outline: ring,
	holes: z
		.array(ring, { error: 'holes must be a list of outlines.' })
		.max(MOST_HOLES, `At most ${MOST_HOLES} holes.`)
		.default([]),
	spacing: number('spacing', 0.01, 1_000),
	margin: number('margin', 0, 1_000).default(0),
	pattern: z.enum(['square', 'triangular'], { error: 'pattern must be "square" or "triangular".' }),
	turn: z.boolean({ error: 'turn must be true or false.' }).default(false)
});
