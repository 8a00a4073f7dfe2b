import type { RequestHandler } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) =>
	new Response(await view('calendar', event), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': `attachment; filename="${event.params.garden}-round.ics"`
		}
	});
