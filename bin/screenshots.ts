/** Takes one picture of each main view from the sample garden, into docs/screenshots/; of those named alone, if any are. */
import { chromium, expect } from '@playwright/test';
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
	/** Text of a link to follow after that. */
	then?: string;
	/** Name of a button to press before the picture. */
	press?: string;
	/** Text that goes away once all of it is there. */
	until?: string;
	whole?: boolean;
	/** By night. */
	dark?: boolean;
}

const SHOTS: Shot[] = [
	{ name: 'round', path: 'round' },
	{ name: 'round-phone', path: 'round', size: PHONE },
	{ name: 'weather', path: 'weather' },
	{ name: 'year', path: 'year' },
	{ name: 'wants', path: 'wants' },
	{ name: 'want-plan', path: 'wants', follow: 'cover the upper bank', press: 'Other days', whole: true },
	{ name: 'stock', path: 'stock' },
	{ name: 'cuts', path: 'stock', follow: 'red stems', then: 'Where to cut, and what it gives', whole: true },
	{ name: 'bench', path: 'bench' },
	{ name: 'batch', path: 'bench', follow: 'Border penstemon', whole: true },
	{ name: 'batch-phone', path: 'bench', follow: 'Marguerite', size: PHONE, dark: true },
	{ name: 'guide', path: 'guide/lavender/semi-ripe', whole: true },
	{ name: 'shelter', path: 'shelter', whole: true },
	{ name: 'ground', path: 'ground', follow: 'Path edge', whole: true },
	{ name: 'mix', path: 'mix?kind=box&way=semi-ripe&n=120' },
	{ name: 'plan', path: 'plan', until: 'Trying what would help …', whole: true },
	{ name: 'ledger', path: 'ledger' },
	{ name: 'handbook-kind', path: 'handbook/lavender' },
	{ name: 'first-run', path: '../../new' }
];

buildIfStale();
const app = await openDemoApp();
const browser = await chromium.launch(CHROMIUM);
mkdirSync(join(ROOT, 'docs', 'screenshots'), { recursive: true });
const asked = process.argv.slice(2);
for (const shot of SHOTS.filter((s) => asked.length === 0 || asked.includes(s.name))) {
	const page = await browser.newPage({ viewport: shot.size ?? WIDE, locale: 'en-GB', colorScheme: shot.dark ? 'dark' : 'light' });
	await page.goto(`${app.url}/g/three-alders/${shot.path}`, { timeout: 90_000 });
	if (shot.until) {
		await page.getByText(shot.until).first().waitFor({ timeout: 90_000 });
		await expect(page.getByText(shot.until)).toHaveCount(0, { timeout: 90_000 });
	}
	await page.waitForLoadState('networkidle');
	if (shot.follow) {
		await page.locator('main a', { hasText: shot.follow }).first().click();
		await page.waitForLoadState('networkidle');
		await page.locator('main h1').waitFor();
	}
	if (shot.then) {
		await page.getByRole('link', { name: shot.then }).click();
		await page.waitForLoadState('networkidle');
	}
	// Fonts, the strip and the charts settle.
	await page.waitForTimeout(1300);
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
