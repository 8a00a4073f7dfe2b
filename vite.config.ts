import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	test: {
		include: ['src/**/*.test.ts', 'bin/**/*.test.ts', 'stand-ins/**/*.test.ts'],
		environment: 'node',
		globalSetup: ['bin/testDatabase.ts'],
		// Tests against the database share one server; each file makes its own database in it.
		testTimeout: 30_000,
		hookTimeout: 60_000
	}
});
