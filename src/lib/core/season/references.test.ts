/** The season against published worked examples, reference libraries and an independent reckoning on real data. */
import { jStat } from 'jstat';
import { getTimes } from 'suncalc';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { dayNumber, dayOfYear } from '../dates.js';
import { zoneOf } from '../units/index.js';
import {
	chillHours,
	climateOfRecord,
	coldestNights,
	daylightHours,
	degreeDays,
	extraterrestrial,
	fitHarmonics,
	firstFrostBy,
	frostDates,
	hargreaves,
	harmonicAt,
	lastFrostBy,
	lightLength,
	modifiedDegreeDays,
	quantileOf,
	recordOfDays,
	sumDegreeDays
} from './index.js';
import { vegaCity, VEGA_AT, VEGA_DATA } from '../../../testing/vegaWeather.js';

describe('FAO Irrigation and Drainage Paper 56 (figures from memory of the paper)', () => {
	it('example 8: extraterrestrial radiation on 3 September at 20°S is 32.2 MJ m⁻² day⁻¹', () => {
		expect(extraterrestrial(-20, 246)).toBeCloseTo(32.2, 1);
	});
	it('example 9: 3 September at 20°S has 11.7 daylight hours', () => {
		expect(daylightHours(-20, 246)).toBeCloseTo(11.7, 1);
	});
	it('example 20: July at Lyon, 45°43′N, 26.6 and 14.8 °C: Hargreaves gives 5.0 mm a day', () => {
		expect(hargreaves(14.8, 26.6, 40.6)).toBeCloseTo(5.0, 1);
		// The radiation of the example is that of the middle of the month (day 196).
		expect(Math.abs(extraterrestrial(45.72, 196) - 40.6)).toBeLessThan(0.4);
	});
	it('annex 2, table 2.6: radiation at 40°N by month', () => {
		const table = [15.0, 20.4, 27.2, 34.7, 39.4, 41.9, 40.8, 36.7, 30.0, 22.5, 16.3, 13.6];
		for (const [m, expected] of table.entries()) {
			const doy = dayOfYear(dayNumber(`2027-${String(m + 1).padStart(2, '0')}-15`));
			expect(Math.abs(extraterrestrial(40, doy) / expected - 1), `month ${m + 1}`).toBeLessThan(0.025);
		}
	});
	it('polar night draws no water, and every latitude has figures', () => {
		expect(extraterrestrial(80, 355)).toBe(0);
		for (const latitude of [-90, -66.6, 0, 66.6, 90])
			for (const doy of [1, 60, 172, 355, 366]) {
				expect(extraterrestrial(latitude, doy)).toBeGreaterThanOrEqual(0);
				expect(Number.isFinite(daylightHours(latitude, doy))).toBe(true);
			}
		expect(hargreaves(5, 5, 30)).toBe(0);
		expect(hargreaves(-40, -30, 10)).toBe(0);
	});
});

describe('twilight', () => {
	it('is within three minutes of the suncalc almanac library', () => {
		for (const [latitude, longitude] of [
			[0, 0],
			[-34, 18.5],
			[45, -93],
			[52.5, 13.4]
		] as const)
			for (let month = 1; month <= 12; month++) {
				const iso = `2027-${String(month).padStart(2, '0')}-15`;
				const noon = new Date(Date.UTC(2027, month - 1, 15, 12) - (longitude / 360) * 86_400_000);
				const { dawn, dusk } = getTimes(noon, latitude, longitude) as { dawn: Date; dusk: Date };
				const hours = (dusk.getTime() - dawn.getTime()) / 3_600_000;
				expect(Math.abs(lightLength(latitude, longitude, iso) - hours) * 60, `${latitude} ${iso}`).toBeLessThan(3);
			}
	});
});

describe('degree days and chill', () => {
	it('simple and modified agree with worked cases (McMaster and Wilhelm 1997; 86/50 method of US extension services, from memory)', () => {
		// 50/86 °F: a day of 60 and 90 °F counts (60 + 86)/2 − 50 = 23 °F; of 40 and 70: (50 + 70)/2 − 50 = 10 °F.
		const c = (f: number) => ((f - 32) * 5) / 9;
		const f86 = (low: number, high: number) => (modifiedDegreeDays(c(low), c(high), 10, 30) * 9) / 5;
		expect(f86(60, 90)).toBeCloseTo(23, 6);
		expect(f86(40, 70)).toBeCloseTo(10, 6);
		expect(f86(30, 45)).toBeCloseTo(0, 6);
		expect(degreeDays(4, 18, 10)).toBe(1);
		expect(degreeDays(-4, 8, 5)).toBe(0);
	});

	it('chill from two temperatures a day comes near to the hours counted in hourly normals of a real station', () => {
		// vega-datasets, seattle-weather-hourly-normals.csv: count the hours themselves, then only use each day's extremes.
		const hours = readFileSync(join(VEGA_DATA, 'seattle-weather-hourly-normals.csv'), 'utf8')
			.trim()
			.split('\n')
			.slice(1)
			.map((l) => l.split(','));
		const byDay = new Map<string, number[]>();
		for (const [stamp, , temperature] of hours) {
			const key = stamp!.slice(0, 10);
			byDay.set(key, [...(byDay.get(key) ?? []), Number(temperature)]);
		}
		let counted = 0;
		let reckoned = 0;
		for (const temperatures of byDay.values()) {
			counted += temperatures.filter((t) => t > 0 && t <= 7.2).length * (24 / temperatures.length);
			reckoned += chillHours(Math.min(...temperatures), Math.max(...temperatures));
		}
		expect(counted).toBeGreaterThan(800);
		expect(Math.abs(reckoned / counted - 1)).toBeLessThan(0.1);
	});

	it('a day wholly inside the span has 24 chill hours, one above or below none', () => {
		expect(chillHours(1, 6)).toBe(24);
		expect(chillHours(9, 20)).toBe(0);
		expect(chillHours(-12, -2)).toBe(0);
	});
});

describe('harmonic normals', () => {
	it('are the ordinary least squares of a statistics library (jStat)', () => {
		const days = vegaCity('New York');
		const doys = days.map((d) => dayOfYear(dayNumber(d.date)));
		const ours = fitHarmonics(
			doys,
			days.map((d) => d.low),
			3
		);
		const w = (2 * Math.PI) / 365.25;
		const design = doys.map((t) => [1, ...[1, 2, 3].flatMap((k) => [Math.cos(k * w * t), Math.sin(k * w * t)])]);
		const { coef } = jStat.models.ols(
			days.map((d) => d.low),
			design
		) as { coef: number[] };
		for (const [i, c] of coef.entries()) expect(ours[i]).toBeCloseTo(c, 4);
	});

	it('a record with a gap is bent by no more than a degree in it', () => {
		const days = vegaCity('Seattle');
		const doys = days.map((d) => dayOfYear(dayNumber(d.date)));
		const whole = fitHarmonics(
			doys,
			days.map((d) => d.high)
		);
		const holed = fitHarmonics(
			doys,
			days.map((d) => (d.date.startsWith('2013-06') ? Number.NaN : d.high))
		);
		for (let doy = 1; doy <= 366; doy += 5) expect(Math.abs(harmonicAt(whole, doy) - harmonicAt(holed, doy))).toBeLessThan(1);
	});
});

describe('frost dates, degree days and zone of two real cities, reckoned again by hand', () => {
	for (const city of ['Seattle', 'New York'] as const) {
		const days = vegaCity(city);
		const record = recordOfDays(days.map((d) => ({ day: dayNumber(d.date), low: d.low, high: d.high, rain: d.rain })));
		const recordClimate = climateOfRecord(record, VEGA_AT[city])!;

		it(`${city}: last and first frost of each year for three thresholds`, () => {
			for (const threshold of [0, -2.2, 2]) {
				const f = frostDates(record, threshold, recordClimate.middle);
				// Straight from the rows: the last such night in the half year before the middle of summer, the first after it.
				const lasts: number[] = [];
				const firsts: number[] = [];
				for (const year of [2012, 2013, 2014, 2015]) {
					const offsets = days
						.filter((d) => d.low <= threshold)
						.map((d) => dayNumber(d.date) - dayNumber(`${year}-01-01`) + 1 - recordClimate.middle);
					const before = offsets.filter((o) => o <= 0 && o > -183);
					const after = offsets.filter((o) => o > 0 && o < 183);
					if (before.length) lasts.push(Math.max(...before));
					// The autumn of the last year runs into a year that is not on record: it is left out.
					if (after.length && year < 2015) firsts.push(Math.min(...after));
				}
				expect(f.last.offsets).toEqual(lasts.sort((a, b) => a - b));
				expect(f.first.offsets).toEqual(firsts.sort((a, b) => a - b));
				expect(f.last.years).toBe(4);
				expect(f.first.years).toBe(3);
			}
		});

		it(`${city}: quantiles agree with jStat's, and lie in order`, () => {
			const f = frostDates(record, 0, recordClimate.middle);
			for (const q of [0.1, 0.5, 0.9]) {
				expect(quantileOf(f.last.offsets, q)).toBeCloseTo(jStat.quantiles(f.last.offsets, [q], 1, 1)[0]!, 8);
				expect(lastFrostBy(f, q, 'empirical')).toBe(Math.round(recordClimate.middle + quantileOf(f.last.offsets, q)));
			}
			for (const how of ['empirical', 'fitted'] as const) {
				expect(lastFrostBy(f, 0.1, how)!).toBeLessThanOrEqual(lastFrostBy(f, 0.5, how)!);
				expect(firstFrostBy(f, 0.5, how)!).toBeLessThanOrEqual(firstFrostBy(f, 0.9, how)!);
			}
			expect(f.free.every((d) => d > 150 && d < 330)).toBe(true);
		});

		it(`${city}: degree days of a summer and the coldest night of each winter`, () => {
			for (const base of [0, 5, 10]) {
				const summer = days.filter((d) => d.date >= '2014-04-01' && d.date <= '2014-09-30');
				const byHand = summer.reduce((sum, d) => sum + Math.max(0, (d.low + d.high) / 2 - base), 0);
				expect(sumDegreeDays(record, dayNumber('2014-04-01'), dayNumber('2014-09-30'), base)).toBeCloseTo(byHand, 6);
			}
			const nights = coldestNights(record, recordClimate.middle);
			const byHand = [2013, 2014, 2015].map((y) =>
				Math.min(...days.filter((d) => d.date >= `${y - 1}-08-01` && d.date < `${y}-07-01`).map((d) => d.low))
			);
			expect(nights.map((n) => n.low)).toEqual(byHand);
		});
	}

	it('New York lies in zone 7 by these winters, Seattle in 8 or 9 (USDA map, from memory: 7b and 9a)', () => {
		const zone = (city: 'Seattle' | 'New York') => {
			const record = recordOfDays(vegaCity(city).map((d) => ({ ...d, day: dayNumber(d.date) })));
			return zoneOf(climateOfRecord(record, VEGA_AT[city])!.coldestC).zone;
		};
		expect(zone('New York')).toMatch(/^7/);
		expect(zone('Seattle')).toMatch(/^[89]/);
	});
});
