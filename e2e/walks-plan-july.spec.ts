/** The plan of all wants in gardens that the demo is not, in the middle of July. */
import { randomUUID } from 'node:crypto';
import { expect, test } from './app.js';
import { addStock, addWant, newGarden } from './growers.js';
import { read } from './plainly.js';
import { JULY, walks } from './planWalks.js';
import type { PlanView } from '../src/lib/server/jointView.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: JULY } } });
walks(JULY);

test('one clump, 48 wanted: the stock is grown first in one tap, the want waits for it, one undo; a plan of nothing takes the place of another', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Few');
	await addStock(base, 'daylily');
	const { id } = await addWant(base, 'daylily', 48, '2027-06-30');
	const ask = async (query = '') => (await (await fetch(`${base}/plan/plan.json${query}`)).json()) as PlanView;
	expect(await read(`${base}/wants`)).toContain('no plan');
	await page.goto(`${base}/plan`);
	const held = page.getByRole('region', { name: 'What holds the rest back' });
	await held.getByRole('button', { name: 'Grow the stock first' }).click({ timeout: 150_000 });
	const saved = page.getByRole('status').filter({ hasText: 'this one waits for it' });
	await expect(saved).toBeVisible();
	await expect(held).toContainText('It waits for the stock that you are growing.', { timeout: 150_000 });
	await expect(held).toContainText(/With the stock that you are growing: strike \d+ divisions .* 9 times in 10\./);
	const grown = await ask();
	expect(grown.wants).toHaveLength(2);
	const [stock, waits] = [grown.wants.find((w) => w.id !== id)!, grown.wants.find((w) => w.id === id)!];
	expect(stock).toMatchObject({ label: 'stock to take from', standing: 'in hand' });
	expect(stock.target).toBeGreaterThan(10);
	expect(stock.batches.length).toBeGreaterThan(0);
	// The stock is there before it is taken from, and the want waits no longer than that takes.
	expect(stock.due > stock.batches[0]!.on && waits.due > stock.due).toBe(true);
	// What waits for its stock is no trouble: Wants says for what, the want too, and nothing asks to plan or to mend it.
	const wants = await read(`${base}/wants`);
	expect(wants).toMatch(new RegExp(`waits for its stock: ${stock.target} to take from by `));
	expect(wants).toContain('1 of 2 needs you.');
	expect(await read(`${base}/wants/${id}`)).toContain('Its stock is grown first, and it waits');
	expect(await read(`${base}/round`)).not.toContain('Plan 48 Daylily');
	const repairs = (await (await fetch(`${base}/plan/repairs.json`)).json()) as { id: string }[] | { wants: { id: string }[] };
	expect(JSON.stringify(repairs)).not.toContain(id);
	await saved.getByRole('button', { name: /Undo/ }).click();
	await expect(saved).toBeHidden();
	const back = await ask();
	expect(back.wants.map((w) => [w.id, w.due])).toEqual([[id, '2027-06-30']]);

	await page.goto(`${base}/plan`);
	await page.getByRole('button', { name: 'Take this plan' }).click({ timeout: 150_000 });
	await expect(page.getByRole('status').filter({ hasText: 'planned and on the round' })).toBeVisible();
	const planned = (await ask()).wants[0]!;
	expect(planned.growing.length).toBeGreaterThan(0);
	// All ways ruled out, with what is planned open to change: nothing is left, and that can be taken too.
	await page.goto(`${base}/plan?anew=1&not=daylily~division&not=daylily~division-spring`);
	await page.getByRole('button', { name: 'Leave out what was planned' }).click({ timeout: 150_000 });
	await expect(page.getByRole('status').filter({ hasText: 'What was only planned is left out.' })).toBeVisible();
	expect((await ask()).wants[0]!.growing).toEqual([]);
});

test('sixty of any of three kinds: chosen by name, planned from all of them together, one promise on every screen; a kind is taken away again', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Any');
	for (const kind of ['sage', 'lavender', 'catmint']) await addStock(base, kind, { count: '1' });
	await page.goto(`${base}/wants/new?kind=sage`);
	await page.waitForLoadState('networkidle');
	await page.getByRole('spinbutton', { name: 'How many' }).fill('60');
	await page.getByText('Other kinds would do as well').click();
	const choose = async (label: string, typed: string, name: string) => {
		const field = page.getByRole('combobox', { name: label });
		await field.fill(typed);
		await page.getByRole('option', { name }).first().click();
		await expect(field).toHaveValue(name);
	};
	await choose('Another kind', 'lavend', 'English lavender');
	await choose('A third kind', 'catm', 'Catmint');
	// What it would take names the kind that it is of.
	await expect(page.getByRole('region', { name: 'What it would take' })).toContainText(/(sage|lavender|Catmint), /);
	await expect(page.getByRole('combobox', { name: 'A fourth kind' })).toBeVisible();
	await page.getByRole('button', { name: 'Write it down' }).click();
	const name = 'Garden sage, English lavender or Catmint';
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(`60 ${name}`);
	const id = page.url().split('/').at(-1)!.split('?')[0]!;
	const ask = async () => (await (await fetch(`${base}/plan/plan.json`)).json()) as PlanView;
	const [want] = (await ask()).wants;
	expect(want).toMatchObject({ id, name, target: 60 });
	expect(new Set(want!.batches.map((b) => b.kindId)).size).toBeGreaterThan(1);
	for (const b of want!.batches) expect(b.stock).toContain(b.kind);

	await page.goto(`${base}/plan`);
	await page.getByRole('button', { name: 'Take this plan' }).click({ timeout: 150_000 });
	await expect(page.getByRole('status').filter({ hasText: 'planned and on the round' })).toBeVisible();
	const [taken] = (await ask()).wants;
	expect(taken!.alone).toBeCloseTo(want!.odds, 9);
	await page.goto(`${base}/wants/${id}`);
	for (const kind of new Set(want!.batches.map((b) => b.kind)))
		await expect(page.getByRole('listitem').filter({ hasText: 'planned for' }).filter({ hasText: kind }).first()).toBeVisible();
	await page.getByRole('listitem').filter({ hasText: 'planned for' }).first().getByRole('link').click();
	await expect(page.getByRole('link', { name: `60 ${name}` })).toBeVisible();

	await page.goto(`${base}/wants/${id}`);
	await page.waitForLoadState('networkidle');
	await page.getByText('Change the number').click();
	// What is taken away lets the rest move up.
	const another = page.getByRole('combobox', { name: 'Another kind' });
	await another.fill('');
	await page.getByRole('option', { name: 'None' }).click();
	await expect(another).toHaveValue('Catmint');
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('60 Garden sage or Catmint');
});

test('more than a bed takes: the want and the plan say how many fit, as the Ground counts them, and name what would do', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'Full');
	const settings = await (await fetch(`${base}/settings`)).text();
	const place = (kind: string) => new RegExp(`id:"([0-9a-f-]{36})",name:"[^"]+",kind:"${kind}"`).exec(settings)![1]!;
	const measure = async (id: string, length: string, width: string) => {
		const told = await fetch(`${base}/ground/${id}?/measure`, {
			method: 'POST',
			body: new URLSearchParams({ entry_id: randomUUID(), on: JULY, by: 'sides', length, width }),
			headers: { accept: 'application/json', 'x-sveltekit-action': 'true' }
		});
		expect(((await told.json()) as { type: string }).type).toBe('success');
	};
	const bed = place('bed');
	await measure(bed, '2', '1');
	await addStock(base, 'lavender', { count: '8' });
	const { id } = await addWant(base, 'lavender', 40, '2027-10-15', { place_id: bed });
	const fit = Number(/(\d+) plants fit in /.exec(await read(`${base}/ground/${bed}?kind=lavender&day=2027-10-15`))![1]);
	expect(fit).toBeGreaterThan(10);
	expect(fit).toBeLessThan(40);
	expect(await read(`${base}/wants/${id}`)).toMatch(new RegExp(`takes only ${fit} of them from 15 Oct 2027 on`));
	const ask = async () => ((await (await fetch(`${base}/plan/plan.json`)).json()) as PlanView).wants[0]!;
	const short = await ask();
	// As many as the bed takes usually come, not more: they would stand nowhere.
	expect(short.usually).toBeLessThanOrEqual(fit + 1);
	expect(short.odds).toBeLessThan(0.5);

	await page.goto(`${base}/plan`);
	const held = page.getByRole('region', { name: 'What holds the rest back' });
	await expect(held).toContainText('The free ground of its bed', { timeout: 150_000 });
	await expect(held.getByRole('button', { name: /^Plant them in/ })).toHaveCount(0);
	await expect(held.getByRole('button', { name: /^Ask for \d+$/ })).toBeVisible();
	const few = Number(/Ask for (\d+)$/m.exec(await held.getByRole('button', { name: /^Ask for \d+$/ }).innerText())![1]);
	expect(few).toBeLessThanOrEqual(fit);

	// Another bed is measured that takes them all: named, and in one tap theirs.
	await measure(place('nursery_row'), '8', '1.2');
	await page.goto(`${base}/plan`);
	await held.getByRole('button', { name: /^Plant them in/ }).click({ timeout: 150_000 });
	await expect(page.getByRole('status').filter({ hasText: 'Want changed' })).toBeVisible();
	const met = await ask();
	expect(met.target).toBe(40);
	expect(met.odds).toBeGreaterThan(0.9);
	expect(await read(`${base}/wants/${id}`)).not.toContain('takes only');
});
