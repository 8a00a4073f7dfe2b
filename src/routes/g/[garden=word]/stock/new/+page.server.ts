import { isActionFailure, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { kindsOf } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm } from '$lib/server/forms.js';
import { stockFields } from '$lib/server/stockForm.js';
import * as state from '$lib/server/store/state.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => {
		const [kinds, places] = await Promise.all([kindsOf(garden), state.places(database(), garden.id)]);
		return {
			kinds: [...kinds.values()].map((k) => ({
				id: k.id,
				name: k.common,
				species: k.species,
				measure: k.ways[0]!.gives.measure,
				protection: k.protection
			})),
			places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
			kind: url.searchParams.get('kind') ?? ''
		};
	});
};

export const actions: Actions = {
	default: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const frame = frameOf(f, garden);
		const answer = await recordForm(
			garden,
			locals.actor,
			[{ ...frame, kind: 'stock.set', subjectId: frame.id, data: stockFields(f, garden, null) }],
			'Stock added.'
		);
		if (isActionFailure(answer)) return answer;
		redirect(303, `/g/${garden.slug}/stock/${frame.id}`);
	}
};
