/** By keys alone, by ear, and every form that a tap opens: the interface for those who have no mouse or see little. */
import type { Locator, Page } from '@playwright/test';
import { expect, SIZES, test } from './app.js';
import { faultsOf, withAxe } from './axe.js';

/** Presses Tab until that has the focus, as a person would; never more than a page has stops. */
async function tabTo(page: Page, to: Locator): Promise<void> {
	await expect(to).toBeVisible();
	for (let i = 0; i < 250; i++) {
		await page.keyboard.press('Tab');
		if (await to.evaluate((el) => el === document.activeElement)) return;
	}
	throw new Error(`No Tab reaches ${to}`);
}
const enter = async (page: Page, to: Locator) => {
	await tabTo(page, to);
	await page.keyboard.press('Enter');
};
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' }).first();
const said = (page: Page) => page.getByRole('status').filter({ has: page.getByRole('button', { name: 'Close this message' }) });

test('a want, its plan, a strike and a check by keys alone', async ({ app, page }) => {
	await page.setViewportSize(SIZES[0]!);
	await page.goto(`${app.demo}/wants`);
	// The first stop leads past the bars.
	await page.keyboard.press('Tab');
	await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
	await enter(page, page.getByRole('link', { name: 'Say what you want' }));
	await tabTo(page, page.getByLabel('Kind', { exact: true }));
	await page.keyboard.type('catmi');
	await expect(page.getByRole('option', { name: /Catmint/ })).toBeVisible();
	await page.keyboard.press('Enter');
	await tabTo(page, page.getByLabel('How many', { exact: true }));
	await page.keyboard.press('Control+a');
	await page.keyboard.type('6');
	await enter(page, button(page, 'Write it down and plan'));
	await expect(page.getByRole('heading', { level: 1, name: /^6 .*[Cc]atmint/ })).toBeVisible();
	await enter(page, button(page, /^(Take this plan|Plan that all the same)$/));
	await expect(said(page)).toContainText('Planned: ');
	// What was done can be taken back from the message, and done again.
	await enter(page, button(page, 'Undo'));
	await expect(page.getByRole('heading', { name: 'Its batches' })).toHaveCount(0);
	await enter(page, button(page, /^(Take this plan|Plan that all the same)$/));
	await enter(page, page.locator('main a[href*="/bench/"]').first());
	await enter(page, button(page, 'Strike it'));
	await enter(page, button(page, 'Struck'));
	await expect(page.getByTestId('rooting')).toBeVisible();
	const log = page.getByRole('group', { name: 'Log' });
	await enter(page, log.getByRole('button').first());
	// The form stands where the hand is: its first field is the next stops away, not the page's head.
	await tabTo(page, page.getByLabel('Alive', { exact: true }));
	await page.keyboard.press('Control+a');
	await page.keyboard.type('3');
	await enter(page, button(page, 'Log it'));
	await expect(page.locator('main')).toContainText('3 of ');
	await page.keyboard.press('Control+k');
	// Open for good, with its list: the browser tells of a dialog's opening a moment later, and Flowbite takes that as said anew.
	await expect(page.getByRole('dialog').getByRole('combobox')).toBeFocused();
	await expect(page.getByRole('dialog').getByRole('option').first()).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toHaveCount(0);
});

for (const size of SIZES)
	test(`axe finds nothing in what a tap opens, on a ${size.name}`, async ({ app, page }) => {
		await page.setViewportSize(size);
		const faults: string[] = [];
		await withAxe(page);
		const look = async (what: string) => void faults.push(...(await faultsOf(page, what)));
		await page.goto(`${app.demo}/round`);
		for (const name of [/^Count$/, /^Bring in/, /^Skip or put off/]) {
			await page.getByRole('button', { name }).first().click();
			await look(`round, ${name}`);
		}
		await page.goto(`${app.demo}/bench`);
		await page.getByRole('button', { name: 'Choose several' }).click();
		await page
			.getByRole('checkbox', { name: /^Choose / })
			.first()
			.check();
		await look('bench, several chosen');
		const growing = page
			.locator('main ul.long > li')
			.filter({ hasText: 'struck' })
			.filter({ hasText: /rooted/ });
		await page.goto(new URL((await growing.first().getByRole('link').getAttribute('href'))!, app.url).href);
		for (const verb of await page.getByRole('group', { name: 'Log' }).getByRole('button').all()) {
			await verb.click();
			await look(`batch, ${await verb.textContent()}`);
		}
		await page.goto(`${app.demo}/settings`);
		await page.getByRole('button', { name: 'Add a place' }).click();
		await look('settings, a place');
		await page.goto(`${app.demo}/wants`);
		await page.locator('main ul a[href*="/wants/"]').last().click();
		await page.waitForLoadState('networkidle');
		await look('a want');
		await page.goto(`${app.demo}/wants/new`);
		await page.getByText('bed or slope', { exact: true }).click();
		await page.getByLabel('Kind', { exact: true }).fill('la');
		await look('a want, its kind being chosen');
		await page.keyboard.press('Escape');
		await page.keyboard.press('Control+k');
		await page.getByRole('dialog').getByRole('combobox').fill('la');
		await look('find');
		await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
		await page.getByRole('heading', { level: 1 }).click();
		await page.keyboard.press('?');
		await look('keys');
		expect(faults).toEqual([]);
	});

test('read aloud, a round, a batch and a want are sentences with names', async ({ app, page }) => {
	await page.goto(`${app.demo}/bench`);
	const batch = (await page.locator('main ul.long > li a').nth(2).getAttribute('href'))!;
	await page.goto(`${app.demo}/wants`);
	const want = (await page.locator('main ul a[href*="/wants/"]').first().getAttribute('href'))!;
	for (const path of [`${app.demo}/round`, new URL(batch, app.url).href, new URL(want, app.url).href]) {
		await page.goto(path);
		const tree = await page.locator('main').ariaSnapshot();
		// Whatever can be worked has a name, and so has every picture.
		expect(
			tree.split('\n').filter((l) => /^\s*- (button|link|textbox|combobox|spinbutton|checkbox|radio|img)\b(?! ")/.test(l)),
			path
		).toEqual([]);
		expect(await page.getByRole('heading', { level: 1 }).count()).toBe(1);
		// Headings go down one step at a time.
		const levels = await page.locator('main :is(h1, h2, h3, h4)').evaluateAll((all) => all.map((h) => Number(h.tagName[1])));
		for (const [i, level] of levels.entries()) if (i > 0) expect(level - levels[i - 1]!, path).toBeLessThanOrEqual(1);
		// Of buttons that say the same each tells what it is about.
		const twins = await page.locator('main button:visible, main a[data-act]:visible').evaluateAll((all) => {
			const told = all.map((b) => ({
				name: b.getAttribute('aria-label') ?? b.textContent!.trim(),
				about: (b.getAttribute('aria-describedby') ?? '')
					.split(' ')
					.map((id) => document.getElementById(id)?.textContent?.trim() ?? '')
					.join(' ')
			}));
			const seen = new Set<string>();
			return told.filter(
				(t) => seen.size === seen.add(`${t.name}|${t.about}`).size && told.filter((o) => o.name === t.name).length > 1
			);
		});
		expect(twins, path).toEqual([]);
	}
	// Numbers carry a noun: no line of the round is a figure alone.
	await page.goto(`${app.demo}/round`);
	const lines = (await page.locator('main').ariaSnapshot())
		.split('\n')
		.map((l) => l.replace(/^\s*- (text|paragraph|strong):?\s*/, '').trim());
	expect(lines.filter((l) => /^\d+([.,]\d+)?$/.test(l))).toEqual([]);
});
