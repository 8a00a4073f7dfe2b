/** The same of one batch and one want on every screen: counts, dates and chances are read off each and compared. */
import { expect, test } from './app.js';

test('a batch and its want tell one count, one date and one chance everywhere', async ({ app, page }) => {
	const base = app.demo;
	const numbers = (text: string) => [...text.matchAll(/\d+/g)].map(Number);
	const main = async (path: string) => {
		await page.goto(`${base}/${path}`);
		return page.locator('main');
	};

	// The list, and the want's own page.
	const list = (await main('wants')).getByRole('listitem').filter({ hasText: 'Daylily' });
	await expect(list).toContainText('planned');
	const planned = Number(/(\d+) planned/.exec((await list.textContent())!)![1]);
	const chance = /(\d+ times? in \d+|almost certain|hardly ever)/.exec((await list.textContent())!)![1]!;
	await list.getByRole('link').click();
	const said = page.locator('main p').filter({ hasText: 'As things stand you get' });
	await expect(said).toContainText(chance);
	const [, usual, low, high] = /usually (\d+), and 9\s+times in 10 between (\d+) and (\d+)/.exec(
		(await said.textContent())!.replace(/\s+/g, ' ')
	)!;
	const ready = /about (\d+ \w+ \d+)/.exec((await page.locator('main').getByText('In the ground about').textContent())!)![1]!;

	// Its batch: the same count, interval and day, and the want's chance.
	await page
		.locator('main')
		.getByRole('link', { name: /^[2-9A-Z]{3}-[2-9A-Z]$/ })
		.first()
		.click();
	await expect(page).toHaveURL(/bench/);
	const batch = page.url().split('/').at(-1)!;
	const coming = page.locator('main p').filter({ hasText: 'up planted, 9 times in 10 between' });
	const told = (await coming.textContent())!.replace(/\s+/g, ' ');
	expect(/usually (\d+)/.exec(told)![1]).toBe(usual);
	expect(/between (\d+) and (\d+)/.exec(told)!.slice(1)).toEqual([low, high]);
	expect(told).toContain(`about ${ready}`);
	await expect(page.locator('main p').filter({ hasText: 'Its want,' })).toContainText(chance);

	// The bench, the stock it comes from, the ledger and the label count the same pieces.
	const row = (await main('bench')).getByRole('listitem').filter({ hasText: '33A-U' });
	await expect(row).toContainText(`${planned} to strike`);
	await main('ledger?q=33A-U');
	expect(numbers((await page.getByRole('row').filter({ hasText: 'planned' }).first().textContent())!)).toContain(planned);
	const label = await page.request.get(`${base}/labels/${batch}.svg`);
	if (label.ok()) expect(await label.text()).toContain(`${planned}`);
});
