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
	const said = page.locator('main p').filter({ hasText: /As things stand .* or more;/ });
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
	const its = (await page.locator('main p').filter({ hasText: 'Its want,' }).textContent())!.replace(/\s+/g, ' ');
	// Where some of it comes after the want's day, what comes by then is told beside what comes in the end.
	const byThen = its.includes('Of this batch by then') ? its : told;
	expect(/usually (\d+)/.exec(byThen)![1]).toBe(usual);
	expect(/between (\d+) and (\d+)/.exec(byThen)!.slice(1)).toEqual([low, high]);
	expect(Number(/usually (\d+)/.exec(told)![1])).toBeGreaterThanOrEqual(Number(usual));
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

test('a day to come tells that day, and the same on the bench and on each batch’s page', async ({ app }) => {
	const day = '2027-03-20';
	const words = async (path: string) =>
		/<main[^]*<\/main>/
			.exec(await (await fetch(`${app.demo}/${path}`)).text())![0]
			.replace(/<[^>]*>/g, ' ')
			.replace(/\s+/g, ' ')
			.replace(/ ([.,])/g, '$1');
	const list = await words(`bench?day=${day}`);
	expect(list).toContain('as expected on 20 Mar 2027');
	const html = await (await fetch(`${app.demo}/bench?day=${day}`)).text();
	const links = [...html.matchAll(/\/bench\/([0-9a-f-]{36})[^>]*>.*?([2-9A-Z]{3}-[2-9A-Z])</gs)].slice(0, 6);
	expect(links.length).toBe(6);
	for (const [, id, code] of links) {
		const page = await words(`bench/${id}?day=${day}`);
		const told = /Expected on 20 Mar 2027: about (\d+), ([^.]+)\./.exec(page);
		expect(told, code).not.toBeNull();
		const at = list.indexOf(code!);
		const row = list.slice(at, list.indexOf('Planted about', at) > 0 ? at + 400 : at + 300);
		expect(row, code).toMatch(new RegExp(`\\b${told![1]} +${told![2]}`));
	}
});

test('what is planned is the same number in the palette, the calendar file and the spreadsheet', async ({ app }) => {
	const palette = await (await fetch(`${app.demo}/palette.json`)).text();
	expect(palette).toContain('33A-U');
	const csv = await (await fetch(`${app.demo}/ledger/ledger.csv`)).text();
	const line = csv.split('\n').find((l) => l.includes('33A-U') && l.includes('planned'))!;
	const planned = /planned (\d+)/.exec(line)![1]!;
	const bench = /33A-U[^]*?(\d+) to strike/.exec(
		(await (await fetch(`${app.demo}/bench`)).text()).replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ')
	)![1];
	expect(bench).toBe(planned);
	const calendar = (await (await fetch(`${app.demo}/round/round.ics`)).text()).replace(/\r\n[ \t]/g, '');
	const events = [...calendar.matchAll(/SUMMARY:([^\r\n]*)/g)].map((m) => m[1]!);
	expect(events.length).toBeGreaterThan(3);
	for (const e of events.filter((x) => /Daylily/.test(x) && /Strike/.test(x))) expect(e).toContain(planned);
});
