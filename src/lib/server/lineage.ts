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
	const [all, stocks, places] = await Promise.all([
		state.batches(db, gardenId),
		state.stocks(db, gardenId),
		state.places(db, gardenId)
	]);
	const byId = new Map(all.map((x) => [x.id, x]));
	const parentOf = (x: Batch): Batch | null => {
		// Split off it is the same generation: the batch it was split from stands for it.
		const id = x.fromBatch ?? stocks.find((s) => s.id === x.stockId)?.from_batch ?? null;
		return id ? (byId.get(id) ?? null) : null;
	};
	const rootOf = (x: Batch): { root: string; line: Batch[] } => {
		const line = [x];
		for (let p = parentOf(x); p && line.length < MOST && !line.includes(p); p = parentOf(p)) line.unshift(p);
		const first = line[0]!;
		return { root: first.stockId ?? first.id, line };
	};
	const mine = rootOf(b);
	const steps = mine.line.filter((x) => x.fromBatch === null);
	const copies = all
		.filter(
			(x) =>
				x.id !== b.id &&
				x.kindId === b.kindId &&
				x.status === 'growing' &&
				x.placeId !== b.placeId &&
				x.unrooted + x.rooted + x.potted > 0
		)
		.filter((x) => rootOf(x).root === mine.root)
		.map((x) => ({
			id: x.id,
			code: x.code,
			place: places.find((p) => p.id === x.placeId)?.name ?? '',
			pieces: x.unrooted + x.rooted + x.potted
		}));
	return {
		generation: Math.max(1, steps.length),
		batches: steps.map((x) => ({ id: x.id, code: x.code, on: x.struckOn })),
		copies
	};
}
