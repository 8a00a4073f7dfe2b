import { describe, expect, it } from 'vitest';
import { pictureOf } from './echarts.js';

const option = {
	grid: { left: 40, right: 8, top: 8, bottom: 24 },
	xAxis: { type: 'time' },
	yAxis: { type: 'value', min: 0, max: 100, axisLabel: { formatter: '{value} %' } },
	series: [
		{
			type: 'line',
			showSymbol: false,
			data: [
				['2026-09-01', 0],
				['2026-09-11', 50],
				['2026-09-21', 100]
			]
		}
	]
};

describe('a chart drawn as a picture', () => {
	const svg = pictureOf(option, 348, 132);

	it('is as wide and high as it was asked for, and says its axis', () => {
		expect(svg).toMatch(/^<svg width="348" height="132"/);
		for (const mark of ['0 %', '40 %', '100 %']) expect(svg).toContain(`>${mark}</text>`);
	});
	it('draws the line through its points: the ground is 100 px high, and days are even', () => {
		const [first, middle, last] = svg
			.match(/d="M([\d.]+) 108L([\d.]+) 58L([\d.]+) 8"/)!
			.slice(1)
			.map(Number);
		expect(last! - middle!).toBeCloseTo(middle! - first!, 0);
	});
	it('carries no styles, which the page would refuse, and no id of a living chart', () => {
		expect(svg).not.toContain('<style');
		const ids = [...svg.matchAll(/id="([^"]+)"/g)].map((m) => m[1]!);
		expect(ids.length).toBeGreaterThan(0);
		for (const id of ids) expect(id).toMatch(/^picture-/);
		for (const m of svg.matchAll(/url\(#([^)]+)\)/g)) expect(ids).toContain(m[1]);
	});
});
