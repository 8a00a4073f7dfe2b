/** Figures of the season: import, climate, windows, generator, and the round and strip of a full garden. */
import { chromium } from '@playwright/test';
import { randomLcg } from 'd3-random';
import jstat from 'jstat';
import { fillGarden } from './fillGarden.js';
import { CHROMIUM } from '../bin/demoApp.js';
import type { DemoApp } from '../bin/demoApp.js';
import { allKinds } from '../src/testing/handbook.js';
import { dayInYear, isoOf } from '../src/lib/core/dates.js';
import {
	climateOfRecord,
	fitGenerator,
	generate,
	madeModel,
	scenariosOf,
	WET_MM,
	windowOdds
} from '../src/lib/core/season/index.js';
import type { DailyRecord, GeneratorModel } from '../src/lib/core/season/index.js';
import { stationId, toDly } from '../src/lib/formats/ghcn.js';
import { readWeather } from '../src/lib/formats/readWeather.js';
import { median, time } from './time.js';

const { jStat } = jstat;
const AT = { latitude: 52, longitude: 15 };

/** The same model drawn with a statistics library's own samplers, day by day, seasonal curves looked up alike. */
function naive(m: GeneratorModel, days: number): number {
	let wet: 0 | 1 = 0;
	let x = 0;
	let y = 0;
	let sum = 0;
	for (let i = 0; i < days; i++) {
		const d = i % 365;
		wet = Math.random() < m.wetAfter[wet][d]! ? 1 : 0;
		const e = jStat.normal.sample(0, 1);
		const f = jStat.normal.sample(0, 1);
		[x, y] = [m.a[0] * x + m.a[1] * y + m.b[0] * e, m.a[2] * x + m.a[3] * y + m.b[2] * e + m.b[3] * f];
		const slow = jStat.normal.sample(0, 1);
		sum += m.low.mean[wet][d]! + m.low.sd[wet][d]! * x + m.high.mean[wet][d]! + m.high.sd[wet][d]! * y + 0.01 * slow;
		if (wet) sum += WET_MM + jStat.gamma.sample(m.shape[d]!, m.scale[d]!);
	}
	return sum;
}

export async function benchSeason(app: DemoApp, tell: (line?: string) => void, ms: (n: number) => string): Promise<void> {
	const model = madeModel({ ...AT, coldestC: -17, lastFrost: { doy: 125, sd: 10 }, firstFrost: { doy: 285, sd: 12 } });
	const record: DailyRecord = generate(model, randomLcg(0.3), dayInYear(1960, 1), 60 * 365 + 15);
	tell();
	tell('## Season');
	tell();
	tell('| what | median |');
	tell('| --- | --- |');

	const text = toDly(record, stationId('bench'));
	const read = time(() => void readWeather(text), 5);
	const found = readWeather(text);
	const tenths = (c: Float64Array) => [...c].map((v) => (Number.isNaN(v) ? null : Math.round(v * 10)));
	const start = performance.now();
	const answer = await fetch(`${app.url}/g/three-alders/weather/import`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({
			id: crypto.randomUUID(),
			name: 'bench',
			format: 'dly',
			first: isoOf(found.record.first),
			low: tenths(found.record.low),
			high: tenths(found.record.high),
			rain: tenths(found.record.rain)
		})
	});
	const stored = performance.now() - start;
	if (!answer.ok) throw new Error(await answer.text());
	const again = performance.now();
	await (await fetch(`${app.url}/g/three-alders/weather`)).text();
	const shown = performance.now() - again;
	tell(
		`| import of 60 years, GHCN-Daily fixed width (${(text.length / 1e6).toFixed(1)} MB): read ${ms(read)}, checked and stored ${ms(stored)}, climate reckoned anew and first shown ${ms(shown)} | **${((read + stored + shown) / 1000).toFixed(2)} s** |`
	);

	tell(
		`| climate of 60 years (normals, frosts, coldest nights, bud break) | ${ms(time(() => void climateOfRecord(record, AT), 15))} |`
	);
	const recordClimate = climateOfRecord(record, AT)!;
	tell(`| sixty scenarios of four years each | ${ms(time(() => void scenariosOf(record, recordClimate, 2026, null), 9))} |`);
	const kinds = allKinds();
	const ways = kinds.flatMap((kind) => kind.ways.map((w) => ({ kind, rule: w.window })));
	const sixty = Array.from({ length: 60 }, (_, i) => ways[i % ways.length]!);
	const windows = time(() => {
		const scenarios = scenariosOf(record, recordClimate, 2026, null);
		for (const { kind, rule } of sixty) windowOdds(rule, scenarios, recordClimate, kind).on(dayInYear(2026, 180));
	}, 7);
	tell(`| windows of 60 ways over 60 years, scenarios included | ${ms(windows)} |`);

	const fitted = fitGenerator(record);
	const DAYS = 365 * 300;
	const ours = time(() => void generate(fitted, randomLcg(0.5), 0, DAYS), 5);
	const theirs = time(() => void naive(fitted, DAYS), 5);
	tell(
		`| weather generator | ${Math.round(DAYS / ours).toLocaleString('en')} thousand days a second, **${(theirs / ours).toFixed(1)} times** as fast as the same model drawn with jStat's samplers |`
	);

	await fillGarden(app.databaseUrl, { growing: 60 });
	const frames = await stripFrames(app.url);
	tell(
		`| season strip dragged with 60 batches: time from frame to frame | median ${ms(frames.median)}, longest of ${frames.count} ${ms(frames.longest)} |`
	);
}

/** Drags the mark to and fro for three seconds and times the frames. */
async function stripFrames(url: string): Promise<{ median: number; longest: number; count: number }> {
	const browser = await chromium.launch(CHROMIUM);
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await page.goto(`${url}/g/three-alders/handbook/lavender`);
	await page.waitForLoadState('networkidle');
	const box = (await page.getByRole('slider', { name: 'Day shown on all screens' }).boundingBox())!;
	await page.mouse.move(box.x + 200, box.y + 40);
	await page.mouse.down();
	// As text: the loader of this file adds helpers to functions that the page does not know.
	await page.evaluate(`
		window.gaps = [];
		window.last = performance.now();
		requestAnimationFrame(function step(t) {
			window.gaps.push(t - window.last);
			window.last = t;
			requestAnimationFrame(step);
		});
	`);
	for (let i = 0; i < 180; i++) await page.mouse.move(box.x + 200 + 600 * Math.abs(Math.sin(i / 25)), box.y + 40);
	const gaps = await page.evaluate(() => (window as unknown as { gaps: number[] }).gaps.slice(2));
	await page.mouse.up();
	await browser.close();
	const longest = Math.max(...gaps);
	return { median: median(gaps), longest, count: gaps.length };
}
