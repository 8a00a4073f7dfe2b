/** Days on which something can be lifted and planted in a garden: its season, soil that can be dug, dull days first. */
import type { Model } from './model.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { plantingDay, yearOfSeason } from '$lib/core/plan/walk.js';
import { dampDays, dullShare, soilFit } from '$lib/core/round/triggers.js';

const FARTHEST = 800;

/** The first day from one on in the kind's planting season with soil that is neither frozen nor sodden; null if none comes. */
export function digsOn(m: Model, kind: Kind, from: DayNumber): DayNumber | null {
	const season = m.season.usual;
	for (let day = from; day <= from + FARTHEST; day++) {
		const open = plantingDay(kind, day, season);
		if (open === null) return null;
		day = open;
		if (day <= from + FARTHEST && soilFit(day, m.season.sky).fit) return day;
	}
	return null;
}

/** The last day of [from, until], to the week, on which it is lifted in its season from soil that can be dug; null where none is. */
export function lastDig(m: Model, kind: Kind, from: DayNumber, until: DayNumber): DayNumber | null {
	const { plantings } = yearOfSeason(m.season.usual, kind, from);
	for (let day = until; day >= from; day -= 7)
		if (plantings.some((p) => p.from <= day && day <= p.to) && soilFit(day, m.season.sky).fit) return day;
	const first = digsOn(m, kind, from);
	return first !== null && first <= until ? first : null;
}

/** The first dull, damp day that the forecast has within a week of it, while the season stays open; else the day itself. */
export function dullFrom(m: Model, kind: Kind, day: DayNumber): DayNumber {
	const dull = dampDays(day, m.season.sky).find((d) => digsOn(m, kind, d.day) === d.day);
	return dull?.day ?? day;
}

/** How often a day about that time of the year is dull and damp: by the forecast where it reaches, else by the record. */
export const dullOdds = (m: Model, day: DayNumber): number =>
	dullShare(day, m.season.sky, m.garden.base.record, m.garden.climate.latitude);
