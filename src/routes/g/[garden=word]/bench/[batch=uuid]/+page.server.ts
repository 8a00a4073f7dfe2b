import type { Actions, PageServerLoad } from './$types';
import { logBatch } from '$lib/server/acts/batch.js';
import { doing } from '$lib/server/acts/doing.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('batch', event, ['day', 'do', 'struck']);

export const actions: Actions = { default: doing(logBatch) };
