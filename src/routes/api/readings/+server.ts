import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { guarded } from '$lib/server/forms.js';
import { readingsSchema, takeReadings } from '$lib/server/readings.js';
import { gardenOfToken } from '$lib/server/tokens.js';

/** Readings of any home sensor, with the garden's token. */
export const POST: RequestHandler = async ({ request }) => {
	const bearer = /^Bearer (\S+)$/.exec(request.headers.get('authorization') ?? '')?.[1] ?? '';
	const gardenId = await guarded(() => gardenOfToken(bearer, 'readings'));
	if (!gardenId)
		return problem({ code: 'token.unknown', sentence: 'This token opens no garden: make one in Garden settings.' }, 401);
	const body = await readBody(request, readingsSchema, 200_000);
	if (body instanceof Response) return body;
	const taken = await guarded(() => takeReadings(gardenId, body, Date.now()));
	return taken.ok ? json(taken.value) : problem(taken.problem);
};
