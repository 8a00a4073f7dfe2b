import { json } from '@sveltejs/kit';
import tzLookup from '@photostructure/tz-lookup';
import type { RequestHandler } from './$types';
import { readPosition } from '$lib/server/position.js';

/** Time zone of a position. */
export const GET: RequestHandler = ({ url }) => {
	const at = readPosition(url);
	return at instanceof Response ? at : json({ timeZone: tzLookup(at.lat, at.lon) });
};
