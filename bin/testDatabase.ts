/** For tests: a server for the whole run, and a fresh database for each file that asks. */
import pg from 'pg';
import { throwAwayCluster } from './cluster.js';
import { ROOT } from './lib.js';

/** Vitest global set-up: uses DATABASE_URL's server when given, else a throw-away one. */
export default async function setup(): Promise<() => void> {
	process.env.LOG_LEVEL = 'silent';
	process.env.SURCULUS_HOME = ROOT;
	if (process.env.SURCULUS_TEST_SERVER) return () => undefined;
	const cluster = await throwAwayCluster();
	process.env.SURCULUS_TEST_SERVER = cluster.url('postgres');
	return () => cluster.remove();
}

/** Makes a migrated database and points DATABASE_URL at it. */
export async function freshDatabase(name: string): Promise<string> {
	const server = process.env.SURCULUS_TEST_SERVER!;
	const client = new pg.Client({ connectionString: server });
	await client.connect();
	await client.query(`DROP DATABASE IF EXISTS "${name}"`);
	await client.query(`CREATE DATABASE "${name}"`);
	await client.end();
	const url = new URL(server);
	url.pathname = `/${name}`;
	process.env.DATABASE_URL = url.href;
	const { migrate } = await import('../src/lib/server/migrate.js');
	await migrate(url.href, ROOT);
	return url.href;
}
