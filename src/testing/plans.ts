/** What a plan and a forecast ask for, with all that is not said as in a quiet garden of the tests. */
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import { beliefsOf } from '$lib/core/plan/beliefs.js';
import { calendarClock } from '$lib/core/plan/clock.js';
import type { ForecastOf } from '$lib/core/plan/timing.js';
import type { PlanRequest } from '$lib/core/plan/options.js';
import { yearOfSeason } from '$lib/core/plan/walk.js';
import type { Year } from '$lib/core/plan/walk.js';
import type { Climate } from '$lib/core/season/climate.js';
import { chanceSeasons, seasonOfClimate } from '$lib/core/season/season.js';
import { book } from './handbook.js';

/** The years that may come by a climate's frost dates, for a kind. */
export const yearsOf = (kind: Pick<Kind, 'plant_out'>, c: Climate, from: DayNumber): Year[] =>
	chanceSeasons(c).map((s) => yearOfSeason(s, kind, from - 3 * 366));

export function requestOf(kind: Kind, c: Climate, over: Partial<PlanRequest> = {}): PlanRequest {
	const today = over.today ?? dayNumber('2027-05-20');
	return {
		kind,
		book,
		stock: { count: 4, sizeCm: null, ageYears: 4, condition: 'strong' },
		takings: [],
		record: {},
		rho: 0.1,
		target: 15,
		growing: [],
		others: [],
		due: dayNumber('2028-06-30'),
		confidence: 0.9,
		today,
		season: seasonOfClimate(c),
		years: yearsOf(kind, c, today),
		carries: () => [],
		...over
	};
}

/** A batch of so many pieces struck on a day, seen on another. */
export function batchOf(
	kind: Kind,
	way: WayProfile,
	c: Climate,
	over: Partial<ForecastOf> & { struckOn: DayNumber; pieces: number; rho?: number }
): ForecastOf {
	const { struckOn, pieces, rho = 0.1, ...rest } = over;
	return {
		kind,
		way,
		standing: { cohorts: [{ stage: 'unrooted', count: pieces, since: struckOn, aliveOn: struckOn }], planted: 0, struckOn },
		odds: beliefsOf(way, {}, rho),
		rooting: null,
		clock: calendarClock(struckOn),
		today: struckOn,
		due: null,
		years: yearsOf(kind, c, struckOn),
		season: seasonOfClimate(c),
		...rest
	};
}
