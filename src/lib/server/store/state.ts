/** SQL of the projections: one table a subject, read and written whole rows. */
import type { Queryable } from '../db.js';
import type { GardenData, Place, Stock, Want } from '$lib/core/ledger/index.js';

export * from './batches.js';

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

export interface PlaceRow extends Place {
	version: number;
}

export async function places(db: Queryable, gardenId: string): Promise<PlaceRow[]> {
	const { rows } = await db.query<PlaceRow>(
		`SELECT id, name, kind, body, light, faces, glass, lamp_umol, lamp_hours, level_of, low_c, high_c, room_cm2, walk,
			guard_cover, heater_w, heater_c, guarded_on, shape, closed, version FROM place
		 WHERE garden_id = $1 ORDER BY walk, name, id`,
		[gardenId]
	);
	return rows;
}

export async function putPlace(db: Queryable, gardenId: string, p: Place): Promise<void> {
	await db.query(
		`INSERT INTO place (garden_id, id, name, kind, body, light, low_c, high_c, room_cm2, walk, closed, guard_cover, heater_w, heater_c, guarded_on,
			faces, glass, lamp_umol, lamp_hours, level_of, shape)
		 VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20, $21)
		 ON CONFLICT (garden_id, id) DO UPDATE SET name = EXCLUDED.name, kind = EXCLUDED.kind, body = EXCLUDED.body, light = EXCLUDED.light,
			low_c = EXCLUDED.low_c, high_c = EXCLUDED.high_c, room_cm2 = EXCLUDED.room_cm2, walk = EXCLUDED.walk, closed = EXCLUDED.closed,
			guard_cover = EXCLUDED.guard_cover, heater_w = EXCLUDED.heater_w, heater_c = EXCLUDED.heater_c, guarded_on = EXCLUDED.guarded_on,
			faces = EXCLUDED.faces, glass = EXCLUDED.glass, lamp_umol = EXCLUDED.lamp_umol, lamp_hours = EXCLUDED.lamp_hours,
			level_of = EXCLUDED.level_of, shape = EXCLUDED.shape`,
		[
			...[gardenId, p.id, p.name, p.kind, p.body, p.light, p.low_c, p.high_c, p.room_cm2, p.walk, p.closed],
			...[
				p.guard_cover,
				p.heater_w,
				p.heater_c,
				p.guarded_on,
				p.faces,
				p.glass,
				p.lamp_umol,
				p.lamp_hours,
				p.level_of,
				JSON.stringify(p.shape)
			]
		]
	);
}

export interface StockRow extends Stock {
	version: number;
	/** Last day on which it was looked over, or something that has ended since was struck from it. */
	seen_on: string;
	/** Where it has stood from which day on, the first told first. */
	stays: { from: string; placeId: string | null }[];
	/** Where each of it was set in a bed, from which day on. */
	spots: { from: string; placeId: string; at: [number, number][] }[];
}

const STOCK = `id, kind_id, place_id, label, count, size_cm, age_years, condition, protection, protected_until,
	leave_basis, leave_reference, from_batch, since, COALESCE(told_on, since) AS told_on, gone_on, gone_why, gone_cause, stands_at, version,
	(SELECT COALESCE(jsonb_agg(jsonb_build_object('from', e.happened_on, 'placeId', e.data->>'place_id') ORDER BY e.seq), '[]')
	 FROM entry e WHERE e.garden_id = stock.garden_id AND e.subject = 'stock' AND e.subject_id = stock.id
		AND e.kind IN ('stock.set', 'stock.moved') AND NOT entry_is_undone(e.garden_id, e.id)) AS stays,
	(SELECT COALESCE(jsonb_agg(jsonb_build_object('from', e.happened_on, 'placeId', e.data->>'place_id', 'at', e.data->'at') ORDER BY e.seq), '[]')
	 FROM entry e WHERE e.garden_id = stock.garden_id AND e.subject = 'stock' AND e.subject_id = stock.id
		AND e.kind = 'stock.placed' AND NOT entry_is_undone(e.garden_id, e.id)) AS spots,
	GREATEST(COALESCE(told_on, since), (SELECT max(b.struck_on) FROM batch b
		WHERE b.garden_id = stock.garden_id AND b.stock_id = stock.id)) AS seen_on`;

export async function stocks(db: Queryable, gardenId: string): Promise<StockRow[]> {
	const { rows } = await db.query<StockRow>(`SELECT ${STOCK} FROM stock WHERE garden_id = $1 ORDER BY since, id`, [gardenId]);
	return rows;
}

export async function stockById(db: Queryable, gardenId: string, id: string): Promise<StockRow | null> {
	const { rows } = await db.query<StockRow>(`SELECT ${STOCK} FROM stock WHERE garden_id = $1 AND id = $2`, [gardenId, id]);
	return rows[0] ?? null;
}

export async function putStock(db: Queryable, gardenId: string, s: Stock): Promise<void> {
	await db.query(
		`INSERT INTO stock (garden_id, id, kind_id, place_id, label, count, size_cm, age_years, condition, protection, protected_until,
			leave_basis, leave_reference, from_batch, since, told_on, gone_on, gone_why, gone_cause, stands_at)
		 VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20)
		 ON CONFLICT (garden_id, id) DO UPDATE SET kind_id = EXCLUDED.kind_id, place_id = EXCLUDED.place_id, label = EXCLUDED.label,
			count = EXCLUDED.count, size_cm = EXCLUDED.size_cm, age_years = EXCLUDED.age_years, condition = EXCLUDED.condition,
			protection = EXCLUDED.protection, protected_until = EXCLUDED.protected_until, leave_basis = EXCLUDED.leave_basis,
			leave_reference = EXCLUDED.leave_reference, from_batch = EXCLUDED.from_batch, since = EXCLUDED.since,
			told_on = EXCLUDED.told_on, gone_on = EXCLUDED.gone_on, gone_why = EXCLUDED.gone_why, gone_cause = EXCLUDED.gone_cause, stands_at = EXCLUDED.stands_at`,
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
			s.gone_why,
			s.gone_cause,
			JSON.stringify(s.stands_at)
		]
	);
}

export interface WantRow extends Want {
	version: number;
}

const WANT =
	'id, kind_id, purpose, label, place_id, target, due, confidence, shape, since, dropped_on, dropped_why, enough, late_weeks, weighs, or_kinds, waits_for, may_buy, buying, bought, least_cm';

export async function wants(db: Queryable, gardenId: string): Promise<WantRow[]> {
	const { rows } = await db.query<WantRow>(`SELECT ${WANT}, version FROM want WHERE garden_id = $1 ORDER BY due, id`, [gardenId]);
	return rows;
}

export async function wantById(db: Queryable, gardenId: string, id: string): Promise<WantRow | null> {
	const { rows } = await db.query<WantRow>(`SELECT ${WANT}, version FROM want WHERE garden_id = $1 AND id = $2`, [gardenId, id]);
	return rows[0] ?? null;
}

export async function putWant(db: Queryable, gardenId: string, w: Want): Promise<void> {
	await db.query(
		`INSERT INTO want (garden_id, ${WANT}) VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20, $21, $22)
		 ON CONFLICT (garden_id, id) DO UPDATE SET kind_id = EXCLUDED.kind_id, purpose = EXCLUDED.purpose, label = EXCLUDED.label,
			place_id = EXCLUDED.place_id, target = EXCLUDED.target, due = EXCLUDED.due, confidence = EXCLUDED.confidence,
			shape = EXCLUDED.shape, since = EXCLUDED.since, dropped_on = EXCLUDED.dropped_on, dropped_why = EXCLUDED.dropped_why,
			enough = EXCLUDED.enough, late_weeks = EXCLUDED.late_weeks, weighs = EXCLUDED.weighs, or_kinds = EXCLUDED.or_kinds, waits_for = EXCLUDED.waits_for,
			may_buy = EXCLUDED.may_buy, buying = EXCLUDED.buying, bought = EXCLUDED.bought, least_cm = EXCLUDED.least_cm`,
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
			w.dropped_why,
			w.enough,
			w.late_weeks,
			w.weighs,
			w.or_kinds,
			w.waits_for,
			w.may_buy,
			w.buying,
			w.bought,
			w.least_cm
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
