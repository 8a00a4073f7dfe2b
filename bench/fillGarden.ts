/** Fills the demo garden as years of life would: growing and ended batches and daily care, all as entries of its ledger. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from '../bin/lib.js';

export interface Filling {
	/** Entries in all, about; a tenth of what is added is care. No more than the batches need, if not given. */
	entries?: number;
	/** Growing batches in all. */
	growing: number;
	today?: string;
}
export interface Filled {
	entries: number;
	batches: number;
	/** How long it took to derive all state from them. */
	derivedMs: number;
}

/** In a process of its own: other loaders do not know the app's path names. */
export async function fillGarden(url: string, filling: Filling): Promise<Filled> {
	const args = ['--import', 'tsx', join(ROOT, 'bench', 'fill.ts'), JSON.stringify(filling)];
	const env = { ...process.env, DATABASE_URL: url, SURCULUS_HOME: ROOT };
	const done = spawnSync(process.execPath, args, { cwd: ROOT, env, encoding: 'utf8' });
	if (done.status !== 0) throw new Error(done.stderr);
	// Nothing was heard meanwhile: connections that the app closed are let go before they are used again.
	await new Promise((resolve) => setTimeout(resolve, 200));
	return JSON.parse(done.stdout) as Filled;
}
