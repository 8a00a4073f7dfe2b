import { snapshotOf } from '../snapshot.js';
import { kindsOf } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { allNames, withVariety } from '$lib/core/handbook/names.js';
import type { Ask } from './ask.js';

export async function newPlantView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const [kinds, { places }] = await Promise.all([kindsOf(garden), snapshotOf(garden.id)]);
	return {
		kinds: [...kinds.values()].map((k) => ({
			id: k.id,
			name: withVariety(k),
			also: allNames(k).join(' '),
			species: k.species,
			measure: k.ways[0]!.gives.measure,
			protection: k.protection
		})),
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
		kind: query.get('kind') ?? ''
	};
}
