import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** The threads' part of the server, as one module beside the built app. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('src/lib', import.meta.url)) } },
	// The framework's own errors are known by their class; the app's bundle has its copy, this one its own.
	ssr: { noExternal: ['@sveltejs/kit', 'esm-env'] },
	build: {
		ssr: 'src/lib/server/threads/thread.ts',
		outDir: 'build/threads',
		emptyOutDir: true,
		target: 'node20',
		rollupOptions: { output: { entryFileNames: 'thread.js' } }
	}
});
