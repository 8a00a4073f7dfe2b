import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { gainOf, lagOf, respond } from '$lib/core/shelter/index.js';
import { readBody } from '$lib/server/api.js';
import { responseRequest } from '$lib/server/shelterSchema.js';

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, responseRequest);
	if (body instanceof Response) return body;
	const inside = respond(body.tauHours, body.startC, body.outside);
	const last = Math.max(...body.hours);
	const lowest = inside.lowest(last);
	return json({
		insideC: body.hours.map((h) => inside.at(h)),
		gain: gainOf(body.tauHours),
		lagHours: lagOf(body.tauHours),
		lowestC: lowest.c,
		lowestAtHour: lowest.hour,
		hoursAtOrBelow0: inside.hoursAtOrBelow(0, last)
	});
};
