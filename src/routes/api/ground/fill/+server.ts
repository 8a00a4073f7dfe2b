import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { fillRequest } from '$lib/server/groundSchema.js';
import { job } from '$lib/server/threads/pool.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, fillRequest);
	if (body instanceof Response) return body;
	const filled = await job('fill', body, request.signal);
	return filled.ok ? json({ count: filled.value.count, points: filled.value.points }) : problem(filled.problem);
};
