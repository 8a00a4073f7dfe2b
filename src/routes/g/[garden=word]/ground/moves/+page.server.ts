import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { movesKept, movesMade } from '$lib/server/acts/ground.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('moves', event, ['m', 'by', 'weekends', 'hold', 'free']);

export const actions: Actions = { moved: doing(movesMade), keep: doing(movesKept) };
