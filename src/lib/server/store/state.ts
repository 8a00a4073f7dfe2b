/** SQL of the projections: one table a subject, read and written whole rows. */
import type { Queryable } from '../db.js';
import type { Batch, GardenData, PlaceData } from '$lib/core/ledger/index.js';
import type { Protection } from '$lib/core/material/protection.js';

export interface GardenRow {
	id: string;
	slug: string;
	data: GardenData;
	version: number;
	/** Standing weather imports, by their order; null when there are none. */
	imports: string | null;
}

const IMPORTS = `(SELECT string_agg(i.seq::text, ',' ORDER BY i.seq) FROM weather_import i WHERE i.garden_id = g.id AND i.standing) AS imports`;

export async function gardens(db: Queryable): Promise<GardenRow[]> {
	const { rows } = await db.query<GardenRow>(
		`SELECT g.id, g.slug, s.data, s.version, ${IMPORTS} FROM garden g JOIN garden_state s ON s.garden_id = g.id ORDER BY g.created_at, g.slug`
	);
	return rows;
}

export async function gardenBySlug(db: Queryable, slug: string): Promise<GardenRow | null> {
	const { rows } = await db.query<GardenRow>(
		`SELECT g.id, g.slug, s.data, s.version, ${IMPORTS} FROM garden g JOIN garden_state s ON s.garden_id = g.id WHERE g.slug = $1`,
		[slug]
	);
	return rows[0] ?? null;
}

export async function gardenById(db: Queryable, id: string): Promise<GardenRow | null> {
	const { rows } = await db.query<GardenRow>(
		`SELECT g.id, g.slug, s.data, s.version, ${IMPORTS} FROM garden g JOIN garden_state s ON s.garden_id = g.id WHERE g.id = $1`,
		[id]
	);
	return rows[0] ?? null;
}

/** Takes the garden's lock: writers of one garden follow each other. False when there is no such garden. */
/** Takes the garden's lock for a doing; the version of the tables that it met, null where there is no such garden. */
export async function lockGarden(db: Queryable, id: string): Promise<number | null> {
	const { rows } = await db.query<{ version: number }>(
		'SELECT (SELECT max(version)::int FROM schema_version) AS version FROM garden WHERE id = $1 FOR UPDATE',
		[id]
	);
	return rows[0]?.version ?? null;
}

export async function takeCode(db: Queryable, gardenId: string): Promise<number> {
	const { rows } = await db.query<{ n: number }>(
		'UPDATE garden SET next_code = next_code + 1 WHERE id = $1 RETURNING next_code - 1 AS n',
		[gardenId]
	);
	return rows[0]!.n;
}

export async function putGarden(db: Queryable, gardenId: string, data: GardenData): Promise<void> {
	await db.query(
		`INSERT INTO garden_state (garden_id, data) VALUES ($1, $2)
		 ON CONFLICT (garden_id) DO UPDATE SET data = EXCLUDED.data`,
		[gardenId, JSON.stringify(data)]
	);
}

export interface PlaceRow extends PlaceData {
	id: string;
	closed: boolean;
	version: number;
}

export async function places(db: Queryable, gardenId: string): Promise<PlaceRow[]> {
	const { rows } = await db.query<PlaceRow>(
		`SELECT id, name, kind, light, low_c, high_c, room_cm2, walk, closed, version FROM place
		 WHERE garden_id = $1 ORDER BY walk, name, id`,
		[gardenId]
	);
	return rows;
}

export async function putPlace(db: Queryable, gardenId: string, p: Omit<PlaceRow, 'version'>): Promise<void> {
	await db.query(
		`INSERT INTO place (garden_id, id, name, kind, light, low_c, high_c, room_cm2, walk, closed)
		 VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
		 ON CONFLICT (garden_id, id) DO UPDATE SET name = EXCLUDED.name, kind = EXCLUDED.kind, light = EXCLUDED.light,
			low_c = EXCLUDED.low_c, high_c = EXCLUDED.high_c, room_cm2 = EXCLUDED.room_cm2, walk = EXCLUDED.walk, closed = EXCLUDED.closed`,
		[gardenId, p.id, p.name, p.kind, p.light, p.low_c, p.high_c, p.room_cm2, p.walk, p.closed]
	);
}

export interface StockRow {
	id: string;
	kind_id: string;
	place_id: string | null;
	label: string;
	count: number;
	size_cm: number | null;
	age_years: number | null;
	condition: 'strong' | 'fair' | 'weak';
	protection: Protection['status'];
	protected_until: number | null;
	leave_basis: 'licence' | 'term-ended' | null;
	leave_reference: string | null;
	from_batch: string | null;
	since: string;
	/** Day on which size and age were told last. */
	told_on: string;
	gone_on: string | null;
	gone_why: string | null;
	version: number;
}

const STOCK = `id, kind_id, place_id, label, count, size_cm, age_years, condition, protection, protected_until,
	leave_basis, leave_reference, from_batch, since, COALESCE(told_on, since) AS told_on, gone_on, gone_why, version`;

export async function stocks(db: Queryable, gardenId: string): Promise<StockRow[]> {
	const { rows } = await db.query<StockRow>(`SELECT ${STOCK} FROM stock WHERE garden_id = $1 ORDER BY since, id`, [gardenId]);
	return rows;
}

export async function stockById(db: Queryable, gardenId: string, id: string): Promise<StockRow | null> {
	const { rows } = await db.query<StockRow>(`SELECT ${STOCK} FROM stock WHERE garden_id = $1 AND id = $2`, [gardenId, id]);
	return rows[0] ?? null;
}

export async function putStock(db: Queryable, gardenId: string, s: Omit<StockRow, 'version'>): Promise<void> {
	await db.query(
		`INSERT INTO stock (garden_id, id, kind_id, place_id, label, count, size_cm, age_years, condition, protection, protected_until,
			leave_basis, leave_reference, from_batch, since, told_on, gone_on, gone_why)
		 VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18)
		 ON CONFLICT (garden_id, id) DO UPDATE SET kind_id = EXCLUDED.kind_id, place_id = EXCLUDED.place_id, label = EXCLUDED.label,
			count = EXCLUDED.count, size_cm = EXCLUDED.size_cm, age_years = EXCLUDED.age_years, condition = EXCLUDED.condition,
			protection = EXCLUDED.protection, protected_until = EXCLUDED.protected_until, leave_basis = EXCLUDED.leave_basis,
			leave_reference = EXCLUDED.leave_reference, from_batch = EXCLUDED.from_batch, since = EXCLUDED.since,
			told_on = EXCLUDED.told_on, gone_on = EXCLUDED.gone_on, gone_why = EXCLUDED.gone_why`,
		[
			gardenId,
			s.id,
			s.kind_id,
			s.place_id,
			s.label,
			s.count,
			s.size_cm,
			s.age_years,
			s.condition,
			s.protection,
			s.protected_until,
			s.leave_basis,
			s.leave_reference,
			s.from_batch,
			s.since,
			s.told_on,
			s.gone_on,
			s.gone_why
		]
	);
}

export interface WantRow {
	id: string;
	kind_id: string;
	purpose: 'plants' | 'hedge' | 'bed' | 'gifts' | 'keep';
	label: string;
	place_id: string | null;
	target: number;
	due: string;
	confidence: number;
	shape: Record<string, number | string> | null;
	since: string;
	dropped_on: string | null;
	dropped_why: string | null;
}

const WANT = 'id, kind_id, purpose, label, place_id, target, due, confidence, shape, since, dropped_on, dropped_why';

export async function wants(db: Queryable, gardenId: string): Promise<WantRow[]> {
	const { rows } = await db.query<WantRow>(`SELECT ${WANT} FROM want WHERE garden_id = $1 ORDER BY due, id`, [gardenId]);
	return rows;
}

export async function putWant(db: Queryable, gardenId: string, w: WantRow): Promise<void> {
	await db.query(
		`INSERT INTO want (garden_id, ${WANT}) VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)
		 ON CONFLICT (garden_id, id) DO UPDATE SET kind_id = EXCLUDED.kind_id, purpose = EXCLUDED.purpose, label = EXCLUDED.label,
			place_id = EXCLUDED.place_id, target = EXCLUDED.target, due = EXCLUDED.due, confidence = EXCLUDED.confidence,
			shape = EXCLUDED.shape, since = EXCLUDED.since, dropped_on = EXCLUDED.dropped_on, dropped_why = EXCLUDED.dropped_why`,
		[
			gardenId,
			w.id,
			w.kind_id,
			w.purpose,
			w.label,
			w.place_id,
			w.target,
			w.due,
			w.confidence,
			w.shape && JSON.stringify(w.shape),
			w.since,
			w.dropped_on,
			w.dropped_why
		]
	);
}

export interface FigureRow {
	id: string;
	kind_id: string;
	path: string;
	value: number;
}

export async function figures(db: Queryable, gardenId: string): Promise<FigureRow[]> {
	const { rows } = await db.query<FigureRow>(
		'SELECT id, kind_id, path, value FROM figure WHERE garden_id = $1 ORDER BY kind_id, path',
		[gardenId]
	);
	return rows;
}

export async function putFigure(db: Queryable, gardenId: string, f: FigureRow): Promise<void> {
	await db.query(
		`INSERT INTO figure (garden_id, id, kind_id, path, value) VALUES ($1, $2, $3, $4, $5)
		 ON CONFLICT (garden_id, id) DO UPDATE SET value = EXCLUDED.value`,
		[gardenId, f.id, f.kind_id, f.path, f.value]
	);
}

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

/** Batches, the oldest first; of some statuses only, if given. */
export async function batches(db: Queryable, gardenId: string, statuses?: readonly Batch['status'][]): Promise<Batch[]> {
	const { rows } = await db.query<BatchRow>(
		`SELECT ${READ} FROM batch WHERE garden_id = $1 AND ($2::text[] IS NULL OR status = ANY ($2))
		 ORDER BY COALESCE(struck_on, planned_on), code`,
		[gardenId, statuses ?? null]
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

export async function putBatch(db: Queryable, gardenId: string, b: Batch): Promise<void> {
	await db.query(
		`INSERT INTO batch (garden_id, ${BATCH}) VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17,
			$18, $19, $20, $21, $22, $23, $24, $25, $26, $27, $28, $29, $30, $31, $32, $33, $34, $35, $36, $37)
		 ON CONFLICT (garden_id, id) DO UPDATE SET (${BATCH}) = ROW (EXCLUDED.${BATCH.split(',')
				.map((c) => c.trim())
				.join(', EXCLUDED.')})`,
		[
			gardenId,
			b.id,
			b.code,
			b.kindId,
			b.wayId,
			b.stockId,
			b.wantId,
			b.placeId,
			b.fromBatch,
			b.status,
			b.plannedOn,
			b.plannedCount,
			b.struckOn,
			b.struck,
			b.unrooted,
			b.rooted,
			b.potted,
			b.winteredOn,
			b.planted,
			b.given,
			b.kept,
			b.splitOff,
			b.lost,
			b.lostPlanted,
			b.lastOn,
			b.lastSign,
			JSON.stringify(b.cohorts),
			JSON.stringify(b.rootRecord),
			b.family,
			JSON.stringify(b.inherited),
			JSON.stringify(b.stays),
			JSON.stringify(b.treatment),
			b.container,
			JSON.stringify(b.seen),
			JSON.stringify(b.looks),
			b.tray && JSON.stringify(b.tray),
			b.foretold
		]
	);
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
