import type { RequestHandler } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) =>
	new Response(await view('kindFile', event), {
		headers: {
			'content-type': 'application/yaml; charset=utf-8',
			'content-disposition': `attachment; filename="${event.params.kind}.yaml"`
		}
	});
