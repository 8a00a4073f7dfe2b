import { snapshotOf } from '../snapshot.js';
import { gardenOr404 } from '../forms.js';
import type { Ask } from './ask.js';

export async function walkView({ params }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { places } = await snapshotOf(garden.id);
	return { places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name, walk: p.walk })) };
}
