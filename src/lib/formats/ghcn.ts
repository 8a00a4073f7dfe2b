/**
 * GHCN-Daily of NOAA's National Centers for Environmental Information, in its two published layouts:
 * fixed width by station (readme.txt, section III: ID 1–11, YEAR 12–15, MONTH 16–17, ELEMENT 18–21,
 * then 31 times VALUE of 5, MFLAG, QFLAG, SFLAG) and CSV by station or year (readme-by_station.txt:
 * ID, YYYYMMDD, ELEMENT, VALUE, MFLAG, QFLAG, SFLAG, time). Temperatures are tenths of °C, rain tenths
 * of mm, −9999 is missing, any quality flag means that the figure failed a check.
 */
import type { DayNumber } from '../core/dates.js';
import { daysOf } from '../core/season/record.js';
import type { DailyRecord } from '../core/season/record.js';
import type { Element, WeatherGatherer } from './weatherFile.js';

const ELEMENTS: Record<string, Element> = { TMIN: 'low', TMAX: 'high', PRCP: 'rain' };
const MISSING = -9999;
const ID = /^[A-Z]{2}[A-Z0-9_-]{9}$/i;
const DAYS_IN_LINE = 31;

export const looksLikeDly = (line: string): boolean => /^[A-Z]{2}[A-Z0-9_-]{9}\d{6}[A-Z0-9]{4}[ -]/i.test(line);
export const looksLikeGhcnCsv = (cells: readonly string[]): boolean =>
	cells.length >= 4 && ID.test(cells[0]!.trim()) && /^\d{8}$/.test(cells[1]!.trim()) && /^[A-Z0-9]{4}$/i.test(cells[2]!.trim());

/** Day of YYYY, MM, DD; null when there is no such day. Plain arithmetic: a file asks it a hundred thousand times. */
export function dayOf(year: number, month: number, day: number): DayNumber | null {
	if (!(year >= 1700 && year <= 2199 && month >= 1 && month <= 12 && day >= 1 && day <= 31)) return null;
	const ms = Date.UTC(year, month - 1, day);
	return new Date(ms).getUTCDate() === day ? ms / 86_400_000 : null;
}

/** One line of a .dly file: one element of one month. */
export function readDlyLine(line: string, n: number, into: WeatherGatherer): void {
	if (line.trim() === '') return;
	const id = line.slice(0, 11);
	const year = Number(line.slice(11, 15));
	const month = Number(line.slice(15, 17));
	if (!ID.test(id) || !/^\d{6}$/.test(line.slice(11, 17)) || dayOf(year, month, 1) === null)
		return into.trouble(n, line, 'Not a line of a station’s month.');
	const what = ELEMENTS[line.slice(17, 21)];
	if (!what) return;
	// Some tools strip the blanks at a line's end: what is cut off then is the flags of the last day.
	if (line.length < 21 + 8 * (DAYS_IN_LINE - 1) + 5) return into.trouble(n, line, 'The line ends before its month does.');
	const found: [DayNumber, number][] = [];
	let flags = 0;
	for (let d = 0; d < DAYS_IN_LINE; d++) {
		const at = 21 + 8 * d;
		const text = line.slice(at, at + 5);
		const value = Number(text);
		if (text.trim() === '' || !Number.isInteger(value)) return into.trouble(n, line, `Day ${d + 1} is no number: “${text}”.`);
		if (value === MISSING) continue;
		if ((line[at + 6] ?? ' ') !== ' ') {
			flags++;
			continue;
		}
		const day = dayOf(year, month, d + 1);
		if (day === null) return into.trouble(n, line, `${year}-${month} has no day ${d + 1}, yet it has a figure.`);
		if (!into.possible(what, value / 10)) return into.trouble(n, line, `${value / 10} cannot be, on day ${d + 1}.`);
		found.push([day, value / 10]);
	}
	// A line with one bad day is wholly left out: none of it can be trusted to stand where it should.
	for (let i = 0; i < flags; i++) into.flag();
	for (const [day, value] of found) into.add(id, day, what, value);
}

/** One row of a by-station or by-year CSV: one element of one day. */
export function readGhcnRow(cells: readonly string[], n: number, into: WeatherGatherer): void {
	const [id, date, element, value, , quality] = cells.map((c) => c.trim());
	if (!id && !date) return;
	if (n === 1 && !/^\d{8}$/.test(date ?? '')) return;
	if (!ID.test(id!) || !/^\d{8}$/.test(date ?? ''))
		return into.trouble(n, cells.join(','), 'Not a station, a date and an element.');
	const what = ELEMENTS[element ?? ''];
	if (!what) return;
	const day = dayOf(Number(date!.slice(0, 4)), Number(date!.slice(4, 6)), Number(date!.slice(6)));
	if (day === null) return into.trouble(n, cells.join(','), `There is no day ${date}.`);
	if (!/^-?\d+$/.test(value ?? '')) return into.trouble(n, cells.join(','), `“${value ?? ''}” is no whole number of tenths.`);
	const v = Number(value);
	if (v === MISSING) return;
	if (quality) return into.flag();
	if (!into.possible(what, v / 10)) return into.trouble(n, cells.join(','), `${v / 10} cannot be.`);
	into.add(id!, day, what, v / 10);
}

const BACK: [Element, string][] = [
	['high', 'TMAX'],
	['low', 'TMIN'],
	['rain', 'PRCP']
];

/** An eleven-character station name that says the record is a garden's own. */
export const stationId = (slug: string): string =>
	`XX${(slug.replace(/[^a-z0-9]/gi, '').toUpperCase() + '_________').slice(0, 9)}`;

/** A record as a .dly file, months in order, elements as the published files have them. */
export function toDly(r: DailyRecord, id: string): string {
	const months = new Map<string, Map<string, (number | null)[]>>();
	for (const d of daysOf(r)) {
		const iso = new Date(d.day * 86_400_000).toISOString();
		const month = iso.slice(0, 4) + iso.slice(5, 7);
		let elements = months.get(month);
		if (!elements) months.set(month, (elements = new Map()));
		for (const [what, name] of BACK) {
			if (d[what] === null) continue;
			let days = elements.get(name);
			if (!days) elements.set(name, (days = new Array<number | null>(DAYS_IN_LINE).fill(null)));
			days[Number(iso.slice(8, 10)) - 1] = Math.round(d[what] * 10);
		}
	}
	const lines: string[] = [];
	for (const [month, elements] of months)
		for (const [, name] of BACK) {
			const days = elements.get(name);
			if (days) lines.push(id + month + name + days.map((v) => String(v ?? MISSING).padStart(5) + '   ').join(''));
		}
	return lines.join('\n') + '\n';
}

/** A record as a by-station CSV. */
export function toGhcnCsv(r: DailyRecord, id: string): string {
	const rows: string[] = [];
	for (const d of daysOf(r)) {
		const date = new Date(d.day * 86_400_000).toISOString().slice(0, 10).replaceAll('-', '');
		for (const [what, name] of BACK) if (d[what] !== null) rows.push(`${id},${date},${name},${Math.round(d[what] * 10)},,,,`);
	}
	return rows.join('\n') + '\n';
}
