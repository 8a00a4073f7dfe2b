import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { expected, outcome } from '$lib/core/odds/chain.js';
import { quantilesOf } from '$lib/core/odds/strike.js';
import { readBody } from '$lib/server/api.js';
import { outcomeRequest } from '$lib/server/oddsSchema.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, outcomeRequest);
	if (body instanceof Response) return body;
	const stages = body.stages.map((s) => ({ ...s, rho: body.correlation }));
	const pmf = outcome(stages, body.struck);
	return json({ mean: expected(stages, body.struck), quantiles: quantilesOf(pmf), pmf: [...pmf] });
};
