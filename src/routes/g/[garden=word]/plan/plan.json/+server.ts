import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { aimOf } from '$lib/server/planAsked.js';
import { planFor } from '$lib/server/planKept.js';
import { view } from '$lib/server/threads/pool.js';

/** The plan as a program reads it. */
export const GET: RequestHandler = async (event) => {
	const { state } = await view('planFrame', event);
	return json(await planFor(state, { slug: event.params.garden, ...aimOf(event.url.searchParams) }));
};
