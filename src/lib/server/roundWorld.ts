/** All that the round looks at, fetched once. */
import type { Garden } from './context.js';
import { vesselsOf } from './mixing.js';
import type { VesselChoice } from './mixing.js';
import { marksOf } from './marksOf.js';
import { modelOf, stateOf } from './model.js';
import type { Model } from './model.js';
import type { Season } from './season.js';
import { keptMoves } from './movesView.js';
import type { MovesOrdered } from './movesView.js';
import { snapshotOf } from './snapshot.js';
import { solver } from './solver.js';
import type * as state from './store/state.js';
import { wantViews } from './wants.js';
import { winterIn } from './winterPlan.js';
import type { Winter } from './winterPlan.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import type { Marks } from '$lib/core/round/marks.js';

export const SHELTERED = new Set(['sill', 'lit_shelf', 'frame', 'garage']);
export const WEEK = 6;
/** Farther ahead than this the round only tells what is coming. */
export const HORIZON = 60;

export interface RoundWorld {
	garden: Garden;
	model: Model;
	/** Names all of this. */
	state: string;
	season: Season;
	kinds: Map<string, Kind>;
	places: readonly state.PlaceRow[];
	batches: readonly Batch[];
	stocks: readonly state.StockRow[];
	wants: readonly state.WantRow[];
	/** By want: of those that are to be bought so many would do. */
	wouldBuy: ReadonlyMap<string, number>;
	marks: Marks;
	vessels: VesselChoice[];
	/** Where each plant spends the winter: worked out when it is first asked for. */
	winter(): Winter;
	/** Moves that are kept and still to be made, in their order. */
	moves(): MovesOrdered | null;
}

export async function roundWorld(garden: Garden): Promise<RoundWorld> {
	const [model, snapshot, vessels, solve] = await Promise.all([
		modelOf(garden),
		snapshotOf(garden.id),
		vesselsOf(garden),
		solver()
	]);
	let winter: Winter | null = null;
	let moves: MovesOrdered | null | undefined;
	const { living: batches, stocks, wants, cares } = snapshot;
	const marks = marksOf(cares);
	const buying = wants.filter((w) => w.buying > 0 && !w.dropped_on);
	const views = await Promise.all(buying.map((w) => wantViews(garden, w.id, { brief: true })));
	return {
		garden,
		model,
		state: stateOf(model, snapshot),
		season: model.season,
		kinds: model.kinds,
		places: model.places,
		batches,
		stocks,
		wants,
		wouldBuy: new Map(views.flat().map((v) => [v.id, v.wouldBuy])),
		vessels,
		winter: () => (winter ??= winterIn(model, snapshot, solve)),
		moves: () => (moves === undefined ? (moves = keptMoves(model, snapshot)) : moves),
		marks: (work, target) => marks.get(`${work} ${target}`)
	};
}
