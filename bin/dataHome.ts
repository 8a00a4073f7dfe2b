/** Where the data lie: found again after the program's folder was renamed or moved, and told. */
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isAbsolute, join } from 'node:path';
import { isRoot, ROOT, run, Stop } from './lib.js';

/** Can the database's user walk to this folder? Root's home, say, lets nobody in. */
function reachable(folder: string): boolean {
	if (!isRoot()) return true;
	try {
		run('runuser', ['-u', 'postgres', '--', 'test', '-x', folder], { cwd: '/' });
		return true;
	} catch {
		return false;
	}
}

/** Folder for data that the database's user cannot reach beside the program. */
const ELSEWHERE = '/var/lib/surculus';
/** Beside the program, with it wherever it is moved: the path of its data. */
const POINTER = 'data-home';

/**
 * The folder of the private database, its copies and its logs: SURCULUS_DATA, else .surculus beside the program. Where
 * the database's user cannot walk there it is a folder of its own under /var/lib/surculus, and .surculus keeps its path.
 */
export function dataHome(): string {
	const asked = process.env.SURCULUS_DATA;
	if (asked) {
		if (!isAbsolute(asked)) throw new Stop('SURCULUS_DATA: give the whole path of a folder.');
		mkdirSync(asked, { recursive: true, mode: 0o755 });
		if (!reachable(asked))
			throw new Stop(`The database’s user cannot walk to ${asked}: give SURCULUS_DATA a folder that it can.`);
		return asked;
	}
	const inside = join(ROOT, '.surculus');
	mkdirSync(inside, { recursive: true });
	const pointer = join(inside, POINTER);
	if (existsSync(pointer)) {
		const kept = readFileSync(pointer, 'utf8').trim();
		if (!existsSync(kept))
			throw new Stop(
				`The data of this Surculus lie in ${kept}, which is not there. Bring it back, or delete ${pointer} to begin anew.`
			);
		return kept;
	}
	if (existsSync(join(inside, 'pg', 'PG_VERSION')) || reachable(inside)) return inside;
	// An older Surculus named the folder by the program's path.
	const older = join('/var/tmp', `surculus-${createHash('sha256').update(ROOT).digest('hex').slice(0, 10)}`);
	const outside = existsSync(join(older, 'pg')) ? older : join(ELSEWHERE, randomBytes(4).toString('hex'));
	mkdirSync(outside, { recursive: true, mode: 0o755 });
	writeFileSync(pointer, `${outside}\n`);
	return outside;
}
