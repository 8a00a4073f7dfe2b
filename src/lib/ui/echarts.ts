/** The parts of ECharts in use, and the one theme. */
import { LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, registerTheme, use } from 'echarts/core';
import type { EChartsCoreOption } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { tone } from './tones.js';

/** What is drawn: plain data but for its tooltip, for it is drawn in a worker. */
export type ChartOption = EChartsCoreOption & { tooltip?: unknown };

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

/** A chart that answers a pointer. It does not move: its picture stood there before. */
export function makeChart(box: HTMLElement, option: ChartOption): { dispose(): void } {
	const chart = init(box, 'surculus', { renderer: 'svg' });
	chart.setOption({ ...option, animation: false });
	return chart;
}

/** Its picture, as SVG. */
export function pictureOf(option: ChartOption, width: number, height: number): string {
	const chart = init(null, 'surculus', { renderer: 'svg', ssr: true, width, height });
	chart.setOption({ ...option, animation: false });
	const svg = chart.renderToSVGString();
	chart.dispose();
	// What changes under a pointer: the page lets no styles in that came later, and the living chart has its own.
	return svg.replace(/<style[\s\S]*<\/style>/, '');
}
