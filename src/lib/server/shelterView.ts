/** What lives where this winter, and whether it will come through: as it stands, and where it would be better off. */
import { standingOfAll } from './bench.js';
import { wayIn } from './context.js';
import type { Garden } from './context.js';
import { modelOf } from './model.js';
import type { Model } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { PlaceRow, StockRow } from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import { withVariety } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { meanOf } from '$lib/core/odds/beta.js';
import { IN_POTS_OUTDOORS, OUTDOORS } from '$lib/core/places.js';
import { bearsCold, bearsEach, chanceAt, livesAt, livesWinter } from '$lib/core/plan/winter.js';
import type { WinterAt } from '$lib/core/plan/winter.js';
import { bodyOf, coldestIn, fallsTo, lowSaid, oddsOfSpell, oneAlive } from '$lib/core/shelter/index.js';
import { quantileOf } from '$lib/core/season/frostDates.js';
import type { Copies, NightsAhead, ShelterKindName } from '$lib/core/shelter/index.js';
import { SHELTER } from '$lib/core/shelter/judged.js';

/** A stock plant or a batch. */
export interface Lodger {
	id: string;
	what: 'stock' | 'batch';
	code: string | null;
	name: string;
	count: number;
	/** Chance of a plant of it to live through a winter where it stands. */
	chance: number;
	/** What it bears, °C. */
	bearsC: number;
	/** Room it takes, cm². */
	areaCm2: number;
	/** Somewhere it would be clearly better off. */
	better: { placeId: string; place: string; chance: number; fits: boolean } | null;
}

export interface ShelterShown {
	id: string;
	name: string;
	what: ShelterKindName;
	/** Coldest night inside: of a usual winter, of five, of twenty, °C. */
	coldest: readonly [number, number, number];
	/** The nights that the forecast tells: how many, the coldest of them, and the odds that it falls to what the tenderest bears. */
	ahead: { nights: number; coldestC: number; tenderest: { name: string; bearsC: number; chance: number } | null } | null;
	/** Share of the winters with six hours at or below freezing. */
	freezes: number;
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
	/** Of all of them. */
	all: number;
	likely: number;
	coldestC: number;
}

/** Better than this much is worth a walk. */
const WORTH = 0.1;
/** From here on it will probably come through. */
export const LIKELY = 0.8;
const STANDS_OUT = 0.9;
const FREEZING_HOURS = 6;

/** Room of a potted plant on the floor: a pot by its height. */
const potArea = (s: StockRow): number => {
	const [least, most] = SHELTER.potAcross.value;
	const across = Math.min(most!, Math.max(least!, (s.size_cm ?? 0) * SHELTER.potByHeight.value));
	return s.count * across * across;
};

export async function sheltersShown(garden: Garden): Promise<SheltersView> {
	const [m, snapshot] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const standing = await standingOfAll(garden, dayNumber(garden.today), snapshot.living);
	const open = snapshot.places.filter((p) => !p.closed);
	const placeOf = new Map(open.map((p) => [p.id, p]));
	const things: Thing[] = [
		...snapshot.stocks.filter((s) => !s.gone_on).flatMap((s) => stockThing(m, s)),
		...snapshot.living
			.filter((b) => b.status === 'growing' && inHand(b) > 0)
			.flatMap((b) => batchThing(m, b, standing.get(b.id)?.roomCm2 ?? 0))
	];
	const roofed = open.filter((p) => bodyOf(p) !== null);
	const used = new Map(roofed.map((p) => [p.id, 0]));
	for (const t of things) if (used.has(t.placeId ?? '')) used.set(t.placeId!, used.get(t.placeId!)! + t.areaCm2);
	const at = (p: PlaceRow | undefined): Pick<WinterAt, 'place' | 'coldestC' | 'inside'> => ({
		place: p?.kind ?? null,
		coldestC: garden.climate.coldestC,
		inside: p ? (m.shelter(p.id)?.inside.coldest ?? null) : null
	});
	const shown = things.map((t) => {
		const here = placeOf.get(t.placeId ?? '');
		const chance = t.chanceAt(at(here));
		return { t, here, chance };
	});
	const inside = shown.filter((s) => s.here && used.has(s.here.id));
	const outside = shown.filter(
		({ t, here, chance }) =>
			chance < STANDS_OUT &&
			(!here || OUTDOORS.has(here.kind)) &&
			livesWinter(t.kind, garden.climate.coldestC, t.what === 'batch' || IN_POTS_OUTDOORS.has(here?.kind ?? '')) < STANDS_OUT
	);
	/** What loses most by staying chooses first, as long as there is room. */
	const left = new Map(roofed.map((p) => [p.id, p.room_cm2 === null ? Infinity : p.room_cm2 - used.get(p.id)!]));
	const better = new Map<string, Lodger['better']>();
	for (const { t, here, chance } of [...outside, ...inside].sort((a, b) => a.chance - b.chance)) {
		const ways = roofed
			.filter((p) => p.id !== here?.id && t.suits(p))
			.map((p) => ({ p, chance: t.chanceAt(at(p)) }))
			.filter((x) => x.chance > chance + WORTH)
			.sort((a, b) => b.chance - a.chance);
		const free = ways.find((x) => left.get(x.p.id)! >= t.areaCm2);
		const best = free ?? ways[0];
		if (!best) continue;
		if (free) left.set(best.p.id, left.get(best.p.id)! - t.areaCm2);
		better.set(t.id, { placeId: best.p.id, place: best.p.name, chance: best.chance, fits: free !== undefined });
	}
	const lodger = ({ t, chance }: (typeof shown)[number]): Lodger => ({
		id: t.id,
		what: t.what,
		code: t.code,
		name: t.name,
		count: t.count,
		chance,
		bearsC: t.kind.hardiness_c.v,
		areaCm2: t.areaCm2,
		better: better.get(t.id) ?? null
	});
	const byChance = (a: Lodger, b: Lodger) => a.chance - b.chance || a.name.localeCompare(b.name, 'en');
	const out = outside.map(lodger).sort(byChance);
	const shelters = roofed.map((p): ShelterShown => {
		const s = m.shelter(p.id)!;
		const { days, coldNights, odd } = s.fitted;
		const lodgers = inside
			.filter((x) => x.here!.id === p.id)
			.map(lodger)
			.sort(byChance);
		return {
			...{ id: p.id, name: p.name, what: bodyOf(p)! },
			coldest: [coldestIn(s.inside, 1), coldestIn(s.inside, 5), coldestIn(s.inside, 20)],
			ahead: aheadOf(s.ahead(), lodgers),
			freezes: oddsOfSpell(s.inside, 0, FREEZING_HOURS),
			learnt: { days, coldNights, odd },
			saidLowC: lowSaid(p),
			roomCm2: p.room_cm2,
			usedCm2: used.get(p.id)!,
			lodgers
		};
	});
	const kinds = kindsKept(m, [...new Set([...outside, ...inside])], better, open, at);
	const everyone = [...out, ...shelters.flatMap((s) => s.lodgers)];
	/** Brought where it is best off, if it fits there. */
	const then = (l: Lodger) => (l.better?.fits ? l.better.chance : l.chance);
	return {
		shelters,
		outside: out,
		kinds,
		all: everyone.length,
		likely: everyone.filter((l) => then(l) >= LIKELY).length,
		coldestC: garden.climate.coldestC
	};
}

/** Kinds of which one at least is less sure than this to be alive in spring are told. */
const SURE = 0.98;

function kindsKept(
	m: Model,
	shown: readonly { t: Thing; here: PlaceRow | undefined }[],
	better: ReadonlyMap<string, Lodger['better']>,
	open: readonly PlaceRow[],
	at: (p: PlaceRow | undefined) => Pick<WinterAt, 'place' | 'coldestC' | 'inside'>
): KindKept[] {
	const byName = new Map<string, typeof shown>();
	for (const s of shown) byName.set(s.t.name, [...(byName.get(s.t.name) ?? []), s]);
	const copiesAt = (t: Thing, p: PlaceRow | undefined): Copies => {
		const cold = { kind: t.kind, ...at(p), place: p?.kind ?? (t.what === 'batch' ? 'bench' : 'bed') };
		const each = bearsEach(cold);
		const rest = t.chanceAt(at(p)) / Math.max(1e-9, bearsCold(cold));
		// Whole plants at one place are taken to live or die together, pieces as alike as the garden's record has them.
		return { count: t.count, byWinter: each.map((c) => Math.min(1, c * rest)), alike: t.what === 'stock' ? 1 : m.record.rho };
	};
	const winters = open.reduce((n, p) => Math.max(n, m.shelter(p.id)?.inside.coldest.length ?? 0), 1);
	return [...byName]
		.map(([name, all]): KindKept => {
			const placeOf = (t: Thing, here: PlaceRow | undefined) => {
				const b = better.get(t.id);
				return b?.fits ? open.find((p) => p.id === b.placeId) : here;
			};
			return {
				name,
				copies: all.map(({ t, here }) => ({ count: t.count, place: here?.name ?? null })),
				stays: oneAlive(
					all.map(({ t, here }) => copiesAt(t, here)),
					winters
				),
				moved: oneAlive(
					all.map(({ t, here }) => copiesAt(t, placeOf(t, here))),
					winters
				)
			};
		})
		.filter((k) => k.stays < SURE)
		.sort((a, b) => a.moved - b.moved || a.stays - b.stays);
}

function aheadOf(ahead: NightsAhead | null, lodgers: readonly Lodger[]): ShelterShown['ahead'] {
	if (!ahead) return null;
	const tender = lodgers.reduce<Lodger | null>((a, l) => (a && a.bearsC >= l.bearsC ? a : l), null);
	return {
		nights: ahead.nights.length,
		coldestC: quantileOf(ahead.coldest, 0.5),
		tenderest: tender && { name: tender.name, bearsC: tender.bearsC, chance: fallsTo(ahead, tender.bearsC) }
	};
}

interface Thing {
	id: string;
	what: 'stock' | 'batch';
	kind: Kind;
	code: string | null;
	name: string;
	count: number;
	placeId: string | null;
	areaCm2: number;
	chanceAt(at: Pick<WinterAt, 'place' | 'coldestC' | 'inside'>): number;
	/** May it be kept there at all? */
	suits(p: PlaceRow): boolean;
}

/** A hardy plant that nobody keeps there lives there too, if it bears the cold. Own judgement. */
const UNHEARD_OF = 0.9;

function stockThing(m: Model, s: StockRow): Thing[] {
	const kind = m.kinds.get(s.kind_id);
	if (!kind) return [];
	const shelters = kind.winter.shelters;
	return [
		{
			...{ id: s.id, what: 'stock' as const, kind, code: null, count: s.count, placeId: s.place_id },
			name: [withVariety(kind), s.label].filter(Boolean).join(', '),
			areaCm2: potArea(s),
			chanceAt: (at) => livesAt({ kind, ...at }) ?? UNHEARD_OF * bearsCold({ kind, ...at, place: at.place ?? 'bed' }),
			suits: (p) => shelters.some((x) => x.in === p.kind)
		}
	];
}

function batchThing(m: Model, b: Batch, areaCm2: number): Thing[] {
	const kind = m.kinds.get(b.kindId);
	const way = wayIn(kind, b.wayId);
	if (!kind || !way) return [];
	const stage = way.stages.find((s) => s.to === 'wintered');
	const best = kind.winter.shelters.reduce((c, s) => Math.max(c, s.chance), 0) || UNHEARD_OF;
	const form = m.formOf(b.stockId);
	const usual = stage ? meanOf(stageOdds(stage, m.record.of(kind.id, way.id, [], form))) : best;
	const leafy = b.unrooted > 0;
	return [
		{
			...{ id: b.id, what: 'batch' as const, kind, code: b.code, count: inHand(b), placeId: b.placeId, areaCm2 },
			name: [withVariety(kind), form].filter(Boolean).join(', '),
			chanceAt: (at) => chanceAt(usual, { kind, ...at, place: at.place ?? 'bench' }),
			// Leafy cuttings cannot rest in the dark, whatever their parents do.
			suits: (p) => kind.winter.shelters.some((x) => x.in === p.kind) && !(leafy && p.kind === 'garage')
		}
	];
}
