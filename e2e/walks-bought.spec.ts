/** Plants bought towards a want, and plants wanted in pots, in gardens that the demo is not: planned, taken, on the round, had; one undo. */
import { expect, test } from './app.js';
import { addStock, addWant, newGarden, send } from './growers.js';
import { read } from './plainly.js';
import { JULY } from './planWalks.js';
import type { PlanView } from '../src/lib/server/jointView.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: JULY } } });

const ask = async (base: string, query = '') => (await (await fetch(`${base}/plan/plan.json${query}`)).json()) as PlanView;

test('some may be bought: the plan grows what it can and buys as few as it takes, on every screen the same', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Southern', 'South');
	await addStock(base, 'sage');
	const many = await addWant(base, 'sage', 60, '2028-03-31', { may_buy: '60', weighs: 'alike', label: 'long border' });
	const soon = await addWant(base, 'sage', 4, '2026-08-20', { may_buy: '4', weighs: 'alike', label: 'herb pots' });
	const plan = await ask(base);
	const [first, second] = [plan.wants.find((w) => w.id === many.id)!, plan.wants.find((w) => w.id === soon.id)!];
	expect(first.batches.length).toBeGreaterThan(0);
	expect(first.buys).toBeGreaterThan(0);
	expect(first.buys).toBeLessThan(60);
	expect(first).toMatchObject({ standing: 'in hand' });
	expect(second).toMatchObject({ buys: 4, batches: [], standing: 'in hand' });
	// Nothing spent: nothing is bought, and the plan says what that costs.
	const none = await ask(base, '?spend=0');
	expect(none.wants.map((w) => w.buys)).toEqual([0, 0]);
	expect(none.met).toBeLessThan(plan.met);

	await page.goto(`${base}/plan`);
	const moves = page.getByRole('region', { name: 'What to do, in order' });
	await expect(moves).toContainText(/Buy 4 Garden sage by 20 Aug 2026, about €\d+\./, { timeout: 150_000 });
	await expect(page.getByText(`${first.buys} to buy`, { exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Take this plan' }).click();
	const saved = page.getByRole('status').filter({ hasText: 'planned and on the round' });
	await expect(saved).toContainText(`${first.buys + 4} to be bought are planned and on the round`);

	const wants = await read(`${base}/wants`);
	expect(wants).toContain(`${first.buys} to buy.`);
	expect(wants).toContain('4 to buy.');
	const page1 = await read(many.at);
	expect(page1).toContain(`${first.buys} of them are to be bought.`);
	// What is due within eight weeks is on the round now; the other comes in its time.
	const round = await read(`${base}/round`);
	expect(round).toContain('Buy 4 Garden sage, herb pots');
	expect(round).toMatch(new RegExp(`Coming after that .* Buy ${first.buys} Garden sage`));
	// Planned once, nothing more is asked for.
	const again = await ask(base);
	expect(again.wants.map((w) => [w.buys, w.batches.length, w.standing])).toEqual([
		[0, 0, 'in hand'],
		[0, 0, 'in hand']
	]);
	const anew = await ask(base, '?anew=1');
	expect(anew.changes.says).toEqual([]);

	await page.goto(soon.at);
	await page.getByRole('button', { name: 'Log what you bought' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'Bought: they count from now on.' })).toBeVisible();
	await expect(page.locator('main')).toContainText('4 of them were bought.');
	expect(await read(`${base}/wants`)).toContain('4 bought.');
	expect(await read(`${base}/round`)).not.toContain('Buy 4 Garden sage');
});

test('what is short is bought in one tap, and one undo takes it back; what can’t be is told', async ({ app, page }) => {
	const base = await newGarden(app.url, 'Equator', 'Equator');
	await addStock(base, 'lavender');
	const { id, at } = await addWant(base, 'lavender', 40, '2027-03-01');
	await page.goto(`${base}/plan`);
	const held = page.getByRole('region', { name: 'What holds the rest back' });
	const buy = held.getByRole('button', { name: /^Buy \d+/ });
	await expect(held).toContainText('Buy ', { timeout: 150_000 });
	if (!(await buy.isVisible())) await held.getByText(/more that would do/i).click();
	await buy.click();
	const saved = page.getByRole('status').filter({ hasText: 'To be bought, and on the round in its time.' });
	await expect(saved).toBeVisible();
	const { buying } = (await ask(base)).wants[0]!;
	expect(buying).toBeGreaterThan(0);
	expect((await ask(base)).wants[0]!.standing).toBe('in hand');
	expect(await read(at)).toContain(`${buying} of them are to be bought.`);
	await saved.getByRole('button', { name: /Undo/ }).click();
	await expect(saved).toBeHidden();
	expect((await ask(base)).wants[0]!.buying).toBe(0);

	const told = async (count: string) => (await send(`${at}?/buying`, { want: id, count })).data ?? '';
	expect(await told('41')).toContain('To be bought: 40 at most');
	expect(await told('many')).toContain('To be bought: a number, please.');
	expect(await told('0')).toContain('nothing was written');
	await expect(addWant(base, 'lavender', 8, '2027-03-01', { may_buy: '9', weighs: 'alike' })).rejects.toThrow();
});

test('pots for a sale before the last frost: ready in time where nothing could be planted, handed over on their day', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Subarctic', 'North');
	await addStock(base, 'fuchsia', { count: '3' });
	const planted = await addWant(base, 'fuchsia', 6, '2027-05-20', { label: 'tubs' });
	const pots = await addWant(base, 'fuchsia', 6, '2027-05-20', { purpose: 'gifts', label: 'plant sale' });
	const plan = await ask(base);
	const of = (id: string) => plan.wants.find((w) => w.id === id)!;
	expect(of(pots.id).odds).toBeGreaterThan(0.85);
	expect(of(planted.id).odds).toBeLessThan(0.1);
	const stages = of(pots.id).batches[0]!.stages;
	expect(stages.map((s) => s.to)).not.toContain('planted');
	// They stand until the sale.
	expect(stages.some((s) => s.until >= '2027-05-20')).toBe(true);
	await page.goto(`${base}/plan`);
	await page.getByRole('button', { name: 'Take this plan' }).click({ timeout: 150_000 });
	await expect(page.getByRole('status').filter({ hasText: 'planned and on the round' })).toBeVisible();
	const told = await read(pots.at);
	expect(told).toContain('Ready in their pots about');
	expect(told).not.toContain('In the ground');
	// The whole want is told as the plan told it.
	const after = (await ask(base)).wants.find((w) => w.id === pots.id)!;
	expect(after.odds).toBeCloseTo(of(pots.id).odds, 2);
	const batch = after.growing[0]!.id;
	expect(await read(`${base}/bench/${batch}`)).toMatch(/end up ready in pots/);
});
