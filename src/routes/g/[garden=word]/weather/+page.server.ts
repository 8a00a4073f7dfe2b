import type { Actions, PageServerLoad } from './$types';
import { Fields, gardenHeadOr404, guarded, refused } from '$lib/server/forms.js';
import { undo } from '$lib/server/ledger.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('weather', event, ['day', 'threshold']);

export const actions: Actions = {
	/** Takes an import out again; the days stay in the ledger and can be put back. */
	remove: async ({ params, request, locals }) => {
		const garden = await gardenHeadOr404(params.garden);
		const f = await Fields.of(request);
		const result = await guarded(() =>
			undo({ gardenId: garden.id, actor: locals.actor, today: garden.today }, f.text('import'), f.entryId)
		);
		if (!result.ok) return refused(result.problem);
		return { done: { entryId: f.entryId, sentence: 'The record was taken out.', code: null, version: null } };
	}
};
