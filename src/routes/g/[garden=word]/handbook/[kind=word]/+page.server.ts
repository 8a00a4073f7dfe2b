import { error } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { v5 as uuidv5 } from 'uuid';
import { kindsOf, recordOf, viewedDay } from '$lib/server/context.js';
import { seasonOf } from '$lib/server/season.js';
import { STEP, stripWindows, windowView } from '$lib/server/windows.js';
import { handbook } from '$lib/server/handbook.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm } from '$lib/server/forms.js';
import * as state from '$lib/server/store/state.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import { editableFigures } from '$lib/core/handbook/figures.js';
import { botanicalName } from '$lib/core/handbook/schema.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import { meanOf } from '$lib/core/odds/beta.js';
import { SIGHTINGS, SIGHTING_WORDS } from '$lib/core/season/suitability.js';
import type { Kind } from '$lib/core/handbook/schema.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const printed = handbook().kinds.get(params.kind);
		if (!printed) error(404, { message: 'The handbook does not know that kind.', code: 'kind.unknown' });
		const kind = (await kindsOf(garden)).get(params.kind)!;
		const record = await recordOf(garden);
		const season = await seasonOf(garden);
		const own = new Map(
			(await state.figures(database(), garden.id)).filter((f) => f.kind_id === kind.id).map((f) => [f.path, f.value])
		);
		const ways = kind.ways.map((w) => {
			const way = handbook().ways.get(w.way)!;
			const seen = record.of(kind.id, w.id);
			return {
				id: w.id,
				name: way.name,
				how: way.how,
				cautions: way.cautions,
				signs: way.signs,
				pieces: way.piece,
				profile: w,
				window: windowView(season, w.window, kind, day),
				stages: w.stages.map((s) => {
					const counted = seen[s.to] ? Math.round(seen[s.to]!.passed + seen[s.to]!.failed) : 0;
					return {
						...s,
						container: handbook().containers.get(s.holds)?.name ?? s.holds,
						own: meanOf(stageOdds(s, seen)),
						counted
					};
				}),
				schools: w.schools.map((id) => handbook().schools.get(id)!)
			};
		});
		return {
			kind: { ...kind, botanical: botanicalName(kind) },
			ways,
			from: day - 15,
			day,
			step: STEP,
			sightings: (season.sightings.get(kind.id) ?? []).map((s) => ({ event: s.event, on: isoOf(s.day) })),
			events: sightingsFor(kind),
			stripWindows: stripWindows(season, kind, dayNumber(garden.today)),
			figures: editableFigures(printed).map((f) => ({ ...f, own: own.get(f.path) ?? null })),
			sources: Object.fromEntries([...handbook().sources].map(([id, s]) => [id, s.name]))
		};
	});
};

/** What can be seen of a kind that moves its windows. */
const sightingsFor = (kind: Kind) =>
	SIGHTINGS.filter((e) =>
		e === 'bloom' || e === 'bloom_over' ? kind.bloom !== null : e !== 'leaf_fall' || /deciduous|climber|tree/.test(kind.habit)
	).map((event) => ({ value: event, name: SIGHTING_WORDS[event] }));

/** A figure is one subject for ever, whoever sets it first. */
const FIGURES = '6f0a7a52-6d0a-4b1e-9f6e-0d1c5b8f2a11';
const subjectFor = (gardenId: string, kindId: string, path: string) => uuidv5(`${gardenId}/${kindId}/${path}`, FIGURES);

export const actions: Actions = {
	/** Seen today (or on another day): the windows that wait for it move at once. */
	saw: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const frame = frameOf(f, garden);
		return recordForm(
			garden,
			locals.actor,
			[{ ...frame, kind: 'sighting.made', subjectId: frame.id, data: { kind_id: params.kind, event: f.text('event') } }],
			'Seen: the windows have moved with it.'
		);
	},
	set: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const path = f.text('path');
		const value =
			f.text('unit') === '°C'
				? f.celsius('value', garden.units)
				: f.text('unit') === 'cm'
					? f.cm('value', garden.units)
					: f.number('value');
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					on: garden.today,
					kind: 'figure.set',
					subjectId: subjectFor(garden.id, params.kind, path),
					data: { kind_id: params.kind, path, value: value ?? Number.NaN }
				}
			],
			'Your own figure is used from now on.'
		);
	},
	clear: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const path = f.text('path');
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					on: garden.today,
					kind: 'figure.cleared',
					subjectId: subjectFor(garden.id, params.kind, path),
					data: { kind_id: params.kind, path }
				}
			],
			'Back to the handbook’s figure.'
		);
	}
};
