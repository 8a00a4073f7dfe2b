/** All that the round looks at, fetched once. */
import type { Garden } from './context.js';
import { vesselsOf } from './mixing.js';
import type { VesselChoice } from './mixing.js';
import { modelOf, stateOf } from './model.js';
import type { Model } from './model.js';
import type { Season } from './season.js';
import { snapshotOf } from './snapshot.js';
import { solver } from './solver.js';
import type { CareRow } from './store/care.js';
import type * as state from './store/state.js';
import { winterIn } from './winterPlan.js';
import type { Winter } from './winterPlan.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import type { Mark, Marks } from '$lib/core/round/marks.js';

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
	marks: Marks;
	vessels: VesselChoice[];
	/** Where each plant spends the winter: worked out when it is first asked for. */
	winter(): Winter;
}

export async function roundWorld(garden: Garden): Promise<RoundWorld> {
	const [model, snapshot, vessels, solve] = await Promise.all([
		modelOf(garden),
		snapshotOf(garden.id),
		vesselsOf(garden),
		solver()
	]);
	let winter: Winter | null = null;
	const { living: batches, stocks, wants, cares } = snapshot;
	const marks = marksOf(cares);
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
		vessels,
		winter: () => (winter ??= winterIn(model, snapshot, solve)),
		marks: (work, target) => marks.get(`${work} ${target}`)
	};
}

/** By work and plant. A batch that was moved has marks at both its places: the later ones hold. */
function marksOf(cares: readonly CareRow[]): ReadonlyMap<string, Mark> {
	let found = known.get(cares);
	if (found) return found;
	const marks = new Map<string, Mark>();
	const day = (iso: string | undefined) => (iso === undefined ? null : dayNumber(iso));
	const later = (a: DayNumber | null, b: DayNumber | null) => (a === null ? b : b === null ? a : Math.max(a, b));
	for (const row of cares)
		for (const [target, m] of Object.entries(row.marks)) {
			const key = `${row.care} ${target}`;
			const before = marks.get(key);
			marks.set(key, {
				done: later(before?.done ?? null, day(m.done)),
				skipped: later(before?.skipped ?? null, day(m.skipped)),
				until: later(before?.until ?? null, day(m.until))
			});
		}
	known.set(cares, (found = marks));
	return found;
}
const known = new WeakMap<readonly CareRow[], ReadonlyMap<string, Mark>>();
