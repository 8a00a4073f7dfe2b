/** Starts the simulated outside services that ship with the app, each on a free loopback port. */
import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, ROOT } from './lib.js';

export async function startStandIns(): Promise<{ children: ChildProcess[]; addresses: string }> {
	const folder = join(ROOT, 'stand-ins');
	const names = readdirSync(folder).filter((name) => existsSync(join(folder, name, 'server.ts')));
	const children: ChildProcess[] = [];
	const addresses: string[] = [];
	for (const name of names) {
		const port = await freePort();
		children.push(
			spawn(process.execPath, ['--import', 'tsx', join(folder, name, 'server.ts')], {
				cwd: ROOT,
				env: { ...process.env, PORT: String(port), DATABASE_URL: '' },
				stdio: ['ignore', 'ignore', 'inherit'],
				detached: true
			})
		);
		addresses.push(`${name}=http://127.0.0.1:${port}`);
	}
	return { children, addresses: addresses.join(',') };
}
