import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { ownVessel, putOnShelf } from '$lib/server/acts/mix.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('mix', event, ['kind', 'way', 'n', 'in', 'medium', 'batch', 'span']);

export const actions: Actions = { shelf: doing(putOnShelf), vessel: doing(ownVessel) };
