import type { RequestHandler } from './$types';
import { instantNow } from '$lib/server/clock.js';
import { gardenHeadOr404 } from '$lib/server/forms.js';
import { job } from '$lib/server/threads/pool.js';

/** The whole garden as one file. */
export const GET: RequestHandler = async ({ params, request }) => {
	const garden = await gardenHeadOr404(params.garden);
	const zip = await job('archiveOut', { slug: garden.slug, made: instantNow() }, request.signal);
	return new Response(new Uint8Array(zip), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': `attachment; filename="${garden.slug}-${garden.today}.zip"`
		}
	});
};
