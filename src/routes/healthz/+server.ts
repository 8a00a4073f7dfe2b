import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { database } from '$lib/server/db.js';
import { standIns } from '$lib/server/standIns.js';

/** 200 when the database answers; stand-ins are told but do not make the app unwell. */
export const GET: RequestHandler = async () => {
	const began = performance.now();
	const up = await database()
		.query('SELECT 1')
		.then(() => true)
		.catch(() => false);
	const ms = Math.round(performance.now() - began);
	const others = await Promise.all(
		[...standIns()].map(async ([name, address]) => [
			name,
			await fetch(`${address}/healthz`, { signal: AbortSignal.timeout(1000) })
				.then((r) => (r.ok ? 'up' : 'unwell'))
				.catch(() => 'down')
		])
	);
	return json(
		{ ok: up, database: up ? 'up' : 'down', databaseMs: ms, standIns: Object.fromEntries(others) },
		{ status: up ? 200 : 503 }
	);
};
