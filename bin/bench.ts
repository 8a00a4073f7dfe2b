/** Measures what docs/bench.md reports, and writes it there. Ratios are taken within one run. */
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { Bench } from 'tinybench';
import { buildIfStale } from './build.js';
import { CHROMIUM, openDemoApp } from './demoApp.js';
import { freePort, ROOT, say } from './lib.js';
import { byTerms } from '../bench/byTerms.js';
import { benchModel } from '../bench/model.js';
import { simulate } from '../bench/simulate.js';
import { betaOf } from '../src/lib/core/odds/beta.js';
import { outcome } from '../src/lib/core/odds/chain.js';
import { strike } from '../src/lib/core/odds/strike.js';
import { fillGarden } from '../bench/fillGarden.js';
import { benchBench } from '../bench/atBench.js';
import { benchVitals } from '../bench/vitals.js';
import { benchGround } from '../bench/ground.js';
import { benchJoint } from '../bench/joint.js';
import { benchShelter } from '../bench/shelter.js';
import { benchSeason } from '../bench/season.js';

const lines: string[] = [];
const tell = (line = '') => {
	lines.push(line);
	say(line);
};
const ms = (n: number) => (n < 1 ? `${(n * 1000).toFixed(0)} µs` : `${n.toFixed(n < 10 ? 2 : 1)} ms`);
const quantile = (sorted: number[], q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

tell('# Measured');
tell();
tell(
	`Made by \`npm run bench\` on ${cpus().length} × ${cpus()[0]?.model.trim() ?? 'unknown'}, Node ${process.version}. Times vary with the machine; the ratios are what to compare.`
);

// ── odds
const five = [betaOf(0.8, 14), betaOf(0.94, 20), betaOf(0.88, 12), betaOf(0.96, 20), betaOf(0.95, 20)];
/** Pieces of one batch fare alike. */
const alike = five.map((b) => ({ ...b, rho: 0.1 }));
const bench = new Bench({ time: 1500, warmupTime: 500 });
bench
	.add('15 wanted through 3 stages', () => void strike(five.slice(0, 3), 15, 0.9))
	.add('50 wanted through 5 stages', () => void strike(five, 50, 0.9))
	.add('200 wanted through 5 stages', () => void strike(five, 200, 0.9))
	.add('200 wanted through 5 stages, pieces of a batch alike by .1', () => void strike(alike, 200, 0.9))
	.add('outcome of 300 through 5 stages', () => void outcome(five, 300))
	.add('the same, alike by .1', () => void outcome(alike, 300))
	.add('the same without, term by term', () => void byTerms(five, 300));
await bench.run();
tell();
tell('## Odds: how many to strike');
tell();
tell('| question | median |');
tell('| --- | --- |');
for (const task of bench.tasks) {
	const result = task.result as { latency?: { p50: number } };
	tell(`| ${task.name} | ${ms(result.latency?.p50 ?? Number.NaN)} |`);
}
// To know a chance of 0.9 to ±0.001 (one standard error) by simulation takes 0.9·0.1/0.001² = 90,000 runs, for each number tried.
const RUNS = 90_000;
const began = performance.now();
simulate(five, 300, RUNS);
const simulated = performance.now() - began;
const exactBegan = performance.now();
for (let i = 0; i < 10; i++) outcome(five, 300);
const exact = (performance.now() - exactBegan) / 10;
tell();
tell(
	`One outcome of 300 pieces through 5 stages: exact ${ms(exact)}; simulated with @stdlib's Beta and binomial generators to a standard error of 0.001 (${RUNS.toLocaleString('en')} runs) ${ms(simulated)}: **${Math.round(simulated / exact)} times as long**, and the exact one has no error.`
);

benchModel(tell, ms);
await benchShelter(tell, ms);
benchGround(tell, ms);
await benchJoint(tell);

// ── the app with a ledger of 100,000 entries
buildIfStale();
const app = await openDemoApp();
const PAGES = [
	...['round', 'bench', 'bench?by=place', 'stock', 'wants', 'weather', 'year', 'ledger', 'ledger?q=lavender+rooted'],
	...['ledger?kind=batch.planted', 'handbook', 'handbook/lavender', 'round/away', 'labels', 'mix', 'settings', 'palette.json']
];
/** A page of a batch and of a want as well: the first that the lists link to. */
async function allPages(): Promise<string[]> {
	const first = async (list: string) =>
		new RegExp(`/g/three-alders/(${list}/[0-9a-f-]{36})`).exec(
			await (await fetch(`${app.url}/g/three-alders/${list}`)).text()
		)![1]!;
	return [...PAGES, await first('bench'), await first('wants'), await first('stock')];
}
const named = (path: string) => path.replace(/\/[0-9a-f-]{36}$/, '/…');
async function timePages(): Promise<Map<string, { p50: number; p95: number; kB: number }>> {
	const times = new Map<string, { p50: number; p95: number; kB: number }>();
	for (const path of await allPages()) {
		const taken: number[] = [];
		let kB = 0;
		for (let i = 0; i < 35; i++) {
			const start = performance.now();
			kB = (await (await fetch(`${app.url}/g/three-alders/${path}`)).text()).length / 1000;
			if (i >= 5) taken.push(performance.now() - start);
		}
		taken.sort((a, b) => a - b);
		times.set(named(path), { p50: quantile(taken, 0.5), p95: quantile(taken, 0.95), kB });
	}
	return times;
}
/**
 * A tap on the round, and the round after it, as the page asks for them.
 *
 * @param strange of each twenty all but one dead, which moves the record of the way and how alike pieces fare; else most
 * alive, as in most looks
 */
async function timeTaps(strange: boolean): Promise<{ tap: number; page: number }> {
	const taps: number[] = [];
	const pages: number[] = [];
	for (let i = 0; i < 40; i++) {
		const page = await (await fetch(`${app.url}/g/three-alders/round`)).text();
		const batch = /name="batch" value="([0-9a-f-]{36})"/.exec(page)?.[1] ?? '';
		const alive = strange ? 1 : 16 + (i % 4);
		const start = performance.now();
		const answer = await fetch(`${app.url}/g/three-alders/round?/count`, {
			method: 'POST',
			headers: { accept: 'application/json', 'x-sveltekit-action': 'true' },
			body: new URLSearchParams({
				entry_id: crypto.randomUUID(),
				work: 'look',
				batch: batch!,
				alive: String(alive),
				rooted: '0',
				sign: 'firm'
			})
		});
		await answer.text();
		const between = performance.now();
		await (await fetch(`${app.url}/g/three-alders/round/__data.json`)).text();
		taps.push(between - start);
		pages.push(performance.now() - between);
	}
	const sorted = (of: number[]) => of.sort((a, b) => a - b);
	return { tap: quantile(sorted(taps), 0.95), page: quantile(sorted(pages), 0.95) };
}
const small = await timePages();
const smallTaps = await timeTaps(false);
const filled = await fillGarden(app.databaseUrl, { entries: 100_000, growing: 2_000 });
const large = await timePages();
const largeTaps = await timeTaps(false);
const strangeTaps = await timeTaps(true);
tell();
tell(
	`## Pages at ${filled.entries.toLocaleString('en')} entries, 2,000 growing batches of ${filled.batches.toLocaleString('en')}`
);
tell();
tell('| page | p50 | p95 | raw | p50 with the demo alone | ratio |');
tell('| --- | --- | --- | --- | --- | --- |');
for (const [path, l] of large) {
	const s = small.get(path)!;
	tell(`| ${path} | ${ms(l.p50)} | ${ms(l.p95)} | ${l.kB.toFixed(0)} kB | ${ms(s.p50)} | ${(l.p50 / s.p50).toFixed(1)} |`);
}
tell();
tell(
	`A count logged on the round: answered within ${ms(largeTaps.tap)} (p95; ${ms(smallTaps.tap)} with the demo alone), the round as it is then within ${ms(largeTaps.page)} more (${ms(smallTaps.page)}); where nearly all were dead, which moves what is expected of every batch of the way, ${ms(strangeTaps.page)}.`
);
await app.close();

const own = await openDemoApp();
await benchSeason(own, tell, ms);
await benchBench(own, tell, ms);
await benchVitals(`${own.url}/g/three-alders`, tell);
await own.close();

// ── script of the first load
const assets = join(ROOT, 'build', 'client', '_app', 'immutable');
const loaded = await firstLoad();
const kB = (n: number) => `${(n / 1000).toFixed(0)} kB`;
tell();
tell('## First load of the round');
tell();
tell(
	`Script ${kB(loaded.script)} gzip in ${loaded.files} files, styles ${kB(loaded.style)} gzip. Charts are drawn in a worker; the page itself loads their library when one is pointed at.`
);

// ── starts
tell();
tell('## Starts');
tell();
const warm = await timeStart();
const fontKb =
	readdirSync(join(assets, 'assets'))
		.filter((f) => f.endsWith('.woff2'))
		.reduce((sum, f) => sum + statSync(join(assets, 'assets', f)).size, 0) / 1000;
tell(
	`Second start (built, database there): ${(warm / 1000).toFixed(1)} s to the address. Fonts shipped: ${fontKb.toFixed(0)} kB, of which a page loads the parts it needs.`
);
writeFileSync(join(ROOT, 'docs', 'bench.md'), `${lines.join('\n')}\n`);

/** What Chromium fetches for a first visit, weighed as gzip sends it. */
async function firstLoad(): Promise<{ script: number; style: number; files: number }> {
	const own = await openDemoApp();
	const browser = await chromium.launch(CHROMIUM);
	const page = await browser.newPage();
	const seen = { script: 0, style: 0, files: 0 };
	const bodies: Promise<void>[] = [];
	page.on('response', (r) => {
		const script = r.url().endsWith('.js');
		if (!script && r.request().resourceType() !== 'stylesheet') return;
		bodies.push(
			r.body().then((body) => {
				seen[script ? 'script' : 'style'] += gzipSync(body).length;
				if (script) seen.files++;
			})
		);
	});
	await page.goto(`${own.url}/g/three-alders/round`);
	await page.waitForLoadState('networkidle');
	await Promise.all(bodies);
	await browser.close();
	await own.close();
	return seen;
}

/** Starts twice on an own port, the second time measured, and ends it as Ctrl-C does. */
async function timeStart(): Promise<number> {
	let taken = 0;
	for (let i = 0; i < 2; i++) {
		const p = await freePort();
		const start = performance.now();
		const child = spawn(join(ROOT, 'start'), ['--port', String(p)], {
			cwd: ROOT,
			stdio: ['ignore', 'pipe', 'inherit']
		});
		await new Promise<void>((resolve, reject) => {
			child.stdout.on('data', (chunk: Buffer) => chunk.toString().includes('Surculus is at') && resolve());
			child.once('exit', (code) => reject(new Error(`start ended with ${code}: does it run from here already?`)));
		});
		taken = performance.now() - start;
		child.removeAllListeners('exit');
		const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
		child.kill('SIGINT');
		await gone;
	}
	return taken;
}
rmSync(join(ROOT, '.surculus', 'running.json'), { force: true });
