import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { severalAtOnce } from '$lib/server/acts/several.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('bench', event, ['day', 'by', 'rows']);

export const actions: Actions = { several: doing(severalAtOnce) };
