import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { readBody } from '$lib/server/api.js';
import { outcomeRequest } from '$lib/server/oddsSchema.js';
import { job } from '$lib/server/threads/pool.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, outcomeRequest);
	return body instanceof Response ? body : json(await job('outcome', body, request.signal));
};
