import type { RequestHandler } from './$types';
import { originOf } from '$lib/server/api.js';
import { gardenCalendar } from '$lib/server/calendar.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';

export const GET: RequestHandler = async ({ params, request, url }) => {
	const garden = await gardenOr404(params.garden);
	return new Response(await guarded(() => gardenCalendar(garden, originOf(request, url))), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': `attachment; filename="${garden.slug}-round.ics"`
		}
	});
};
