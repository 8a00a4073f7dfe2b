/** The connection to PostgreSQL. Dates come and go as ISO strings, never as instants. */
import pg from 'pg';
import { log } from './log.js';
import { APP_ROLE } from './roles.js';

pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);
pg.types.setTypeParser(pg.types.builtins.INT8, (text) => Number(text));

export type Queryable = Pick<pg.ClientBase, 'query'>;

let pool: pg.Pool | null = null;

const MOST_CONNECTIONS = 10;
/**
 * A wait for another's lock or connection is told before a person gives up; a doing that hangs lets its locks go. A
 * crowd that writes from several processes, while a plan is worked out, is through in less.
 */
const LOCK_WAIT_MS = 10_000;
const IDLE_IN_DOING_MS = 15_000;
/** Of a name misspelt so much must be alike (pg_trgm's word similarity, 0 to 1). Own judgement. */
const LEAST_ALIKE = 0.5;

export function database(): pg.Pool {
	if (pool) return pool;
	const url = process.env.DATABASE_URL;
	if (!url) throw new DatabaseDown('DATABASE_URL is not set: start the app with ./start.');
	pool = new pg.Pool({
		connectionString: url,
		max: Number(process.env.DATABASE_POOL ?? MOST_CONNECTIONS),
		connectionTimeoutMillis: LOCK_WAIT_MS,
		idleTimeoutMillis: 30_000,
		statement_timeout: 20_000,
		lock_timeout: LOCK_WAIT_MS,
		idle_in_transaction_session_timeout: IDLE_IN_DOING_MS,
		// Never as the owner: the ledger's rows can only be added to and read.
		options: `-c role=${APP_ROLE} -c pg_trgm.word_similarity_threshold=${LEAST_ALIKE}`,
		application_name: 'surculus'
	});
	// A server that goes away ends idle connections; the next query says so where someone listens.
	pool.on('error', (error) => log.warn({ err: error.message }, 'a database connection was lost'));
	return pool;
}

export async function closeDatabase(): Promise<void> {
	const closing = pool;
	pool = null;
	await closing?.end();
}

/** The database cannot be reached. Shown as a page of its own, with what was typed kept. */
export class DatabaseDown extends Error {
	readonly code = 'database.down';
}

/** The database is there, but too many ask for the same thing. */
export class DatabaseBusy extends Error {}

const CONNECTION_CODES = new Set(['ECONNREFUSED', 'ECONNRESET', 'ENOENT', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND']);

/** Is this the database gone, rather than our own mistake? Class 08 and 57P0x are lost connections and shutdowns. */
export function isDatabaseDown(error: unknown): boolean {
	if (error instanceof DatabaseDown) return true;
	if (error instanceof AggregateError) return error.errors.some(isDatabaseDown);
	if (!(error instanceof Error)) return false;
	const code = (error as { code?: string }).code ?? '';
	return (
		CONNECTION_CODES.has(code) ||
		/^(08|57P0)/.test(code) ||
		/Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/i.test(error.message)
	);
}

/** Is there no room left where the data lie? */
export const isDatabaseFull = (error: unknown): boolean => (error as { code?: string } | null)?.code === '53100';

/** Is the database there, but another's work in the way? 55P03: a lock is held; 57014: a query took too long; else all connections are out. */
export function isDatabaseBusy(error: unknown): boolean {
	if (!(error instanceof Error)) return false;
	if (error instanceof DatabaseBusy) return true;
	const code = (error as { code?: string }).code ?? '';
	if (code === '55P03' || code === '57014' || code === '25P03' || code === '53300') return true;
	return (
		/timeout exceeded when trying to connect/i.test(error.message) && pool !== null && pool.idleCount === 0 && pool.totalCount > 0
	);
}

/** Runs work in one transaction; anything thrown rolls all of it back. */
export async function transaction<T>(work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
	const client = await database().connect();
	// Without a listener a connection lost in the middle would end the process.
	const ignore = () => undefined;
	client.on('error', ignore);
	let broken: Error | undefined;
	try {
		await client.query('BEGIN');
		const result = await work(client);
		await client.query('COMMIT');
		return result;
	} catch (error) {
		await client.query('ROLLBACK').catch((e: Error) => (broken = e));
		throw error;
	} finally {
		client.off('error', ignore);
		client.release(broken);
	}
}
