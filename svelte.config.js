import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
const config = {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter({ out: 'build' }),
		// Flowbite's contexts are not among its exports (see routes/+layout.svelte).
		alias: { $flowbite: 'node_modules/flowbite-svelte/dist' },
		// The origin of writes is checked in hooks.server.ts, by the host that was asked.
		csrf: { trustedOrigins: ['*'] },
		// A few rules of one part are quicker with the page than asked for by themselves.
		inlineStyleThreshold: 1000,
		csp: {
			mode: 'nonce',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				'style-src': ['self'],
				// Drawings and the season strip place things by style attributes computed from data.
				'style-src-attr': ['unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'font-src': ['self'],
				'connect-src': ['self'],
				'worker-src': ['self', 'blob:'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		},
		typescript: {
			config: (c) => ({
				...c,
				include: [...c.include, '../bin/**/*.ts', '../e2e/**/*.ts', '../bench/**/*.ts', '../stand-ins/**/*.ts', '../demo/**/*.ts']
			})
		}
	}
};

export default config;
