import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	// tailwind-variants brings its own copy of it; a second one is 50 kB more, and set up anew in every page.
	resolve: { alias: { 'tailwind-merge': fileURLToPath(new URL('src/lib/ui/tailwindMerge.ts', import.meta.url)) } },
	worker: { format: 'es' },
	test: {
		environment: 'node',
		globalSetup: ['bin/testDatabase.ts'],
		// By itself it leaves one core idle, which is half of a small machine.
		maxWorkers: availableParallelism(),
		// Tests against the database share one server; each file makes its own database in it.
		testTimeout: 120_000,
		hookTimeout: 120_000,
		projects: [
			// The core keeps nothing between two tests but what it has read: its files share what they import.
			{ extends: true, test: { name: 'core', include: ['src/lib/core/**/*.test.ts'], isolate: false } },
			{
				extends: true,
				test: {
					name: 'rest',
					include: ['src/**/*.test.ts', 'bin/**/*.test.ts', 'stand-ins/**/*.test.ts'],
					exclude: ['src/lib/core/**']
				}
			}
		]
	}
});
