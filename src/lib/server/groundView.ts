/** What fills a bed of the garden. */
import { error } from '@sveltejs/kit';
import type { Garden } from './context.js';
import { bookKindsOf } from './context.js';
import { bedsShown } from './groundBeds.js';
import type { Standing } from './groundBeds.js';
import { mm } from './groundOn.js';
import { forecastOf, known, modelOf } from './model.js';
import { movedBefore } from './moved.js';
import { snapshotOf } from './snapshot.js';
import type { StockRow } from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import {
	closeAfter,
	countsOf,
	hedgeCount,
	livesTwoYears,
	mixed,
	movedAs,
	outlineOf,
	plantsAlong,
	plantsInGap,
	setOut,
	sparesFor,
	spreadAfter,
	touchAfter
} from '$lib/core/ground/index.js';
import type { Point, Setting, ShapeData } from '$lib/core/ground/index.js';
import { meanCount } from '$lib/core/odds/strike.js';
import { longMeasure, shortMeasure } from '$lib/core/units/index.js';

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

/** Where the most of a kind stand, staggered, beside what stands there; nowhere where the bed takes none. */
export function fillBeside(kind: Kind, shape: ShapeData, spacingCm: number, stands: readonly Standing[]): readonly Point[] {
	const filled = fillingOf(kind, shape, spacingCm, { pattern: 'triangular', marginCm: 0, stands }, false);
	return filled.ok ? filled.value.fill.points : [];
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
