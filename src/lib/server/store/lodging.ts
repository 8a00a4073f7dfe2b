/** SQL of what is said of single plants' winters. */
import type { Queryable } from '../db.js';
import type { Lodging } from '$lib/core/ledger/index.js';

export interface LodgingRow extends Lodging {
	version: number;
}

export async function lodgings(db: Queryable, gardenId: string): Promise<LodgingRow[]> {
	const { rows } = await db.query<LodgingRow>(
		'SELECT id, pinned, never, worth, apart_on, version FROM lodging WHERE garden_id = $1 ORDER BY id',
		[gardenId]
	);
	return rows;
}

export async function putLodging(db: Queryable, gardenId: string, row: Lodging): Promise<void> {
	await db.query(
		`INSERT INTO lodging (garden_id, id, pinned, never, worth, apart_on) VALUES ($1, $2, $3, $4, $5, $6)
		 ON CONFLICT (garden_id, id) DO UPDATE SET pinned = EXCLUDED.pinned, never = EXCLUDED.never, worth = EXCLUDED.worth,
			apart_on = EXCLUDED.apart_on`,
		[gardenId, row.id, row.pinned, JSON.stringify(row.never), row.worth, row.apart_on]
	);
}
