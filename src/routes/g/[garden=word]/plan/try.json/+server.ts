import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { handRequest } from '$lib/server/planAsked.js';
import { planJob } from '$lib/server/threads/pool.js';

/** The plan changed by hand: its odds, and what it asks too much of. Nothing is written. */
export const POST: RequestHandler = async ({ request, params }) => {
	const body = await readBody(request, handRequest);
	if (body instanceof Response) return body;
	const told = await planJob('planHand', { ...body, slug: params.garden }, request.signal);
	return told.ok ? json(told.value) : problem(told.problem, 422);
};
