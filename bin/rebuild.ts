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
const { rebuild } = await import('../src/lib/server/ledger.js');
const { database, closeDatabase } = await import('../src/lib/server/db.js');
try {
	const { rows } = await database().query<{ id: string; slug: string }>('SELECT id, slug FROM garden ORDER BY slug');
	for (const garden of rows) {
		const done = await rebuild(garden.id);
		say(`${garden.slug}: ${done.subjects} rows from ${done.entries} entries.`);
	}
} finally {
	await closeDatabase();
	cluster?.stop();
}
