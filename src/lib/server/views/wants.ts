import { snapshotOf } from '../snapshot.js';
import { gardenOr404 } from '../forms.js';
import { wantViews } from '../wants.js';
import type { Ask } from './ask.js';

export async function wantsView({ params }: Ask) {
	const garden = await gardenOr404(params.garden);
	const [wants, { places }] = await Promise.all([wantViews(garden), snapshotOf(garden.id)]);
	const order = {
		missed: 0,
		'no plan': 1,
		unlikely: 2,
		'in doubt': 3,
		likely: 4,
		waits: 5,
		'in hand': 6,
		met: 7
	} as const;
	return {
		wants: wants.filter((w) => !w.dropped).sort((a, b) => order[a.standing] - order[b.standing] || a.due.localeCompare(b.due)),
		placeNames: Object.fromEntries(places.map((p) => [p.id, p.name]))
	};
}
