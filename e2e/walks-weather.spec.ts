/** What the weather asks for, in a garden that the demo is not. Facts of the trade are common practice, no source. */
import { expect, test } from './app.js';
import { addStock, addWant, done, newGarden, placeNamed, send, strikeBatch } from './growers.js';
import { read } from './plainly.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: '2026-09-20', SURCULUS_SPEC: 'weather' } } });

test('a tender pot before frost: which night, which first, where each goes, what either costs, what to look for', async ({
	app,
	page,
	request
}) => {
	await request.put(`${app.station}/scenario`, { data: { spells: [{ from: '2026-09-22', to: '2026-09-26', degrees: -14 }] } });
	const base = await newGarden(app.url, 'Temperate', 'Before frost');
	const [bench, sill] = [await placeNamed(base, 'Bench outdoors'), await placeNamed(base, 'Window sill')];
	await addStock(base, 'fuchsia', { place_id: bench, label: 'by the door' });
	await addStock(base, 'coleus', { place_id: bench });
	await addStock(base, 'lavender', { place_id: bench });
	// The station is asked when a garden is first looked at.
	await page.goto(`${base}/round`);
	const task = page.locator('main li li').filter({ hasText: 'Bring in' });
	await expect(async () => {
		await page.reload();
		await expect(task).toContainText(/in the night to \d+ Sep/, { timeout: 1000 });
	}).toPass();
	// The tenderest leads, and hardy pots stay out.
	await expect(task).toContainText(
		/Coleus: (almost certain|\d+ in 10+) that a night falls to 7\s°C within the week, by the forecast/
	);
	await expect(task).toContainText(/On the same walk: Bush fuchsia \(bears 2\s°C\)/);
	await expect(task).not.toContainText('lavender');
	await expect(task).toContainText(
		/If left and it comes: (about )?2 plants set back or lost. If done and it does not: a week or two of less light/
	);
	await task.getByRole('button', { name: 'Bring in …' }).click();
	await expect(task).toContainText('look under the leaves and into the root ball');
	const places = task.locator('select');
	await expect(places).toHaveCount(2);
	await expect(places.first()).toHaveValue(sill);
	await task.getByRole('button', { name: 'Brought in' }).click();
	await expect(page.locator('main li li').filter({ hasText: 'Bring in' })).toHaveCount(0);
	expect(await read(`${base}/stock`)).toMatch(/Coleus Window sill/);
	await request.put(`${app.station}/scenario`, { data: { spells: [] } });
});

test('a bank before rain: drifts struck in place the day before, and two cohorts of them told apart', async ({
	app,
	page,
	request
}) => {
	await request.put(`${app.station}/scenario`, {
		data: { spells: [{ from: '2026-09-21', to: '2026-09-21', degrees: 0, rain_mm: 9 }] }
	});
	const base = await newGarden(app.url, 'Southern', 'Bank in spring');
	const bank = await placeNamed(base, 'Border');
	const plant = await addStock(base, 'stonecrop', { size: '60', count: '6' });
	const drift = await addWant(base, 'stonecrop', 20, '2027-04-30', {
		...{ purpose: 'bed', place_id: bank, area: '1.2', spacing: '25', slope: '25', pattern: 'square' }
	});
	const plan = await (await fetch(drift.at)).text();
	const way = /name="way_id" value="(in-place)"/.exec(plan)![1]!;
	const flushes = JSON.stringify([{ on: 20_716, pieces: 30 }]); // 20 September 2026
	expect((await send(`${drift.at}?/accept`, { way_id: way, stock_id: plant.id, flushes })).type).not.toBe('failure');
	await page.goto(`${base}/round`);
	const task = page.locator('main li li').filter({ hasText: 'in place today' });
	await expect(async () => {
		await page.reload();
		await expect(task).toContainText('it rains tomorrow: what is struck today is watered in', { timeout: 1000 });
	}).toPass();
	// Two cohorts, one before the rain and one in the dry, each with its own count.
	const counts = [];
	for (const [on, alive] of [
		['2026-08-20', '14'],
		['2026-08-28', '6']
	] as const) {
		const { at } = await strikeBatch(base, plant.id, 'in-place', 15, on, { place_id: bank });
		await done(at, { verb: 'checked', alive, rooted: alive, looked_at_roots: 'on', sign: 'new growth', on: '2026-09-20' });
		counts.push(/(\d+) of 15 in hand/.exec(await read(at))![1]);
	}
	expect(counts).toEqual(['14', '6']);
	await request.put(`${app.station}/scenario`, { data: { spells: [] } });
});
