import type { PageServerLoad } from './$types';
import { dayNumber } from '$lib/core/dates.js';
import { roundOf } from '$lib/server/bench.js';
import { viewedDay } from '$lib/server/context.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { database } from '$lib/server/db.js';
import * as state from '$lib/server/store/state.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const [round, stocks, wants] = await Promise.all([
			roundOf(garden, day),
			state.stocks(database(), garden.id),
			state.wants(database(), garden.id)
		]);
		const away = garden.data.away.find((a) => dayNumber(a.from) <= day + 7 && dayNumber(a.to) >= day) ?? null;
		return { round, away, nothingYet: stocks.length === 0 ? 'stock' : wants.length === 0 ? 'want' : null };
	});
};
