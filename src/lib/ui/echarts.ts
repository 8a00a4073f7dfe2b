/** The parts of ECharts in use, and the one theme. */
import { LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, registerTheme, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { tone } from './tones.js';

use([LineChart, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent, SVGRenderer]);

const INK = tone('ink');
const FADED = tone('faded');
const RULE = tone('rule');
const axis = {
	axisLine: { lineStyle: { color: INK } },
	axisLabel: { color: FADED, fontSize: 13 },
	splitLine: { lineStyle: { color: RULE } },
	nameTextStyle: { color: FADED, fontSize: 13 }
};
registerTheme('surculus', {
	color: [tone('leaf'), tone('catkin-deep'), tone('frost'), tone('madder')],
	textStyle: { fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" },
	valueAxis: axis,
	timeAxis: axis,
	categoryAxis: axis,
	tooltip: { backgroundColor: tone('pane'), borderColor: tone('rule'), textStyle: { color: INK } },
	legend: { textStyle: { color: INK, fontSize: 13 } }
});

/** Whoever asked for less motion gets none. */
export const still = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

export function makeChart(box: HTMLElement) {
	return init(box, 'surculus', { renderer: 'svg' });
}
