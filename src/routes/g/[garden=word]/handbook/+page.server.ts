import type { PageServerLoad } from './$types';
import { kindsOf, viewedDay } from '$lib/server/context.js';
import { seasonOf } from '$lib/server/season.js';
import { STEP, wayLabel, windowView } from '$lib/server/windows.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { botanicalName } from '$lib/core/handbook/schema.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	const season = await guarded(() => seasonOf(garden));
	return guarded(async () => ({
		from: day - 15,
		day,
		step: STEP,
		kinds: [...(await kindsOf(garden)).values()].map((k) => ({
			id: k.id,
			common: k.common,
			botanical: botanicalName(k),
			standsFor: k.stands_for,
			ways: k.ways.map((w) => ({
				id: w.id,
				name: wayLabel(k, w),
				window: windowView(season, w.window, k, day)
			}))
		}))
	}));
};
