/** The parts of ECharts in use, and the one theme. */
import { LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, registerTheme, use } from 'echarts/core';
import type { EChartsCoreOption } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { isoOf, sayDate } from '$lib/core/dates.js';
import { tone } from './tones.js';

/** What is drawn: plain data but for its tooltip, for it is drawn in a worker. */
export type ChartOption = EChartsCoreOption & { xAxis: object; series: readonly object[]; tooltip?: object };

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

/** Days are told as everywhere; the library would add the hour. */
const axisPointer = { label: { formatter: ({ value }: { value: unknown }) => sayDay(value) } };
const DAY_MS = 86_400_000;
const sayDay = (at: unknown): string => (typeof at === 'number' ? sayDate(isoOf(Math.floor(at / DAY_MS))) : String(at));

/** A chart that answers a pointer. It does not move: its picture stood there before. */
export function makeChart(box: HTMLElement, option: ChartOption): { dispose(): void } {
	const chart = init(box, 'surculus', { renderer: 'svg' });
	const days = (option.xAxis as { type?: string }).type === 'time';
	// It would lift the colour of what is pointed at, and cannot work out one that turns with the light: the line would go.
	const series = option.series.map((s) => ({ ...s, emphasis: { disabled: true } }));
	chart.setOption({ ...option, series, tooltip: { ...option.tooltip, ...(days ? { axisPointer } : {}) }, animation: false });
	return chart;
}

/** Its picture, as SVG. */
export function pictureOf(option: ChartOption, width: number, height: number): string {
	const chart = init(null, 'surculus', { renderer: 'svg', ssr: true, width, height });
	chart.setOption({ ...option, animation: false });
	const svg = chart.renderToSVGString();
	chart.dispose();
	// Its styles are for a pointer: the page lets none in that come later, and the living chart has its own. That one also
	// counts its ids from 0, as this one did.
	return svg.replace(/<style[\s\S]*<\/style>/, '').replace(/\bzr\d+-/g, 'picture-$&');
}
