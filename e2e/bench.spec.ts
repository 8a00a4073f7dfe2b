/** The bench in the real interface: what it gives, how to cut, what to put it in, is it rooted yet, labels. */
import { expect, SIZES, test } from './app.js';

for (const size of SIZES)
	test(`from a stem to pieces, on a ${size.name}`, async ({ app, page }) => {
		await page.setViewportSize(size);
		await page.goto(`${app.demo}/stock`);
		await page.locator('main a[href*="/stock/"]', { hasText: 'Border penstemon' }).first().click();
		await page.getByRole('link', { name: 'Where to cut, and what it gives' }).click();
		await page.getByLabel('Way', { exact: true }).selectOption('soft-tip');
		const pieces = page.getByTestId('pieces');
		// Its tip, and what lies below it.
		await expect(pieces).toHaveText('2');
		await page.getByLabel('Alike').fill('7');
		await expect(pieces).toHaveText('14');
		// Bad measures are refused in a sentence, and the drawing waits.
		await page.getByText('Measured nodes, thickness, flowers').click();
		await page.getByLabel(/Nodes from the base/).fill('4 9 7');
		await expect(page.getByRole('alert')).toContainText('node 3 does not lie above node 2');
		await expect(pieces).toHaveText('0');
		await page.getByLabel(/Nodes from the base/).fill('4');
		await expect(page.getByText('this stem has no more to give')).toBeVisible();
		await page.getByLabel(/Nodes from the base/).fill('');
		await expect(pieces).toHaveText('14');
		await expect(page.getByRole('img', { name: /A stem of .* 2 pieces/ })).toBeVisible();
		// On the table nothing need stay with the plant; what was measured is there again on coming back.
		await page.getByLabel(/Already cut off/).check();
		await page.reload();
		await expect(page.getByLabel('Alike')).toHaveValue('7');
		await page.getByLabel('Alike').fill('2');
		await page.getByRole('link', { name: /^Strike \d cuttings$/ }).click();
		await expect(page.getByRole('spinbutton', { name: 'How many pieces struck' })).toHaveValue(/^[4-8]$/);
		await page.getByRole('button', { name: 'Struck', exact: true }).click();
		await expect(page.getByRole('heading', { name: /Border penstemon/ })).toBeVisible();
		await expect(page.getByTestId('rooting')).toContainText('Not rooted yet');
		expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
	});

test('a clump is divided few or many ways', async ({ app, page }) => {
	await page.goto(`${app.demo}/stock`);
	await page.locator('main a[href*="/stock/"]', { hasText: 'Daylily' }).first().click();
	await page.getByRole('link', { name: 'Where to cut, and what it gives' }).click();
	const count = async () => Number(await page.getByTestId('pieces').textContent());
	const middling = await count();
	await page.getByText('As many as possible').click();
	await expect.poll(count).toBeGreaterThan(middling);
	await page.getByLabel('Growing points, if counted').fill('4');
	await expect.poll(count).toBe(4);
	await page.getByLabel(/^Across/).fill('350');
	await expect(page.getByRole('alert')).toContainText('between 3 cm and 3 m');
});

test('the cut guide goes step by step, follows the school, and prints on one page', async ({ app, page }) => {
	await page.goto(`${app.demo}/handbook/holly`);
	await page.getByRole('link', { name: 'How to cut, step by step' }).first().click();
	await expect(page.getByTestId('step')).toContainText('wiped between plants');
	await page.getByRole('button', { name: 'Next' }).click();
	await expect(page.getByTestId('step')).toContainText('healthy');
	// Cautions are not in the way a second time.
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Choose', exact: true })).toBeVisible();
	await page.getByRole('link', { name: /^Slant: more surface/ }).click();
	await expect(page.getByRole('img', { name: /base cut at a slant/ })).toBeVisible();
	const pdf = await page.request.get(
		`${app.url}${await page.getByRole('link', { name: 'One page to print' }).getAttribute('href')}`
	);
	expect(pdf.headers()['content-type']).toBe('application/pdf');
	expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('a clock outlives the page, and is put away and brought back', async ({ app, page, browser }) => {
	await page.goto(`${app.demo}/guide/streptocarpus/leaf`);
	await page.waitForLoadState('networkidle');
	for (let i = 0; i < 12 && !(await page.getByRole('button', { name: /Start a clock/ }).isVisible()); i++)
		await page.getByRole('button', { name: 'Next' }).click();
	await page.getByRole('button', { name: /Start a clock/ }).click();
	await expect(page.getByRole('list', { name: 'Clocks' })).toContainText('Stand the tray');
	const other = await browser.newPage();
	await other.goto(`${app.demo}/round`);
	await other.waitForLoadState('networkidle');
	await expect(other.getByRole('list', { name: 'Clocks' })).toContainText('24 h');
	await other.getByRole('button', { name: 'Stop' }).click();
	await expect(other.getByRole('list', { name: 'Clocks' })).toHaveCount(0);
	await other.getByRole('button', { name: 'Undo' }).click();
	await expect(other.getByRole('list', { name: 'Clocks' })).toContainText('Stand the tray');
	await other.getByRole('button', { name: 'Stop' }).click();
	await expect(other.getByRole('list', { name: 'Clocks' })).toHaveCount(0);
	await other.close();
});

test('what to fill, mix and buy follows the number, the shelf and the vessel', async ({ app, page }) => {
	await page.goto(`${app.demo}/mix?kind=box&way=semi-ripe&n=120`);
	await page.waitForLoadState('networkidle');
	await expect(page.getByRole('heading', { name: 'Fill', exact: true })).toBeVisible();
	await expect(page.getByText('× tray of 24 cells')).toBeVisible();
	const row = page.getByRole('row', { name: /perlite/ });
	await expect(row).toContainText('1 × 10 L');
	await page.getByText('What is on the shelf').click();
	await page.getByLabel('Material', { exact: true }).selectOption('perlite');
	await page.getByLabel('Litres at hand').fill('40');
	await page.getByRole('button', { name: 'Note it' }).first().click();
	await expect(row).toContainText('nothing');
	// Parts of one's own; nothing to nothing makes no mix.
	await page.getByLabel('Mix, in parts').fill('0 multi-purpose : 0 perlite');
	await page.getByRole('button', { name: 'Work it out' }).click();
	await expect(page.getByText('Nothing to nothing makes no mix')).toBeVisible();
	await page.getByLabel('Mix, in parts').fill('3 multi-purpose : 1 sharp grit');
	await page.getByRole('button', { name: 'Work it out' }).click();
	await expect(page.getByRole('row', { name: /multi-purpose/ })).toBeVisible();
	await expect(page.getByRole('row', { name: /grit/ })).toBeVisible();
	// Water never makes it stronger.
	await page.getByLabel('Bottle, %').fill('0.1');
	await page.getByLabel('Wanted, mg/L').fill('3000');
	await expect(page.getByRole('alert')).toContainText('never stronger');
	await page.getByLabel('Wanted, mg/L').fill('500');
	await expect(page.getByTestId('thinned')).toContainText('50 ml');
	// A vase is no pot.
	await page.getByText('A pot or tray of your own size').click();
	await page.getByLabel('Name', { exact: true }).fill('vase');
	await page.getByLabel('Across the top').fill('8');
	await page.getByLabel('Across the base').fill('12');
	await page.getByLabel('Height').fill('20');
	await page.getByRole('button', { name: 'Note it' }).last().click();
	await expect(page.getByText('Are the two swapped?').first()).toBeVisible();
	await expect(page.getByLabel('Name', { exact: true })).toHaveValue('vase');
});

test('a tray is laid out as a trial, tapped, and tells what it tells', async ({ app, page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto(`${app.demo}/bench`);
	await page
		.locator('main a[href*="/bench/"]', { hasText: 'Bush fuchsia' })
		.filter({ hasText: 'not rooted yet' })
		.first()
		.click();
	await page.waitForLoadState('networkidle');
	await page.getByRole('button', { name: 'Lay it out in rows' }).click();
	await page.getByLabel('Treatments to compare').fill('powder, none');
	await expect(
		page
			.getByText('So few tell little')
			.or(page.getByText(/About \d+ pieces each/))
			.first()
	).toBeVisible();
	await page.getByRole('button', { name: 'Lay it out so' }).click();
	const tray = page.getByRole('group', { name: /The tray, / });
	await expect(tray).toBeVisible();
	await tray.getByRole('button', { name: /Row 1, place 1:/ }).click();
	await tray.getByRole('button', { name: /Row 1, place 2:/ }).click();
	await tray.getByRole('button', { name: /Row 1, place 2:/ }).click();
	await expect(page.getByText('1 newly rooted, 1 lost.')).toBeVisible();
	await page.getByRole('button', { name: 'Log these' }).click();
	await expect(tray.getByRole('button', { name: /Row 1, place 1: rooted/ })).toBeVisible();
	await expect(page.getByRole('table', { name: 'What came of each treatment' })).toBeVisible();
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('labels: a sheet for the printer, a code that opens the batch, a code of another garden', async ({ app, page }) => {
	await page.goto(`${app.demo}/bench`);
	await page.waitForLoadState('networkidle');
	const code = (await page.locator('main a[href*="/bench/"] .font-mono').first().textContent())!.trim();
	await page.goto(`${app.demo}/labels?codes=${code}`);
	await page.waitForLoadState('networkidle');
	await page.getByLabel(`How many for ${code}`).fill('30');
	await expect(page.getByText('labels on 2 sheets')).toBeVisible();
	// This computer's own address is of no use to a phone, and that is said; another one is on the labels.
	await expect(page.getByText('a phone can’t open it')).toBeVisible();
	await page.getByLabel('Address that the QR code opens').fill('192.168.1.20');
	await expect(page.getByRole('alert')).toContainText('begins with http');
	await page.getByLabel('Address that the QR code opens').fill('http://192.168.1.20:5273');
	// A sheet of one's own measures, kept to what the paper holds.
	await page.getByLabel('Kind of label').selectOption('own');
	await page.getByLabel('Labels across').fill('9');
	await expect(page.getByRole('alert')).toContainText('mm wide: the paper has 210');
	await page.getByLabel('Labels across').fill('2');
	await expect(page.getByRole('alert')).toHaveCount(0);
	const href = (await page.getByRole('link', { name: 'Make the PDF' }).getAttribute('href'))!;
	expect(href).toContain('sheet=own&own=A4%2C2%2C');
	expect(href).toContain('at=http%3A%2F%2F192.168.1.20%3A5273');
	for (const [bad, says] of [
		['sheet=own&own=A4,9,9,99,99,0,0,0,0', 'mm wide'],
		['at=javascript:alert(1)', 'begins with http'],
		[`at=http://${'a'.repeat(300)}`, 'begins with http']
	]) {
		const no = await page.request.get(`${app.demo}/labels/sheet.pdf?codes=${code}&${bad}`);
		expect([no.status(), await no.text()]).toEqual([400, expect.stringContaining(says!)]);
	}
	const pdf = await page.request.get(`${app.url}${href}`);
	expect(pdf.headers()['content-type']).toBe('application/pdf');
	await page.goto(`${app.demo}/c/${code.toLowerCase().replace('-', '')}`);
	await expect(page).toHaveURL(/\/bench\//);
	await expect(page.getByRole('heading', { level: 1 })).toContainText(code);
	await page.goto(`${app.demo}/c/234-5`);
	await expect(page.locator('main')).toContainText(/misread|not of this garden|does not go with/);
	// A stick carried over from the other garden.
	await page.goto(`${app.url}/new`);
	await page.getByLabel('Name of the garden').fill('Other ground');
	await page.getByText('Position, height and units').click();
	await page.getByLabel('Latitude').fill('52');
	await page.getByLabel('Longitude').fill('15');
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page).toHaveURL(/\/g\/other-ground\//);
	await page.goto(`${app.url}/g/other-ground/c/${code}`);
	await expect(page.getByRole('heading', { level: 1 })).toContainText('is not of this garden');
	await page.getByRole('link', { name: 'It stands in Three Alders' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText(code);
});

test('several batches are chosen and one thing is done with them, and undone as one', async ({ app, page }) => {
	await page.setViewportSize(SIZES[1]!);
	await page.goto(`${app.demo}/bench`);
	await page.getByRole('button', { name: 'Choose several' }).click();
	const bar = page.getByRole('region', { name: 'Chosen batches' });
	await expect(bar).toContainText('None chosen yet');
	const boxes = page.getByRole('checkbox', { name: /^Choose / });
	const codes: string[] = [];
	for (const i of [0, 1, 2]) {
		await boxes.nth(i).check();
		codes.push(/[2-9A-Z]{3}-[2-9A-Z]/.exec((await boxes.nth(i).getAttribute('aria-label'))!)![0]);
	}
	await expect(bar).toContainText('3 batches chosen');
	expect(await bar.getByRole('link', { name: 'Labels' }).getAttribute('href')).toContain(codes.join(','));
	await bar.getByRole('button', { name: 'Move …' }).click();
	await bar.getByLabel('Where to').selectOption({ label: 'Kitchen sill' });
	await bar.getByRole('button', { name: /^Move [123]$/ }).click();
	const said = page.getByRole('status').filter({ hasText: 'moved.' });
	await expect(said).toContainText(/[123] batch(es)? moved\./);
	await expect(bar).toBeHidden();
	const rows = page.locator('main ul.long > li').filter({ hasText: new RegExp(codes.join('|')) });
	await expect(rows.filter({ hasText: 'Kitchen sill' })).toHaveCount(Number(/\d/.exec((await said.textContent())!)![0]));
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(rows.filter({ hasText: 'Kitchen sill' })).toHaveCount(0);
});
