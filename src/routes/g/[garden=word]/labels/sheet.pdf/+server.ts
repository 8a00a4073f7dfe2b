import type { RequestHandler } from './$types';
import { pdfNamed } from '$lib/server/api.js';
import { job, view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) =>
	pdfNamed('labels', await job('labels', await view('labelSheet', event, null), event.request.signal));
