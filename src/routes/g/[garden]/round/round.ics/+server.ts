import type { RequestHandler } from './$types';
import { gardenCalendar } from '$lib/server/calendar.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';

export const GET: RequestHandler = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	return new Response(await guarded(() => gardenCalendar(garden, url.origin)), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': `attachment; filename="${garden.slug}-round.ics"`
		}
	});
};
