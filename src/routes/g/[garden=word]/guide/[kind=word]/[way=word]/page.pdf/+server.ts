import type { RequestHandler } from './$types';
import { pdfNamed } from '$lib/server/api.js';
import { job, view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) => {
	const { kind, way } = event.params;
	return pdfNamed(`${kind}-${way}`, await job('guidePage', await view('guidePage', event, null), event.request.signal));
};
