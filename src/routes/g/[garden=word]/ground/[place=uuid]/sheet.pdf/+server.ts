import type { RequestHandler } from './$types';
import { pdfNamed } from '$lib/server/api.js';
import { job, view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) => {
	const sheet = await view('bedSheet', event, ['kind', 'spacing', 'margin', 'pattern', 'turn', 'gaps', 'beside', 'share', 'day']);
	return pdfNamed(`${event.params.garden}-bed`, await job('bedSheet', sheet, event.request.signal));
};
