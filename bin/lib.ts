/** Small things the commands share. */
import { spawn, spawnSync } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Ends a command with one clear sentence and no stack trace. */
export class Stop extends Error {}

export const say = (text: string): void => void process.stdout.write(`${text}\n`);

export const isRoot = (): boolean => process.getuid?.() === 0;

/** A port that nothing listens on now. */
export function freePort(host = '127.0.0.1'): Promise<number> {
	return new Promise((resolve, reject) => {
		const server = createServer();
		server.once('error', reject);
		server.listen(0, host, () => {
			const { port } = server.address() as { port: number };
			server.close(() => resolve(port));
		});
	});
}

/** Why a port cannot be listened on, or null when it can. */
export function portTrouble(host: string, port: number): Promise<string | null> {
	return new Promise((resolve) => {
		const server = createServer();
		server.once('error', (error: NodeJS.ErrnoException) => {
			if (error.code === 'EADDRINUSE')
				resolve(`Port ${port} on ${host} is in use: stop what uses it, or give another with --port.`);
			else if (error.code === 'EACCES') resolve(`Port ${port} may not be used by this user: give one above 1023 with --port.`);
			else if (error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND')
				resolve(`${host} is not an address of this machine.`);
			else resolve(`Port ${port} on ${host} cannot be used: ${error.message}.`);
		});
		server.listen(port, host, () => server.close(() => resolve(null)));
	});
}

/** Runs a command to its end, its output kept; throws with the output when it fails. */
export function run(command: string, args: readonly string[], options: { cwd?: string; env?: NodeJS.ProcessEnv } = {}): string {
	const done = spawnSync(command, args, {
		cwd: options.cwd ?? ROOT,
		env: options.env ?? process.env,
		encoding: 'utf8',
		stdio: ['ignore', 'pipe', 'pipe']
	});
	if (done.error) throw done.error;
	if (done.status !== 0) throw new Error(`${command} ${args[0] ?? ''}: ${(done.stderr || done.stdout).trim()}`);
	return done.stdout;
}

/** Installs Debian packages when root; else says which. */
export function debian(packages: readonly string[], why: string): void {
	if (!isRoot()) throw new Stop(`${why} Ask someone with root rights to run:  apt-get install ${packages.join(' ')}`);
	say(`Installing ${packages.join(', ')} …`);
	const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
	const apt = ['-o', 'DPkg::Lock::Timeout=500', '-qq'];
	try {
		run('apt-get', [...apt, 'update'], { env });
		run('apt-get', [...apt, 'install', '-y', '--no-install-recommends', ...packages], { env });
	} catch (error) {
		throw new Stop(`${why} Installing failed: ${(error as Error).message.split('\n').at(-1)}`);
	}
}

/** A small computer works out the climates of some gardens before it answers. */
const SLOW_START_MS = 180_000;

/** Starts the built app; resolves when it answers. */
export async function startApp(
	port: number,
	host: string,
	env: NodeJS.ProcessEnv,
	output: 'inherit' | 'ignore' | number = 'inherit'
): Promise<ChildProcess> {
	const child = spawn(process.execPath, [join(ROOT, 'build', 'index.js')], {
		cwd: ROOT,
		env: {
			...process.env,
			...env,
			PORT: String(port),
			HOST: host,
			SURCULUS_HOME: ROOT,
			SHUTDOWN_TIMEOUT: '5',
			// An archive of many years; all else is held to less (hooks.server.ts).
			BODY_SIZE_LIMIT: '64M'
		},
		stdio: ['ignore', output, output],
		// Its own process group: Ctrl-C comes to us alone, and we end it in order.
		detached: true
	});
	let ended = false;
	child.once('exit', () => (ended = true));
	const address = `http://${host.includes(':') ? `[${host}]` : host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/healthz`;
	const began = Date.now();
	while (Date.now() - began < SLOW_START_MS) {
		if (ended) throw new Stop('The app ended while starting: see the lines above.');
		try {
			const answer = await fetch(address);
			if (answer.status < 600) return child;
		} catch {
			// Not listening yet.
		}
		await new Promise((r) => setTimeout(r, 100));
	}
	throw new Stop('The app does not answer after three minutes.');
}

/** Ends a child in order, by force after ten seconds. */
export async function endChild(child: ChildProcess): Promise<void> {
	if (child.exitCode !== null || child.signalCode !== null) return;
	const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
	child.kill('SIGTERM');
	const timer = setTimeout(() => child.kill('SIGKILL'), 10_000);
	await gone;
	clearTimeout(timer);
}
