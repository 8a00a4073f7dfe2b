import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { strike } from '$lib/core/odds/strike.js';
import { problem, readBody } from '$lib/server/api.js';
import { strikeRequest } from '$lib/server/oddsSchema.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, strikeRequest);
	if (body instanceof Response) return body;
	const stages = body.stages.map((s) => ({ ...s, rho: body.correlation }));
	const answer = strike(stages, body.target, body.confidence);
	return answer.ok ? json(answer.value) : problem(answer.problem);
};
