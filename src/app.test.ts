/** Styles are made for what is used: each rule more costs a slow phone time before anything is drawn. */
import { readFileSync, readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';

describe('styles', () => {
	const ROOT = process.cwd();
	const dist = join(dirname(createRequire(import.meta.url).resolve('flowbite-svelte')));
	const filesBelow = (dir: string): string[] =>
		readdirSync(dir, { withFileTypes: true }).flatMap((f) =>
			f.isDirectory() ? filesBelow(join(dir, f.name)) : [join(dir, f.name)]
		);
	/** Folder of each of the library's components, by its name. */
	const homes = new Map(
		filesBelow(dist)
			.filter((f) => f.endsWith('.svelte'))
			.map((f) => [f.split('/').at(-1)!, f])
	);
	/** What a component takes from others of the library, and they from others. */
	function reached(names: Iterable<string>): Set<string> {
		const files = new Set<string>();
		const visit = (file: string) => {
			if (files.has(file)) return;
			files.add(file);
			for (const [, from] of readFileSync(file, 'utf8').matchAll(/from "(\.[^"]*\.svelte)"/g)) visit(join(dirname(file), from!));
		};
		for (const name of names) visit(homes.get(name)!);
		return new Set([...files].map((f) => relative(dist, dirname(f))));
	}

	it('are made for each component of the library that is used, and for no other', () => {
		const used = new Set(
			filesBelow(join(ROOT, 'src'))
				.filter((f) => f.endsWith('.svelte') || f.endsWith('.ts'))
				.flatMap((f) => [...readFileSync(f, 'utf8').matchAll(/'flowbite-svelte\/(\w+\.svelte)'/g)].map((m) => m[1]!))
		);
		expect(used.size).toBeGreaterThan(20);
		const listed = [...readFileSync(join(ROOT, 'src/app.css'), 'utf8').matchAll(/flowbite-svelte\/dist\/([\w/-]+)'/g)].map(
			(m) => m[1]!
		);
		expect(listed.sort()).toEqual([...reached(used)].sort());
	});
});
