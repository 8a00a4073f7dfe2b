import type { PageServerLoad } from './$types';
import type { BatchView } from '$lib/server/bench.js';
import { batchViews } from '$lib/server/bench.js';
import { viewedDay } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import * as state from '$lib/server/store/state.js';

/** Ended batches shown below the living ones: the newest; the rest are found by code or in the ledger. */
const ENDED_SHOWN = 20;

/** Of a batch only what the list shows: with hundreds of them the rest would weigh. */
const shown = ({ looks: _l, tray: _t, seen: _s, treatment: _r, steps: _p, coming: _c, rooting, next, ...b }: BatchView) => ({
	...b,
	rooting: rooting && { word: rooting.word },
	next: next && { kind: next.kind, from: next.from, by: next.by }
});
export type ShownBatch = ReturnType<typeof shown>;

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day, isToday } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const db = database();
		const living = await state.batches(db, garden.id, ['planned', 'growing']);
		const ended = await state.endedBatches(db, garden.id, ENDED_SHOWN);
		// What will come of them is only shown on days ahead.
		const views = await batchViews(garden, day, living, { forecast: !isToday });
		views.sort((a, b) => (a.next?.from ?? Infinity) - (b.next?.from ?? Infinity));
		const kinds = new Map((await batchViews(garden, day, ended, { forecast: false })).map((v) => [v.id, v]));
		const places = (await state.places(db, garden.id)).filter((p) => !p.closed);
		return {
			places: places.map((p) => ({ id: p.id, name: p.name, roomCm2: p.room_cm2 })),
			byPlace: url.searchParams.get('by') === 'place',
			living: views.map(shown),
			ended: ended.map((b) => shown(kinds.get(b.id)!)),
			day
		};
	});
};
