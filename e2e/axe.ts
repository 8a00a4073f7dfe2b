/** What axe finds wrong on a page: WCAG 2.2 to AA and what axe calls good practice by day; by night, where only the colours are others, contrast. */
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type { RunOptions } from 'axe-core';

const AXE = createRequire(import.meta.url).resolve('axe-core/axe.min.js');
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
const DAY: RunOptions = { runOnly: { type: 'tag', values: TAGS } };
const NIGHT: RunOptions = { runOnly: { type: 'rule', values: ['color-contrast'] } };

/** Axe stands ready in every page that is opened from now on, whatever the page's policy on scripts. */
export const withAxe = (page: Page): Promise<void> => page.addInitScript({ path: AXE }).then(() => undefined);

/** Each fault as a line; the page is left by night. */
export async function faultsOf(page: Page, name: string): Promise<string[]> {
	await page.evaluate(() => (document.documentElement.dataset.theme = 'light'));
	const day = await violations(page, DAY);
	await page.evaluate(() => (document.documentElement.dataset.theme = 'dark'));
	const night = await violations(page, NIGHT);
	return [...day.map((v) => `${name} by day: ${v}`), ...night.map((v) => `${name} by night: ${v}`)];
}

/** Only what is wrong is worked out whole: naming each of thousands of good nodes takes most of axe's time. */
const violations = (page: Page, options: RunOptions): Promise<string[]> =>
	page.evaluate(async (asked) => {
		// What is still fading in has no contrast yet; what turns for ever is not waited for.
		const ending = document.getAnimations().filter((a) => a.effect?.getComputedTiming().endTime !== Infinity);
		await Promise.allSettled(ending.map((a) => a.finished));
		const { violations } = await axe.run(document, { ...asked, resultTypes: ['violations'], iframes: false });
		return violations.map((v) => `${v.id} ${v.nodes.length} × ${v.nodes[0]?.html.slice(0, 200)}`);
	}, options);
declare const axe: typeof import('axe-core');
