/** Every screen of the sample garden: it opens, says something, and axe finds nothing, by day and by night, at both sizes. */
import type { Page } from '@playwright/test';
import { expect, test, TODAY } from './app.js';
import { faultsOf, withAxe } from './axe.js';
import { hiddenFocus, tooSmall } from './targets.js';
import { SCREENS } from '../src/lib/formats/screens.js';

/** Each screen once, and some as they are with something asked of them. */
const PATHS = [
	...SCREENS.map((s) => s.path),
	...['bench?by=place', 'mix?kind=box&way=semi-ripe&n=120', 'guide/lavender/semi-ripe', 'guide/daylily/division'],
	...['ground?kind=lavender&count=150', 'handbook/lavender', 'handbook/angels-trumpet', 'handbook/own?like=forsythia']
];
/** Lists of which some pages are looked at, and how many. */
const LISTS = { wants: 3, stock: 3, bench: 3, shelter: 1, ground: 1 } as const;

for (const width of [1280, 390]) {
	test(`screens are sound at ${width} px`, async ({ app, page }) => {
		await soundAt(page, width, app.demo, PATHS);
	});
	test(`single plants, batches and places are sound at ${width} px`, async ({ app, page }) => {
		const paths: string[] = [];
		for (const [list, most] of Object.entries(LISTS)) {
			await page.goto(`${app.demo}/${list}`);
			const links = await page
				.locator(`main a[href*="/${list}/"]:not([href$="/new"]):not([href$="/import"])`)
				.evaluateAll((all) => all.map((a) => (a as HTMLAnchorElement).pathname));
			expect(links.length, list).toBeGreaterThan(3);
			const ones = links.slice(0, most).map((l) => l.split('/').slice(3).join('/'));
			paths.push(...ones);
			if (list === 'stock') paths.push(...ones.slice(0, 2).map((one) => `${one}/cuts`));
		}
		await soundAt(page, width, app.demo, paths);
	});
}

async function soundAt(page: Page, width: number, garden: string, paths: readonly string[]): Promise<void> {
	await page.setViewportSize({ width, height: 844 });
	await withAxe(page);
	const wrong: string[] = [];
	const faults: string[] = [];
	page.on('pageerror', (e) => wrong.push(`${page.url()}: ${e.message}`));
	page.on('console', (m) => m.type() === 'error' && wrong.push(`${page.url()}: ${m.text()}`));
	for (const path of paths) {
		await page.goto(`${garden}/${path}`);
		const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
		expect(wide, `${path} scrolls sideways by`).toBeLessThanOrEqual(0);
		// Fingers in wet gloves on a phone (WCAG 2.2, 2.5.8 asks for 24 px).
		for (const small of await page.evaluate(tooSmall, width < 500 ? 44 : 24)) faults.push(`${path}: too small: ${small}`);
		if (width < 500) for (const hidden of await page.evaluate(hiddenFocus, 60)) faults.push(`${path}: under the bar: ${hidden}`);
		await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
		faults.push(...(await faultsOf(page, path)));
	}
	expect(faults).toEqual([]);
	expect(wrong).toEqual([]);
}

test('the season strip shows another day on every screen', async ({ app, page }) => {
	await page.setViewportSize({ width: 1280, height: 800 });
	await page.goto(`${app.demo}/bench`);
	const strip = page.getByRole('slider', { name: 'Day shown on all screens' });
	await expect(strip).toBeVisible();
	const box = (await strip.boundingBox())!;
	// At rest it leaves the screen to what is asked; a drag opens it.
	expect((await page.getByRole('region', { name: 'Season strip' }).boundingBox())!.height).toBeLessThanOrEqual(64);
	await page.mouse.move(box.x + box.width * 0.17, box.y + 20);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width * 0.6, box.y + 20, { steps: 8 });
	await page.mouse.up();
	await expect(page).toHaveURL(/day=2027-0[4-6]-/);
	await expect(page.getByRole('heading', { level: 1 })).toContainText('as expected on');
	await page.getByRole('link', { name: 'Round' }).filter({ visible: true }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('The round of');
	await page.getByRole('slider').focus();
	await page.keyboard.press('Home');
	await expect(page).not.toHaveURL(/day=/);
	await page.keyboard.press('ArrowRight');
	await expect(page).toHaveURL(/day=2026-09-06/);
	await page.getByLabel('Show day').fill('1 March 2027');
	await page.getByLabel('Show day').press('Enter');
	await expect(page).toHaveURL(/day=2027-03-01/);
	await page.goto(`${app.demo}/round?day=1999-01-01`);
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Today’s round');
	expect(TODAY).toBe('2026-09-05');
});

test('the palette jumps to screens, kinds and codes, and knows a misread stick', async ({ app, page }) => {
	await page.goto(`${app.demo}/bench`);
	const code = (await page.locator('main li .font-mono').first().textContent())!.trim();
	await page.keyboard.press('Control+k');
	const input = page.getByRole('combobox');
	await input.fill(code.replace('-', '').toLowerCase());
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/\/bench\/[0-9a-f-]{36}/);
	await expect(page.getByRole('heading', { level: 1 })).toContainText(code);
	await page.keyboard.press('Control+k');
	const wrong = code.endsWith('2') ? '3' : '2';
	await input.fill(`${code.slice(0, 3)}${wrong}`);
	await expect(page.getByText('The last character does not go with the others')).toBeVisible();
	await input.fill('hedgehog');
	await expect(page.getByText('Nothing by that name here.')).toBeVisible();
	await input.fill('catm');
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/handbook\/catmint|stock\//);
});

test('a figure of one’s own changes the plan, and the handbook’s comes back', async ({ app, page }) => {
	await page.goto(`${app.demo}/handbook/lavender`);
	await page.getByLabel('Figure').selectOption({ label: 'semi-ripe cutting: rooted: chance a piece passes' });
	await page.getByLabel('Your value').fill('1.4');
	await page.getByRole('button', { name: 'Use mine' }).click();
	await expect(page.getByRole('alert')).toContainText('between 0.01 and 0.99');
	await page.getByLabel('Your value').fill('0,4');
	await page.getByRole('button', { name: 'Use mine' }).click();
	await expect(page.getByText('(handbook: 0.75)')).toBeVisible();
	await page.getByRole('button', { name: 'Handbook’s again' }).click();
	await expect(page.getByText('(handbook: 0.75)')).toBeHidden();
});

test('protected stock is not planned from, until leave is recorded', async ({ app, page }) => {
	await page.goto(`${app.demo}/wants`);
	await page.getByRole('link', { name: /three for my sister/ }).click();
	await page.getByLabel('From this stock').selectOption({ label: 'Surhyd01, sold as Chalk Lantern' });
	await page.getByRole('button', { name: 'Plan from it' }).click();
	await expect(page.getByText('may not be multiplied without a licence').first()).toBeVisible();
	await expect(page.getByRole('button', { name: 'Take this plan' })).toHaveCount(0);
	await page.getByRole('link', { name: 'Record a licence or that the term has ended' }).click();
	await page.getByText('Record a licence, or that the term has ended').click();
	await page.getByLabel('Number, letter or how you know').fill('Letter 12/26');
	await page.getByRole('button', { name: 'Record it' }).click();
	await expect(page.getByText('Recorded here: a licence (Letter 12/26).')).toBeVisible();
});

test('one tap on the round says that all is well, and the ledger takes it back', async ({ app, page }) => {
	await page.goto(`${app.demo}/round`);
	await page.waitForLoadState('networkidle');
	const stop = page.locator('main li').filter({ has: page.getByRole('button', { name: 'All well' }) });
	await stop.getByRole('button', { name: 'All well' }).first().click();
	const said = page.getByRole('status').filter({ hasText: /: all \d+ well\./ });
	await expect(said).toBeVisible();
	const code = /([2-9A-Z]{3}-[2-9A-Z])/.exec((await said.textContent())!)![1]!;
	await page.goto(`${app.demo}/ledger?q=${code.replace('-', '+')}&kind=batch.checked`);
	const row = page
		.getByRole('row')
		.filter({ hasText: `${code} ` })
		.first();
	await expect(row).toContainText('firm');
	await row.getByRole('button', { name: /Undo/ }).click();
	await expect(row).toContainText('undone');
});

test('a place is added, changed and closed; one in use stays', async ({ app, page }) => {
	await page.goto(`${app.demo}/settings`);
	await page.waitForLoadState('networkidle');
	// Others of these tests may have added places to the same garden: it comes last in the walk, whatever its number.
	const last = (await page.getByRole('button', { name: 'Change' }).count()) + 1;
	await page.getByRole('button', { name: 'Add a place' }).click();
	await page.getByLabel('Name', { exact: true }).fill('Porch');
	await page.getByLabel('Lowest it gets').fill('9');
	await page.getByLabel('Highest', { exact: true }).fill('4');
	await page.getByRole('button', { name: 'Save the place' }).click();
	await expect(page.getByRole('alert')).toContainText('lowest temperature is above the highest');
	await page.getByLabel('Highest', { exact: true }).fill('20');
	await page.getByRole('button', { name: 'Save the place' }).click();
	await expect(page.getByText(`${last}. Porch`)).toBeVisible();
	const frame = page.getByRole('listitem').filter({ hasText: 'Cold frame' });
	await frame.getByRole('button', { name: 'Change' }).click();
	await page.getByRole('button', { name: 'Close this place' }).click();
	await expect(page.getByRole('alert')).toContainText('move first');
	await page.getByRole('listitem').filter({ hasText: 'Porch' }).getByRole('button', { name: 'Change' }).click();
	await page.getByRole('button', { name: 'Close this place' }).click();
	await expect(page.getByText(`${last}. Porch`)).toBeHidden();
});

test('narrow screens and large letters: nothing scrolls sideways', async ({ app, page }) => {
	// WCAG 2.2: reflow at 320 px (1.4.10), text at twice its size (1.4.4).
	for (const [size, larger] of [
		[{ width: 320, height: 700 }, 1],
		[{ width: 1280, height: 800 }, 2]
	] as const) {
		await page.setViewportSize(size);
		for (const path of [...SCREENS.map((s) => s.path), 'handbook/lavender', 'guide/lavender/semi-ripe', 'bench?by=place']) {
			await page.goto(`${app.demo}/${path}`);
			await page.evaluate((times) => (document.documentElement.style.fontSize = `${106.25 * times}%`), larger);
			const wide = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
			await expect.poll(wide, `${path} at ${size.width} px, letters × ${larger}`).toBeLessThanOrEqual(0);
		}
	}
});

test('light or dark is chosen on the device, stays chosen, and paper is white all the same', async ({ app, page }) => {
	const ground = () => page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
	await page.emulateMedia({ colorScheme: 'light' });
	await page.goto(`${app.demo}/settings`);
	const light = await ground();
	await page.getByText('Dark', { exact: true }).click();
	const dark = await ground();
	expect(dark).not.toBe(light);
	// The first paint of the next page is dark already: it comes so from the server.
	await page.goto(`${app.demo}/round`);
	expect(await page.locator('html').getAttribute('data-theme')).toBe('dark');
	expect(await ground()).toBe(dark);
	await page.emulateMedia({ media: 'print' });
	expect(await ground()).toBe('rgb(255, 255, 255)');
	await page.emulateMedia({ media: 'screen', colorScheme: 'dark' });
	await page.goto(`${app.demo}/settings`);
	await page.getByText('Light', { exact: true }).click();
	expect(await ground()).toBe(light);
	await page.getByText('As this device has it').click();
	expect(await ground()).toBe(dark);
});

test('what is wrong takes the hand to its field, and a question mark tells the keys', async ({ app, page }) => {
	await page.goto(`${app.demo}/wants/new?kind=lavender`);
	await page.getByLabel('In the ground by').fill('2020-01-01');
	await page.getByRole('button', { name: 'Write it down and plan' }).click();
	await expect(page.getByRole('alert')).toContainText('has gone by');
	await expect(page.getByLabel('In the ground by')).toBeFocused();
	await page.getByRole('heading', { level: 1 }).click();
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog')).toContainText('On the season strip: back to today');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('dates and numbers are written as chosen, on every screen, and fields read them so', async ({ app, page }) => {
	const broken: string[] = [];
	page.on('pageerror', (e) => broken.push(e.message));
	// What is said in words is asked for first, so that an answer kept for one reader would be found with the other.
	for (const { path } of SCREENS) await page.request.get(`${app.demo}/${path}`);
	await page.goto(`${app.demo}/settings`);
	await page.waitForLoadState('networkidle');
	await page.getByLabel('Latitude').fill('41.25');
	await page.getByText('2027-05-01', { exact: true }).click();
	await page.getByText('1.234,5', { exact: true }).click();
	await expect(page.getByRole('textbox', { name: 'Average last frost' })).toHaveValue(/^2026-\d\d-\d\d$/);
	await expect(page.getByLabel('Latitude')).toHaveValue('41.25');
	const found: string[] = [];
	for (const { path } of SCREENS) {
		await page.goto(`${app.demo}/${path}`);
		await page.waitForLoadState('networkidle');
		const said = await page.locator('body').innerText();
		// The ledger is written in one hand; the choice itself shows all.
		if (path.startsWith('ledger') || path === 'settings') continue;
		const plain = said.match(
			/.{0,40}\b\d{1,2} (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)\b.{0,20}|.{0,30}\d,\d{3}\b.{0,20}/g
		);
		if (plain) found.push(`${path}: ${plain.slice(0, 4).join(' | ')}`);
	}
	expect(found).toEqual([]);

	// Typed in any way that people write a day; what is none says so at once, stays, and is refused.
	await page.goto(`${app.demo}/wants/new?kind=sage`);
	const due = page.getByLabel('In the ground by');
	for (const [typed, read] of [
		['1 May 2028', '2028-05-01'],
		['5/6/2028', '2028-06-05'],
		['in 3 weeks', '2026-09-26']
	] as const) {
		await due.fill(typed);
		await due.press('Tab');
		await expect(due).toHaveValue(read);
	}
	await due.fill('31 June');
	await due.press('Tab');
	await expect(page.getByText('That is no day of the calendar: write it like 2027-05-01.')).toBeVisible();
	await page.getByRole('button', { name: 'Write it down and plan' }).click();
	await expect(due).toHaveValue('31 June');
	await expect(due).toBeFocused();
	expect(broken).toEqual([]);
});
