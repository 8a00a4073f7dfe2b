import type { RequestHandler } from './$types';
import { isHttpError } from '@sveltejs/kit';
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
	let gone = false;
	let timer: NodeJS.Timeout | undefined;
	const letters = new TextEncoder();
	const body = new ReadableStream<Uint8Array>({
		async start(out) {
			const say = (name: string, data: unknown) => {
				if (!gone) out.enqueue(letters.encode(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`));
			};
			const tell = () => say('grown', { done: seasons.done(), of: SEASONS });
			tell();
			timer = setInterval(tell, TOLD_MS);
			try {
				say('told', await seasons.made);
			} catch (e) {
				say('sorry', { message: isHttpError(e) ? e.body.message : 'The seasons could not be grown. Try again in a moment.' });
			} finally {
				clearInterval(timer);
				if (!gone) out.close();
			}
		},
		cancel() {
			gone = true;
			clearInterval(timer);
			seasons.leave();
		}
	});
	return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
};
