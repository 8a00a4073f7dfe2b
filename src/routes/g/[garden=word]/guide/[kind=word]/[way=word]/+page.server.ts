import type { PageServerLoad } from './$types';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { guideOf } from '$lib/server/guide.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => ({ guide: await guideOf(garden, params.kind, params.way, url.searchParams), query: url.search }));
};
