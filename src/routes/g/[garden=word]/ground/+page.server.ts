import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { broughtFromMap } from '$lib/server/acts/ground.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('ground', event, ['kind', 'count', 'day']);

export const actions: Actions = { bring: doing(broughtFromMap) };
