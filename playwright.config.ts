import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './bin/demoApp.js';

/** The real interface in Debian's Chromium. Each spec starts an app of its own (e2e/app.ts). */
export default defineConfig({
	testDir: 'e2e',
	testMatch: '*.spec.ts',
	globalSetup: './e2e/setup.ts',
	// Limits for what hangs, not for what is slow: the machine that checks may be half as fast as ours.
	timeout: 480_000,
	expect: { timeout: 40_000 },
	// Two apps, two browsers, two cores: no test counts milliseconds.
	workers: 2,
	fullyParallel: false,
	retries: 0,
	reporter: 'list',
	use: {
		// Dates and numbers are typed as the browser's locale has them.
		locale: 'en-GB',
		timezoneId: 'UTC',
		trace: 'off',
		launchOptions: CHROMIUM
	}
});
