import type { PageServerLoad } from './$types';
import { stockViews } from '$lib/server/stock.js';
import { viewedDay } from '$lib/server/context.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return { stocks: await guarded(() => stockViews(garden, day)) };
};
