import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { importRecord, importSchema } from '$lib/server/weather.js';

/** 200 years of three columns of tenths, written out. */
const MOST_BYTES = 1_900_000;

export const POST: RequestHandler = async ({ params, request, locals }) => {
	const garden = await gardenOr404(params.garden);
	const body = await readBody(request, importSchema, MOST_BYTES);
	if (body instanceof Response) return body;
	const result = await guarded(() => importRecord(garden, locals.actor, body));
	if (!result.ok) return problem(result.problem);
	return json({ done: { entryId: result.value.ids[0], sentence: `${body.name}: taken in.` } });
};
