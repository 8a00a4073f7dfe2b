import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { carried, guardedNow } from '$lib/server/acts/shelter.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = async (event) => ({
	...(await view('shelter', event, ['at'])),
	// Each change is solved anew: it comes when it comes.
	changes: view('shelterChanges', event).catch(() => null)
});

export const actions: Actions = { carry: doing(carried), guard: doing(guardedNow) };
