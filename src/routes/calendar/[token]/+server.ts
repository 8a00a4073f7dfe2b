import type { RequestHandler } from './$types';
import { problem } from '$lib/server/api.js';
import { gardenSlugOf } from '$lib/server/context.js';
import { guarded } from '$lib/server/forms.js';
import { view } from '$lib/server/threads/pool.js';
import { gardenOfToken } from '$lib/server/tokens.js';

/** The calendar by its secret address: what reads calendars cannot sign in. */
export const GET: RequestHandler = ({ params, request, url }) =>
	guarded(async () => {
		const gardenId = await gardenOfToken(params.token.replace(/\.ics$/, ''), 'calendar');
		const garden = gardenId ? await gardenSlugOf(gardenId) : null;
		if (!garden) return problem({ code: 'token.unknown', sentence: 'This address opens no calendar, or no longer.' }, 404);
		return new Response(await view('calendar', { params: { garden }, url, request }), {
			headers: {
				'content-type': 'text/calendar; charset=utf-8',
				'cache-control': 'private, no-store',
				'content-disposition': `inline; filename="${garden}-round.ics"`
			}
		});
	});
