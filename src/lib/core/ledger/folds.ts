/** What stands of each subject of the ledger: from its standing entries to its row, or to none. */
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import type { Kind } from '../handbook/schema.js';
import type { Vessel } from '../mix/vessel.js';
import type { Batch } from './batch.js';
import type { AnyEntry, EntryData, GardenData, Subject } from './entries.js';
import { foldBatch } from './foldBatch.js';
import type { Lodging, Moves, Place, Stock, Want } from './rows.js';

type Of<K extends AnyEntry['kind']> = Extract<AnyEntry, { kind: K }>;
const latest = <K extends AnyEntry['kind']>(entries: readonly AnyEntry[], kind: K): Of<K> | undefined =>
	entries.findLast((e): e is Of<K> => e.kind === kind);
const first = <K extends AnyEntry['kind']>(entries: readonly AnyEntry[], kind: K): Of<K> | undefined =>
	entries.find((e): e is Of<K> => e.kind === kind);
/** The latest of a kind after an entry: what was said only of a part, since the whole was said. */
const since = <K extends AnyEntry['kind']>(entries: readonly AnyEntry[], whole: AnyEntry, kind: K): Of<K> | undefined =>
	latest(entries.slice(entries.indexOf(whole)), kind);

/** What was last said of some work on one plant. Dates are ISO. */
export interface CareMark {
	done?: string;
	skipped?: string;
	/** The task that was skipped or put off: another one of the same work stands again. */
	until?: string;
}
export interface Care {
	id: string;
	care: string;
	place_id: string | null;
	marks: Record<string, CareMark>;
}

/** What each subject's row holds. */
export interface Rows {
	garden: GardenData;
	place: Place;
	stock: Stock;
	want: Want;
	figure: { id: string } & EntryData<'figure.set'>;
	batch: Batch;
	weather: { standing: true };
	care: Care;
	sighting: { id: string; seen_on: string } & EntryData<'sighting.made'>;
	timer: { id: string } & EntryData<'timer.started'>;
	shelf: { id: string } & EntryData<'shelf.set'>;
	vessel: { id: string; name: string; vessel: Vessel };
	kind: { id: string; like: string | null; kind: Kind };
	lodging: Lodging;
	moves: Moves;
}

function stock(id: string, entries: readonly AnyEntry[]): Stock | null {
	const set = latest(entries, 'stock.set');
	if (!set) return null;
	const { protection, from_batch, ...d } = set.data;
	const leave = latest(entries, 'stock.leave')?.data;
	const gone = latest(entries, 'stock.gone');
	// Where it was last said to stand: told with the rest, or carried there since.
	const place_id = since(entries, set, 'stock.moved')?.data.place_id ?? d.place_id;
	const placed = latest(entries, 'stock.placed')?.data;
	return {
		id,
		...d,
		place_id,
		stands_at: placed?.place_id === place_id && placed.at.length > 0 ? placed.at : null,
		protection: protection.status,
		protected_until: protection.until,
		leave_basis: leave?.basis ?? null,
		leave_reference: leave?.reference ?? null,
		from_batch,
		since: first(entries, 'stock.set')!.on,
		told_on: set.on,
		gone_on: gone?.on ?? null,
		gone_why: gone?.data.why ?? null,
		gone_cause: gone?.data.cause ?? null
	};
}

function want(id: string, entries: readonly AnyEntry[]): Want | null {
	const set = latest(entries, 'want.set');
	if (!set) return null;
	const dropped = latest(entries, 'want.dropped');
	let [buying, bought] = [0, 0];
	for (const e of entries) {
		if (e.kind === 'want.buying') buying = e.data.count;
		if (e.kind !== 'want.bought') continue;
		bought += e.data.count;
		buying = Math.max(0, buying - e.data.count);
	}
	return {
		id,
		...set.data,
		buying,
		bought,
		since: first(entries, 'want.set')!.on,
		dropped_on: dropped?.on ?? null,
		dropped_why: dropped?.data.why ?? null
	};
}

function place(id: string, entries: readonly AnyEntry[]): Place | null {
	const set = latest(entries, 'place.set');
	if (!set) return null;
	const walked = since(entries, set, 'place.walked');
	const guarded = latest(entries, 'place.guarded');
	return {
		id,
		...set.data,
		...walked?.data,
		guard_cover: guarded?.data.cover ?? null,
		heater_w: guarded?.data.heater?.watts ?? null,
		heater_c: guarded?.data.heater?.setC ?? null,
		guarded_on: guarded && (guarded.data.cover ?? guarded.data.heater) ? guarded.on : null,
		shape: latest(entries, 'place.shaped')?.data ?? null,
		closed: latest(entries, 'place.closed') !== undefined
	};
}

/** What was last said of a work at a place, plant by plant: done wipes out skipped and put off before it. */
export function withCare(id: string, before: Care | null, e: AnyEntry): Care | null {
	if (e.kind !== 'care.done' && e.kind !== 'care.skipped' && e.kind !== 'care.put-off') return before;
	const row = before ?? { id, care: e.data.care, place_id: e.data.place_id, marks: {} };
	for (const target of e.data.targets) {
		const mark = row.marks[target];
		if (e.kind === 'care.done') row.marks[target] = { done: e.on };
		else if (e.kind === 'care.skipped') row.marks[target] = { ...mark, skipped: e.on };
		else row.marks[target] = { ...mark, until: e.data.until };
	}
	return row;
}

/** Of one subject: from its standing entries, oldest first. */
export const FOLDS: { [S in Subject]: (id: string, entries: readonly AnyEntry[]) => Result<Rows[S] | null> } = {
	garden: (_, entries) => {
		const set = latest(entries, 'garden.set');
		return set ? ok(set.data) : refuse('garden.first', 'A garden needs its settings: the first ones cannot be undone.');
	},
	place: (id, entries) => ok(place(id, entries)),
	stock: (id, entries) => ok(stock(id, entries)),
	want: (id, entries) => ok(want(id, entries)),
	figure: (id, entries) => {
		const last = entries.at(-1);
		return ok(last?.kind === 'figure.set' ? { id, ...last.data } : null);
	},
	batch: (_, entries) => foldBatch(entries),
	weather: (_, entries) => ok(latest(entries, 'weather.imported') ? { standing: true } : null),
	care: (id, entries) => ok(entries.reduce<Care | null>((row, e) => withCare(id, row, e), null)),
	sighting: (id, entries) => {
		const seen = latest(entries, 'sighting.made');
		return ok(seen ? { id, ...seen.data, seen_on: seen.on } : null);
	},
	lodging: (id, entries) => {
		const set = latest(entries, 'lodging.set');
		if (!set) return ok(null);
		const { apart, ...d } = set.data;
		return ok({ id, ...d, apart_on: apart ? set.on : null });
	},
	moves: (id, entries) => {
		const set = latest(entries, 'moves.set');
		return ok(set && set.data.moves.length > 0 ? { id, ...set.data, set_on: set.on } : null);
	},
	timer: (id, entries) => {
		const started = latest(entries, 'timer.started');
		return ok(started && !latest(entries, 'timer.ended') ? { id, ...started.data } : null);
	},
	shelf: (id, entries) => {
		const set = latest(entries, 'shelf.set');
		return ok(set ? { id, ...set.data } : null);
	},
	vessel: (id, entries) => {
		const set = latest(entries, 'vessel.set');
		if (!set || entries.at(-1)?.kind === 'vessel.gone') return ok(null);
		return ok({ id, name: set.data.name, vessel: set.data.vessel as Vessel });
	},
	kind: (id, entries) => {
		const set = latest(entries, 'kind.set');
		return ok(set && entries.at(-1)?.kind !== 'kind.gone' ? { id, ...set.data } : null);
	}
};
