/** In what order do things move? What stands in the ground, where each is to go, and the moves that get it there. */
import type { Garden } from './context.js';
import { digsOn, dullFrom, dullOdds } from './digging.js';
import { bedsIn } from './groundBeds.js';
import type { BedShown } from './groundBeds.js';
import { holdsOf } from './holds.js';
import { modelOf } from './model.js';
import type { Model } from './model.js';
import { fateOf } from './moved.js';
import type { Fate } from './moved.js';
import { askedAs, bedsOf, clearing, isDone, meantBy, movesId } from './movesMeant.js';
import type { Meant, MovesQuery } from './movesMeant.js';
import { placed } from './movesPlaced.js';
import type { Placed } from './movesPlaced.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import { wayIn } from './context.js';
import { dayNumber, isoOf, sayDate } from '$lib/core/dates.js';
import type { DayNumber, IsoDate } from '$lib/core/dates.js';
import { daysOfMoves, minutesToMove, turnsOf, waitsOf } from '$lib/core/ground/index.js';
import type { Lift, Point, StepToDate, Turns } from '$lib/core/ground/index.js';
import { withLabel } from '$lib/core/handbook/names.js';
import { potAcrossOf } from './winterPlan.js';

export interface Step {
	stock: string;
	name: string;
	count: number;
	from: string;
	to: string;
	/** The number of its move: one that waits has it twice. */
	n: number;
	does: Turns['steps'][number]['does'];
	/** Whose spot it takes. */
	after: string | null;
	/** What is logged when it is done: where it is by then; null where there is nothing to tell. */
	log: { placeId: string; at: Point[] } | null;
	lift: Pick<Lift, 'acrossCm' | 'kg' | 'people'> | null;
	minutes: number;
	/** The day that suits it; null where there is none. */
	on: IsoDate | null;
	/** How often days then are dull and damp. */
	dull: number | null;
}

interface Drawn {
	n: number;
	at: Point[];
	acrossM: number;
}
export interface BedMoves {
	bed: BedShown;
	goes: Drawn[];
	comes: Drawn[];
	stays: BedShown['stands'];
}

export interface MovesOrdered {
	/** Plants or groups that move; one that waits has two steps. */
	moves: number;
	steps: Step[];
	mostHeld: number;
	/** No order holds fewer than so many at the same time. */
	atLeast: number;
	minutes: number;
	/** The first and the last day of it; null where a step has none. */
	first: IsoDate | null;
	last: IsoDate | null;
	fates: (Fate & { stock: string; name: string })[];
	beds: BedMoves[];
	/** In sentences: what finds no room, what presses, what would free it. */
	told: { harm: boolean; say: string }[];
	/** All of it as it is kept, with the spots that were found. */
	keepAs: string;
}

const minutesOf = (m: Placed) => minutesToMove(m.stock.count, m.lift?.litres ?? 0);

function stepsOf(m: Model, movers: readonly Placed[], turns: Turns): StepToDate[] {
	let [sitting, waiting] = [0, 0];
	return turns.steps.map(({ plant, does }) => {
		// From the first that waits until none does any more, all is one sitting.
		if (waiting === 0) sitting++;
		waiting += does === 'waits' ? 1 : does === 'out' ? -1 : 0;
		const mover = movers[plant]!;
		const whole = minutesOf(mover);
		return {
			// What is taken out of its pot goes in on any day that the one before it went.
			opens: does === 'out' ? (day) => day : (day) => digsOn(m, mover.kind, day),
			minutes: does === 'straight' ? whole : Math.round(whole / 2),
			sitting
		};
	});
}

/** Days of the steps; a dull day of the forecast, within its week, before a bright one. */
function datesOf(
	m: Model,
	steps: readonly StepToDate[],
	movers: readonly Placed[],
	turns: Turns,
	q: { weekends: boolean; budget: number }
) {
	const days = daysOfMoves({ steps, from: m.today, ...q });
	const first = days[0] ?? null;
	if (q.weekends || first === null || turns.steps.length === 0) return days;
	const dull = dullFrom(m, movers[turns.steps[0]!.plant]!.kind, first);
	return dull === first ? days : daysOfMoves({ steps, from: dull, ...q });
}

/** What does not meet its day, and the smallest thing that would. */
function pressed(
	m: Model,
	steps: readonly StepToDate[],
	days: readonly (DayNumber | null)[],
	meant: Meant,
	names: readonly string[]
) {
	if (meant.by_day === null) return [];
	const by = dayNumber(meant.by_day);
	const late = days.findIndex((d) => d === null || d > by);
	if (late < 0) return [{ harm: false, say: `All are done by ${sayDate(meant.by_day)}.` }];
	const last = days.at(-1);
	const opens = steps[late]!.opens(m.today);
	const said = [
		{
			harm: true,
			say: `Not all can be done by ${sayDate(meant.by_day)}: ${names[late]} ${
				opens === null
					? 'finds no day at all'
					: opens > by
						? `can’t be moved before ${sayDate(isoOf(opens))}`
						: 'has to wait for others until then'
			}.${last != null ? ` All are done by ${sayDate(isoOf(last))}.` : ''}`
		}
	];
	const budget = m.garden.data.minutes_per_week;
	const inTime = (weekends: boolean, minutes: number) => {
		const tried = daysOfMoves({ steps, from: m.today, weekends, budget: minutes });
		return tried.every((d) => d !== null && d <= by);
	};
	if (meant.weekends && inTime(false, budget)) said.push({ harm: false, say: 'On weekdays as well, all are done in time.' });
	else
		for (const more of [30, 60, 120, 240, 480])
			if (inTime(meant.weekends, budget + more)) {
				said.push({ harm: false, say: `With ${more} minutes a week more than your ${budget}, all are done in time.` });
				break;
			}
	return said;
}

/** Room that is left where plants wait, cm²; null where nobody has said how much there is. */
function roomLeft(m: Model, s: Snapshot, placeId: string): number | null {
	const place = m.places.find((p) => p.id === placeId)!;
	if (place.room_cm2 === null) return null;
	const batches = s.living
		.filter((b) => b.placeId === placeId)
		.reduce((sum, b) => {
			const holds = holdsOf(b, wayIn(m.kinds.get(b.kindId), b.wayId), m.book);
			return sum + holds.areaCm2 * holds.count;
		}, 0);
	const stocks = s.stocks
		.filter((x) => x.place_id === placeId && !x.gone_on)
		.reduce((sum, x) => sum + x.count * potAcrossOf(x) ** 2, 0);
	return Math.max(0, place.room_cm2 - batches - stocks);
}

/** What is still to be moved of what is meant; all of it where it is asked for now, not kept since a day. */
function openMoves(s: Snapshot, meant: Meant, setOn: IsoDate | null) {
	const beds = bedsOf(s);
	// Whoever waits in the holding ground has its move still before it.
	const standing = new Map(
		s.stocks
			.filter((x) => !x.gone_on && x.place_id && (beds.has(x.place_id) || meant.moves.some((v) => v.stock_id === x.id)))
			.map((x) => [x.id, x])
	);
	const open = meant.moves.filter((v) => {
		const x = standing.get(v.stock_id);
		return x && beds.has(v.place_id) && (setOn === null || !isDone(x, v, setOn));
	});
	return { open, standing };
}

interface Names {
	nameOf(stockId: string): string;
	placeName(placeId: string): string;
}
function namesIn(m: Model, s: Snapshot): Names {
	const stocks = new Map(s.stocks.map((x) => [x.id, x]));
	const places = new Map(m.places.map((p) => [p.id, p.name]));
	return {
		nameOf: (id) => withLabel(m.kinds.get(stocks.get(id)!.kind_id)!, stocks.get(id)!.label),
		placeName: (id) => places.get(id) ?? ''
	};
}

export async function movesPlanned(garden: Garden, q: MovesQuery) {
	const [s, m] = await Promise.all([snapshotOf(garden.id), modelOf(garden)]);
	const bedRows = bedsOf(s);
	const beds = bedsIn(m, s, m.today);
	const names = namesIn(m, s);
	const { nameOf, placeName } = names;
	const kept = s.moves.find((x) => x.id === movesId(garden.id)) ?? null;
	const free = bedRows.get(q.free) ?? null;
	const cleared = free ? await clearing(garden, free.id, s) : null;
	const asked = q.moves !== null || free !== null;
	const meant: Meant = asked
		? meantBy({ ...q, moves: cleared?.moves ?? q.moves }, s)
		: (kept ?? { by_day: null, weekends: false, hold_id: null, moves: [] });
	const { open, standing } = openMoves(s, meant, asked ? null : (kept?.set_on ?? null));
	const shown = {
		stocks: [...standing.values()].map((x) => ({
			...{ id: x.id, name: nameOf(x.id), count: x.count, bed: placeName(x.place_id!), bedId: x.place_id! }
		})),
		beds: [...bedRows.values()].map((p) => ({ id: p.id, name: p.name, measured: p.shape !== null })),
		holds: m.places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
		asked: Object.fromEntries(
			open.map((g) => [
				g.stock_id,
				{ to: g.takes ? `at:${g.takes}` : `bed:${g.place_id}`, spot: g.takes ? null : (g.at[0] ?? null) }
			])
		),
		meant: { by: meant.by_day, weekends: meant.weekends, hold: meant.hold_id },
		kept: kept ? { version: kept.version, left: asked ? null : open.length, of: kept.moves.length } : null,
		isKept: !asked && kept !== null,
		freeing: free?.name ?? null
	};
	const nowhere = (cleared?.nowhere ?? []).map((x) => ({
		harm: true,
		say: `No measured bed has the light and the room for ${x.count} ${nameOf(x.id)}: give ${x.count === 1 ? 'it' : 'them'} away, pot ${x.count === 1 ? 'it' : 'them'}, or divide.`
	}));
	const none = { ...shown, order: null as MovesOrdered | null, wrong: null as string | null, nowhere };
	if (open.length === 0) return none;
	const wrong = wrongWith(open, nameOf, standing, bedRows);
	if (wrong) return { ...none, wrong };
	const movers = placed({ ...meant, moves: open }, beds, standing, m.kinds);
	const order = ordered(m, s, movers, meant, beds, names);
	return { ...none, order: { ...order, told: [...nowhere, ...order.told] } };
}

function wrongWith(
	open: Meant['moves'],
	nameOf: (id: string) => string,
	standing: ReadonlyMap<string, { place_id: string | null; stands_at: Point[] | null }>,
	bedRows: ReturnType<typeof bedsOf>
): string | null {
	const moving = new Set(open.map((v) => v.stock_id));
	for (const v of open) {
		const name = nameOf(v.stock_id);
		const here = standing.get(v.stock_id)!;
		if (v.takes !== null && !moving.has(v.takes) && standing.get(v.takes)?.place_id === v.place_id)
			return `${name} goes where ${nameOf(v.takes)} stands: say where that goes.`;
		if (v.takes !== null && open.some((o) => o !== v && o.takes === v.takes))
			return 'Two of them can’t go to one spot: give one of them another.';
		if (v.takes === null && here.place_id === v.place_id && !bedRows.get(v.place_id)!.shape)
			return `${name} stands in ${bedRows.get(v.place_id)!.name} already: measure the bed, and another spot of it can be told.`;
	}
	return null;
}

function ordered(
	m: Model,
	s: Snapshot,
	movers: readonly Placed[],
	meant: Meant,
	beds: readonly BedShown[],
	{ nameOf, placeName }: Names
): MovesOrdered {
	const turns = turnsOf(waitsOf(movers));
	const toDate = stepsOf(m, movers, turns);
	const budget = m.garden.data.minutes_per_week;
	const days = datesOf(m, toDate, movers, turns, { weekends: meant.weekends, budget });
	const number = new Map<number, number>();
	for (const { plant } of turns.steps) if (!number.has(plant)) number.set(plant, number.size + 1);
	const steps = turns.steps.map(({ plant, does }, i): Step => {
		const v = movers[plant]!;
		const on = days[i] ?? null;
		const placeId = does === 'waits' ? meant.hold_id : v.meant.place_id;
		const at = does === 'waits' ? [] : v.at.slice(0, v.stock.count);
		return {
			...{ stock: v.stock.id, name: nameOf(v.stock.id), count: v.stock.count, n: number.get(plant)!, does },
			from: placeName(v.stock.place_id!),
			to: placeName(v.meant.place_id),
			after: v.meant.takes && does !== 'waits' ? nameOf(v.meant.takes) : null,
			log: placeId && (placeId !== v.stock.place_id || at.length > 0) ? { placeId, at } : null,
			lift: v.lift && { acrossCm: v.lift.acrossCm, kg: v.lift.kg, people: v.lift.people },
			minutes: toDate[i]!.minutes,
			on: on === null ? null : isoOf(on),
			dull: on === null || does === 'out' ? null : dullOdds(m, on)
		};
	});
	const dayOf = (plant: number): DayNumber | null => days[turns.steps.findIndex((t) => t.plant === plant)] ?? null;
	const told = pressed(
		m,
		toDate,
		days,
		meant,
		steps.map((t) => t.name)
	);
	for (const v of movers) {
		const bed = beds.find((b) => b.id === v.meant.place_id);
		if (bed?.ground && v.meant.takes === null && v.at.length < v.stock.count)
			told.push({
				harm: true,
				say: `${bed.name} has room for ${v.at.length} of ${v.stock.count} ${nameOf(v.stock.id)}: send ${v.stock.count === 1 ? 'it' : 'them'} elsewhere, or divide.`
			});
	}
	if (turns.mostHeld > 0) {
		if (meant.hold_id === null) told.push({ harm: false, say: 'Say where they wait, and it is told whether there is room.' });
		else {
			const waits = movers.filter((_, i) => turns.steps.some((t) => t.plant === i && t.does === 'waits'));
			const needs = Math.max(0, ...waits.map((v) => v.stock.count * (v.lift?.acrossCm ?? 25) ** 2));
			const left = roomLeft(m, s, meant.hold_id);
			if (left !== null && left < needs)
				told.push({
					harm: true,
					say: `${placeName(meant.hold_id)} has not the room for what waits: choose another place for it.`
				});
		}
	}
	const draw = (v: Placed, i: number, at: readonly Point[]): Drawn[] =>
		at.length > 0 ? [{ n: number.get(i)!, at: [...at], acrossM: v.acrossM }] : [];
	return {
		moves: movers.length,
		steps,
		mostHeld: turns.mostHeld,
		atLeast: turns.atLeast,
		minutes: steps.reduce((sum, t) => sum + t.minutes, 0),
		first: days[0] == null ? null : isoOf(days[0]),
		last: days.some((d) => d === null) ? null : isoOf(days.at(-1)!),
		fates: movers.map((v, i) => ({ ...fateOf(m, s, v, dayOf(i)), stock: v.stock.id, name: nameOf(v.stock.id) })),
		beds: beds
			.filter((b) => b.ground && movers.some((v) => v.now.bed === b.id || v.next.bed === b.id))
			.map((bed) => ({
				bed,
				goes: movers.flatMap((v, i) => (v.now.bed === bed.id ? draw(v, i, v.stock.stands_at ?? []) : [])),
				comes: movers.flatMap((v, i) => (v.next.bed === bed.id ? draw(v, i, v.at) : [])),
				stays: bed.stands.filter((x) => !movers.some((v) => v.stock.id === x.id))
			})),
		told,
		keepAs: movers.map((v) => askedAs(v.meant, v.at.slice(0, v.stock.count))).join(',')
	};
}

/** Moves of the kept plan that are still to be made, with their days; null where there are none. */
export function keptMoves(m: Model, s: Snapshot): MovesOrdered | null {
	const kept = s.moves.find((x) => x.id === movesId(m.garden.id));
	if (!kept) return null;
	const { open, standing } = openMoves(s, kept, kept.set_on);
	const names = namesIn(m, s);
	if (open.length === 0 || wrongWith(open, names.nameOf, standing, bedsOf(s))) return null;
	const beds = bedsIn(m, s, m.today);
	const movers = placed({ ...kept, moves: open }, beds, standing, m.kinds);
	return ordered(m, s, movers, kept, beds, names);
}
