import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { measured, set } from '$lib/server/acts/ground.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) =>
	view('bed', event, ['kind', 'spacing', 'margin', 'pattern', 'turn', 'gaps', 'beside', 'share', 'day']);

export const actions: Actions = { measure: doing(measured), set: doing(set) };
