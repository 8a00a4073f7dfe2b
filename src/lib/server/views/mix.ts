import { kindsOf, wayIn } from '../context.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { plannedWithin, preparing } from '../mixing.js';
import type { Wanted } from '../mixing.js';
import * as state from '../store/state.js';
import { allNames, withVariety } from '$lib/core/handbook/names.js';
import type { Ask } from './ask.js';

const SPANS: Record<string, number> = { day: 1, week: 7, season: 120 };
const MOST_PIECES = 5000;
const MOST_MEDIUM = 120;

export async function mixView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const kinds = await kindsOf(garden);
	const kind = kinds.get(query.get('kind') ?? '');
	const profile = wayIn(kind, query.get('way') ?? '') ?? kind?.ways[0];
	const code = query.get('batch');
	const span = query.get('span') ?? 'season';
	const vesselId = query.get('in');
	const medium = query.get('medium')?.slice(0, MOST_MEDIUM).trim() || null;
	let wanted: Wanted[];
	if (kind && profile) {
		const n = Number(query.get('n') ?? 12);
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
			kind && profile ? { kind: kind.id, way: profile.id, n: wanted[0]!.pieces, in: vesselId ?? '', medium: medium ?? '' } : null,
		span,
		kinds: [...kinds.values()].map((k) => ({
			id: k.id,
			name: withVariety(k),
			also: allNames(k).join(' '),
			ways: k.ways.map((w) => ({ id: w.id, name: handbook().ways.get(w.way)!.name }))
		})),
		mixes: [...handbook().mixes.values()].map((m) => ({ id: m.id, name: m.name, for: m.for, shrinkage: m.shrinkage }))
	};
}
