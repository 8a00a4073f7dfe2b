import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { strike } from '$lib/server/acts/strike.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('strike', event, ['stock', 'way', 'count', 'foretold']);

export const actions: Actions = { default: doing(strike) };
