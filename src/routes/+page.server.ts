import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';
import { allGardens } from '$lib/server/context.js';
import { guarded } from '$lib/server/forms.js';

export const load: PageServerLoad = async () => {
	const [garden] = await guarded(allGardens);
	redirect(303, garden ? `/g/${garden.slug}/round` : '/new');
};
