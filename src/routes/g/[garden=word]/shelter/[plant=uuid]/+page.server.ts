import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { carried, lodged } from '$lib/server/acts/shelter.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('plantWinter', event);

export const actions: Actions = { carry: doing(carried), lodge: doing(lodged) };
