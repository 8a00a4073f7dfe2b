/** Where plants have stood, and what winter and its nights have done to them there. */
import type { Model } from './model.js';
import type * as state from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { IN_POTS_OUTDOORS, OUTDOORS } from '$lib/core/places.js';
import { frostSeen } from '$lib/core/plan/frostSeen.js';
import type { ColdNight, FrostSeen } from '$lib/core/plan/frostSeen.js';
import type { Standing } from '$lib/core/plan/timing.js';
import type { WinterAt } from '$lib/core/plan/winter.js';
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
	const seen = m.lows(at)(Math.min(m.today - 1, rest.to)) !== null;
	const [from, now] = [Math.max(since, rest.from), Math.min(m.today, rest.to)].map((day) => woreOn(rest, day));
	const coldAhead = seen ? Math.min(1, (1 - now!) / Math.max(1e-6, 1 - from!)) : 1;
	return { kind, place, coldestC: m.garden.climate.coldestC, coldAhead, inside: m.shelter(at)?.inside.coldest ?? null };
}

/** Farther back nobody's nights are looked through. */
const MOST_NIGHTS = 400;

const lowSaid = (m: Model) => (c: number) => sayTemperature(c, m.garden.units);

/** What the nights have done since it was last counted, where it stood. */
export function frostOn(m: Model, kind: Kind, b: Batch, standing: Standing): FrostSeen | null {
	if (b.status !== 'growing' || standing.cohorts.length === 0) return null;
	const at = placeOn(b);
	return frostSeen(kind, nightsAt(m, at, Math.max(aliveOn(standing), m.today - MOST_NIGHTS)), lowSaid(m));
}

/** The same for a stock plant, since it was last looked over or something was taken from it: nobody cuts from the dead. */
export function frostOnStock(m: Model, s: state.StockRow): FrostSeen | null {
	const kind = m.kinds.get(s.kind_id);
	if (!kind || s.gone_on) return null;
	const stays = s.stays.map(({ from, placeId }) => ({ from: dayNumber(from), placeId }));
	const at = (day: DayNumber) => (stays.findLast((x) => x.from <= day) ?? stays[0])?.placeId ?? s.place_id;
	const seen = Math.max(dayNumber(s.seen_on), m.struckFrom.get(s.id) ?? -Infinity);
	return frostSeen(kind, nightsAt(m, at, Math.max(seen, m.today - MOST_NIGHTS)), lowSaid(m));
}

/** The nights that are known of after a day until this morning. */
function* nightsAt(m: Model, at: (day: DayNumber) => string | null, after: DayNumber): Iterable<ColdNight> {
	let worst: { pots: ColdNight | null; ground: ColdNight | null } = { pots: null, ground: null };
	for (let on = after + 1; on < m.today; on++) {
		const placeId = at(on);
		const lowC = m.lows(placeId)(on);
		if (lowC === null) continue;
		const kind = m.places.find((p) => p.id === placeId)?.kind ?? '';
		const inPots = !OUTDOORS.has(kind) || IN_POTS_OUTDOORS.has(kind);
		const side = inPots ? 'pots' : 'ground';
		if (worst[side] === null || lowC < worst[side].lowC) worst = { ...worst, [side]: { lowC, on, inPots } };
	}
	for (const night of [worst.pots, worst.ground]) if (night) yield night;
}
