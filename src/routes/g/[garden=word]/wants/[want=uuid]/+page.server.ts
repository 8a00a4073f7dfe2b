import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { buyFor, writeBought } from '$lib/server/acts/buying.js';
import { changeWant, dropWant, takePlan } from '$lib/server/acts/want.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('want', event, ['stock']);

export const actions: Actions = {
	...{ accept: doing(takePlan), change: doing(changeWant), drop: doing(dropWant) },
	...{ buying: doing(buyFor), bought: doing(writeBought) }
};
