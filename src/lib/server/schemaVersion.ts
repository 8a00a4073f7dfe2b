import { readdirSync } from 'node:fs';
import { join } from 'node:path';

/** Version that this copy of the code brings a database to. */
export const newestMigration = (root: string): number =>
	Math.max(
		...readdirSync(join(root, 'db', 'migrations'))
			.map((f) => Number.parseInt(f, 10))
			.filter(Number.isFinite)
	);
