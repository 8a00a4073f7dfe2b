/** Runs Surculus: database, stand-ins, app; keeps them running; ends them in order on Ctrl-C. Makes and puts back copies. */
import type { ChildProcess } from 'node:child_process';
import { existsSync, openSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { backup, backupFolder, nightlyBackup, restore } from './backup.js';
import { buildIfStale } from './build.js';
import { ensureDatabase, openCluster, runningCluster } from './cluster.js';
import type { Cluster } from './cluster.js';
import { dataHome } from './dataHome.js';
import { endChild, portTrouble, ROOT, say, startApp, Stop } from './lib.js';
import { startStandIns } from './standIns.js';
import { keepDatabase, keepRunning } from './watch.js';
import type { Kept } from './watch.js';

const HELP = `Usage: ./start [options]

  --empty          without the demo garden
  --port N         port to serve on (5273)
  --host ADDR      address to serve on (127.0.0.1); any other than loopback needs SURCULUS_PASSWORD
  --backup FILE    write a copy of everything to a file, whether or not Surculus runs, and end
  --restore FILE   put such a copy in the place of what is there, which is kept under another name, and end
  --help           this text

DATABASE_URL       use this PostgreSQL (15 or newer) instead of a private one
SURCULUS_PASSWORD  the household's password, 12 characters or more
SURCULUS_DATA      folder of the private database and its copies (.surculus beside the program)`;

const MOST_PORT = 65_535;
const HOUR_MS = 3_600_000;
/** A log longer than this is put aside at the next start. */
const MOST_LOG_BYTES = 10_000_000;

interface Options {
	empty?: boolean;
	port?: string;
	host?: string;
	backup?: string;
	restore?: string;
	help?: boolean;
}

function optionsGiven(): Options {
	try {
		return parseArgs({
			options: {
				empty: { type: 'boolean' },
				port: { type: 'string' },
				host: { type: 'string' },
				backup: { type: 'string' },
				restore: { type: 'string' },
				help: { type: 'boolean' }
			}
		}).values;
	} catch (error) {
		throw new Stop(`${(error as Error).message.split('.')[0]}.\n\n${HELP}`);
	}
}

interface Running {
	pid: number;
	address: string;
	children?: number[];
}

/** What the last start wrote down of itself; null when there is nothing, or nothing that can be read. */
function lastRun(file: string): Running | null {
	try {
		const told = JSON.parse(readFileSync(file, 'utf8')) as Running;
		return Number.isInteger(told.pid) ? told : null;
	} catch {
		// Cut off by a crash: what it would have told is looked for by the database's own files.
		return null;
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

/** Another start of the same data is told; the children that a killed one left behind are ended. */
async function makeWay(runFile: string): Promise<void> {
	const other = lastRun(runFile);
	if (!other) return;
	if (runs(other.pid, 'bin/start.ts'))
		throw new Stop(`Surculus runs from here already, at ${other.address} (process ${other.pid}).`);
	const left = (other.children ?? []).filter((pid) => runs(pid, 'build/index.js') || runs(pid, 'stand-ins/'));
	for (const pid of left) process.kill(pid, 'SIGTERM');
	if (left.length === 0) return;
	say('An app left running by a crash was found: ending it in order.');
	for (let i = 0; i < 60 && left.some((pid) => runs(pid, '')); i++) await new Promise((r) => setTimeout(r, 100));
}

/** Makes a copy or puts one back. */
async function copies(home: string, runFile: string, options: Options): Promise<void> {
	let mine: Cluster | null = null;
	try {
		let url = process.env.DATABASE_URL;
		if (!url) {
			const cluster = runningCluster(home) ?? (mine = await openCluster(home));
			await ensureDatabase(cluster, 'surculus');
			url = cluster.url('surculus');
		}
		if (options.backup) {
			const { bytes } = backup(url, options.backup);
			say(`A copy of everything is in ${options.backup} (${(bytes / 1e6).toFixed(1)} MB).`);
		}
		if (options.restore) {
			const other = lastRun(runFile);
			if (other && runs(other.pid, 'bin/start.ts'))
				throw new Stop(`Surculus runs at ${other.address}: end it first, so that nobody writes meanwhile.`);
			const put = await restore(url, options.restore);
			say(
				`Put back: ${put.gardens} ${put.gardens === 1 ? 'garden' : 'gardens'}, ${put.entries} entries. What was there before is kept as the database ${put.before}.`
			);
		}
	} finally {
		mine?.stop();
	}
}

/** Requests are told in a file that only its owner reads; it outlives a crash. */
function openLog(home: string): { file: string; fd: number } {
	const file = join(home, 'app.log');
	if (existsSync(file) && statSync(file).size > MOST_LOG_BYTES) renameSync(file, `${file}.1`);
	return { file, fd: openSync(file, 'a', 0o600) };
}

/** Brings the database up to this copy of the code, with a copy made before anything is changed. */
async function bringUp(url: string, home: string): Promise<void> {
	const { migrate } = await import('../src/lib/server/migrate.js');
	const moved = await migrate(url, ROOT, (from, to) => {
		if (from > 0 && from < to) {
			const file = join(backupFolder(home), `before-version-${to}-${new Date().toISOString().slice(0, 10)}.dump`);
			backup(url, file);
			say(`Before the upgrade a copy was made: ${file}`);
		}
		return Promise.resolve();
	}).catch((error: Error & { code?: string }) => {
		throw new Stop(
			/ECONNREFUSED|ENOTFOUND|ETIMEDOUT|28P01|3D000/.test(`${error.code} ${error.message}`)
				? `The database at DATABASE_URL cannot be reached: ${error.message}`
				: error.message
		);
	});
	if (moved.from > 0 && moved.from < moved.to) say(`The database was brought from version ${moved.from} to ${moved.to}.`);
	// State that an older copy derived, or a kill left half-derived, is derived from the ledger afresh.
	const { rebuildStale, RebuildRefused } = await import('../src/lib/server/ledger.js');
	const derived = await rebuildStale().catch((error: Error) => {
		throw error instanceof RebuildRefused ? new Stop(error.message) : error;
	});
	if (derived > 0) say(`The state of ${derived === 1 ? 'a garden' : `${derived} gardens`} was derived from the ledger afresh.`);
}

/** A copy a night; a disk that is full is told, and asked again the next hour. */
function keepNightly(url: string, home: string, ending: () => boolean): void {
	const look = () => {
		if (ending()) return;
		try {
			nightlyBackup(url, home);
		} catch (error) {
			say(`The nightly copy was not made: ${(error as Error).message}`);
		}
	};
	setTimeout(look, 60_000).unref();
	setInterval(look, HOUR_MS).unref();
}

async function main(): Promise<void> {
	const began = Date.now();
	const options = optionsGiven();
	if (options.help) return say(HELP);
	const port = Number(options.port ?? process.env.PORT ?? 5273);
	if (!(Number.isInteger(port) && port >= 1 && port <= MOST_PORT)) throw new Stop(`--port: a number from 1 to ${MOST_PORT}.`);
	const host = options.host ?? '127.0.0.1';

	const { isIsoDate } = await import('../src/lib/core/dates.js');
	const pinned = process.env.SURCULUS_TODAY;
	if (pinned && !isIsoDate(pinned)) throw new Stop(`SURCULUS_TODAY: a day of the calendar as 2026-09-05; ${pinned} is none.`);

	const { isLoopback, keepPassword, LEAST_PASSWORD } = await import('../src/lib/server/auth.js');
	const password = process.env.SURCULUS_PASSWORD ?? '';
	if (!isLoopback(host) && password.length < LEAST_PASSWORD)
		throw new Stop(
			`On ${host} others can reach Surculus, so it needs a household password: set SURCULUS_PASSWORD to ${LEAST_PASSWORD} characters or more and start again.`
		);

	const home = dataHome();
	const runFile = join(home, 'running.json');
	if (options.backup || options.restore) return copies(home, runFile, options);
	await makeWay(runFile);
	const trouble = await portTrouble(host, port);
	if (trouble) throw new Stop(trouble);
	const shown = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
	const address = `http://${shown.includes(':') ? `[${shown}]` : shown}:${port}`;

	let cluster: Cluster | null = null;
	const kept: Kept[] = [];
	const loose: ChildProcess[] = [];
	const note = () =>
		writeFileSync(
			runFile,
			JSON.stringify({ pid: process.pid, address, children: [...kept.map((k) => k.child), ...loose].map((c) => c.pid) })
		);
	note();
	let ending = false;
	const end = async (code: number) => {
		if (ending) return;
		ending = true;
		for (const child of [...kept.map((k) => k.child), ...loose].reverse()) await endChild(child);
		cluster?.stop();
		rmSync(runFile, { force: true });
		process.exit(code);
	};
	for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end(0));
	const watch = { ending: () => ending, changed: note };

	try {
		buildIfStale();
		let url = process.env.DATABASE_URL;
		if (!url) {
			cluster = await openCluster(home);
			await ensureDatabase(cluster, 'surculus');
			url = cluster.url('surculus');
		}
		process.env.DATABASE_URL = url;
		process.env.SURCULUS_HOME = ROOT;
		await bringUp(url, home);
		const { fillTowns } = await import('./towns.js');
		if (await fillTowns(url, () => say('Reading the list of towns, once: some 15 seconds …'))) say('The list of towns is there.');
		if (!options.empty) {
			const { loadDemoIfEmpty } = await import('../demo/load.js');
			if (await loadDemoIfEmpty()) say('The demo garden was loaded.');
		}
		const standIns = await startStandIns();
		for (const s of standIns.services) kept.push(await keepRunning(`The stand-in ${s.name}`, s.start, watch));
		const logged = openLog(home);
		const env = {
			DATABASE_URL: url,
			SURCULUS_STAND_INS: standIns.addresses,
			SURCULUS_PASSWORD: '',
			...(password.length >= LEAST_PASSWORD ? { SURCULUS_PASSWORD_HASH: await keepPassword(password) } : {}),
			...(cluster ? { SURCULUS_BACKUPS: backupFolder(home) } : {})
		};
		const startOurs = () =>
			startApp(port, host, env, logged.fd).catch((error: Error) => {
				throw error instanceof Stop ? new Stop(error.message.replace('the lines above', logged.file)) : error;
			});
		kept.push(await keepRunning('The app', startOurs, watch));
		note();
		if (cluster) {
			keepDatabase(cluster, watch);
			keepNightly(url, home, watch.ending);
			say(`Your data are in ${home}, nightly copies in ${backupFolder(home)}.`);
		}
		say(`Ready after ${((Date.now() - began) / 1000).toFixed(1)} s. Ctrl-C ends it.`);
		say(`Surculus is at ${address}`);
	} catch (error) {
		process.stderr.write(`${error instanceof Stop ? error.message : (error as Error).stack}\n`);
		await end(1);
	}
}

main().catch((error: unknown) => {
	process.stderr.write(`${error instanceof Stop ? error.message : (error as Error).stack}\n`);
	process.exit(1);
});
