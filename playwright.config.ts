import { defineConfig } from '@playwright/test';

/** The real interface in Debian's Chromium. Each spec starts an app of its own (e2e/app.ts). */
export default defineConfig({
	testDir: 'e2e',
	testMatch: '*.spec.ts',
	timeout: 90_000,
	expect: { timeout: 15_000 },
	workers: 1,
	fullyParallel: false,
	retries: 0,
	reporter: process.env.CI ? [['list']] : [['list']],
	use: {
		// Dates and numbers are typed as the browser's locale has them.
		locale: 'en-GB',
		timezoneId: 'UTC',
		trace: 'off',
		launchOptions: {
			executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	}
});
