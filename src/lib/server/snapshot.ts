/**
 * What stands in a garden as its ledger has it now. Read whole once; after an entry only what it was about is read
 * again, so that a tap costs the same with ten batches and with two thousand.
 */
import { database } from './db.js';
import type { Queryable } from './db.js';
import { Kept } from './kept.js';
import * as benchware from './store/benchware.js';
import type { VesselRow } from './store/benchware.js';
import * as care from './store/care.js';
import { lastEntry, touchedSince } from './store/entries.js';
import type { LastEntry } from './store/entries.js';
import { lodgings } from './store/lodging.js';
import type { LodgingRow } from './store/lodging.js';
import { plantings } from './store/planted.js';
import type { PlantedRow } from './store/planted.js';
import { movesMeant } from './store/moves.js';
import type { MovesRow } from './store/moves.js';
import { ownKinds } from './store/ownKinds.js';
import type { OwnKindRow } from './store/ownKinds.js';
import * as state from './store/state.js';
import type { Batch, Subject } from '$lib/core/ledger/index.js';

export interface Snapshot {
	/** The entry as of which all this stands. */
	last: LastEntry;
	/** Planned and growing batches, the oldest first. */
	living: readonly Batch[];
	/** Gone ones as well. */
	stocks: readonly state.StockRow[];
	/** Dropped ones as well. */
	wants: readonly state.WantRow[];
	/** Closed ones as well, in walking order. */
	places: readonly state.PlaceRow[];
	figures: readonly state.FigureRow[];
	cares: readonly care.CareRow[];
	sightings: readonly care.SightingRow[];
	ownKinds: readonly OwnKindRow[];
	/** What is said of single plants' winters. */
	lodgings: readonly LodgingRow[];
	/** What is meant to move in the ground; one or none. */
	moves: readonly MovesRow[];
	/** What was planted in the ground from batches. */
	planted: readonly PlantedRow[];
	/** Pots and trays of one's own. */
	vessels: readonly VesselRow[];
}

/** Rough bytes of rows in memory: a batch with its cohorts, looks and stays; a mark of care; any other row. */
const BATCH_BYTES = 4_000;
const MARK_BYTES = 150;
const ROW_BYTES = 600;
const KIND_BYTES = 30_000;
const kept = new Kept<Snapshot>(
	96,
	(s) =>
		s.living.length * BATCH_BYTES +
		s.cares.reduce((n, c) => n + Object.keys(c.marks).length, 0) * MARK_BYTES +
		(s.stocks.length +
			s.wants.length +
			s.places.length +
			s.figures.length +
			s.sightings.length +
			s.lodgings.length +
			s.planted.length +
			s.vessels.length +
			1) *
			ROW_BYTES +
		s.ownKinds.length * KIND_BYTES
);

export async function snapshotOf(gardenId: string): Promise<Snapshot> {
	const db = database();
	// The last entry is asked for before the rows: rows of one that came between are read once more, never too few.
	const last = await lastEntry(db, gardenId);
	const before = kept.get(gardenId);
	if (before && before.last?.seq === last?.seq && before.last?.at === last?.at) return before;
	const touched = before ? await touchedSince(db, gardenId, before.last) : null;
	return kept.set(gardenId, await read(db, gardenId, last, touched && before ? { before, touched } : null));
}

/** The same read whole, whatever is kept. */
export const readWhole = (gardenId: string, last: LastEntry): Promise<Snapshot> => read(database(), gardenId, last, null);

const LIVING: readonly Batch['status'][] = ['planned', 'growing'];
const begunOn = (b: Batch): string => b.struckOn ?? b.plannedOn ?? '';
/** As the database orders them. */
const oldestFirst = (a: Batch, b: Batch): number =>
	begunOn(a) === begunOn(b) ? (a.code < b.code ? -1 : 1) : begunOn(a) < begunOn(b) ? -1 : 1;

async function read(
	db: Queryable,
	gardenId: string,
	last: LastEntry,
	of: { before: Snapshot; touched: readonly { subject: Subject; subject_id: string }[] } | null
): Promise<Snapshot> {
	const ids = (subject: Subject) => of?.touched.filter((t) => t.subject === subject).map((t) => t.subject_id) ?? [];
	/** Rows of a table that entries were about, or the old ones. */
	const again = <K extends keyof Snapshot>(subject: Subject, key: K, all: () => Promise<Snapshot[K]>): Promise<Snapshot[K]> =>
		of && ids(subject).length === 0 ? Promise.resolve(of.before[key]) : all();
	/** The same where there may be thousands of rows: only those touched. */
	const some = async <R extends { id: string }>(
		subject: Subject,
		old: readonly R[] | undefined,
		rows: (only: readonly string[] | null) => Promise<R[]>
	): Promise<readonly R[]> => {
		const touched = ids(subject);
		if (!old) return rows(null);
		if (touched.length === 0) return old;
		const gone = new Set(touched);
		return [...old.filter((r) => !gone.has(r.id)), ...(await rows(touched))];
	};
	const [living, stocks, wants, places, figures, cares, sightings, own, lodging, moves, planted, vessels] = await Promise.all([
		some('batch', of?.before.living, (only) => state.batches(db, gardenId, LIVING, only)),
		again('stock', 'stocks', () => state.stocks(db, gardenId)),
		again('want', 'wants', () => state.wants(db, gardenId)),
		again('place', 'places', () => state.places(db, gardenId)),
		again('figure', 'figures', () => state.figures(db, gardenId)),
		some('care', of?.before.cares, (only) => care.cares(db, gardenId, only)),
		again('sighting', 'sightings', () => care.sightings(db, gardenId)),
		again('kind', 'ownKinds', () => ownKinds(db, gardenId)),
		again('lodging', 'lodgings', () => lodgings(db, gardenId)),
		again('moves', 'moves', () => movesMeant(db, gardenId)),
		again('batch', 'planted', () => plantings(db, gardenId)),
		again('vessel', 'vessels', () => benchware.vessels(db, gardenId))
	]);
	return {
		last,
		living: living === of?.before.living ? living : [...living].sort(oldestFirst),
		stocks,
		wants,
		places,
		figures,
		cares,
		sightings,
		ownKinds: own,
		lodgings: lodging,
		moves,
		planted,
		vessels
	};
}
