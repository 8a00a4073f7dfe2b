/** The shelters of a garden as bodies of heat: what is believed of each, and how warm it was and will be in it. */
import type { ClimateBase } from './climate.js';
import { Kept } from './kept.js';
import type { ReadingsOf } from './rooting.js';
import type { PlaceRow } from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { SkyOf } from '$lib/core/round/sky.js';
import type { Forecast } from '$lib/core/season/scenarios.js';
import { bodyOf, guardOf, knowShelter, lowSaid, nightsAhead, wintersOf } from '$lib/core/shelter/index.js';
import type { Days, Known, NightsAhead, Read, ShelterKindName, Site } from '$lib/core/shelter/index.js';

export interface ShelterNow extends Known {
	/** The nights that the forecast tells; null without one. */
	ahead(): NightsAhead | null;
	/** Lowest and highest inside on a day that was or is to come, °C. */
	day(day: DayNumber): { low: number; high: number };
}
/** Of a place; null under the sky, and where no place is said. */
export type ShelterOf = (placeId: string | null) => ShelterNow | null;

/** Days before and after today that are worked out: what batches are asked about. */
const BACK = 420;
const AHEAD = 520;
/** Days after which no wall remembers the weather. */
const WALLS_HOLD = 40;

/** The bodies that it may be, their weights, and what each winter did. */
const known = new Kept<Known>(32, () => 60_000);
const winters = new WeakMap<ClimateBase, Days[]>();

export const siteOf = (base: ClimateBase): Site => ({
	latitude: base.climate.latitude,
	normals: base.recordClimate.normals,
	middle: base.recordClimate.middle
});

function winterDays(base: ClimateBase): Days[] {
	let mine = winters.get(base);
	if (!mine) winters.set(base, (mine = wintersOf(base.record, siteOf(base))));
	return mine;
}

function daysOutside(sky: SkyOf, first: DayNumber, count: number): Days {
	const low = new Float64Array(count);
	const high = new Float64Array(count);
	for (let d = 0; d < count; d++) {
		const on = sky.on(first + d);
		low[d] = on.low;
		high[d] = Math.max(on.low, on.high);
	}
	return { first, low, high };
}

/**
 * What a thermometer read, beside the days outside that were observed: others teach nothing. Up to the day before something
 * was put over the place: what follows tells of the place under it.
 */
function readBeside(readings: ReadingsOf, sky: SkyOf, until: DayNumber): { days: Days; inside: Read } | null {
	const days = [...readings.keys()].filter((day) => day < until && sky.on(day).from === 'observed');
	if (days.length === 0) return null;
	// The weeks before the first reading are what the shelter still has in its walls.
	const first = days.reduce((a, b) => Math.min(a, b)) - 12;
	const count = days.reduce((a, b) => Math.max(a, b)) - first + 1;
	const wanted = new Set(days);
	const of = (side: 'low' | 'high') =>
		Float64Array.from({ length: count }, (_, d) => (wanted.has(first + d) ? readings.get(first + d)![side] : Number.NaN));
	return { days: daysOutside(sky, first, count), inside: { low: of('low'), high: of('high') } };
}

/** What tells readings from others: their sum, and how many there are. */
function sumOf(values: ArrayLike<number>): string {
	let [sum, count] = [0, 0];
	for (let i = 0; i < values.length; i++)
		if (!Number.isNaN(values[i]!)) {
			sum += values[i]! * (1 + i / 1000);
			count++;
		}
	return `${count} ${sum.toFixed(3)}`;
}

/** The days around today, and as each shelter has them: the same for every question that is asked under the same sky. */
interface Around {
	days: Days;
	inside: Map<string, { low: Float64Array; high: Float64Array }>;
}
const skies = new WeakMap<SkyOf, Around>();
function around(sky: SkyOf): Around {
	let found = skies.get(sky);
	if (!found) skies.set(sky, (found = { days: daysOutside(sky, sky.today - BACK, BACK + AHEAD), inside: new Map() }));
	return found;
}

export function sheltersOf(
	base: ClimateBase,
	places: readonly PlaceRow[],
	readings: ReadonlyMap<string, ReadingsOf>,
	sky: SkyOf,
	forecast: Forecast | null
): ShelterOf {
	const mine = new Map<string, ShelterNow | null>();
	const make = (asked: PlaceRow): ShelterNow | null => {
		// A level is as warm as the place that it is in, and its thermometer hangs there.
		const place = places.find((p) => p.id === asked.level_of) ?? asked;
		const name = bodyOf(place);
		if (name === null) return null;
		const read = readings.get(place.id);
		const beside = read ? readBeside(read, sky, place.guarded_on ? dayNumber(place.guarded_on) : sky.today) : null;
		const told = beside && [beside.days.first, sumOf(beside.inside.low), sumOf(beside.inside.high), sumOf(beside.days.low)];
		const key = JSON.stringify([base.key, name, lowSaid(place), place.high_c, guardOf(place), place.id, told]);
		const k = known.of(key, () =>
			knowShelter(
				{ name, lowC: lowSaid(place), highC: place.high_c, guard: guardOf(place) },
				siteOf(base),
				winterDays(base),
				beside
			)
		);
		return {
			...k,
			ahead() {
				const from = forecast?.from ?? 0;
				const most = Math.min(...(forecast?.members.map((m) => m.length) ?? []));
				if (!forecast || forecast.members.length === 0 || most < 1) return null;
				const before = daysOutside(sky, from - WALLS_HOLD, WALLS_HOLD);
				return nightsAhead(
					k,
					before,
					forecast.members.map((m) => m.slice(0, most))
				);
			},
			day(day) {
				const { days, inside } = around(sky);
				let series = inside.get(key);
				if (!series) inside.set(key, (series = k.on(days)));
				const d = Math.min(days.low.length - 1, Math.max(0, day - days.first));
				return { low: series.low[d]!, high: series.high[d]! };
			}
		};
	};
	return (placeId) => {
		if (placeId === null) return null;
		let s = mine.get(placeId);
		if (s === undefined) {
			const place = places.find((p) => p.id === placeId);
			mine.set(placeId, (s = place ? make(place) : null));
		}
		return s;
	};
}

/** A shelter of a sort that the garden does not have, as one usually is: what mulch would do, say. */
export function shelterLike(base: ClimateBase, name: ShelterKindName): Known {
	const key = JSON.stringify([base.key, name, 'usual']);
	return known.of(key, () => knowShelter({ name, lowC: null, highC: null }, siteOf(base), winterDays(base), null));
}
