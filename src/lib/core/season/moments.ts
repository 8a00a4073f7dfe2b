/**
 * Moments of the year: what opens and closes a window. In plain form so many days from a turning point;
 * with a rule, the day on which the season itself has come so far. The plain form then says what to
 * expect where no weather is known.
 */
import { z } from 'zod';
import { ANCHORS, ANCHOR_WORDS, turning } from './anchors.js';
import type { Climate } from './climate.js';

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

/** Usual day of the year of a moment in a garden, and its spread. */
export function momentIn(m: Moment, c: Climate): { doy: number; sd: number } {
	if (m.at) return m.at;
	const t = turning(m.from, c);
	return { doy: t.doy, sd: t.sd };
}
/** "3 weeks after the last frost", "when shoots have turned firm". */
export function sayMoment(m: Moment): string {
	if (!m.rule) return sayDays(m.days, ANCHOR_WORDS[m.from]);
	const what = sayRuleAlone(m.rule);
	return m.then ? sayDays(m.then, what) : what;
}

function sayDays(days: number, what: string): string {
	if (days === 0) return what;
	const count = Math.abs(days);
	const span = count % 7 === 0 ? `${count / 7} week${count === 7 ? '' : 's'}` : `${count} day${count === 1 ? '' : 's'}`;
	return `${span} ${days > 0 ? 'after' : 'before'} ${what}`;
}

const SINCE = { midwinter: 'midwinter', bud_break: 'bud break', last_frost: 'the last frost', bloom: 'the first flowers' };
const SHOOTS: Record<ShootStage, string> = {
	soft: 'the first soft shoots',
	'semi-ripe': 'the shoots turning firm (semi-ripe)',
	hard: 'the shoots hardening to wood'
};

export function sayRuleAlone(r: SeasonRule): string {
	switch (r.by) {
		case 'degree_days':
			return `${r.sum} degree days above ${r.base} °C since ${SINCE[r.since]}`;
		case 'day_length':
			return `days ${r.going === 'up' ? 'growing' : 'shrinking'} to ${r.hours} hours`;
		case 'nights_above':
			return `nights of ${r.c} °C and more`;
		case 'nights_below':
			return `the first nights of ${r.c} °C and less`;
		case 'bloom_over':
			return 'the end of its flowers';
		case 'soil_freeze':
			return 'the freezing of the soil';
		case 'frost_chance':
			return r.side === 'spring'
				? `the day after which frost comes in only ${Math.round(r.chance * 100)} years in 100`
				: `the day by which frost has come in ${Math.round(r.chance * 100)} years in 100`;
		case 'shoot':
			return SHOOTS[r.is];
		case 'rains':
			return r.edge === 'start' ? 'the start of the rains' : 'the end of the rains';
	}
}
