/** An app of its own for a spec: fresh database, the demo or none, today pinned. */
import { test as base } from '@playwright/test';
import type { ChildProcess } from 'node:child_process';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import pg from 'pg';
import { throwAwayCluster } from '../bin/cluster.js';
import type { Cluster } from '../bin/cluster.js';
import { endChild, freePort, ROOT, startApp } from '../bin/lib.js';

export { expect } from '@playwright/test';

/** A day in late summer: windows open, batches rooting, the first frost four weeks off. */
export const TODAY = '2026-09-05';

export interface App {
	url: string;
	cluster: Cluster;
	/** The demo garden's path. */
	demo: string;
}

export interface AppOptions {
	demo: boolean;
	env: NodeJS.ProcessEnv;
	host: string;
}

export const test = base.extend<object, { app: App; appOptions: AppOptions }>({
	appOptions: [
		{ demo: true, env: {}, host: '127.0.0.1' },
		{ option: true, scope: 'worker' }
	],
	app: [
		async ({ appOptions }, use) => {
			const cluster = await throwAwayCluster();
			const client = new pg.Client({ connectionString: cluster.url('postgres') });
			await client.connect();
			await client.query('CREATE DATABASE app');
			await client.end();
			const env = {
				...process.env,
				DATABASE_URL: cluster.url('app'),
				SURCULUS_TODAY: TODAY,
				SURCULUS_HOME: ROOT,
				LOG_LEVEL: 'silent',
				...appOptions.env
			};
			// In a process of its own: Playwright's loader does not know the app's path names.
			const ready = spawnSync(
				process.execPath,
				['--import', 'tsx', join(ROOT, 'bin', 'prepare.ts'), ...(appOptions.demo ? ['--demo'] : [])],
				{ cwd: ROOT, env, encoding: 'utf8' }
			);
			if (ready.status !== 0) throw new Error(ready.stderr);
			const port = await freePort();
			const child: ChildProcess = await startApp(port, appOptions.host, env, 'ignore');
			await use({
				url: `http://127.0.0.1:${port}`,
				cluster,
				demo: `http://127.0.0.1:${port}/g/three-alders`
			});
			await endChild(child);
			cluster.remove();
		},
		{ scope: 'worker', timeout: 120_000 }
	]
});
