/** SQL of what was done on the round and seen in the garden. */
import type { Queryable } from '../db.js';
import type { Care } from '$lib/core/ledger/index.js';

export type CareRow = Care;

export async function cares(db: Queryable, gardenId: string, ids: readonly string[] | null = null): Promise<CareRow[]> {
	const { rows } = await db.query<CareRow>(
		'SELECT id, care, place_id, marks FROM care WHERE garden_id = $1 AND ($2::uuid[] IS NULL OR id = ANY ($2))',
		[gardenId, ids]
	);
	return rows;
}

export async function careById(db: Queryable, gardenId: string, id: string): Promise<CareRow | null> {
	const { rows } = await db.query<CareRow>('SELECT id, care, place_id, marks FROM care WHERE garden_id = $1 AND id = $2', [
		gardenId,
		id
	]);
	return rows[0] ?? null;
}

export async function putCare(db: Queryable, gardenId: string, row: CareRow): Promise<void> {
	await db.query(
		`INSERT INTO care (garden_id, id, care, place_id, marks) VALUES ($1, $2, $3, $4, $5)
		 ON CONFLICT (garden_id, id) DO UPDATE SET marks = EXCLUDED.marks`,
		[gardenId, row.id, row.care, row.place_id, JSON.stringify(row.marks)]
	);
}

export interface SightingRow {
	id: string;
	kind_id: string;
	event: string;
	seen_on: string;
}

export async function sightings(db: Queryable, gardenId: string): Promise<SightingRow[]> {
	const { rows } = await db.query<SightingRow>(
		'SELECT id, kind_id, event, seen_on FROM sighting WHERE garden_id = $1 ORDER BY seen_on, id',
		[gardenId]
	);
	return rows;
}

export async function putSighting(db: Queryable, gardenId: string, row: SightingRow): Promise<void> {
	await db.query(
		`INSERT INTO sighting (garden_id, id, kind_id, event, seen_on) VALUES ($1, $2, $3, $4, $5)
		 ON CONFLICT (garden_id, id) DO UPDATE SET seen_on = EXCLUDED.seen_on`,
		[gardenId, row.id, row.kind_id, row.event, row.seen_on]
	);
}
