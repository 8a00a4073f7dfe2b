import { json } from '@sveltejs/kit';
import { seaNear } from '$lib/server/sea.js';
import type { RequestHandler } from './$types';
import { readPosition } from '$lib/server/position.js';

/** How near the sea is to a position, upwind, and how warm: for the first guess of a climate. */
export const GET: RequestHandler = ({ url }) => {
	const at = readPosition(url);
	return at instanceof Response ? at : json({ sea: seaNear(at.lat, at.lon) });
};
