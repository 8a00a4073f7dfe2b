/** Children that end by themselves come back, with a growing pause. */
import type { ChildProcess } from 'node:child_process';
import { connect } from 'node:net';
import type { Cluster } from './cluster.js';
import { say } from './lib.js';

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 30_000;
/** Whoever has lived so long is well: the next pause is the first again. */
const WELL_MS = 5_000;
const LOOK_MS = 2_000;

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms).unref());

export interface Watch {
	/** Is everything being ended on purpose? */
	ending: () => boolean;
	/** Told of each new child, and of null when one has gone. */
	changed: () => void;
}

export interface Kept {
	child: ChildProcess;
}

/** Starts a child, and starts it again whenever it ends. */
export async function keepRunning(name: string, start: () => Promise<ChildProcess>, w: Watch): Promise<Kept> {
	const kept: Kept = { child: await start() };
	let wait = FIRST_PAUSE_MS;
	let since = Date.now();
	const attend = () =>
		kept.child.once('exit', (code, signal) => {
			if (w.ending()) return;
			if (Date.now() - since > WELL_MS) wait = FIRST_PAUSE_MS;
			say(`${name} ended by itself (${signal ?? code}): starting it again in ${(wait / 1000).toFixed(1)} s.`);
			void again();
		});
	const again = async (): Promise<void> => {
		for (;;) {
			await pause(wait);
			wait = Math.min(LONGEST_PAUSE_MS, wait * 2);
			if (w.ending()) return;
			try {
				since = Date.now();
				kept.child = await start();
				attend();
				w.changed();
				return;
			} catch (error) {
				say(`${name} did not start: ${(error as Error).message}`);
			}
		}
	};
	attend();
	return kept;
}

/** Does anything listen there? */
const listens = (port: number): Promise<boolean> =>
	new Promise((resolve) => {
		const socket = connect(port, '127.0.0.1');
		socket.setTimeout(1_000);
		socket.once('connect', () => resolve(true));
		for (const end of ['error', 'timeout'] as const) socket.once(end, () => resolve(false));
		socket.once('connect', () => socket.destroy());
		socket.once('timeout', () => socket.destroy());
	});

/** Looks whether the private database is there, and starts it again when it is not. */
export function keepDatabase(cluster: Cluster, w: Watch): void {
	const port = Number(new URL(cluster.url('postgres')).port);
	void (async () => {
		let wait = FIRST_PAUSE_MS;
		while (!w.ending()) {
			await pause(LOOK_MS);
			if (w.ending() || (await listens(port))) {
				wait = FIRST_PAUSE_MS;
				continue;
			}
			say('The database ended by itself: starting it again.');
			try {
				cluster.start();
				say('The database is back.');
			} catch (error) {
				say(`The database did not start: ${(error as Error).message}`);
				await pause(wait);
				wait = Math.min(LONGEST_PAUSE_MS, wait * 2);
			}
		}
	})();
}
