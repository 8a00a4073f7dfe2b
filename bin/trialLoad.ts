/**
 * A full house under load: what waits for what, how long, and with how much memory; an upgrade, a copy and a putting
 * back of a hundred thousand entries. Writes its part of docs/trials.md. `npm run trial:load`
 */
import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { backup, restore } from './backup.js';
import { buildIfStale } from './build.js';
import { openDemoApp } from './demoApp.js';
import type { DemoApp } from './demoApp.js';
import { say } from './lib.js';
import { writeTrial } from './trials.js';
import { fillGarden } from '../bench/fillGarden.js';

const ENTRIES = Number(process.argv[2] ?? 100_000);
const GROWING = 2_000;
const READERS = 20;
const LOAD_MS = 60_000;
const GARDENS = 50;

const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));
const quantile = (of: readonly number[], q: number): number => {
	const sorted = [...of].sort((a, b) => a - b);
	return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? Number.NaN;
};
const ms = (n: number): string =>
	n < 10 ? `${n.toFixed(1)} ms` : n < 2_000 ? `${Math.round(n)} ms` : `${(n / 1000).toFixed(1)} s`;
async function took<T>(work: () => Promise<T> | T): Promise<{ ms: number; value: T }> {
	const start = performance.now();
	const value = await work();
	return { ms: performance.now() - start, value };
}
const memoryMB = (pid: number): number =>
	Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

const get = async (url: string): Promise<{ status: number; text: string; ms: number }> => {
	const start = performance.now();
	const answer = await fetch(url, { signal: AbortSignal.timeout(120_000) });
	const text = await answer.text();
	return { status: answer.status, text, ms: performance.now() - start };
};

/** The heaviest that anybody can ask for, all at once, while the process is asked whether it lives. */
async function underHeavy(app: DemoApp): Promise<{ alive: number[]; heavyMs: number; failed: number }> {
	const at = `${app.url}/g/three-alders`;
	const codes = [...(await get(`${at}/palette.json`)).text.matchAll(/"title":"([0-9A-Z]{3}-[0-9A-Z])/g)].map((m) => m[1]!);
	const stages = Array.from({ length: 12 }, () => ({ alpha: 9, beta: 2 }));
	const post = (path: string, body: unknown) =>
		fetch(`${app.url}${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
	const heavy: (() => Promise<unknown>)[] = [
		() =>
			get(
				`${at}/labels/sheet.pdf?codes=${codes
					.slice(0, 200)
					.map((c) => `${c}:5`)
					.join(',')}`
			),
		() => post('/api/odds/strike', { stages, target: 2_000, confidence: 0.9 }),
		() => post('/api/odds/outcome', { stages, struck: 5_000 }),
		...[20, 40, 60].map(
			(days) => () => get(`${at}/round?day=${new Date(Date.parse('2026-09-05') + days * 86_400_000).toISOString().slice(0, 10)}`)
		),
		() => get(`${at}/round/round.ics`),
		() => get(`${at}/archive.zip`)
	];
	const alive: number[] = [];
	let busy = true;
	let failed = 0;
	const watching = (async () => {
		while (busy) {
			const began = performance.now();
			const status = await get(`${app.url}/healthz`).then(
				(a) => a.status,
				() => 0
			);
			if (status !== 200) failed++;
			alive.push(performance.now() - began);
			await wait(5);
		}
	})();
	const { ms: heavyMs } = await took(() => Promise.all(heavy.map((ask) => ask())));
	busy = false;
	await watching;
	return { alive, heavyMs, failed };
}

const PAGES = ['round', 'bench', 'stock', 'wants', 'ledger', 'weather', 'handbook/lavender', 'round/away'];

/** Readers who go from page to page, and one who logs, for a minute. */
async function underReaders(
	app: DemoApp
): Promise<{ pages: number[]; taps: number[]; errors: number; before: number; after: number }> {
	const at = `${app.url}/g/three-alders`;
	const pages: number[] = [];
	const taps: number[] = [];
	let errors = 0;
	const before = memoryMB(app.pid);
	const until = performance.now() + LOAD_MS;
	const reader = async (n: number) => {
		for (let i = n; performance.now() < until; i++) {
			const answer = await get(`${at}/${PAGES[i % PAGES.length]}`);
			if (answer.status !== 200) errors++;
			pages.push(answer.ms);
			await wait(500);
		}
	};
	const writer = async () => {
		const page = (await get(`${at}/round`)).text;
		const works = [
			...page.matchAll(
				/name="work" value="([a-z-]+)"[^]*?name="place" value="([0-9a-f-]*)"[^]*?name="targets" value="([0-9a-f,-]+)"/g
			)
		];
		for (let i = 0; performance.now() < until; i++) {
			const [, work, place, targets] = works[i % works.length]!;
			const { ms: tap, value } = await took(() =>
				fetch(`${at}/round?/done`, {
					method: 'POST',
					headers: { accept: 'application/json', 'x-sveltekit-action': 'true' },
					body: new URLSearchParams({ entry_id: crypto.randomUUID(), work: work!, place: place!, targets: targets! })
				})
			);
			if (((await value.json()) as { type: string }).type !== 'success') errors++;
			taps.push(tap);
			await wait(1_000);
		}
	};
	await Promise.all([...Array.from({ length: READERS }, (_, n) => reader(n)), writer()]);
	return { pages, taps, errors, before, after: memoryMB(app.pid) };
}

/** Many gardens in one house, each looked at twice: the second look finds what the first worked out. */
async function manyGardens(app: DemoApp): Promise<{ first: number[]; second: number[]; memory: number }> {
	const slugs: string[] = [];
	for (let n = 0; n < GARDENS; n++) {
		const made = await fetch(`${app.url}/new`, {
			method: 'POST',
			headers: { accept: 'application/json', 'x-sveltekit-action': 'true' },
			body: new URLSearchParams({
				entry_id: crypto.randomUUID(),
				name: `Plot ${n + 1}`,
				place: '',
				latitude: String(40 + n / 4),
				longitude: '15',
				height: '80',
				coldest: String(-8 - n / 4),
				units: 'metric',
				temperature: 'C',
				currency: 'EUR',
				minutes: '90',
				last_frost: '2026-05-05',
				first_frost: '2026-10-12',
				last_frost_sd: '10',
				first_frost_sd: '12'
			})
		});
		slugs.push(/\/g\/([a-z0-9-]+)\//.exec(((await made.json()) as { location: string }).location)![1]!);
	}
	const look = async () => {
		const times: number[] = [];
		for (const slug of slugs) times.push((await get(`${app.url}/g/${slug}/handbook/lavender`)).ms);
		return times;
	};
	return { first: await look(), second: await look(), memory: memoryMB(app.pid) };
}

buildIfStale();
say('Without threads …');
const alone = await openDemoApp({ demo: true, env: { SURCULUS_THREADS: '0' } });
const filled = await fillGarden(alone.databaseUrl, { entries: ENTRIES, growing: GROWING });
await get(`${alone.url}/g/three-alders/round`);
const before = await underHeavy(alone);
await alone.close();

say('With threads …');
const app = await openDemoApp();
await fillGarden(app.databaseUrl, { entries: ENTRIES, growing: GROWING });
await get(`${app.url}/g/three-alders/round`);
const after = await underHeavy(app);
say(`${READERS} readers and a writer …`);
const load = await underReaders(app);

say('Copy and put back …');
const file = join(tmpdir(), `surculus-trial-${process.pid}.dump`);
const copied = await took(() => backup(app.databaseUrl, file));
const put = await took(() => restore(app.databaseUrl, file));
rmSync(file, { force: true });

say('Upgrade …');
const client = new pg.Client({ connectionString: app.databaseUrl });
await client.connect();
await client.query('UPDATE projection_state SET version = 0');
await client.end();
const upgrade = await took(() => app.prepare());
await app.close();

say(`${GARDENS} gardens …`);
const house = await openDemoApp();
const many = await manyGardens(house);
await house.close();

writeTrial('Load', [
	`Made by \`npm run trial:load\`: ${filled.entries.toLocaleString('en')} entries, ${GROWING.toLocaleString('en')} growing batches, one machine for the app, the database and all who ask.`,
	'',
	'| | without threads | with threads |',
	'| --- | --- | --- |',
	`| \`/healthz\` while 1,000 labels, a strike table of 2,000 through 12 stages, three first rounds of other days, a calendar and an archive are asked for at once: p50 | ${ms(quantile(before.alive, 0.5))} | **${ms(quantile(after.alive, 0.5))}** |`,
	`| p99 | ${ms(quantile(before.alive, 0.99))} | **${ms(quantile(after.alive, 0.99))}** |`,
	`| longest | ${ms(Math.max(...before.alive))} | **${ms(Math.max(...after.alive))}** |`,
	`| not answered well | ${before.failed} | ${after.failed} |`,
	`| all of that done after | ${ms(before.heavyMs)} | ${ms(after.heavyMs)} |`,
	'',
	'| | |',
	'| --- | --- |',
	`| ${READERS} readers, each a page every half second and more, for a minute: pages, p50, p95 | ${load.pages.length}, ${ms(quantile(load.pages, 0.5))}, ${ms(quantile(load.pages, 0.95))} |`,
	`| a writer among them: taps, p50, p95 | ${load.taps.length}, ${ms(quantile(load.taps, 0.5))}, ${ms(quantile(load.taps, 0.95))} |`,
	`| errors | **${load.errors}** |`,
	`| memory of the app before and after | ${Math.round(load.before)} MB, ${Math.round(load.after)} MB |`,
	`| a start that derives all state anew (upgrade) | ${ms(upgrade.ms)} |`,
	`| \`--backup\`: ${(copied.value.bytes / 1e6).toFixed(1)} MB | ${ms(copied.ms)} |`,
	`| \`--restore\`, checked beside and swapped | ${ms(put.ms)} |`,
	`| ${GARDENS} gardens, a page of each: first look p50, second look p50 | ${ms(quantile(many.first, 0.5))}, ${ms(quantile(many.second, 0.5))} |`,
	`| memory with ${GARDENS} gardens | ${Math.round(many.memory)} MB |`
]);
