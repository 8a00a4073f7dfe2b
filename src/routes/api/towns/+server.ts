import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { database } from '$lib/server/db.js';
import { readPosition } from '$lib/server/position.js';
import { findTowns, nearestTown } from '$lib/server/towns.js';

/** Towns by any name or its beginning, the likeliest first; or with lat and lon the one nearest to a position. */
export const GET: RequestHandler = async ({ url }) => {
	const typed = url.searchParams.get('q');
	if (typed !== null) return json({ towns: await findTowns(database(), typed) });
	const at = readPosition(url);
	if (at instanceof Response) return at;
	const nearest = await nearestTown(database(), at.lat, at.lon);
	return json({ towns: nearest ? [nearest] : [] });
};
