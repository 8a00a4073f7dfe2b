/** What lives where this winter, and whether it will come through: as it stands, and where it would be better off. */
import type { Garden } from './context.js';
import { modelOf } from './model.js';
import type { Model } from './model.js';
import type { PlaceRow } from './store/state.js';
import { bearsByNow } from './stood.js';
import { coldestAhead, copiesOf, inByOf, winterOf } from './winterPlan.js';
import type { Thing, Winter } from './winterPlan.js';
import { quantileOf } from '$lib/core/season/frostDates.js';
import { SHELTER } from '$lib/core/shelter/judged.js';
import { dayNumber } from '$lib/core/dates.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import {
	bodyOf,
	coldestIn,
	daysToDry,
	coversOf,
	fallsTo,
	guardOf,
	heats,
	lightByMonth,
	LIKELY_FROM,
	lowSaid,
	oddsOfSpell,
	oneAlive,
	potKg,
	sunOf
} from '$lib/core/shelter/index.js';
import type { Choice, Cover, Guard, Guest, NightsAhead, ShelterKindName, Worth } from '$lib/core/shelter/index.js';

/** A stock plant or a batch. */
export interface Lodger {
	id: string;
	what: 'stock' | 'batch';
	code: string | null;
	name: string;
	count: number;
	/** Chance of a plant of it to live through a winter where it stands. */
	chance: number;
	/** What it bears at rest, and as it is now under a roof, °C. */
	bearsC: number;
	bearsNowC: number;
	/** Room it takes, cm². */
	areaCm2: number;
	worth: Worth;
	/** Each pot, tray or jar of it: how many, how wide and how tall with its plant, cm; kg of one. */
	vessels: number;
	acrossCm: number;
	tallCm: number;
	kg: number;
	/** It stands in the ground: it is lifted, and wants a pot. */
	lift: boolean;
	/** What of it harms whoever carries it. */
	hazards: string[];
	/** Day on which it must be in; null for what is in. */
	inBy: string | null;
	/** All of it elsewhere: where it may go, with its odds there. */
	choices: { placeId: string | null; chance: number }[];
	/** It would not be sure to stand the winter outside. */
	needs: boolean;
	/** It stays there: the household said so. */
	pinned: boolean;
	/** Where it goes, or where it would be better off if there were room. */
	better: { placeId: string; place: string; chance: number; keeps: number; fits: boolean } | null;
}

export interface ShelterShown {
	id: string;
	name: string;
	what: ShelterKindName;
	/** Coldest night inside: of a usual winter, of five, of twenty, °C. */
	coldest: readonly [number, number, number];
	/** The nights that the forecast tells: how many, the coldest of them, and the odds that it falls to what the tenderest bears by now. */
	ahead: { nights: number; coldestC: number; tenderest: { name: string; bearsC: number; chance: number } | null } | null;
	/** Share of the winters with six hours at or below freezing. */
	freezes: number;
	/** Name of the place that it is a level of. */
	levelOf: string | null;
	kind: string;
	light: PlaceRow['light'];
	/** From front to back, cm: its length is its room by that. */
	depthCm: number;
	/** Light at the leaves in its darkest month, mol m⁻² a day, and which month; null where its window and lamp are not told. */
	darkest: { month: number; mol: number } | null;
	/** Of 90 days in the heart of a usual winter, those on which it is warm enough for what rests to wake. */
	wakes: number;
	guard: Guard;
	guardedOn: string | null;
	covers: readonly Cover[];
	heats: boolean;
	learnt: { days: number; coldNights: number; odd: number };
	saidLowC: number | null;
	roomCm2: number | null;
	usedCm2: number;
	lodgers: Lodger[];
}

export interface KindKept {
	name: string;
	/** Where it stands: how many at each place, in the order of the walk. */
	copies: { count: number; place: string | null }[];
	/** Chance that one of it at least is alive in spring, as it stands; and if what can goes where it is better off. */
	stays: number;
	moved: number;
}

export interface SheltersView {
	shelters: ShelterShown[];
	/** Under the sky, and not sure to stand its winter. */
	outside: Lodger[];
	/** Kinds, the most endangered first: is one of it alive in spring? */
	kinds: KindKept[];
	/** Minutes a week that the plan takes, and those there are; null where nobody has said. */
	minutes: number;
	minutesAWeek: number | null;
	/** Days away in the winter ahead, and what would be dry before they end. */
	away: { from: string; to: string; names: string[] }[];
	/** Names of what cannot be had again and would spend the winter in one place alone. */
	alone: string[];
	/** Places that must hold more than they have room for, by what is pinned there. */
	overfull: string[];
	/** Of all of them. */
	all: number;
	likely: number;
	coldestC: number;
}

/** Better than this much is worth a walk. */
const WORTH = 0.1;
const FREEZING_HOURS = 6;

export async function sheltersShown(garden: Garden): Promise<SheltersView> {
	const { m, winter } = await winterOf(garden);
	const { things, rooms, open, plan, cold } = winter;
	const placeOf = new Map(open.map((p) => [p.id, p]));
	const roofed = new Set(rooms.map((p) => p.id));
	/** By what it bears, each once. */
	const days = new Map<number, string | null>();
	const inBy = (t: Thing): string | null => {
		const c = t.kind.winter.limit_c;
		if (!days.has(c)) days.set(c, inByOf(m, c));
		return days.get(c)!;
	};
	const guests = new Map(winter.asked.guests.map((g) => [g.id, g]));
	const used = new Map(rooms.map((p) => [p.id, 0]));
	for (const t of things) if (used.has(t.placeId ?? '')) used.set(t.placeId!, used.get(t.placeId!)! + t.areaCm2);
	const lodger = (t: Thing): Lodger => {
		const g = guests.get(t.id)!;
		// Asked of the place itself: it may stand where the household never wants it.
		const chance = roofed.has(t.placeId ?? '') ? t.chanceAt(cold(t.placeId)) : g.choices[0]!.chance;
		return {
			...{ id: t.id, what: t.what, code: t.code, name: t.name, count: t.count, chance, areaCm2: t.areaCm2, worth: t.worth },
			bearsC: t.kind.hardiness_c.v,
			bearsNowC: roofed.has(t.placeId ?? '') ? bearsByNow(m, t.kind, t.placeId!) : t.kind.winter.limit_c,
			pinned: g.pinned !== null,
			needs: winter.needs.has(t.id),
			...bodyOfThing(t),
			lift: t.what === 'stock' && IN_THE_GROUND.has(placeOf.get(t.placeId ?? '')?.kind ?? ''),
			hazards: t.kind.hazards.map((h) => h.what),
			inBy: roofed.has(t.placeId ?? '') ? null : inBy(t),
			choices: g.choices.filter((c) => c.keeps === g.count).map((c) => ({ placeId: c.place, chance: c.chance })),
			better: betterFor(g, chance, plan.at.get(t.id)!, placeOf)
		};
	};
	const shown = things.map((t) => ({ t, here: placeOf.get(t.placeId ?? ''), lodger: lodger(t) }));
	const better = new Map(shown.map((s) => [s.t.id, s.lodger.better]));
	const byChance = (a: Lodger, b: Lodger) => a.chance - b.chance || a.name.localeCompare(b.name, 'en');
	const out = shown
		.filter((s) => !roofed.has(s.t.placeId ?? ''))
		.map((s) => s.lodger)
		.sort(byChance);
	const shelters = rooms.map((p): ShelterShown => {
		const s = m.shelter(p.id)!;
		const { days, coldNights, odd } = s.fitted;
		const lodgers = shown
			.filter((x) => x.t.placeId === p.id)
			.map((x) => x.lodger)
			.sort(byChance);
		return {
			...{ id: p.id, name: p.name, what: bodyOf(p)! },
			coldest: [coldestIn(s.inside, 1), coldestIn(s.inside, 5), coldestIn(s.inside, 20)],
			ahead: aheadOf(s.ahead(), lodgers),
			freezes: oddsOfSpell(s.inside, 0, FREEZING_HOURS),
			...{
				kind: p.kind,
				light: p.light,
				guard: guardOf(p),
				guardedOn: p.guarded_on,
				covers: coversOf(bodyOf(p)!),
				heats: heats(bodyOf(p)!)
			},
			levelOf: placeOf.get(p.level_of ?? '')?.name ?? null,
			depthCm: DEPTH[p.kind] ?? 60,
			darkest: darkestOf(p, garden),
			wakes: usualOf(s.inside.warmDays),
			learnt: { days, coldNights, odd },
			saidLowC: lowSaid(p),
			roomCm2: p.room_cm2,
			usedCm2: used.get(p.id)!,
			lodgers
		};
	});
	const kinds = kindsKept(
		m,
		shown.filter((s) => s.lodger.needs),
		better,
		open,
		cold
	);
	const everyone = [...out, ...shelters.flatMap((s) => s.lodgers)].filter((l) => l.needs);
	/** Brought where it is best off, if it fits there. */
	const then = (l: Lodger) => (l.better?.fits ? l.better.chance : l.chance);
	return {
		shelters,
		outside: out,
		kinds,
		minutes: [...plan.at.values()].reduce((s, c) => s + c.minutes, 0),
		minutesAWeek: winter.asked.minutesAWeek,
		away: dryWhileAway(m, winter),
		alone: aloneIn(winter),
		overfull: plan.overfull.map((id) => placeOf.get(id)!.name),
		all: everyone.length,
		likely: everyone.filter((l) => then(l) >= LIKELY_FROM).length,
		coldestC: garden.climate.coldestC
	};
}

function darkestOf(p: PlaceRow, garden: Garden): ShelterShown['darkest'] {
	const { low, high } = garden.base.recordClimate.normals;
	const latitude = garden.climate.latitude;
	const months = lightByMonth(p, latitude, (doy) => sunOf(latitude, doy - 1, low[doy - 1]!, high[doy - 1]!));
	if (!months) return null;
	const mol = Math.min(...months);
	return { month: months.indexOf(mol), mol };
}
const usualOf = (values: ArrayLike<number>): number => Array.from(values).sort((a, b) => a - b)[values.length >> 1] ?? 0;

const DEPTH: Readonly<Record<string, number>> = SHELTER.depth.value;
/** A plant of unknown height, and a tray of cuttings, cm. */
const TALL_CM = { stock: 40, batch: 12 } as const;

function bodyOfThing(t: Thing): Pick<Lodger, 'vessels' | 'acrossCm' | 'tallCm' | 'kg'> {
	const acrossCm = Math.sqrt(t.areaCm2 / Math.max(1, t.vessels));
	return { vessels: t.vessels, acrossCm, tallCm: t.tallCm ?? TALL_CM[t.what], kg: t.what === 'stock' ? potKg(acrossCm) : 0 };
}

/** What would be dry a finger deep before one is back, though watered on the eve of leaving. */
function dryWhileAway(m: Model, { things, plan }: Winter): SheltersView['away'] {
	const middle = coldestAhead(m);
	return m.garden.data.away
		.filter((a) => dayNumber(a.to) >= m.today && Math.abs(dayNumber(a.from) - middle) < WINTER_HALF)
		.map((a) => {
			const days = dayNumber(a.to) - dayNumber(a.from) + 1;
			const dry = things.filter((t) => {
				const shelter = m.shelter(plan.at.get(t.id)!.place);
				if (!shelter) return false;
				const { low, high } = shelter.day(dayNumber(a.from));
				// A pot bears to be dry as long again before it suffers.
				return 2 * daysToDry(Math.sqrt(t.areaCm2 / Math.max(1, t.vessels)), (low + high) / 2) < days;
			});
			return { from: a.from, to: a.to, names: [...new Set(dry.map((t) => t.name))] };
		})
		.filter((a) => a.names.length > 0);
}
const WINTER_HALF = 100;

/** One leak, one mouse, one forgotten week, and there is none. */
function aloneIn({ things, plan, rooms }: Winter): string[] {
	const wholeOf = new Map(rooms.map((p) => [p.id, p.level_of ?? p.id]));
	const at = new Map<string, Set<string>>();
	for (const t of things) {
		if (t.worth !== 'gone') continue;
		const places = at.get(t.name) ?? new Set<string>();
		places.add(wholeOf.get(plan.at.get(t.id)!.place ?? '') ?? 'outside');
		at.set(t.name, places);
	}
	return [...at].filter(([, places]) => places.size < 2).map(([name]) => name);
}

/** Where the plan has it go; or, where there is no room for it, where it would be better off. */
function betterFor(g: Guest, chance: number, to: Choice, placeOf: ReadonlyMap<string, PlaceRow>): Lodger['better'] {
	// It may make room for another: that is worth a walk though it is no better off itself.
	if (to.place !== null && (to.place !== g.here || to.keeps < g.count))
		return { placeId: to.place, place: placeOf.get(to.place)!.name, chance: to.chance, keeps: to.keeps, fits: true };
	const best = g.choices.reduce((a, b) => (b.chance > a.chance ? b : a));
	if (best.place === null || best.place === g.here || best.chance <= chance + WORTH) return null;
	return { placeId: best.place, place: placeOf.get(best.place)?.name ?? '', chance: best.chance, keeps: g.count, fits: false };
}

/** Kinds of which one at least is less sure than this to be alive in spring are told. */
const SURE = 0.9;
/** Or less sure than this as it stands. */
const SURE_NOW = 0.8;

function kindsKept(
	m: Model,
	shown: readonly { t: Thing; here: PlaceRow | undefined }[],
	better: ReadonlyMap<string, Lodger['better']>,
	open: readonly PlaceRow[],
	cold: Winter['cold']
): KindKept[] {
	const byName = new Map<string, typeof shown>();
	for (const s of shown) byName.set(s.t.name, [...(byName.get(s.t.name) ?? []), s]);
	const winters = open.reduce((n, p) => Math.max(n, m.shelter(p.id)?.inside.coldest.length ?? 0), 1);
	return [...byName]
		.map(([name, all]): KindKept => {
			const keptOf = (t: Thing) => {
				const b = better.get(t.id);
				return b?.fits ? b.keeps : t.count;
			};
			const placeOf = (t: Thing, here: PlaceRow | undefined) => {
				const b = better.get(t.id);
				return b?.fits ? open.find((p) => p.id === b.placeId) : here;
			};
			return {
				name,
				copies: all.map(({ t, here }) => ({ count: t.count, place: here?.name ?? null })),
				stays: oneAlive(
					all.map(({ t, here }) => copiesOf(m, t, cold(here?.id ?? null))),
					winters
				),
				moved: oneAlive(
					all.map(({ t, here }) => copiesOf(m, t, cold(placeOf(t, here)?.id ?? null), keptOf(t))),
					winters
				)
			};
		})
		.filter((k) => k.moved < SURE || k.stays < SURE_NOW)
		.sort((a, b) => a.moved - b.moved || a.stays - b.stays);
}

function aheadOf(ahead: NightsAhead | null, lodgers: readonly Lodger[]): ShelterShown['ahead'] {
	if (!ahead) return null;
	const tender = lodgers.reduce<Lodger | null>((a, l) => (a && a.bearsNowC >= l.bearsNowC ? a : l), null);
	return {
		nights: ahead.nights.length,
		coldestC: quantileOf(ahead.coldest, 0.5),
		tenderest: tender && { name: tender.name, bearsC: tender.bearsNowC, chance: fallsTo(ahead, tender.bearsNowC) }
	};
}

/** Coldest of each night inside over the days of the season strip, one a week. */
export async function stripInside(
	garden: Garden,
	placeId: string,
	name: string
): Promise<{ placeId: string; name: string; low: { day: number; low: number }[] } | null> {
	const m = await modelOf(garden);
	const shelter = m.shelter(placeId);
	if (!shelter) return null;
	const low: { day: number; low: number }[] = [];
	for (let day = m.today - STRIP_BACK; day <= m.today + STRIP_AHEAD; day += 7) {
		let least = Infinity;
		for (let d = 0; d < 7; d++) least = Math.min(least, shelter.day(day + d).low);
		low.push({ day: day + 3, low: Math.round(least * 10) / 10 });
	}
	return { placeId, name, low };
}
const STRIP_BACK = 92;
const STRIP_AHEAD = 450;
