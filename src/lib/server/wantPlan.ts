/** The plan of one want, as if it had the garden to itself, from one of its stock plants. */
import { asWanted, endOf } from './asWanted.js';
import { carriesFor } from './carried.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { Kept } from './kept.js';
import { modelOf, stateOf } from './model.js';
import type { Model } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import * as state from './store/state.js';
import { stockPlantOf, takingsFrom } from './takings.js';
import { wantParts } from './wantParts.js';
import { keepOf, othersOf } from './wants.js';
import { dayNumber, yearOf } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/names.js';
import { protectionOf } from '$lib/core/ledger/index.js';
import { anyOf, kindsOfWant, priceOf } from '$lib/core/ledger/wish.js';
import { isBarred, mayMultiply } from '$lib/core/material/protection.js';
import { canGive } from '$lib/core/material/capacity.js';
import type { keepThrough } from '$lib/core/plan/keep.js';
import { aloneOf, plan } from '$lib/core/plan/options.js';
import type { Plan } from '$lib/core/plan/options.js';

export interface StockChoice {
	id: string;
	kindId: string;
	label: string;
	may: ReturnType<typeof mayMultiply>;
	refused: boolean;
	givesNow: { wayId: string; pieces: number }[];
}

export interface WantPlan {
	choices: StockChoice[];
	stockId: string | null;
	/** The kind that the plan is of. */
	kindId: string;
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
	const [m, snapshot] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const want = snapshot.wants.find((w) => w.id === wantId);
	if (!want) return null;
	const made = await plans.waited(`${stateOf(m, snapshot)} ${wantId} ${stockId}`, async () => ({
		plan: await planned(m, snapshot, want, stockId)
	}));
	return made.plan;
}

/** No want has this id: it has no batches yet, and is written nowhere. */
const UNWRITTEN = '00000000-0000-0000-0000-000000000000';

/** The plan of a want that is still being typed, from the first of its stocks that may be multiplied. */
export async function wouldTake(
	garden: Garden,
	draft: Pick<state.WantRow, 'kind_id' | 'or_kinds' | 'purpose' | 'target' | 'due' | 'confidence' | 'least_cm'>
): Promise<WantPlan | null> {
	const [m, snapshot] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const want: state.WantRow = {
		...{ id: UNWRITTEN, version: 0, label: '', place_id: null, shape: null, since: garden.today },
		...{ dropped_on: null, dropped_why: '', enough: null, late_weeks: 0, weighs: 'alike' as const, waits_for: null },
		...{ may_buy: 0, buying: 0, bought: 0, least_cm: null },
		...draft
	};
	const made = await plans.waited(`${stateOf(m, snapshot)} ${JSON.stringify(draft)}`, async () => ({
		plan: await planned(m, snapshot, want, null)
	}));
	return made.plan;
}

const plans = new Kept<{ plan: WantPlan | null }>(32, () => 60_000, true);

async function planned(m: Model, snapshot: Snapshot, want: state.WantRow, stockId: string | null): Promise<WantPlan | null> {
	const { garden } = m;
	const db = database();
	const kinds = kindsOfWant(want).flatMap((id) => m.kinds.get(id) ?? []);
	const first = m.kinds.get(want.kind_id);
	if (!first) return null;
	const several = kinds.length > 1;
	const stocks = snapshot.stocks.filter((s) => kinds.some((k) => k.id === s.kind_id) && !s.gone_on);
	const [taken, ofWant] = await Promise.all([
		state.batchesFrom(
			db,
			garden.id,
			stocks.map((s) => s.id)
		),
		state.batchesOfWants(db, garden.id, [want.id])
	]);
	const places = m.places.filter((p) => !p.closed);
	const choices = stocks.map((s): StockChoice => {
		const kind = m.kinds.get(s.kind_id)!;
		const name = s.label || places.find((p) => p.id === s.place_id)?.name;
		const may = mayMultiply(protectionOf(s), yearOf(m.today));
		const takings = takingsFrom(s, kind, taken);
		return {
			...{ id: s.id, kindId: kind.id },
			label: several ? [withVariety(kind), name].filter(Boolean).join(', ') : name || kind.common,
			may,
			refused: isBarred(protectionOf(s), yearOf(m.today)),
			givesNow: kind.ways.map((w) => ({
				wayId: w.id,
				pieces: canGive(stockPlantOf(s, kind), w.gives, takings, m.today)
			}))
		};
	});
	const due = dayNumber(want.due);
	const target = want.target;
	const keep = want.purpose === 'keep' ? keepOf(m, first, stocks, due) : null;
	const growing = wantParts(m, ofWant, due).parts;
	const others = othersOf(m, want, snapshot.stocks);
	const result: WantPlan = {
		choices,
		stockId: null,
		kindId: first.id,
		plan: null,
		why: null,
		keep,
		buying: target * priceOf(m.kinds, want),
		beside: ofWant.length > 0 || others.length > 0,
		target
	};
	const chosen = stockId
		? choices.filter((c) => c.id === stockId)
		: kinds.flatMap((k) => {
				const ofKind = choices.filter((c) => c.kindId === k.id);
				return ofKind.sort((a, b) => Number(a.refused) - Number(b.refused) || sum(b) - sum(a))[0] ?? [];
			});
	const free = chosen.filter((c) => !c.refused);
	const refused = chosen[0];
	if (aloneOf({ target, growing, others }).probability >= want.confidence)
		result.why = 'As things stand it is in hand: nothing more needs striking.';
	else if (!refused)
		result.why = `There is no stock of ${anyOf(kinds.map((k) => k.common))} in this garden: add it first, then plan.`;
	else if (free.length === 0) {
		result.stockId = refused.id;
		result.why = refused.may.sentence;
	} else {
		const made: { stock: state.StockRow; plan: Plan }[] = [];
		for (const c of free) {
			const stock = stocks.find((s) => s.id === c.id)!;
			made.push({ stock, plan: await planFrom(stock) });
		}
		const best = made.reduce((a, b) => (better(b.plan, a.plan) ? b : a));
		result.stockId = best.stock.id;
		result.kindId = best.stock.kind_id;
		result.plan = best.plan;
	}
	return result;

	async function planFrom(stock: state.StockRow): Promise<Plan> {
		const of = m.kinds.get(stock.kind_id)!;
		const kind = asWanted(of, endOf(garden, want, m.kinds));
		return plan({
			kind,
			book: m.book,
			stock: stockPlantOf(stock, kind),
			takings: takingsFrom(stock, kind, taken),
			record: Object.fromEntries(kind.ways.map((w) => [w.id, m.record.of(kind.id, w.id, [], stock.label)])),
			rho: m.record.rho,
			target,
			growing,
			others,
			due,
			confidence: want.confidence,
			today: m.today,
			season: m.season.usualFor(kind),
			years: m.season.years(kind),
			carries: await carriesFor(m, snapshot, kind),
			oneAge: want.purpose === 'hedge'
		});
	}
}

/** Of plans of different kinds: the one that does it with less work and money, else the one that comes nearest to it. */
function better(a: Plan, b: Plan): boolean {
	const [x, y] = [a, b].map((p) => p.ways.find((w) => w.best)?.best);
	if (!x || !y) return x !== undefined || (y === undefined && nearest(a) > nearest(b));
	const sumOf = ({ effort }: typeof x) => (effort.minutes / 60) * a.hourWorth + effort.cost;
	return sumOf(x) < sumOf(y);
}
const nearest = (p: Plan): number => p.ways.reduce((most, w) => Math.max(most, w.fallback?.probability ?? 0), 0);

const sum = (c: StockChoice) => c.givesNow.reduce((n, g) => n + g.pieces, 0);
