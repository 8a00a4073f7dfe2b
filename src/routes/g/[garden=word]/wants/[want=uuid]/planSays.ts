/** How a plan is told: in goes, in odds against those asked for, as a curve over its days. */
import { isoOf, sayDate } from '$lib/core/dates.js';
import { notQuite, sayDoes } from '$lib/core/odds/words.js';
import type { PageData } from './$types';

export type PlannedWay = NonNullable<NonNullable<PageData['planned']>['plan']>['ways'][number];

export const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** "92 struck in 3 goes, the last on 12 July". */
export const goes = (f: { on: number; strike: number; flushes: readonly unknown[] }, said = `${f.strike} `): string =>
	`${said}struck ${f.flushes.length > 1 ? `in ${f.flushes.length} goes, as the plant grows back, the last ` : ''}on ${sayDate(isoOf(f.on))}`;

/** Odds that read like those asked for, and are less, are told as less. */
export const sayAll = (odds: number, target: number, confidence: number): string =>
	`${notQuite(odds, confidence)}${sayDoes(odds, 'you', 'get', `all ${target}`)}`;

/** How many it takes by the day of striking, against what the stock can give. */
export const curveOf = (w: PlannedWay) => ({
	grid: { left: 44, right: 16, top: 28, bottom: 28 },
	legend: { top: 0, right: 0, itemHeight: 8 },
	tooltip: { trigger: 'axis' },
	xAxis: { type: 'time', axisLabel: { hideOverlap: true, formatter: '{d} {MMM}' } },
	yAxis: { type: 'value', name: w.pieces[1], min: 0, minInterval: 1 },
	series: [
		{
			name: 'to strike',
			type: 'line',
			showSymbol: false,
			step: 'end',
			lineStyle: { width: 3 },
			data: w.curve.map((c) => [isoOf(c.on), c.strike])
		},
		{
			name: 'the stock can give',
			type: 'line',
			showSymbol: false,
			lineStyle: { width: 2, type: 'dashed' },
			data: w.curve.map((c) => [isoOf(c.on), c.canGive])
		}
	]
});

export function curveTitle(w: PlannedWay): string {
	const able = w.curve.filter((c) => c.strike !== null && c.strike <= c.canGive);
	const [a, b] = [able[0], able.at(-1)];
	if (!a || !b) return 'On no day is it enough';
	return `Struck on ${sayDate(isoOf(a.on))} it takes ${a.strike}; on the last safe day, ${sayDate(isoOf(b.on))}, ${b.strike}`;
}
