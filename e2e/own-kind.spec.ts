/** Walk 10: a plant that is not in the book is a kind in a minute, and is used like any other. */
import { readFileSync } from 'node:fs';
import { expect, test } from './app.js';
import { post, read } from './plainly.js';

// Its garden changes: an app of its own.
test.use({ appOptions: { demo: true, env: { SURCULUS_TRIAL: 'own-kind' } } });

test('a kind of one’s own: like another, used in stock, batch, want and label, passed on as a file', async ({ app, page }) => {
	await page.goto(`${app.demo}/handbook`);
	await page.getByLabel('Find a kind or a way').fill('abutilon');
	await page.getByRole('link', { name: 'Add it as a kind of your own' }).click();

	// Without saying what it behaves like it is refused, and nothing typed is lost.
	await page.getByLabel('Name', { exact: true }).fill('Abutilon');
	await page.getByLabel('Variety').fill('Nabob');
	await page.getByLabel('Species').fill('Abutilon × hybridum');
	await page.getByRole('button', { name: 'Add this kind' }).click();
	await expect(page.getByText('Choose the kind that it behaves like').first()).toBeVisible();
	await expect(page.getByLabel('Species')).toHaveValue('Abutilon × hybridum');
	await page.getByLabel('Find a kind by any name').fill('forsythia');
	await expect(page.getByRole('checkbox', { name: 'hardwood cutting' })).toBeChecked();
	await page.getByLabel('Bears cold down to').fill('-20');
	await page.getByLabel('Spacing').fill('120');
	await page.getByRole('button', { name: 'Add this kind' }).click();
	await expect(page.getByRole('heading', { name: 'Abutilon', exact: true })).toBeVisible();
	await expect(page.getByText('Your own kind, which behaves like forsythia')).toBeVisible();
	await expect(page.getByText('zone 6b')).toBeVisible();
	const kind = new URL(page.url()).pathname.split('/').at(-1)!;

	// Stock of it gives pieces by its ways, and a batch of it goes to the bench and on a label by its name.
	await page.getByRole('link', { name: 'I have one' }).click();
	await page
		.getByLabel(/Height|across|Size/)
		.first()
		.fill('150');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('heading', { name: /Abutilon/ })).toBeVisible();
	const stock = new URL(page.url()).pathname.split('/').at(-1)!;
	await page.goto(`${app.demo}/bench/new?stock=${stock}&way=soft-tip&count=8`);
	await page.getByRole('button', { name: 'Struck', exact: true }).click();
	await page.waitForURL(/\/bench\/[0-9a-f-]{36}\?struck/);
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Abutilon');
	const code = /[0-9A-Z]{3}-[0-9A-Z]/.exec(await page.locator('main').innerText())![0];
	const label = await page.request.get(`${app.demo}/labels/${code}.svg`);
	expect(await label.text()).toContain('Abutilon');
	await page.goto(`${app.demo}/bench`);
	await expect(page.locator('main')).toContainText('Abutilon');

	// In use it stays.
	await page.goto(`${app.demo}/handbook/${kind}`);
	await page.getByText('Take this kind away').click();
	await page.getByRole('button', { name: 'Take Abutilon away' }).click();
	await expect(page.getByRole('alert')).toContainText(`${code}`);

	// Out as a file; a changed copy comes in as another kind; a spoilt one is refused with its faults.
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Save as a file (YAML)' }).click();
	const file = readFileSync(await (await download).path(), 'utf8');
	expect(file).toContain('common: Abutilon');
	await page.goto(`${app.demo}/handbook/own`);
	await page.getByLabel('What is in it').fill(file.replace('chance: 0.', 'chance: 7.'));
	await page.getByRole('button', { name: 'Take it in' }).click();
	await expect(page.getByRole('alert')).toContainText('Nothing was taken in.');
	await page.getByLabel('What is in it').fill(file.replace('common: Abutilon', 'common: Parlour maple'));
	await page.getByRole('button', { name: 'Take it in' }).click();
	await expect(page.getByRole('heading', { name: 'Parlour maple' })).toBeVisible();

	// Changed, its page and its plants follow.
	await page.goto(`${app.demo}/handbook/${kind}`);
	await page.getByRole('link', { name: 'Change it' }).click();
	await expect(page.getByLabel('Variety')).toHaveValue('Nabob');
	await page.getByLabel('Name', { exact: true }).fill('Indoor maple');
	await page.getByRole('button', { name: 'Keep the change' }).click();
	await expect(page.getByRole('heading', { name: 'Indoor maple' })).toBeVisible();
	await page.goto(`${app.demo}/stock/${stock}`);
	await expect(page.getByRole('heading', { name: /Indoor maple/ })).toBeVisible();
});

test('walk 11: a protected plant leads with it, gives nothing, and nothing plans from it', async ({ app }) => {
	const to = await post(`${app.demo}/stock/new`, {
		kind_id: 'heliotrope',
		label: 'Purple Pride, PBR 1234',
		count: '1',
		condition: 'strong',
		protection: 'protected',
		until: '2040',
		place_id: '',
		size: '40',
		age: ''
	});
	const page = await read(`${app.url}${to}`);
	expect(page).toContain('Protected until 2040: it may not be multiplied without a licence');
	expect(page).not.toContain('Strike now, without a plan');
	expect(await read(`${app.demo}/stock`)).toContain('It gives nothing without its holder’s leave.');
	const want = await post(`${app.demo}/wants/new`, {
		kind_id: 'heliotrope',
		purpose: 'plants',
		label: '',
		place_id: '',
		target: '5',
		due: '2027-06-01',
		confidence: '80'
	});
	expect(await read(`${app.url}${want}`)).toContain('it may not be multiplied without a licence');
	expect(await read(`${app.demo}/round?rows=6000`)).not.toContain('Plan 5 Heliotrope');
	// Leave recorded, it gives as any other does.
	const stock = to.split('/').at(-1)!;
	const answer = await fetch(`${app.demo}/stock/${stock}?/leave`, {
		method: 'POST',
		headers: { accept: 'application/json', 'x-sveltekit-action': 'true' },
		body: new URLSearchParams({ entry_id: crypto.randomUUID(), basis: 'licence', reference: 'grower 7' })
	});
	expect(((await answer.json()) as { type: string }).type).toBe('success');
	expect(await read(`${app.url}${to}`)).toContain('Strike now, without a plan');
});
