import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { allWell, broughtIn, careDone, carePutOff, careSkipped, counted, gaveUp } from '$lib/server/acts/round.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('round', event, ['day', 'rows']);

export const actions: Actions = {
	done: doing(careDone),
	skip: doing(careSkipped),
	putoff: doing(carePutOff),
	well: doing(allWell),
	count: doing(counted),
	giveup: doing(gaveUp),
	bring: doing(broughtIn)
};
