import { snapshotOf } from '../snapshot.js';
import { kindsOf } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { allNames, botanicalName } from '$lib/core/handbook/names.js';
import type { Ask } from './ask.js';

export async function plantListView({ params }: Ask) {
	const garden = await gardenOr404(params.garden);
	return {
		kinds: [...(await kindsOf(garden)).values()]
			.map((k) => ({ id: k.id, name: k.common, names: [...allNames(k), botanicalName(k)] }))
			.sort((a, b) => a.name.localeCompare(b.name)),
		places: (await snapshotOf(garden.id)).places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name }))
	};
}
