/** Migrates the database of DATABASE_URL and, with --demo, loads the sample garden, with --towns the list of towns. For tests and pictures. */
import { ROOT } from './lib.js';
import { migrate } from '../src/lib/server/migrate.js';
import { closeDatabase } from '../src/lib/server/db.js';

await migrate(process.env.DATABASE_URL!, ROOT);
const { rebuildStale } = await import('../src/lib/server/ledger.js');
await rebuildStale();
if (process.argv.includes('--demo')) {
	const { loadDemoIfEmpty } = await import('../demo/load.js');
	await loadDemoIfEmpty();
}
if (process.argv.includes('--towns')) {
	const { fillTowns } = await import('./towns.js');
	await fillTowns(process.env.DATABASE_URL!);
}
await closeDatabase();
