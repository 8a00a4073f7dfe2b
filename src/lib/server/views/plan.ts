import { gardenOr404 } from '../forms.js';
import { modelOf, stateOf } from '../model.js';
import { snapshotOf } from '../snapshot.js';
import type { Ask } from './ask.js';

/** What the page of the plan shows before the plan is there, and what the plan hangs on. */
export async function planFrameView({ params }: Ask) {
	const garden = await gardenOr404(params.garden);
	const [m, snapshot] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const wants = snapshot.wants.filter((w) => !w.dropped_on && m.kinds.has(w.kind_id));
	return {
		...{ name: garden.data.name, today: garden.today, state: stateOf(m, snapshot) },
		wants: wants.length,
		planned: {
			batches: snapshot.living.filter((b) => b.status === 'planned').length,
			plants: wants.reduce((n, w) => n + w.buying, 0)
		},
		minutesPerWeek: garden.data.minutes_per_week
	};
}
