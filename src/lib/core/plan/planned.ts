/** A batch that is still to be struck: its odds and its times. */
import type { DayNumber } from '../dates.js';
import type { StageName, WayProfile } from '../handbook/schema.js';
import type { Belief } from '../odds/belief.js';
import { beliefsOf } from './beliefs.js';
import { calendarClock, growthClock } from './clock.js';
import type { PlanRequest } from './planTypes.js';
import { prepare } from './timing.js';
import type { Prepared } from './timing.js';

/** The odds of a new batch of a way in this garden. */
export const oddsOfWay = (
	way: Pick<WayProfile, 'stages' | 'id'>,
	r: Pick<PlanRequest, 'record' | 'rho'>
): Map<StageName, Belief> => beliefsOf(way, r.record[way.id] ?? {}, r.rho);

type PlannedOf = Pick<PlanRequest, 'kind' | 'season' | 'years' | 'today' | 'rho' | 'record'>;

/** A new batch struck on a day, its times walked out. */
export function plannedBatch(r: PlannedOf, way: WayProfile, on: DayNumber, pieces: number, due: DayNumber | null): Prepared {
	const rooting = way.stages.find((s) => s.to === 'rooted');
	return prepare({
		kind: r.kind,
		way,
		standing: { cohorts: [{ stage: 'unrooted', count: pieces, since: on, aliveOn: on }], planted: 0, struckOn: on },
		odds: oddsOfWay(way, r),
		rooting: null,
		clock: rooting?.grows === 'season' ? growthClock(on, r.season) : calendarClock(on),
		today: Math.max(r.today, on),
		due,
		years: r.years,
		season: r.season
	});
}
