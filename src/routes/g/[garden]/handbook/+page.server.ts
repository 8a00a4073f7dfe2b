import type { PageServerLoad } from './$types';
import { kindsOf, viewedDay } from '$lib/server/context.js';
import { handbook } from '$lib/server/handbook.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { botanicalName } from '$lib/core/handbook/schema.js';
import { openings } from '$lib/core/season/windows.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => ({
		from: day - 15,
		day,
		kinds: [...(await kindsOf(garden)).values()].map((k) => ({
			id: k.id,
			common: k.common,
			botanical: botanicalName(k),
			standsFor: k.stands_for,
			ways: k.ways.map((w) => ({
				id: w.id,
				name: handbook().ways.get(w.way)!.name,
				open: openings(w.window, day - 15, day + 365, garden.climate).map((o) => ({
					from: o.opens,
					to: o.closes,
					bestFrom: o.bestFrom,
					bestTo: o.bestTo
				}))
			}))
		}))
	}));
};
