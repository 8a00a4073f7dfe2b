/** SQL of batches: their rows, and the questions that screens ask of many. */
import type { Queryable } from '../db.js';
import type { Batch } from '$lib/core/ledger/index.js';

interface BatchRow {
	id: string;
	code: string;
	kind_id: string;
	way_id: string;
	stock_id: string | null;
	want_id: string | null;
	place_id: string | null;
	from_batch: string | null;
	status: Batch['status'];
	planned_on: string | null;
	planned_count: number;
	struck_on: string | null;
	struck: number;
	unrooted: number;
	rooted: number;
	potted: number;
	wintered_on: string | null;
	planted: number;
	given: number;
	kept: number;
	split_off: number;
	lost: number;
	lost_planted: number;
	last_on: string | null;
	last_sign: string | null;
	cohorts: Batch['cohorts'];
	rooting: Batch['rootRecord'];
	family: string | null;
	inherited: Batch['inherited'];
	stays: Batch['stays'];
	treatment: Batch['treatment'];
	container: string;
	seen: Batch['seen'];
	looks: Batch['looks'];
	tray: Batch['tray'];
	foretold: number | null;
	version: number;
}

const BATCH = `id, code, kind_id, way_id, stock_id, want_id, place_id, from_batch, status, planned_on, planned_count, struck_on, struck,
	unrooted, rooted, potted, wintered_on, planted, given, kept, split_off, lost, lost_planted, last_on, last_sign, cohorts, rooting, family, inherited, stays, treatment, container, seen, looks, tray, foretold`;
const READ = `${BATCH}, version`;

const asBatch = (r: BatchRow): Batch => ({
	id: r.id,
	code: r.code,
	kindId: r.kind_id,
	wayId: r.way_id,
	stockId: r.stock_id,
	wantId: r.want_id,
	placeId: r.place_id,
	fromBatch: r.from_batch,
	status: r.status,
	plannedOn: r.planned_on,
	plannedCount: r.planned_count,
	struckOn: r.struck_on,
	struck: r.struck,
	unrooted: r.unrooted,
	rooted: r.rooted,
	potted: r.potted,
	winteredOn: r.wintered_on,
	planted: r.planted,
	given: r.given,
	kept: r.kept,
	splitOff: r.split_off,
	lost: r.lost,
	lostPlanted: r.lost_planted,
	lastOn: r.last_on,
	lastSign: r.last_sign,
	cohorts: r.cohorts,
	rootRecord: r.rooting,
	family: r.family ?? r.id,
	inherited: r.inherited,
	stays: r.stays,
	treatment: r.treatment,
	container: r.container,
	seen: r.seen,
	looks: r.looks,
	tray: r.tray,
	foretold: r.foretold,
	version: r.version
});

/** Batches, the oldest first; of some statuses, and of some ids, only, if given. */
export async function batches(
	db: Queryable,
	gardenId: string,
	statuses?: readonly Batch['status'][],
	ids: readonly string[] | null = null
): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(
		`SELECT ${READ} FROM batch WHERE garden_id = $1 AND ($2::text[] IS NULL OR status = ANY ($2)) AND ($3::uuid[] IS NULL OR id = ANY ($3))
		 ORDER BY COALESCE(struck_on, planned_on), code`,
		[gardenId, statuses ?? null, ids]
	);
	return rows.map(asBatch);
}

export async function batchById(db: Queryable, gardenId: string, id: string): Promise<Batch | null> {
	const { rows } = await db.query<BatchRow>(`SELECT ${READ} FROM batch WHERE garden_id = $1 AND id = $2`, [gardenId, id]);
	return rows[0] ? asBatch(rows[0]) : null;
}

export async function batchByCode(db: Queryable, gardenId: string, code: string): Promise<Batch | null> {
	const { rows } = await db.query<BatchRow>(`SELECT ${READ} FROM batch WHERE garden_id = $1 AND code = $2`, [gardenId, code]);
	return rows[0] ? asBatch(rows[0]) : null;
}

export async function batchesByCode(db: Queryable, gardenId: string, codes: readonly string[]): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(`SELECT ${READ} FROM batch WHERE garden_id = $1 AND code = ANY ($2)`, [
		gardenId,
		codes
	]);
	return rows.map(asBatch);
}

/** A batch by the columns of its row. */
const asRow = (gardenId: string, b: Batch) => ({
	garden_id: gardenId,
	id: b.id,
	code: b.code,
	kind_id: b.kindId,
	way_id: b.wayId,
	stock_id: b.stockId,
	want_id: b.wantId,
	place_id: b.placeId,
	from_batch: b.fromBatch,
	status: b.status,
	planned_on: b.plannedOn,
	planned_count: b.plannedCount,
	struck_on: b.struckOn,
	struck: b.struck,
	unrooted: b.unrooted,
	rooted: b.rooted,
	potted: b.potted,
	wintered_on: b.winteredOn,
	planted: b.planted,
	given: b.given,
	kept: b.kept,
	split_off: b.splitOff,
	lost: b.lost,
	lost_planted: b.lostPlanted,
	last_on: b.lastOn,
	last_sign: b.lastSign,
	cohorts: b.cohorts,
	rooting: b.rootRecord,
	family: b.family,
	inherited: b.inherited,
	stays: b.stays,
	treatment: b.treatment,
	container: b.container,
	seen: b.seen,
	looks: b.looks,
	tray: b.tray,
	foretold: b.foretold
});

/** Writes batches, new or changed, many at once. */
export async function putBatches(db: Queryable, gardenId: string, batches: readonly Batch[]): Promise<void> {
	await db.query(
		`INSERT INTO batch (garden_id, ${BATCH}) SELECT garden_id, ${BATCH} FROM jsonb_populate_recordset(NULL::batch, $1::jsonb)
		 ON CONFLICT (garden_id, id) DO UPDATE SET (${BATCH}) = ROW (EXCLUDED.${BATCH.split(',')
				.map((c) => c.trim())
				.join(', EXCLUDED.')})`,
		[JSON.stringify(batches.map((b) => asRow(gardenId, b)))]
	);
}

export const putBatch = (db: Queryable, gardenId: string, b: Batch): Promise<void> => putBatches(db, gardenId, [b]);

/** How many of these are batches, stock or wants of the garden. */
export async function plantsThere(db: Queryable, gardenId: string, ids: readonly string[]): Promise<number> {
	const { rowCount } = await db.query(
		`SELECT id FROM batch WHERE garden_id = $1 AND id = ANY ($2)
		 UNION SELECT id FROM stock WHERE garden_id = $1 AND id = ANY ($2)
		 UNION SELECT id FROM want WHERE garden_id = $1 AND id = ANY ($2)`,
		[gardenId, ids]
	);
	return rowCount ?? 0;
}

/** Codes of growing batches with pieces in hand at a place. */
export async function codesStandingAt(db: Queryable, gardenId: string, placeId: string): Promise<string[]> {
	const { rows } = await db.query<{ code: string }>(
		`SELECT code FROM batch WHERE garden_id = $1 AND place_id = $2 AND status = 'growing' AND unrooted + rooted + potted > 0
		 ORDER BY COALESCE(struck_on, planned_on), code`,
		[gardenId, placeId]
	);
	return rows.map((r) => r.code);
}

/** Which of these stand: growing batches, and stock that is not gone. */
export async function whatStands(
	db: Queryable,
	gardenId: string,
	ids: readonly string[]
): Promise<Map<string, 'batch' | 'stock'>> {
	const { rows } = await db.query<{ id: string; what: 'batch' | 'stock' }>(
		`SELECT id, 'batch' AS what FROM batch WHERE garden_id = $1 AND id = ANY ($2) AND status = 'growing'
		 UNION ALL SELECT id, 'stock' FROM stock WHERE garden_id = $1 AND id = ANY ($2) AND gone_on IS NULL`,
		[gardenId, ids]
	);
	return new Map(rows.map((r) => [r.id, r.what]));
}

/** Growing batches of a kind, the oldest first. */
export async function growingOfKind(db: Queryable, gardenId: string, kindId: string): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(
		`SELECT ${READ} FROM batch WHERE garden_id = $1 AND kind_id = $2 AND status = 'growing' ORDER BY struck_on, code`,
		[gardenId, kindId]
	);
	return rows.map(asBatch);
}

/** Codes of a few batches that are not dropped and name a stock plant, a want or a place. */
export async function codesNaming(
	db: Queryable,
	gardenId: string,
	column: 'stock_id' | 'want_id' | 'place_id',
	id: string
): Promise<string[]> {
	const { rows } = await db.query<{ code: string }>(
		`SELECT code FROM batch WHERE garden_id = $1 AND ${column} = $2 AND status <> 'dropped' ORDER BY code LIMIT 3`,
		[gardenId, id]
	);
	return rows.map((r) => r.code);
}

/** Batches by a code in the other gardens of the house. */
export async function batchesElsewhere(
	db: Queryable,
	gardenId: string,
	code: string
): Promise<{ slug: string; name: string; batchId: string }[]> {
	const { rows } = await db.query<{ slug: string; name: string; batchId: string }>(
		`SELECT g.slug, s.data ->> 'name' AS name, b.id AS "batchId"
		 FROM garden g JOIN garden_state s ON s.garden_id = g.id JOIN batch b ON b.garden_id = g.id AND b.code = $2
		 WHERE g.id <> $1 ORDER BY g.created_at LIMIT 20`,
		[gardenId, code]
	);
	return rows;
}

/** Batches of some wants, whatever their status. */
export async function batchesOfWants(db: Queryable, gardenId: string, wantIds: readonly string[]): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(
		`SELECT ${READ} FROM batch WHERE garden_id = $1 AND want_id = ANY ($2) AND status <> 'dropped'
		 ORDER BY COALESCE(struck_on, planned_on), code`,
		[gardenId, wantIds]
	);
	return rows.map(asBatch);
}

/** Batches taken from some stocks since a day. */
export async function batchesFrom(db: Queryable, gardenId: string, stockIds: readonly string[]): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(
		`SELECT ${READ} FROM batch WHERE garden_id = $1 AND stock_id = ANY ($2) AND status <> 'dropped'
		 ORDER BY COALESCE(struck_on, planned_on), code`,
		[gardenId, stockIds]
	);
	return rows.map(asBatch);
}

/** The batches that ended last, the newest first. */
export async function endedBatches(db: Queryable, gardenId: string, limit: number): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(
		`SELECT ${READ} FROM batch WHERE garden_id = $1 AND status IN ('done', 'dropped')
		 ORDER BY last_on DESC NULLS LAST, code DESC LIMIT $2`,
		[gardenId, limit]
	);
	return rows.map(asBatch);
}

/** Batches struck since a day, the newest first, so many at most. */
export async function batchesStruckSince(db: Queryable, gardenId: string, since: string, limit: number): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(
		`SELECT ${READ} FROM batch WHERE garden_id = $1 AND struck_on >= $2 ORDER BY struck_on DESC, code DESC LIMIT $3`,
		[gardenId, since, limit]
	);
	return rows.map(asBatch);
}
