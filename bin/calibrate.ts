/** Counts how often what is promised is kept, and writes docs/calibration.md with its plot. Some minutes. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import * as echarts from 'echarts';
import { ROOT, say } from './lib.js';
import { foretell, keepPromises } from '../src/testing/calibrate.js';
import { allKinds } from '../src/testing/handbook.js';
import { keepJoint, told } from '../src/testing/joint.js';

const GARDENS = 400;
const RUNS = 64;
const BATCHES = 20_000;
const JOINT_GARDENS = 300;
const JOINT_RUNS = 40;

const kinds = allKinds();
const lines: string[] = [];
const tell = (line = '') => {
	lines.push(line);
	say(line);
};
const percent = (p: number) => `${(100 * p).toFixed(1)} %`;

tell('# Promises, counted');
tell();
tell(
	`Made by \`npm run calibrate\`. Gardens are invented in seven climates of both hemispheres; the true chances of a way, of each batch and of each year are drawn from the two-level model by the tests' own engine (src/testing/growIt.ts), which grows every piece day by day. Frost dates are drawn anew for each, so no year is one that the plan has seen. Half of the gardens have a record of 3 to 14 batches, from which the plan learns the way's mean and the correlation.`
);
tell();
tell(`## Wants: ${GARDENS} gardens × ways, up to ${RUNS} seasons each`);
tell();
tell('| asked | gardens | seasons | promised on average | kept | standard error |');
tell('| --- | --- | --- | --- | --- | --- |');
const promises = keepPromises(kinds, GARDENS, RUNS, 0.271828);
for (const confidence of [0.8, 0.9, 0.95]) {
	const list = promises.filter((p) => p.confidence === confidence);
	const runs = list.reduce((n, p) => n + p.runs, 0);
	const promised = list.reduce((s, p) => s + p.promised * p.runs, 0) / runs;
	const kept = list.reduce((s, p) => s + p.kept, 0) / runs;
	// Seasons of one garden go by one record and one way: the error is that of the gardens.
	const error = Math.sqrt(list.reduce((s, p) => s + (p.kept - p.promised * p.runs) ** 2, 0)) / runs;
	tell(
		`| ${percent(confidence)} | ${list.length} | ${runs.toLocaleString('en')} | ${percent(promised)} | **${percent(kept)}** | ${(100 * error).toFixed(1)} |`
	);
}
tell();
tell('Promised is a little more than asked because pieces are whole and days are tried by fours.');

tell();
tell(
	`## All wants of a garden together: ${JOINT_GARDENS} gardens of nine climates, two to five wants each, ${JOINT_RUNS} seasons each`
);
tell();
tell('One season and one chance of each way for all batches of a run. Little room, few plants and little time are among them.');
tell();
tell('| wants | how many | promised on average | kept |');
tell('| --- | --- | --- | --- |');
const joint = keepJoint(kinds, JOINT_GARDENS, JOINT_RUNS, 0.2718, null);
const asAsked = joint.filter((k) => k.promised >= 0.895 && k.promised < 0.93);
for (const [name, list] of [
	['as sure as asked (90 %)', asAsked],
	['… by one batch', asAsked.filter((k) => k.batches === 1)],
	['… by several', asAsked.filter((k) => k.batches > 1)],
	['short of it', joint.filter((k) => k.promised < 0.895)]
] as const) {
	const t = told(list);
	tell(`| ${name} | ${t.wants} | ${percent(t.promised)} | **${percent(t.kept)}** |`);
}

const { rooted, ranks } = foretell(kinds, BATCHES, 0.314159);
tell();
tell(
	`## Is it rooted yet: ${BATCHES.toLocaleString('en')} batches looked at once and told some days later, and as many that nobody looked at`
);
tell();
tell('| told | pieces | had rooted |');
tell('| --- | --- | --- |');
for (const b of rooted)
	if (b.pieces > 0) tell(`| ${percent(b.told / b.pieces)} | ${b.pieces.toLocaleString('en')} | ${percent(b.came / b.pieces)} |`);
const share = (from: number, to: number) => ranks.filter((r) => r >= from && r < to).length / ranks.length;
tell();
tell('## How many will be planted');
tell();
tell(
	`Of ${ranks.length.toLocaleString('en')} forecasts made at the look, the 90 % interval held **${percent(share(0.05, 0.95))}**; ${percent(share(0, 0.05))} came out lower, ${percent(share(0.95, 2))} higher.`
);
tell();
tell('![Told against come](calibration.svg)');
writeFileSync(join(ROOT, 'docs', 'calibration.md'), `${lines.join('\n')}\n`);

const chart = echarts.init(null, null, { renderer: 'svg', ssr: true, width: 720, height: 360 });
chart.setOption({
	animation: false,
	backgroundColor: '#ffffff',
	title: [
		{ text: 'Told 7 in 10: 7 in 10 have rooted', left: 20, top: 4, textStyle: { fontSize: 14 } },
		{ text: 'Planted counts lie in their forecasts evenly', left: 390, top: 4, textStyle: { fontSize: 14 } }
	],
	grid: [
		{ left: 50, top: 40, width: 280, height: 270 },
		{ left: 430, top: 40, width: 270, height: 270 }
	],
	xAxis: [
		{ type: 'value', min: 0, max: 1, name: 'told (across), came (up)', nameLocation: 'middle', nameGap: 26 },
		{
			type: 'category',
			gridIndex: 1,
			data: Array.from({ length: 20 }, (_, i) => (i * 0.05).toFixed(2)),
			name: 'rank in the forecast',
			nameLocation: 'middle',
			nameGap: 26
		}
	],
	yAxis: [
		{ type: 'value', min: 0, max: 1 },
		{ type: 'value', gridIndex: 1, axisLabel: { formatter: (v: number) => `${Math.round(v * 100)} %` } }
	],
	series: [
		{
			type: 'line',
			data: [
				[0, 0],
				[1, 1]
			],
			symbol: 'none',
			lineStyle: { type: 'dashed', color: '#8a9a92' }
		},
		{
			type: 'scatter',
			data: rooted.filter((b) => b.pieces > 50).map((b) => [b.told / b.pieces, b.came / b.pieces]),
			itemStyle: { color: '#1f4d3a' }
		},
		{
			type: 'bar',
			xAxisIndex: 1,
			yAxisIndex: 1,
			barWidth: '90%',
			itemStyle: { color: '#7ea8b8' },
			data: Array.from({ length: 20 }, (_, i) => share(i * 0.05, (i + 1) * 0.05))
		}
	]
});
writeFileSync(join(ROOT, 'docs', 'calibration.svg'), chart.renderToSVGString());
chart.dispose();
