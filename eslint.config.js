import js from '@eslint/js';
import importX from 'eslint-plugin-import-x';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const only = (...allowed) => ({ group: allowed });

/** Arrows point one way: routes → ui | server → formats → core (docs/design.md). */
const outside = {
	core: [
		only(
			'$lib/*',
			'**/server/**',
			'**/ui/**',
			'**/formats/**',
			'**/routes/**',
			'$app/*',
			'$env/*',
			'svelte',
			'svelte/*',
			'pg',
			'node:*',
			'fs',
			'path',
			'crypto',
			'@sveltejs/*',
			'flowbite*',
			'echarts*',
			'pino'
		)
	],
	formats: [only('**/server/**', '**/ui/**', '$lib/server', '$lib/ui', '$app/*', 'svelte', 'pg')],
	messages: [only('**/server/**', '**/ui/**', '**/routes/**', '$lib/server', '$lib/ui', '$app/*', 'pg')],
	ui: [only('**/server/**', '$lib/server', 'pg', 'node:*')],
	server: [only('**/ui/**', '$lib/ui', 'svelte', 'svelte/*', 'echarts*', 'flowbite*')]
};
const boundary = (layer) => ({
	files: [`src/lib/${layer}/**/*.{ts,svelte}`],
	rules: { 'no-restricted-imports': ['error', { patterns: outside[layer] }] }
});

export default ts.config(
	{
		ignores: ['node_modules/', '.svelte-kit/', 'build/', '.surculus/', 'test-results/', 'playwright-report/']
	},
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		plugins: { 'import-x': importX },
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'svelte/no-navigation-without-resolve': 'off',
			'import-x/no-duplicates': 'error'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } }
	},
	boundary('core'),
	boundary('formats'),
	boundary('messages'),
	boundary('ui'),
	boundary('server'),
	{
		// The core is handed today, the weather and a random source; it never reaches for them.
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage', 'crypto'],
			'no-restricted-properties': [
				'error',
				{ object: 'Date', property: 'now', message: 'The core is given its dates.' },
				{ object: 'Math', property: 'random', message: 'The core is given its random source.' }
			]
		}
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts', 'src/lib/core/dates.ts'],
		rules: {
			'no-restricted-syntax': ['error', { selector: "NewExpression[callee.name='Date']", message: 'Use core/dates.' }]
		}
	},
	{
		// What is typed over it would go whenever the page's data is read anew.
		files: ['src/**/*.svelte'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector:
						"VariableDeclaration[kind='let'] > VariableDeclarator > CallExpression[callee.name='$derived'] MemberExpression[object.name='data']",
					message: 'Fill a field from what is steady: ui/steady.ts.'
				}
			]
		}
	},
	{
		// What they set into the page is what the server has just written for a part of our own, and what the library for
		// charts has drawn, which escapes every text.
		files: ['src/lib/ui/Island.svelte', 'src/lib/ui/Chart.svelte'],
		rules: { 'svelte/no-at-html-tags': 'off' }
	},
	{
		// What checks entries and the handbook sets itself up at once, which on a phone takes as long as a page does.
		files: ['src/routes/**/*.svelte', 'src/lib/ui/**/*.{ts,svelte}'],
		ignores: ['**/*.test.ts'],
		rules: {
			'@typescript-eslint/no-restricted-imports': [
				'error',
				{
					patterns: [
						{
							group: ['$lib/core/ledger/entries.js', '$lib/core/ledger/index.js', '$lib/core/handbook/schema.js', 'zod'],
							allowTypeImports: true,
							message: 'Screens carry nothing that checks entries: take the words and lists from files without schemas.'
						}
					]
				}
			]
		}
	},
	{
		files: ['src/lib/core/**/*.test.ts'],
		rules: { 'no-restricted-imports': 'off' }
	}
);
