import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { writeWant } from '$lib/server/acts/want.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('newWant', event, ['kind', 'count', 'place']);

export const actions: Actions = { default: doing(writeWant) };
