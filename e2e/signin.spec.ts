/** Served beyond loopback the household signs in. */
import { hash } from '@node-rs/argon2';
import { spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { expect, test } from './app.js';
import { ROOT } from '../bin/lib.js';

const PASSWORD = 'rake and riddle';
const SURCULUS_PASSWORD_HASH = await hash(PASSWORD);

test.use({ appOptions: { demo: true, env: { SURCULUS_PASSWORD_HASH } } });

test('nothing is shown before signing in, and wrong tries are slowed', async ({ app, page, request }) => {
	await page.goto(`${app.demo}/wants`);
	await expect(page).toHaveURL(/sign-in\?to=/);
	expect((await request.post(`${app.url}/api/odds/strike`, { data: {} })).status()).toBe(401);
	await page.getByLabel('Password').fill('guess');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('alert')).toContainText('not the household');
	await page.getByLabel('Password').fill(PASSWORD);
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('heading', { name: 'What you want' })).toBeVisible();
	const cookie = (await page.context().cookies()).find((c) => c.name === 'surculus_session')!;
	expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
	await page.goto(`${app.demo}/settings`);
	await page.getByRole('button', { name: 'Sign out', exact: true }).click();
	await page.goto(`${app.demo}/wants`);
	await expect(page).toHaveURL(/sign-in/);
	for (let i = 0; i < 5; i++) await request.post(`${app.url}/sign-in?/in`, { form: { password: 'guess' } });
	await page.getByLabel('Password').fill(PASSWORD);
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('alert')).toContainText('Too many wrong tries');
});

test('signed out on another device while typing: it is said, and nothing typed is lost', async ({ app, browser }) => {
	// The tries of the test before are another address's.
	const enter = async () => {
		const context = await browser.newContext({ locale: 'en-GB' });
		const page = await context.newPage();
		await page.goto(`${app.demo}/wants/new?kind=lavender`);
		await page.getByLabel('Password').fill(PASSWORD);
		await page.getByRole('button', { name: 'Sign in' }).click();
		return page;
	};
	await app.query('DELETE FROM rate_limit');
	const page = await enter();
	await expect(page.getByLabel('How many', { exact: true })).toBeVisible();
	await page.waitForLoadState('networkidle');
	await page.getByLabel('How many', { exact: true }).fill('17');
	await page.getByLabel('In the ground by').fill('2028-06-15');
	await page.getByLabel('In your words').fill('along the wall');
	await app.query('DELETE FROM session');
	await page.getByRole('button', { name: 'Write it down and plan' }).click();
	await expect(page.getByRole('alert')).toContainText('You are signed out');
	await expect(page.getByLabel('In your words')).toHaveValue('along the wall');
	const [other] = await Promise.all([
		page.context().waitForEvent('page'),
		page.getByRole('link', { name: 'Sign in in another tab' }).click()
	]);
	await other.getByLabel('Password').fill(PASSWORD);
	await other.getByRole('button', { name: 'Sign in' }).click();
	await other.waitForURL(/\/g\//);
	await page.getByRole('button', { name: 'Write it down and plan' }).click();
	await expect(page.getByRole('heading', { name: '17 English lavender, along the wall' })).toBeVisible();
});

test('the start command refuses an open address without a password, and says other troubles clearly', async () => {
	const listener = createServer().listen(0, '127.0.0.1');
	await once(listener, 'listening');
	const start = (args: string[], env: NodeJS.ProcessEnv = {}) =>
		spawnSync(process.execPath, ['--import', 'tsx', 'bin/start.ts', ...args], {
			cwd: ROOT,
			env: { ...process.env, SURCULUS_PASSWORD: '', ...env },
			encoding: 'utf8',
			timeout: 60_000
		});
	const open = start(['--host', '0.0.0.0']);
	expect(open.status).toBe(1);
	expect(open.stderr).toContain('household password');
	expect(open.stderr).not.toContain('at ');
	expect(start(['--port', '99999']).stderr).toContain('--port');
	expect(start(['--colour', 'red']).stderr).toContain('Usage');
	expect(start([], { SURCULUS_TODAY: '2026-13-45' }).stderr).toContain('2026-13-45 is none');
	const port = (listener.address() as AddressInfo).port;
	const taken = start(['--port', String(port)]);
	listener.close();
	expect(taken.status).toBe(1);
	expect(taken.stderr).toContain(`Port ${port} on 127.0.0.1 is in use`);
});
