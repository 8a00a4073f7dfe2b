import type { RequestHandler } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) => {
	const { name, text } = await view('recordFile', event);
	return new Response(text, {
		headers: { 'content-type': 'text/plain; charset=utf-8', 'content-disposition': `attachment; filename="${name}"` }
	});
};
