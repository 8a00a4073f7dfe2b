import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { climateOfRecord, daysOf, doubts, gaps, possibleDay, recordOfDays, wholeYears } from './index.js';
import type { WeatherDay } from './index.js';
import { vegaCity, VEGA_AT } from '../../../testing/vegaWeather.js';

const seattle = vegaCity('Seattle').map((d) => ({ day: dayNumber(d.date), low: d.low, high: d.high, rain: d.rain }));
const toF = (c: number) => (c * 9) / 5 + 32;

describe('a daily record', () => {
	it('gives back the days it was made of, whatever their order', () => {
		const day = fc.record({
			day: fc.integer({ min: 10_000, max: 11_000 }),
			low: fc.option(fc.integer({ min: -30, max: 10 })),
			high: fc.option(fc.integer({ min: 11, max: 40 })),
			rain: fc.option(fc.integer({ min: 0, max: 90 }))
		});
		fc.assert(
			fc.property(fc.uniqueArray(day, { selector: (d) => d.day, maxLength: 60 }), (days) => {
				const known = days.filter((d) => d.low !== null || d.high !== null || d.rain !== null);
				expect(daysOf(recordOfDays(days))).toEqual(known.sort((a, b) => a.day - b.day));
			})
		);
	});

	it('counts whole years and finds gaps', () => {
		const r = recordOfDays(seattle);
		expect(wholeYears(r)).toEqual([2012, 2013, 2014, 2015]);
		const holed = recordOfDays(seattle.filter((d) => d.day < dayNumber('2013-03-01') || d.day > dayNumber('2013-05-31')));
		expect(wholeYears(holed)).toEqual([2012, 2014, 2015]);
		expect(gaps(holed)).toEqual([{ from: dayNumber('2013-03-01'), days: 92 }]);
	});

	it('one week, and no day at all, are no climate', () => {
		expect(climateOfRecord(recordOfDays(seattle.slice(0, 7)), VEGA_AT.Seattle)).toBeNull();
		expect(climateOfRecord(recordOfDays([]), VEGA_AT.Seattle)).toBeNull();
	});

	it('notices Fahrenheit taken for Celsius, and swapped columns, and finds nothing wrong with real records', () => {
		const code = (days: WeatherDay[]) => doubts(recordOfDays(days)).map((d) => d.code);
		expect(code(seattle)).toEqual([]);
		expect(code(vegaCity('New York').map((d) => ({ ...d, day: dayNumber(d.date) })))).toEqual([]);
		expect(code(seattle.map((d) => ({ ...d, low: toF(d.low), high: toF(d.high) })))).toEqual(['fahrenheit']);
		expect(code(seattle.map((d) => ({ ...d, low: d.high, high: d.low })))).toEqual(['swapped']);
		// A cold place in °F: means of 30–40 °F could be Celsius nowhere, for day and night differ too much or it is too hot in summer.
		const cold = seattle.map((d) => ({ ...d, low: toF(d.low - 12), high: toF(d.high - 6) }));
		expect(code(cold)).toEqual(['fahrenheit']);
	});

	it('refuses what cannot be, with the figure', () => {
		const day = { day: 20_000, low: 3, high: 9, rain: 0 };
		expect(possibleDay(day).ok).toBe(true);
		for (const [wrong, code] of [
			[{ low: 900 }, 'weather.low'],
			[{ high: 900 }, 'weather.high'],
			[{ rain: -1 }, 'weather.rain'],
			[{ low: 10 }, 'weather.order'],
			[{ low: Number.NaN }, 'weather.low']
		] as const) {
			const result = possibleDay({ ...day, ...wrong });
			expect(result.ok ? '' : result.problem.code).toBe(code);
		}
	});
});
