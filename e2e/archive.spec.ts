/** A garden moves house: saved as an archive from one, brought into another that is empty. */
import { strToU8, zipSync } from 'fflate';
import { expect, SIZES, test } from './app.js';
import { openDemoApp } from '../bin/demoApp.js';
import { post } from './plainly.js';

test.use({ appOptions: { demo: false, env: {} } });

test('an archive brings a whole garden into an empty house, and a wrong file is told', async ({ app, page }) => {
	const other = await openDemoApp();
	const answer = await fetch(`${other.url}/g/three-alders/archive.zip`);
	expect(answer.headers.get('content-type')).toBe('application/zip');
	const zip = Buffer.from(await answer.arrayBuffer());
	const words = async (base: string, path: string) =>
		(await (await fetch(`${base}/g/three-alders/${path}`)).text())
			.replace(/<(script|style)[^]*?<\/\1>/g, '')
			.replace(/<[^>]*>/g, ' ')
			.replace(/\s+/g, ' ');
	// What is told before the station has answered is of the usual year; a slow one is asked again after two minutes.
	const heard = (base: string) =>
		expect.poll(() => words(base, 'weather'), { intervals: [1500], timeout: 240_000 }).toContain('The station was heard');
	await heard(other.url);
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
	// Every entry is read again and the season worked out: several seconds alone, more beside another spec.
	await expect(page).toHaveURL(/three-alders\/round/, { timeout: 150_000 });
	await heard(app.url);
	const after = await Promise.all(['wants', 'stock', 'ledger'].map((p) => words(app.url, p)));
	expect(after).toEqual(before);

	await page.goto(`${app.url}/new`);
	await page.getByText('Or bring one in from an archive').click();
	await page.getByLabel('Archive of a garden').setInputFiles({ name: 'garden.zip', mimeType: 'application/zip', buffer: zip });
	await page.getByRole('button', { name: 'Bring this garden in' }).click();
	await expect(page.getByRole('alert')).toContainText('Three Alders is in this house already');
});

/** A workbook of one sheet, as spreadsheets write it (ECMA-376), with its text in the cells. */
function workbook(rows: readonly (readonly (string | number)[])[]): Buffer {
	const cell = (v: string | number, r: number, c: number) => {
		const ref = `${String.fromCharCode(65 + c)}${r + 1}`;
		return typeof v === 'number' ? `<c r="${ref}"><v>${v}</v></c>` : `<c r="${ref}" t="inlineStr"><is><t>${v}</t></is></c>`;
	};
	const xml = (text: string) => strToU8(`<?xml version="1.0" encoding="UTF-8" standalone="yes"?>${text}`);
	const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
	const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
	const pack = 'http://schemas.openxmlformats.org/package/2006';
	return Buffer.from(
		zipSync({
			'[Content_Types].xml': xml(
				`<Types xmlns="${pack}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>`
			),
			'_rels/.rels': xml(
				`<Relationships xmlns="${pack}/relationships"><Relationship Id="rId1" Type="${rel}/officeDocument" Target="xl/workbook.xml"/></Relationships>`
			),
			'xl/workbook.xml': xml(
				`<workbook xmlns="${main}" xmlns:r="${rel}"><sheets><sheet name="Plants" sheetId="1" r:id="rId1"/></sheets></workbook>`
			),
			'xl/_rels/workbook.xml.rels': xml(
				`<Relationships xmlns="${pack}/relationships"><Relationship Id="rId1" Type="${rel}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`
			),
			'xl/worksheets/sheet1.xml': xml(
				`<worksheet xmlns="${main}"><sheetData>${rows.map((r, i) => `<row r="${i + 1}">${r.map((v, c) => cell(v, i, c)).join('')}</row>`).join('')}</sheetData></worksheet>`
			)
		})
	);
}

test('a list of plants comes in from a spreadsheet, whole or not at all', async ({ app, page }) => {
	const begun = await post(`${app.url}/new`, {
		...{
			name: 'Listed',
			place: '',
			latitude: '50',
			longitude: '15',
			height: '200',
			coldest: '-15',
			units: 'metric',
			temperature: 'C'
		},
		...{ currency: 'EUR', minutes: '90', last_frost: '2026-05-01', first_frost: '2026-10-10', last_frost_sd: '10' },
		...{ first_frost_sd: '10', places: ['bed', 'sill'] }
	});
	const base = app.url + begun.replace('/round', '');
	await page.goto(`${base}/stock`);
	await page.getByRole('link', { name: 'Bring in a list' }).click();
	await expect(page.getByRole('heading', { name: 'Bring in a list of your plants' })).toBeVisible();
	await page.waitForLoadState('networkidle');
	const list = (text: string) => ({ name: 'plants.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
	await page.getByLabel('The file').setInputFiles(list('only one line'));
	await expect(page.getByRole('alert')).toContainText('There is no list in that file');
	await page
		.getByLabel('The file')
		.setInputFiles(
			list(
				'\uFEFFName;Variety;Qty;Height (cm);Where\r\nLavandula angustifolia;by the gate;3;45,5;Border\r\nTriffid;;1;;\r\nCommon box;;0;60;Moon\r\n'
			)
		);
	await expect(page.getByRole('heading', { name: '2 plants will come in' })).toBeVisible();
	await expect(page.getByText('1 name is not in the handbook')).toBeVisible();
	await expect(page.getByText('Moon: no place of this garden by that name')).toBeVisible();
	await page.getByRole('button', { name: 'Bring in 2 plants' }).click();
	await expect(page.getByRole('alert')).toContainText('Row 4:');
	await expect(page.getByRole('alert')).toContainText('Nothing was taken in.');
	await page.getByLabel('The file').setInputFiles({
		name: 'plants.xlsx',
		mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
		buffer: workbook([
			['Plant', 'Label', 'How many', 'Size', 'Place'],
			['English lavender', 'by the gate', 3, 45.5, 'Border'],
			['Garden monster', '', 1, '', ''],
			['Common box', '', 2, 60, '']
		])
	});
	await page.getByLabel('Kind of Garden monster').selectOption({ label: 'Garden sage' });
	await page.getByRole('button', { name: 'Bring in 3 plants' }).click();
	await expect(page.getByRole('heading', { name: 'What you have to take from' })).toBeVisible();
	await expect(page.getByText('English lavender, by the gate')).toBeVisible();
	await expect(page.getByText('3 alike · Border · strong · 46 cm tall')).toBeVisible();
	await expect(page.getByText('Garden sage')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('No stock yet.')).toBeVisible();
});
