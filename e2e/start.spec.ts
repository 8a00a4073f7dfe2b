/** The start command beside its children: killed they come back, copies are made and put back, a rebuild leaves the app alone. */
import { spawn, spawnSync } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { freePort, ROOT } from '../bin/lib.js';

const home = mkdtempSync(join(tmpdir(), 'surculus-start-'));
chmodSync(home, 0o755);
const env = { ...process.env, SURCULUS_DATA: home, SURCULUS_TODAY: '2026-09-05', SURCULUS_PASSWORD: '' };
let starter: ChildProcess;
let base = '';
let said = '';

const run = (script: string, ...args: string[]) =>
	spawnSync(process.execPath, ['--import', 'tsx', `bin/${script}`, ...args], {
		cwd: ROOT,
		env,
		encoding: 'utf8',
		timeout: 60_000
	});
const begin = async (...args: string[]) => {
	const port = await freePort();
	base = `http://127.0.0.1:${port}`;
	starter = spawn(process.execPath, ['--import', 'tsx', 'bin/start.ts', '--port', String(port), ...args], { cwd: ROOT, env });
	starter.stdout!.on('data', (d: Buffer) => (said += d.toString()));
	starter.stderr!.on('data', (d: Buffer) => (said += d.toString()));
	await expect.poll(() => said, { timeout: 300_000 }).toContain(`Surculus is at ${base}`);
};
const end = async () => {
	if (starter.exitCode !== null || starter.signalCode !== null) return;
	const gone = new Promise((r) => starter.once('exit', r));
	starter.kill('SIGTERM');
	await gone;
};
const well = () =>
	fetch(`${base}/healthz`, { signal: AbortSignal.timeout(3_000) }).then(
		(r) => r.ok,
		() => false
	);
const page = async (path: string) => (await fetch(`${base}/g/three-alders/${path}`)).status;
const appPid = () =>
	(JSON.parse(readFileSync(join(home, 'running.json'), 'utf8')) as { children: number[] }).children.find((pid) => {
		try {
			return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('build/index.js');
		} catch {
			return false;
		}
	})!;
const databasePid = () => Number(readFileSync(join(home, 'pg', 'postmaster.pid'), 'utf8').split('\n')[0]);

test.afterAll(async () => {
	await end().catch(() => undefined);
	rmSync(home, { recursive: true, force: true });
});

test('children come back, a rebuild leaves them alone, copies go out and in', async () => {
	test.setTimeout(600_000);
	// Cut off by a crash: it is no reason not to start.
	writeFileSync(join(home, 'running.json'), '{"pid": 12');
	await begin();
	expect(said).toContain(`Your data are in ${home}`);
	expect(statSync(join(home, 'app.log')).mode & 0o077).toBe(0);
	expect(await page('wants')).toBe(200);

	const rebuilt = run('rebuild.ts');
	expect(rebuilt.stdout).toContain('three-alders:');
	expect(rebuilt.status).toBe(0);
	expect(await well()).toBe(true);

	const first = appPid();
	process.kill(first, 'SIGKILL');
	await expect.poll(well, { timeout: 90_000 }).toBe(false);
	await expect.poll(well, { timeout: 90_000 }).toBe(true);
	expect(appPid()).not.toBe(first);
	process.kill(databasePid(), 'SIGKILL');
	await expect.poll(well, { timeout: 90_000 }).toBe(false);
	await expect.poll(well, { timeout: 150_000 }).toBe(true);
	expect(await page('wants')).toBe(200);

	// A halted database says nothing at all: who asks is answered within a second all the same.
	const halted = databasePid();
	process.kill(halted, 'SIGSTOP');
	const asked = Date.now();
	expect([200, 503]).toContain((await fetch(`${base}/healthz`)).status);
	expect(Date.now() - asked).toBeLessThan(2_500);
	process.kill(halted, 'SIGCONT');

	const file = join(home, 'copy.dump');
	const made = run('start.ts', '--backup', file);
	expect(made.stdout).toContain('A copy of everything');
	const refused = run('start.ts', '--restore', file);
	expect(refused.status).toBe(1);
	expect(refused.stderr).toContain('end it first');
	expect(run('start.ts', '--restore', join(ROOT, 'package.json')).stderr).toMatch(/not a copy that Surculus made|end it first/);
	await end();

	const put = run('start.ts', '--restore', file);
	expect(put.stdout).toMatch(/Put back: 1 garden, \d+ entries\. What was there before is kept/);
	const wrong = run('start.ts', '--restore', join(ROOT, 'package.json'));
	expect(wrong.stderr).toContain('not a copy that Surculus made');
	expect(wrong.stderr).not.toContain('    at ');
	said = '';
	await begin('--empty');
	expect(await page('wants')).toBe(200);
	await end();

	// The password file gone: a sentence, not a trace.
	rmSync(join(home, 'pg-password'));
	const shut = run('start.ts', '--backup', file);
	expect(shut.stderr).toContain('password is not where it was kept');
	expect(shut.stderr).not.toContain('    at ');
});
