import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { problem } from '$lib/server/api.js';
import { job } from '$lib/server/threads/pool.js';

/** A garden comes into the house from the archive that is the body. */
export const POST: RequestHandler = async ({ request }) => {
	const bytes = await request.arrayBuffer().catch(() => null);
	if (!bytes || bytes.byteLength === 0)
		return problem({ code: 'archive.empty', sentence: 'No file came: choose the zip that Surculus made.', path: 'file' });
	const taken = await job('archiveIn', new Uint8Array(bytes));
	return taken.ok ? json(taken.value) : problem(taken.problem);
};
