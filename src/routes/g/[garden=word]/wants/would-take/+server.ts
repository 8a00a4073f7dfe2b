import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const GET: RequestHandler = async (event) =>
	json(await view('wouldTake', event, ['kind', 'or', 'purpose', 'target', 'due', 'confidence', 'least']));
