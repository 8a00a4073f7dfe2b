import type { RequestHandler } from './$types';
import { pdfNamed } from '$lib/server/api.js';
import { job, view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) => {
	const sheet = await view('awaySheet', event, ['from', 'to']);
	return pdfNamed(`${event.params.garden}-away`, await job('tickSheet', sheet, event.request.signal));
};
