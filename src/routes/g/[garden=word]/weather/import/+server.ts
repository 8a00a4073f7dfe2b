import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem } from '$lib/server/api.js';
import { job } from '$lib/server/threads/pool.js';

export const POST: RequestHandler = async ({ params, request, locals }) => {
	const done = await job('weatherIn', { slug: params.garden, actor: locals.actor, text: await request.text() });
	if (!done.ok) return problem(done.problem, done.problem.code === 'body.too-long' ? 413 : 400);
	return json({ done: { entryId: done.value.entryId, sentence: `${done.value.name}: taken in.` } });
};
