import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { closePlace, setGarden, setPlace } from '$lib/server/acts/settings.js';
import { originOf } from '$lib/server/api.js';
import { Fields, gardenHeadOr404, guarded, isId, refused } from '$lib/server/forms.js';
import { view } from '$lib/server/threads/pool.js';
import { makeToken, MOST_TOKENS, revokeToken } from '$lib/server/tokens.js';

export const load: PageServerLoad = (event) => view('settings', event);

export const actions: Actions = {
	/** A new secret. It is shown in this answer and never again. */
	link: async ({ params, request, url }) => {
		const garden = await gardenHeadOr404(params.garden);
		const f = await Fields.of(request);
		const purpose = f.text('purpose') === 'calendar' ? 'calendar' : 'readings';
		const token = await guarded(() => makeToken(garden.id, purpose, f.text('label')));
		if (!token)
			return refused({ code: 'token.many', sentence: `A garden has at most ${MOST_TOKENS} links and sensors: end one first.` });
		return { link: { purpose, secret: purpose === 'calendar' ? `${originOf(request, url)}/calendar/${token}.ics` : token } };
	},
	end: async ({ params, request }) => {
		const garden = await gardenHeadOr404(params.garden);
		const f = await Fields.of(request);
		const id = f.text('id');
		if (isId(id)) await guarded(() => revokeToken(garden.id, id));
		return { ended: true };
	},
	garden: doing(setGarden),
	place: doing(setPlace),
	close: doing(closePlace)
};
