/**
 * What the handbook knows of a kind of plant, and how it is written down (handbook/*.yaml). Every
 * figure names its source: a work listed in handbook/sources.yaml, "practice" (common practice, no
 * source) or "memory" (from memory).
 */
import { z } from 'zod';
import { clockSchema, cutFields, cutSchema, vesselSchema, warmthSchema } from './benchSchema.js';
import type { Cut, Habit, MaterialRow, MixRow, Sheet, TermRow } from './benchSchema.js';
import { SHELTERS } from '../places.js';
import { momentSchema as moment } from '../season/momentSchema.js';

const src = z.string().min(1);
const figure = z.strictObject({ v: z.number(), src });

export const windowSchema = z.strictObject({
	opens: moment,
	closes: moment,
	best: z.strictObject({ from: moment, to: moment }).optional(),
	no_frost: z.enum(['all_year', 'by_season', 'with_rains']),
	src
});

export const STAGES = ['rooted', 'potted', 'wintered', 'ready', 'planted'] as const;
export type StageName = (typeof STAGES)[number];

export const stageSchema = z
	.strictObject({
		to: z.enum(STAGES),
		/** Low, usual and high duration in days: 1 in 10, 1 in 2 and 9 in 10 are done by then. */
		days: z.tuple([z.number().min(0), z.number().min(0), z.number().min(0)]),
		/** Chance for a piece to pass, mean, and how many counted pieces that knowledge is worth. */
		chance: z.number().gt(0).lt(1),
		weight: z.number().gt(0).max(1000),
		/** Does it go on under glass or in the house through winter, or only in growth outdoors? */
		grows: z.enum(['always', 'season']),
		/** What the piece stands in during the stage: handbook/containers.yaml. */
		holds: z.string().min(1),
		/** Minutes of handling a piece at the start of the stage. */
		minutes: z.number().min(0).max(60),
		/** Minutes of care a week for each container of it. */
		care: z.number().min(0).max(30),
		src
	})
	.refine((s) => s.days[0] <= s.days[1] && s.days[1] <= s.days[2], 'days must rise: low, usual, high');
export type Stage = z.infer<typeof stageSchema>;

export const wayProfileSchema = z
	.strictObject({
		id: z.string().regex(/^[a-z0-9-]+$/),
		/** The general way: handbook/ways.yaml. */
		way: z.string(),
		window: windowSchema,
		piece: z.strictObject({
			cm: z.tuple([z.number().gt(0), z.number().gt(0)]).optional(),
			say: z.string(),
			src
		}),
		cover: z.string(),
		medium: z.string(),
		hormone: z.string(),
		/** What is done, where it is otherwise than the way's own list. */
		how: z.array(z.string()).min(2).optional(),
		/** Where this kind's pieces are cut otherwise than the way's usual. */
		cut: cutFields.partial().optional(),
		/** Pieces that one stock plant of a usual size gives, and how it regrows. */
		gives: z.strictObject({
			n: z.number().gt(0),
			at_cm: z.number().gt(0),
			measure: z.enum(['height', 'diameter', 'pot']),
			/** Pieces grow with size to this power: 1 along a row, 2 over a surface. */
			power: z.number().min(0).max(3),
			recover_days: z.number().min(1).max(2000),
			/** The parent is used up (a tuber cut, a clump fully lifted). */
			uses_up: z.boolean().default(false),
			src
		}),
		stages: z.array(stageSchema).min(1),
		then: z.string(),
		schools: z.array(z.string()).default([])
	})
	.refine((w) => {
		const order = w.stages.map((s) => STAGES.indexOf(s.to));
		return order.every((at, i) => i === 0 || at > order[i - 1]!);
	}, 'stages must come in their order, each once')
	.refine((w) => w.stages.at(-1)?.to === 'planted', 'the last stage is planted');
export type WayProfile = z.infer<typeof wayProfileSchema>;

export const kindSchema = z.strictObject({
	id: z.string().regex(/^[a-z0-9-]+$/),
	/** Name in common speech. */
	common: z.string(),
	/** Other names that people know it by, its botanical ones included. From memory. */
	also: z.array(z.string()).default([]),
	species: z.string(),
	cultivar: z.string().nullable().default(null),
	/** The name it is sold by, when that is not the variety's. */
	trade: z.string().nullable().default(null),
	/** The kind of plant the entry stands for, in a few words. */
	stands_for: z.string(),
	habit: z.enum(['evergreen shrub', 'deciduous shrub', 'herbaceous', 'tender', 'succulent', 'climber', 'tree']),
	hardiness_c: figure,
	hazards: z.array(z.strictObject({ what: z.string(), say: z.string(), src })).default([]),
	protection: z.strictObject({
		status: z.enum(['free', 'protected', 'unknown']),
		until: z.number().int().min(1950).max(2100).nullable().default(null),
		say: z.string(),
		src
	}),
	size: z.strictObject({
		height_cm: z.number().gt(0),
		spread_cm: z.number().gt(0),
		spacing_cm: z.number().gt(0),
		/** What a young woody plant adds to its height in a year; by its habit if not given. */
		shoot_cm: z.number().gt(0).max(500).optional(),
		src
	}),
	/** Where outdoors it does well, the best first: full sun, part of the day, shade. */
	light: z
		.strictObject({
			in: z
				.array(z.enum(['sun', 'part', 'shade']))
				.min(1)
				.max(3),
			src
		})
		.optional(),
	/** Degree days above 5 °C since bud break at which this year's shoots are semi-ripe and hard; by habit if not given. */
	shoots: z.strictObject({ semi_ripe: z.number().min(50).max(3000), hard: z.number().min(100).max(5000), src }).optional(),
	bloom: z.strictObject({ opens: moment, days: z.number().int().positive(), src }).nullable().default(null),
	/** Price of one plant bought, in the garden's currency: a guess to be bettered. */
	price: figure,
	plant_out: z.array(windowSchema).min(1),
	winter: z.strictObject({
		/** Nights the plant in growth still bears, °C. */
		limit_c: z.number(),
		/** Where it stands in the ground: lifted when the first frost has blackened its top, or before it. */
		lift: z.enum(['after_frost', 'before_frost']).optional(),
		say: z.string(),
		shelters: z.array(
			z.strictObject({
				in: z.enum(SHELTERS),
				chance: z.number().gt(0).lt(1),
				weight: z.number().gt(0),
				/** Minutes a week for a pot. */
				care: z.number().min(0),
				say: z.string()
			})
		),
		src
	}),
	/** Seed as the other way: years until it flowers or fills its place, and whether it comes like its parent. */
	seed: z.strictObject({ years: z.number().min(0.2).max(40), true_to_type: z.boolean(), say: z.string(), src }).optional(),
	ways: z.array(wayProfileSchema).min(1)
});
export type Kind = z.infer<typeof kindSchema>;

export const waySchema = z.strictObject({
	id: z.string(),
	name: z.string(),
	/** What the piece is called, one and many. */
	piece: z.tuple([z.string(), z.string()]),
	warmth: warmthSchema,
	cut: cutSchema,
	/** Strength of hormone by the wood: core/mix. */
	iba: z.enum(['soft', 'semi-ripe', 'hard']).optional(),
	timers: z.array(clockSchema).default([]),
	how: z.array(z.string()).min(2),
	cautions: z.array(z.string()).default([]),
	signs: z.string()
});
export type Way = z.infer<typeof waySchema>;

/** A care of pieces while they root and grow on (handbook/care.yaml). */
export const careRuleSchema = z.strictObject({
	id: z.string().regex(/^[a-z-]{2,30}$/),
	say: z.string(),
	/** What is cared for, one and many. */
	thing: z.tuple([z.string(), z.string()]),
	/** In which state of the batch. */
	while: z.array(z.enum(['unrooted', 'rooted', 'potted'])).min(1),
	/** Only in these containers, ways, places. */
	holds: z.array(z.string()).optional(),
	ways: z.array(z.string()).optional(),
	places: z.array(z.string()).optional(),
	/** Not for these ways: a leaf tray stays shut. */
	not_ways: z.array(z.string()).optional(),
	/** Only under this cover (core/handbook/cover.ts). */
	cover: z.enum(['none', 'film', 'lid']).optional(),
	season: z.enum(['growth', 'winter']).optional(),
	/** First so many days after the state began. */
	from_day: z.number().int().min(0).max(400).optional(),
	/** Days between; for what is done once, days until it is asked again. */
	every: z.number().int().min(1).max(100),
	once: z.boolean().default(false),
	/** Not in rain or damp air outdoors. */
	dry_air: z.boolean().default(false),
	/** Only when frost has been and gone. */
	after_frost: z.boolean().default(false),
	/** Minutes for one container. */
	minutes: z.number().min(0).max(30),
	why: z.string(),
	/** How to tell it to someone who has never done it; blank when it can wait until one is back. */
	neighbour: z.string(),
	src
});
export type CareRule = z.infer<typeof careRuleSchema>;

export const containerSchema = z.strictObject({
	id: z.string(),
	name: z.string(),
	area_cm2: z.number().min(0),
	litres: z.number().min(0),
	cost: z.number().min(0),
	vessel: vesselSchema.nullable(),
	/** Pieces at the rim, over the whole surface, or one alone. */
	how: z.enum(['rim', 'across', 'alone']),
	/** The next pot of the ladder. */
	next: z.string().optional(),
	src
});
export type Container = z.infer<typeof containerSchema>;

export const schoolSchema = z.strictObject({
	id: z.string(),
	question: z.string(),
	one: z.string(),
	other: z.string(),
	ours: z.string()
});
export type School = z.infer<typeof schoolSchema>;

export const sourceSchema = z.strictObject({ id: z.string(), name: z.string(), note: z.string().optional() });
export type Source = z.infer<typeof sourceSchema>;

export interface Handbook {
	kinds: Map<string, Kind>;
	ways: Map<string, Way>;
	containers: Map<string, Container>;
	schools: Map<string, School>;
	sources: Map<string, Source>;
	care: Map<string, CareRule>;
	materials: Map<string, MaterialRow>;
	mixes: Map<string, MixRow>;
	sheets: Map<string, Sheet>;
	terms: Map<string, TermRow>;
	/** Where a kind of one's own may begin. */
	habits: Map<string, Habit>;
}

/** How a kind's piece is cut: the way's usual, with what is particular to the kind. */
export function cutOf(way: Pick<Way, 'cut'>, profile: Pick<WayProfile, 'cut' | 'piece'>): Cut {
	const cm = profile.piece.cm;
	const fitted = cm && way.cut.cm ? { cm: [cm[0], (cm[0] + cm[1]) / 2, cm[1]] as [number, number, number] } : {};
	return { ...way.cut, ...fitted, ...profile.cut };
}
