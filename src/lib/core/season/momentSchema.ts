/** Moments of the year as they are written: in the handbook, and reckoned for a garden. */
import { z } from 'zod';
import { ANCHORS } from './anchors.js';

export const SHOOT_STAGES = ['soft', 'semi-ripe', 'hard'] as const;
export type ShootStage = (typeof SHOOT_STAGES)[number];

/** Rules by which a moment follows the season. Bounds keep a slip of the pen in the handbook from meaning nothing. */
export const seasonRule = z.discriminatedUnion('by', [
	/** Warmth added up since a day. */
	z.strictObject({
		by: z.literal('degree_days'),
		sum: z.number().min(1).max(6000),
		base: z.union([z.literal(0), z.literal(5), z.literal(10)]),
		since: z.enum(['midwinter', 'bud_break', 'last_frost', 'bloom'])
	}),
	/** The day has grown, or shrunk, to so many hours. */
	z.strictObject({ by: z.literal('day_length'), hours: z.number().min(6).max(20), going: z.enum(['up', 'down']) }),
	/** A week of nights is on average at or above. */
	z.strictObject({ by: z.literal('nights_above'), c: z.number().min(-10).max(25) }),
	/** After midsummer, the first of two nights running at or below. */
	z.strictObject({ by: z.literal('nights_below'), c: z.number().min(-20).max(25) }),
	/** The flowers are over. */
	z.strictObject({ by: z.literal('bloom_over') }),
	/** The soil freezes: ten days are on average below −2.5 °C. */
	z.strictObject({ by: z.literal('soil_freeze') }),
	/** A frost after (spring) or before (autumn) this day has no more than the chance. */
	z.strictObject({ by: z.literal('frost_chance'), chance: z.number().min(0.01).max(0.99), side: z.enum(['spring', 'autumn']) }),
	/** This year's shoots have become soft, semi-ripe or hard. */
	z.strictObject({ by: z.literal('shoot'), is: z.enum(SHOOT_STAGES) }),
	/** The rains begin or end, where the year has a wet and a dry season. */
	z.strictObject({ by: z.literal('rains'), edge: z.enum(['start', 'end']) })
]);
export type SeasonRule = z.infer<typeof seasonRule>;

/** A turning of the year that is known for one garden: day of the year and spread. */
const known = z.strictObject({ doy: z.number(), sd: z.number() });

export const momentSchema = z.strictObject({
	from: z.enum(ANCHORS),
	days: z.number().int().min(-250).max(250),
	rule: seasonRule.optional(),
	/** Days after the rule has come true (negative: before). */
	then: z.number().int().min(-120).max(120).optional(),
	/** Reckoned for a garden from its record; never written in the handbook. */
	at: known.optional(),
	/** By this garden's record the rule does not come true in most years. */
	never: z.literal(true).optional()
});
export type Moment = z.infer<typeof momentSchema>;
