/** Plants wanted so tall: told while they are typed, planned for, grown on, bought so tall; on every screen the same. */
import { expect, test } from './app.js';
import { addStock, addWant, newGarden, send } from './growers.js';
import { read } from './plainly.js';
import type { PlanView } from '../src/lib/server/jointView.js';

// Mid-July: in the south the middle of winter.
test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: '2026-07-15' } } });
const ask = async (base: string): Promise<PlanView> => (await (await fetch(`${base}/plan/plan.json`)).json()) as PlanView;

test('a least height is asked for, planned for and grown on to; what never stands so tall is refused', async ({ app, page }) => {
	const base = await newGarden(app.url, 'Southern', 'South');
	await addStock(base, 'escallonia', { count: '3' });
	// What is not asked for tall is there a year before what is.
	const short = await addWant(base, 'escallonia', 6, '2029-05-01', { label: 'as they come' });

	await page.goto(`${base}/wants/new?kind=escallonia`);
	await page.getByLabel('In the ground by').fill('1 May 2028');
	const would = page.locator('main');
	await page.getByLabel('Least height').fill('60');
	await expect(would).toContainText(/can’t|can't|not|instead/i, { timeout: 150_000 });
	await page.getByLabel('Least height').fill('300');
	await expect(would).toContainText('ask for 200 cm (78 in) at most', { timeout: 150_000 });
	await page.getByLabel('Least height').fill('40');
	await page.getByLabel('In the ground by').fill('1 May 2029');
	await page.getByLabel('How many', { exact: true }).fill('6');
	await page.getByRole('button', { name: 'Write it down' }).click();
	await expect(page.locator('main')).toContainText('at least 40 cm tall');
	const tallAt = page.url();
	const id = /wants\/([0-9a-f-]{36})/.exec(tallAt)![1]!;
	// The plan of the want alone says how tall they stand when they are planted.
	const tall = /About (\d+) cm tall when planted/.exec(await read(tallAt));
	expect(Number(tall?.[1])).toBeGreaterThanOrEqual(40);

	const plan = await ask(base);
	const of = (wantId: string) => plan.wants.find((w) => w.id === wantId)!;
	expect(of(id).odds).toBeGreaterThan(0.85);
	expect(of(short.id).odds).toBeGreaterThan(0.85);
	const planted = (wantId: string) => of(wantId).batches.map((b) => b.stages.at(-1)!.from);
	expect(Math.min(...planted(id).map((d) => Date.parse(d)))).toBeGreaterThan(
		Math.max(...planted(short.id).map((d) => Date.parse(d))) - 1
	);
	await page.goto(`${base}/plan`);
	await page.getByRole('button', { name: 'Take this plan' }).click({ timeout: 150_000 });
	await expect(page.getByRole('status').filter({ hasText: 'planned and on the round' })).toBeVisible();
	const after = (await ask(base)).wants.find((w) => w.id === id)!;
	expect(after.odds).toBeCloseTo(of(id).odds, 2);
	const batch = await read(`${base}/bench/${after.growing[0]!.id}`);
	expect(batch).toContain('They are grown on until they stand 40 cm tall.');

	// Changed in place; what cannot be is told, and nothing is written.
	await page.goto(tallAt);
	await page.getByText('Change the number').click();
	await page.getByLabel('Least height').fill('300');
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.locator('main')).toContainText('ask for 200 cm (78 in) at most');
	expect(await read(tallAt)).toContain('at least 40 cm tall');
	await page.getByLabel('Least height').fill('');
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'Want changed' })).toBeVisible();
	expect(await read(tallAt)).not.toContain('cm tall ·');

	await expect(addWant(base, 'iris', 5, '2028-05-01', { least: '30' })).rejects.toThrow();
	const told = await send(`${tallAt}?/change`, { target: '6', due: '2029-05-01', confidence: '90', least: 'tall' });
	expect(told.data ?? '').toContain('Least height in cm: a number, please.');
});
