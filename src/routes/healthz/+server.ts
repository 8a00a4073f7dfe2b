import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { database } from '$lib/server/db.js';
import { standIns } from '$lib/server/standIns.js';

const MOST_WAIT_MS = 800;

/** 200 when the database answers; stand-ins are told but do not make the app unwell. */
export const GET: RequestHandler = async () => {
	const began = performance.now();
	// A database that is halted says nothing at all: whoever asks hears so within a second.
	const up = await Promise.race([
		database()
			.query('SELECT 1')
			.then(() => true)
			.catch(() => false),
		new Promise<false>((resolve) => setTimeout(() => resolve(false), MOST_WAIT_MS).unref())
	]);
	const ms = Math.round(performance.now() - began);
	const others = await Promise.all(
		[...standIns()].map(async ([name, address]) => [
			name,
			await fetch(`${address}/healthz`, { signal: AbortSignal.timeout(MOST_WAIT_MS) })
				.then((r) => (r.ok ? 'up' : 'unwell'))
				.catch(() => 'down')
		])
	);
	return json(
		{ ok: up, database: up ? 'up' : 'down', databaseMs: ms, standIns: Object.fromEntries(others) },
		{ status: up ? 200 : 503 }
	);
};
