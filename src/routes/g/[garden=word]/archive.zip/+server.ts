import type { RequestHandler } from './$types';
import { archiveOf } from '$lib/server/archive.js';
import { instantNow } from '$lib/server/clock.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';

/** The whole garden as one file. */
export const GET: RequestHandler = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	const zip = await guarded(() => archiveOf(garden, instantNow()));
	return new Response(Buffer.from(zip), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': `attachment; filename="${garden.slug}-${garden.today}.zip"`
		}
	});
};
