import type { PageServerLoad } from './$types';
import { viewedDay } from '$lib/server/context.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { yearView } from '$lib/server/yearView.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return { view: await guarded(() => yearView(garden, day)) };
};
