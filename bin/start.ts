/** Runs Surculus: database, stand-ins, app; ends them in order on Ctrl-C. */
import type { ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { buildIfStale } from './build.js';
import { ensureDatabase, homeOfCluster, openCluster } from './cluster.js';
import type { Cluster } from './cluster.js';
import { endChild, portTrouble, ROOT, say, startApp, Stop } from './lib.js';
import { startStandIns } from './standIns.js';

const HELP = `Usage: ./start [options]

  --empty        without the demo garden
  --port N       port to serve on (5273)
  --host ADDR    address to serve on (127.0.0.1); any other than loopback needs SURCULUS_PASSWORD
  --help         this text

DATABASE_URL     use this PostgreSQL (15 or newer) instead of a private one
SURCULUS_PASSWORD  the household's password, 12 characters or more
SURCULUS_DATA    folder of the private database and its copies (.surculus beside the program)`;

const MOST_PORT = 65_535;

async function main(): Promise<void> {
	const began = Date.now();
	let options: { empty?: boolean; port?: string; host?: string; help?: boolean };
	try {
		options = parseArgs({
			options: {
				empty: { type: 'boolean' },
				port: { type: 'string' },
				host: { type: 'string' },
				help: { type: 'boolean' }
			}
		}).values;
	} catch (error) {
		throw new Stop(`${(error as Error).message.split('.')[0]}.\n\n${HELP}`);
	}
	if (options.help) return say(HELP);
	const port = Number(options.port ?? process.env.PORT ?? 5273);
	if (!(Number.isInteger(port) && port >= 1 && port <= MOST_PORT)) throw new Stop(`--port: a number from 1 to ${MOST_PORT}.`);
	const host = options.host ?? '127.0.0.1';

	const { isLoopback, keepPassword, LEAST_PASSWORD } = await import('../src/lib/server/auth.js');
	const password = process.env.SURCULUS_PASSWORD ?? '';
	if (!isLoopback(host) && password.length < LEAST_PASSWORD)
		throw new Stop(
			`On ${host} others can reach Surculus, so it needs a household password: set SURCULUS_PASSWORD to ${LEAST_PASSWORD} characters or more and start again.`
		);

	const home = join(ROOT, '.surculus');
	mkdirSync(home, { recursive: true });
	const runFile = join(home, 'running.json');
	if (existsSync(runFile)) {
		const other = JSON.parse(readFileSync(runFile, 'utf8')) as { pid: number; address: string; children?: number[] };
		if (runs(other.pid, 'bin/start.ts'))
			throw new Stop(`Surculus runs from here already, at ${other.address} (process ${other.pid}).`);
		// A start that was killed outright leaves its children behind, on their ports.
		const left = (other.children ?? []).filter((pid) => runs(pid, 'build/index.js') || runs(pid, 'stand-ins/'));
		for (const pid of left) process.kill(pid, 'SIGTERM');
		if (left.length > 0) {
			say('An app left running by a crash was found: ending it in order.');
			for (let i = 0; i < 60 && left.some((pid) => runs(pid, '')); i++) await new Promise((r) => setTimeout(r, 100));
		}
	}
	const trouble = await portTrouble(host, port);
	if (trouble) throw new Stop(trouble);
	const shown = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
	const address = `http://${shown.includes(':') ? `[${shown}]` : shown}:${port}`;
	writeFileSync(runFile, JSON.stringify({ pid: process.pid, address }));

	let cluster: Cluster | null = null;
	const children: ChildProcess[] = [];
	let ending = false;
	const end = async (code: number) => {
		if (ending) return;
		ending = true;
		for (const child of children.reverse()) await endChild(child);
		cluster?.stop();
		rmSync(runFile, { force: true });
		process.exit(code);
	};
	for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end(0));

	try {
		buildIfStale();
		let url = process.env.DATABASE_URL;
		if (!url) {
			cluster = await openCluster(homeOfCluster());
			await ensureDatabase(cluster, 'surculus');
			url = cluster.url('surculus');
		}
		process.env.DATABASE_URL = url;
		process.env.SURCULUS_HOME = ROOT;
		const { migrate } = await import('../src/lib/server/migrate.js');
		const moved = await migrate(url, ROOT).catch((error: Error & { code?: string }) => {
			const sentence = /ECONNREFUSED|ENOTFOUND|ETIMEDOUT|28P01|3D000/.test(`${error.code} ${error.message}`)
				? `The database at DATABASE_URL cannot be reached: ${error.message}`
				: error.message;
			throw new Stop(sentence);
		});
		if (moved.from > 0 && moved.from < moved.to) say(`The database was brought from version ${moved.from} to ${moved.to}.`);
		// State that an older copy derived, or a kill left half-derived, is derived from the ledger afresh.
		const { rebuildStale, RebuildRefused } = await import('../src/lib/server/ledger.js');
		const derived = await rebuildStale().catch((error: Error) => {
			throw error instanceof RebuildRefused ? new Stop(error.message) : error;
		});
		if (derived > 0) say(`The state of ${derived === 1 ? 'a garden' : `${derived} gardens`} was derived from the ledger afresh.`);
		if (!options.empty) {
			const { loadDemoIfEmpty } = await import('../demo/load.js');
			if (await loadDemoIfEmpty()) say('The demo garden was loaded.');
		}
		const standIns = await startStandIns();
		children.push(...standIns.children);
		// Requests are told in a file; the terminal stays quiet, with the address as its last line.
		const logFile = join(home, 'app.log');
		const env = {
			DATABASE_URL: url,
			SURCULUS_STAND_INS: standIns.addresses,
			SURCULUS_PASSWORD: '',
			...(password.length >= LEAST_PASSWORD ? { SURCULUS_PASSWORD_HASH: await keepPassword(password) } : {})
		};
		const app = await startApp(port, host, env, openSync(logFile, 'w')).catch((error: Error) => {
			throw error instanceof Stop ? new Stop(error.message.replace('the lines above', logFile)) : error;
		});
		children.push(app);
		writeFileSync(runFile, JSON.stringify({ pid: process.pid, address, children: children.map((c) => c.pid) }));
		app.once('exit', () => {
			if (!ending) {
				process.stderr.write('The app ended by itself.\n');
				void end(1);
			}
		});
		say(`Ready after ${((Date.now() - began) / 1000).toFixed(1)} s. Ctrl-C ends it.`);
		say(`Surculus is at ${address}`);
	} catch (error) {
		process.stderr.write(`${error instanceof Stop ? error.message : (error as Error).stack}\n`);
		await end(1);
	}
}

/** Does that process run, and is it ours (its command holds the words), not another that got its number? */
function runs(pid: number, words: string): boolean {
	try {
		process.kill(pid, 0);
		return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(words);
	} catch {
		return false;
	}
}

main().catch((error: unknown) => {
	process.stderr.write(`${error instanceof Stop ? error.message : (error as Error).stack}\n`);
	process.exit(1);
});
