/** Where plants have stood, and what winter and its nights have done to them there. */
import type { Model } from './model.js';
import type * as state from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import { frostSeen } from '$lib/core/plan/frostSeen.js';
import type { ColdNight, FrostSeen } from '$lib/core/plan/frostSeen.js';
import type { Standing } from '$lib/core/plan/timing.js';
import type { PlantCold, WinterAt } from '$lib/core/plan/winter.js';
import { bearsOf } from '$lib/core/plan/winter.js';
import { bearsNow, hardenedAfter, HARDENING_DAYS, nightOf } from '$lib/core/season/cold.js';
import { woreOn } from '$lib/core/season/season.js';
import { sayTemperature } from '$lib/core/units/index.js';

/** Where a batch stood on a day: a move changes what is to come, not what has been. */
export function placeOn(b: Batch): (day: DayNumber) => string | null {
	const stays = b.stays.map((s) => ({ from: dayNumber(s.from), placeId: s.placeId }));
	return (day) => (stays.findLast((s) => s.from <= day) ?? stays[0] ?? b).placeId;
}

/** Last day on which all of it was counted alive. */
const aliveOn = (standing: Standing): DayNumber =>
	standing.cohorts.reduce((day, c) => Math.min(day, c.aliveOn), standing.cohorts[0]?.aliveOn ?? Infinity);

/**
 * Where a batch stands in winter; null where its place is not known. Until winter is there it is taken to be brought
 * where its way means it, for the round asks for that; in winter it is where it is, and once winter is over, until
 * somebody counts, where it was.
 */
export function winterAt(m: Model, kind: Kind, b: Batch, standing: Standing): WinterAt | null {
	const since = aliveOn(standing);
	const rest = since <= m.today ? m.season.usual.standstills(since, m.today).at(-1) : undefined;
	if (!rest) return null;
	const at = m.today <= rest.to ? b.placeId : placeOn(b)(Math.max(since, Math.round((rest.from + rest.to) / 2)));
	const place = m.places.find((p) => p.id === at)?.kind ?? null;
	if (place === null) return null;
	// The nights that have been are told by the frost that was seen, where there is a station or a thermometer.
	const seen = m.nights(at)(Math.min(m.today - 1, rest.to)) !== null;
	const [from, now] = [Math.max(since, rest.from), Math.min(m.today, rest.to)].map((day) => woreOn(rest, day));
	const coldAhead = seen ? Math.min(1, (1 - now!) / Math.max(1e-6, 1 - from!)) : 1;
	return { kind, place, coldestC: m.garden.climate.coldestC, coldAhead, inside: m.shelter(at)?.inside.felt ?? null };
}

/** Farther back nobody's nights are looked through. */
const MOST_NIGHTS = 400;

const lowSaid = (m: Model) => (c: number) => sayTemperature(c, m.garden.units);

/** What the nights have done since it was last counted, where it stood. */
export function frostOn(m: Model, kind: Kind, b: Batch, standing: Standing): FrostSeen | null {
	if (b.status !== 'growing' || standing.cohorts.length === 0) return null;
	const at = placeOn(b);
	return frostSeen(kind, worstNights(m, kind, at, Math.max(aliveOn(standing), m.today - MOST_NIGHTS)), lowSaid(m));
}

/** The same for a stock plant, since it was last looked over or something was taken from it: nobody cuts from the dead. */
export function frostOnStock(m: Model, s: state.StockRow): FrostSeen | null {
	const kind = m.kinds.get(s.kind_id);
	if (!kind || s.gone_on) return null;
	const stays = s.stays.map(({ from, placeId }) => ({ from: dayNumber(from), placeId }));
	const at = (day: DayNumber) => (stays.findLast((x) => x.from <= day) ?? stays[0])?.placeId ?? s.place_id;
	const seen = Math.max(dayNumber(s.seen_on), m.struckFrom.get(s.id) ?? -Infinity);
	return frostSeen(kind, worstNights(m, kind, at, Math.max(seen, m.today - MOST_NIGHTS)), lowSaid(m));
}

/** How hardened plants are on days in a row, by how warm it was where they stood: 0 in growth, 1 at rest. */
export function* hardenedWhere(
	m: Pick<Model, 'means'>,
	at: (day: DayNumber) => string | null,
	from: DayNumber,
	to: DayNumber
): Iterable<{ on: DayNumber; placeId: string | null; hardened: number }> {
	// They do not begin in growth in the middle of winter: what nobody can remember is not waited for.
	let hardened = 0;
	for (let on = from - HARDENING_DAYS; on <= to; on++) {
		const placeId = at(on);
		if (on >= from) yield { on, placeId, hardened };
		hardened = hardenedAfter(hardened, m.means(placeId)(on));
	}
}

/** The worst of the nights that are known of after a day until this morning, in a pot and in the ground. */
function worstNights(m: Model, kind: PlantCold, at: (day: DayNumber) => string | null, after: DayNumber): ColdNight[] {
	const worst: Record<'pots' | 'ground', { night: ColdNight; margin: number } | null> = { pots: null, ground: null };
	for (const { on, placeId, hardened } of hardenedWhere(m, at, after + 1, m.today - 1)) {
		const night = m.nights(placeId)(on);
		if (night === null) continue;
		const sort = m.places.find((p) => p.id === placeId)?.kind ?? '';
		const inPots = !IN_THE_GROUND.has(sort);
		const side = inPots ? 'pots' : 'ground';
		const margin = nightOf(night.low, night.high) - bearsNow(bearsOf(kind, inPots), hardened);
		if (margin < (worst[side]?.margin ?? Infinity))
			worst[side] = { night: { lowC: night.low, highC: night.high, on, inPots, hardened }, margin };
	}
	return [worst.pots, worst.ground].flatMap((w) => (w ? [w.night] : []));
}

/** What plants that stand in pots at a place bear by now, °C: as hardened as its last weeks have made them. */
export function bearsByNow(m: Pick<Model, 'means' | 'today'>, kind: PlantCold, placeId: string): number {
	const [now] = hardenedWhere(m, () => placeId, m.today, m.today);
	return bearsNow(bearsOf(kind, true), now!.hardened);
}
