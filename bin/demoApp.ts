/** An app of its own over a throw-away database: for end-to-end tests, pictures and measurements. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { ensureDatabase, throwAwayCluster } from './cluster.js';
import type { Cluster } from './cluster.js';
import { endChild, freePort, ROOT, startApp } from './lib.js';
import { startStandIns } from './standIns.js';

/** A day in late summer: windows open, batches rooting, the first frost four weeks off. */
export const DEMO_TODAY = '2026-09-05';

/** How Debian's Chromium is started: without a sandbox for root, and asking nothing of the network. */
export const CHROMIUM = {
	executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
	args: [
		'--no-sandbox',
		'--disable-gpu',
		'--disable-quic',
		'--no-first-run',
		'--disable-background-networking',
		'--disable-component-update',
		'--disable-sync'
	]
};

export interface DemoApp {
	url: string;
	cluster: Cluster;
	databaseUrl: string;
	/** Addresses of the stand-ins it was given. */
	standIns: Map<string, string>;
	/** The app's process. */
	pid: number;
	/** What a start does before the app: migrates, and derives what is stale. */
	prepare(): void;
	close(): Promise<void>;
}

interface Options {
	demo: boolean;
	towns?: boolean;
	env?: NodeJS.ProcessEnv;
}

const environment = (databaseUrl: string, more: NodeJS.ProcessEnv = {}): NodeJS.ProcessEnv => ({
	...process.env,
	DATABASE_URL: databaseUrl,
	SURCULUS_TODAY: DEMO_TODAY,
	SURCULUS_HOME: ROOT,
	LOG_LEVEL: process.env.APP_LOG ?? 'silent',
	// Two apps and two browsers at once: what is slow there is not wrong.
	SURCULUS_PATIENCE: '5',
	...more
});

/** What a start does before the app. In a process of its own: other loaders do not know the app's path names. */
function prepareDatabase(env: NodeJS.ProcessEnv, { demo, towns }: Options): void {
	const args = ['--import', 'tsx', join(ROOT, 'bin', 'prepare.ts'), ...(demo ? ['--demo'] : []), ...(towns ? ['--towns'] : [])];
	const ready = spawnSync(process.execPath, args, { cwd: ROOT, env, encoding: 'utf8' });
	if (ready.status !== 0) throw new Error(ready.stderr);
}

/**
 * A database with the demo and one without, made once and stopped: whoever opens many apps copies them, which takes a
 * tenth of a second instead of twenty seconds. Returns how they are taken away.
 */
export async function makeTemplates(): Promise<() => void> {
	const bare = await throwAwayCluster();
	await ensureDatabase(bare, 'app');
	prepareDatabase(environment(bare.url('app')), { demo: false });
	bare.stop();
	const demo = await throwAwayCluster(bare.home);
	prepareDatabase(environment(demo.url('app')), { demo: true });
	demo.stop();
	process.env.SURCULUS_TEMPLATE_BARE = bare.home;
	process.env.SURCULUS_TEMPLATE_DEMO = demo.home;
	return () => {
		bare.remove();
		demo.remove();
	};
}

export async function openDemoApp(options: Options = { demo: true }): Promise<DemoApp> {
	const template = options.demo ? process.env.SURCULUS_TEMPLATE_DEMO : process.env.SURCULUS_TEMPLATE_BARE;
	const cluster = await throwAwayCluster(template);
	if (template === undefined) await ensureDatabase(cluster, 'app');
	const databaseUrl = cluster.url('app');
	const env = environment(databaseUrl, options.env);
	const prepare = () => prepareDatabase(env, options);
	if (template === undefined || options.towns) prepare();
	const port = await freePort();
	const others = await startStandIns();
	const standIns = await Promise.all(others.services.map((s) => s.start()));
	const child = await startApp(port, '127.0.0.1', { SURCULUS_STAND_INS: others.addresses, ...env }, 'ignore');
	if (options.demo) await weatherCame(databaseUrl, `http://127.0.0.1:${port}`);
	return {
		url: `http://127.0.0.1:${port}`,
		cluster,
		databaseUrl,
		standIns: new Map(others.addresses.split(',').map((pair) => pair.split(/=(.*)/s).slice(0, 2) as [string, string])),
		pid: child.pid!,
		prepare,
		close: async () => {
			await endChild(child);
			for (const other of standIns) await endChild(other);
			cluster.remove();
		}
	};
}

/**
 * What the demo's station tells is there before anything is measured or compared: a slow machine waits for it, and one
 * on which it did not answer in time asks again; three minutes at most.
 */
async function weatherCame(databaseUrl: string, url: string): Promise<void> {
	const client = new pg.Client({ connectionString: databaseUrl });
	await client.connect();
	const began = Date.now();
	while (Date.now() - began < 180_000) {
		const { rowCount } = await client.query('SELECT 1 FROM station_state WHERE ok_at IS NOT NULL');
		if (rowCount) break;
		const late = await client.query("UPDATE station_state SET tried_at = 'epoch', trouble = NULL WHERE trouble IS NOT NULL");
		if (late.rowCount) await (await fetch(`${url}/g/three-alders/weather`)).text();
		await pause(200);
	}
	await client.end();
}
