import { z } from 'zod';

const whole = (name: string, least: number, most: number) =>
	z
		.number({ error: `${name} must be a number.` })
		.int(`${name} must be a whole number.`)
		.min(least, `${name} must be ${least} at least.`)
		.max(most, `${name} must be ${most} at most.`);

/** Three years of weeks. */
const MOST_PERIODS = 156;
const MOST_PLANTS = 1_000_000;
const byPeriod = (name: string) => z.array(whole(name, 0, MOST_PLANTS), { error: `${name} must be a list of whole numbers.` });

export type GrowRequest = z.infer<typeof growRequest>;
export const growRequest = z
	.strictObject({
		periods: whole('periods', 0, MOST_PERIODS),
		lag: whole('lag', 1, MOST_PERIODS),
		initialStock: whole('initialStock', 0, MOST_PLANTS),
		perStock: whole('perStock', 0, 10_000),
		survival: z
			.strictObject({ num: whole('num', 0, 10_000), den: whole('den', 1, 10_000) }, { error: 'survival must be {num, den}.' })
			.refine((s) => s.num <= s.den, 'No more survive than were taken: num is at most den.'),
		bench: byPeriod('bench'),
		maxTake: byPeriod('maxTake').nullable(),
		demand: z
			.array(
				z.strictObject(
					{ date: whole('date', 0, MOST_PERIODS), quantity: whole('quantity', 0, MOST_PLANTS) },
					{ error: 'A demand is {date, quantity}.' }
				),
				{ error: 'demand must be a list of {date, quantity}.' }
			)
			.max(500, 'At most 500 demands.'),
		stockCountsAtEnd: z.boolean({ error: 'stockCountsAtEnd must be true or false.' })
	})
	.refine((q) => q.bench.length === q.periods, { message: 'bench has one number for each period.', path: ['bench'] })
	.refine((q) => q.maxTake === null || q.maxTake.length === q.periods, {
		message: 'maxTake has one number for each period, or is null.',
		path: ['maxTake']
	})
	.refine((q) => q.demand.every((d) => d.date <= q.periods), { message: 'A demand lies after the last date.', path: ['demand'] });
