/** From the standing entries of a subject to its row, or to none. */
import type { Queryable } from './db.js';
import { orThrow } from './refusal.js';
import { putShelf, putTimer, putVessel } from './store/benchware.js';
import { careById, putCare, putSighting } from './store/care.js';
import { asEntry, entriesOf } from './store/entries.js';
import type { StoredEntry } from './store/entries.js';
import { putOwnKind } from './store/ownKinds.js';
import { putLodging } from './store/lodging.js';
import { putMoves } from './store/moves.js';
import { removeRow, stampVersion } from './store/projections.js';
import * as state from './store/state.js';
import { setStanding } from './store/weather.js';
import { effective, FOLDS, withCare } from '$lib/core/ledger/index.js';
import type { AnyEntry, Rows, Subject } from '$lib/core/ledger/index.js';

type Writing<S extends Subject> = (db: Queryable, gardenId: string, id: string, row: Rows[S] | null) => Promise<void>;

/** Writes a row that stands; takes out one that does not. */
const whole =
	<S extends Exclude<Subject, 'garden' | 'weather'>>(
		subject: S,
		put: (db: Queryable, gardenId: string, row: Rows[S]) => Promise<void>
	): Writing<S> =>
	(db, gardenId, id, row) =>
		row ? put(db, gardenId, row) : removeRow(db, gardenId, subject, id);

const WRITE: { [S in Subject]: Writing<S> } = {
	garden: async (db, gardenId, _, row) => {
		if (row) await state.putGarden(db, gardenId, row);
	},
	place: whole('place', state.putPlace),
	stock: whole('stock', state.putStock),
	want: whole('want', state.putWant),
	figure: whole('figure', state.putFigure),
	batch: whole('batch', state.putBatch),
	weather: (db, gardenId, id, row) => setStanding(db, gardenId, id, row !== null),
	care: whole('care', putCare),
	sighting: whole('sighting', putSighting),
	timer: whole('timer', putTimer),
	shelf: whole('shelf', putShelf),
	vessel: whole('vessel', putVessel),
	kind: whole('kind', putOwnKind),
	lodging: whole('lodging', putLodging),
	moves: whole('moves', putMoves)
};

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
	const stored = await entriesOf(db, gardenId, subject, id);
	await putFolded(db, gardenId, subject, id, stored);
	await stampVersion(db, gardenId, subject, id, stored.at(-1)?.seq ?? 0);
}

/** The same without its version: a rebuild stamps all rows at once (stampVersions). */
export async function putFolded<S extends Subject>(
	db: Queryable,
	gardenId: string,
	subject: S,
	id: string,
	stored: readonly StoredEntry[]
): Promise<void> {
	const row = orThrow(FOLDS[subject](id, effective(stored.map(asEntry))));
	await WRITE[subject](db, gardenId, id, row as Rows[S] | null);
}
