/** Is it rooted yet? What the looks, the warmth of the place and the way's odds say of a batch. */
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import type { ShelterOf } from './shelters.js';
import type { PlaceRow } from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { rootingSeen } from '$lib/core/evidence/looks.js';
import type { WayProfile } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import type { Belief } from '$lib/core/odds/belief.js';
import { rootingAfter } from '$lib/core/odds/rooting.js';
import type { Rooting } from '$lib/core/odds/rooting.js';
import { NO_LONGER, rootingDates } from '$lib/core/odds/rootingDates.js';
import { warmthDays } from '$lib/core/odds/warmth.js';
import { rootedWord, rootingSentence } from '$lib/core/odds/rootingWords.js';
import type { RootingFacts } from '$lib/core/odds/rootingWords.js';
import { growthClock, warmthClock } from '$lib/core/plan/clock.js';
import type { Clock } from '$lib/core/plan/clock.js';
import { ROOMS } from '$lib/core/places.js';
import type { SkyOf } from '$lib/core/round/sky.js';
import type { Season } from '$lib/core/season/season.js';

/** Lowest and highest that a thermometer at a place read, by day. */
export type ReadingsOf = ReadonlyMap<DayNumber, { low: number; high: number }>;

type Inside = (day: DayNumber) => { low: number; high: number };

/** Mean temperature of a day where a batch stands: read, or as its shelter follows the sky. */
export function meanAt(readings: ReadingsOf | undefined, inside: Inside | null, sky: SkyOf, day: DayNumber): number {
	const at = readings?.get(day) ?? (inside ? inside(day) : sky.on(day));
	return (at.low + at.high) / 2;
}

/**
 * Lowest and highest of a day where plants stand: read, or by the sky as it was observed. Null where nobody knows: a room
 * without a thermometer, a night that was only usual.
 */
export function nightAt(
	place: Pick<PlaceRow, 'kind'> | undefined,
	readings: ReadingsOf | undefined,
	inside: Inside | null,
	sky: SkyOf,
	day: DayNumber
): { low: number; high: number } | null {
	const read = readings?.get(day);
	if (read) return read;
	if (!place || ROOMS.has(place.kind)) return null;
	const out = sky.on(day);
	if (out.from !== 'observed') return null;
	return inside ? inside(day) : out;
}

/** By place and day, each asked once: many batches stand at one place. */
function byPlace<V>(
	places: readonly PlaceRow[],
	readings: ReadonlyMap<string, ReadingsOf>,
	ask: (place: PlaceRow | undefined, readings: ReadingsOf | undefined, day: DayNumber) => V
): ByPlace<V> {
	const known = new Map<string, Map<DayNumber, V>>();
	return (placeId) => {
		const key = placeId ?? '';
		let days = known.get(key);
		if (!days) known.set(key, (days = new Map()));
		const mine = days;
		const place = places.find((p) => p.id === placeId);
		const read = readings.get(key);
		return (day) => {
			if (!mine.has(day)) mine.set(day, ask(place, read, day));
			return mine.get(day)!;
		};
	};
}

type ByPlace<V> = (placeId: string | null) => (day: DayNumber) => V;
/** Mean of a day at each place. */
export const meansOf = (
	places: readonly PlaceRow[],
	readings: ReadonlyMap<string, ReadingsOf>,
	shelter: ShelterOf,
	sky: SkyOf
): ByPlace<number> =>
	byPlace(places, readings, (place, read, day) => meanAt(read, shelter(place?.id ?? null)?.day ?? null, sky, day));
/** Lowest and highest of a day at each place, where they are known. */
export const nightsOf = (
	places: readonly PlaceRow[],
	readings: ReadonlyMap<string, ReadingsOf>,
	shelter: ShelterOf,
	sky: SkyOf
): ByPlace<{ low: number; high: number } | null> =>
	byPlace(places, readings, (place, read, day) => nightAt(place, read, shelter(place?.id ?? null)?.day ?? null, sky, day));

export interface RootingView extends RootingFacts {
	word: string;
	sentence: string;
	/** Days from the strike that the warmth so far is worth, and how many have gone by. */
	warmth: number;
	days: number;
	pace: number;
	/** Of the whole batch: share expected to have rooted by each day, for the curve. */
	curve: { day: DayNumber; share: number }[];
	looks: { day: DayNumber; share: number }[];
}

/** Readings older than this tell nothing of pieces that are still rooting. */
export const ROOTING_DAYS = 400;
const AHEAD = 500;

/** The clock that a batch roots by where it stands: growth where its way waits for it, else warmth. */
export function clockOf(b: Batch, profile: WayProfile, usual: Season, meanOn: (day: DayNumber) => number): Clock {
	const struck = dayNumber(b.struckOn!);
	const stage = profile.stages.find((s) => s.to === 'rooted');
	if (stage?.grows === 'season') return growthClock(struck, usual);
	const warm = handbook().ways.get(profile.way)!.warmth;
	return warmthClock(struck, (day) => warmthDays(meanOn(day), warm));
}

/** What its looks say of the pieces left to root; null when none are. */
export function rootingSeenOf(b: Batch, profile: WayProfile, chance: Belief, clock: Clock): Rooting | null {
	const stage = profile.stages.find((s) => s.to === 'rooted');
	if (!stage || b.status !== 'growing' || b.unrooted === 0 || !b.struckOn) return null;
	return rootingAfter({ chance, days: stage.days }, rootingSeen(b.rootRecord, clock.at));
}

/** The same for the bench: is it rooted yet, when to look, when to give up. */
export function rootingView(garden: Pick<Garden, 'today'>, b: Batch, clock: Clock, r: Rooting, withCurve: boolean): RootingView {
	const today = dayNumber(garden.today);
	const struck = dayNumber(b.struckOn!);
	const at = clock.at(today);
	const dates = rootingDates(
		r,
		at,
		(day) => clock.at(today + day) - clock.at(today + day - 1),
		AHEAD,
		clock.rests ? NO_LONGER.resting : NO_LONGER.growing
	);
	const facts: RootingFacts = {
		unrooted: b.unrooted,
		now: r.now(at),
		ever: r.ever,
		eighty: dates.eighty === null ? null : today + dates.eighty,
		look: dates.look === null ? null : today + dates.look,
		giveUp: dates.giveUp === null ? null : today + dates.giveUp,
		today
	};
	const all = Math.max(1, b.looks[0]?.unrooted ?? b.unrooted);
	let known = 0;
	return {
		...facts,
		word: rootedWord(facts),
		sentence: rootingSentence(facts),
		warmth: at,
		days: today - struck,
		pace: r.pace,
		curve: withCurve ? curveOf(r, struck, today, clock, facts) : [],
		looks: withCurve
			? b.looks.flatMap((l) => {
					known += l.newly ?? 0;
					return l.newly === null ? [] : [{ day: dayNumber(l.on), share: known / all }];
				})
			: []
	};
}

function curveOf(r: Rooting, struck: DayNumber, today: DayNumber, clock: Clock, f: RootingFacts): RootingView['curve'] {
	const end = Math.min(struck + AHEAD, Math.max(today + 14, (f.giveUp ?? f.eighty ?? today + 60) + 7));
	const step = Math.max(1, Math.round((end - struck) / 80));
	const curve: RootingView['curve'] = [];
	for (let day = struck; day <= end; day += step) curve.push({ day, share: r.rooted(clock.at(day)) });
	return curve;
}
