/** An app of its own for a spec: fresh database, the demo or none, today pinned. */
import { test as base } from '@playwright/test';
import pg from 'pg';
import type { Cluster } from '../bin/cluster.js';
import { DEMO_TODAY, openDemoApp } from '../bin/demoApp.js';

export { expect } from '@playwright/test';

/** A computer's window and a phone's. */
export const SIZES = [
	{ name: 'computer', width: 1280, height: 800 },
	{ name: 'phone', width: 390, height: 844 }
];

export const TODAY = DEMO_TODAY;

export interface App {
	url: string;
	cluster: Cluster;
	/** Runs SQL on its database, as its owner. */
	query(sql: string): Promise<void>;
	/** The demo garden's path. */
	demo: string;
	/** Address of the stand-in weather station. */
	station: string;
}

export const test = base.extend<object, { app: App; appOptions: { demo: boolean; towns?: boolean; env: NodeJS.ProcessEnv } }>({
	appOptions: [
		{ demo: true, env: {} },
		{ option: true, scope: 'worker' }
	],
	app: [
		async ({ appOptions }, use) => {
			const app = await openDemoApp(appOptions);
			await use({
				url: app.url,
				cluster: app.cluster,
				query: async (sql) => {
					const client = new pg.Client({ connectionString: app.databaseUrl });
					await client.connect();
					await client.query(sql);
					await client.end();
				},
				demo: `${app.url}/g/three-alders`,
				station: app.standIns.get('weather-station')!
			});
			await app.close();
		},
		{ scope: 'worker', timeout: 300_000 }
	],
	// A page is used once it has come alive: before that a tap is lost on a slow machine.
	page: async ({ page }, use) => {
		const goto = page.goto.bind(page);
		page.goto = async (url, options) => {
			const response = await goto(url, options);
			await page.waitForLoadState('networkidle');
			return response;
		};
		await use(page);
	}
});
