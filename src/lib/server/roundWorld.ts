/** All that the round looks at, fetched once. */
import type { Garden } from './context.js';
import { database } from './db.js';
import { vesselsOf } from './mixing.js';
import type { VesselChoice } from './mixing.js';
import { known, modelOf, rootingViewOf } from './model.js';
import type { Model } from './model.js';
import type { RootingView } from './rooting.js';
import type { Season } from './season.js';
import * as care from './store/care.js';
import * as state from './store/state.js';
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
	season: Season;
	kinds: Map<string, Kind>;
	places: state.PlaceRow[];
	batches: Batch[];
	stocks: state.StockRow[];
	wants: state.WantRow[];
	marks: Marks;
	vessels: VesselChoice[];
}

export async function roundWorld(garden: Garden): Promise<RoundWorld> {
	const db = database();
	const [model, batches, stocks, wants, cares, vessels] = await Promise.all([
		modelOf(garden),
		state.batches(db, garden.id, ['planned', 'growing']),
		state.stocks(db, garden.id),
		state.wants(db, garden.id),
		care.cares(db, garden.id),
		vesselsOf(garden)
	]);
	const marks = new Map<string, Mark>();
	const day = (iso: string | undefined) => (iso === undefined ? null : dayNumber(iso));
	const later = (a: DayNumber | null, b: DayNumber | null) => (a === null ? b : b === null ? a : Math.max(a, b));
	for (const row of cares)
		for (const [target, m] of Object.entries(row.marks)) {
			const key = `${row.care} ${target}`;
			const before = marks.get(key);
			// A batch that was moved has marks at both its places: the later ones hold.
			marks.set(key, {
				done: later(before?.done ?? null, day(m.done)),
				skipped: later(before?.skipped ?? null, day(m.skipped)),
				until: later(before?.until ?? null, day(m.until))
			});
		}
	return {
		garden,
		model,
		season: model.season,
		kinds: model.kinds,
		places: model.places,
		batches,
		stocks,
		wants,
		vessels,
		marks: (work, target) => marks.get(`${work} ${target}`)
	};
}

/** What is known of a batch's roots: looks, warmth, odds. */
export function rootingIn(w: RoundWorld, b: Batch): RootingView | null {
	if (b.status !== 'growing' || b.unrooted === 0) return null;
	const k = known(w.model, b);
	return k ? rootingViewOf(w.model, k, false) : null;
}
