/** Work that the weather asks for: what stands out, and what the nights, the heat and the rain say to it. */
import { wayIn } from './context.js';
import { holdsOf } from './holds.js';
import { known, tasksFor } from './model.js';
import { goingOut } from './roundWinter.js';
import { HORIZON, SHELTERED, WEEK } from './roundWorld.js';
import type { RoundWorld } from './roundWorld.js';
import type { StockRow } from './store/state.js';
import { capital, sayThat } from '$lib/core/odds/words.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import { asksFrom } from '$lib/core/round/marks.js';
import type { Mark } from '$lib/core/round/marks.js';
import { bringIn, closestDay, coverTonight, hardenOff, heatAhead, onOrAfter, rainTomorrow } from '$lib/core/round/triggers.js';
import type { Outdoors, Trigger } from '$lib/core/round/triggers.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import { sayTemperature } from '$lib/core/units/index.js';
import type { UnitChoice } from '$lib/core/units/index.js';

/** Days a room is warm on average if its place does not say. Common practice, no source. */
const ROOM_C = 16;
const nights = (units: UnitChoice) => (c: number) => sayTemperature(c, units);

export function outdoorsOf(w: RoundWorld): Outdoors[] {
	const place = new Map(w.places.map((p) => [p.id, p]));
	const resting = w.season.usual.standstills(w.model.today, w.model.today).length > 0;
	/** In winter what has no place is somewhere, but nobody knows where: it is not called in. */
	const out = (id: string | null) => !SHELTERED.has(place.get(id ?? '')?.kind ?? '') && !(resting && !place.has(id ?? ''));
	const planted = (id: string | null) => IN_THE_GROUND.has(place.get(id ?? '')?.kind ?? '');
	const thing = (kind: Kind) => ({ limitC: kind.winter.limit_c, hardyC: kind.hardiness_c.v, name: kind.common });
	const found: Outdoors[] = [];
	for (const b of w.batches) {
		const kind = w.kinds.get(b.kindId);
		if (!kind || b.status !== 'growing' || !out(b.placeId) || inHand(b) === 0) continue;
		const { name, count: vessels } = holdsOf(b, wayIn(kind, b.wayId), w.model.book);
		const held = { count: inHand(b), vessels, tray: /tray/.test(name) };
		found.push({ id: b.id, what: 'batch', placeId: b.placeId, ...held, movable: !planted(b.placeId), ...thing(kind) });
	}
	for (const s of w.stocks) {
		const kind = w.kinds.get(s.kind_id);
		if (!kind || s.gone_on || !out(s.place_id) || liftedAfterFrost(w, s)) continue;
		// Tender stock in a bed is lifted: it is carried in all the same.
		const held = { count: s.count, vessels: s.count, tray: false };
		found.push({ id: s.id, what: 'stock', placeId: s.place_id, ...held, movable: true, ...thing(kind) });
	}
	return found;
}

export interface Carried {
	id: string;
	name: string;
	/** The night that it still bears. */
	bears: string;
	limitC: number;
	/** Where it spends the winter, by the plan of all of them; null where none will do, or none has room. */
	to: string | null;
	/** Where it would be better off, and no room is left. */
	full: string | null;
}
/** What is to be brought in, each plant with the place that suits its kind: a sill is not a dark garage. */
export function carriedOf(w: RoundWorld, targets: readonly string[]): Carried[] {
	const { plan, asked } = w.winter();
	const guests = new Map(asked.guests.map((g) => [g.id, g]));
	const batch = new Map(w.batches.map((b) => [b.id, b]));
	const stock = new Map(w.stocks.map((s) => [s.id, s]));
	const carried = targets.flatMap((id): Carried[] => {
		const b = batch.get(id);
		const s = stock.get(id);
		const kind = w.kinds.get(b?.kindId ?? s?.kind_id ?? '');
		if (!kind) return [];
		const planned = plan.at.get(id)?.place ?? null;
		const best = guests.get(id)?.choices.reduce((a, c) => (c.chance > a.chance ? c : a));
		const here = b?.placeId ?? s?.place_id ?? null;
		const to = planned === here ? null : planned;
		const full = to === null && best && best.place !== here ? best.place : null;
		const form = w.model.formOf(b?.stockId ?? null) || s?.label || '';
		const name = `${b ? `${b.code} ` : ''}${[withVariety(kind), form].filter(Boolean).join(', ')}`;
		const limitC = kind.winter.limit_c;
		return [{ id, name, to, full, limitC, bears: nights(w.garden.units)(limitC) }];
	});
	// The tenderest first.
	return carried.sort((a, z) => z.limitC - a.limitC);
}

/** Stands in the ground, and stays there until the first frost has blackened its top. */
export const liftedAfterFrost = (w: RoundWorld, s: StockRow): boolean =>
	w.kinds.get(s.kind_id)?.winter.lift === 'after_frost' &&
	IN_THE_GROUND.has(w.places.find((p) => p.id === s.place_id)?.kind ?? '');

/** Tender enough that this garden's winter would take it: what bears the winter stays out. */
const tender = (o: Outdoors, coldestC: number) => o.limitC >= 0 && o.hardyC > coldestC;

const some = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
/** "Bring in 2 trays and 9 pots". */
function bringing({ pots = 0, trays = 0 }: Pick<Trigger, 'pots' | 'trays'>): string {
	const parts = [...(trays ? [some(trays, 'tray')] : []), ...(pots || !trays ? [some(pots, 'pot')] : [])];
	return `Bring in ${parts.join(' and ')}`;
}
export const titleOf = (t: Trigger): string => (t.kind === 'shelter' ? bringing(t) : TRIGGER_TITLES[t.kind](t.count));

const TRIGGER_TITLES: Record<Exclude<Trigger['kind'], 'shelter'>, (count: number) => string> = {
	cover: (n) => `Cover ${n} plant${n === 1 ? '' : 's'} for the night`,
	harden: (n) => `Harden off ${n} plant${n === 1 ? '' : 's'}`,
	heat: (n) => `Shade and mist ${n} unrooted cutting${n === 1 ? '' : 's'}`,
	'damp-days': () => 'Dull, damp days',
	'rain-ahead': (n) => `Strike ${n} in place today`
};

export function triggersOf(w: RoundWorld, day: DayNumber): Trigger[] {
	const { season, garden } = w;
	const all = outdoorsOf(w);
	const { recordClimate, climate } = garden.base;
	const room = w.places.filter(
		(p) => !p.closed && (p.kind === 'sill' || p.kind === 'lit_shelf') && p.low_c !== null && p.high_c !== null
	);
	const indoorsC = room.length ? room.reduce((s, p) => s + (p.low_c! + p.high_c!) / 2, 0) / room.length : ROOM_C;
	const doy = closestDay(recordClimate.normals, recordClimate.middle, indoorsC);
	const say = nights(garden.units);
	// What the winter's plan has under a roof is called in like what is tender: in its pot it is no hardier than that.
	const { plan, rooms } = w.winter();
	const roofed = new Set(rooms.map((p) => p.id));
	const soft = all.filter((o) => tender(o, climate.coldestC) || roofed.has(plan.at.get(o.id)?.place ?? ''));
	const rooting = new Set(w.batches.filter((b) => b.unrooted > 0).map((b) => b.id));
	const unrooted = all.filter((o) => o.what === 'batch' && rooting.has(o.id));
	const found = [
		...bringIn(soft, day, day + HORIZON, season.sky, doy === null ? null : onOrAfter(day - 30, doy), say),
		...coverTonight(
			all.filter((o) => !tender(o, climate.coldestC) && o.limitC > -15 && o.what === 'batch'),
			day,
			season.sky,
			say
		),
		...heatAhead(unrooted, day, season.sky, say)
	];
	const placeOf = new Map(w.places.map((p) => [p.id, p]));
	const inside = w.batches.flatMap((b) => {
		const kind = w.kinds.get(b.kindId);
		const way = wayIn(kind, b.wayId);
		const at = placeOf.get(b.placeId ?? '');
		if (!kind || !way || !at || !SHELTERED.has(at.kind) || b.potted + b.rooted === 0) return [];
		const k = known(w.model, b);
		const plant = k && tasksFor(w.model, k, day, day + HORIZON).find((t) => t.kind === 'plant');
		if (!plant) return [];
		return [
			{
				id: b.id,
				what: 'batch' as const,
				placeId: b.placeId,
				count: b.potted + b.rooted,
				vessels: b.potted + b.rooted,
				tray: false,
				limitC: kind.winter.limit_c,
				hardyC: kind.hardiness_c.v,
				movable: true,
				name: kind.common,
				plantOn: Math.max(plant.from, day)
			}
		];
	});
	// Stock that was brought in is hardened off like what is to be planted.
	found.push(...hardenOff([...inside, ...goingOut(w, day)], day, day + WEEK, season.sky, say));
	const rain = rainTomorrow(day, season.sky);
	const inPlace = w.batches.filter((b) => {
		const way = wayIn(w.kinds.get(b.kindId), b.wayId);
		return b.status === 'planned' && way?.way === 'in-place' && Math.abs(dayNumber(b.plannedOn!) - day) <= 14;
	});
	if (rain !== null && rain >= 0.6 && inPlace.length)
		found.push({
			key: `rain-ahead:${day}`,
			kind: 'rain-ahead',
			from: day,
			by: day,
			chance: rain,
			placeId: inPlace[0]!.placeId,
			targets: inPlace.map((b) => b.id),
			count: inPlace.reduce((s, b) => s + b.plannedCount, 0),
			minutes: 0,
			say: `${capital(sayThat(rain, 'it rains tomorrow'))}: what is struck today is watered in.`,
			ifNeedless: 'a can of water',
			ifMissed: 'wait for the next rain'
		});
	// Done, skipped or put off for all that it touches: it does not ask again until then.
	return found.filter((t) => !t.targets.every((id) => rests(t, w.marks(t.kind, id), day)));
}

const rests = (t: Trigger, mark: Mark | undefined, day: DayNumber): boolean =>
	mark !== undefined &&
	((mark.done !== null && mark.done >= (t.kind === 'shelter' ? t.from - 30 : Math.min(t.from, day))) ||
		asksFrom(t.kind, day, mark) > day);
