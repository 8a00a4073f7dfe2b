/** Copies of the whole database: made beside a running app, checked, put back as one. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import pg from 'pg';
import { newestMigration } from '../src/lib/server/schemaVersion.js';
import { serverPrograms } from './cluster.js';
import { ROOT, Stop } from './lib.js';

/** Nightly copies kept. */
const MOST_NIGHTLY = 7;
const NIGHTLY = /^night-\d{4}-\d\d-\d\d\.dump$/;
const DAY_MS = 86_400_000;

/** Runs one of PostgreSQL's programs on a database; the password goes by the environment, where no list of processes shows it. */
function onDatabase(url: string, program: string, args: readonly string[]): string {
	const at = new URL(url);
	const done = spawnSync(join(serverPrograms(), program), args, {
		encoding: 'utf8',
		env: {
			...process.env,
			PGHOST: at.hostname,
			PGPORT: at.port || '5432',
			PGUSER: decodeURIComponent(at.username),
			PGPASSWORD: decodeURIComponent(at.password),
			PGDATABASE: decodeURIComponent(at.pathname.slice(1))
		}
	});
	if (done.status === 0) return done.stdout;
	const said = (done.stderr || done.error?.message || '').trim().split('\n').at(-1) ?? '';
	throw new Stop(
		/No space left on device/i.test(done.stderr)
			? 'The disk is full: the copy was not made.'
			: `${program} did not do it: ${said}`
	);
}

/** What comes with the program is read afresh at the next start. */
const SHIPPED = ['--exclude-table-data=town', '--exclude-table-data=shipped'];

/** Writes a copy to a file, whole or not at all, and looks whether it can be read. */
export function backup(url: string, file: string): { bytes: number } {
	const to = resolve(file);
	if (!existsSync(dirname(to))) throw new Stop(`There is no folder ${dirname(to)}.`);
	const part = `${to}.part`;
	try {
		onDatabase(url, 'pg_dump', ['--format=custom', '--no-owner', '--no-privileges', ...SHIPPED, `--file=${part}`]);
		onDatabase(url, 'pg_restore', ['--list', part]);
		renameSync(part, to);
	} finally {
		rmSync(part, { force: true });
	}
	return { bytes: statSync(to).size };
}

async function onServer<T>(url: string, database: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
	const at = new URL(url);
	at.pathname = `/${database}`;
	const client = new pg.Client({ connectionString: at.href });
	await client.connect();
	try {
		return await work(client);
	} finally {
		await client.end();
	}
}

const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

/**
 * Puts a copy in the database's place. It is restored beside it and looked at first; what was there is kept under
 * another name, which is told.
 */
export async function restore(url: string, file: string): Promise<{ gardens: number; entries: number; before: string }> {
	if (!existsSync(file)) throw new Stop(`There is no file ${file}.`);
	try {
		onDatabase(url, 'pg_restore', ['--list', file]);
	} catch {
		throw new Stop(`${file} is not a copy that Surculus made, or it is damaged.`);
	}
	const name = decodeURIComponent(new URL(url).pathname.slice(1));
	const fresh = `${name}_restoring`;
	const before = `${name}_before_${new Date().toISOString().slice(0, 19).replace(/\D/g, '')}`;
	await onServer(url, 'postgres', async (admin) => {
		await admin.query(`DROP DATABASE IF EXISTS ${quoted(fresh)}`);
		await admin.query(`CREATE DATABASE ${quoted(fresh)}`);
	});
	try {
		onDatabase(url, 'pg_restore', ['--exit-on-error', '--no-owner', '--no-privileges', `--dbname=${fresh}`, file]);
		const found = await onServer(url, fresh, async (client) => {
			const { rows } = await client.query<{ version: number; gardens: number; entries: number }>(
				`SELECT (SELECT max(version) FROM schema_version)::int AS version, (SELECT count(*) FROM garden)::int AS gardens,
					(SELECT count(*) FROM entry)::int AS entries`
			);
			return rows[0]!;
		}).catch(() => {
			throw new Stop(`${file} holds another program’s data.`);
		});
		const newest = newestMigration(ROOT);
		if (found.version > newest)
			throw new Stop(
				`${file} was made by a newer Surculus (version ${found.version}; this copy knows ${newest}). Nothing was changed.`
			);
		await onServer(url, 'postgres', async (admin) => {
			await admin.query(
				'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = ANY ($1) AND pid <> pg_backend_pid()',
				[[name, fresh]]
			);
			await admin.query(`ALTER DATABASE ${quoted(name)} RENAME TO ${quoted(before)}`);
			await admin.query(`ALTER DATABASE ${quoted(fresh)} RENAME TO ${quoted(name)}`);
		});
		return { gardens: found.gardens, entries: found.entries, before };
	} catch (error) {
		await onServer(url, 'postgres', (admin) => admin.query(`DROP DATABASE IF EXISTS ${quoted(fresh)} WITH (FORCE)`)).catch(
			() => undefined
		);
		throw error;
	}
}

export const backupFolder = (home: string): string => {
	const folder = join(home, 'backups');
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	return folder;
};

/** The copy of the night, if the last is a day old; the oldest of more than seven go. Null when there was nothing to do. */
export function nightlyBackup(url: string, home: string, now = new Date()): string | null {
	const folder = backupFolder(home);
	const kept = readdirSync(folder)
		.filter((f) => NIGHTLY.test(f))
		.sort();
	const last = kept.at(-1);
	if (last && now.getTime() - statSync(join(folder, last)).mtimeMs < DAY_MS) return null;
	const file = join(folder, `night-${now.toISOString().slice(0, 10)}.dump`);
	backup(url, file);
	const all = readdirSync(folder)
		.filter((f) => NIGHTLY.test(f))
		.sort();
	for (const old of all.slice(0, Math.max(0, all.length - MOST_NIGHTLY))) rmSync(join(folder, old));
	return file;
}
