/** Where a batch comes from, batch by batch: a plant kept as stock gives the next. */
import { database } from './db.js';
import * as state from './store/state.js';
import type { Batch } from '$lib/core/ledger/index.js';

export interface Lineage {
	/** 1 for pieces of a plant that was not raised here. */
	generation: number;
	/** From the first on. */
	batches: { id: string; code: string; on: string | null }[];
	/** Living pieces of the same line in other places: copies for insurance. */
	copies: { id: string; code: string; place: string; pieces: number }[];
}

/** No line of cuttings is followed farther back than this. */
const MOST = 40;

export async function lineage(gardenId: string, b: Batch): Promise<Lineage> {
	const db = database();
	const [growing, stocks, places] = await Promise.all([
		state.growingOfKind(db, gardenId, b.kindId),
		state.stocks(db, gardenId),
		state.places(db, gardenId)
	]);
	const stockBy = new Map(stocks.map((s) => [s.id, s]));
	const byId = new Map<string, Batch | null>([...growing, b].map((x) => [x.id, x]));
	/** Only the batches of the line itself are fetched, however many the garden has had. */
	const parentOf = async (x: Batch): Promise<Batch | null> => {
		// Split off it is the same generation: the batch it was split from stands for it.
		const id = x.fromBatch ?? stockBy.get(x.stockId ?? '')?.from_batch ?? null;
		if (!id) return null;
		if (!byId.has(id)) byId.set(id, await state.batchById(db, gardenId, id));
		return byId.get(id) ?? null;
	};
	const lineOf = async (x: Batch): Promise<{ root: string; line: Batch[] }> => {
		const line = [x];
		for (let p = await parentOf(x); p && line.length < MOST && !line.includes(p); p = await parentOf(p)) line.unshift(p);
		const first = line[0]!;
		return { root: first.stockId ?? first.id, line };
	};
	const mine = await lineOf(b);
	const steps = mine.line.filter((x) => x.fromBatch === null);
	const copies: Lineage['copies'] = [];
	for (const x of growing) {
		const pieces = x.unrooted + x.rooted + x.potted;
		if (x.id === b.id || x.placeId === b.placeId || pieces === 0 || (await lineOf(x)).root !== mine.root) continue;
		copies.push({ id: x.id, code: x.code, place: places.find((p) => p.id === x.placeId)?.name ?? '', pieces });
	}
	return {
		generation: Math.max(1, steps.length),
		batches: steps.map((x) => ({ id: x.id, code: x.code, on: x.struckOn })),
		copies
	};
}
