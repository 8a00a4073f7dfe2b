import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { walkInOrder } from '$lib/server/acts/walk.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('walk', event);

export const actions: Actions = { default: doing(walkInOrder) };
