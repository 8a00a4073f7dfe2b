/** Brings the database of DATABASE_URL up to this copy of the code, and ends: for whoever runs several app processes on one. */
import { ROOT, say } from './lib.js';

const url = process.env.DATABASE_URL;
if (!url) {
	process.stderr.write('DATABASE_URL: give the address of the database. (./start brings the private one up by itself.)\n');
	process.exit(1);
}
process.env.SURCULUS_HOME = ROOT;
const { migrate } = await import('../src/lib/server/migrate.js');
const { rebuildStale } = await import('../src/lib/server/ledger.js');
const { closeDatabase } = await import('../src/lib/server/db.js');
try {
	const { from, to } = await migrate(url, ROOT);
	say(from === to ? `The database is at version ${to} already.` : `The database was brought from version ${from} to ${to}.`);
	const derived = await rebuildStale();
	if (derived > 0) say(`The state of ${derived === 1 ? 'a garden' : `${derived} gardens`} was derived from the ledger afresh.`);
} catch (error) {
	process.stderr.write(`${(error as Error).message}\n`);
	process.exitCode = 1;
} finally {
	await closeDatabase();
}
