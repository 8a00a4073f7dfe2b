/** What must not go wrong when things do. */
import { expect, test } from './app.js';

const API = { headers: { 'content-type': 'application/json' } };

test('the odds answer, and say what is wrong with a bad question', async ({ app, request }) => {
	const stages = [
		{ alpha: 8, beta: 2 },
		{ alpha: 9, beta: 1 }
	];
	const good = await request.post(`${app.url}/api/odds/strike`, {
		...API,
		data: { stages, target: 10, confidence: 0.9 }
	});
	const answer = await good.json();
	expect(good.status()).toBe(200);
	expect(answer.probability).toBeGreaterThanOrEqual(0.9);
	const outcome = await (
		await request.post(`${app.url}/api/odds/outcome`, { ...API, data: { stages, struck: answer.strike } })
	).json();
	expect(outcome.pmf.slice(10).reduce((a: number, p: number) => a + p, 0)).toBeCloseTo(answer.probability, 9);
	expect(outcome.mean).toBeCloseTo(answer.mean, 9);
	for (const [body, path] of [
		[{ stages, target: 0, confidence: 0.9 }, 'target'],
		[{ stages, target: -3, confidence: 0.9 }, 'target'],
		[{ stages, target: 1e6, confidence: 0.9 }, 'target'],
		[{ stages, target: 2.5, confidence: 0.9 }, 'target'],
		[{ stages, target: 3, confidence: 0 }, 'confidence'],
		[{ stages, target: 3, confidence: 1 }, 'confidence'],
		[{ stages: [], target: 3, confidence: 0.9 }, 'stages'],
		[{ stages: [{ alpha: 0, beta: 1 }], target: 3, confidence: 0.9 }, 'stages.0.alpha'],
		[{ stages: 'x', target: 3, confidence: 0.9 }, 'stages'],
		[{ stages, target: '3', confidence: 0.9 }, 'target']
	] as const) {
		const r = await request.post(`${app.url}/api/odds/strike`, { ...API, data: body });
		expect(r.status(), JSON.stringify(body)).toBe(400);
		const { error } = await r.json();
		expect(error.path).toBe(path);
		expect(error.code).toBeTruthy();
		expect(error.sentence.length).toBeGreaterThan(10);
	}
	expect((await request.post(`${app.url}/api/odds/strike`, { ...API, data: '{no json' })).status()).toBe(400);
});

test('another site’s page cannot write, nor another’s name for this machine read', async ({ app, request }) => {
	const evil = await request.post(`${app.demo}/wants/new`, {
		headers: { origin: 'http://elsewhere.example' },
		form: { target: '3' }
	});
	expect(evil.status()).toBe(403);
	const rebound = await request.get(`${app.demo}/round`, { headers: { host: 'elsewhere.example' } });
	expect(rebound.status()).toBe(403);
	const page = await request.get(`${app.demo}/round`);
	const csp = page.headers()['content-security-policy'] ?? '';
	expect(csp).toContain("script-src 'self'");
	expect(csp).not.toContain("script-src 'self' 'unsafe-inline'");
	expect(page.headers()['x-content-type-options']).toBe('nosniff');
});

test('pages that do not exist say so, with no trace of the inside', async ({ app, page }) => {
	for (const path of [
		'/g/nowhere/round',
		'/g/three-alders/bench/not-an-id',
		'/g/three-alders/wants/00000000-0000-7000-8000-000000000000',
		'/g/three-alders/handbook/triffid',
		'/nothing'
	]) {
		const answer = await page.goto(`${app.url}${path}`);
		expect(answer!.status(), path).toBe(404);
		await expect(page.getByRole('heading')).toContainText(/no such|does not know/);
		expect(await page.content()).not.toMatch(/node_modules|\.svelte:|at async/);
	}
});

test('bad typing is refused in its place and nothing typed is lost', async ({ app, page }) => {
	await page.goto(`${app.demo}/wants/new?kind=lavender`);
	await page.getByLabel('How many', { exact: true }).fill('-3');
	await page.getByLabel('In your words').fill('مرحبا 🌱 <script>alert(1)</script>');
	await page.getByLabel('In the ground by').fill('2026-09-04');
	const send = page.getByRole('button', { name: 'Write it down and plan' });
	await send.click();
	await expect(page.getByRole('alert')).toContainText('1 at least');
	await page.getByLabel('How many', { exact: true }).fill('3');
	await send.click();
	await expect(page.getByRole('alert')).toContainText('has gone by');
	await expect(page.getByLabel('In the ground by')).toHaveAttribute('aria-invalid', 'true');
	await expect(page.getByLabel('In your words')).toHaveValue('مرحبا 🌱 <script>alert(1)</script>');
	await page.getByLabel('In the ground by').fill('2028-06-01');
	await page.getByLabel('How sure', { exact: true }).fill('100');
	await send.click();
	await expect(page.getByRole('alert')).toBeVisible();
	await page.getByLabel('How sure', { exact: true }).fill('90');
	await send.click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('<script>alert(1)</script>');
	await page.goto(`${app.demo}/settings`);
	await page.getByLabel('Latitude').fill('91');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByRole('alert')).toContainText('Latitude: between −90 and 90');
});

test('of two browsers that log the same batch, the slower is told and loses nothing', async ({ app, browser }) => {
	const [a, b] = await Promise.all([browser.newPage(), browser.newPage()]);
	await a.goto(`${app.demo}/bench`);
	const href = await a.locator('main a[href*="/bench/"]', { hasText: 'not rooted yet' }).first().getAttribute('href');
	for (const p of [a, b]) {
		await p.goto(`${app.url}${href}`);
		await p.waitForLoadState('networkidle');
		await p.getByRole('group', { name: 'Log' }).getByRole('button', { name: 'Lost' }).click();
		await p.getByLabel('Why', { exact: true }).fill(p === a ? 'snails' : 'drought');
	}
	await a.getByRole('button', { name: 'Log it' }).click();
	await expect(a.getByText(': 1 lost.')).toBeVisible();
	await b.getByRole('button', { name: 'Log it' }).click();
	await expect(b.getByRole('alert')).toContainText('while you were typing');
	await expect(b.getByLabel('Why', { exact: true })).toHaveValue('drought');
	await b.getByRole('button', { name: 'Log it' }).click();
	await expect(b.getByText(': 1 lost.')).toBeVisible();
	await a.close();
	await b.close();
});

test('whoever logs twice in a second is not told that someone else was quicker', async ({ app, page }) => {
	await page.goto(`${app.demo}/bench`);
	const href = await page.locator('main a[href*="/bench/"]', { hasText: 'not rooted yet' }).first().getAttribute('href');
	await page.goto(`${app.url}${href}`);
	await page.waitForLoadState('networkidle');
	let held = (): void => undefined;
	const waited = new Promise<void>((go) => (held = go));
	await page.route('**/__data.json*', async (route) => {
		await waited;
		await route.continue();
	});
	for (const why of ['snails', 'drought']) {
		await page.getByRole('group', { name: 'Log' }).getByRole('button', { name: 'Lost' }).click();
		await page.getByLabel('Why', { exact: true }).fill(why);
		await page.getByRole('button', { name: 'Log it' }).click();
		await expect(page.getByLabel('Why', { exact: true })).toHaveCount(0);
	}
	held();
	for (const why of ['snails', 'drought'])
		await expect(page.locator('ol li p').filter({ hasText: `lost 1` }).filter({ hasText: why })).toBeVisible();
});

test('the database stops in the middle: a clear page, the typing kept, and it works again', async ({ app, page }) => {
	await page.goto(`${app.demo}/stock/new?kind=sage`);
	await page.getByLabel('Name on its label').fill('silver, from the wall');
	app.cluster.stop();
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('alert')).toContainText('database does not answer');
	await expect(page.getByLabel('Name on its label')).toHaveValue('silver, from the wall');
	expect((await page.request.get(`${app.url}/healthz`)).status()).toBe(503);
	const other = await page.context().newPage();
	expect((await other.goto(`${app.demo}/round`))!.status()).toBe(503);
	await expect(other.getByRole('heading')).toContainText('database does not answer');
	app.cluster.start();
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('heading', { name: /silver, from the wall/ })).toBeVisible();
	expect((await page.request.get(`${app.url}/healthz`)).status()).toBe(200);
	await other.getByRole('button', { name: 'Try again' }).click();
	await expect(other.getByRole('heading', { name: 'Today’s round' })).toBeVisible();
});
