/** The simulated outside services that ship with the app, each on a free loopback port of its own. */
import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, ROOT } from './lib.js';

export interface StandIn {
	name: string;
	/** Starts it, on the port that it has for as long as we run. */
	start(): Promise<ChildProcess>;
}

/** What a stand-in is given of our environment: no address of the database, no password. */
const environment = (port: number): NodeJS.ProcessEnv => ({
	PATH: process.env.PATH,
	HOME: process.env.HOME,
	...(process.env.SURCULUS_WEATHER_SEED ? { SURCULUS_WEATHER_SEED: process.env.SURCULUS_WEATHER_SEED } : {}),
	...(process.env.SURCULUS_TODAY ? { SURCULUS_TODAY: process.env.SURCULUS_TODAY } : {}),
	PORT: String(port)
});

export async function startStandIns(): Promise<{ services: StandIn[]; addresses: string }> {
	const folder = join(ROOT, 'stand-ins');
	const names = readdirSync(folder).filter((name) => existsSync(join(folder, name, 'server.ts')));
	const services: StandIn[] = [];
	const addresses: string[] = [];
	for (const name of names) {
		const port = await freePort();
		services.push({
			name,
			start: () =>
				Promise.resolve(
					spawn(process.execPath, ['--import', 'tsx', join(folder, name, 'server.ts')], {
						cwd: ROOT,
						env: environment(port),
						stdio: ['ignore', 'ignore', 'inherit'],
						detached: true
					})
				)
		});
		addresses.push(`${name}=http://127.0.0.1:${port}`);
	}
	return { services, addresses: addresses.join(',') };
}
