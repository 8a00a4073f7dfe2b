/** Any CSV with a date and temperatures or rain: columns guessed, set right by the person, then read. */
import Papa from 'papaparse';
import { daysOf } from '../core/season/record.js';
import type { DailyRecord } from '../core/season/record.js';
import { isoOf } from '../core/dates.js';
import { toCelsius } from '../core/units/convert.js';
import { dayOf } from './ghcn.js';
import type { Element, WeatherGatherer } from './weatherFile.js';

export interface ColumnChoice {
	date: number;
	low: number | null;
	high: number | null;
	rain: number | null;
	header: boolean;
	order: 'ymd' | 'dmy' | 'mdy';
	temperature: 'C' | 'F';
	depth: 'mm' | 'in';
}

const NAMES: Record<Element | 'date', RegExp> = {
	date: /^(date|day|datum|fecha|data|dia|jour|tag|time|timestamp)\b|date$/i,
	low: /(^|[^a-z])(t?_?min(imum)?|low(est)?|tn|tmin|temp_?min|temperature_?min)([^a-z]|$)/i,
	high: /(^|[^a-z])(t?_?max(imum)?|high(est)?|tx|tmax|temp_?max|temperature_?max)([^a-z]|$)/i,
	rain: /rain|prcp|precip|niederschlag|pluie|lluvia|opad|\brr\b/i
};

const MM_PER_INCH = 25.4;

/** A date as people and instruments write it. */
const PARTS = /^\s*"?(\d{1,4})[-./ ](\d{1,2})[-./ ](\d{1,4})(?:[T ].*)?"?\s*$/;
const PACKED = /^\s*(\d{4})(\d{2})(\d{2})\s*$/;

export function readDate(text: string, order: ColumnChoice['order']): number | null {
	const packed = PACKED.exec(text);
	if (packed) return dayOf(Number(packed[1]), Number(packed[2]), Number(packed[3]));
	const m = PARTS.exec(text);
	if (!m) return null;
	const [a, b, c] = [Number(m[1]), Number(m[2]), Number(m[3])];
	// A year of four figures in front leaves no doubt; a year of two is not guessed at.
	if (m[1]!.length === 4) return dayOf(a, b, c);
	if (m[3]!.length !== 4) return null;
	return order === 'mdy' ? dayOf(c, a, b) : dayOf(c, b, a);
}

/** A number with a point or a comma; null for a blank or a word for nothing; NaN for what is no number. */
export function readFigure(text: string): number | null {
	const t = text.trim().replace('−', '-').replace(',', '.');
	if (t === '' || /^(na|n\/a|nan|null|none|-|--|m|-9999(\.0+)?|9999(\.0+)?)$/i.test(t)) return null;
	if (/^(t|trace)$/i.test(t)) return 0;
	return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(t) ? Number(t) : Number.NaN;
}

/** A first guess of what the columns are, from their names or, without names, from what stands in them. */
export function guessColumns(rows: readonly (readonly string[])[]): ColumnChoice {
	const first = rows[0] ?? [];
	const header = !first.some((c) => readDate(c, 'dmy') !== null || readDate(c, 'mdy') !== null);
	const body = rows.slice(header ? 1 : 0, 60);
	const named = (re: RegExp) => (header ? first.findIndex((c) => re.test(c.trim().replace(/[()[\]°]/g, ' '))) : -1);
	const dated = first.findIndex((_, i) => {
		const cells = body.map((r) => r[i] ?? '').filter((c) => c.trim() !== '');
		return cells.length > 0 && cells.every((c) => readDate(c, 'dmy') !== null || readDate(c, 'mdy') !== null);
	});
	const date = dated >= 0 ? dated : Math.max(0, named(NAMES.date));
	const dates = body.map((r) => PARTS.exec(r[date] ?? '')).filter((m) => m !== null);
	const order = dates.some((m) => m[1]!.length === 4) ? 'ymd' : dates.some((m) => Number(m[2]) > 12) ? 'mdy' : 'dmy';
	let [low, high, rain] = [named(NAMES.low), named(NAMES.high), named(NAMES.rain)];
	if (low < 0 && high < 0) {
		// No names: of the columns of numbers, the two that lie most apart in order are lowest and highest.
		const numeric = first
			.map((_, i) => i)
			.filter(
				(i) =>
					i !== date &&
					body.every((r) => !Number.isNaN(readFigure(r[i] ?? '') ?? 0)) &&
					body.some((r) => readFigure(r[i] ?? '') !== null)
			);
		const mean = (i: number) => body.reduce((s, r) => s + (readFigure(r[i] ?? '') ?? 0), 0) / Math.max(1, body.length);
		const rising = numeric.slice(0, 2).sort((a, b) => mean(a) - mean(b));
		low = rising[0] ?? -1;
		high = rising[1] ?? -1;
		if (rain < 0) rain = numeric[2] ?? -1;
	}
	const orNull = (i: number) => (i < 0 ? null : i);
	const label = (i: number) => (header && i >= 0 ? (first[i] ?? '') : '');
	return {
		date,
		low: orNull(low),
		high: orNull(high),
		rain: orNull(rain),
		header,
		order,
		temperature: /(^|[^a-z])f(ahrenheit)?([^a-z]|$)|°f/i.test(label(low) + ' ' + label(high)) ? 'F' : 'C',
		depth: /inch|\bin\b/i.test(label(rain)) ? 'in' : 'mm'
	};
}

/** One row of figures of one day. A row with anything that is no figure is left out whole. */
export function readCsvRow(cells: readonly string[], n: number, choice: ColumnChoice, into: WeatherGatherer): void {
	if (cells.every((c) => c.trim() === '') || (choice.header && n === 1)) return;
	const text = cells.join(',');
	const day = readDate(cells[choice.date] ?? '', choice.order);
	if (day === null) return into.trouble(n, text, `“${(cells[choice.date] ?? '').slice(0, 30)}” is not a date.`);
	const found: [Element, number][] = [];
	for (const what of ['low', 'high', 'rain'] as const) {
		const at = choice[what];
		if (at === null) continue;
		const v = readFigure(cells[at] ?? '');
		if (v === null) continue;
		if (Number.isNaN(v)) return into.trouble(n, text, `“${(cells[at] ?? '').slice(0, 30)}” is not a number.`);
		const inOurs =
			what === 'rain' ? (choice.depth === 'in' ? v * MM_PER_INCH : v) : choice.temperature === 'F' ? toCelsius(v) : v;
		// °F read as °C may go past what can be; that is asked about as a whole, so only the wildest are errors here.
		if (!into.possible(what, inOurs) && !(choice.temperature === 'C' && what !== 'rain' && v > -90 && v < 135))
			return into.trouble(n, text, `${v} cannot be.`);
		found.push([what, inOurs]);
	}
	for (const [what, v] of found) into.add('', day, what, v);
}

/** A record as CSV: ISO dates, °C and mm, blanks for what is not known. */
export function toWeatherCsv(r: DailyRecord): string {
	return (
		Papa.unparse(
			daysOf(r).map((d) => ({ date: isoOf(d.day), low_c: d.low ?? '', high_c: d.high ?? '', rain_mm: d.rain ?? '' })),
			{ newline: '\r\n' }
		) + '\r\n'
	);
}
