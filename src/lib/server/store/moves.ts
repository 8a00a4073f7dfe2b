/** SQL of what is meant to move in a garden's ground. */
import type { Queryable } from '../db.js';
import type { Moves } from '$lib/core/ledger/index.js';

export interface MovesRow extends Moves {
	version: number;
}

export async function movesMeant(db: Queryable, gardenId: string): Promise<MovesRow[]> {
	const { rows } = await db.query<MovesRow>(
		'SELECT id, by_day, weekends, hold_id, moves, set_on, version FROM moves WHERE garden_id = $1 ORDER BY id',
		[gardenId]
	);
	return rows;
}

export async function putMoves(db: Queryable, gardenId: string, row: Moves): Promise<void> {
	await db.query(
		`INSERT INTO moves (garden_id, id, by_day, weekends, hold_id, moves, set_on) VALUES ($1, $2, $3, $4, $5, $6, $7)
		 ON CONFLICT (garden_id, id) DO UPDATE SET by_day = EXCLUDED.by_day, weekends = EXCLUDED.weekends,
			hold_id = EXCLUDED.hold_id, moves = EXCLUDED.moves, set_on = EXCLUDED.set_on`,
		[gardenId, row.id, row.by_day, row.weekends, row.hold_id, JSON.stringify(row.moves), row.set_on]
	);
}
