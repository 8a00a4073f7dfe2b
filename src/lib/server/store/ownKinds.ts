/** SQL of kinds of one's own. */
import type { Queryable } from '../db.js';
import type { Kind } from '$lib/core/handbook/schema.js';

export interface OwnKindRow {
	id: string;
	like: string | null;
	kind: Kind;
	version: number;
}

const READ = 'SELECT id, like_id AS "like", data AS kind, version FROM own_kind WHERE garden_id = $1';

export async function ownKinds(db: Queryable, gardenId: string): Promise<OwnKindRow[]> {
	const { rows } = await db.query<OwnKindRow>(`${READ} ORDER BY kind_id`, [gardenId]);
	return rows;
}

export async function putOwnKind(db: Queryable, gardenId: string, row: Omit<OwnKindRow, 'version'>): Promise<void> {
	await db.query(
		`INSERT INTO own_kind (garden_id, id, kind_id, like_id, data) VALUES ($1, $2, $3, $4, $5)
		 ON CONFLICT (garden_id, id) DO UPDATE SET like_id = EXCLUDED.like_id, data = EXCLUDED.data`,
		[gardenId, row.id, row.kind.id, row.like, JSON.stringify(row.kind)]
	);
}

/** What there is of a kind: codes of a few batches, then stock and wants in words. */
export async function namingKind(db: Queryable, gardenId: string, kindId: string): Promise<string[]> {
	const { rows } = await db.query<{ code: string }>(
		`SELECT code FROM batch WHERE garden_id = $1 AND kind_id = $2 ORDER BY code LIMIT 3`,
		[gardenId, kindId]
	);
	const { rows: counts } = await db.query<{ stock: number; wants: number }>(
		`SELECT (SELECT count(*)::int FROM stock WHERE garden_id = $1 AND kind_id = $2) AS stock,
			(SELECT count(*)::int FROM want WHERE garden_id = $1 AND (kind_id = $2 OR $2 = ANY (or_kinds))) AS wants`,
		[gardenId, kindId]
	);
	const { stock, wants } = counts[0]!;
	return [
		...rows.map((r) => r.code),
		...(stock ? [stock === 1 ? 'a stock plant' : `${stock} stock plants`] : []),
		...(wants ? [wants === 1 ? 'a want' : `${wants} wants`] : [])
	];
}

/** The name that the entries of an own kind gave it, also when none of them stands. */
export async function lastKindId(db: Queryable, gardenId: string, id: string): Promise<string | null> {
	const { rows } = await db.query<{ kind_id: string | null }>(
		`SELECT data -> 'kind' ->> 'id' AS kind_id FROM entry
		 WHERE garden_id = $1 AND subject = 'kind' AND subject_id = $2 AND kind = 'kind.set' ORDER BY seq DESC LIMIT 1`,
		[gardenId, id]
	);
	return rows[0]?.kind_id ?? null;
}
