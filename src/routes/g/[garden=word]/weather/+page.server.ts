import type { Actions, PageServerLoad } from './$types';
import { viewedDay } from '$lib/server/context.js';
import { Fields, gardenOr404, guarded, refused } from '$lib/server/forms.js';
import { undo } from '$lib/server/ledger.js';
import { weatherView } from '$lib/server/weatherView.js';
import { toCelsius } from '$lib/core/units/index.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	const typed = (url.searchParams.get('threshold') ?? '').trim().replace('−', '-').replace(',', '.');
	const t = typed === '' ? null : Number(typed);
	const threshold = t === null || Number.isNaN(t) ? null : garden.units.temperature === 'F' ? toCelsius(t) : t;
	const inReach = threshold !== null && threshold >= -40 && threshold <= 25;
	return {
		view: await guarded(() => weatherView(garden, day, inReach ? Math.round(threshold * 10) / 10 : null)),
		threshold: typed,
		badThreshold: typed !== '' && !inReach,
		now: Date.now()
	};
};

export const actions: Actions = {
	/** Takes an import out again; the days stay in the ledger and can be put back. */
	remove: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const result = await guarded(() =>
			undo({ gardenId: garden.id, actor: locals.actor, today: garden.today }, f.text('import'), f.entryId)
		);
		if (!result.ok) return refused(result.problem);
		return { done: { entryId: f.entryId, sentence: 'The record was taken out.', code: null } };
	}
};
