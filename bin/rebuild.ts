/** Derives all state afresh from the ledger. Needs DATABASE_URL, or the private cluster not running. */
import { ensureDatabase, homeOfCluster, openCluster } from './cluster.js';
import type { Cluster } from './cluster.js';
import { ROOT, say } from './lib.js';

let cluster: Cluster | null = null;
if (!process.env.DATABASE_URL) {
	cluster = await openCluster(homeOfCluster());
	await ensureDatabase(cluster, 'surculus');
	process.env.DATABASE_URL = cluster.url('surculus');
}
process.env.SURCULUS_HOME = ROOT;
const { rebuildAll } = await import('../src/lib/server/ledger.js');
const { closeDatabase } = await import('../src/lib/server/db.js');
try {
	await rebuildAll((slug, done) => say(`${slug}: ${done.subjects} rows from ${done.entries} entries.`));
} finally {
	await closeDatabase();
	cluster?.stop();
}
