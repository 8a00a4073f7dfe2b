/** Weather files in and out: the published layouts of GHCN-Daily, and CSVs as people have them. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber, isoOf } from '../core/dates.js';
import { daysOf, recordOfDays } from '../core/season/record.js';
import { toDly, toGhcnCsv, stationId } from './ghcn.js';
import { readWeather, sampleWeather, WeatherReader } from './readWeather.js';
import { toWeatherCsv } from './weatherCsv.js';
import { VEGA_DATA, vegaCity } from '../../testing/vegaWeather.js';

/** A line as readme.txt section III lays it out: value in 5, then MFLAG, QFLAG, SFLAG, thirty-one times. */
const dly = (element: string, values: Record<number, string>, month = '201502') =>
	`XX000000001${month}${element}` + Array.from({ length: 31 }, (_, d) => values[d + 1] ?? '-9999   ').join('');

describe('GHCN-Daily', () => {
	it('reads fixed-width lines by their columns: tenths, missing days, quality flags', () => {
		const text = [
			dly('TMAX', { 1: '  117  S', 2: '   -6  S', 3: '  250 GS' }),
			dly('TMIN', { 1: '  -22  S', 2: ' -105  S', 3: '   10  S' }),
			dly('PRCP', { 1: '    0T S', 2: '  254  S' }),
			dly('SNOW', { 1: '   30  S' })
		].join('\n');
		const found = readWeather(text);
		expect(found.sample.layout).toBe('dly');
		expect(daysOf(found.record)).toEqual([
			{ day: dayNumber('2015-02-01'), low: -2.2, high: 11.7, rain: 0 },
			{ day: dayNumber('2015-02-02'), low: -10.5, high: -0.6, rain: 25.4 },
			{ day: dayNumber('2015-02-03'), low: 1, high: null, rain: null }
		]);
		expect(found.flagged).toBe(1);
		expect(found.badCount).toBe(0);
	});

	it('reads by-station and by-year rows, of the station asked for', () => {
		const rows = [
			'XX000000001,20150201,TMAX,117,,,S,0700',
			'XX000000001,20150201,TMIN,-22,,,S,',
			'XX000000001,20150201,PRCP,5,,,S',
			'XX000000001,20150202,TMIN,-9999,,,S,',
			'XX000000001,20150202,TMAX,300,,I,S,',
			'XX000000001,20150202,AWND,31,,,S,',
			'XX000000002,20150201,TMIN,-80,,,S,'
		];
		const found = readWeather(rows.join('\n'));
		expect(found.sample.layout).toBe('ghcn-csv');
		expect(found.station).toBe('XX000000001');
		expect(daysOf(found.record)).toEqual([{ day: dayNumber('2015-02-01'), low: -2.2, high: 11.7, rain: 0.5 }]);
		expect(found.flagged).toBe(1);
		const other = readWeather(
			['ID,DATE,ELEMENT,DATA_VALUE,M_FLAG,Q_FLAG,S_FLAG,OBS_TIME', ...rows].join('\n'),
			undefined,
			'XX000000002'
		);
		expect(daysOf(other.record)[0]!.low).toBe(-8);
		expect(other.stations).toHaveLength(2);
	});

	it('leaves bad lines out whole and tells their number', () => {
		const text = [
			dly('TMIN', { 1: '   10  S' }),
			dly('TMIN', { 1: '   1x  S', 2: '   20  S' }, '201503'),
			dly('TMIN', { 30: '   10  S' }),
			dly('TMAX', { 1: ' 9000  S' }, '201504'),
			'XX000000001201505TMIN   10  S',
			'nonsense'
		].join('\r\n');
		const found = readWeather(text);
		expect(daysOf(found.record)).toHaveLength(1);
		expect(found.bad.map((b) => b.line)).toEqual([2, 3, 4, 5, 6]);
		const rows = readWeather(
			['XX000000001,20150201,TMIN,12,,,S,', 'XX000000001,20150230,TMIN,12,,,S,', 'XX000000001,20150203,TMIN,1.2,,,S,'].join('\n')
		);
		expect(rows.bad.map((b) => b.line)).toEqual([2, 3]);
		expect(rows.days).toBe(1);
	});

	it('what goes out in any layout comes back the same', () => {
		const tenth = (least: number, most: number) => fc.option(fc.integer({ min: least, max: most }).map((n) => n / 10));
		const day = fc.record({
			day: fc.integer({ min: dayNumber('1963-01-01'), max: dayNumber('2026-12-31') }),
			low: tenth(-300, 100),
			high: tenth(110, 400),
			rain: tenth(0, 900)
		});
		fc.assert(
			fc.property(fc.uniqueArray(day, { selector: (d) => d.day, minLength: 1, maxLength: 40 }), (days) => {
				const known = days.filter((d) => d.low !== null || d.high !== null || d.rain !== null);
				fc.pre(known.some((d) => d.low !== null));
				const r = recordOfDays(known);
				const id = stationId('three-alders');
				expect(id).toHaveLength(11);
				for (const text of [toDly(r, id), toGhcnCsv(r, id), toWeatherCsv(r)]) {
					const back = readWeather(text);
					expect(back.badCount).toBe(0);
					expect(daysOf(back.record)).toEqual(daysOf(r));
				}
			})
		);
	});

	it('each line of a .dly file that goes out has the 269 columns of the readme', () => {
		const r = recordOfDays([{ day: dayNumber('2024-02-29'), low: -12.3, high: 4, rain: null }]);
		const lines = toDly(r, stationId('a')).split('\n').slice(0, -1);
		expect(lines.map((l) => l.length)).toEqual([269, 269]);
		expect(lines[0]!.slice(21 + 28 * 8, 26 + 28 * 8)).toBe('   40');
		expect(lines[1]!.slice(17, 21)).toBe('TMIN');
	});

	it('text in pieces, cut anywhere, is read as a whole', () => {
		const days = vegaCity('Seattle').map((d) => ({ day: dayNumber(d.date), low: d.low, high: d.high, rain: d.rain }));
		const text = toDly(recordOfDays(days), stationId('sea'));
		const sample = sampleWeather(text.slice(0, 5000));
		const reader = new WeatherReader(sample);
		for (let i = 0; i < text.length; i += 997) reader.take(text.slice(i, i + 997));
		expect(daysOf(reader.finish().record)).toEqual(daysOf(recordOfDays(days)));
	});
});

describe('any CSV', () => {
	it('an open dataset is read without a word from the person, figure for figure', () => {
		const found = readWeather(readFileSync(join(VEGA_DATA, 'seattle-weather.csv'), 'utf8'));
		expect(found.sample.columns).toMatchObject({
			date: 0,
			rain: 1,
			high: 2,
			low: 3,
			header: true,
			order: 'ymd',
			temperature: 'C'
		});
		expect(daysOf(found.record)).toEqual(
			vegaCity('Seattle').map((d) => ({ day: dayNumber(d.date), low: d.low, high: d.high, rain: d.rain }))
		);
		expect(found.wholeYears).toBe(4);
	});

	it('guesses order of dates, decimal commas, Fahrenheit and inches by their headings', () => {
		const german = readWeather('Datum;Tmin;Tmax;Niederschlag\n01.02.2024;-3,5;4,1;2,0\n13.02.2024;0,5;8;0\n');
		expect(daysOf(german.record)).toEqual([
			{ day: dayNumber('2024-02-01'), low: -3.5, high: 4.1, rain: 2 },
			{ day: dayNumber('2024-02-13'), low: 0.5, high: 8, rain: 0 }
		]);
		const us = readWeather('Date,Low (F),High (F),Rain (inch)\n2/1/2024,32,50,1\n2/13/2024,23,41,0.1\n');
		expect(us.sample.columns).toMatchObject({ order: 'mdy', temperature: 'F', depth: 'in' });
		expect(daysOf(us.record)[0]).toEqual({ day: dayNumber('2024-02-01'), low: 0, high: 10, rain: 25.4 });
		const bare = readWeather('2024-02-01,-2,5\n2024-02-02,-1,6\n');
		expect(bare.sample.columns).toMatchObject({ header: false, date: 0, low: 1, high: 2, rain: null });
	});

	it('tells doubles, gaps, bad lines, swapped columns and Fahrenheit', () => {
		const lines = [
			'date,min,max',
			'2024-01-01,-2,5',
			'2024-01-01,-3,5',
			'2024-01-05,1,x',
			'soon,1,2',
			'2024-01-06,1,900',
			'2024-01-07,2,9'
		];
		const found = readWeather(lines.join('\n'));
		expect([found.doubles, found.differing]).toEqual([2, 1]);
		expect(found.bad.map((b) => b.line)).toEqual([4, 5, 6]);
		expect(found.gaps).toEqual([{ from: dayNumber('2024-01-02'), days: 5 }]);
		expect(daysOf(found.record)[0]!.low).toBe(-3);
		const seattle = vegaCity('Seattle');
		const f = (c: number) => (c * 1.8 + 32).toFixed(0);
		const hot = readWeather(['date,min,max', ...seattle.map((d) => `${d.date},${f(d.low)},${f(d.high)}`)].join('\n'));
		expect(hot.doubts.map((d) => d.code)).toEqual(['fahrenheit']);
		const again = readWeather(['date,min,max', ...seattle.map((d) => `${d.date},${f(d.low)},${f(d.high)}`)].join('\n'), {
			...hot.sample.columns,
			temperature: 'F'
		});
		expect(again.doubts).toEqual([]);
		const swapped = readWeather(['date,min,max', ...seattle.map((d) => `${d.date},${d.high},${d.low}`)].join('\n'));
		expect(swapped.doubts.map((d) => d.code)).toEqual(['swapped']);
	});

	it('leap days and an empty file are no trouble', () => {
		expect(readWeather('date,min\n2024-02-29,1\n2023-02-29,1\n').bad.map((b) => b.line)).toEqual([3]);
		expect(readWeather('').days).toBe(0);
		expect(isoOf(readWeather('date,min\n2024-02-29,1\n').record.first)).toBe('2024-02-29');
	});
});
