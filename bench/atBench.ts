/** Figures of the bench: cuts along a stem, what looks teach, labels to paper, five hundred batches on the screen. */
import { chromium } from '@playwright/test';
import { fillGarden } from './fillGarden.js';
import { median } from './time.js';
import { CHROMIUM } from '../bin/demoApp.js';
import type { DemoApp } from '../bin/demoApp.js';
import { parse } from 'yaml';
import { readFileSync } from 'node:fs';
import { sheetSchema } from '../src/lib/core/handbook/benchSchema.js';
import { pieceBetween, planStem, usualNodes } from '../src/lib/core/material/stem.js';
import type { CutRules, Stem } from '../src/lib/core/material/stem.js';
import { rootingAfter } from '../src/lib/core/odds/rooting.js';
import type { Epoch } from '../src/lib/core/odds/rooting.js';
import { labelsPdf } from '../src/lib/formats/labels.js';

/** Median time of one run, in ms: many runs a sample, for single ones are too short to time. */
function time(work: () => void, each: number, samples = 15): number {
	for (let i = 0; i < each; i++) work();
	return median(
		Array.from({ length: samples }, () => {
			const start = performance.now();
			for (let i = 0; i < each; i++) work();
			return (performance.now() - start) / each;
		})
	);
}

const stem = (lengthCm: number, internode: number): Stem => ({
	lengthCm,
	nodes: usualNodes(lengthCm, internode),
	woodyTo: lengthCm * 0.05,
	softFrom: lengthCm * 0.95,
	baseMm: 12,
	tipMm: 3,
	flowering: false
});
const rules: CutRules = {
	cm: [4, 16],
	usualCm: 10,
	leastNodes: 2,
	wood: ['firm'],
	tip: 'may',
	usualMm: 4,
	chance: 0.8
};

/** All choices of pieces, one after another. */
function byTrying(s: Stem, from: number): number {
	let top = 0;
	for (let i = from; i < s.nodes.length; i++)
		for (let j = i; j <= s.nodes.length; j++) {
			const p = pieceBetween(s, rules, i, j);
			if (p) top = Math.max(top, p.chance + byTrying(s, j + 1));
		}
	return top;
}

export async function benchBench(app: DemoApp, tell: (line?: string) => void, ms: (n: number) => string): Promise<void> {
	tell();
	tell('## The bench');
	tell();
	tell('| what | median |');
	tell('| --- | --- |');
	const long = stem(400, 2);
	const short = stem(32, 2);
	tell(`| best cuts along a stem of ${long.nodes.length} nodes | ${ms(time(() => void planStem(long, rules), 20))} |`);
	const ours = time(() => void planStem(short, rules), 500);
	const theirs = time(() => void byTrying(short, 2), 5);
	tell(
		`| the same with ${short.nodes.length} nodes | ${ms(ours)}; all choices tried ${ms(theirs)}, **${Math.round(theirs / ours).toLocaleString('en')} times as long** |`
	);
	// Twenty counts, each two more rooted and one dead now and then.
	let left = 60;
	const epochs = Array.from({ length: 20 }, (_, i): Epoch => {
		const dead = i % 4 === 3 ? 1 : 0;
		left -= 2 + dead;
		const [from, by] = [i ? 3 + 3 * i : 0, 6 + 3 * i];
		return {
			from,
			died: dead ? [{ after: from, by, count: dead }] : [],
			rooted: [{ by, count: 2 }],
			left,
			seen: by,
			counted: true
		};
	});
	tell(
		`| chance rooted after 20 looks | ${ms(time(() => void rootingAfter({ chance: { alpha: 11, beta: 3, rho: 0.1 }, days: [14, 24, 45] }, { epochs, signs: [] }).rooted(60), 50))} |`
	);

	const sheet = sheetSchema.parse((parse(readFileSync('handbook/labels.yaml', 'utf8')) as unknown[])[0]);
	const labels = Array.from({ length: 500 }, (_, i) => ({
		code: '32T-V',
		qr: `http://192.168.1.20:5273/g/three-alders/c/${i}`,
		name: 'Border penstemon',
		botanical: 'Penstemon hartwegii hybrids',
		line: 'soft tip cutting · 24 · 5 Sept 2026'
	}));
	const taken: number[] = [];
	let size = 0;
	for (let i = 0; i < 5; i++) {
		const start = performance.now();
		size = (await labelsPdf({ sheet, labels, skip: 0, shift: [0, 0], lines: true, fonts: null })).length;
		taken.push(performance.now() - start);
	}
	tell(`| 500 different labels to PDF | ${(median(taken) / 1000).toFixed(2)} s, ${(size / 1e6).toFixed(2)} MB |`);

	await fillGarden(app.databaseUrl, { growing: 500 });
	for (const path of ['bench', 'bench?by=place']) {
		const served: number[] = [];
		for (let i = 0; i < 12; i++) {
			const start = performance.now();
			await (await fetch(`${app.url}/g/three-alders/${path}`)).text();
			if (i >= 4) served.push(performance.now() - start);
		}
		const browser = await chromium.launch(CHROMIUM);
		const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
		const paints: number[] = [];
		for (let i = 0; i < 5; i++) {
			await page.goto(`${app.url}/g/three-alders/${path}`);
			await page.waitForLoadState('networkidle');
			paints.push(await page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0));
		}
		// A tap: to the other order and until it stands there.
		const start = performance.now();
		await page.getByRole('link', { name: path === 'bench' ? 'What stands where' : 'What asks first' }).click();
		await page.waitForURL(path === 'bench' ? /by=place/ : /bench$/);
		const tap = performance.now() - start;
		await browser.close();
		tell(
			`| ${path} with 500 batches: served | ${ms(median(served))}; first paint in Chromium ${ms(median(paints))}; a tap to the other order answered in ${ms(tap)} |`
		);
	}
}
