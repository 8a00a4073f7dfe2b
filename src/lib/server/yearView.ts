/** The whole year on one page: when each way of what one grows suits, and what was done when. */
import { kindsOf } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { seasonOf } from './season.js';
import { snapshotOf } from './snapshot.js';
import * as state from './store/state.js';
import { wayLabel, windowView } from './windows.js';
import { dayInYear, dayNumber, dayOfYear, isoOf, sayDate, yearOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { frostOdds } from '$lib/core/season/frost.js';
import { dayLength } from '$lib/core/season/solar.js';
import { kindsOfWant } from '$lib/core/ledger/wish.js';

export const YEAR_STEP = 4;
const DAYS = 364;
/** What was done in so many years is marked, the newest so many of it. */
const YEARS_TOLD = 4;
const MOST_TOLD = 400;

export async function yearShown(garden: Garden, day: DayNumber) {
	const db = database();
	const year = yearOf(day);
	const from = dayInYear(year, 1);
	const [season, kinds, { stocks, wants, living }, batches] = await Promise.all([
		seasonOf(garden),
		kindsOf(garden),
		snapshotOf(garden.id),
		state.batchesStruckSince(db, garden.id, isoOf(day - YEARS_TOLD * 366), MOST_TOLD)
	]);
	const grown = new Set([
		...stocks.filter((s) => !s.gone_on).map((s) => s.kind_id),
		...wants.filter((w) => !w.dropped_on).flatMap(kindsOfWant),
		...living.map((b) => b.kindId)
	]);
	const { normals } = garden.base.recordClimate;
	const points = Array.from({ length: DAYS / YEAR_STEP + 1 }, (_, i) => {
		const d = from + i * YEAR_STEP;
		const n = dayOfYear(d) - 1;
		return {
			day: d,
			frost: frostOdds(d, garden.climate),
			light: dayLength(garden.climate.latitude, garden.climate.longitude, d),
			low: normals.low[n]!,
			high: normals.high[n]!
		};
	});
	const rows = [...grown]
		.map((id) => kinds.get(id))
		.filter((k) => k !== undefined)
		.sort((a, b) => a.common.localeCompare(b.common))
		.map((kind) => ({
			id: kind.id,
			common: kind.common,
			ways: kind.ways.map((w) => {
				const view = windowView(season, w.window, kind, day, from);
				return {
					id: w.id,
					name: wayLabel(kind, w),
					values: view.values.slice(0, points.length),
					next: view.allYear
						? 'all year'
						: view.next && `${sayDate(view.next.opens.usual, false)} – ${sayDate(view.next.closes.usual, false)}`,
					marks: batches
						.filter((b) => b.kindId === kind.id && b.wayId === w.id && b.struckOn !== null)
						.map((b) => ({
							// Laid on this year's calendar, whatever year it was done in.
							day: dayInYear(year, dayOfYear(dayNumber(b.struckOn!))),
							say: `${b.code}: ${b.struck} struck ${sayDate(b.struckOn!)}, ${b.lost} lost so far`
						}))
				};
			})
		}));
	return {
		year,
		from,
		step: YEAR_STEP,
		today: dayNumber(garden.today),
		day: isoOf(day),
		points,
		rows,
		years: garden.base.recordClimate.years.length,
		made: garden.base.made
	};
}
