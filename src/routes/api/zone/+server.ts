import { json } from '@sveltejs/kit';
import tzLookup from '@photostructure/tz-lookup';
import { z } from 'zod';
import type { RequestHandler } from './$types';
import { problem } from '$lib/server/api.js';

const position = z.object({
	lat: z.coerce.number().min(-90).max(90),
	lon: z.coerce.number().min(-180).max(180)
});

/** Time zone of a position. */
export const GET: RequestHandler = ({ url }) => {
	const parsed = position.safeParse(Object.fromEntries(url.searchParams));
	if (!parsed.success)
		return problem({
			code: 'position.range',
			sentence: 'Latitude lies between −90 and 90, longitude between −180 and 180.'
		});
	return json({ timeZone: tzLookup(parsed.data.lat, parsed.data.lon) });
};
