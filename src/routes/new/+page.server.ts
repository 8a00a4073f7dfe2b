import { redirect } from '@sveltejs/kit';
import tzLookup from '@photostructure/tz-lookup';
import { v5 as uuidv5 } from 'uuid';
import type { Actions, PageServerLoad } from './$types';
import { today } from '$lib/server/clock.js';
import { allGardens } from '$lib/server/context.js';
import { Fields, guarded, refused } from '$lib/server/forms.js';
import { gardenFields, withBestGuess } from '$lib/server/gardenForm.js';
import { createGarden } from '$lib/server/ledger.js';
import type { Act } from '$lib/server/ledger.js';
import { STARTING_PLACES } from '$lib/ui/startingPlaces.js';

export const load: PageServerLoad = async () => ({
	today: today('UTC'),
	others: (await guarded(allGardens)).length
});

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const f = await Fields.of(request);
		const id = f.entryId;
		const data = gardenFields(f);
		if (!data.ok) return refused(data.problem);
		const { latitude, longitude, name } = data.value as { latitude: number; longitude: number; name: string };
		const inRange = Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;
		const timeZone = inRange ? tzLookup(latitude, longitude) : 'UTC';
		const on = today(timeZone);
		const acts: Act[] = [
			{ id, kind: 'garden.set', subjectId: id, on, data: { ...withBestGuess(data.value), time_zone: timeZone } }
		];
		const wished = new Set(f.all('places'));
		STARTING_PLACES.filter((p) => wished.has(p.kind)).forEach((p, i) => {
			const placeId = uuidv5(p.kind, id);
			acts.push({ id: placeId, kind: 'place.set', subjectId: placeId, on, data: { ...p, walk: i + 1 } });
		});
		const made = await guarded(() => createGarden(id, name, locals.actor, on, acts));
		if (!made.ok) return refused(made.problem);
		redirect(303, `/g/${made.value.slug}/round`);
	}
};
