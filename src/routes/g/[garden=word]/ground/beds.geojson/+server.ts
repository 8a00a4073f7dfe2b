import type { RequestHandler } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) =>
	new Response(await view('bedsGeo', event, ['day']), {
		headers: {
			'content-type': 'application/geo+json; charset=utf-8',
			'content-disposition': `attachment; filename="${event.params.garden}-beds.geojson"`
		}
	});
