import { z } from 'zod';
import { MOST_STAGES, MOST_STRUCK, MOST_TARGET } from '$lib/core/odds/strike.js';

const shape = (name: string) =>
	z
		.number({ error: `${name} must be a number.` })
		.gt(0, `${name} must be above 0.`)
		.max(1e6, `${name} must be at most 1,000,000.`);

const stages = z
	.array(z.strictObject({ alpha: shape('alpha'), beta: shape('beta') }, { error: 'A stage is {alpha, beta}.' }), {
		error: 'stages must be a list of {alpha, beta}.'
	})
	.min(1, 'Give at least one stage.')
	.max(MOST_STAGES, `At most ${MOST_STAGES} stages.`);

/** Of two pieces of one batch, when the way's mean is known; left out it is 0. */
const correlation = z
	.number({ error: 'correlation must be a number.' })
	.min(0, 'correlation must be 0 at least.')
	.lt(1, 'correlation must be below 1: at 1 a batch would live or die as one.')
	.default(0);

const count = (name: string, least: number, most: number) =>
	z
		.number({ error: `${name} must be a number.` })
		.int(`${name} must be a whole number.`)
		.min(least, `${name} must be ${least} at least.`)
		.max(most, `${name} must be ${most} at most.`);

export type StrikeRequest = z.infer<typeof strikeRequest>;
export const strikeRequest = z.strictObject({
	stages,
	correlation,
	target: count('target', 1, MOST_TARGET),
	confidence: z
		.number({ error: 'confidence must be a number.' })
		.gt(0, 'confidence must be above 0.')
		.lt(1, 'confidence must be below 1: nothing that grows is certain.')
});

export type OutcomeRequest = z.infer<typeof outcomeRequest>;
export const outcomeRequest = z.strictObject({ stages, correlation, struck: count('struck', 0, MOST_STRUCK) });
