import type { RequestHandler } from './$types';
import { pdfNamed } from '$lib/server/api.js';
import { aimOf } from '$lib/server/planAsked.js';
import { planFor } from '$lib/server/planKept.js';
import { planSheet } from '$lib/server/planSheet.js';
import { job, view } from '$lib/server/threads/pool.js';

/** The plan for the shed door. */
export const GET: RequestHandler = async (event) => {
	const frame = await view('planFrame', event);
	const plan = await planFor(frame.state, { slug: event.params.garden, ...aimOf(event.url.searchParams) });
	const sheet = planSheet(frame.name, frame.today, plan);
	return pdfNamed(`${event.params.garden}-plan`, await job('tickSheet', sheet, event.request.signal));
};
