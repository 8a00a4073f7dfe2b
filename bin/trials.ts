/** docs/trials.md: one section for each trial, each written by its own run. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, say } from './lib.js';

const ORDER = ['Kills', 'Load', 'Bad requests'] as const;
const FILE = join(ROOT, 'docs', 'trials.md');

/** Puts a trial's section in the place of its last one; the others stay. */
export function writeTrial(title: (typeof ORDER)[number], lines: readonly string[]): void {
	const before = existsSync(FILE) ? readFileSync(FILE, 'utf8') : '';
	const sections = new Map(
		before
			.split(/^## /m)
			.slice(1)
			.map((text) => [text.slice(0, text.indexOf('\n')).trim(), text.slice(text.indexOf('\n')).trim()] as const)
	);
	sections.set(title, lines.join('\n').trim());
	const text = ORDER.flatMap((name) => (sections.has(name) ? `## ${name}\n\n${sections.get(name)}\n` : []));
	writeFileSync(FILE, `# Trials\n\n${text.join('\n')}`);
	say(lines.join('\n'));
}
