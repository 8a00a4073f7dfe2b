import type { BatchView } from '../bench.js';
import { batchViews, standingOfAll } from '../bench.js';
import { ROWS, rowsAsked } from '../rows.js';
import { snapshotOf } from '../snapshot.js';
import type { PlaceRow } from '../store/state.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { viewedDay } from '../context.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import * as state from '../store/state.js';
import type { Ask } from './ask.js';

/** Ended batches shown below the living ones: the newest; the rest are found by code or in the ledger. */
const ENDED_SHOWN = 20;
/** Of each place so many are drawn at first: there are several places, each with its own list. */
const ROWS_A_PLACE = 20;

/** Of a batch only what the list shows: with hundreds of them the rest would weigh. */
const shown = ({ rooting, next, holds, ...b }: BatchView) => ({
	id: b.id,
	code: b.code,
	version: b.version,
	status: b.status,
	kindName: b.kindName,
	form: b.form,
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
	inPots: b.inPots,
	plantedOn: b.plantedOn && { usual: b.plantedOn.usual },
	holds: { name: holds.name, count: holds.count, areaCm2: holds.areaCm2, open: holds.open },
	rooting: rooting && { word: rooting.word },
	trouble: b.trouble && { word: b.trouble.word },
	next: next && { kind: next.kind, from: next.from, by: next.by }
});
export type ShownBatch = ReturnType<typeof shown>;

interface Shelf {
	id: string;
	name: string;
	roomCm2: number | null;
	/** Of its room in use, cm², by all that stand there. */
	usedCm2: number;
	/** Batches that stand there. */
	inAll: number;
}

/** What stands where, so many at each place at most. */
function onShelves(
	order: readonly Batch[],
	places: readonly PlaceRow[],
	rows: number,
	roomOf: (b: Batch) => number
): { cut: Batch[]; shelves: Shelf[] } {
	const standing = order.filter((b) => b.status === 'growing' && inHand(b) > 0);
	const open = places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name, roomCm2: p.room_cm2 }));
	const cut: Batch[] = [];
	const shelves = [...open, { id: '', name: 'No place given', roomCm2: null }].flatMap((p): Shelf[] => {
		const here = standing.filter((b) => (b.placeId ?? '') === p.id);
		if (here.length === 0) return [];
		cut.push(...here.slice(0, rows));
		return [{ ...p, usedCm2: here.reduce((cm2, b) => cm2 + roomOf(b), 0), inAll: here.length }];
	});
	return { cut, shelves };
}

export async function benchView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { day, isToday } = viewedDay(garden, query.get('day'));

	const [{ living, places }, ended] = await Promise.all([
		snapshotOf(garden.id),
		state.endedBatches(database(), garden.id, ENDED_SHOWN)
	]);
	const byPlace = query.get('by') === 'place' && isToday;
	const rows = rowsAsked(query.get('rows'), byPlace ? ROWS_A_PLACE : ROWS);
	const all = await standingOfAll(garden, day, living);
	const asks = (b: Batch) => all.get(b.id)?.next?.from ?? Infinity;
	const order = [...living].sort((a, b) => asks(a) - asks(b));
	const { cut, shelves } = byPlace
		? onShelves(order, places, rows, (b) => all.get(b.id)?.roomCm2 ?? 0)
		: { cut: order.slice(0, rows), shelves: [] };
	// What will come of them is only shown on days ahead.
	const views = await batchViews(garden, day, [...cut, ...ended], { forecast: !isToday });
	return {
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
		shelves,
		byPlace,
		living: views.slice(0, cut.length).map(shown),
		inAll: living.length,
		due: living.filter((b) => asks(b) <= day + 6).length,
		hidden: living.length - cut.length,
		rows,
		ended: views.slice(cut.length).map(shown),
		day
	};
}
