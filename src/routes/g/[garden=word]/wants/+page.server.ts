import type { PageServerLoad } from './$types';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { wantViews } from '$lib/server/wants.js';
import { database } from '$lib/server/db.js';
import * as state from '$lib/server/store/state.js';

export const load: PageServerLoad = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => {
		const [wants, places] = await Promise.all([wantViews(garden), state.places(database(), garden.id)]);
		const order = {
			missed: 0,
			'no plan': 1,
			unlikely: 2,
			'in doubt': 3,
			likely: 4,
			'in hand': 5,
			met: 6
		} as const;
		return {
			wants: wants.filter((w) => !w.dropped).sort((a, b) => order[a.standing] - order[b.standing] || a.due.localeCompare(b.due)),
			placeNames: Object.fromEntries(places.map((p) => [p.id, p.name]))
		};
	});
};
