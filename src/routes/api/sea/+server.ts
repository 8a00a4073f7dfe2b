import { json } from '@sveltejs/kit';
import { z } from 'zod';
import type { RequestHandler } from './$types';
import { problem } from '$lib/server/api.js';
import { seaNear } from '$lib/server/sea.js';

const degrees = (most: number) =>
	z
		.string()
		.regex(/^[-−]?\d/)
		.transform((t) => Number(t.replace('−', '-')))
		.pipe(z.number().min(-most).max(most));
const position = z.object({ lat: degrees(90), lon: degrees(180) });

/** How near the sea is to a position, upwind, and how warm: for the first guess of a climate. */
export const GET: RequestHandler = ({ url }) => {
	const parsed = position.safeParse(Object.fromEntries(url.searchParams));
	if (!parsed.success)
		return problem({
			code: 'position.range',
			sentence: 'Latitude lies between −90 and 90, longitude between −180 and 180.'
		});
	return json({ sea: seaNear(parsed.data.lat, parsed.data.lon) });
};
