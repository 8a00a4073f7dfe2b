/** Lanes of the season strip: living and planned batches from strike to their usual planting. */
import { kindsOf, wayIn } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import * as state from './store/state.js';
import { standingOf } from './wants.js';
import { dayNumber } from '$lib/core/dates.js';
import { usualWalk } from '$lib/core/plan/forecast.js';

export interface StripLane {
	code: string;
	label: string;
	from: number;
	to: number;
	planned: boolean;
}

export async function stripLanes(garden: Garden): Promise<StripLane[]> {
	const [kinds, batches] = await Promise.all([kindsOf(garden), state.batches(database(), garden.id, ['planned', 'growing'])]);
	const now = dayNumber(garden.today);
	return batches.flatMap((b) => {
		const kind = kinds.get(b.kindId);
		const way = wayIn(kind, b.wayId);
		if (!kind || !way) return [];
		const usual = usualWalk(kind, way, standingOf(b, now), now, garden.climate);
		return [
			{
				code: b.code,
				label: `${b.code} ${kind.common}`,
				from: dayNumber(b.struckOn ?? b.plannedOn!),
				to: Math.max(usual?.planted ?? now, now),
				planned: b.status === 'planned'
			}
		];
	});
}
