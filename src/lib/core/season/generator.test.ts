/** The generator against the statistics of the records it was fitted to, and the made record against what it was made from. */
import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { dayInYear, dayNumber, dayOfYear } from '../dates.js';
import {
	climateOfRecord,
	coldestNights,
	fitGenerator,
	frostDates,
	generate,
	madeModel,
	madeRecord,
	recordOfDays,
	warmMiddle,
	WET_MM
} from './index.js';
import type { Climate, DailyRecord } from './index.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { vegaCity } from '../../../testing/vegaWeather.js';

const quarters = (r: DailyRecord, column: 'low' | 'high') => {
	const byQuarter = Array.from({ length: 4 }, () => [] as number[]);
	for (let i = 0; i < r.low.length; i++) byQuarter[Math.floor((dayOfYear(r.first + i) - 1) / 91.6)]!.push(r[column][i]!);
	return byQuarter.map((list) => {
		const mean = list.reduce((s, v) => s + v, 0) / list.length;
		return { mean, sd: Math.sqrt(list.reduce((s, v) => s + (v - mean) ** 2, 0) / list.length) };
	});
};
const rainOf = (r: DailyRecord) => {
	const wet = [...r.rain].filter((v) => v >= WET_MM);
	let pairs = 0;
	let both = 0;
	for (let i = 1; i < r.rain.length; i++)
		if (r.rain[i - 1]! >= WET_MM) {
			pairs++;
			if (r.rain[i]! >= WET_MM) both++;
		}
	return { share: wet.length / r.rain.length, mean: wet.reduce((s, v) => s + v, 0) / wet.length, after: both / pairs };
};
const lagOne = (r: DailyRecord, c: Float64Array = r.low) => {
	// Of what is left when a month's mean is taken off, so that the year's swing does not count.
	const left = c.map((v, i) => {
		let sum = 0;
		let n = 0;
		for (let j = Math.max(0, i - 15); j <= Math.min(c.length - 1, i + 15); j++) {
			sum += c[j]!;
			n++;
		}
		return v - sum / n;
	});
	let top = 0;
	let below = 0;
	for (let i = 1; i < left.length; i++) {
		top += left[i]! * left[i - 1]!;
		below += left[i]! ** 2;
	}
	return top / below;
};

describe('the generator', () => {
	for (const city of ['Seattle', 'New York'] as const)
		it(`gives back the means, spreads, rain and persistence of ${city}`, () => {
			const record = recordOfDays(vegaCity(city).map((d) => ({ ...d, day: dayNumber(d.date) })));
			const made = generate(fitGenerator(record), randomLcg(0.7), dayInYear(1900, 1), 60 * 365);
			for (const column of ['low', 'high'] as const)
				for (const [i, was] of quarters(record, column).entries()) {
					const is = quarters(made, column)[i]!;
					expect(Math.abs(is.mean - was.mean), `${column} quarter ${i + 1}`).toBeLessThan(0.9);
					expect(Math.abs(is.sd / was.sd - 1), `${column} quarter ${i + 1}`).toBeLessThan(0.15);
				}
			const [was, is] = [rainOf(record), rainOf(made)];
			expect(Math.abs(is.share - was.share)).toBeLessThan(0.03);
			expect(Math.abs(is.mean / was.mean - 1)).toBeLessThan(0.1);
			expect(Math.abs(is.after - was.after)).toBeLessThan(0.05);
			// Warm and cold days follow each other as in the record, by a maritime coast as well as inland.
			for (const column of ['low', 'high'] as const)
				expect(Math.abs(lagOne(made, made[column]) - lagOne(record, record[column])), column).toBeLessThan(0.04);
		});

	it('gives back frost dates and their spread of a long record', () => {
		const record = generate(madeModel(north), randomLcg(0.5), dayInYear(1850, 1), 120 * 365);
		const again = generate(fitGenerator(record), randomLcg(0.25), dayInYear(1850, 1), 120 * 365);
		const [was, is] = [frostDates(record, 0, 201), frostDates(again, 0, 201)];
		for (const side of ['last', 'first'] as const) {
			expect(Math.abs(is[side].mean - was[side].mean), side).toBeLessThan(4);
			expect(Math.abs(is[side].sd / was[side].sd - 1), side).toBeLessThan(0.25);
		}
	});

	it('is the same for the same source of chance, and another for another', () => {
		const model = madeModel(north);
		const one = generate(model, randomLcg(0.1), 20_000, 400);
		expect(generate(model, randomLcg(0.1), 20_000, 400)).toEqual(one);
		expect(generate(model, randomLcg(0.2), 20_000, 400)).not.toEqual(one);
		expect(one.low.every((l, i) => l <= one.high[i]!)).toBe(true);
	});

	it('a record of half a year, or without rain, does not break it', () => {
		const half = recordOfDays(
			vegaCity('Seattle')
				.slice(0, 180)
				.map((d) => ({ day: dayNumber(d.date), low: d.low, high: d.high, rain: null }))
		);
		const made = generate(fitGenerator(half), randomLcg(0.5), 20_000, 800);
		expect([...made.low, ...made.high, ...made.rain].every(Number.isFinite)).toBe(true);
	});
});

describe('a record made for a garden', () => {
	const today = dayNumber('2026-09-05');
	const cases: [string, Climate][] = [
		['a northern garden', north],
		['a cold one inland', { ...north, coldestC: -27, lastFrost: { doy: 135, sd: 10 }, firstFrost: { doy: 268, sd: 10 } }],
		['one with frost in any month', arctic]
	];
	for (const [name, climate] of cases)
		it(`${name}: has the frosts and the coldest night that were given`, () => {
			const r = madeRecord(climate, today);
			const middle = warmMiddle(climate);
			const f = frostDates(r, 0, middle);
			expect(Math.abs(middle + f.last.mean - climate.lastFrost!.doy)).toBeLessThan(6);
			expect(Math.abs(middle + f.first.mean - climate.firstFrost!.doy)).toBeLessThan(6);
			const nights = coldestNights(r, middle);
			expect(Math.abs(nights.reduce((s, n) => s + n.low, 0) / nights.length - climate.coldestC)).toBeLessThan(1.5);
			expect(climateOfRecord(r, climate)!.years).toHaveLength(30);
		});

	it('a mild southern one comes near enough; a tropical one never freezes', () => {
		const f = frostDates(madeRecord(south, today), 0, warmMiddle(south));
		expect(Math.abs(((warmMiddle(south) + f.last.mean + 365) % 365) - south.lastFrost!.doy)).toBeLessThan(15);
		const warm = madeRecord(tropics, today);
		expect(Math.min(...warm.low)).toBeGreaterThan(5);
		const recordClimate = climateOfRecord(warm, tropics)!;
		expect(recordClimate.climate.lastFrost).toBeNull();
	});
});
