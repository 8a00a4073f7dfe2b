/**
 * At the bench, in a garden that the demo is not: what is cut, set and logged reads the same wherever it is told. Facts
 * of the trade are common practice, no source.
 */
import type { Page } from '@playwright/test';
import { expect, test } from './app.js';
import { addStock, addWant, done, newGarden, placeNamed, strikeBatch } from './growers.js';
import { read } from './plainly.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: '2026-10-05', SURCULUS_SPEC: 'grower' } } });

const codeOf = (text: string): string => /[2-9A-Z]{3}-[2-9A-Z]/.exec(text)![0];

/** All steps of a guide, one after another. */
async function guide(page: Page, url: string): Promise<string> {
	await page.goto(url);
	const said = [];
	const next = page.getByRole('button', { name: 'Next', exact: true });
	for (let n = 0; n < 20; n++) {
		said.push(await page.locator('main').textContent());
		if (!(await next.isVisible()) || (await next.isDisabled())) break;
		await next.click();
	}
	return said.join(' ').replace(/\s+/g, ' ');
}

test('the clump on the bench: told three, got four; stock, batch, bench and want say four and one date', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Clump');
	const clump = await addStock(base, 'daylily', { size: '40' });
	// Three for a show or many small ones: each a number, a width, and what it means.
	await page.goto(`${clump.at}/cuts?way=division`);
	const choices = page.locator('main li label').filter({ hasText: 'divisions of' });
	await expect(choices).toHaveCount(3);
	const counts = (await choices.allTextContents()).map((t) => Number(/(\d+)\s+divisions/.exec(t)![1]));
	expect(counts[0]!).toBeLessThanOrEqual(4);
	expect(counts.at(-1)!).toBeGreaterThanOrEqual(12);
	await expect(page.locator('main')).toContainText('they flower next year');
	await expect(page.getByRole('img').first()).toBeVisible();

	const want = await addWant(base, 'daylily', 3, '2027-06-15');
	const batch = await strikeBatch(base, clump.id, 'division', 4, '2026-10-05', { foretold: '3' });
	await done(batch.at, { verb: 'meant', want_id: want.id });
	const said = await read(batch.at);
	const code = codeOf(said);
	expect(said).toContain('4 of 4 in hand');
	expect(await read(clump.at)).toContain(`${code} 4 struck 5 Oct 2026`);
	expect(await read(`${base}/bench`)).toMatch(new RegExp(`${code} Daylily division · struck 5 Oct 2026 4 not rooted yet`));
	const wanted = await read(want.at);
	expect(wanted).toContain(`${code} 4 struck 5 Oct 2026, 4 in hand`);
	expect(await read(`${clump.at}/cuts?way=division`)).toContain(`${code} 3 foretold, 4 struck`);
	// One date, one number of plants, one chance.
	const on = /about (\d+ \p{L}+ 2027)/u.exec(said.slice(said.indexOf('up planted')))![1]!;
	expect(wanted).toContain(`In the ground about ${on}`);
	const usual = /usually (\d+) ends? up planted/.exec(said)![1]!;
	expect(wanted).toContain(`usually ${usual}, and 9 times in 10`);
	const odds = /As things stand ((?:not quite )?\d+ times in \d+) you get 3 or more;/.exec(wanted)![1]!;
	expect(said).toContain(`by 15 Jun 2027: ${odds}`);
	expect(await read(`${base}/wants`)).toContain(odds);
	// A winter that comes between is waited for.
	expect(said).not.toMatch(/too cold there|After \d+ Oct give up/);
});

test('the long stem: pieces of sensible length, the thin ones poor and told, which end is down, little thrown away', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Stem');
	const bush = await addStock(base, 'fuchsia', { size: '130' });
	await page.goto(`${bush.at}/cuts?way=soft-tip`);
	await page.getByText('Measured nodes, thickness, flowers').click();
	await page.getByLabel('Length', { exact: false }).first().fill('130');
	await page.getByLabel(/Nodes from the base/).fill('8 22 36 46 58 70 80 88 96 103 110 116 122 127');
	await page.getByLabel(/Woody up to/).fill('45');
	await page.getByLabel(/Soft from/).fill('100');
	await page.getByLabel(/^Base/).fill('8');
	await page.getByLabel(/^Tip,/).fill('2');
	await page.getByLabel(/tip flowers/).check();
	const pieces = Number(await page.getByTestId('pieces').textContent());
	expect(pieces).toBeGreaterThanOrEqual(4);
	const main = page.locator('main');
	await expect(main).toContainText(/black wedge: the end that goes down/);
	await expect(main).toContainText(/poor: (thin|old wood|short)/);
	const lengths = [...(await main.textContent())!.matchAll(/(\d+(?:\.\d)?)\s*cm, \d+ nodes?/g)].map((m) => Number(m[1]));
	expect(lengths.length).toBe(pieces);
	// Nothing is too long to set or too short to hold.
	for (const cm of lengths) {
		expect(cm).toBeLessThanOrEqual(20);
		expect(cm).toBeGreaterThanOrEqual(4);
	}
});

test('a jar on the sill: the node under water, fresh water each two or three days, a new generation in winter', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Jar');
	const sill = await placeNamed(base, 'Window sill');
	const vine = await addStock(base, 'sweet-potato-vine', { place_id: sill });
	const batch = await strikeBatch(base, vine.id, 'water', 6, '2026-09-05', { place_id: sill, container: 'jar of water' });
	const said = await read(batch.at);
	expect(said).toMatch(/one node (at least )?under water/);
	expect(said).toContain('Strip all leaves up to the water line');
	expect(said).toContain('Pot when roots are 2–3 cm long');
	await done(batch.at, { verb: 'checked', alive: '6', rooted: '6', looked_at_roots: 'on', sign: 'roots seen', on: '2026-09-25' });
	const round = await read(`${base}/round`);
	expect(round).toMatch(/Change the water: 1 jar/);
	expect(round).toMatch(/Every 2–3 days, sooner if it turns green/);
	// Long-standing water stock declines: its form for a fresh generation opens with this plant in it.
	await page.goto(`${base}/round?day=2026-12-10`);
	const fresh = page.locator('main li li').filter({ hasText: 'Strike fresh' });
	await expect(fresh).toHaveCount(1);
	await page.goto(`${base}/bench/new?stock=${vine.id}&way=water`);
	await expect(page.getByRole('button', { name: 'Struck', exact: true })).toBeVisible();
});

test('suckers and basal shoots: a tug, fifteen centimetres, soil on; a sliver, no node asked, leaves halved', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Below');
	const lilac = await addStock(base, 'lilac', { size: '200' });
	const cuts = await read(`${lilac.at}/cuts?way=sucker`);
	expect(cuts).toMatch(/tug\. .*It resists: it has roots\. Cut it from the parent, keep its soil on, shorten it to about 15 cm/);
	const lifted = await guide(page, `${base}/guide/lilac/sucker`);
	expect(lifted).toMatch(/soil on/i);
	expect(lifted).toMatch(/15 cm/);
	expect(await read(`${base}/handbook/lilac`)).toMatch(/a year in the nursery row/);
	const dahlia = await addStock(base, 'dahlia', { size: '40' });
	await page.goto(`${dahlia.at}/cuts?way=basal`);
	await expect(page.getByTestId('pieces')).toHaveText('1');
	await expect(page.locator('main')).not.toContainText('old wood');
	await expect(page.locator('main')).toContainText(/grows back in about 3 weeks/);
	const steps = await guide(page, `${base}/guide/dahlia/basal`);
	expect(steps).toMatch(/sliver/i);
	expect(steps).toMatch(/half/i);
});
