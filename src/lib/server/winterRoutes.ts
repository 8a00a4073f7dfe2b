/** One plant's winter: every way through it with its odds, minutes, room and money, and the pairs that are surest. */
import { error } from '@sveltejs/kit';
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import type { Model } from './model.js';
import { shelterLike } from './shelters.js';
import { stockViews } from './stock.js';
import { coldestAhead, coldOf, copiesOf, guestOf, inByOf, thingsOf, winterOf } from './winterPlan.js';
import type { Thing, Winter } from './winterPlan.js';
import { wayLabel } from './windows.js';
import { isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { StageName, WayProfile } from '$lib/core/handbook/schema.js';
import { holding } from '$lib/core/mix/stands.js';
import { meanOf } from '$lib/core/odds/beta.js';
import { offSeasonTimes } from '$lib/core/plan/offSeason.js';
import { IN_POTS_OUTDOORS, OUTDOORS } from '$lib/core/places.js';
import { bearsCold, bearsEach, chanceAt, livesAt } from '$lib/core/plan/winter.js';
import { bestPairs, bodyOf, generationsIn, lineHolds, oneAlive } from '$lib/core/shelter/index.js';
import type { Copies, Route, Worth } from '$lib/core/shelter/index.js';

export interface RouteShown extends Route {
	/** What is done, in a few words; where; and what the handbook says of it. */
	name: string;
	place: string | null;
	say: string;
	chance: number;
	/** Room is left for it there, by the plan of all; null where nobody has said how much there is. */
	fits: boolean | null;
	/** It stands there now; the plan has it there. */
	here: boolean;
	planned: boolean;
	/** Cut on this day at the latest. */
	until: string | null;
}

export interface PlantWinter {
	id: string;
	what: 'stock' | 'batch';
	code: string | null;
	name: string;
	count: number;
	/** Chance that one at least is alive in spring, as it stands. */
	stays: number;
	/** Bears nights of so much while it grows, and so much at its hardiest, °C. */
	limitC: number;
	bearsC: number;
	/** The day on which it must be in; null where no night is so cold, or it is in. */
	inBy: string | null;
	routes: RouteShown[];
	/** Pairs, the surest first. */
	pairs: { ids: [string, string]; chance: number }[];
	winters: number;
	worth: Worth;
	said: { pinned: string | null; never: readonly string[]; worth: Worth | null; apart: boolean; version: number | null };
	places: { id: string; name: string }[];
	/** Come late winter it can be divided into about so many; 0 where it cannot. */
	dividesInto: number;
}

/** Cuttings that are struck as insurance: a pot's rim, a jar. */
const STRUCK = 4;
/** Ways that leave the plant where it is. */
const CUT: ReadonlySet<string> = new Set(['stem', 'rod', 'leaf', 'basal']);

/** When spring is there, and what came through is seen. */
const springOf = (m: Model): DayNumber => coldestAhead(m) + 90;

/** The whole plant, at each place that has it. */
function whole(m: Model, w: Winter, t: Thing): Omit<RouteShown, 'chance'>[] {
	const planned = w.plan.at.get(t.id) ?? null;
	const left = roomLeft(w, t.id);
	return guestOf(t, w.rooms, w.cold)
		.choices.filter((c) => c.place !== null && c.keeps === t.count && w.rooms.some((p) => p.id === c.place))
		.map((c) => {
			const place = w.rooms.find((p) => p.id === c.place)!;
			const free = left.get(place.id) ?? null;
			const dark = place.light === 'dark';
			return {
				...{ id: `whole:${place.id}`, what: 'whole' as const, placeId: place.id, place: place.name, money: 0 },
				name: t.what === 'batch' ? 'All of it' : dark ? 'The whole plant, at rest in the dark' : 'The whole plant',
				say: t.kind.winter.shelters.find((s) => s.in === place.kind)?.say ?? 'Nobody is known to keep it so.',
				copies: copiesOf(m, t, w.cold(place.id)),
				...{ minutes: 5, minutesAWeek: c.minutes, areaCm2: t.areaCm2, until: null },
				fits: place.id === t.placeId || free === null ? (free === null ? null : true) : free >= t.laterCm2,
				here: place.id === t.placeId,
				planned: planned?.place === place.id
			};
		});
}

/** Room that the plan leaves at each place, this one taken out of it; null where it is not known. */
function roomLeft(w: Winter, but: string): Map<string, number | null> {
	return new Map(
		w.asked.rooms.map((r) => {
			if (r.areaCm2 === null) return [r.id, null];
			const used = w.asked.guests.reduce((s, g) => {
				const c = w.plan.at.get(g.id)!;
				return s + (g.id !== but && c.place === r.id ? (Math.max(...g.area) * c.keeps) / g.count : 0);
			}, 0);
			return [r.id, r.areaCm2 - used];
		})
	);
}

/** A few cuttings now, kept through the winter where young plants of it fare best. */
function cuttings(m: Model, w: Winter, t: Thing, gives: ReadonlyMap<string, number>): Omit<RouteShown, 'chance'>[] {
	const { kind } = t;
	const left = roomLeft(w, t.id);
	const places = w.rooms.filter(
		(p) => p.light !== 'dark' && p.kind !== 'garage' && kind.winter.shelters.some((s) => s.in === p.kind)
	);
	return kind.ways.flatMap((way): Omit<RouteShown, 'chance'>[] => {
		const general = handbook().ways.get(way.way);
		if (!general || !CUT.has(cutOf(general, way).draws) || (gives.get(way.id) ?? 0) < 1) return [];
		const season = m.season.usualFor(kind);
		const near = season.openings(way.window, m.today - 30, springOf(m) - 60);
		const open = near.find((o) => o.closes >= m.today);
		const last = near.at(-1);
		const off = open && open.opens <= m.today + 60 ? 0 : last ? Math.max(0, m.today - last.closes) : Infinity;
		if (off > 60) return [];
		const times = off === 0 ? 1 : offSeasonTimes(off, cutOf(general, way).draws);
		const takes = (to: StageName): number => {
			const stage = way.stages.find((s) => s.to === to);
			return stage ? meanOf(stageOdds(stage, m.record.of(kind.id, way.id, [], ''))) : 1;
		};
		const rooted = takes('rooted') * times;
		const best = kind.winter.shelters.reduce((c, s) => Math.max(c, s.chance), 0);
		const wintered = way.stages.some((s) => s.to === 'wintered') ? takes('wintered') : best;
		const through = (placeId: string) => chanceAt(wintered, { kind, ...w.cold(placeId) });
		const place = [...places].sort((a, b) => through(b.id) - through(a.id))[0];
		if (!place) return [];
		const water = way.way === 'water';
		const stage = way.stages[0]!;
		const { container, each: inOne } = holding(m.book, way, stage);
		const vessels = Math.max(1, Math.ceil(STRUCK / Math.max(1, inOne)));
		const cold = bearsEach({ kind, ...w.cold(place.id) });
		const mean = cold.reduce((a, b) => a + b, 0) / cold.length;
		const days = springOf(m) - m.today;
		// Each generation has its part of the winter to live through before it is struck from again.
		const generations = generationsIn(days);
		const one = rooted * takes('wintered') ** (1 / generations);
		const copies: Copies = water
			? {
					count: 1,
					alike: 1,
					byWinter: cold.map((c) => Math.min(1, c * lineHolds(STRUCK, one, m.record.rho, generations)))
				}
			: {
					count: STRUCK,
					alike: m.record.rho,
					byWinter: cold.map((c) => Math.min(1, (rooted * takes('potted') * through(place.id) * c) / Math.max(1e-9, mean)))
				};
		const later = STRUCK * (container && !water ? potAfter(m, way) : 0);
		const area = Math.max((container?.area_cm2 ?? 81) * vessels, later);
		const free = left.get(place.id) ?? null;
		return [
			{
				...{
					id: `cuttings:${way.id}`,
					what: water ? ('water' as const) : ('cuttings' as const),
					placeId: place.id,
					place: place.name
				},
				name: `${STRUCK} cuttings, ${wayLabel(kind, way).toLowerCase()}`,
				say: water
					? `Fresh ones are struck from them every six weeks: ${generations} generation${generations === 1 ? '' : 's'} until spring.`
					: way.piece.say + '.',
				copies,
				minutes: 5 + STRUCK * (stage.minutes + (way.stages.find((s) => s.to === 'potted')?.minutes ?? 0)),
				minutesAWeek: (kind.winter.shelters.find((s) => s.in === place.kind)?.care ?? 1) * vessels,
				...{ areaCm2: area, money: 0, here: false, planned: false },
				fits: free === null ? null : free >= area,
				until: open && off === 0 && !m.season.allYear(way.window) ? isoOf(open.closes) : null
			}
		];
	});
}

const potAfter = (m: Model, way: WayProfile): number => {
	const next = way.stages.find((s) => s.to === 'potted');
	return next ? (holding(m.book, way, next).container?.area_cm2 ?? 0) : 0;
};

/** Where it is, bare and under mulch; and let go and bought again. */
function left(m: Model, w: Winter, t: Thing): Omit<RouteShown, 'chance'>[] {
	const { kind } = t;
	const place = w.open.find((p) => p.id === t.placeId);
	const outside = place === undefined || OUTDOORS.has(place.kind);
	const none = { placeId: null, place: null, minutes: 0, minutesAWeek: 0, areaCm2: 0, fits: null, planned: false, until: null };
	const routes: Omit<RouteShown, 'chance'>[] = [];
	if (outside)
		routes.push({
			...none,
			...{ id: 'left', what: 'left', name: 'Left where it is', place: place?.name ?? null, money: 0, here: true },
			say: 'As the winter finds it.',
			copies: copiesOf(m, t, w.cold(t.placeId))
		});
	if (outside && place && !IN_POTS_OUTDOORS.has(place.kind) && t.what === 'stock') {
		// A kind that nobody leaves out has no chance of its own for it: what the cold leaves of it is told.
		const inside = shelterLike(m.garden.base, 'mulch').inside.felt;
		const at = { place: 'ground', coldestC: m.garden.climate.coldestC, inside };
		const base = (livesAt({ kind, ...at }) ?? 0.9 * bearsCold({ kind, ...at })) / Math.max(1e-9, bearsCold({ kind, ...at }));
		routes.push({
			...none,
			...{ id: 'mulched', what: 'mulched', name: 'Left where it is, under mulch', place: place.name, money: 0, here: false },
			say: 'Dry leaves or straw, a spade’s depth over the crown once the top has died down; off again when buds move.',
			copies: { count: t.count, alike: 1, byWinter: bearsEach({ kind, ...at }).map((c) => Math.min(1, c * base)) },
			minutes: 15
		});
	}
	if (t.worth !== 'gone' && t.what === 'stock')
		routes.push({
			...none,
			...{ id: 'bought', what: 'bought', name: 'Let go, and bought again in spring', money: kind.price.v * t.count, here: false },
			say: 'As long as somebody sells it.',
			copies: null
		});
	return routes;
}

export async function plantWinter(garden: Garden, id: string): Promise<PlantWinter> {
	const { m, snapshot, winter } = await winterOf(garden);
	const t = thingsOf(m, snapshot).find((x) => x.id === id);
	if (!t) error(404, { message: 'There is no such plant.', code: 'plant.unknown' });
	const [stock] = t.what === 'stock' ? await stockViews(garden, m.today, t.id) : [];
	const gives = new Map((stock?.gives ?? []).map((g) => [g.wayId, Math.max(g.now, g.then ?? 0)]));
	const winters = Math.max(1, ...winter.rooms.map((p) => m.shelter(p.id)?.inside.coldest.length ?? 0));
	const bare = [...whole(m, winter, t), ...(stock ? cuttings(m, winter, t, gives) : []), ...left(m, winter, t)];
	const routes = bare
		.map((r): RouteShown => ({ ...r, chance: r.copies ? oneAlive([r.copies], winters) : 1 }))
		.sort((a, b) => Number(a.what === 'bought') - Number(b.what === 'bought') || b.chance - a.chance);
	const place = winter.open.find((p) => p.id === t.placeId);
	const inside = place !== undefined && bodyOf(place) !== null;
	const division =
		t.what === 'stock' && (inside || IN_POTS_OUTDOORS.has(place?.kind ?? ''))
			? stock?.gives.find((g) => isDivision(t, g.wayId))
			: undefined;
	return {
		...{ id: t.id, what: t.what, code: t.code, name: t.name, count: t.count, worth: t.worth, routes, winters },
		stays: oneAlive([copiesOf(m, t, inside ? winter.cold(t.placeId) : coldOf(m, winter.open)(t.placeId))], winters),
		limitC: t.kind.winter.limit_c,
		bearsC: t.kind.hardiness_c.v,
		inBy: inside ? null : inByOf(m, t.kind.winter.limit_c),
		pairs: bestPairs(routes, winters, 3).map((p) => ({ ids: [p.routes[0].id, p.routes[1].id], chance: p.chance })),
		said: {
			pinned: t.said?.pinned ?? null,
			never: t.said?.never ?? [],
			worth: t.said?.worth ?? null,
			apart: t.apart,
			version: t.said?.version ?? null
		},
		places: winter.rooms.map((p) => ({ id: p.id, name: p.name })),
		dividesInto: division ? Math.max(division.now, division.then ?? 0) : 0
	};
}

const isDivision = (t: Thing, wayId: string): boolean => t.kind.ways.find((w) => w.id === wayId)?.way === 'division';
