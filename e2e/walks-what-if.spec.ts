/** The plan as it would be: with other hours, a shelf more, a want less. Nothing is written. */
import { expect, test } from './app.js';
import { addStock, addWant, newGarden } from './growers.js';
import { JULY } from './planWalks.js';
import type { PlanView } from '../src/lib/server/jointView.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: JULY } } });

test('hours, a shelf and a want tried on the plan; each is told and taken back; what cannot be read is left out', async ({
	app,
	page
}) => {
	const base = await newGarden(app.url, 'Temperate', 'What if');
	await addStock(base, 'lavender', { count: '4' });
	await addStock(base, 'sage', { count: '2' });
	const lavender = await addWant(base, 'lavender', 30, '2027-10-31');
	const sage = await addWant(base, 'sage', 10, '2027-10-31');
	const ask = async (query = '') => (await (await fetch(`${base}/plan/plan.json${query}`)).json()) as PlanView;
	const plan = await ask();
	expect(plan.met).toBe(2);
	expect(plan.asIf).toEqual({ minutes: null, room: [], without: [] });
	// No time: nothing can be struck. As much as there is: the same plan.
	const none = await ask('?minutes=0');
	expect(none.moves).toEqual([]);
	expect(none.met).toBe(0);
	expect((await ask('?minutes=600')).moves).toEqual(plan.moves);
	// A want less: the other is planned as if it were alone.
	const one = await ask(`?without=${sage.id}`);
	expect(one.wants.map((w) => w.id)).toEqual([lavender.id]);
	expect(one.asIf.without).toEqual([{ id: sage.id, name: '10 Garden sage' }]);
	expect(one.left).toEqual([]);
	// More room is seen in what the place has.
	const [room] = plan.measured;
	const roomier = await ask(`?room=${room!.id}~40000`);
	const limit = (p: PlanView) => Math.max(...p.loads.filter((l) => l.places?.includes(room!.name)).map((l) => l.weeks[0]!.limit));
	expect(limit(roomier) - limit(plan)).toBeCloseTo(40_000, 0);
	expect((await ask('?minutes=-5&room=nowhere~9&without=me')).moves).toEqual(plan.moves);

	await page.goto(`${base}/plan`);
	await page.getByText('What if: more or less time').click({ timeout: 150_000 });
	await page.getByLabel('Minutes a week').fill('20');
	await page.getByRole('button', { name: 'Plan with that' }).first().click();
	const given = page.getByText('As if you had 20 min a week.');
	await expect(given).toBeVisible({ timeout: 150_000 });
	await page.getByText('What if: more or less time').click();
	await page.getByLabel('A want to leave out').selectOption({ label: '10 Garden sage' });
	await page.getByRole('button', { name: 'Plan without it' }).click();
	await expect(page.getByText('As if you did not want 10 Garden sage.')).toBeVisible({ timeout: 150_000 });
	await page.getByRole('link', { name: 'Take it back' }).first().click();
	await expect(given).toBeHidden({ timeout: 150_000 });
	await page.getByRole('link', { name: 'Take it back' }).click();
	await expect(page.getByText('Nothing of that is written down.')).toBeHidden({ timeout: 150_000 });
	expect((await ask()).moves).toEqual(plan.moves);
});
