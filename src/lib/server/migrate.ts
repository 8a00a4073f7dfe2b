/**
 * Brings the database up to the code's version; refuses one that is newer than the code. Scripts and version rows are
 * one transaction: a kill anywhere leaves the old version or the new one.
 */
import { join } from 'node:path';
import pg from 'pg';
import Postgrator from 'postgrator';
import { grantAppRole } from './roles.js';
import { newestMigration } from './schemaVersion.js';

export class DatabaseNewer extends Error {}

/** Postgres advisory lock held while migrating, so that two starts at once do not collide. */
const LOCK = 7_348_201;

/**
 * @param beforehand called with the versions before anything is changed: whoever keeps copies makes one
 */
export async function migrate(
	url: string,
	root: string,
	beforehand: (from: number, to: number) => Promise<void> = () => Promise.resolve()
): Promise<{ from: number; to: number }> {
	const folder = join(root, 'db', 'migrations');
	const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 5_000 });
	// Without a listener a connection cut in the middle would end the process; the query that waits says so itself.
	client.on('error', () => undefined);
	await client.connect();
	try {
		await client.query('SELECT pg_advisory_lock($1)', [LOCK]);
		const { server_version_num } = (await client.query<{ server_version_num: string }>('SHOW server_version_num')).rows[0]!;
		if (Number(server_version_num) < 150_000)
			throw new Error(`This is PostgreSQL ${server_version_num}; Surculus needs version 15 or newer.`);
		const postgrator = new Postgrator({
			migrationPattern: join(folder, '*.sql'),
			driver: 'pg',
			schemaTable: 'schema_version',
			execQuery: (query: string) => client.query(query)
		});
		const newest = newestMigration(root);
		const from = await postgrator.getDatabaseVersion().catch(() => 0);
		if (from > newest)
			throw new DatabaseNewer(
				`The database is at version ${from}, this copy of Surculus knows ${newest}: it was last opened by a newer Surculus. Start that one, or give another DATABASE_URL.`
			);
		await beforehand(from, newest);
		await client.query('BEGIN');
		if (from < newest) await postgrator.migrate(String(newest));
		await grantAppRole(client);
		await client.query('COMMIT');
		return { from, to: newest };
	} finally {
		await client.end();
	}
}
