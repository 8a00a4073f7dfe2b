import { readdirSync, readFileSync } from 'node:fs';
import { afterEach, describe, expect, it } from 'vitest';
import { parse } from 'svelte/compiler';
import type { AST } from 'svelte/compiler';
import { inLanguages, spokenIn } from './language.js';

const components = () =>
	readdirSync('src', { recursive: true, encoding: 'utf8' })
		.filter((f) => f.endsWith('.svelte'))
		.map((f) => `src/${f}`);

afterEach(() => spokenIn(() => 'en'));

describe('the texts of the screens', () => {
	it('are said in the language of whoever reads, in English where that has none yet', () => {
		const texts = inLanguages({
			en: { pot: 'Pot them', left: (n: number) => `${n} left` },
			de: { left: (n: number) => `noch ${n}` },
			fr: { pot: 'Rempotez' }
		});
		const said = (language: string) => {
			spokenIn(() => language);
			return [texts.pot, texts.left(3)];
		};
		expect(['en', 'de', 'fr', 'eo'].map(said)).toEqual([
			['Pot them', '3 left'],
			['Pot them', 'noch 3'],
			['Rempotez', '3 left'],
			['Pot them', '3 left']
		]);
	});

	it('are all said somewhere', () => {
		const subjects = import.meta.glob<{ texts: Record<string, unknown> }>(['./*.ts', '!./language.ts', '!./*.test.ts'], {
			eager: true
		});
		const users = components().map((file) => readFileSync(file, 'utf8'));
		const unsaid: string[] = [];
		for (const [file, { texts }] of Object.entries(subjects)) {
			const subject = file.slice('./'.length, -'.ts'.length);
			const mine = users.filter((source) => source.includes(`$lib/messages/${subject}.js`)).join();
			for (const key of Object.keys(texts)) if (!new RegExp(`texts\\.${key}\\b`).test(mine)) unsaid.push(`${subject}.${key}`);
		}
		expect(Object.keys(subjects).length).toBeGreaterThan(10);
		expect(unsaid).toEqual([]);
	});

	// A text that stands in a component is one that no language can reach.
	it('stand in one place per subject, none in a component', () => {
		const strays: string[] = [];
		for (const file of components()) {
			const source = readFileSync(file, 'utf8');
			const look = (fragment: AST.Fragment): void => {
				for (const node of fragment.nodes) {
					if (node.type === 'Text' && /\p{L}{2}/u.test(node.data) && node.data.trim() !== NAME)
						strays.push(`${file}: ${node.data.trim()}`);
					for (const part of Object.values(node) as unknown[])
						if (part && typeof part === 'object' && (part as AST.Fragment).type === 'Fragment') look(part as AST.Fragment);
					if ('attributes' in node)
						for (const a of node.attributes)
							if (a.type === 'Attribute' && READ_OUT.has(a.name) && Array.isArray(a.value))
								for (const v of a.value)
									if (v.type === 'Text' && /\p{L}{2}/u.test(v.data)) strays.push(`${file}: ${a.name} ${v.data}`);
				}
			};
			look(parse(source, { modern: true }).fragment);
		}
		expect(strays).toEqual([]);
	});
});

/** The name of the app is the same in every language. */
const NAME = 'Surculus';
/** Attributes that are read, on the screen or by a screen reader. */
const READ_OUT = new Set([
	'label',
	'hint',
	'title',
	'placeholder',
	'aria-label',
	'ariaLabel',
	'alt',
	'caption',
	'submit',
	'unit'
]);
