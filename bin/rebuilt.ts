/** Is the state what the ledger tells? Every table of it, before and after it is derived anew. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import pg from 'pg';
import { ROOT } from './lib.js';
import { PROJECTIONS } from '../src/lib/server/store/projections.js';

async function sums(url: string): Promise<Map<string, string>> {
	const client = new pg.Client({ connectionString: url });
	await client.connect();
	const found = new Map<string, string>();
	for (const table of Object.values(PROJECTIONS)) {
		const { rows } = await client.query<{ sum: string }>(
			`SELECT count(*) || ' ' || coalesce(md5(string_agg(t::text, E'\n' ORDER BY t::text)), '') AS sum FROM ${table} t`
		);
		found.set(table, rows[0]!.sum);
	}
	await client.end();
	return found;
}

/** Tables whose rows are others after a rebuild; none, if all is well. */
export async function unequalAfterRebuild(url: string): Promise<string[]> {
	const before = await sums(url);
	const env = { ...process.env, DATABASE_URL: url };
	const done = spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, 'bin', 'rebuild.ts')], {
		cwd: ROOT,
		env,
		encoding: 'utf8'
	});
	if (done.status !== 0) throw new Error(done.stderr);
	const after = await sums(url);
	return [...before].flatMap(([table, sum]) => (after.get(table) === sum ? [] : [table]));
}
