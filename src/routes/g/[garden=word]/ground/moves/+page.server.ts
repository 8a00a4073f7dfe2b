import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { carried } from '$lib/server/acts/shelter.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('moves', event, ['m']);

export const actions: Actions = { carry: doing(carried) };
