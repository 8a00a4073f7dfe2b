import type { PageServerLoad } from './$types';
import { kindsOf } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { handbook } from '$lib/server/handbook.js';
import * as state from '$lib/server/store/state.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => {
		const kinds = await kindsOf(garden);
		const batches = await state.batches(database(), garden.id, ['planned', 'growing']);
		const asked = new Set((url.searchParams.get('codes') ?? '').split(',').map((c) => c.split(':')[0]!.trim().toUpperCase()));
		return {
			sheets: [...handbook().sheets.values()],
			usual: garden.data.units === 'us' ? 'stick-letter' : 'stick',
			batches: batches.reverse().map((b) => ({
				code: b.code,
				name: kinds.get(b.kindId)?.common ?? b.kindId,
				status: b.status,
				on: b.struckOn ?? b.plannedOn!,
				chosen: asked.has(b.code),
				/** One label a pot is too many for most: one for each container is usual. */
				times: 1
			}))
		};
	});
};
