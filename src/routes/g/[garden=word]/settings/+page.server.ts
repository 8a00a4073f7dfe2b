import tzLookup from '@photostructure/tz-lookup';
import type { Actions, PageServerLoad } from './$types';
import { originOf } from '$lib/server/api.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, isId, recordForm, refused } from '$lib/server/forms.js';
import { gardenFields } from '$lib/server/gardenForm.js';
import { entriesOf } from '$lib/server/store/entries.js';
import { standIns } from '$lib/server/standIns.js';
import { makeToken, MOST_TOKENS, revokeToken, tokens } from '$lib/server/tokens.js';
import * as state from '$lib/server/store/state.js';
import { M2_PER_SQUARE_FOOT } from '$lib/core/units/index.js';

export const load: PageServerLoad = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => ({
		settings: garden.data,
		// A saved form starts afresh from what was saved.
		version: (await entriesOf(database(), garden.id, 'garden', garden.id)).length,
		year: Number(garden.today.slice(0, 4)),
		record: {
			made: garden.base.made,
			years: garden.base.rc.years.length,
			from: garden.base.rc.years[0]!,
			to: garden.base.rc.years.at(-1)!,
			frostFrom: garden.data.frost_from ?? ('record' as const),
			climate: garden.climate
		},
		station: standIns().has('weather-station'),
		backups: process.env.SURCULUS_BACKUPS ?? null,
		links: (await tokens(garden.id)).map((t) => ({
			id: t.id,
			purpose: t.purpose,
			label: t.label,
			made: t.created_at.toISOString().slice(0, 10),
			used: t.used_at?.toISOString().slice(0, 10) ?? null
		})),
		places: (await state.places(database(), garden.id)).filter((p) => !p.closed)
	}));
};

export const actions: Actions = {
	/** A new secret. It is shown in this answer and never again. */
	link: async ({ params, request, url }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const purpose = f.text('purpose') === 'calendar' ? 'calendar' : 'readings';
		const token = await guarded(() => makeToken(garden.id, purpose, f.text('label')));
		if (!token)
			return refused({ code: 'token.many', sentence: `A garden has at most ${MOST_TOKENS} links and sensors: end one first.` });
		return { link: { purpose, secret: purpose === 'calendar' ? `${originOf(request, url)}/calendar/${token}.ics` : token } };
	},
	end: async ({ params, request }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const id = f.text('id');
		if (isId(id)) await guarded(() => revokeToken(garden.id, id));
		return { ended: true };
	},
	garden: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const data = gardenFields(f);
		if (!data.ok) return refused(data.problem);
		const { latitude, longitude } = data.value as { latitude: number; longitude: number };
		const inRange = Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					on: garden.today,
					kind: 'garden.set',
					subjectId: garden.id,
					seen: f.number('seen'),
					data: { ...data.value, time_zone: inRange ? tzLookup(latitude, longitude) : garden.data.time_zone }
				}
			],
			'Saved. All windows and odds move with it.'
		);
	},
	place: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const frame = frameOf(f, garden);
		const room = f.number('room');
		const asked = f.text('place');
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frame,
					on: garden.today,
					kind: 'place.set',
					subjectId: isId(asked) ? asked : frame.id,
					seen: f.number('seen'),
					data: {
						name: f.text('name'),
						kind: f.text('kind'),
						light: f.text('light'),
						low_c: f.celsius('low', garden.units),
						high_c: f.celsius('high', garden.units),
						room_cm2: room === null ? null : room * (garden.units.length === 'us' ? M2_PER_SQUARE_FOOT : 1) * 10_000,
						walk: f.number('walk') ?? Number.NaN
					}
				}
			],
			'Place saved.'
		);
	},
	close: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					on: garden.today,
					kind: 'place.closed',
					subjectId: f.text('place'),
					data: {}
				}
			],
			'Place closed.'
		);
	}
};
