/**
 * Where everything that may not stay as it stands spends the winter: asked once, by all screens that say where a plant
 * goes. What a household has said of single plants (pins, places never to be used, worth) is in it.
 */
import { wayIn } from './context.js';
import type { Garden } from './context.js';
import { holdsOf } from './holds.js';
import { Kept } from './kept.js';
import { modelOf, shortOf } from './model.js';
import type { Model } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import { solver } from './solver.js';
import type { PlaceRow, StockRow } from './store/state.js';
import type { LodgingRow } from './store/lodging.js';
import { dayInYear, dayNumber, isoOf, yearOf } from '$lib/core/dates.js';
import type { DayNumber, IsoDate } from '$lib/core/dates.js';
import { bringInBy } from '$lib/core/round/triggers.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import { withLabel, withVariety } from '$lib/core/handbook/names.js';
import type { Kind, Stage } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { holding } from '$lib/core/mix/stands.js';
import { meanOf } from '$lib/core/odds/beta.js';
import { IN_POTS_OUTDOORS, OUTDOORS } from '$lib/core/places.js';
import { bearsCold, bearsEach, chanceAt, livesAt, livesWinter } from '$lib/core/plan/winter.js';
import type { WinterAt } from '$lib/core/plan/winter.js';
import { assignWinter, bodyOf } from '$lib/core/shelter/index.js';
import type { Choice, Copies, Guest, InsideWinters, WinterAsked, WinterPlan, Worth } from '$lib/core/shelter/index.js';
import { SHELTER } from '$lib/core/shelter/judged.js';
import type { Solver } from '$lib/core/solve/programme.js';

export type ColdAt = Pick<WinterAt, 'place' | 'coldestC' | 'inside'>;

/** A stock plant or a batch, as the winter meets it. */
export interface Thing {
	id: string;
	what: 'stock' | 'batch';
	kind: Kind;
	code: string | null;
	name: string;
	count: number;
	/** Pots, trays or jars. */
	vessels: number;
	placeId: string | null;
	/** Room it takes now, and once what roots has been potted on, cm². */
	areaCm2: number;
	laterCm2: number;
	/** Height with its plant, where it is known, cm. */
	tallCm: number | null;
	/** Chance of one plant of it to live through a winter in such a place. */
	chanceAt(at: ColdAt): number;
	/** May it be kept there at all? */
	suits(p: PlaceRow): boolean;
	worth: Worth;
	said: LodgingRow | null;
	apart: boolean;
}

export interface Winter {
	/** All that stands under a roof, and what stands outside and is not safe there. */
	things: readonly Thing[];
	/** Those of them that would not be sure to stand the winter outside, where they are or in their pots. */
	needs: ReadonlySet<string>;
	/** Open places under a roof, in walking order. */
	rooms: readonly PlaceRow[];
	open: readonly PlaceRow[];
	asked: WinterAsked;
	plan: WinterPlan;
	solve: Solver;
	/** Of a thing at a place of the garden; null is under the sky without one. */
	cold(placeId: string | null): ColdAt;
}

/** Outside, from here on, nobody need carry it. */
const STANDS_OUT = 0.9;
/** Days for which what has mites stands alone. Common practice, no source. */
export const APART_DAYS = 14;
/** A hardy plant that nobody keeps there lives there too, if it bears the cold. Own judgement. */
const UNHEARD_OF = 0.9;

/** Room of a potted plant on the floor: a pot by its height. */
export function potAcrossOf(s: StockRow): number {
	const [least, most] = SHELTER.potAcross.value;
	return Math.min(most!, Math.max(least!, (s.size_cm ?? 0) * SHELTER.potByHeight.value));
}
const potArea = (s: StockRow): number => s.count * potAcrossOf(s) ** 2;

const worthOf = (said: LodgingRow | null, kind: Kind): Worth =>
	said?.worth ?? (kind.price.v >= SHELTER.dearFrom.value ? 'dear' : 'easy');

type Saying = (id: string) => { said: LodgingRow | null; apart: boolean };

function stockThing(m: Model, s: StockRow, saying: Saying): Thing[] {
	const kind = m.kinds.get(s.kind_id);
	if (!kind) return [];
	const shelters = kind.winter.shelters;
	const { said, apart } = saying(s.id);
	const area = potArea(s);
	return [
		{
			...{ id: s.id, what: 'stock' as const, kind, code: null, count: s.count, vessels: s.count, placeId: s.place_id },
			...{ areaCm2: area, laterCm2: area, tallCm: s.size_cm, said, apart, worth: worthOf(said, kind) },
			name: withLabel(kind, s.label),
			chanceAt: (at) => livesAt({ kind, ...at }) ?? UNHEARD_OF * bearsCold({ kind, ...at, place: at.place ?? 'bed' }),
			suits: (p) => shelters.some((x) => x.in === p.kind)
		}
	];
}

function batchThing(m: Model, b: Batch, saying: Saying, usuals: Map<string, number>): Thing[] {
	const kind = m.kinds.get(b.kindId);
	const way = wayIn(kind, b.wayId);
	if (!kind || !way) return [];
	const stage = way.stages.find((s) => s.to === 'wintered');
	const best = kind.winter.shelters.reduce((c, s) => Math.max(c, s.chance), 0) || UNHEARD_OF;
	const form = m.formOf(b.stockId);
	// One record for all batches of a way and a form.
	const key = `${kind.id} ${way.id} ${form}`;
	const usual = usuals.get(key) ?? (stage ? meanOf(stageOdds(stage, m.record.of(kind.id, way.id, [], form))) : best);
	usuals.set(key, usual);
	const leafy = b.unrooted > 0;
	const holds = holdsOf(b, way, m.book);
	const area = holds.areaCm2 * holds.count;
	const { said, apart } = saying(b.id);
	return [
		{
			...{ id: b.id, what: 'batch' as const, kind, code: b.code, count: inHand(b), vessels: holds.count, placeId: b.placeId },
			...{
				areaCm2: area,
				laterCm2: Math.max(area, potted(m, b, way.stages)),
				tallCm: null,
				said,
				apart,
				worth: worthOf(said, kind)
			},
			name: [withVariety(kind), form].filter(Boolean).join(', '),
			chanceAt: (at) => chanceAt(usual, { kind, ...at, place: at.place ?? 'bench' }),
			// Leafy cuttings cannot rest in the dark, whatever their parents do.
			suits: (p) => kind.winter.shelters.some((x) => x.in === p.kind) && !(leafy && p.kind === 'garage')
		}
	];

	/** What roots through the winter is potted in late winter: a tray of 24 is then 24 pots. */
	function potted(model: Model, of: Batch, stages: readonly Stage[]): number {
		const next = stages.find((s) => s.to === 'potted');
		if (!next || of.unrooted + of.rooted === 0) return 0;
		const { container, each } = holding(model.book, way!, next);
		return container?.vessel ? Math.ceil(inHand(of) / each) * container.area_cm2 : 0;
	}
}

export function thingsOf(m: Model, snapshot: Snapshot): Thing[] {
	const said = new Map(snapshot.lodgings.map((l) => [l.id, l]));
	const saying: Saying = (id) => {
		const l = said.get(id) ?? null;
		return { said: l, apart: l?.apart_on != null && m.today - dayNumber(l.apart_on) < APART_DAYS };
	};
	const usuals = new Map<string, number>();
	return [
		...snapshot.stocks.filter((s) => !s.gone_on).flatMap((s) => stockThing(m, s, saying)),
		...snapshot.living.filter((b) => b.status === 'growing' && inHand(b) > 0).flatMap((b) => batchThing(m, b, saying, usuals))
	];
}

const minutesAt = (t: Thing, p: PlaceRow): number => (t.kind.winter.shelters.find((s) => s.in === p.kind)?.care ?? 0) * t.vessels;

/** All of it; or, of many, half or a quarter, and the rest is given away. */
const keepsOf = (count: number): number[] => [
	...new Set([count, Math.ceil(count / 2), Math.ceil(count / 4)].filter((n) => n === count || n >= FEWEST))
];
/** Fewer of a batch are no insurance of each other. Own judgement. */
const FEWEST = 2;

/** Of a thing: staying outside, and each place that will have it. */
function choicesOf(t: Thing, rooms: readonly PlaceRow[], cold: Winter['cold']): Choice[] {
	const never = new Set(t.said?.never);
	const inRoom = rooms.some((p) => p.id === t.placeId);
	const outside = inRoom ? { ...cold(null), place: 'bench' } : cold(t.placeId);
	return [
		{ place: inRoom ? null : t.placeId, keeps: t.count, chance: t.chanceAt(outside), minutes: 0 },
		...rooms
			.filter((p) => p.id === t.said?.pinned || (!never.has(p.id) && (p.id === t.placeId || t.suits(p))))
			.flatMap((p) => {
				const chance = t.chanceAt(cold(p.id));
				return keepsOf(t.count).map((keeps) => ({ place: p.id, keeps, chance, minutes: (minutesAt(t, p) * keeps) / t.count }));
			})
	];
}

/** @param needs what is safe outside takes the room that it has, and is not carried about */
export function guestOf(t: Thing, rooms: readonly PlaceRow[], cold: Winter['cold'], needs = true): Guest {
	const every = choicesOf(t, rooms, cold);
	const stays = every.filter((c) => c.place === t.placeId && c.keeps === t.count);
	const choices = needs || stays.length === 0 ? every : stays;
	const pinned = t.said?.pinned ?? null;
	return {
		...{ id: t.id, group: t.kind.id + t.name, worth: t.worth, count: t.count, here: t.placeId, choices, apart: t.apart },
		area: [t.areaCm2, t.areaCm2, t.laterCm2],
		pinned: choices.some((c) => c.place === pinned) ? pinned : null
	};
}

const solved = new Kept<WinterPlan>(4, (p) => p.at.size * 150);

/** The best plan for what is asked; asked the same again, it is the same. */
export const planFor = (asked: WinterAsked, solve: Solver): WinterPlan =>
	solved.of(shortOf(asked), () => assignWinter(asked, solve));

/** What may change in thought: how cold it gets somewhere, under cloth or with a heater. */
export type Inside = (placeId: string) => InsideWinters | null;

export function winterIn(m: Model, snapshot: Snapshot, solve: Solver): Winter {
	const open = snapshot.places.filter((p) => !p.closed);
	const rooms = open.filter((p) => bodyOf(p) !== null);
	const cold = coldOf(m, open);
	const here = new Set(rooms.map((p) => p.id));
	const all = thingsOf(m, snapshot);
	const needs = new Set(all.filter((t) => endangered(m, t, open)).map((t) => t.id));
	const things = all.filter((t) => here.has(t.placeId ?? '') || needs.has(t.id));
	const asked: WinterAsked = {
		guests: things.map((t) => guestOf(t, rooms, cold, needs.has(t.id))),
		rooms: rooms.map((p) => ({ id: p.id, areaCm2: p.room_cm2, of: p.level_of })),
		// Nobody who keeps plants has none: none means that they have not said.
		minutesAWeek: m.garden.data.minutes_per_week || null
	};
	return { things, needs, rooms, open, asked, plan: planFor(asked, solve), solve, cold };
}

export const coldOf =
	(m: Model, open: readonly PlaceRow[], inside: Inside = (id) => m.shelter(id)?.inside ?? null): Winter['cold'] =>
	(placeId) => {
		const p = open.find((x) => x.id === placeId);
		return { place: p?.kind ?? null, coldestC: m.garden.climate.coldestC, inside: p ? (inside(p.id)?.felt ?? null) : null };
	};

/** The next middle of a winter: half a year from the middle of the warm season. */
export function coldestAhead(m: Model): DayNumber {
	const doy = ((m.garden.base.recordClimate.middle + 182 - 1) % 365) + 1;
	return [0, 1].map((n) => dayInYear(yearOf(m.today) + n, doy)).find((d) => d >= m.today)!;
}

/** Days after the middle of winter from which a cold night is covered, not carried in from. */
const SPRING_DAYS = 75;
/** The first day on which bringing in for the winter is asked about: in spring and early summer that is after midsummer. */
export function autumnFrom(m: Model): DayNumber {
	const { middle } = m.garden.base.recordClimate;
	const year = yearOf(m.today);
	const summer = [-1, 0, 1].map((n) => dayInYear(year + n, middle)).find((d) => d >= m.today)!;
	return summer - m.today <= 182 - SPRING_DAYS ? summer : m.today;
}

/** Plants of a thing at a place, through every winter that may come there. */
export function copiesOf(m: Model, t: Thing, at: ColdAt, count = t.count): Copies {
	const felt = { kind: t.kind, ...at, place: at.place ?? (t.what === 'batch' ? 'bench' : 'bed') };
	const rest = t.chanceAt(at) / Math.max(1e-9, bearsCold(felt));
	return {
		count,
		byWinter: bearsEach(felt).map((c) => Math.min(1, c * rest)),
		// Whole plants at one place are taken to live or die together, pieces as alike as the garden's record has them.
		alike: t.what === 'stock' ? 1 : m.record.rho
	};
}

/** When a plant that bears such a night in growth must be in; null where no night of the year is so cold. */
export function inByOf(m: Model, limitC: number): IsoDate | null {
	const from = autumnFrom(m);
	const by = bringInBy(limitC, from, from + 366, m.season.sky);
	return by ? isoOf(by.by) : null;
}

/** Not sure to stand its winter outside: where it is, or in its pot on a bench if it is under a roof now. */
function endangered(m: Model, t: Thing, open: readonly PlaceRow[]): boolean {
	const p = open.find((x) => x.id === t.placeId);
	const at = p && !OUTDOORS.has(p.kind) ? 'bench' : (p?.kind ?? null);
	const { coldestC } = m.garden.climate;
	return (
		t.chanceAt({ place: at, coldestC, inside: null }) < STANDS_OUT &&
		livesWinter(t.kind, coldestC, t.what === 'batch' || IN_POTS_OUTDOORS.has(at ?? '')) < STANDS_OUT
	);
}

export async function winterOf(garden: Garden): Promise<{ m: Model; snapshot: Snapshot; winter: Winter }> {
	const [m, snapshot, solve] = await Promise.all([modelOf(garden), snapshotOf(garden.id), solver()]);
	return { m, snapshot, winter: winterIn(m, snapshot, solve) };
}
