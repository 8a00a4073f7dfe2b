/** Wants with their odds, and plans for them. */
import { kindsOf, recordOf, wayIn } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { handbook } from './handbook.js';
import { protectionOf } from './checks.js';
import * as state from './store/state.js';
import { dayNumber, isoOf, yearOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import type { Tallies } from '$lib/core/evidence/evidence.js';
import type { Kind, StageName } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { mayMultiply } from '$lib/core/material/protection.js';
import { canGive } from '$lib/core/material/capacity.js';
import type { StockPlant, Taking } from '$lib/core/material/capacity.js';
import { standing as standingWord } from '$lib/core/odds/words.js';
import type { Beta } from '$lib/core/odds/beta.js';
import { forecast } from '$lib/core/plan/forecast.js';
import type { Forecast, Standing } from '$lib/core/plan/forecast.js';
import { keepThrough } from '$lib/core/plan/keep.js';
import { plan } from '$lib/core/plan/options.js';
import type { Plan } from '$lib/core/plan/options.js';
import { hangsOn, wantOdds } from '$lib/core/plan/wantOdds.js';

/** Where the pieces stand, for the forecast. A planned batch stands unstruck on its day, or today if that has gone by. */
export function standingOf(b: Batch, today: DayNumber): Standing {
	if (b.status === 'planned') {
		const on = Math.max(today, dayNumber(b.plannedOn!));
		return {
			unrooted: b.plannedCount,
			rooted: 0,
			potted: 0,
			planted: 0,
			aliveOn: null,
			struckOn: on,
			since: on,
			lookedOn: null,
			seen: {}
		};
	}
	const struckOn = dayNumber(b.struckOn!);
	return {
		unrooted: b.unrooted,
		rooted: b.rooted,
		potted: b.potted,
		planted: b.planted - b.lostPlanted,
		aliveOn: b.lastOn === null ? null : dayNumber(b.lastOn),
		struckOn,
		since: dayNumber(b.since ?? b.struckOn!),
		lookedOn: b.lookedOn === null ? null : dayNumber(b.lookedOn),
		seen: b.seen
	};
}

export function oddsFor(kind: Kind, wayId: string, others: Tallies): Map<StageName, Beta> {
	const way = wayIn(kind, wayId);
	return new Map((way?.stages ?? []).map((s) => [s.to, stageOdds(s, others)]));
}

export function forecastBatch(
	b: Batch,
	kinds: ReadonlyMap<string, Kind>,
	record: Awaited<ReturnType<typeof recordOf>>,
	garden: Garden,
	due: DayNumber | null,
	replace?: { stage: StageName; odds: Beta },
	/** Days that the unrooted are later than the handbook's days, by warmth and looks. */
	late = 0
): Forecast | null {
	const kind = kinds.get(b.kindId);
	const way = wayIn(kind, b.wayId);
	if (!kind || !way) return null;
	const today = dayNumber(garden.today);
	const odds = oddsFor(kind, b.wayId, record.of(b.kindId, b.wayId, b.seen));
	const standing = standingOf(b, today);
	standing.struckOn += late;
	if (replace) {
		odds.set(replace.stage, replace.odds);
		// The stage is set, whatever was counted and however slow it was.
		standing.seen = { ...standing.seen, [replace.stage]: { passed: 0, failed: 0 } };
		if (replace.stage === 'rooted') standing.lookedOn = null;
	}
	return forecast(kind, way, standing, odds, today, due, garden.climate);
}

export interface WantView {
	id: string;
	kindId: string;
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
	standing: ReturnType<typeof standingWord> | 'met' | 'missed' | 'no plan';
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
		status: Batch['status'];
		wayId: string;
		inHand: number;
		struck: number;
		planned: number;
		on: string;
		inTime: number;
	}[];
}

export async function wantViews(garden: Garden, only?: string): Promise<WantView[]> {
	const db = database();
	const rows = (await state.wants(db, garden.id)).filter((w) => (only ? w.id === only : true));
	const kinds = await kindsOf(garden);
	const batches = await state.batchesOfWants(
		db,
		garden.id,
		rows.map((w) => w.id)
	);
	const record = await recordOf(garden.id);
	const now = dayNumber(garden.today);
	const [stocks, places] = await Promise.all([state.stocks(db, garden.id), state.places(db, garden.id)]);

	return rows.map((w): WantView => {
		const mine = batches.filter((b) => b.wantId === w.id);
		const due = dayNumber(w.due);
		const found = mine.flatMap((b) => {
			const f = forecastBatch(b, kinds, record, garden, due);
			return f ? [{ b, f }] : [];
		});
		const kind = kinds.get(w.kind_id);
		// The parent under shelter counts as well when the aim is to keep one alive.
		const parents = w.purpose === 'keep' && kind ? [{ pmfInTime: keepOf(kind, stocks, places).pmf }] : [];
		const all = wantOdds(w.target, 0, [...parents, ...found.map(({ f }) => f)]);
		const growing = wantOdds(w.target, 0, [...parents, ...found.filter(({ b }) => b.status !== 'planned').map(({ f }) => f)]);
		const planted = mine.reduce((n, b) => n + b.planted - b.lostPlanted, 0);
		const hinge =
			found.length > 0 && planted < w.target
				? hangsOn(
						w.target,
						found.map(({ f }) => f),
						(i, stage, odds) => forecastBatch(found[i]!.b, kinds, record, garden, due, { stage, odds })!
					)
				: null;
		const days = found.flatMap(({ f }) => (f.planted ? [f.planted] : []));
		const latest = (pick: (d: { quick: number; usual: number; slow: number }) => number) => isoOf(Math.max(...days.map(pick)));
		return {
			id: w.id,
			kindId: w.kind_id,
			kindName: kinds.get(w.kind_id)?.common ?? w.kind_id,
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
						: mine.length === 0 && parents.length === 0
							? 'no plan'
							: standingWord(all.probability, w.confidence),
			quantiles: { p05: all.quantiles.p05, p50: all.quantiles.p50, p95: all.quantiles.p95 },
			pmf: [...all.pmf],
			planted,
			growing: mine.reduce((n, b) => n + inHand(b), 0),
			planned: mine.reduce((n, b) => n + (b.status === 'planned' ? b.plannedCount : 0), 0),
			ready: days.length ? { quick: latest((d) => d.quick), usual: latest((d) => d.usual), slow: latest((d) => d.slow) } : null,
			hinge:
				hinge && hinge.swing > 0.02
					? {
							code: mine[hinge.batch]!.code,
							batchId: mine[hinge.batch]!.id,
							stage: hinge.stage,
							swing: hinge.swing
						}
					: null,
			batches: found.map(({ b, f }) => ({
				id: b.id,
				code: b.code,
				status: b.status,
				wayId: b.wayId,
				inHand: inHand(b),
				struck: b.struck,
				planned: b.plannedCount,
				on: b.struckOn ?? b.plannedOn!,
				inTime: f.inTime
			}))
		};
	});
}

/** What comes of the parents of a kind this winter, where they stand or are best brought. */
function keepOf(kind: Kind, stocks: readonly state.StockRow[], places: readonly state.PlaceRow[]) {
	const parents = stocks.filter((s) => s.kind_id === kind.id && !s.gone_on);
	const open = places.filter((p) => !p.closed);
	const standsIn = open.find((p) => p.id === parents[0]?.place_id)?.kind ?? null;
	return keepThrough(
		kind.winter.shelters,
		new Set(open.map((p) => p.kind)),
		standsIn,
		Math.min(
			50,
			parents.reduce((n, s) => n + s.count, 0)
		)
	);
}

export const stockPlantOf = (s: state.StockRow): StockPlant => ({
	count: s.count,
	sizeCm: s.size_cm,
	ageYears: s.age_years,
	condition: s.condition
});

/** What was and will be taken from a stock, whatever the way: it all comes off the same plant. */
export const takingsFrom = (stockId: string, batches: readonly Batch[]): Taking[] =>
	batches
		.filter((b) => b.stockId === stockId && b.status !== 'dropped' && b.fromBatch === null)
		.map((b) => ({
			on: dayNumber(b.struckOn ?? b.plannedOn!),
			pieces: b.struckOn ? b.struck : b.plannedCount
		}));

export interface StockChoice {
	id: string;
	label: string;
	may: ReturnType<typeof mayMultiply>;
	refused: boolean;
	givesNow: { wayId: string; pieces: number }[];
}

export interface WantPlan {
	choices: StockChoice[];
	stockId: string | null;
	plan: Plan | null;
	/** Why no plan was made. */
	why: string | null;
	keep: ReturnType<typeof keepThrough> | null;
	buying: number;
	target: number;
	/** Something grows or is planned for it already; the plan asks only for what is missing. */
	beside: boolean;
}

/** Plans a want from one of its stocks (the first that may be multiplied, if none is named). */
export async function planWant(garden: Garden, wantId: string, stockId: string | null): Promise<WantPlan | null> {
	const db = database();
	const want = (await state.wants(db, garden.id)).find((w) => w.id === wantId);
	if (!want) return null;
	const kind = (await kindsOf(garden)).get(want.kind_id);
	if (!kind) return null;
	const now = dayNumber(garden.today);
	const stocks = (await state.stocks(db, garden.id)).filter((s) => s.kind_id === kind.id && !s.gone_on);
	const taken = await state.batchesFrom(
		db,
		garden.id,
		stocks.map((s) => s.id)
	);
	const ofWant = await state.batchesOfWants(db, garden.id, [want.id]);
	const places = (await state.places(db, garden.id)).filter((p) => !p.closed);
	const choices = stocks.map((s): StockChoice => {
		const may = mayMultiply(protectionOf(s), yearOf(now));
		const takings = takingsFrom(s.id, taken);
		return {
			id: s.id,
			label: s.label || places.find((p) => p.id === s.place_id)?.name || kind.common,
			may,
			refused: s.protection === 'protected' && may.may !== 'yes',
			givesNow: kind.ways.map((w) => ({
				wayId: w.id,
				pieces: canGive(stockPlantOf(s), w.gives, takings, now)
			}))
		};
	});
	const kinds = new Map([[kind.id, kind]]);
	const record = await recordOf(garden.id);
	const due = dayNumber(want.due);
	const target = want.target;
	const keep = want.purpose === 'keep' ? keepOf(kind, stocks, places) : null;
	const existing = wantOdds(target, 0, [
		...(keep ? [{ pmfInTime: keep.pmf }] : []),
		...ofWant.flatMap((b) => forecastBatch(b, kinds, record, garden, due) ?? [])
	]);
	const result: WantPlan = {
		choices,
		stockId: null,
		plan: null,
		why: null,
		keep,
		buying: target * kind.price.v,
		beside: ofWant.length > 0 || keep !== null,
		target
	};
	const chosen = stockId
		? choices.find((c) => c.id === stockId)
		: [...choices].sort((a, b) => Number(a.refused) - Number(b.refused) || sum(b) - sum(a))[0];
	if (existing.probability >= want.confidence) result.why = 'As things stand it is in hand: nothing more needs striking.';
	else if (!chosen) result.why = `There is no stock of ${kind.common} in this garden: add it first, then plan.`;
	else if (chosen.refused) {
		result.stockId = chosen.id;
		result.why = chosen.may.sentence;
	} else {
		const stock = stocks.find((s) => s.id === chosen.id)!;
		const rooms = places.filter(
			(p) => p.room_cm2 !== null && ['bench', 'sill', 'lit_shelf', 'frame', 'garage', 'nursery_row'].includes(p.kind)
		);
		result.stockId = chosen.id;
		result.plan = plan({
			kind,
			containers: handbook().containers,
			stock: stockPlantOf(stock),
			takings: takingsFrom(stock.id, taken),
			record: Object.fromEntries(kind.ways.map((w) => [w.id, record.of(kind.id, w.id)])),
			target,
			existing: existing.pmf,
			due,
			confidence: want.confidence,
			today: now,
			climate: garden.climate,
			minutesPerWeek: garden.data.minutes_per_week,
			roomCm2: rooms.length ? rooms.reduce((cm2, p) => cm2 + p.room_cm2!, 0) : null
		});
	}
	return result;
}

const sum = (c: StockChoice) => c.givesNow.reduce((n, g) => n + g.pieces, 0);
