import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { aimOf } from '$lib/server/planAsked.js';
import { planFor } from '$lib/server/planKept.js';
import { repairsOf } from '$lib/server/planRepairs.js';
import { view } from '$lib/server/threads/pool.js';

/** What mends the wants that are less sure than asked, by the plan of all of them. */
export const GET: RequestHandler = async (event) => {
	const { state, today } = await view('planFrame', event);
	const plan = await planFor(state, { slug: event.params.garden, ...aimOf(new URLSearchParams()) });
	return json(repairsOf(plan, today));
};
