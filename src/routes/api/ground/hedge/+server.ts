import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { hedgePlants } from '$lib/core/ground/index.js';
import { readBody } from '$lib/server/api.js';
import { hedgeRequest } from '$lib/server/groundSchema.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, hedgeRequest);
	if (body instanceof Response) return body;
	return json({ count: hedgePlants(body.length, body.spacing, body.rows) });
};
