/** SQL of clocks that run, of what is on the shelf, and of vessels of one's own. */
import type { Queryable } from '../db.js';
import type { Vessel } from '$lib/core/mix/vessel.js';

export interface TimerRow {
	id: string;
	say: string;
	batch_id: string | null;
	started_at: Date;
	ends_at: Date;
}

export async function timerThere(db: Queryable, gardenId: string, id: string): Promise<boolean> {
	return (await db.query('SELECT 1 FROM timer WHERE garden_id = $1 AND id = $2', [gardenId, id])).rowCount === 1;
}

export async function timers(db: Queryable, gardenId: string): Promise<TimerRow[]> {
	const { rows } = await db.query<TimerRow>(
		'SELECT id, say, batch_id, started_at, ends_at FROM timer WHERE garden_id = $1 ORDER BY ends_at, id',
		[gardenId]
	);
	return rows;
}

export async function putTimer(
	db: Queryable,
	gardenId: string,
	t: { id: string; say: string; batch_id: string | null; started_at: string; minutes: number }
): Promise<void> {
	await db.query(
		`INSERT INTO timer (garden_id, id, say, batch_id, started_at, ends_at)
		 VALUES ($1, $2, $3, $4, $5, $5::timestamptz + make_interval(secs => $6::float8 * 60))
		 ON CONFLICT (garden_id, id) DO UPDATE SET say = EXCLUDED.say, started_at = EXCLUDED.started_at, ends_at = EXCLUDED.ends_at`,
		[gardenId, t.id, t.say, t.batch_id, t.started_at, t.minutes]
	);
}

export interface ShelfRow {
	id: string;
	material: string;
	litres: number;
}

export async function shelf(db: Queryable, gardenId: string): Promise<ShelfRow[]> {
	const { rows } = await db.query<ShelfRow>('SELECT id, material, litres FROM shelf WHERE garden_id = $1 ORDER BY material', [
		gardenId
	]);
	return rows;
}

export async function putShelf(db: Queryable, gardenId: string, row: ShelfRow): Promise<void> {
	await db.query(
		`INSERT INTO shelf (garden_id, id, material, litres) VALUES ($1, $2, $3, $4)
		 ON CONFLICT (garden_id, id) DO UPDATE SET material = EXCLUDED.material, litres = EXCLUDED.litres`,
		[gardenId, row.id, row.material, row.litres]
	);
}

export interface VesselRow {
	id: string;
	name: string;
	vessel: Vessel;
}

export async function vessels(db: Queryable, gardenId: string): Promise<VesselRow[]> {
	const { rows } = await db.query<VesselRow>('SELECT id, name, vessel FROM vessel WHERE garden_id = $1 ORDER BY name, id', [
		gardenId
	]);
	return rows;
}

export async function putVessel(db: Queryable, gardenId: string, row: VesselRow): Promise<void> {
	await db.query(
		`INSERT INTO vessel (garden_id, id, name, vessel) VALUES ($1, $2, $3, $4)
		 ON CONFLICT (garden_id, id) DO UPDATE SET name = EXCLUDED.name, vessel = EXCLUDED.vessel`,
		[gardenId, row.id, row.name, JSON.stringify(row.vessel)]
	);
}
