/** The parts of ECharts in use, and the one theme. */
import { LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, registerTheme, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([LineChart, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent, SVGRenderer]);

const INK = '#14261e';
const FADED = '#4d6157';
const RULE = '#cbd9cf';
const axis = {
	axisLine: { lineStyle: { color: INK } },
	axisLabel: { color: FADED, fontSize: 13 },
	splitLine: { lineStyle: { color: RULE } },
	nameTextStyle: { color: FADED, fontSize: 13 }
};
registerTheme('surculus', {
	color: ['#2c6e4f', '#7a5f00', '#2f6690', '#9b2335'],
	textStyle: { fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" },
	valueAxis: axis,
	timeAxis: axis,
	categoryAxis: axis,
	legend: { textStyle: { color: INK, fontSize: 13 } }
});

const still = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

export function makeChart(box: HTMLElement) {
	const chart = init(box, 'surculus', { renderer: 'svg' });
	if (still()) chart.setOption({ animation: false });
	return chart;
}
