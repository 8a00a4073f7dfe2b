/** Wants with their odds. */
import type { Garden } from './context.js';
import { database } from './db.js';
import { Kept } from './kept.js';
import { hadOf, modelOf, shortOf } from './model.js';
import { frostOnStock } from './stood.js';
import type { Model } from './model.js';
import { snapshotOf } from './snapshot.js';
import * as state from './store/state.js';
import { wantParts } from './wantParts.js';
import { shootOf } from '$lib/core/plan/tall.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind, StageName } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { quantilesOf } from '$lib/core/odds/strike.js';
import { certain } from '$lib/core/odds/chain.js';
import { standing as standingWord } from '$lib/core/odds/words.js';
import { wouldDo } from '$lib/core/joint/otherwise.js';
import { keepThrough } from '$lib/core/plan/keep.js';
import { fewestToBuy } from '$lib/core/round/buying.js';
import { hangsOn, wantOdds } from '$lib/core/plan/wantOdds.js';
import type { ColdFelt } from '$lib/core/season/cold.js';
import { wintersIn } from '$lib/core/season/season.js';
import { boughtFor, kindNamed, kindsOfWant, wantedName } from '$lib/core/ledger/wish.js';
import type { InsideWinters } from '$lib/core/shelter/index.js';

export interface WantView {
	id: string;
	version: number;
	kindId: string;
	/** Others that it may be met with. */
	orKinds: readonly string[];
	/** All that would do, by name. */
	kindName: string;
	purpose: state.WantRow['purpose'];
	label: string;
	placeId: string | null;
	target: number;
	due: string;
	confidence: number;
	dropped: string | null;
	/** Chance, with what is planned and with what grows already only. */
	odds: number;
	oddsGrowing: number;
	/** Fewer or later that would do too, each with its odds, where the want itself is not in hand. */
	wouldDo: { target: number; due: string; odds: number }[];
	enough: number | null;
	lateWeeks: number;
	/** They are to stand at least so tall on their day, cm; null: as the handbook has them ready. */
	leastCm: number | null;
	/** Height is a measure of all that would do. */
	growsTall: boolean;
	weighs: state.WantRow['weighs'];
	/** So many may be bought, are still to be, and were. */
	mayBuy: number;
	buying: number;
	bought: number;
	/** Of those to be bought so many would do. */
	wouldBuy: number;
	standing: ReturnType<typeof standingWord> | 'met' | 'missed' | 'no plan' | 'waits';
	/** The stock that is grown first for it, while nothing is planned from that. */
	waits: { id: string; target: number; due: string } | null;
	quantiles: { p05: number; p50: number; p95: number };
	pmf: number[];
	planted: number;
	growing: number;
	planned: number;
	ready: { quick: string; usual: string; slow: string } | null;
	hinge: { code: string; batchId: string; stage: StageName; swing: number } | null;
	batches: {
		id: string;
		code: string;
		kindName: string;
		status: Batch['status'];
		wayId: string;
		inHand: number;
		struck: number;
		planned: number;
		on: string;
		inTime: number;
		/** Of it by the day of the want. */
		byThen: { p05: number; p50: number; p95: number };
	}[];
}

/** `brief` leaves out what the odds hang on and what they are without plans: the odds are the same. */
export async function wantViews(garden: Garden, only?: string, { brief = false } = {}): Promise<WantView[]> {
	const db = database();
	const { wants, stocks } = await snapshotOf(garden.id);
	const rows = wants.filter((w) => (only ? w.id === only : true));
	const [m, batches] = await Promise.all([
		modelOf(garden),
		state.batchesOfWants(
			db,
			garden.id,
			rows.map((w) => w.id)
		)
	]);
	const { kinds, today: now } = m;
	const ofWant = new Map<string, Batch[]>(rows.map((w) => [w.id, []]));
	for (const b of batches) ofWant.get(b.wantId ?? '')?.push(b);

	return rows.map((w): WantView => {
		const mine = ofWant.get(w.id)!;
		// An entry about something else leaves its odds as they are.
		return views.of(shortOf([m.garden.id, m.state, brief, w, leansOn(m, w, mine, stocks), waitsFor(wants, w, now)]), () =>
			viewed(w, mine)
		);
	});

	function viewed(w: state.WantRow, mine: readonly Batch[]): WantView {
		const due = dayNumber(w.due);
		const parents = othersOf(m, w, stocks);
		const { parts, each: found } = wantParts(m, mine, due);
		const all = wantOdds(w.target, parents, parts);
		const stock = mine.length === 0 && due >= now ? waitsFor(wants, w, now) : null;
		const growing =
			brief || (w.buying === 0 && found.every(({ batch }) => batch.status !== 'planned'))
				? all
				: wantOdds(
						w.target,
						othersOf(m, w, stocks, false),
						wantParts(
							m,
							mine.filter((b) => b.status !== 'planned'),
							due
						).parts
					);
		const planted = standingOf(w, mine);
		const hinge =
			!brief && found.length > 0 && planted < w.target
				? hangsOn(
						w.target,
						parents,
						found.map(({ part, forecast }) => ({ prepared: part.prepared, ahead: forecast.ahead }))
					)
				: null;
		const days = found.flatMap(({ forecast: f }) => (f.planted ? [f.planted] : []));
		const latest = (pick: (d: { quick: number; usual: number; slow: number }) => number) => isoOf(Math.max(...days.map(pick)));
		const others = wouldDo({ target: w.target, due, enough: w.enough, lateWeeks: w.late_weeks })
			.filter((o) => o.due >= now)
			.map((o) => ({
				...{ target: o.target, due: isoOf(o.due) },
				odds: wantOdds(o.target, parents, o.due === due ? parts : wantParts(m, mine, o.due).parts).probability
			}));
		return {
			id: w.id,
			version: w.version,
			kindId: w.kind_id,
			orKinds: w.or_kinds,
			kindName: wantedName(kinds, w),
			purpose: w.purpose,
			label: w.label,
			placeId: w.place_id,
			target: w.target,
			due: w.due,
			confidence: w.confidence,
			dropped: w.dropped_on,
			odds: all.probability,
			oddsGrowing: growing.probability,
			standing:
				planted >= w.target
					? 'met'
					: due < now
						? 'missed'
						: stock
							? 'waits'
							: mine.length === 0 && parents.length === 0
								? 'no plan'
								: standingWord(all.probability, w.confidence),
			waits: stock && { id: stock.id, target: stock.target, due: stock.due },
			wouldDo: planted >= w.target || standingWord(all.probability, w.confidence) === 'in hand' ? [] : others,
			...{ enough: w.enough, lateWeeks: w.late_weeks, weighs: w.weighs },
			...{ mayBuy: w.may_buy, buying: w.buying, bought: w.bought, leastCm: w.least_cm },
			growsTall: w.purpose !== 'keep' && kindsOfWant(w).every((id) => growsTall(kinds.get(id))),
			wouldBuy: fewestToBuy(all.pmf, w),
			quantiles: { p05: all.quantiles.p05, p50: all.quantiles.p50, p95: all.quantiles.p95 },
			pmf: [...all.pmf],
			planted,
			growing: mine.reduce((n, b) => n + inHand(b), 0),
			planned: mine.reduce((n, b) => n + (b.status === 'planned' ? b.plannedCount : 0), 0),
			ready: days.length ? { quick: latest((d) => d.quick), usual: latest((d) => d.usual), slow: latest((d) => d.slow) } : null,
			hinge:
				hinge && hinge.swing > 0.02
					? {
							code: found[hinge.batch]!.batch.code,
							batchId: found[hinge.batch]!.batch.id,
							stage: hinge.stage,
							swing: hinge.swing
						}
					: null,
			batches: found.map(({ batch: b, forecast: f }) => ({
				id: b.id,
				code: b.code,
				kindName: kindNamed(kinds, b.kindId),
				status: b.status,
				wayId: b.wayId,
				inHand: inHand(b),
				struck: b.struck,
				planned: b.plannedCount,
				on: b.struckOn ?? b.plannedOn!,
				inTime: f.inTime,
				byThen: spreadOf(f.pmf)
			}))
		};
	}
}

const growsTall = (kind: Kind | undefined): boolean => kind !== undefined && shootOf(kind) !== null;

const spreadOf = (pmf: Float64Array) => {
	const { p05, p50, p95 } = quantilesOf(pmf);
	return { p05, p50, p95 };
};

/** Of a want stand already: planted and alive, given away where that is what it is for, or bought. */
export const standingOf = (w: state.WantRow, batches: readonly Batch[]): number =>
	batches.reduce((n, b) => n + hadOf(b, w.purpose === 'gifts'), w.bought);

const views = new Kept<WantView>(32, (v) => 3_000 + v.pmf.length * 8 + v.batches.length * 300, true);

/** What the odds of a want hang on besides the season: its batches, what others of their ways have taught, its parents. */
const leansOn = (m: Model, w: state.WantRow, mine: readonly Batch[], stocks: readonly state.StockRow[]) => [
	mine.map((b) => [b.id, b.version]),
	[...new Map(mine.map((b) => [`${b.kindId} ${b.wayId} ${m.formOf(b.stockId)}`, b]))].map(([of, b]) => [
		of,
		m.record.of(b.kindId, b.wayId, [], m.formOf(b.stockId))
	]),
	kindsOfWant(w).map((id) => m.kinds.get(id)),
	w.purpose === 'keep' ? stocks.filter((s) => s.kind_id === w.kind_id) : null
];

/** The want that grows the stock of another, while that is still to come; null where it waits for none. */
export function waitsFor(wants: readonly state.WantRow[], w: state.WantRow, today: DayNumber): state.WantRow | null {
	const stock = w.waits_for === null ? undefined : wants.find((x) => x.id === w.waits_for);
	return stock && !stock.dropped_on && dayNumber(stock.due) >= today ? stock : null;
}

/** Counts that come of no batch: parents kept alive where that is the aim, and plants that are bought. @param planned those still to be bought as well */
export function othersOf(m: Model, w: state.WantRow, stocks: readonly state.StockRow[], planned = true): Float64Array[] {
	const kind = m.kinds.get(w.kind_id);
	const bought = planned ? boughtFor(w) : w.bought;
	return [
		// The parent under shelter counts as well when the aim is to keep one alive.
		...(w.purpose === 'keep' && kind ? [keepOf(m, kind, stocks, dayNumber(w.due)).pmf] : []),
		...(bought > 0 ? [certain(bought)] : [])
	];
}

/** What comes of the parents of a kind by a day, where they stand or are best brought. */
export function keepOf(m: Model, kind: Kind, stocks: readonly state.StockRow[], due: DayNumber) {
	const parents = stocks.filter((s) => s.kind_id === kind.id && !s.gone_on);
	const open = m.places.filter((p) => !p.closed);
	return keepThrough({
		kind,
		available: new Set(open.map((p) => p.kind)),
		standsIn: open.find((p) => p.id === parents[0]?.place_id)?.kind ?? null,
		parents: Math.min(
			50,
			parents.reduce((n, s) => n + s.count, 0)
		),
		coldestC: m.garden.climate.coldestC,
		inside: (kindOfPlace) => mildestOf(m, open, kindOfPlace, parents[0]?.place_id ?? null),
		// One night hits all of them alike: the worst hit is the careful measure.
		alive: parents.reduce((a, s) => Math.min(a, frostOnStock(m, s)?.alive ?? 1), 1),
		winters: wintersIn(m.season.usual, m.today, due)
	});
}

/** Winters inside the place of a kind where they stand; where they don't yet, in the mildest of them. */
function mildestOf(m: Model, open: readonly state.PlaceRow[], kind: string, standsAt: string | null): readonly ColdFelt[] | null {
	const mine = open.filter((p) => p.kind === kind);
	const there = mine.find((p) => p.id === standsAt);
	const winters = (there ? [there] : mine).flatMap((p) => m.shelter(p.id)?.inside ?? []);
	const mean = ({ coldest }: InsideWinters) => coldest.reduce((a, b) => a + b, 0) / coldest.length;
	return winters.reduce<InsideWinters | null>((a, b) => (a && mean(a) >= mean(b) ? a : b), null)?.felt ?? null;
}
