/** Who takes long does not hold the others up: work runs in threads, with a queue that has an end. */
import { expect, test } from './app.js';
import { read } from './plainly.js';

const garden = (url: string) => `${url}/g/three-alders`;

test('a thousand labels are made while others are answered', async ({ app }) => {
	const palette = (await (await fetch(`${garden(app.url)}/palette.json`)).json()) as { items: { title: string; what: string }[] };
	const codes = palette.items.filter((i) => i.what.startsWith('batch')).map((i) => i.title.slice(0, 5));
	const answered: string[] = [];
	const asked = codes.slice(0, 20).map((c) => `${c}:50`);
	const labels = fetch(`${garden(app.url)}/labels/sheet.pdf?codes=${asked.join(',')}`).then(async (r) => {
		expect(r.status).toBe(200);
		expect((await r.arrayBuffer()).byteLength).toBeGreaterThan(100_000);
		answered.push('labels');
	});
	// Long before so many labels are drawn these have their answer.
	await read(`${app.url}/healthz`).then(() => answered.push('alive'));
	await read(`${garden(app.url)}/stock`).then(() => answered.push('stock'));
	await labels;
	expect(answered).toEqual(['alive', 'stock', 'labels']);
});

test('more than can wait is told so, and what comes after is answered', async ({ app }) => {
	const stages = Array.from({ length: 4 }, () => ({ alpha: 9, beta: 2 }));
	const ask = () =>
		fetch(`${app.url}/api/odds/strike`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ stages, target: 300, confidence: 0.9, correlation: 0.1 })
		});
	const answers = await Promise.all(Array.from({ length: 60 }, ask));
	const statuses = answers.map((a) => a.status);
	expect(new Set(statuses)).toEqual(new Set([200, 503]));
	const refused = answers[statuses.indexOf(503)]!;
	expect(await refused.text()).toContain('busy with something else');
	const same = await Promise.all(answers.filter((a) => a.status === 200).map((a) => a.text()));
	expect(new Set(same).size).toBe(1);
	expect((await ask()).status).toBe(200);
});

test('who goes away does not leave work behind', async ({ app }) => {
	const stages = Array.from({ length: 12 }, () => ({ alpha: 9, beta: 2 }));
	const body = JSON.stringify({ stages, target: 2_000, confidence: 0.99, correlation: 0.1 });
	const gone = new AbortController();
	const many = Array.from({ length: 20 }, () =>
		fetch(`${app.url}/api/odds/strike`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body,
			signal: gone.signal
		}).catch(() => null)
	);
	await new Promise((r) => setTimeout(r, 300));
	gone.abort();
	await Promise.all(many);
	// Twenty such tables take minutes: whoever comes now would wait behind them.
	await expect
		.poll(
			async () =>
				(
					await fetch(`${app.url}/api/odds/outcome`, {
						method: 'POST',
						headers: { 'content-type': 'application/json' },
						body: JSON.stringify({ stages: stages.slice(0, 2), struck: 10 })
					})
				).status,
			{ timeout: 150_000 }
		)
		.toBe(200);
});
