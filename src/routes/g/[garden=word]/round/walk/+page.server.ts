import type { Actions, PageServerLoad } from './$types';
import { v5 as uuidv5 } from 'uuid';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm } from '$lib/server/forms.js';
import * as state from '$lib/server/store/state.js';

export const load: PageServerLoad = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	const places = await guarded(() => state.places(database(), garden.id));
	return { places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name, walk: p.walk })) };
};

export const actions: Actions = {
	default: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const order = f.text('order').split(',');
		const places = await guarded(() => state.places(database(), garden.id));
		const frame = frameOf(f, garden);
		// Only what has moved is written; all of it is one act, undone together.
		const moved = order
			.map((id, i) => ({ place: places.find((p) => p.id === id && !p.closed), walk: i + 1 }))
			.filter((m) => m.place && m.place.walk !== m.walk);
		if (moved.length === 0) return { done: null };
		return recordForm(
			garden,
			locals.actor,
			moved.map(({ place, walk }, i) => ({
				...frame,
				id: i === 0 ? frame.id : uuidv5(place!.id, frame.id),
				on: garden.today,
				kind: 'place.walked' as const,
				subjectId: place!.id,
				data: { walk }
			})),
			'The round follows your walk.'
		);
	}
};
