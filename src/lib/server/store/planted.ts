/** SQL of what was planted in the ground from batches, planting by planting. */
import type { Queryable } from '../db.js';

export interface PlantedRow {
	/** The batch. */
	id: string;
	code: string;
	kind_id: string;
	stock_id: string | null;
	place_id: string | null;
	count: number;
	planted_on: string;
	/** Of all that were planted of the batch, lost since. */
	lost: number;
}

export async function plantings(db: Queryable, gardenId: string): Promise<PlantedRow[]> {
	const { rows } = await db.query<PlantedRow>(
		`SELECT b.id, b.code, b.kind_id, b.stock_id, e.data->>'place_id' AS place_id, (e.data->>'count')::int AS count,
			e.happened_on AS planted_on, b.lost_planted AS lost
		 FROM entry e JOIN batch b ON b.garden_id = e.garden_id AND b.id = e.subject_id
		 WHERE e.garden_id = $1 AND e.subject = 'batch' AND e.kind = 'batch.planted' AND b.planted > 0
			AND NOT entry_is_undone(e.garden_id, e.id)
		 ORDER BY e.seq`,
		[gardenId]
	);
	return rows;
}
