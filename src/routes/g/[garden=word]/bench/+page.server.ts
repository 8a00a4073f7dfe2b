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
const shown = ({ rooting, next, holds, ...b }: BatchView) => ({
	id: b.id,
	code: b.code,
	status: b.status,
	kindName: b.kindName,
	wayName: b.wayName,
	placeId: b.placeId,
	placeName: b.placeName,
	plannedOn: b.plannedOn,
	struckOn: b.struckOn,
	struck: b.struck,
	unrooted: b.unrooted,
	rooted: b.rooted,
	potted: b.potted,
	planted: b.planted,
	given: b.given,
	kept: b.kept,
	lost: b.lost,
	lostPlanted: b.lostPlanted,
	plannedCount: b.plannedCount,
	splitOff: b.splitOff,
	inHand: b.inHand,
	expected: b.expected,
	plantedOn: b.plantedOn && { usual: b.plantedOn.usual },
	holds: { name: holds.name, count: holds.count, areaCm2: holds.areaCm2 },
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
