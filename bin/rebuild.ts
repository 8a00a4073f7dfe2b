/** Derives all state afresh from the ledger; beside a running app as well. */
import { ensureDatabase, openCluster, runningCluster } from './cluster.js';
import type { Cluster } from './cluster.js';
import { dataHome } from './dataHome.js';
import { ROOT, say } from './lib.js';

let mine: Cluster | null = null;
if (!process.env.DATABASE_URL) {
	const home = dataHome();
	// A server that runs is the app's: it is used, and left running.
	const cluster = runningCluster(home) ?? (mine = await openCluster(home));
	await ensureDatabase(cluster, 'surculus');
	process.env.DATABASE_URL = cluster.url('surculus');
}
process.env.SURCULUS_HOME = ROOT;
const { rebuildAll, RebuildRefused } = await import('../src/lib/server/ledger.js');
const { closeDatabase } = await import('../src/lib/server/db.js');
try {
	await rebuildAll((slug, done) => say(`${slug}: ${done.subjects} rows from ${done.entries} entries.`));
} catch (error) {
	if (!(error instanceof RebuildRefused)) throw error;
	process.stderr.write(`${error.message}\n`);
	process.exitCode = 1;
} finally {
	await closeDatabase();
	mine?.stop();
}
