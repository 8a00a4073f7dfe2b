import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { strikeRequest } from '$lib/server/oddsSchema.js';
import { job } from '$lib/server/threads/pool.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, strikeRequest);
	if (body instanceof Response) return body;
	const answer = await job('strike', body, request.signal);
	return answer.ok ? json(answer.value) : problem(answer.problem);
};
