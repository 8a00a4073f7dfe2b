/** A full house: long lists are shown in parts, and one tap is for all that stands at a place, however many. */
import { expect, test } from './app.js';
import { fillGarden } from '../bench/fillGarden.js';

test.use({ appOptions: { demo: true, env: { SURCULUS_SPEC: 'full' } } });

test('three hundred batches: lists in parts, work on many in one tap, and told when they are others by then', async ({
	app,
	page,
	context
}) => {
	await fillGarden(app.cluster.url('app'), { growing: 300 });

	await page.goto(`${app.demo}/bench`);
	const rows = page.locator('main li a[href*="/bench/"]');
	const ended = await page.locator('main details li a').count();
	await expect(page.locator('main')).toContainText(/[23]\d\d\s+batches, /);
	expect((await rows.count()) - ended).toBe(60);
	await page.getByRole('link', { name: /^Show 60 more of 2\d\d batches$/ }).click();
	await expect.poll(async () => (await rows.count()) - ended).toBe(120);

	// By place, each place with a list of its own.
	await page.goto(`${app.demo}/bench?by=place`);
	const standing = page.locator('main section').first().locator('ul > li');
	expect(await standing.count()).toBe(20);
	await page
		.getByRole('link', { name: /^Show 20 more of \d+ batches here$/ })
		.first()
		.click();
	await expect.poll(() => standing.count()).toBeGreaterThan(20);

	// Two people see the same large task; one does it, the other is told that it is done or another by then.
	await page.goto(`${app.demo}/round?rows=6000`);
	const other = await context.newPage();
	await other.goto(`${app.demo}/round?rows=6000`);
	await other.waitForLoadState('networkidle');
	const large = (p: typeof page) =>
		p
			.locator('main ol > li ul > li')
			.filter({ has: p.locator('form[action="?/done"] input[name="many"]') })
			.first();
	// What is not drawn yet has no inner text.
	const title = ((await large(page).locator('p').first().textContent()) ?? '').replace(/\s+/g, ' ').trim();
	expect(title).not.toBe('');
	await large(page).getByRole('button', { name: 'Done' }).click();
	await expect(page.getByText(/: done\.$/)).toBeVisible();
	await expect(page.getByText(title, { exact: true })).toHaveCount(0);
	await large(other).getByRole('button', { name: 'Done' }).click();
	await expect(other.getByRole('alert').filter({ hasText: 'has changed since this was shown' })).toBeVisible();
	// The ledger has it once, for all of them.
	await page.goto(`${app.demo}/ledger?kind=care.done`);
	await expect(page.locator('main')).toContainText(/: done.*\((5[1-9]|[6-9]\d|\d{3,4})\)/);
});

test('the handbook is looked through as one types, the rest of it when asked', async ({ app, page }) => {
	await page.goto(`${app.demo}/handbook`);
	await page.waitForLoadState('networkidle');
	const kinds = page.locator('main > ul > li');
	expect(await kinds.count()).toBe(60);
	await page.getByRole('link', { name: /^Show 60 more of \d+ kinds$/ }).click();
	await expect.poll(() => kinds.count()).toBe(120);
	const find = page.getByLabel('Find a kind or a way');
	await find.pressSequentially('BOXWOOD', { delay: 40 });
	await expect.poll(() => kinds.count()).toBeLessThan(4);
	await expect(kinds.first()).toContainText('Buxus');
	await expect(find).toHaveValue('BOXWOOD');
	await expect(find).toBeFocused();
	await page.getByLabel('Only what can be done').check();
	await expect(page).toHaveURL(/q=BOXWOOD&open=on/);
	await find.fill('no such plant');
	await expect(page.locator('main')).toContainText('Untick the box');
	// Without scripts an address is enough.
	const plain = await (await fetch(`${app.demo}/handbook?q=boxwood`)).text();
	expect(plain).toContain('Buxus sempervirens');
	expect(plain).not.toContain('Lavandula');
});
