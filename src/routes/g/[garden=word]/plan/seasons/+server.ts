import type { RequestHandler } from './$types';
import { events, sorryFor } from '$lib/server/events.js';
import { aimOf } from '$lib/server/planAsked.js';
import { seasonsFor } from '$lib/server/planKept.js';
import { view } from '$lib/server/threads/pool.js';
import { SEASONS } from '$lib/server/watched.js';

/** How often whoever waits is told how far it is. */
const TOLD_MS = 150;

/** The plan grown through many seasons, as server-sent events: `grown` as it goes, then `told`, or `sorry` with why not. */
export const GET: RequestHandler = async (event) => {
	const { state } = await view('planFrame', event);
	const seasons = seasonsFor(state, { slug: event.params.garden, ...aimOf(event.url.searchParams) });
	return events(async (say) => {
		const tell = () => say('grown', { done: seasons.done(), of: SEASONS });
		tell();
		const timer = setInterval(tell, TOLD_MS);
		try {
			say('told', await seasons.made);
		} catch (e) {
			say('sorry', sorryFor(e, 'The seasons could not be grown. Try again in a moment.'));
		} finally {
			clearInterval(timer);
		}
	}, seasons.leave);
};
