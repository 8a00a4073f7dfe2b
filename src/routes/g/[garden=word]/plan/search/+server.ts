import type { RequestHandler } from './$types';
import { events, sorryFor } from '$lib/server/events.js';
import type { PlanView } from '$lib/server/jointView.js';
import { aimOf } from '$lib/server/planAsked.js';
import { bindFor, searchFor } from '$lib/server/planKept.js';
import { view } from '$lib/server/threads/pool.js';

/**
 * The plan as it is looked for, as server-sent events: `first`, the first that was found; `told`, the best; then `help`
 * for each want that is short (what would help it, or why that is not told), and `end`. `sorry` where there is none.
 */
export const GET: RequestHandler = async (event) => {
	const { state } = await view('planFrame', event);
	const asked = { slug: event.params.garden, ...aimOf(event.url.searchParams) };
	const search = searchFor(state, asked);
	return events(async (say, gone) => {
		let plan: PlanView;
		try {
			// Where there is no first there is no best either: why not is told once.
			const first = await search.made.first;
			say('first', first);
			plan = await search.made.made;
			say('told', plan);
		} catch (e) {
			say('sorry', sorryFor(e, 'The plan could not be worked out. Try again in a moment.'));
			return;
		}
		for (const w of plan.wants) {
			if (w.standing === 'in hand') continue;
			if (gone()) return;
			try {
				say('help', { want: w.id, bind: await bindFor(state, asked, w.id) });
			} catch (e) {
				say('help', { want: w.id, sorry: sorryFor(e, 'What would help could not be worked out just now.').message });
			}
		}
		say('end', {});
	}, search.leave);
};
