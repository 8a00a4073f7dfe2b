/** What entries must agree with beyond themselves: places that are open, stock that may give, wants of the kind. */
import { dayNumber, sayDate, yearOf } from '../dates.js';
import { isBarred, mayMultiply } from '../material/protection.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import type { Facts } from './describe.js';
import { protectionOf } from './rows.js';
import { kindsOfWant } from './wish.js';

const GOOD = ok(true as const);
export type Agrees = Promise<Result<unknown>>;

/** The first that does not agree. */
export async function allOf(...checks: (() => Agrees)[]): Agrees {
	for (const check of checks) {
		const result = await check();
		if (!result.ok) return result;
	}
	return GOOD;
}

const noPlace = (path?: string) => refuse('place.unknown', 'There is no such place in this garden.', path);

export async function openPlace(facts: Facts, id: string | null): Agrees {
	if (id === null) return GOOD;
	const place = await facts.place(id);
	if (!place) return noPlace('place_id');
	return place.closed ? refuse('place.closed', `${place.name} is closed.`, 'place_id') : GOOD;
}

export const knownPlace = async (facts: Facts, id: string): Agrees => ((await facts.place(id)) ? GOOD : noPlace());

const noStock = (path?: string) => refuse('stock.unknown', 'There is no such stock in this garden.', path);
export const knownStock = async (facts: Facts, id: string): Agrees => ((await facts.stock(id)) ? GOOD : noStock());

export const knownKind = async (facts: Facts, id: string, path = 'kind_id'): Agrees =>
	(await facts.kind(id)) ? GOOD : refuse('kind.unknown', 'The handbook does not know that kind.', path);

export async function knownWay(facts: Facts, kindId: string, wayId: string): Agrees {
	const kind = await facts.kind(kindId);
	if (!kind) return knownKind(facts, kindId);
	return kind.ways.some((w) => w.id === wayId)
		? GOOD
		: refuse('way.unknown', `${kind.common} is not multiplied that way in the handbook.`, 'way_id');
}

/** Work of the round is done on plants that there are, at a place that there is. */
export const knownWork = (facts: Facts, work: { place_id: string | null; targets: readonly string[] }): Agrees =>
	allOf(
		async () => (work.place_id === null ? GOOD : knownPlace(facts, work.place_id)),
		async () =>
			(await facts.plants(work.targets)) < new Set(work.targets).size
				? refuse('care.unknown', 'One of the plants of that work is not of this garden: load the page again.')
				: GOOD
	);

interface Taken {
	kind_id: string;
	way_id: string;
	stock_id: string | null;
	want_id: string | null;
	place_id: string | null;
}

/** Pieces of a kind by one of its ways, from stock that may give them on the day, for a want that they would do for. */
export const takenRightly = (facts: Facts, d: Taken, on: string): Agrees =>
	allOf(
		() => knownWay(facts, d.kind_id, d.way_id),
		() => givingStock(facts, d.stock_id, d.kind_id, on),
		() => openWant(facts, d.want_id, d.kind_id),
		() => openPlace(facts, d.place_id)
	);

async function givingStock(facts: Facts, id: string | null, kindId: string, on: string): Agrees {
	if (id === null) return GOOD;
	const stock = await facts.stock(id);
	if (!stock) return noStock('stock_id');
	if (stock.kind_id !== kindId) return refuse('stock.other-kind', 'That stock is of another kind.', 'stock_id');
	if (stock.gone_on && stock.gone_on < on)
		return refuse('stock.gone', `That stock is gone since ${sayDate(stock.gone_on)}.`, 'stock_id');
	const protection = protectionOf(stock);
	const year = yearOf(dayNumber(on));
	return isBarred(protection, year) ? refuse('stock.protected', mayMultiply(protection, year).sentence, 'stock_id') : GOOD;
}

/** A want is for batches of the kinds that it names. */
export async function meantRightly(facts: Facts, batchId: string, wantId: string | null): Agrees {
	const batch = await facts.batch(batchId);
	return batch ? openWant(facts, wantId, batch.kindId) : refuse('batch.unknown', 'There is no such batch in this garden.');
}

async function openWant(facts: Facts, id: string | null, kindId: string): Agrees {
	if (id === null) return GOOD;
	const want = await facts.want(id);
	if (!want) return refuse('want.unknown', 'There is no such want in this garden.', 'want_id');
	return kindsOfWant(want).includes(kindId) ? GOOD : refuse('want.other-kind', 'That want is for another kind.', 'want_id');
}
