/** Lists the licence of every package that ships or builds Surculus, from the lock file: npm run licences. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib.js';

interface Locked {
	version?: string;
	license?: string;
	dev?: boolean;
}

/** What the licence's own text is, where the package only ships that. */
function readLicence(path: string): string {
	const file = join(ROOT, path, 'LICENSE');
	const text = existsSync(file) ? readFileSync(file, 'utf8') : '';
	if (/^MIT License|Permission is hereby granted, free of charge/m.test(text)) return 'MIT';
	if (/Redistribution and use in source and binary forms/.test(text))
		return /Neither the name/.test(text) ? 'BSD-3-Clause' : 'BSD-2-Clause';
	return 'not said';
}

/** The text of docs/licences.md. */
export function licences(): string {
	const lock = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8')) as { packages: Record<string, Locked> };
	const all = Object.entries(lock.packages)
		.filter(([path]) => path !== '')
		.map(([path, p]) => ({
			name: path.split('node_modules/').at(-1)!,
			version: p.version,
			dev: p.dev,
			license: p.license ?? readLicence(path)
		}));
	const table = (of: typeof all) => {
		const by = new Map<string, Set<string>>();
		for (const p of of) {
			const names = by.get(p.license) ?? new Set();
			by.set(p.license, names.add(`${p.name} ${p.version ?? ''}`.trim()));
		}
		return [...by]
			.sort(([a], [b]) => a.localeCompare(b))
			.map(([licence, names]) => `### ${licence}\n\n${[...names].sort((a, b) => a.localeCompare(b)).join(', ')}\n`)
			.join('\n');
	};
	return `# Licences of what Surculus is made of

Written by \`npm run licences\` from package-lock.json, as the packages' authors state them.

Data: places from GeoNames, Creative Commons Attribution 4.0; land from Natural Earth and the air over the sea from COADS,
in the public domain. Fonts: Bricolage Grotesque, Atkinson Hyperlegible and Atkinson Hyperlegible Next, SIL Open Font License
1.1; DejaVu under its own free licence.

## Needed to run

${table(all.filter((p) => !p.dev))}
## Needed to build and test

Of these the interface's own (Svelte, Flowbite Svelte, the icons and the fonts) are built into the pages.

${table(all.filter((p) => p.dev))}`;
}

if (process.argv[1]?.endsWith('licences.ts')) writeFileSync(join(ROOT, 'docs', 'licences.md'), licences());
