/**
 * Entries through HTTP while the app and the database are killed at random: what was answered "ok" is there once, and
 * nothing is there twice. Writes docs/trials.md. `npm run trial:kill [entries]`
 */
import { spawn } from 'node:child_process';
import { randomInt, randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { runningCluster } from './cluster.js';
import { freePort, ROOT, say } from './lib.js';
import { writeTrial } from './trials.js';
import { unequalAfterRebuild } from './rebuilt.js';

const ENTRIES = Number(process.argv[2] ?? 10_000);
/** Writers at once, and the pause between two kills. */
const WRITERS = 6;
const KILL_MS = [3_000, 8_000] as const;
const MOST_TRIES = 1_000;

const home = mkdtempSync(join(tmpdir(), 'surculus-trial-'));
chmodSync(home, 0o755);
const port = await freePort();
const base = `http://127.0.0.1:${port}`;
const starter = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'bin', 'start.ts'), '--empty', '--port', String(port)], {
	cwd: ROOT,
	env: { ...process.env, SURCULUS_DATA: home, SURCULUS_TODAY: '2026-09-05' },
	stdio: ['ignore', 'ignore', 'inherit']
});
const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));
const up = async (): Promise<boolean> =>
	fetch(`${base}/healthz`, { signal: AbortSignal.timeout(2_000) }).then(
		(r) => r.ok,
		() => false
	);
while (!(await up())) await wait(200);

/** Posts a form until it is answered by the app itself; the same id every time. */
async function post(path: string, data: Record<string, string>): Promise<{ tries: number; location?: string }> {
	for (let tries = 1; tries <= MOST_TRIES; tries++) {
		try {
			const answer = await fetch(`${base}${path}`, {
				method: 'POST',
				body: new URLSearchParams(data),
				headers: { accept: 'application/json', 'x-sveltekit-action': 'true' },
				signal: AbortSignal.timeout(15_000)
			});
			const told = (await answer.json()) as { type: string; location?: string; data?: string };
			if (told.type === 'success' || told.type === 'redirect')
				return { tries, ...(told.location ? { location: told.location } : {}) };
			if (told.type === 'failure') throw new Error(`refused: ${told.data}`);
		} catch (error) {
			if ((error as Error).message.startsWith('refused')) throw error;
		}
		await wait(100 + randomInt(400));
	}
	throw new Error(`${path} was not answered in ${MOST_TRIES} tries`);
}

const garden = await post('/new', {
	entry_id: randomUUID(),
	...{
		name: 'Trial',
		place: '',
		latitude: '52',
		longitude: '15',
		height: '80',
		coldest: '-17',
		units: 'metric',
		temperature: 'C'
	},
	...{
		currency: 'EUR',
		minutes: '90',
		last_frost: '2026-05-05',
		first_frost: '2026-10-12',
		last_frost_sd: '10',
		first_frost_sd: '12'
	}
});
const at = garden.location!.replace('/round', '');
const sent: string[] = [];
let tries = 0;
let done = 0;
const kills = { app: 0, database: 0 };
const began = Date.now();
const writer = async () => {
	while (sent.length < ENTRIES) {
		const id = randomUUID();
		sent.push(id);
		const answer = await post(`${at}/handbook/lavender?/saw`, { entry_id: id, event: 'bud_break', on: '2026-04-10', note: '' });
		tries += answer.tries;
		done++;
		if (done % 1_000 === 0) say(`${done} written, ${kills.app} kills of the app, ${kills.database} of the database.`);
	}
};
let ended = false;
const killer = async () => {
	while (!ended) {
		await wait(randomInt(...KILL_MS));
		if (ended) return;
		// The newest child of the starter is the app; the database's first process is in its own file.
		if (Math.random() < 0.6) {
			const { children } = JSON.parse(readFileSync(join(home, 'running.json'), 'utf8')) as { children: number[] };
			const app = children.find((pid) => {
				try {
					return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('build/index.js');
				} catch {
					return false;
				}
			});
			if (app) {
				process.kill(app, 'SIGKILL');
				kills.app++;
			}
		} else {
			const pid = Number(readFileSync(join(home, 'pg', 'postmaster.pid'), 'utf8').split('\n')[0]);
			try {
				process.kill(pid, 'SIGKILL');
				kills.database++;
			} catch {
				// It was just ending.
			}
		}
	}
};
const killing = killer();
await Promise.all(Array.from({ length: WRITERS }, writer));
ended = true;
await killing;
while (!(await up())) await wait(200);
const seconds = (Date.now() - began) / 1000;

const client = new pg.Client({ connectionString: runningCluster(home)!.url('surculus') });
await client.connect();
const { rows } = await client.query<{ id: string; n: number }>(
	"SELECT id, count(*)::int AS n FROM entry WHERE kind = 'sighting.made' GROUP BY id"
);
const state = await client.query<{ n: number }>('SELECT count(*)::int AS n FROM sighting');
await client.end();
const unequal = await unequalAfterRebuild(runningCluster(home)!.url('surculus'));
starter.kill('SIGTERM');
await new Promise((r) => starter.once('exit', r));
rmSync(home, { recursive: true, force: true });

const there = new Map(rows.map((r) => [r.id, r.n]));
const lost = sent.filter((id) => !there.has(id)).length;
const doubled = rows.filter((r) => r.n > 1).length + Math.max(0, there.size - sent.length);
writeTrial('Kills', [
	'Made by `npm run trial:kill`.',
	'',
	`${sent.length.toLocaleString('en')} entries were written through HTTP by ${WRITERS} writers at once while the app was killed ${kills.app} times and the database ${kills.database} times (\`kill -9\`, every ${KILL_MS[0] / 1000} to ${KILL_MS[1] / 1000} s); \`./start\` brought both back by itself. A writer that got no answer sent the same entry again: ${(tries - sent.length).toLocaleString('en')} times in all. It took ${Math.round(seconds)} s.`,
	'',
	'| | |',
	'| --- | --- |',
	`| entries lost | **${lost}** |`,
	`| entries doubled | **${doubled}** |`,
	`| rows of derived state | ${state.rows[0]!.n.toLocaleString('en')} of ${sent.length.toLocaleString('en')} |`,
	`| tables of derived state that a rebuild finds otherwise | **${unequal.length}**${unequal.length ? `: ${unequal.join(', ')}` : ''} |`
]);
process.exit(lost === 0 && doubled === 0 && state.rows[0]!.n === sent.length && unequal.length === 0 ? 0 : 1);
