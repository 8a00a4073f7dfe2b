/** Takes one picture of each main view from the sample garden, into docs/screenshots/. */
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { buildIfStale } from './build.js';
import { CHROMIUM, openDemoApp } from './demoApp.js';
import { ROOT, say } from './lib.js';

const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

interface Shot {
	name: string;
	path: string;
	size?: typeof WIDE;
	/** Text of a link in the page to follow first. */
	follow?: string;
	/** Name of a button to press before the picture. */
	press?: string;
	whole?: boolean;
}

const SHOTS: Shot[] = [
	{ name: 'round', path: 'round' },
	{ name: 'round-phone', path: 'round', size: PHONE },
	{ name: 'weather', path: 'weather' },
	{ name: 'year', path: 'year' },
	{ name: 'away', path: 'round/away?from=2026-09-08&to=2026-09-18', whole: true },
	{ name: 'wants', path: 'wants' },
	{ name: 'want-plan', path: 'wants', follow: 'cover the upper bank', press: 'Other days', whole: true },
	{ name: 'want-new', path: 'wants/new?kind=lavender' },
	{ name: 'stock', path: 'stock' },
	{ name: 'stock-plant', path: 'stock', follow: 'plum' },
	{ name: 'bench', path: 'bench' },
	{ name: 'bench-ahead', path: 'bench?day=2027-05-20' },
	{ name: 'batch', path: 'bench', follow: 'Border penstemon', press: 'Check', whole: true },
	{ name: 'batch-phone', path: 'bench', follow: 'Border penstemon', press: 'Check', size: PHONE },
	{ name: 'ledger', path: 'ledger' },
	{ name: 'handbook', path: 'handbook' },
	{ name: 'handbook-kind', path: 'handbook/lavender' },
	{ name: 'settings', path: 'settings' },
	{ name: 'first-run', path: '../../new' }
];

buildIfStale();
const app = await openDemoApp();
const browser = await chromium.launch(CHROMIUM);
mkdirSync(join(ROOT, 'docs', 'screenshots'), { recursive: true });
// The station is heard before the first picture.
for (let i = 0; i < 3; i++) await (await fetch(`${app.url}/g/three-alders/weather`)).text();
for (const shot of SHOTS) {
	const page = await browser.newPage({ viewport: shot.size ?? WIDE, locale: 'en-GB' });
	await page.goto(`${app.url}/g/three-alders/${shot.path}`);
	await page.waitForLoadState('networkidle');
	if (shot.follow) {
		await page.locator('main a', { hasText: shot.follow }).first().click();
		await page.waitForLoadState('networkidle');
		await page.locator('main h1').waitFor();
	}
	// Fonts and the strip settle.
	await page.waitForTimeout(400);
	if (shot.press) {
		await page.getByRole('button', { name: shot.press, exact: true }).first().click();
		await page.waitForTimeout(1200);
	}
	await page.screenshot({
		path: join(ROOT, 'docs', 'screenshots', `${shot.name}.png`),
		fullPage: shot.whole ?? false
	});
	say(shot.name);
	await page.close();
}
await browser.close();
await app.close();
