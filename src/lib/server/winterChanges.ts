/** What binds this winter, and the smallest thing that frees it: each change is solved anew and told by what it gains. */
import type { Garden } from './context.js';
import { Kept } from './kept.js';
import { shortOf } from './model.js';
import type { Model } from './model.js';
import { coldOf, guestOf, planFor, winterOf } from './winterPlan.js';
import type { Winter } from './winterPlan.js';
import type { PlaceRow } from './store/state.js';
import { areaOf, bodyOf, coldestIn, coversOf, guardOf, heats, LIKELY_FROM, PERIODS, valueOf } from '$lib/core/shelter/index.js';
import type { Cover, Guard, Guest, InsideWinters, WinterAsked, WinterPlan } from '$lib/core/shelter/index.js';
import { SHELTER } from '$lib/core/shelter/judged.js';

export type Change =
	| { what: 'cover'; placeId: string; place: string; cover: Cover; fromC: number; toC: number }
	| {
			what: 'heater';
			placeId: string;
			place: string;
			watts: number;
			setC: number;
			kWh: number;
			money: number;
			fromC: number;
			toC: number;
	  }
	| { what: 'room'; placeId: string; place: string; cm2: number }
	| { what: 'minutes'; minutes: number };

export interface Gain {
	change: Change;
	/** Names of those that would probably come through then and would not as it is, the most endangered first. */
	saved: string[];
	/** Of what is worth losing, in plants that are easily had. */
	worth: number;
	/** Mean chance of those that gain most, before and after. */
	before: number;
	after: number;
}

export interface WinterChanges {
	gains: Gain[];
	/** All that there is to do is done: nothing that was tried gains anything worth its trouble. */
	none: boolean;
}

const HEATERS_W = [150, 300, 500, 1000, 2000] as const;
const HOLDS_C = 3;
/** A heater of the right size holds this in one winter of twenty. */
const SAFE_C = 1;
/** Room is given in steps of so much, cm². */
const STEP_CM2 = 500;
/** A change that gains less is not worth telling. */
const LEAST_WORTH = 0.3;
const MOST_TOLD = 6;

const inside = new Kept<InsideWinters>(16, (w) =>
	w.felt.reduce((bytes, f) => bytes + f.nightC.length * 16, w.coldest.length * 8 * (w.spells.length + 3))
);
const found = new Kept<WinterChanges>(4, (c) => 200 + c.gains.length * 400);

const worthOfPlan = (guests: readonly Guest[], plan: WinterPlan): number =>
	guests.reduce((s, g) => {
		const c = plan.at.get(g.id)!;
		return s + valueOf(g.worth, c.keeps) * c.chance;
	}, 0);

/** What one change is worth, against the plan as it is. */
function gainOf(winter: Winter, change: Change, asked: WinterAsked): Gain {
	const plan = planFor(asked, winter.solve);
	const gained = winter.asked.guests
		.map((g) => ({ g, was: winter.plan.at.get(g.id)!, is: plan.at.get(g.id)! }))
		.map((x) => ({ ...x, worth: valueOf(x.g.worth, x.is.keeps) * x.is.chance - valueOf(x.g.worth, x.was.keeps) * x.was.chance }))
		.filter((x) => x.worth > 0.05)
		.sort((a, b) => b.worth - a.worth);
	const name = new Map(winter.things.map((t) => [t.id, t.name]));
	const saved = gained.filter((x) => x.was.chance < LIKELY_FROM && x.is.chance >= LIKELY_FROM).map((x) => name.get(x.g.id)!);
	const mean = (of: readonly number[]) => of.reduce((a, b) => a + b, 0) / Math.max(1, of.length);
	return {
		change,
		saved: [...new Set(saved)],
		worth: worthOfPlan(asked.guests, plan) - worthOfPlan(winter.asked.guests, winter.plan),
		before: mean(gained.map((x) => x.was.chance)),
		after: mean(gained.map((x) => x.is.chance))
	};
}

/** The guests as they would fare if one place were guarded otherwise. */
function guardedAs(m: Model, winter: Winter, place: PlaceRow, guard: Guard): { asked: WinterAsked; inside: InsideWinters } {
	const shelter = m.shelter(place.id)!;
	const other = inside.of(shortOf([m.state, m.garden.id, place.id, guard]), () => shelter.under(guard));
	const levels = new Set(winter.rooms.filter((p) => p.level_of === place.id).map((p) => p.id));
	const cold = coldOf(m, winter.open, (id) => (id === place.id || levels.has(id) ? other : (m.shelter(id)?.inside ?? null)));
	return {
		asked: { ...winter.asked, guests: winter.things.map((t) => guestOf(t, winter.rooms, cold, winter.needs.has(t.id))) },
		inside: other
	};
}

/** Hours for which a heater runs in a usual winter. */
const usualHours = (w: InsideWinters): number => [...w.heatedH].sort((a, b) => a - b)[w.heatedH.length >> 1]!;

function guards(m: Model, winter: Winter): Gain[] {
	return winter.rooms.flatMap((p): Gain[] => {
		// Cloth and heat are of the whole place, not of a shelf in it.
		if (p.level_of) return [];
		const name = bodyOf(p)!;
		const now = guardOf(p);
		const before = coldestIn(m.shelter(p.id)!.inside, 1);
		const gains: Gain[] = [];
		for (const cover of now.cover ? [] : coversOf(name)) {
			const { asked, inside: under } = guardedAs(m, winter, p, { ...now, cover });
			const change: Change = { what: 'cover', placeId: p.id, place: p.name, cover, fromC: before, toC: coldestIn(under, 1) };
			gains.push(gainOf(winter, change, asked));
		}
		if (heats(name) && !now.heater && before < HOLDS_C) {
			for (const watts of HEATERS_W) {
				const heater = { watts, setC: HOLDS_C };
				const { asked, inside: under } = guardedAs(m, winter, p, { ...now, heater });
				if (coldestIn(under, 20) < SAFE_C && watts !== HEATERS_W.at(-1)) continue;
				const kWh = (usualHours(under) * watts) / 1000;
				const change: Change = {
					...{ what: 'heater', placeId: p.id, place: p.name, ...heater, kWh, money: kWh * SHELTER.kWh.value },
					...{ fromC: before, toC: coldestIn(under, 1) }
				};
				gains.push(gainOf(winter, change, asked));
				break;
			}
		}
		return gains;
	});
}

/** For each place that is full: as much more room as would be used if it were endless. */
function roomier(winter: Winter): Gain[] {
	return winter.asked.rooms.flatMap((room): Gain[] => {
		if (room.areaCm2 === null) return [];
		const wide = { ...winter.asked, rooms: winter.asked.rooms.map((r) => (r.id === room.id ? { ...r, areaCm2: null } : r)) };
		const plan = planFor(wide, winter.solve);
		const used = PERIODS.map((_, t) =>
			wide.guests.reduce((s, g) => {
				const c = plan.at.get(g.id)!;
				return s + (c.place === room.id ? areaOf(g, c, t) : 0);
			}, 0)
		);
		const more = Math.ceil((Math.max(...used) - room.areaCm2) / STEP_CM2) * STEP_CM2;
		if (more <= 0) return [];
		const place = winter.rooms.find((p) => p.id === room.id)!.name;
		return [gainOf(winter, { what: 'room', placeId: room.id, place, cm2: more }, wide)];
	});
}

/** More time, where time is what keeps things out. */
function longer(winter: Winter): Gain[] {
	if (winter.asked.minutesAWeek === null) return [];
	const free = { ...winter.asked, minutesAWeek: null };
	const plan = planFor(free, winter.solve);
	const used = [...plan.at.values()].reduce((s, c) => s + c.minutes, 0);
	if (used <= winter.asked.minutesAWeek) return [];
	return [gainOf(winter, { what: 'minutes', minutes: Math.ceil((used - winter.asked.minutesAWeek) / 5) * 5 }, free)];
}

/** The easiest first: what costs nothing but a cloth, then time, then room, then current. */
const EFFORT = { cover: 0, minutes: 1, room: 2, heater: 3 } as const;

export function changesIn(m: Model, winter: Winter): WinterChanges {
	const all = [...guards(m, winter), ...longer(winter), ...roomier(winter)].filter((g) => g.worth >= LEAST_WORTH);
	// Of one place's covers only the one that gains most is told.
	const best = all.filter(
		(g) =>
			g.change.what !== 'cover' ||
			!all.some(
				(o) =>
					o !== g &&
					o.change.what === 'cover' &&
					o.change.placeId === (g.change as { placeId: string }).placeId &&
					o.worth > g.worth
			)
	);
	best.sort((a, b) => EFFORT[a.change.what] - EFFORT[b.change.what] || b.worth - a.worth);
	return { gains: best.slice(0, MOST_TOLD), none: best.length === 0 };
}

export async function winterChanges(garden: Garden): Promise<WinterChanges> {
	const { m, winter } = await winterOf(garden);
	return found.of(shortOf([m.garden.id, m.state, winter.asked]), () => changesIn(m, winter));
}
