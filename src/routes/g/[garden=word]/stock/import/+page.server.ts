import type { PageServerLoad } from './$types';
import { kindsOf } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import * as state from '$lib/server/store/state.js';
import { botanicalName } from '$lib/core/handbook/schema.js';

export const load: PageServerLoad = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => ({
		kinds: [...(await kindsOf(garden)).values()]
			.map((k) => ({ id: k.id, name: k.common, names: [k.common, botanicalName(k)] }))
			.sort((a, b) => a.name.localeCompare(b.name)),
		places: (await state.places(database(), garden.id)).filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name }))
	}));
};
