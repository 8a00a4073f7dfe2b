/** The season in the real interface: weather taken in, windows that follow it, the round worked and sent along. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ICAL from 'ical.js';
import { expect, test } from './app.js';

const VEGA = readFileSync('node_modules/vega-datasets/data/seattle-weather.csv', 'utf8');
const folder = mkdtempSync(join(tmpdir(), 'weather-'));
const file = (name: string, text: string) => {
	const path = join(folder, name);
	writeFileSync(path, text);
	return path;
};

test('a record is looked at, doubted, put right, kept and taken out again', async ({ app, page }) => {
	const hot = VEGA.split('\n')
		.map((line, i) => {
			const c = line.split(',');
			if (i === 0 || c.length < 4) return line;
			return [c[0], c[1], (Number(c[2]) * 1.8 + 32).toFixed(1), (Number(c[3]) * 1.8 + 32).toFixed(1)].join(',');
		})
		.concat(['sometime,1,2,3'])
		.join('\n');
	await page.goto(`${app.demo}/weather/import`);
	await page.getByLabel('File').setInputFiles(file('fahrenheit.csv', hot));
	await expect(page.getByText('look like degrees Fahrenheit')).toBeVisible();
	const keep = page.getByRole('button', { name: /^Keep these/ });
	await expect(keep).toBeDisabled();
	await page.getByRole('button', { name: 'Read them as °F' }).click();
	await expect(page.getByText('look like degrees Fahrenheit')).toBeHidden();
	await expect(page.locator('main p').filter({ hasText: '1,461' }).first()).toContainText('4 whole years');
	await expect(page.getByText('1 line cannot be read')).toBeVisible();
	await expect(page.getByRole('row').filter({ hasText: '1 Jan 2012' })).toContainText('5.0');
	await keep.click();
	await expect(page).toHaveURL(/\/weather$/);
	await expect(page.getByRole('status')).toContainText('taken in');
	const row = page.locator('main li').filter({ hasText: 'fahrenheit.csv' });
	await expect(row).toContainText('1,461 days');
	await row.getByRole('button', { name: 'Take out' }).click();
	await expect(row).toHaveCount(0);
});

test('a GHCN-Daily file of the garden’s own record goes out and comes in', async ({ app, page, request }) => {
	const dly = await (await request.get(`${app.demo}/weather/record/record.dly`)).text();
	expect(dly.split('\n')[0]).toHaveLength(269);
	await page.goto(`${app.demo}/weather/import`);
	await page.getByLabel('File').setInputFiles(file('own.dly', dly));
	await expect(page.locator('main p').filter({ hasText: '33 whole years' }).first()).toBeVisible();
	await expect(page.getByText('No gaps, no doubles, no bad lines.')).toBeVisible();
	await page.getByLabel('File').setInputFiles(file('week.csv', VEGA.split('\n').slice(0, 8).join('\n')));
	await expect(page.getByText('Fewer than three whole years')).toBeVisible();
	await page.getByLabel('File').setInputFiles(file('letter.txt', 'Dear aunt,\nit was cold here.\n'));
	await expect(page.getByText('No day with a figure was found')).toBeVisible();
});

test('a cold snap in the forecast calls the pots in; brought in they are at their place, and undone back', async ({
	app,
	page,
	request
}) => {
	await request.put(`${app.station}/scenario`, {
		data: { spells: [{ from: '2026-09-07', to: '2026-09-10', degrees: -20 }] }
	});
	// A garden of its own asks the station for the first time: what it hears is the snap.
	await page.goto(`${app.url}/new`);
	await page.getByLabel('Name of the garden').fill('Cold Corner');
	await page.getByText('Position, height and units').click();
	await page.getByLabel('Latitude').fill('49.62');
	await page.getByLabel('Longitude').fill('20.69');
	await page.getByLabel('Longitude').blur();
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page).toHaveURL(/cold-corner/);
	const base = page.url().replace(/\/(round|stock|wants).*/, '');
	await page.goto(`${base}/weather`);
	await expect(page.locator('main')).toContainText('A made record');
	await page.reload();
	await expect(page.locator('.figure').first()).toHaveText(/Almost sure|[5-9] in 10/);
	await page.goto(`${base}/stock/new?kind=coleus`);
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('heading', { name: /^Coleus/ })).toBeVisible();
	await page.goto(`${base}/round`);
	await page.waitForLoadState('networkidle');
	const task = page.locator('main li li').filter({ hasText: 'Bring in' });
	await expect(task).toContainText('If left and it comes');
	await task.getByRole('button', { name: 'Bring in …' }).click();
	await task.getByRole('button', { name: 'Brought in' }).click();
	await expect(page.locator('main li li').filter({ hasText: 'Bring in' })).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.locator('main li li').filter({ hasText: 'Bring in' })).toHaveCount(1);
	await request.put(`${app.station}/scenario`, { data: { spells: [] } });
});

test('care is one tap, can be put off, skipped and counted where one stands', async ({ app, page }) => {
	await page.goto(`${app.demo}/round`);
	const pinch = page.locator('main li li').filter({ hasText: 'Pinch out' });
	await expect(pinch).toHaveCount(1);
	await pinch.getByRole('button', { name: 'Done' }).click();
	await expect(pinch).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(pinch).toHaveCount(1);
	await pinch.getByRole('button', { name: /Skip or put off/ }).click();
	await pinch.getByLabel('Until').fill('2026-09-01');
	await pinch.getByRole('button', { name: 'Put off', exact: true }).click();
	await expect(pinch.getByRole('alert')).toContainText('still to come');
	await pinch.getByLabel('Until').fill('2026-09-08');
	await pinch.getByRole('button', { name: 'Put off', exact: true }).click();
	await expect(page.locator('main li').filter({ hasText: 'Pinch out' }).filter({ hasText: 'From 8 Sep' }).first()).toBeVisible();
	const look = page.locator('main li').filter({ hasText: 'Look at 20 Ivy-leaved pelargonium' });
	await look.getByRole('button', { name: 'Count' }).click();
	await look.getByLabel('Alive', { exact: true }).fill('18');
	await look.getByLabel('Of these rooted', { exact: true }).fill('15');
	await look.getByRole('button', { name: 'Save the count' }).click();
	await expect(page.getByText('counted.')).toBeVisible();
	await expect(page.locator('main').getByText('Pot 15 Ivy-leaved pelargonium')).toBeVisible();
});

test('a chart is a picture until it is pointed at; then it tells of the day, and its lines stay', async ({ app, page }) => {
	await page.goto(`${app.demo}/weather`);
	const chart = page.getByRole('img').last();
	const lines = chart.locator('svg path[stroke="var(--color-frost)"][stroke-width="2"]:visible');
	await expect(lines.first()).toBeVisible();
	const drawn = await lines.count();
	await chart.hover({ position: { x: 300, y: 120 } });
	// The living chart stands in its place, with the same lines.
	await expect(chart.locator('[_echarts_instance_] svg')).toBeVisible();
	await chart.hover({ position: { x: 320, y: 130 } });
	await expect(chart.getByText(/^\d{1,2} [A-Z][a-z]{2} \d{4}$/)).toBeVisible();
	await expect(lines).toHaveCount(drawn);
});

test('places are put in another order by dragging, and by their arrows', async ({ app, page }) => {
	await page.goto(`${app.demo}/round/walk`);
	const names = () => page.locator('main ul li span.flex-1').allTextContents();
	const before = await names();
	await page.getByRole('button', { name: `Earlier: ${before[2]}` }).click();
	expect((await names())[1]).toBe(before[2]);
	const from = (await page.locator('main ul li').nth(4).boundingBox())!;
	const to = (await page.locator('main ul li').nth(0).boundingBox())!;
	await page.mouse.move(from.x + 120, from.y + from.height / 2);
	await page.mouse.down();
	await page.mouse.move(from.x + 120, from.y - 10, { steps: 5 });
	await page.mouse.move(to.x + 120, to.y + 8, { steps: 12 });
	await page.waitForTimeout(300);
	await page.mouse.up();
	await expect.poll(async () => (await names())[0]).toBe(before[4]);
	await page.getByRole('button', { name: 'Keep this order' }).click();
	await expect(page.getByText('The round follows your walk.')).toBeVisible();
	await page.reload();
	expect((await names())[0]).toBe(before[4]);
});

test('the round goes along as a calendar by a secret address, until it is ended', async ({ app, page, request }) => {
	await page.goto(`${app.demo}/settings`);
	await page.getByLabel('A new one for').selectOption('calendar');
	await page.getByLabel('What it is for').fill('phone');
	await page.getByRole('button', { name: 'Make it' }).click();
	const address = (await page.locator('.select-all').textContent())!.trim();
	expect(address).toContain('/calendar/');
	const feed = await request.get(address);
	expect(feed.headers()['content-type']).toContain('text/calendar');
	const events = new ICAL.Component(ICAL.parse(await feed.text()) as never[]).getAllSubcomponents('vevent');
	expect(events.length).toBeGreaterThan(5);
	await page.reload();
	await expect(page.locator('.select-all')).toHaveCount(0);
	await page.getByRole('button', { name: 'End calendar phone' }).click();
	await expect(page.getByText('Calendar, phone')).toHaveCount(0);
	expect((await request.get(address)).status()).toBe(404);
	const fileOf = await request.get(`${app.demo}/round/round.ics`);
	expect(fileOf.headers()['content-disposition']).toContain('attachment');
});

test('thermometers send readings with a token, and their place shows them', async ({ app, page, request }) => {
	await page.goto(`${app.demo}/settings`);
	await page.getByLabel('What it is for').fill('garage sensor');
	await page.getByRole('button', { name: 'Make it' }).click();
	const token = (await page.locator('.select-all').textContent())!.trim();
	const send = (readings: unknown, bearer = token) =>
		request.post(`${app.url}/api/readings`, { headers: { authorization: `Bearer ${bearer}` }, data: { readings } });
	expect((await send([{ place: 'Garage', now_c: 7.4 }])).status()).toBe(200);
	const wrong = await send([{ place: 'Garage', now_c: 900 }]);
	expect(wrong.status()).toBe(400);
	expect(await wrong.json()).toMatchObject({ error: { path: 'readings.0.now_c' } });
	expect((await send([{ place: 'Garage', now_c: 7 }], 'nobody')).status()).toBe(401);
	await page.goto(`${app.demo}/weather`);
	await expect(page.locator('main li').filter({ hasText: 'Garage' })).toContainText('7 °C');
});

test('what is seen in the garden moves the window of its kind, and the strip shows it', async ({ app, page }) => {
	await page.setViewportSize({ width: 1280, height: 800 });
	await page.goto(`${app.demo}/handbook/box`);
	await page.getByRole('button', { name: 'The year', exact: true }).click();
	await expect(
		page.locator('section[aria-label="Season strip"] svg text').filter({ hasText: /^semi-ripe cutting$/ })
	).toBeVisible();
	await page.getByText('Seen something in the garden?').click();
	await page.getByLabel('What', { exact: true }).selectOption('hard');
	await page.getByLabel('Day', { exact: true }).fill('2026-09-03');
	await page.getByRole('button', { name: 'I saw it' }).click();
	await expect(page.getByText('the windows have moved with it')).toBeVisible();
	await expect(page.locator('main li').filter({ hasText: 'have hardened to wood' })).toContainText('3 Sep 2026');
});

test('days away: before leaving, a sheet to print, and its PDF', async ({ app, page, request }) => {
	await page.goto(`${app.demo}/round/away`);
	await page.getByLabel('First day away').fill('2026-09-08');
	await page.getByLabel('Last day away').fill('2026-09-18');
	await page.getByRole('button', { name: 'Show' }).click();
	await expect(page.getByRole('heading', { name: /For whoever looks after it/ })).toBeVisible();
	await expect(page.locator('main')).toContainText('Feel the top of the mix');
	const href = await page.getByRole('link', { name: 'Save as PDF' }).getAttribute('href');
	const pdf = await request.get(`${app.url}${href}`);
	expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
	await page.goto(`${app.demo}/round/away?from=2026-09-20&to=2026-09-10`);
	await expect(page.getByRole('alert')).toContainText('comes after the last');
	expect((await request.get(`${app.demo}/round/away/sheet.pdf?from=x&to=y`)).status()).toBe(400);
});
