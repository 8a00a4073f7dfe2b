/** The two charts of the weather: the year as it was, and the days ahead. */
import type { ChartOption } from '$lib/ui/echarts.js';
import { sayDate } from '$lib/core/dates.js';
import { tone } from '$lib/ui/tones.js';
import type { PageData } from './$types';

type View = PageData['view'];

/** Days and nights since a year ago against the usual, and the forecast’s spread. `shown` turns °C into what the garden reads. */
export function yearOption(v: View, shown: (c: number) => number, degrees: string): ChartOption {
	const line = (name: string, color: string, of: (d: (typeof v.days)[number]) => number | null, more = {}) => ({
		name,
		type: 'line',
		showSymbol: false,
		data: v.days.map((d) => [d.day, of(d) === null ? null : shown(of(d)!)]),
		lineStyle: { color, width: 1.2 },
		itemStyle: { color },
		...more
	});
	const band = (of: 'low' | 'high', color: string) => [
		{
			name: `${of} p10`,
			type: 'line',
			stack: of,
			symbol: 'none',
			lineStyle: { opacity: 0 },
			data: v.fan.map((d) => [d.day, shown(d[of].p10)]),
			tooltip: { show: false },
			stackStrategy: 'all'
		},
		{
			name: `${of} span`,
			type: 'line',
			stack: of,
			symbol: 'none',
			lineStyle: { opacity: 0 },
			areaStyle: { color, opacity: 0.35 },
			data: v.fan.map((d) => [d.day, shown(d[of].p90) - shown(d[of].p10)]),
			tooltip: { show: false },
			stackStrategy: 'all'
		}
	];
	return {
		grid: { left: 44, right: 12, top: 30, bottom: 28 },
		legend: { top: 0, data: ['highest', 'lowest', 'usual'] },
		xAxis: { type: 'time' },
		yAxis: { type: 'value', name: degrees },
		tooltip: { trigger: 'axis' },
		series: [
			line('usual', tone('faded'), (d) => d.normalHigh, { lineStyle: { color: tone('faded'), width: 1.5, type: 'dashed' } }),
			line('usual', tone('faded'), (d) => d.normalLow, { lineStyle: { color: tone('faded'), width: 1.5, type: 'dashed' } }),
			line('highest', tone('catkin-deep'), (d) => d.high),
			line('lowest', tone('frost'), (d) => d.low, {
				markLine: {
					silent: true,
					symbol: 'none',
					label: { show: false },
					data: [{ yAxis: shown(0) }],
					lineStyle: { color: tone('madder') }
				}
			}),
			...band('low', tone('frost')),
			...band('high', tone('catkin-deep'))
		]
	};
}

/** The next ten days: the likely, and eight in ten. `shown` turns °C into what the garden reads. */
export function fanOption(v: View, shown: (c: number) => number, degrees: string): ChartOption {
	const dates = v.fan.map((d) => sayDate(d.day, false));
	const of = (c: 'low' | 'high', color: string, name: string) => [
		{
			name: `${c}0`,
			type: 'line',
			stack: c,
			symbol: 'none',
			lineStyle: { opacity: 0 },
			data: v.fan.map((d) => shown(d[c].p10)),
			stackStrategy: 'all'
		},
		{
			name: `${c}1`,
			type: 'line',
			stack: c,
			symbol: 'none',
			lineStyle: { opacity: 0 },
			areaStyle: { color, opacity: 0.3 },
			data: v.fan.map((d) => shown(d[c].p90) - shown(d[c].p10)),
			stackStrategy: 'all'
		},
		{
			name,
			type: 'line',
			symbolSize: 6,
			data: v.fan.map((d) => shown(d[c].p50)),
			lineStyle: { color, width: 2 },
			itemStyle: { color }
		}
	];
	return {
		grid: { left: 44, right: 12, top: 30, bottom: 28 },
		legend: { top: 0, data: ['highest', 'lowest'] },
		xAxis: { type: 'category', data: dates },
		yAxis: { type: 'value', name: degrees },
		series: [
			...of('high', tone('catkin-deep'), 'highest'),
			...of('low', tone('frost'), 'lowest').map((s) =>
				s.name === 'lowest'
					? {
							...s,
							markLine: {
								silent: true,
								symbol: 'none',
								label: { show: false },
								data: [{ yAxis: shown(0) }],
								lineStyle: { color: tone('madder') }
							}
						}
					: s
			)
		]
	};
}
