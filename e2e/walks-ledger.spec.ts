/**
 * What is logged, by one or by two, in a garden that the demo is not: counts cannot go wrong, forms are kept apart, the
 * first year moves the second. Facts of the trade are common practice, no source.
 */
import { randomUUID } from 'node:crypto';
import { expect, test } from './app.js';
import { addStock, addWant, done, newGarden, placeNamed, send, strikeBatch } from './growers.js';
import { read } from './plainly.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: '2026-10-05', SURCULUS_SPEC: 'grower' } } });

const codeOf = (text: string): string => /[2-9A-Z]{3}-[2-9A-Z]/.exec(text)![0];
const idOf = (answer: { data?: string }): string => /[0-9a-f]{8}-[0-9a-f-]{27}/.exec(answer.data!)![0];
async function undo(base: string, entryId: string): Promise<string> {
	const undoId = randomUUID();
	const response = await fetch(`${base}/undo`, {
		method: 'POST',
		headers: { 'content-type': 'application/json', origin: new URL(base).origin },
		body: JSON.stringify({ entryId, undoId })
	});
	expect(response.status, await response.clone().text()).toBe(200);
	return undoId;
}

test('two forms of one species never read alike: stock, bench, batch, labels, ledger, palette', async ({ app }) => {
	const base = await newGarden(app.url, 'Southern', 'Forms');
	const batches = [];
	for (const label of ['Northern coast', 'Southern coast']) {
		const plant = await addStock(base, 'agapanthus', { label, size: '40' });
		batches.push({ label, ...(await strikeBatch(base, plant.id, 'offset', 4, '2026-10-02')) });
	}
	const [stock, bench, ledger] = await Promise.all([`${base}/stock`, `${base}/bench`, `${base}/ledger?q=struck`].map(read));
	const palette = await (await fetch(`${base}/palette.json`)).text();
	for (const { label, at } of batches) {
		const said = await read(at);
		const code = codeOf(said);
		expect(said).toContain(`African lily, ${label}`);
		expect(stock).toContain(label);
		expect(bench).toMatch(new RegExp(`${code} African lily, ${label}`));
		expect(ledger).toContain(code);
		expect(palette).toContain(`${code} African lily, ${label}`);
		const drawn = await (await fetch(`${base}/labels/${code}.svg`)).text();
		expect(drawn.replace(/<[^>]*>/g, ' ')).toContain(label.split(' ')[0]);
	}
});

test('given, sold, died and forgotten: counts stay right through any undoing, and the odds stay sane', async ({ app }) => {
	const base = await newGarden(app.url, 'Temperate', 'Counts');
	const plant = await addStock(base, 'fuchsia');
	const { at } = await strikeBatch(base, plant.id, 'soft-tip', 12, '2026-08-10');
	const inHand = async () => Number(/(\d+) of 12 in hand/.exec(await read(at))![1]);
	const gave = idOf(await done(at, { verb: 'given', count: '5', to: 'a neighbour', on: '2026-08-20' }));
	const died = idOf(await done(at, { verb: 'lost', count: '2', why: 'rot', from: 'hand', on: '2026-08-24' }));
	expect(await inHand()).toBe(5);
	// More than there is can't be given, lost or planted, whatever the form sends.
	const more: Record<string, string>[] = [
		{ verb: 'given', count: '6', to: '' },
		{ verb: 'lost', count: '6', from: 'hand', why: '' },
		{ verb: 'planted', count: '6' },
		{ verb: 'checked', alive: '6', sign: 'none' }
	];
	for (const data of more) expect((await send(at, { on: '2026-08-25', ...data })).type).toBe('failure');
	expect(await inHand()).toBe(5);
	// Undone and done again, in any order.
	const back = await undo(base, gave);
	expect(await inHand()).toBe(10);
	await undo(base, died);
	expect(await inHand()).toBe(12);
	await undo(base, back);
	expect(await inHand()).toBe(7);
	// Six weeks later what was forgotten is still told with care: looked for, no more than are there, and none too sure.
	const said = await read(at);
	const usual = Number(/usually (\d+) ends? up planted|usually (\d+) end up planted/.exec(said)![1]);
	expect(usual).toBeLessThanOrEqual(7);
	expect(said).toMatch(/What has not rooted by now hardly will|Look on|A look is worth it now/);
	expect(await read(`${base}/bench`)).toContain('7 not rooted yet');
});

test('three treatments with few pieces: laid out by lot, and told that they tell little', async ({ app, page }) => {
	const base = await newGarden(app.url, 'Temperate', 'Trial');
	const plant = await addStock(base, 'fuchsia');
	const { at } = await strikeBatch(base, plant.id, 'soft-tip', 9, '2026-09-20');
	await page.goto(at);
	await page.getByRole('button', { name: 'Lay it out in rows' }).click();
	await page.getByLabel('Treatments to compare').fill('powder, willow water, none');
	await expect(page.locator('main')).toContainText(/So few tell little/);
	await page.getByRole('button', { name: 'Lay it out so' }).click();
	const tray = page.getByRole('group', { name: /The tray, / });
	await expect(tray).toBeVisible();
	for (const place of [1, 2]) await tray.getByRole('button', { name: new RegExp(`Row 1, place ${place}:`) }).click();
	await page.getByRole('button', { name: 'Log these' }).click();
	const table = page.getByRole('table', { name: 'What came of each treatment' });
	await expect(table.getByRole('row')).toHaveCount(4);
	expect(await page.locator('main').textContent()).not.toMatch(/is better|works best/i);
	await expect(page.locator('main')).toContainText('That could well be luck, and so few tell little.');
});

test('two people, one tray: one has an old page open; nothing is lost and the second is told', async ({ app, browser }) => {
	const base = await newGarden(app.url, 'Temperate', 'Two');
	const plant = await addStock(base, 'fuchsia');
	const { at } = await strikeBatch(base, plant.id, 'soft-tip', 12, '2026-09-10');
	const [a, b] = await Promise.all([browser.newPage(), browser.newPage()]);
	for (const [p, alive] of [
		[a, '10'],
		[b, '9']
	] as const) {
		await p.goto(at);
		await p.waitForLoadState('networkidle');
		await p.getByRole('group', { name: 'Log' }).getByRole('button', { name: 'Check' }).click();
		await p.getByLabel('Alive', { exact: true }).fill(alive);
		await p
			.getByLabel('Note')
			.or(p.getByRole('button', { name: 'Add a note' }))
			.first()
			.click();
	}
	await a.getByRole('button', { name: 'Log it' }).click();
	await expect(a.getByText(/: 10 alive/)).toBeVisible();
	await b.getByRole('button', { name: 'Log it' }).click();
	await expect(b.getByRole('alert')).toContainText('while you were typing');
	await expect(b.getByLabel('Alive', { exact: true })).toHaveValue('9');
	expect(await read(at)).toContain('10 of 12 in hand');
	await Promise.all([a.close(), b.close()]);
});

test('a year on: a poor first year lowers the second’s odds and asks for more, and what was foretold stands beside it', async ({
	app
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Year');
	const plant = await addStock(base, 'fuchsia', { count: '4', size: '80' });
	const strike = async () => {
		const form = await (await fetch(`${base}/bench/new?stock=${plant.id}&way=soft-tip`)).text();
		return Number(/chance:(0?\.\d+)/.exec(form)![1]);
	};
	const asked = async (want: string) =>
		Number(/Take (\d+);/.exec((await read(want)).replace(/.*soft tip cutting/, 'soft tip'))?.[1] ?? 0);
	const want = await addWant(base, 'fuchsia', 12, '2027-09-30');
	const [before, takes] = [await strike(), await asked(want.at)];
	const codes = [];
	for (const [on, looked] of [
		['2025-08-01', '2025-09-10'],
		['2026-08-01', '2026-09-10']
	] as const) {
		const { at } = await strikeBatch(base, plant.id, 'soft-tip', 14, on, { foretold: '12' });
		await done(at, { verb: 'checked', alive: '4', rooted: '4', looked_at_roots: 'on', sign: 'roots seen', on: looked });
		codes.push(codeOf(await read(at)));
	}
	const [after, takesNow] = [await strike(), await asked(want.at)];
	expect(after).toBeLessThan(before - 0.05);
	expect(takes).toBeGreaterThan(12);
	expect(takesNow).toBeGreaterThan(takes);
	// The handbook shows its figure and this garden's own side by side.
	expect(await read(`${base}/handbook/fuchsia`)).toMatch(/90 \d\d \(8 of your 28\)/);
	const cuts = await read(`${plant.at}/cuts?way=soft-tip`);
	for (const code of codes) expect(cuts).toContain(`${code} 12 foretold, 14 struck`);
});

test('a bank before rain: struck in place the day before, one drift as pieces, no pots and no cover', async ({
	app,
	request
}) => {
	const base = await newGarden(app.url, 'Southern', 'Bank');
	const plant = await addStock(base, 'stonecrop', { size: '60', count: '6' });
	const cuts = await read(`${plant.at}/cuts?way=in-place`);
	expect(cuts).toMatch(/in place|where it is to grow/i);
	const border = await placeNamed(base, 'Border');
	const drift = await addWant(base, 'stonecrop', 30, '2027-04-30', {
		purpose: 'bed',
		place_id: border,
		area: '2',
		spacing: '25',
		slope: '25',
		pattern: 'square'
	});
	const plan = await read(drift.at);
	expect(plan).toMatch(/Take \d+;/);
	expect(plan).not.toMatch(/× .*pot/);
	expect(plan).toMatch(/Cover: none/);
	expect(plan).toMatch(/Mix none/);
	await request.get(base);
});

test('one stock plant: what it gives and when is one number and one day on every screen', async ({ app }) => {
	const base = await newGarden(app.url, 'Temperate', 'One plant');
	// The weather is asked for when a garden is first looked at: windows then follow the forecast.
	await read(`${base}/round`);
	await new Promise((done) => setTimeout(done, 1500));
	for (const [kind, way, size] of [
		['fuchsia', 'soft-tip', '80'],
		['willow', 'hardwood', '200'],
		['lavender', 'semi-ripe', '50']
	] as const) {
		const plant = await addStock(base, kind, { size });
		const page = await read(plant.at);
		const [list, cuts, form] = await Promise.all([
			read(`${base}/stock`),
			read(`${plant.at}/cuts?way=${way}`),
			(await fetch(`${base}/bench/new?stock=${plant.id}&way=${way}`)).text()
		]);
		const now = /(\d+) (?:cuttings?|rods?|pieces?)/.exec(page.slice(page.indexOf('What it can give now')))?.[1];
		const dated = /Its window (?:is open until|opens on) (\d+ \p{L}+ \d{4})/u.exec(page)![1]!;
		expect(cuts, kind).toContain(dated);
		// The list names what is open, or what opens first.
		const opens = [...page.matchAll(/Its window opens on (\d+ \p{L}+ \d{4})/gu)].map((m) => m[1]!);
		const first = opens.sort((a, b) => Date.parse(a) - Date.parse(b))[0];
		expect(list, kind).toContain(page.includes('is open until') ? dated : `from ${first}`);
		if (page.includes('is open until') && now) {
			expect(cuts, kind).toContain(`usually gives ${now} now`);
			expect(list, kind).toMatch(new RegExp(`\\b${now} [^.]*now`));
			expect(form, kind).toMatch(new RegExp(`gives:${now}\\b`));
		}
		expect(await read(`${base}/handbook/${kind}`), kind).toContain(dated);
	}
});
