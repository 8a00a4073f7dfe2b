import type { RequestHandler } from './$types';
import { pdfNamed } from '$lib/server/api.js';
import { job, view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) => {
	const sheet = await view('shelterSheet', event, ['at']);
	return pdfNamed(`${event.params.garden}-shelter`, await job('tickSheet', sheet, event.request.signal));
};
