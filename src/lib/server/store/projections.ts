/** The tables of derived state, one for each subject of the ledger; what a rebuild empties and fills again. */
import type { Queryable } from '../db.js';
import type { Subject } from '$lib/core/ledger/index.js';

/**
 * Raised whenever the same entries come to other rows: every start compares it with what was derived last
 * (projection_state) and derives afresh what is older.
 */
export const PROJECTION_VERSION = 1;

/** Where a subject's row is. An import's days are no projection: only whether they count is. */
export const PROJECTIONS = {
	garden: 'garden_state',
	place: 'place',
	stock: 'stock',
	want: 'want',
	figure: 'figure',
	batch: 'batch',
	care: 'care',
	sighting: 'sighting',
	timer: 'timer',
	shelf: 'shelf',
	vessel: 'vessel',
	kind: 'own_kind',
	lodging: 'lodging',
	moves: 'moves',
	weather: 'weather_import'
} as const satisfies Record<Subject, string>;

type Rows = Exclude<Subject, 'garden' | 'weather'>;

/** Takes a row out again: its first entry was undone. */
export async function removeRow(db: Queryable, gardenId: string, subject: Rows, id: string): Promise<void> {
	await db.query(`DELETE FROM ${PROJECTIONS[subject]} WHERE garden_id = $1 AND id = $2`, [gardenId, id]);
}

/** Subjects whose forms are drawn from a whole row and written back whole. */
const VERSIONED = new Set<Subject>(['garden', 'place', 'stock', 'want', 'batch', 'kind', 'lodging', 'moves']);

/** Writes down which entry a row was derived from last. */
export async function stampVersion(db: Queryable, gardenId: string, subject: Subject, id: string, seq: number): Promise<void> {
	if (!VERSIONED.has(subject)) return;
	if (subject === 'garden') await db.query('UPDATE garden_state SET version = $2 WHERE garden_id = $1', [gardenId, seq]);
	else await db.query(`UPDATE ${PROJECTIONS[subject]} SET version = $3 WHERE garden_id = $1 AND id = $2`, [gardenId, id, seq]);
}

/** The same for all rows of a garden. */
export async function stampVersions(db: Queryable, gardenId: string): Promise<void> {
	for (const subject of VERSIONED) {
		const at = subject === 'garden' ? 'r.garden_id' : 'r.id';
		await db.query(
			`UPDATE ${PROJECTIONS[subject]} r SET version = s.seq
			 FROM (SELECT subject_id, max(seq) AS seq FROM entry WHERE garden_id = $1 AND subject = $2 GROUP BY subject_id) s
			 WHERE r.garden_id = $1 AND ${at} = s.subject_id`,
			[gardenId, subject]
		);
	}
}

/** The version of a subject's row; null where there is none, or its kind keeps none. */
export async function versionOf(db: Queryable, gardenId: string, subject: Subject, id: string): Promise<number | null> {
	if (!VERSIONED.has(subject)) return null;
	const { rows } = await db.query<{ version: number }>(
		subject === 'garden'
			? 'SELECT version FROM garden_state WHERE garden_id = $1'
			: `SELECT version FROM ${PROJECTIONS[subject]} WHERE garden_id = $1 AND id = $2`,
		subject === 'garden' ? [gardenId] : [gardenId, id]
	);
	return rows[0]?.version ?? null;
}

export async function clearProjections(db: Queryable, gardenId: string): Promise<void> {
	for (const [subject, table] of Object.entries(PROJECTIONS))
		await db.query(
			subject === 'weather'
				? `UPDATE ${table} SET standing = false WHERE garden_id = $1`
				: `DELETE FROM ${table} WHERE garden_id = $1`,
			[gardenId]
		);
}

/** Gardens whose state was derived by another version of this code, or not to its end. */
export async function gardensToDerive(db: Queryable): Promise<string[]> {
	const { rows } = await db.query<{ id: string }>(
		`SELECT g.id FROM garden g LEFT JOIN projection_state p ON p.garden_id = g.id
		 WHERE p.version IS DISTINCT FROM $1 ORDER BY g.created_at`,
		[PROJECTION_VERSION]
	);
	return rows.map((r) => r.id);
}

export async function markDerived(db: Queryable, gardenId: string): Promise<void> {
	await db.query(
		`INSERT INTO projection_state (garden_id, version) VALUES ($1, $2) ON CONFLICT (garden_id) DO UPDATE SET version = $2`,
		[gardenId, PROJECTION_VERSION]
	);
}
