import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { giveLeave, gone, lookOver } from '$lib/server/acts/plant.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('plant', event, ['day', 'variety']);

export const actions: Actions = { look: doing(lookOver), leave: doing(giveLeave), gone: doing(gone) };
