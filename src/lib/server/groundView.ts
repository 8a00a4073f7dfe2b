/** The ground of a garden: its beds to scale, and what fills one. */
import { error } from '@sveltejs/kit';
import type { Garden } from './context.js';
import { bookKindsOf } from './context.js';
import { bedsOn, mm } from './groundOn.js';
import type { Coming } from './groundOn.js';
import { forecastOf, known, modelOf } from './model.js';
import type { Model } from './model.js';
import { movedBefore } from './moved.js';
import { keptMoves } from './movesView.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import type { StockRow } from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import {
	closeAfter,
	countsOf,
	hedgeCount,
	inOrder,
	livesTwoYears,
	mixed,
	movedAs,
	outlineOf,
	plantsAlong,
	plantsInGap,
	setOut,
	share,
	sparesFor,
	spreadAfter,
	suitsLight,
	touchAfter
} from '$lib/core/ground/index.js';
import type { Offer, Point, Setting, ShapeData } from '$lib/core/ground/index.js';
import { meanCount } from '$lib/core/odds/strike.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { longMeasure, sayTemperature, shortMeasure } from '$lib/core/units/index.js';

export interface BedShown {
	id: string;
	name: string;
	kind: string;
	version: number;
	/** Null until it is measured. */
	ground: { outline: Point[]; holes: Point[][]; areaM2: number; offM: number | null; said: ShapeData } | null;
	stands: Standing[];
}

/** What stands in a bed: stock, and what was planted there from batches. */
export interface Standing {
	id: string;
	what: 'stock' | 'batch';
	version: number;
	name: string;
	/** Its page, below the garden's. */
	link: string;
	count: number;
	/** Each across, on the day, m. */
	acrossM: number;
	/** Where each is; empty where that is not told. */
	at: Point[];
	/** Nobody has said where it is: it is drawn where it fits. */
	assumed: boolean;
	/** Not there yet: of a batch on its way. */
	coming: boolean;
	/** To move one of them; null where that is not told. */
	lift: { acrossCm: number; kg: number; people: number } | null;
}

/** Batches on their way to a bed that is named by their want, each with the day on which most are usually planted. */
export function comingTo(m: Model, s: Snapshot): Coming[] {
	const placeOf = new Map(s.wants.filter((w) => w.place_id !== null && !w.dropped_on).map((w) => [w.id, w.place_id!]));
	return s.living.flatMap((b): Coming[] => {
		const placeId = placeOf.get(b.wantId ?? '');
		const k = placeId ? known(m, b) : null;
		const f = k ? forecastOf(m, k) : null;
		return placeId && f?.planted
			? [{ batch: b, placeId, count: Math.round(meanCount(f.pmf)), on: Math.max(f.planted.usual, m.today + 1) }]
			: [];
	});
}

const ground = new WeakMap<Snapshot, Map<string, BedShown[]>>();

/** The garden's beds as they stand on a day: today if none is given. */
export async function bedsShown(garden: Garden, on: DayNumber | null = null): Promise<BedShown[]> {
	const [s, m] = await Promise.all([snapshotOf(garden.id), modelOf(garden)]);
	return bedsIn(m, s, on ?? m.today);
}

export function bedsIn(m: Model, s: Snapshot, day: DayNumber): BedShown[] {
	const key = `${m.state} ${m.today} ${day}`;
	const kept = ground.get(s) ?? new Map<string, BedShown[]>();
	ground.set(s, kept);
	let found = kept.get(key);
	if (!found) {
		const ahead = day > m.today;
		found = bedsOn(s, {
			...{ day, today: m.today, kinds: m.kinds },
			killedOn: (kind, planted) =>
				kind.hardiness_c.v > m.garden.climate.coldestC
					? (m.season.usual.standstills(planted, planted + 500).find((r) => r.from > planted)?.from ?? null)
					: null,
			moves: ahead ? keptMoves(m, s) : null,
			coming: ahead ? comingTo(m, s) : []
		});
		if (kept.size >= MOST_DAYS_KEPT) kept.clear();
		kept.set(key, found);
	}
	return found;
}
const MOST_DAYS_KEPT = 12;

export interface Filling {
	spacingCm: number;
	count: number;
	money: number;
	touch: number | null;
	closed: number | null;
}

export interface FilledBed {
	kind: { id: string; name: string };
	pattern: Setting;
	turn: boolean;
	marginCm: number;
	/** The one that was asked for. */
	asked: Filling;
	/** Closer, as asked, wider. */
	choices: Filling[];
	points: Point[];
	exact: boolean;
	/** Of the living batches of the kind, as many as will probably stand in the ground. */
	likely: number;
	/** Across, cm, by summers after it was set out. */
	spreads: number[];
	/** Of a hedge: along its line, in one row and in two, and how many fill the gaps that were told. */
	hedge: { one: number; two: number; gaps: number | null } | null;
	/** Of the same age kept by, that fill all gaps of two years 9 times in 10. */
	spares: number;
	/** Another kind among it: which points are its, and how many of each. */
	mix: { kind: { id: string; name: string }; counts: [number, number]; isOther: boolean[]; spreads: number[] } | null;
	/** Drifts against stones, not rows, from a slope on. */
	steep: boolean;
	/** Where the asked spacing or margin is none. */
	wrong: string | null;
}

const SUMMERS = 10;
/** The closer and the wider choice, by the asked one. */
const CLOSER = 0.8;
const WIDER = 1.25;
const spreadsOf = (kind: Kind): number[] => Array.from({ length: SUMMERS + 1 }, (_, n) => Math.round(spreadAfter(kind, n)));

const HALF = 50;
/** Each has the room of its own spacing, by its share: the mean of their areas. */
const mixedSpacing = (a: Kind, b: Kind, sharePct: number): number =>
	Math.round(Math.sqrt(a.size.spacing_cm ** 2 * (1 - sharePct / 100) + (b.size.spacing_cm ** 2 * sharePct) / 100));

function mixOf(other: Kind, points: readonly Point[], sharePct: number): FilledBed['mix'] {
	const { of } = mixed(points, [100 - sharePct, sharePct]);
	const others = of.filter((k) => k === 1).length;
	return {
		kind: { id: other.id, name: withVariety(other) },
		counts: [of.length - others, others],
		isOther: of.map((k) => k === 1),
		spreads: spreadsOf(other)
	};
}

/** How often the spares shall do. */
const SURE = 0.9;
/** 1 in 3. Common practice, no source. */
const STEEP_DEG = 18;
/** cm */
const [LEAST_CM, MOST_CM] = [3, 1_000];

const round5 = (cm: number): number => (cm < 20 ? Math.round(cm) : Math.round(cm / 5) * 5);

function fillingOf(kind: Kind, shape: ShapeData, spacingCm: number, q: Around, turn: boolean) {
	const measured = outlineOf(shape);
	if (!measured.ok) return measured;
	const spacing = spacingCm / 100;
	const filled = setOut({
		...{ ...measured.value, spacing, margin: q.marginCm / 100, pattern: q.pattern, turn },
		// Each has its half of what is between them: where it stands and as wide as it is, and half a spacing of the new.
		keepOff: q.stands.flatMap((s) => s.at.map(([x, y]) => ({ x, y, r: (s.acrossM + spacing) / 2 })))
	});
	if (!filled.ok) return filled;
	const filling: Filling = {
		spacingCm,
		count: filled.value.count,
		money: q.priceOf ? q.priceOf(filled.value.count) : filled.value.count * kind.price.v,
		touch: touchAfter(kind, spacingCm),
		closed: closeAfter(kind, spacingCm, q.pattern)
	};
	return { ok: true as const, value: { filling, fill: filled.value } };
}

/** What is asked of every filling of a bed alike. */
interface Around {
	pattern: Setting;
	marginCm: number;
	stands: readonly Standing[];
	/** Of so many, where they are of more than one kind. */
	priceOf?: (count: number) => number;
}

/** Plants of a kind that its living batches will probably bring to this ground: what is wanted elsewhere goes there. */
async function likelyOf(garden: Garden, kindId: string, placeId: string): Promise<number> {
	const [m, { living, wants }] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const elsewhere = new Set(wants.filter((w) => w.place_id !== null && w.place_id !== placeId).map((w) => w.id));
	const mine = living.filter((b) => b.kindId === kindId && !elsewhere.has(b.wantId ?? ''));
	return Math.round(
		mine.reduce((sum, b) => {
			const k = known(m, b);
			return sum + (k ? meanCount(forecastOf(m, k).pmf) : 0);
		}, 0)
	);
}

/** Kinds to choose from, those first that are there. */
function kindChoices(kinds: ReadonlyMap<string, Kind>, stocks: readonly StockRow[]) {
	const have = new Set(stocks.filter((s) => !s.gone_on).map((s) => s.kind_id));
	return [...kinds.values()]
		.map((k) => ({ id: k.id, name: withVariety(k), have: have.has(k.id) }))
		.sort((a, b) => Number(b.have) - Number(a.have) || a.name.localeCompare(b.name));
}

export async function kindsToSet(garden: Garden) {
	const [{ stocks }, kinds] = await Promise.all([snapshotOf(garden.id), bookKindsOf(garden)]);
	return kindChoices(kinds, stocks);
}

/** Gaps as they were typed, a length each; none where none is told, or one is no length. */
const gapsIn = (typed: string, read: (t: string) => number | null): number[] =>
	typed
		.trim()
		.split(/[\s;]+/)
		.flatMap((t) => read(t) ?? [])
		.filter((m) => m > 0 && m <= 2_000);

/** As a want for a hedge counts it, without spares; round corners each leg by itself. */
function hedgeOf(how: ShapeData['how'], spacingCm: number, gaps: readonly number[]): FilledBed['hedge'] {
	const spacing = spacingCm / 100;
	const fill = gaps.length === 0 ? null : gaps.reduce((sum, g) => sum + plantsInGap(g, spacing), 0);
	if (how.by === 'line') return { one: plantsAlong(how.line, spacing, 1), two: plantsAlong(how.line, spacing, 2), gaps: fill };
	if (how.by !== 'sides') return null;
	const straight = straightHedge(how.length_m, spacingCm);
	return straight && { ...straight, gaps: fill };
}
function straightHedge(lengthM: number, spacingCm: number): { one: number; two: number } | null {
	const [one, two] = ([1, 2] as const).map((rows) => hedgeCount({ lengthM, spacingCm, rows, spares: 0 }));
	return one!.ok && two!.ok ? { one: one!.value, two: two!.value } : null;
}

export interface FillQuery {
	kind: string;
	spacing: string;
	margin: string;
	pattern: string;
	turn: string;
	gaps: string;
	/** Another kind to mix in, and its share, %. */
	beside: string;
	share: string;
}

export async function bedFilled(garden: Garden, placeId: string, q: FillQuery, on: DayNumber | null = null) {
	const [beds, { places, stocks, wants }, kinds] = await Promise.all([
		bedsShown(garden, on),
		snapshotOf(garden.id),
		bookKindsOf(garden)
	]);
	const bed = beds.find((b) => b.id === placeId);
	if (!bed) error(404, { message: 'There is no such bed in this garden.', code: 'place.unknown' });
	const choices = kindChoices(kinds, stocks);
	// What is wanted there, else what stands there, is what it is asked for.
	const first =
		wants.find((w) => w.place_id === placeId)?.kind_id ?? stocks.find((s) => s.place_id === placeId && !s.gone_on)?.kind_id;
	const kind = kinds.get(q.kind || (first ?? ''));
	const shape = places.find((p) => p.id === placeId)!.shape;
	if (!kind || !shape || !bed.ground) return { bed, kinds: choices, filled: null };
	const other = kinds.get(q.beside);
	const share = Math.min(90, Math.max(10, Math.round(Number(q.share)) || HALF));
	const usual = other && other.id !== kind.id ? mixedSpacing(kind, other, share) : kind.size.spacing_cm;
	const typed = q.spacing.trim() === '' ? usual : (shortMeasure(garden.units).read(q.spacing) ?? Number.NaN);
	const margin = q.margin.trim() === '' ? 0 : (shortMeasure(garden.units).read(q.margin) ?? Number.NaN);
	const [spacingCm, spacingWrong] =
		typed >= LEAST_CM && typed <= MOST_CM ? [typed, null] : [usual, 'Plants in a bed stand 3 cm to 10 m apart.'];
	const [marginCm, marginWrong] = margin >= 0 && margin <= MOST_CM ? [margin, null] : [0, 'From the edge: 0 to 10 m.'];
	const pattern: Setting = q.pattern === 'square' || q.pattern === 'drift' ? q.pattern : 'triangular';
	const turn = q.turn === 'on';
	const around: Around = { pattern, marginCm, stands: bed.stands };
	if (other && other.id !== kind.id)
		around.priceOf = (count) => {
			const [mine, others] = countsOf(count, [100 - share, share]);
			return mine! * kind.price.v + others! * other.price.v;
		};
	const asked = fillingOf(kind, shape, spacingCm, around, turn);
	const near = [round5(spacingCm * CLOSER), spacingCm, round5(spacingCm * WIDER)].map((cm) =>
		cm === spacingCm ? asked : fillingOf(kind, shape, Math.max(LEAST_CM, cm), around, false)
	);
	const [s, m] = await Promise.all([snapshotOf(garden.id), modelOf(garden)]);
	const lives = livesTwoYears(kind, movedBefore(m, s, movedAs(kind)));
	const filled: FilledBed | null = asked.ok
		? {
				kind: { id: kind.id, name: withVariety(kind) },
				...{ pattern, turn, marginCm },
				asked: asked.value.filling,
				choices: near.flatMap((n) => (n.ok ? [n.value.filling] : [])),
				points: mm(asked.value.fill.points),
				exact: asked.value.fill.exact,
				// What is on its way stands there already on a day ahead.
				likely: on !== null && on > dayNumber(garden.today) ? 0 : await likelyOf(garden, kind.id, placeId),
				spreads: spreadsOf(kind),
				hedge: bed.kind === 'hedge' ? hedgeOf(shape.how, spacingCm, gapsIn(q.gaps, longMeasure(garden.units).read)) : null,
				spares: asked.value.filling.count > 0 ? sparesFor(asked.value.filling.count, lives, SURE) : 0,
				mix: other && other.id !== kind.id ? mixOf(other, asked.value.fill.points, share) : null,
				steep: (shape.slope?.deg ?? 0) >= STEEP_DEG,
				wrong: spacingWrong ?? marginWrong
			}
		: null;
	return { bed, kinds: choices, filled, trouble: asked.ok ? null : asked.problem.sentence };
}

interface FitsAsked {
	bedId: string;
	kind: Kind;
	spacingCm: number;
	day: DayNumber;
	/** Where at least so many fit, about how many is told. */
	enough: number;
}

/** How many of a kind, so far apart, fit in a bed beside what stands there on a day; null where that is not measured. */
export function fitsIn(m: Model, s: Snapshot, { bedId, kind, spacingCm, day, enough }: FitsAsked): number | null {
	const bed = bedsIn(m, s, day).find((b) => b.id === bedId);
	const shape = s.places.find((p) => p.id === bedId)?.shape;
	if (!bed?.ground || !shape) return null;
	const apart = spacingCm / 100;
	// Each keeps a disk as wide as itself and half a spacing off; of what is left squares of the spacing, for the edges.
	const taken = bed.stands.reduce((sum, x) => sum + (x.at.length * Math.PI * (x.acrossM + apart) ** 2) / 4, 0);
	const about = Math.floor((bed.ground.areaM2 - taken) / apart ** 2);
	if (about >= enough) return about;
	const filled = fillingOf(kind, shape, spacingCm, { pattern: 'triangular', marginCm: 0, stands: bed.stands }, false);
	return filled.ok ? filled.value.filling.count : 0;
}

/** How many of those that fit stand in light that suits the kind: where it differs along the bed, in its best part. */
function inLight(kind: Kind, placeLight: string, shape: ShapeData, points: readonly Point[]) {
	const at = (x: number) => shape.light.find((p) => x >= p.from_m && x <= p.to_m)?.light ?? placeLight;
	const parts = new Map<string, number>();
	for (const [x] of points) parts.set(at(x), (parts.get(at(x)) ?? 0) + 1);
	if (parts.size === 0) parts.set(placeLight, 0);
	const suits = [...parts].map(([light, fits]) => ({ light, fits, ...suitsLight(kind, light) }));
	const best = suits.reduce((a, b) => (b.liking < a.liking || (b.liking === a.liking && b.fits > a.fits) ? b : a));
	const fits = suits.filter((p) => p.liking < 3 || best.liking === 3).reduce((n, p) => n + p.fits, 0);
	return { liking: best.liking, light: suits.length > 1 ? `${best.say}, in part of it` : best.say, fits };
}

export interface Offered extends Offer {
	name: string;
	/** Of the light there, in words. */
	light: string;
	takes: number;
}

/**
 * Where so many of a kind go: every measured bed with what it takes, and what is left over.
 *
 * @param not a bed that they leave
 */
export async function whereTo(
	garden: Garden,
	kindId: string,
	count: number,
	{ not = null, on = null }: { not?: string | null; on?: DayNumber | null } = {}
) {
	const [beds, { places }, kinds] = await Promise.all([bedsShown(garden, on), snapshotOf(garden.id), bookKindsOf(garden)]);
	const kind = kinds.get(kindId);
	if (!kind) return null;
	const offers = beds.flatMap((bed): Omit<Offered, 'takes'>[] => {
		const place = places.find((p) => p.id === bed.id)!;
		if (!bed.ground || !place.shape || bed.id === not) return [];
		const around: Around = { pattern: 'triangular', marginCm: 0, stands: bed.stands };
		const filled = fillingOf(kind, place.shape, kind.size.spacing_cm, around, false);
		const { fits, ...suits } = inLight(kind, place.light, place.shape, filled.ok ? filled.value.fill.points : []);
		return [{ id: bed.id, name: bed.name, ...suits, fits }];
	});
	const { shares, left } = share(offers, count);
	const takes = new Map(shares.map((s) => [s.id, s.takes]));
	return {
		kind: { id: kind.id, name: withVariety(kind) },
		count,
		left,
		spacingCm: kind.size.spacing_cm,
		beds: inOrder(offers).map((o): Offered => ({ ...o, takes: takes.get(o.id) ?? 0 })),
		cautions: [
			sayHardiness(kind, garden.climate.coldestC, (c) => sayTemperature(c, garden.units)),
			...kind.hazards.map((h) => h.say)
		].filter((c) => c !== null)
	};
}
