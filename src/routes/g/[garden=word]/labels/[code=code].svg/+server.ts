import type { RequestHandler } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) =>
	new Response(await view('labelDrawn', event, ['sheet']), { headers: { 'content-type': 'image/svg+xml' } });
