import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { buyFor } from '$lib/server/acts/buying.js';
import { takeWhole } from '$lib/server/acts/plan.js';
import { easeWant, growFirst } from '$lib/server/acts/want.js';
import { aimOf } from '$lib/server/planAsked.js';
import { planKept } from '$lib/server/planKept.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = async (event) => {
	const frame = await view('planFrame', event);
	const asked = { slug: event.params.garden, ...aimOf(event.url.searchParams) };
	// One that is not there yet is looked for while the page tells how far it is (search/).
	return { ...frame, plan: planKept(frame.state, asked) ?? null };
};

export const actions: Actions = { take: doing(takeWhole), ease: doing(easeWant), grow: doing(growFirst), buy: doing(buyFor) };
