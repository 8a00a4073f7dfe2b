/** What the handbook knows of the work at the bench: how a piece is cut, clocks, materials, mixes, label sheets. */
import { z } from 'zod';
import { checkVessel } from '../mix/vessel.js';
import type { Vessel } from '../mix/vessel.js';

const src = z.string().min(1);
const cm = z.number().gt(0).max(500);

export const cutFields = z.strictObject({
	/** What is drawn. */
	draws: z.enum(['stem', 'rod', 'basal', 'clump', 'leaf', 'sucker', 'tuber', 'root', 'layer']),
	/** Shortest, usual and longest piece, cm. */
	cm: z.tuple([cm, cm, cm]).optional(),
	/** Nodes on a piece: at least and at most; and how many of them go under. */
	nodes: z.tuple([z.number().int().min(1).max(40), z.number().int().min(1).max(40)]).optional(),
	under: z.number().int().min(0).max(20).optional(),
	/** Leaves (or pairs of leaves) kept; large ones cut across to half. */
	leaves: z.number().int().min(0).max(20).optional(),
	halve: z.boolean().optional(),
	flowers_off: z.boolean().optional(),
	wood: z
		.array(z.enum(['soft', 'firm', 'woody']))
		.min(1)
		.optional(),
	tip: z.enum(['only', 'best', 'may', 'never']).optional(),
	/** Usual thickness, mm, and length between nodes, cm. */
	mm: z.number().gt(0).max(60).optional(),
	internode_cm: z.number().gt(0).max(60).optional(),
	base: z.enum(['straight', 'slant']).optional(),
	wound: z.boolean().optional(),
	/** Share of its length that goes under the surface; or how deep, cm. */
	deep: z.number().min(0).max(1),
	depth_cm: z.number().min(0).max(60).optional(),
	/** Leaf spread that neighbours keep between them, cm. */
	spread_cm: cm,
	/** How it is set: at the rim of a pot, in a tray, each alone, in a jar, in a row, where it is to grow. */
	set: z.enum(['rim', 'tray', 'alone', 'jar', 'row', 'place']),
	src
});
export const cutSchema = cutFields.refine(
	(c) => !c.cm || (c.cm[0] <= c.cm[1] && c.cm[1] <= c.cm[2]),
	'cm must rise: shortest, usual, longest'
);
export type Cut = z.infer<typeof cutFields>;

export const clockSchema = z.strictObject({
	say: z.string().max(100),
	minutes: z
		.number()
		.min(1)
		.max(60 * 24 * 30),
	/** Before the first cut; between cutting and setting; or when all is set. */
	when: z.enum(['before', 'cut', 'after']),
	/** Of `cut`: the step of the way's own list after which it runs, from 1. */
	step: z.number().int().min(1).optional(),
	why: z.string(),
	src
});
export type Clock = z.infer<typeof clockSchema>;

export const warmthSchema = z
	.strictObject({ usual_c: z.number().min(1).max(35), still_c: z.number().min(-5).max(20) })
	.refine((w) => w.still_c < w.usual_c, 'roots stand still below what is usual');

export const materialSchema = z.strictObject({
	id: z.string(),
	name: z.string(),
	bags: z.array(z.strictObject({ litres: z.number().gt(0), price: z.number().min(0) })),
	water: z.number().min(0).max(1),
	fine: z.boolean(),
	src
});
export type MaterialRow = z.infer<typeof materialSchema>;

export const mixSchema = z.strictObject({
	id: z.string(),
	name: z.string(),
	parts: z.record(z.string(), z.number().gt(0)),
	shrinkage: z.number().min(0).max(0.4),
	for: z.string(),
	src
});
export type MixRow = z.infer<typeof mixSchema>;

export const vesselSchema = z.custom<Vessel>(
	(v) => v !== null && typeof v === 'object' && 'shape' in v && checkVessel(v as Vessel).ok,
	'not a vessel that can be'
);

export const sheetSchema = z.strictObject({
	id: z.string(),
	name: z.string(),
	paper: z.enum(['A4', 'LETTER']),
	across: z.number().int().min(1).max(10),
	down: z.number().int().min(1).max(40),
	width: z.number().min(15).max(280),
	height: z.number().min(10).max(280),
	left: z.number().min(0).max(100),
	top: z.number().min(0).max(100),
	gap_x: z.number().min(0).max(50),
	gap_y: z.number().min(0).max(50)
});
export type Sheet = z.infer<typeof sheetSchema>;

/** How long a right in a variety runs. */
export const habitSchema = z.strictObject({ id: z.string(), name: z.string(), like: z.string() });
export type Habit = z.infer<typeof habitSchema>;

export const termSchema = z.strictObject({
	id: z.string(),
	name: z.string(),
	years: z.number().int().min(1).max(60),
	woody_years: z.number().int().min(1).max(60),
	from: z.enum(['filed', 'granted']),
	src
});
export type TermRow = z.infer<typeof termSchema>;
