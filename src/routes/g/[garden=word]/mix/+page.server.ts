import type { Actions, PageServerLoad } from './$types';
import { v5 as uuidv5 } from 'uuid';
import { kindsOf, wayIn } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm } from '$lib/server/forms.js';
import { handbook } from '$lib/server/handbook.js';
import { plannedWithin, preparing } from '$lib/server/mixing.js';
import type { Wanted } from '$lib/server/mixing.js';
import * as state from '$lib/server/store/state.js';
import { cmFromInches } from '$lib/core/units/index.js';

const SPANS: Record<string, number> = { day: 1, week: 7, season: 120 };
const MOST_PIECES = 5000;
const MOST_MEDIUM = 120;

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => {
		const kinds = await kindsOf(garden);
		const kind = kinds.get(url.searchParams.get('kind') ?? '');
		const profile = wayIn(kind, url.searchParams.get('way') ?? '') ?? kind?.ways[0];
		const code = url.searchParams.get('batch');
		const span = url.searchParams.get('span') ?? 'season';
		const vesselId = url.searchParams.get('in');
		const medium = url.searchParams.get('medium')?.slice(0, MOST_MEDIUM).trim() || null;
		let wanted: Wanted[];
		if (kind && profile) {
			const n = Number(url.searchParams.get('n') ?? 12);
			const pieces = Number.isInteger(n) && n >= 1 && n <= MOST_PIECES ? n : 12;
			wanted = [
				{ id: 'asked', title: kind.common, code: null, kindId: kind.id, wayId: profile.id, pieces, on: null, vesselId, medium }
			];
		} else if (code) {
			const b = await state.batchByCode(database(), garden.id, code);
			wanted = b
				? [
						{
							id: b.id,
							title: b.code,
							code: b.code,
							kindId: b.kindId,
							wayId: b.wayId,
							pieces: b.struckOn ? b.struck : b.plannedCount,
							on: b.plannedOn,
							vesselId
						}
					]
				: [];
		} else wanted = await plannedWithin(garden, SPANS[span] ?? SPANS.season!);
		return {
			preparing: await preparing(garden, wanted),
			asked:
				kind && profile
					? { kind: kind.id, way: profile.id, n: wanted[0]!.pieces, in: vesselId ?? '', medium: medium ?? '' }
					: null,
			span,
			kinds: [...kinds.values()].map((k) => ({
				id: k.id,
				name: k.common,
				ways: k.ways.map((w) => ({ id: w.id, name: handbook().ways.get(w.way)!.name }))
			})),
			mixes: [...handbook().mixes.values()].map((m) => ({ id: m.id, name: m.name, for: m.for, shrinkage: m.shrinkage }))
		};
	});
};

export const actions: Actions = {
	shelf: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const material = f.text('material');
		const name = handbook().materials.get(material)?.name ?? material;
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					kind: 'shelf.set',
					subjectId: uuidv5(`shelf ${material}`, garden.id),
					data: { material, litres: f.number('litres') ?? Number.NaN }
				}
			],
			`On the shelf: ${name}, ${f.text('litres')} L.`
		);
	},
	vessel: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const frame = frameOf(f, garden);
		const shape = f.text('shape');
		const cm = (name: string) => {
			const n = f.number(name);
			return n === null ? Number.NaN : garden.data.units === 'us' ? cmFromInches(n) : n;
		};
		const vessel =
			shape === 'tray'
				? { shape, lengthCm: cm('lengthCm'), widthCm: cm('widthCm'), heightCm: cm('heightCm') }
				: shape === 'jar'
					? { shape, acrossCm: cm('acrossCm'), waterCm: cm('waterCm') }
					: {
							shape,
							topCm: cm('topCm'),
							baseCm: cm('baseCm'),
							heightCm: cm('heightCm'),
							...(shape === 'cells' ? { cells: f.number('cells') ?? Number.NaN } : {})
						};
		return recordForm(
			garden,
			locals.actor,
			[{ ...frame, kind: 'vessel.set', subjectId: frame.id, data: { name: f.text('name'), vessel } }],
			`Noted: ${f.text('name')}.`
		);
	}
};
