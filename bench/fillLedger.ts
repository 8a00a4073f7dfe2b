/** Fills the demo garden's ledger with ended batches of earlier years, by SQL, as a full life would. */
import pg from 'pg';

/** Entries a batch leaves behind: struck, two checks, potted, counted after winter, planted. */
const PER_BATCH = 6;

export async function fillLedger(url: string, entries: number): Promise<{ entries: number; batches: number }> {
	const client = new pg.Client({ connectionString: url });
	await client.connect();
	const batches = Math.floor(entries / PER_BATCH);
	await client.query(
		`CREATE TEMP TABLE old AS
		 SELECT gen_random_uuid() AS id, n, date '2020-01-01' + (n % 1700) AS on_day,
			(ARRAY['lavender', 'penstemon', 'fuchsia', 'catmint', 'sage'])[1 + n % 5] AS kind_id,
			(ARRAY['semi-ripe', 'soft-tip', 'soft-tip', 'soft-tip', 'semi-ripe'])[1 + n % 5] AS way_id,
			'Z' || lpad(to_hex(n), 5, '0') AS code
		 FROM generate_series(1, $1) AS n`,
		[batches]
	);
	await client.query(
		`INSERT INTO entry (garden_id, id, kind, subject, subject_id, group_id, happened_on, data, line, kind_id)
		 SELECT g.id, gen_random_uuid(), k.kind, 'batch', o.id, gen_random_uuid(), o.on_day + k.after, '{}', o.code || ' ' || o.kind_id || ': ' || k.words, o.kind_id
		 FROM garden g, old o, (VALUES ('batch.struck', 0, 'struck 20'), ('batch.checked', 30, '18 alive, 9 rooted, firm'), ('batch.checked', 45, '17 alive, 15 rooted, roots seen'),
			('batch.potted', 50, 'potted 15'), ('batch.wintered', 270, '13 came through the winter'), ('batch.planted', 290, 'planted 13')) AS k (kind, after, words)`
	);
	await client.query(
		`INSERT INTO batch (garden_id, id, code, kind_id, way_id, status, planned_count, struck_on, struck, unrooted, rooted, potted, wintered_on, planted, given, kept, split_off,
			lost, lost_planted, last_on, treatment, container, seen, version)
		 SELECT g.id, o.id, o.code, o.kind_id, o.way_id, 'done', 0, o.on_day, 20, 0, 0, 0, o.on_day + 270, 13, 0, 0, 0, 7, 0, o.on_day + 290, '{}', '',
			'{"rooted": {"passed": 15, "failed": 5}, "potted": {"passed": 15, "failed": 0}, "wintered": {"passed": 13, "failed": 2}, "planted": {"passed": 13, "failed": 0}}', 6
		 FROM garden g, old o`
	);
	await client.query('VACUUM ANALYZE');
	const { rows } = await client.query<{ n: string }>('SELECT count(*) AS n FROM entry');
	await client.end();
	return { entries: Number(rows[0]!.n), batches };
}
