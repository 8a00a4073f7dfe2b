/** Requests that no browser of ours would send: sentences, never faults, and nothing half-saved. In full by npm run trial:input. */
import { Agent, request } from 'node:http';
import pg from 'pg';
import { expect, test } from './app.js';
import { badRequests, knownOf, routes, sendAll } from '../bin/badRequests.js';

// A garden of its own: what is done to it here is not for the other specs.
test.use({ appOptions: { demo: true, env: { SURCULUS_SPEC: 'input' } } });

test('bad requests on every route and action are answered with a sentence', async ({ app }) => {
	const client = new pg.Client({ connectionString: app.cluster.url('app') });
	await client.connect();
	const known = await knownOf(async (sql) => (await client.query<{ v: string }>(sql)).rows);
	await client.end();
	expect(routes().length).toBeGreaterThan(40);
	expect(routes().flatMap((r) => r.actions).length).toBeGreaterThan(20);
	const answers = await sendAll(app.url, badRequests(900, known, 0.31));
	const faults = answers.filter((a) => a.status === 0 || a.status >= 500);
	expect(faults.map((f) => `${f.status} ${f.bad.method} ${f.bad.path.slice(0, 120)}`)).toEqual([]);
	// Some get through the first door: else nothing was tried.
	expect(answers.filter((a) => a.status === 200 || a.status === 303).length).toBeGreaterThan(150);
	expect(answers.filter((a) => a.status >= 400 && a.status < 500).length).toBeGreaterThan(300);
});

test('a body that nobody reads does not hold up what is asked after it', async ({ app }) => {
	const agent = new Agent({ keepAlive: true, maxSockets: 1 });
	const send = (method: string, path: string, body: string): Promise<number> =>
		new Promise((resolve, reject) => {
			const asked = request(
				`${app.url}${path}`,
				{ method, agent, headers: { 'content-length': Buffer.byteLength(body) } },
				(r) => {
					r.resume();
					r.on('end', () => resolve(r.statusCode ?? 0));
				}
			);
			asked.on('error', reject);
			asked.end(body);
		});
	// Longer than what a socket holds by itself.
	expect(await send('DELETE', '/g/three-alders/ledger', 'x'.repeat(400_000))).toBe(405);
	// A server that kept the connection would let this wait until it gives it up.
	const answered = await Promise.race([send('GET', '/healthz', ''), new Promise((r) => setTimeout(() => r('waits'), 4_000))]);
	agent.destroy();
	expect(answered).toBe(200);
});
