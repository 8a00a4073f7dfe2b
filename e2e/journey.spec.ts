/** From an empty house to plants in the ground, on a computer and on a phone. */
import type { Page } from '@playwright/test';
import { expect, test, SIZES } from './app.js';

test.use({ appOptions: { demo: false, towns: true, env: {} } });

const log = (page: Page, name: string) => page.getByRole('group', { name: 'Log' }).getByRole('button', { name, exact: true });
const toast = (page: Page) => page.getByRole('status').filter({ has: page.getByRole('button', { name: 'Close this message' }) });

for (const size of SIZES)
	test(`a want is carried through to plants in the ground, on a ${size.name}`, async ({ app, page }) => {
		await page.setViewportSize(size);

		await test.step('set up a garden', async () => {
			await page.goto(`${app.url}/new`);
			await page.getByLabel('Name of the garden').fill(`Quarry field ${size.name}`);
			await page.getByLabel('Nearest town').fill('Rzesz');
			await page.getByRole('option', { name: /Rzeszów, Poland/ }).click();
			await expect(page.getByLabel('Latitude')).toHaveValue(/^50\./);
			await expect(page.getByText('the coldest night of an average winter: zone')).toBeVisible();
			// The guess is said to be one, and moves with what is known.
			await page.getByText('My frosts are different').click();
			await expect(page.getByText('A guess: change it to what you know.').first()).toBeVisible();
			await page.getByLabel('Or the hardiness zone').fill('6b');
			await page.getByLabel('Average last frost').fill('2026-05-05');
			await page.getByLabel('Average first frost').fill('2026-10-08');
			await page.getByRole('button', { name: 'Begin' }).click();
			await expect(page.getByRole('heading', { name: 'Nothing is due this week.' })).toBeVisible();
		});

		await test.step('add a stock plant', async () => {
			await page.getByRole('link', { name: 'Add a stock plant' }).click();
			await page.getByLabel('Kind', { exact: true }).fill('penst');
			await page.getByRole('option', { name: /Border penstemon/ }).click();
			await page.getByLabel('Name on its label').fill('wine red');
			await page.getByLabel('Height', { exact: true }).fill('75');
			await page.getByLabel('Age', { exact: true }).fill('3');
			await page.getByRole('button', { name: 'One more: How many alike' }).click();
			await page.getByRole('button', { name: 'Add it' }).click();
			await expect(page.getByRole('heading', { name: 'Border penstemon, wine red' })).toBeVisible();
			await expect(page.locator('main').getByText('soft tip cutting', { exact: true })).toBeVisible();
		});

		let foretold = 0;
		await test.step('say what is wanted', async () => {
			await page.getByRole('link', { name: 'Say what you want of it' }).click();
			const told = page.getByRole('region', { name: 'What it would take' });
			// What could not be written down is not reckoned either, in the same words.
			await page.getByLabel('How many', { exact: true }).fill('12000');
			await page.getByLabel('In the ground by').fill('2027-06-15');
			await expect(told).toContainText('How many: 2,000 at most.');
			await page.getByLabel('How many', { exact: true }).fill('12');
			await page.getByLabel('In the ground by').fill('2025-06-15');
			await expect(told).toContainText('15 Jun 2025 has gone by: give a day that is still to come.');
			await page.getByLabel('In the ground by').fill('2027-06-15');
			await page.getByLabel('In your words').fill('for the long bed');
			// Told beside it while it is typed, and the same once it is written down.
			await expect(told).toContainText('leaves you 12 or more by 15 Jun 2027');
			foretold = Number(await told.locator('.figure').textContent());
			await page.getByRole('button', { name: 'Write it down and plan' }).click();
			await expect(page.getByRole('heading', { name: '12 Border penstemon, for the long bed' })).toBeVisible();
		});

		let struck = 0;
		await test.step('get a plan with a number, a date and odds', async () => {
			const said = page.locator('main p').filter({ hasText: 'that leaves you 12 or more by 15 Jun 2027' });
			await expect(said).toContainText('9 times in 10');
			struck = Number(/Take\s+(\d+)/.exec((await said.textContent())!)![1]);
			expect(struck).toBe(foretold);
			expect(struck).toBeGreaterThan(12);
			expect(struck).toBeLessThan(60);
			await expect(page.getByText(/The last safe day to strike is/)).toBeVisible();
			await page.getByRole('button', { name: 'Take this plan' }).click();
			await expect(toast(page)).toContainText(`Planned: ${struck}`);
			await expect(page.locator('main p').filter({ hasText: /As things stand .*12 or more/ })).toContainText('9 times in 10');
		});

		const inHand = (n: number) => page.locator('main p').filter({ hasText: new RegExp(`^\\s*${n}\\s+of ${struck} in hand`) });

		await test.step('strike the batch from the round, and label it', async () => {
			await page.getByRole('link', { name: 'Round' }).filter({ visible: true }).click();
			await page.getByRole('link', { name: 'Strike', exact: true }).click();
			await page.getByLabel('Where they stand').selectOption({ label: 'Window sill' });
			await page.getByRole('button', { name: 'Struck', exact: true }).click();
			await expect(toast(page)).toContainText(`Struck ${struck}`);
			await page.getByRole('link', { name: 'Label', exact: true }).click();
			const picture = await page.request.get(`${app.url}${await page.getByTestId('label').getAttribute('src')}`);
			expect(await picture.text()).toMatch(/Border penstemon/);
			expect(await picture.text()).toMatch(/[2-9A-Z]{3}-[2-9A-Z]/);
			await page.goBack();
		});

		await test.step('log a check; the odds move; a wrong count is refused and kept', async () => {
			const odds = async () =>
				(await page.locator('main p').filter({ hasText: 'up planted, 9 times in 10 between' }).textContent())!;
			const before = await odds();
			await log(page, 'Check').click();
			await page.getByLabel('Alive', { exact: true }).fill(String(struck + 1));
			await page.getByRole('button', { name: 'Log it' }).click();
			await expect(page.getByRole('alert')).toContainText(`had ${struck} alive at the last count`);
			await expect(page.getByLabel('Alive', { exact: true })).toHaveValue(String(struck + 1));
			await page.getByLabel('Alive', { exact: true }).fill(String(struck - 6));
			await page.getByLabel('Of these rooted', { exact: true }).fill('9');
			await page.getByRole('button', { name: 'Add a note' }).click();
			await page.getByLabel('Note').fill('Slugs at the <b>rim</b> 🌱');
			await page.getByRole('button', { name: 'Log it' }).click();
			await expect(toast(page)).toContainText(`${struck - 6} alive, 9 rooted`);
			await expect(page.getByText('Slugs at the <b>rim</b> 🌱')).toBeVisible();
			expect(await odds()).not.toBe(before);
		});

		await test.step('undo and log again', async () => {
			await toast(page).getByRole('button', { name: 'Undo' }).click();
			await expect(toast(page)).toContainText('Undone.');
			// As the new counts come what is below them moves: a hand waits for that as well.
			await expect(inHand(struck)).toBeVisible();
			await log(page, 'Check').click();
			await expect(page.getByLabel('Alive', { exact: true })).toHaveValue(String(struck));
			await page.getByLabel('Alive', { exact: true }).fill(String(struck - 2));
			await page.getByLabel('Of these rooted', { exact: true }).fill(String(struck - 2));
			await page.getByLabel('Sign seen', { exact: true }).selectOption('roots seen');
			await page.getByRole('button', { name: 'Log it' }).click();
			await expect(toast(page)).toContainText(`${struck - 2} rooted`);
		});

		await test.step('pot on', async () => {
			await expect(page.getByText(`${struck - 2} rooted, 2 lost`).first()).toBeVisible();
			await log(page, 'Pot').click();
			await expect(page.getByLabel('How many', { exact: true })).toHaveValue(String(struck - 2));
			await page.getByRole('button', { name: 'Log it' }).click();
			await expect(page.getByText(`${struck - 2} potted, 2 lost`)).toBeVisible();
		});

		await test.step('plant out, give one away, keep one as stock', async () => {
			await log(page, 'Plant').click();
			await page.getByLabel('How many', { exact: true }).fill('12');
			await page.getByLabel('Where', { exact: true }).selectOption({ label: 'Border' });
			await page.getByRole('button', { name: 'Log it' }).click();
			await expect(page.locator('main p').filter({ hasText: '12 in the ground' })).toBeVisible();
			await log(page, 'Give away').click();
			await page.getByRole('button', { name: 'Log it' }).click();
			await expect(toast(page)).toContainText('1 given away');
			await expect(inHand(struck - 15)).toBeVisible();
			await log(page, 'Keep as stock').click();
			await page.getByRole('button', { name: 'Log it' }).click();
			await expect(toast(page)).toContainText('1 kept as stock');
			await page.getByRole('link', { name: 'Stock' }).filter({ visible: true }).first().click();
			await expect(page.getByText(/Border penstemon, from [2-9A-Z]{3}-[2-9A-Z]/)).toBeVisible();
		});

		await test.step('read what happened', async () => {
			await page.getByRole('link', { name: 'Ledger' }).filter({ visible: true }).click();
			await page.getByLabel('Words').fill('penst rooted');
			await page.getByRole('button', { name: 'Find', exact: true }).click();
			await expect(page.getByRole('row').filter({ hasText: 'roots seen' })).toHaveCount(1);
			await page.getByRole('link', { name: 'Wants' }).filter({ visible: true }).click();
			await expect(page.getByRole('listitem').filter({ hasText: 'Border penstemon' })).toContainText('met');
			const csv = await page.request.get(page.url().replace('/wants', '/ledger/ledger.csv'));
			const text = await csv.text();
			expect(text).toContain('Slugs at the <b>rim</b> 🌱');
			expect(text.split('\r\n').length).toBeGreaterThan(10);
		});
	});

test('from nothing to a plan that is taken in a dozen taps, with a way on wherever one is missing', async ({ app, page }) => {
	await page.setViewportSize(SIZES[1]!);
	await page.addInitScript(() =>
		addEventListener(
			'click',
			(e) => e.isTrusted && sessionStorage.setItem('taps', String(1 + Number(sessionStorage.getItem('taps')))),
			true
		)
	);
	await page.goto(`${app.url}/new`);
	// Another spelling, and a name from another alphabet.
	await page.getByLabel('Nearest town').fill('Мюнх');
	await page.getByRole('option', { name: /Munich/ }).click();
	await expect(page.locator('input[name=height]')).toHaveValue('524');
	await expect(page.locator('input[name=currency]')).toHaveValue('EUR');
	// What is wrong in a folded part opens it.
	await page.locator('input[name=last_frost_sd]').evaluate((el: HTMLInputElement) => {
		el.value = 'often';
		el.dispatchEvent(new Event('input', { bubbles: true }));
	});
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByLabel('give or take').first()).toBeFocused();
	await page.getByLabel('give or take').first().fill('12');
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByRole('heading', { name: 'Nothing is due this week.' })).toBeVisible();

	await page.evaluate(() => sessionStorage.setItem('taps', '0'));
	await page.getByRole('link', { name: 'Wants' }).click();
	await page.getByRole('link', { name: 'Say what you want' }).click();
	const kind = async (typed: string, name: RegExp) => {
		await page.getByLabel('Kind', { exact: true }).fill(typed);
		await page.getByRole('option', { name }).click();
	};
	await kind('curran', /Blackcurrant|Currant/);
	// No plant of it is known: the way on is right there, and comes back.
	await page.getByRole('link', { name: 'Add one that you have' }).click();
	await page.getByRole('button', { name: 'Add it' }).click();
	await page.getByRole('link', { name: 'Say what you want of it' }).click();
	await page.getByLabel('How many', { exact: true }).fill('5');
	await page.getByLabel('In the ground by').fill('2028-05-01');
	await page.getByRole('button', { name: 'Write it down and plan' }).click();
	// One bush cannot do it by then: the day by which it can is one tap away.
	await page.getByRole('button', { name: /^Have them by / }).click();
	await page.getByRole('button', { name: 'Take this plan' }).first().click();
	await expect(toast(page)).toContainText('Planned: ');
	expect(Number(await page.evaluate(() => sessionStorage.getItem('taps')))).toBeLessThanOrEqual(12);
});

test('a hedge and a sloping bed are counted as they are typed', async ({ app, page }) => {
	await page.goto(`${app.url}/`);
	await page.goto(page.url().replace('/round', '/wants/new?kind=box'));
	await page.getByText('hedge', { exact: true }).click();
	await page.getByLabel('Length of the hedge').fill('12');
	await page.getByLabel('Spacing', { exact: true }).fill('60');
	await expect(page.getByText('21 plants')).toBeVisible();
	await page.getByLabel('Rows').selectOption('2');
	await expect(page.getByText('41 plants')).toBeVisible();
	await page.getByText('bed or slope').click();
	await page.getByLabel('Width', { exact: true }).fill('2');
	await page.getByLabel('Length, as on a map').fill('5');
	await page.getByLabel('Slope of the length').fill('60');
	await page.getByLabel('Spacing', { exact: true }).fill('50');
	await page.getByLabel('Pattern').selectOption('square');
	await expect(page.getByText('80 plants on 20 m² of ground')).toBeVisible();
});

test('units can be switched at any time, and all screens follow', async ({ app, page }) => {
	await page.goto(`${app.url}/`);
	const base = page.url().replace('/round', '');
	await page.goto(`${base}/settings`);
	const coldest = page.getByLabel('Coldest night of an average winter');
	const before = Number(await coldest.inputValue());
	await page.getByLabel('Temperature', { exact: true }).selectOption('F');
	await expect(coldest).toHaveValue(String(Math.round((before * 9) / 5 + 32)));
	await page.getByLabel('Lengths').selectOption('us');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved. All windows and odds move with it.')).toBeVisible();
	await page.goto(`${base}/handbook/box`);
	await expect(page.getByText('−9 °F, zone 6a')).toBeVisible();
	await expect(page.getByText('3–3.9 in').first()).toBeVisible();
});
