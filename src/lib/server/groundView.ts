/** The ground of a garden: its beds to scale, and what fills one. */
import { error } from '@sveltejs/kit';
import type { Garden } from './context.js';
import { bookKindsOf, kindsOf } from './context.js';
import { forecastOf, known, modelOf } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import type { PlaceRow, StockRow } from './store/state.js';
import { withLabel, withVariety } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import {
	areaOf,
	closeAfter,
	hedgeCount,
	inOrder,
	liftOf,
	outlineOf,
	setOut,
	share,
	spreadAfter,
	spreadNow,
	suitsLight,
	touchAfter
} from '$lib/core/ground/index.js';
import type { Offer, Point, Setting, ShapeData } from '$lib/core/ground/index.js';
import { meanCount } from '$lib/core/odds/strike.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { sayTemperature, shortMeasure } from '$lib/core/units/index.js';

export interface BedShown {
	id: string;
	name: string;
	kind: string;
	version: number;
	/** Null until it is measured. */
	ground: { outline: Point[]; holes: Point[][]; areaM2: number; offM: number | null; said: ShapeData } | null;
	stands: Standing[];
}

/** Stock that is told to stand in a bed. */
export interface Standing {
	id: string;
	version: number;
	name: string;
	count: number;
	/** Each across, today, m. */
	acrossM: number;
	/** Where each is; empty where that is not told. */
	at: Point[];
	/** To move one of them; null where that is not told. */
	lift: { acrossCm: number; kg: number; people: number } | null;
}

/** Corners go to the page to the millimetre. */
const mm = (points: readonly Point[]): Point[] =>
	points.map(([x, y]) => [Math.round(x * 1000) / 1000, Math.round(y * 1000) / 1000]);

function groundOf(place: PlaceRow): BedShown['ground'] {
	const measured = place.shape && outlineOf(place.shape);
	if (!measured?.ok) return null;
	const { outline, holes, offM } = measured.value;
	return {
		outline: mm(outline),
		holes: holes.map(mm),
		areaM2: areaOf(measured.value),
		offM: offM && Math.max(...offM),
		said: place.shape!
	};
}

export async function bedsShown(garden: Garden): Promise<BedShown[]> {
	const [s, kinds] = await Promise.all([snapshotOf(garden.id), kindsOf(garden)]);
	return bedsIn(s, kinds);
}

export const bedsIn = ({ places, stocks }: Snapshot, kinds: ReadonlyMap<string, Kind>): BedShown[] =>
	places
		.filter((p) => !p.closed && IN_THE_GROUND.has(p.kind))
		.map((p) => ({
			...{ id: p.id, name: p.name, kind: p.kind, version: p.version },
			ground: groundOf(p),
			stands: stocks
				.filter((s) => s.place_id === p.id && !s.gone_on)
				.map((s): Standing => {
					const kind = kinds.get(s.kind_id)!;
					return {
						...{ id: s.id, version: s.version, count: s.count },
						name: withLabel(kind, s.label),
						acrossM: Math.round(spreadNow(kind, s)) / 100,
						at: (s.stands_at ?? []).slice(0, s.count),
						lift: liftOf(kind, s)
					};
				})
		}));

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
	/** Of a hedge measured by its sides: along its length, in one row and in two. */
	hedge: { one: number; two: number } | null;
	/** Where the asked spacing or margin is none. */
	wrong: string | null;
}

const SUMMERS = 10;
/** The closer and the wider choice, by the asked one. */
const CLOSER = 0.8;
const WIDER = 1.25;
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
		money: filled.value.count * kind.price.v,
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

/** As a want for a hedge counts it, without spares. */
function hedgeOf(lengthM: number, spacingCm: number): FilledBed['hedge'] {
	const [one, two] = ([1, 2] as const).map((rows) => hedgeCount({ lengthM, spacingCm, rows, spares: 0 }));
	return one!.ok && two!.ok ? { one: one!.value, two: two!.value } : null;
}

export interface FillQuery {
	kind: string;
	spacing: string;
	margin: string;
	pattern: string;
	turn: string;
}

export async function bedFilled(garden: Garden, placeId: string, q: FillQuery) {
	const [beds, { places, stocks, wants }, kinds] = await Promise.all([
		bedsShown(garden),
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
	const typed = q.spacing.trim() === '' ? kind.size.spacing_cm : (shortMeasure(garden.units).read(q.spacing) ?? Number.NaN);
	const margin = q.margin.trim() === '' ? 0 : (shortMeasure(garden.units).read(q.margin) ?? Number.NaN);
	const [spacingCm, spacingWrong] =
		typed >= LEAST_CM && typed <= MOST_CM ? [typed, null] : [kind.size.spacing_cm, 'Plants in a bed stand 3 cm to 10 m apart.'];
	const [marginCm, marginWrong] = margin >= 0 && margin <= MOST_CM ? [margin, null] : [0, 'From the edge: 0 to 10 m.'];
	const pattern: Setting = q.pattern === 'square' || q.pattern === 'drift' ? q.pattern : 'triangular';
	const turn = q.turn === 'on';
	const around: Around = { pattern, marginCm, stands: bed.stands };
	const asked = fillingOf(kind, shape, spacingCm, around, turn);
	const near = [round5(spacingCm * CLOSER), spacingCm, round5(spacingCm * WIDER)].map((cm) =>
		cm === spacingCm ? asked : fillingOf(kind, shape, Math.max(LEAST_CM, cm), around, false)
	);
	const filled: FilledBed | null = asked.ok
		? {
				kind: { id: kind.id, name: withVariety(kind) },
				...{ pattern, turn, marginCm },
				asked: asked.value.filling,
				choices: near.flatMap((n) => (n.ok ? [n.value.filling] : [])),
				points: mm(asked.value.fill.points),
				exact: asked.value.fill.exact,
				likely: await likelyOf(garden, kind.id, placeId),
				spreads: Array.from({ length: SUMMERS + 1 }, (_, n) => Math.round(spreadAfter(kind, n))),
				hedge: bed.kind === 'hedge' && shape.how.by === 'sides' ? hedgeOf(shape.how.length_m, spacingCm) : null,
				wrong: spacingWrong ?? marginWrong
			}
		: null;
	return { bed, kinds: choices, filled, trouble: asked.ok ? null : asked.problem.sentence };
}

export interface Offered extends Offer {
	name: string;
	/** Of the light there, in words. */
	light: string;
	takes: number;
}

/** Where so many of a kind go: every measured bed with what it takes, and what is left over. */
/** @param not a bed that they leave */
export async function whereTo(garden: Garden, kindId: string, count: number, not: string | null = null) {
	const [beds, { places }, kinds] = await Promise.all([bedsShown(garden), snapshotOf(garden.id), bookKindsOf(garden)]);
	const kind = kinds.get(kindId);
	if (!kind) return null;
	const offers = beds.flatMap((bed): Omit<Offered, 'takes'>[] => {
		const place = places.find((p) => p.id === bed.id)!;
		if (!bed.ground || !place.shape || bed.id === not) return [];
		const around: Around = { pattern: 'triangular', marginCm: 0, stands: bed.stands };
		const filled = fillingOf(kind, place.shape, kind.size.spacing_cm, around, false);
		const { liking, say } = suitsLight(kind, place.light);
		return [{ id: bed.id, name: bed.name, liking, light: say, fits: filled.ok ? filled.value.filling.count : 0 }];
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
