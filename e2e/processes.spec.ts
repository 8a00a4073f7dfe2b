/** Several app processes on one database: one garden, nothing lost, nothing twice, and all tell the same. */
import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { expect, test, TODAY } from './app.js';
import { read } from './plainly.js';
import { endChild, freePort, ROOT, startApp } from '../bin/lib.js';

// A garden of its own: what is done to it here is not for the other specs.
test.use({ appOptions: { demo: true, env: { SURCULUS_SPEC: 'processes' } } });

test('four processes write and read one garden', async ({ app }) => {
	const env = { DATABASE_URL: app.cluster.url('app'), SURCULUS_TODAY: TODAY, SURCULUS_HOME: ROOT, LOG_LEVEL: 'silent' };
	const others: ChildProcess[] = [];
	const urls = [app.url];
	for (let i = 0; i < 3; i++) {
		const port = await freePort();
		others.push(await startApp(port, '127.0.0.1', env, 'ignore'));
		urls.push(`http://127.0.0.1:${port}`);
	}
	const client = new pg.Client({ connectionString: app.cluster.url('app') });
	await client.connect();
	const post = async (url: string, path: string, data: Record<string, string>) => {
		const answer = await fetch(`${url}/g/three-alders/${path}`, {
			method: 'POST',
			body: new URLSearchParams({ entry_id: randomUUID(), ...data }),
			headers: { accept: 'application/json', 'x-sveltekit-action': 'true' }
		});
		const told = (await answer.json()) as { type: string; data?: string };
		return told.type === 'success'
			? 'ok'
			: (/entry\.[a-z-]+|batch\.[a-z-]+/.exec(told.data ?? '')?.[0] ?? JSON.stringify(told).slice(0, 300));
	};
	try {
		const before = (await client.query<{ n: number }>('SELECT count(*)::int AS n FROM entry')).rows[0]!.n;
		const { rows } = await client.query<{ id: string; version: number; alive: number }>(
			`SELECT id, version::int, unrooted + rooted + potted AS alive FROM batch
			 WHERE status = 'growing' AND unrooted > 3 ORDER BY code LIMIT 1`
		);
		const batch = rows[0]!;
		const [sightings, counts] = await Promise.all([
			Promise.all(
				Array.from({ length: 120 }, (_, i) =>
					post(urls[i % 4]!, 'handbook/lavender?/saw', { event: 'bud_break', on: '2026-04-12', note: '' })
				)
			),
			Promise.all(
				urls.map((url) =>
					post(url, `bench/${batch.id}`, {
						verb: 'checked',
						on: TODAY,
						note: '',
						seen: String(batch.version),
						alive: String(batch.alive - 1),
						sign: 'none'
					})
				)
			)
		]);
		expect(new Set(sightings)).toEqual(new Set(['ok']));
		// Four counted the same tray from the same page: one stands, three are told.
		expect(counts.sort()).toEqual(['entry.changed-since', 'entry.changed-since', 'entry.changed-since', 'ok']);
		const after = (await client.query<{ n: number }>('SELECT count(*)::int AS n FROM entry')).rows[0]!.n;
		expect(after - before).toBe(121);
		// What one wrote all of them tell, and reckon with.
		for (const page of ['wants', 'bench', 'handbook/lavender', `bench/${batch.id}`]) {
			const told = await Promise.all(urls.map((url) => read(`${url}/g/three-alders/${page}`)));
			for (const text of told)
				expect(text.replaceAll(/127\.0\.0\.1:\d+/g, ''), page).toBe(told[0]!.replaceAll(/127\.0\.0\.1:\d+/g, ''));
		}
	} finally {
		await client.end();
		for (const child of others) await endChild(child);
	}
});
