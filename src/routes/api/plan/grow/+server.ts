import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { growRequest } from '$lib/server/growSchema.js';
import { job } from '$lib/server/threads/pool.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, growRequest);
	if (body instanceof Response) return body;
	const grown = await job('grow', body, request.signal);
	return grown.ok ? json(grown.value) : problem(grown.problem, 422);
};
