/** A garden moves house: saved as an archive from one, brought into another that is empty. */
import { expect, SIZES, test } from './app.js';
import { openDemoApp } from '../bin/demoApp.js';

test.use({ appOptions: { demo: false, env: {} } });

test('an archive brings a whole garden into an empty house, and a wrong file is told', async ({ app, page }) => {
	test.setTimeout(150_000);
	const other = await openDemoApp();
	const answer = await fetch(`${other.url}/g/three-alders/archive.zip`);
	expect(answer.headers.get('content-type')).toBe('application/zip');
	const zip = Buffer.from(await answer.arrayBuffer());
	const words = async (base: string, path: string) =>
		(await (await fetch(`${base}/g/three-alders/${path}`)).text())
			.replace(/<(script|style)[^]*?<\/\1>/g, '')
			.replace(/<[^>]*>/g, ' ')
			.replace(/\s+/g, ' ');
	const before = await Promise.all(['wants', 'stock', 'ledger'].map((p) => words(other.url, p)));
	await other.close();

	await page.setViewportSize(SIZES[1]!);
	await page.goto(`${app.url}/new`);
	await page.getByText('Or bring one in from an archive').click();
	await page.getByRole('button', { name: 'Bring this garden in' }).click();
	await expect(page.getByRole('alert')).toContainText('Choose the zip');
	await page
		.getByLabel('Archive of a garden')
		.setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
	await page.getByRole('button', { name: 'Bring this garden in' }).click();
	await expect(page.getByRole('alert')).toContainText('not a zip that can be read');
	await page.getByLabel('Archive of a garden').setInputFiles({ name: 'garden.zip', mimeType: 'application/zip', buffer: zip });
	await page.getByRole('button', { name: 'Bring this garden in' }).click();
	await expect(page).toHaveURL(/three-alders\/round/);
	const after = await Promise.all(['wants', 'stock', 'ledger'].map((p) => words(app.url, p)));
	expect(after).toEqual(before);

	await page.goto(`${app.url}/new`);
	await page.getByText('Or bring one in from an archive').click();
	await page.getByLabel('Archive of a garden').setInputFiles({ name: 'garden.zip', mimeType: 'application/zip', buffer: zip });
	await page.getByRole('button', { name: 'Bring this garden in' }).click();
	await expect(page.getByRole('alert')).toContainText('Three Alders is in this house already');
});
