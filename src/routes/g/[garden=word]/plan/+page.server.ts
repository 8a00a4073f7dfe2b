import type { Actions, PageServerLoad } from './$types';
import { isHttpError } from '@sveltejs/kit';
import { doing } from '$lib/server/acts/doing.js';
import { takeWhole } from '$lib/server/acts/plan.js';
import { easeWant, growFirst } from '$lib/server/acts/want.js';
import { aimOf } from '$lib/server/planAsked.js';
import { bindFor, planFor } from '$lib/server/planKept.js';
import { view } from '$lib/server/threads/pool.js';

/** What comes later comes as a value, a sentence where it does not come: the page is there already. */
const later = async <T>(work: Promise<T>): Promise<{ value: T } | { sorry: string }> => {
	try {
		return { value: await work };
	} catch (e) {
		return { sorry: isHttpError(e) ? e.body.message : 'The plan could not be worked out. Try again in a moment.' };
	}
};

export const load: PageServerLoad = async (event) => {
	const frame = await view('planFrame', event);
	const asked = { slug: event.params.garden, ...aimOf(event.url.searchParams) };
	const plan = planFor(frame.state, asked);
	return {
		...frame,
		plan: later(plan),
		// Each as it comes: the last of many takes a while.
		binds: later(
			plan.then((p) =>
				Object.fromEntries(
					p.wants.flatMap((w) => (w.standing === 'in hand' ? [] : [[w.id, later(bindFor(frame.state, asked, w.id))]]))
				)
			)
		)
	};
};

export const actions: Actions = { take: doing(takeWhole), ease: doing(easeWant), grow: doing(growFirst) };
