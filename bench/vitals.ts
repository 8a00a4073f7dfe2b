/** What a person with an old phone feels: Chromium's own LCP, CLS and INP on a processor slowed four times, fonts late. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { chromium } from '@playwright/test';
import type { CDPSession, Page } from '@playwright/test';
import { CHROMIUM } from '../bin/demoApp.js';

interface Vitals {
	lcp: number;
	cls: number;
	inp: number;
	/** The longest task of the page's thread, ms. */
	task: number;
}

const SLOWED = 4;
/** Fonts come so much later than the rest: what jumps then is counted. */
const FONTS_LATE_MS = 600;
const RUNS = 7;

const library = readFileSync(join(dirname(createRequire(import.meta.url).resolve('web-vitals')), 'web-vitals.iife.js'), 'utf8');
/** Runs in the page. */
const WATCH = `
	globalThis.vitals = { lcp: 0, cls: 0, inp: 0, task: 0 };
	for (const [name, of] of [['onLCP', 'lcp'], ['onCLS', 'cls'], ['onINP', 'inp']])
		webVitals[name]((m) => (globalThis.vitals[of] = m.value), { reportAllChanges: true, durationThreshold: 16 });
	new PerformanceObserver((list) => {
		for (const e of list.getEntries()) globalThis.vitals.task = Math.max(globalThis.vitals.task, e.duration);
	}).observe({ type: 'longtask', buffered: true });
`;

/** How quick the page's thread is in this run: what the times are to be read against. Runs in the page, ms. */
const YARDSTICK = `(() => {
	const began = performance.now();
	let sum = 0;
	for (let i = 0; i < 2e7; i++) sum = (sum + i * i) % 1000003;
	return performance.now() - began + (sum < 0 ? 1 : 0);
})()`;

/** Fonts alone are held back: what else the page asks for goes its own way, as on a phone. */
async function fontsLate(cdp: CDPSession): Promise<void> {
	cdp.on('Fetch.requestPaused', ({ requestId }) => {
		setTimeout(() => void cdp.send('Fetch.continueRequest', { requestId }).catch(() => {}), FONTS_LATE_MS);
	});
	await cdp.send('Fetch.enable', { patterns: [{ urlPattern: '*.woff2*' }] });
}

async function once(page: Page, url: string, tap: string | null): Promise<Vitals> {
	await page.goto(url);
	await page.waitForLoadState('networkidle');
	await page.waitForTimeout(300);
	if (tap) {
		await page.locator(tap).first().click();
		await page.waitForTimeout(400);
		// What shifts after a tap was asked for.
	}
	return page.evaluate(() => (globalThis as unknown as { vitals: Vitals }).vitals);
}

const middle = (all: number[]) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)]!;

/** The middle of some first visits each, in a window of a phone. */
export async function benchVitals(base: string, tell: (line?: string) => void): Promise<void> {
	const browser = await chromium.launch(CHROMIUM);
	const plain = await browser.newPage();
	const first = async (list: string, link: string) => {
		await plain.goto(`${base}/${list}`);
		return (await plain.locator(link).first().getAttribute('href'))!.split('/').slice(3).join('/');
	};
	const paths: [path: string, tap: string | null][] = [
		['round', 'button:has-text("Not now")'],
		['bench', 'button:has-text("Choose several")'],
		[await first('bench', 'main ul.long a'), '[aria-label=Log] button'],
		['wants', null],
		[await first('wants', 'main ul.long a'), 'summary'],
		['wants/new?kind=lavender', 'button[aria-label^="One more"]'],
		['stock', null],
		[await first('stock', 'main ul.long a'), 'summary'],
		['ledger', null],
		['handbook', null],
		['handbook/lavender', 'summary'],
		['weather', null]
	];
	tell();
	tell('## On an old phone');
	tell();
	tell(
		`390 × 844, processor slowed ${SLOWED} times, fonts ${FONTS_LATE_MS} ms late, nothing in the browser's store; the middle of ${RUNS} visits. Chromium's own figures (web-vitals): largest paint, shift of the layout, the page's answer to a tap, the longest task. Goals: under 1.5 s, .02, 200 ms, 200 ms.`
	);
	tell();
	tell('| page | LCP | CLS | INP | longest task |');
	tell('| --- | --- | --- | --- | --- |');
	const yardsticks: number[] = [];
	for (const [path, tap] of paths) {
		const runs: Vitals[] = [];
		// New to the phone, not to the app: what the app works out once it has.
		await plain.goto(`${base}/${path}`);
		for (let i = 0; i < RUNS; i++) {
			const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
			const page = await context.newPage();
			await page.addInitScript(`${library}\n${WATCH}`);
			const cdp = await context.newCDPSession(page);
			await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
			await fontsLate(cdp);
			runs.push(await once(page, `${base}/${path}`, tap));
			yardsticks.push(await page.evaluate<number>(YARDSTICK));
			await context.close();
		}
		const of = (key: keyof Vitals) => middle(runs.map((r) => r[key]));
		const name = path.replace(/[0-9a-f-]{36}/, '…');
		tell(
			`| ${name} | ${(of('lcp') / 1000).toFixed(2)} s | ${of('cls').toFixed(3)} | ${!tap ? '–' : of('inp') ? `${Math.round(of('inp'))} ms` : 'under 16 ms'} | ${Math.round(of('task'))} ms |`
		);
	}
	await browser.close();
	tell();
	tell(
		`The machine at that time: 20 million steps of a plain loop on the same slowed thread took ${Math.round(middle(yardsticks))} ms (${Math.round(Math.min(...yardsticks))} to ${Math.round(Math.max(...yardsticks))}); the times above grow with it.`
	);
}
