/** Builds the app when its sources are newer than the last build. */
import { existsSync, mkdirSync, readdirSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run, say } from './lib.js';

function newest(path: string): number {
	if (!existsSync(path) || path.endsWith('.test.ts')) return 0;
	const info = statSync(path);
	if (!info.isDirectory()) return info.mtimeMs;
	return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))));
}

export function buildIfStale(): boolean {
	const stamp = join(ROOT, '.surculus', 'built');
	const sources = [
		'src',
		'static',
		'svelte.config.js',
		'vite.config.ts',
		'vite.threads.config.ts',
		'package-lock.json',
		'tsconfig.json'
	];
	const since = Math.max(...sources.map((s) => newest(join(ROOT, s))));
	if (existsSync(join(ROOT, 'build', 'index.js')) && existsSync(stamp) && statSync(stamp).mtimeMs >= since) return false;
	say('Building …');
	const began = new Date();
	const vite = join('node_modules', 'vite', 'bin', 'vite.js');
	run(process.execPath, [vite, 'build', '--logLevel', 'error']);
	// What the threads run is a file of its own beside the app.
	run(process.execPath, [vite, 'build', '--config', 'vite.threads.config.ts', '--logLevel', 'error']);
	mkdirSync(join(ROOT, '.surculus'), { recursive: true });
	writeFileSync(stamp, '');
	// A file saved while it was building must count as newer.
	utimesSync(stamp, began, began);
	return true;
}
