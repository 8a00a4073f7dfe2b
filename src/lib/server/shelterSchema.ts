import { z } from 'zod';

const number = (name: string, least: number, most: number) =>
	z
		.number({ error: `${name} must be a number.` })
		.min(least, `${name} must be ${least} at least.`)
		.max(most, `${name} must be ${most} at most.`);

/** Longer than a year no first-order model is asked for. */
export const MOST_HOURS = 10_000;
const MOST_ASKED = 2_000;
const MOST_STEPS = 200;
const celsius = (name: string) => number(name, -100, 100);

export type ResponseRequest = z.infer<typeof responseRequest>;
/** Air in a shelter by Newton's law of cooling, from hour 0 to the last hour asked for. */
export const responseRequest = z.strictObject({
	tauHours: number('tauHours', 0.001, MOST_HOURS),
	startC: celsius('startC'),
	outside: z.strictObject(
		{
			meanC: celsius('meanC'),
			amplitudeC: number('amplitudeC', 0, 100),
			peakHour: number('peakHour', -MOST_HOURS, MOST_HOURS),
			steps: z
				.array(
					z.strictObject(
						{ atHour: number('atHour', -MOST_HOURS, MOST_HOURS), deltaC: celsius('deltaC') },
						{ error: 'A step is {atHour, deltaC}.' }
					),
					{ error: 'steps must be a list of {atHour, deltaC}.' }
				)
				.max(MOST_STEPS, `At most ${MOST_STEPS} steps.`)
				.default([])
		},
		{ error: 'outside must be {meanC, amplitudeC, peakHour, steps}.' }
	),
	hours: z
		.array(number('hours', 0, MOST_HOURS), { error: 'hours must be a list of numbers.' })
		.min(1, 'Give at least one hour.')
		.max(MOST_ASKED, `At most ${MOST_ASKED} hours.`)
});
