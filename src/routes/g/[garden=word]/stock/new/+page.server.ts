import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { addPlant } from '$lib/server/acts/plant.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('newPlant', event, ['kind']);

export const actions: Actions = { default: doing(addPlant) };
