import { error } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { v5 as uuidv5 } from 'uuid';
import { kindsOf, recordOf, viewedDay } from '$lib/server/context.js';
import { handbook } from '$lib/server/handbook.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm } from '$lib/server/forms.js';
import * as state from '$lib/server/store/state.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import { editableFigures } from '$lib/core/handbook/figures.js';
import { botanicalName } from '$lib/core/handbook/schema.js';
import { meanOf } from '$lib/core/odds/beta.js';
import { openings, sayRule } from '$lib/core/season/windows.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const printed = handbook().kinds.get(params.kind);
		if (!printed) error(404, { message: 'The handbook does not know that kind.', code: 'kind.unknown' });
		const kind = (await kindsOf(garden)).get(params.kind)!;
		const record = await recordOf(garden.id, [kind.id]);
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
				window: sayRule(w.window),
				open: openings(w.window, day - 15, day + 365, garden.climate).map((o) => ({
					from: o.opens,
					to: o.closes,
					bestFrom: o.bestFrom,
					bestTo: o.bestTo,
					sd: Math.round((o.opensSd + o.closesSd) / 2)
				})),
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
			figures: editableFigures(printed).map((f) => ({ ...f, own: own.get(f.path) ?? null })),
			sources: Object.fromEntries([...handbook().sources].map(([id, s]) => [id, s.name]))
		};
	});
};

/** A figure is one subject for ever, whoever sets it first. */
const FIGURES = '6f0a7a52-6d0a-4b1e-9f6e-0d1c5b8f2a11';
const subjectFor = (gardenId: string, kindId: string, path: string) => uuidv5(`${gardenId}/${kindId}/${path}`, FIGURES);

export const actions: Actions = {
	set: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = new Fields(await request.formData());
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
		const f = new Fields(await request.formData());
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
