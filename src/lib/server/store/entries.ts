/** SQL of the ledger. */
import type { Queryable } from '../db.js';
import type { AnyEntry, EntryKind, Subject } from '$lib/core/ledger/index.js';

export interface NewEntry {
	gardenId: string;
	id: string;
	kind: EntryKind;
	subject: Subject;
	subjectId: string;
	groupId: string;
	on: string;
	actor: string;
	reverses: string | null;
	data: unknown;
	note: string;
	line: string;
	kindId: string | null;
}

/** False when an entry of that id is there already. */
export async function insertEntry(db: Queryable, e: NewEntry): Promise<boolean> {
	const { rowCount } = await db.query(
		`INSERT INTO entry (garden_id, id, kind, subject, subject_id, group_id, happened_on, actor, reverses, data, note, line, kind_id)
		 VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)
		 ON CONFLICT (garden_id, id) DO NOTHING`,
		[
			e.gardenId,
			e.id,
			e.kind,
			e.subject,
			e.subjectId,
			e.groupId,
			e.on,
			e.actor,
			e.reverses,
			JSON.stringify(e.data),
			e.note,
			e.line,
			e.kindId
		]
	);
	return rowCount === 1;
}

export interface StoredEntry {
	id: string;
	seq: number;
	kind: EntryKind;
	subject: Subject;
	subject_id: string;
	group_id: string;
	happened_on: string;
	recorded_at: Date;
	actor: string;
	reverses: string | null;
	data: unknown;
	note: string;
	line: string;
	kind_id: string | null;
	/** Reversed by an entry that stands. */
	undone: boolean;
}

const COLUMNS = `e.id, e.seq, e.kind, e.subject, e.subject_id, e.group_id, e.happened_on, e.recorded_at, e.actor, e.reverses, e.data, e.note, e.line, e.kind_id`;
/** By the whole chain of reversals behind it; the chain is only walked where there is one. */
const UNDONE = `(EXISTS (SELECT 1 FROM entry r WHERE r.garden_id = e.garden_id AND r.reverses = e.id)
	AND entry_is_undone(e.garden_id, e.id)) AS undone`;

/** All entries about one subject, oldest first, reversals of them included. */
export async function entriesOf(db: Queryable, gardenId: string, subject: Subject, subjectId: string): Promise<StoredEntry[]> {
	const { rows } = await db.query<StoredEntry>(
		`SELECT ${COLUMNS}, ${UNDONE} FROM entry e
		 WHERE e.garden_id = $1 AND e.subject = $2 AND e.subject_id = $3 ORDER BY e.seq`,
		[gardenId, subject, subjectId]
	);
	return rows;
}

export async function entryById(db: Queryable, gardenId: string, id: string): Promise<StoredEntry | null> {
	const { rows } = await db.query<StoredEntry>(`SELECT ${COLUMNS}, ${UNDONE} FROM entry e WHERE e.garden_id = $1 AND e.id = $2`, [
		gardenId,
		id
	]);
	return rows[0] ?? null;
}

/** The ledger's last entry: another after every doing. Null for a garden without any. */
export type LastEntry = { seq: number; at: number } | null;

export async function lastEntry(db: Queryable, gardenId: string): Promise<LastEntry> {
	const { rows } = await db.query<{ seq: number; recorded_at: Date }>(
		'SELECT seq, recorded_at FROM entry WHERE garden_id = $1 ORDER BY seq DESC LIMIT 1',
		[gardenId]
	);
	return rows[0] ? { seq: rows[0].seq, at: rows[0].recorded_at.getTime() } : null;
}

/**
 * What entries were about since one of them, each once; null where that one is not (any more) in this ledger, as
 * after a restore, so that all has to be read.
 */
export async function touchedSince(
	db: Queryable,
	gardenId: string,
	since: LastEntry
): Promise<{ subject: Subject; subject_id: string }[] | null> {
	if (since === null) return null;
	const { rows } = await db.query<{ seq: number; recorded_at: Date; subject: Subject; subject_id: string }>(
		'SELECT seq, recorded_at, subject, subject_id FROM entry WHERE garden_id = $1 AND seq >= $2 ORDER BY seq',
		[gardenId, since.seq]
	);
	const [first, ...later] = rows;
	if (first?.seq !== since.seq || first.recorded_at.getTime() !== since.at) return null;
	return [...new Map(later.map((r) => [`${r.subject} ${r.subject_id}`, r])).values()];
}

/** Those of some entries that are there, by their ids; what is no id is not there. */
export async function entriesById(db: Queryable, gardenId: string, ids: readonly string[]): Promise<Map<string, StoredEntry>> {
	const { rows } = await db.query<StoredEntry>(
		`SELECT ${COLUMNS}, ${UNDONE} FROM entry e WHERE e.garden_id = $1 AND e.id = ANY ($2)`,
		[gardenId, ids.filter((id) => UUID.test(id))]
	);
	return new Map(rows.map((r) => [r.id, r]));
}
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** The last of the reversals behind an entry, itself if there are none: what is reversed to turn it over. */
export async function chainEnd(db: Queryable, gardenId: string, id: string): Promise<string> {
	const { rows } = await db.query<{ id: string }>('SELECT entry_chain_end($1, $2) AS id', [gardenId, id]);
	return rows[0]!.id;
}

export async function entriesOfGroup(db: Queryable, gardenId: string, groupId: string): Promise<StoredEntry[]> {
	const { rows } = await db.query<StoredEntry>(
		`SELECT ${COLUMNS}, ${UNDONE} FROM entry e WHERE e.garden_id = $1 AND e.group_id = $2 ORDER BY e.seq`,
		[gardenId, groupId]
	);
	return rows;
}

export interface LedgerFilter {
	text: string;
	kind: string | null;
	kindId: string | null;
	from: string | null;
	to: string | null;
	/** The last row of the page before. */
	after: { on: string; seq: number } | null;
	limit: number;
}

/** Words as typed become prefix terms, all of which must occur; anything but letters and digits separates. */
export function searchTerms(text: string): string | null {
	const words = text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
	return words.length === 0
		? null
		: words
				.slice(0, 8)
				.map((w) => `${w}:*`)
				.join(' & ');
}

/** A page of the ledger, newest first, found by its place (keyset), so page 900 costs what page 1 costs. */
export async function ledgerPage(db: Queryable, gardenId: string, f: LedgerFilter): Promise<StoredEntry[]> {
	const { rows } = await db.query<StoredEntry>(
		`SELECT ${COLUMNS}, ${UNDONE} FROM entry e
		 WHERE e.garden_id = $1
			AND ($2::text IS NULL OR e.words @@ to_tsquery('simple', $2))
			AND ($3::text IS NULL OR e.kind = $3)
			AND ($4::text IS NULL OR e.kind_id = $4)
			AND ($5::date IS NULL OR e.happened_on >= $5)
			AND ($6::date IS NULL OR e.happened_on <= $6)
			AND ($7::date IS NULL OR (e.happened_on, e.seq) < ($7, $8))
		 ORDER BY e.happened_on DESC, e.seq DESC LIMIT $9`,
		[gardenId, searchTerms(f.text), f.kind, f.kindId, f.from, f.to, f.after?.on ?? null, f.after?.seq ?? null, f.limit]
	);
	return rows;
}

/** As the core folds them. */
export const asEntry = (e: StoredEntry): AnyEntry =>
	({
		id: e.id,
		kind: e.kind,
		subjectId: e.subject_id,
		on: e.happened_on,
		data: e.data,
		note: e.note
	}) as AnyEntry;
