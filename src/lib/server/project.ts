/** From the standing entries of a subject to its row, or to none. */
import type { Queryable } from './db.js';
import { must, no } from './refusal.js';
import { asEntry, entriesOf } from './store/entries.js';
import type { StoredEntry } from './store/entries.js';
import { removeRow, stampVersion } from './store/projections.js';
import * as state from './store/state.js';
import { putShelf, putTimer, putVessel } from './store/benchware.js';
import type { Vessel } from '$lib/core/mix/vessel.js';
import { careById, putCare, putSighting } from './store/care.js';
import type { CareRow } from './store/care.js';
import { setStanding } from './store/weather.js';
import { effective, foldBatch } from '$lib/core/ledger/index.js';
import type { AnyEntry, EntryData, Subject } from '$lib/core/ledger/index.js';

type Of<K extends AnyEntry['kind']> = Extract<AnyEntry, { kind: K }>;
const latest = <K extends AnyEntry['kind']>(entries: readonly AnyEntry[], kind: K): Of<K> | undefined =>
	entries.findLast((e): e is Of<K> => e.kind === kind);

function foldStock(id: string, entries: readonly AnyEntry[]): Omit<state.StockRow, 'version'> | null {
	const set = latest(entries, 'stock.set');
	if (!set) return null;
	const d: EntryData<'stock.set'> = set.data;
	// Where it was last said to stand: told with the rest, or carried there since.
	const moved = entries.slice(entries.indexOf(set)).findLast((e) => e.kind === 'stock.moved');
	const leave = latest(entries, 'stock.leave')?.data;
	const gone = latest(entries, 'stock.gone');
	return {
		id,
		kind_id: d.kind_id,
		place_id: moved?.kind === 'stock.moved' ? moved.data.place_id : d.place_id,
		label: d.label,
		count: d.count,
		size_cm: d.size_cm,
		age_years: d.age_years,
		condition: d.condition,
		protection: d.protection.status,
		protected_until: d.protection.until,
		leave_basis: leave?.basis ?? null,
		leave_reference: leave?.reference ?? null,
		from_batch: d.from_batch,
		since: entries.find((e) => e.kind === 'stock.set')!.on,
		told_on: set.on,
		gone_on: gone?.on ?? null,
		gone_why: gone?.data.why ?? null
	};
}

function foldWant(id: string, entries: readonly AnyEntry[]): state.WantRow | null {
	const set = latest(entries, 'want.set');
	if (!set) return null;
	const dropped = latest(entries, 'want.dropped');
	return {
		id,
		...set.data,
		since: entries.find((e) => e.kind === 'want.set')!.on,
		dropped_on: dropped?.on ?? null,
		dropped_why: dropped?.data.why ?? null
	};
}

/** What was last said of a work at a place, plant by plant: done wipes out skipped and put off before it. */
const foldCare = (id: string, entries: readonly AnyEntry[]): CareRow | null =>
	entries.reduce<CareRow | null>((row, e) => withCare(id, row, e), null);

function withCare(id: string, before: CareRow | null, e: AnyEntry): CareRow | null {
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

/**
 * An entry was added: its subject's row follows. Work of the round is a mark more on the row that is there; to fold
 * years of daily watering anew at each tap would hold the garden's lock for a second.
 */
export async function projectAdded(db: Queryable, gardenId: string, subject: Subject, e: AnyEntry): Promise<void> {
	if (subject !== 'care') return project(db, gardenId, subject, e.subjectId);
	const row = withCare(e.subjectId, await careById(db, gardenId, e.subjectId), e);
	if (row) await putCare(db, gardenId, row);
}

/** Folds a subject afresh and writes its row. Refuses when the entries do not make sense together. */
export async function project(db: Queryable, gardenId: string, subject: Subject, id: string): Promise<void> {
	await projectEntries(db, gardenId, subject, id, await entriesOf(db, gardenId, subject, id));
}

export async function projectEntries(
	db: Queryable,
	gardenId: string,
	subject: Subject,
	id: string,
	stored: readonly StoredEntry[]
): Promise<void> {
	await putFolded(db, gardenId, subject, id, stored);
	await stampVersion(db, gardenId, subject, id, stored.at(-1)?.seq ?? 0);
}

async function putFolded(
	db: Queryable,
	gardenId: string,
	subject: Subject,
	id: string,
	stored: readonly StoredEntry[]
): Promise<void> {
	const entries = effective(stored.map(asEntry));
	switch (subject) {
		case 'garden': {
			const set = latest(entries, 'garden.set');
			if (!set) no('garden.first', 'A garden needs its settings: the first ones cannot be undone.');
			return state.putGarden(db, gardenId, set.data);
		}
		case 'place': {
			const set = latest(entries, 'place.set');
			if (!set) return removeRow(db, gardenId, 'place', id);
			const walked = entries.slice(entries.indexOf(set)).findLast((e) => e.kind === 'place.walked');
			return state.putPlace(db, gardenId, {
				id,
				...set.data,
				...(walked?.kind === 'place.walked' ? walked.data : {}),
				closed: latest(entries, 'place.closed') !== undefined
			});
		}
		case 'stock': {
			const row = foldStock(id, entries);
			return row ? state.putStock(db, gardenId, row) : removeRow(db, gardenId, 'stock', id);
		}
		case 'want': {
			const row = foldWant(id, entries);
			return row ? state.putWant(db, gardenId, row) : removeRow(db, gardenId, 'want', id);
		}
		case 'figure': {
			const last = entries.at(-1);
			if (last?.kind !== 'figure.set') return removeRow(db, gardenId, 'figure', id);
			return state.putFigure(db, gardenId, { id, ...last.data });
		}
		case 'weather':
			return setStanding(db, gardenId, id, latest(entries, 'weather.imported') !== undefined);
		case 'care': {
			const row = foldCare(id, entries);
			return row ? putCare(db, gardenId, row) : removeRow(db, gardenId, 'care', id);
		}
		case 'sighting': {
			const seen = latest(entries, 'sighting.made');
			if (!seen) return removeRow(db, gardenId, 'sighting', id);
			return putSighting(db, gardenId, { id, ...seen.data, seen_on: seen.on });
		}
		case 'timer': {
			const started = latest(entries, 'timer.started');
			if (!started || latest(entries, 'timer.ended')) return removeRow(db, gardenId, 'timer', id);
			return putTimer(db, gardenId, { id, ...started.data });
		}
		case 'shelf': {
			const set = latest(entries, 'shelf.set');
			return set ? putShelf(db, gardenId, { id, ...set.data }) : removeRow(db, gardenId, 'shelf', id);
		}
		case 'vessel': {
			const set = latest(entries, 'vessel.set');
			if (!set || entries.at(-1)?.kind === 'vessel.gone') return removeRow(db, gardenId, 'vessel', id);
			return putVessel(db, gardenId, { id, name: set.data.name, vessel: set.data.vessel as Vessel });
		}
		case 'batch': {
			const batch = must(foldBatch(entries));
			return batch ? state.putBatch(db, gardenId, batch) : removeRow(db, gardenId, 'batch', id);
		}
	}
}
