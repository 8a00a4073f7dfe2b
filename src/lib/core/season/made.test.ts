/** A record that is made for a garden holds to what the person told, in every climate. */
import { describe, expect, it } from 'vitest';
import { dayNumber, daysRound } from '../dates.js';
import { climateOfRecord, madeRecord, seasonsOfRecord, scenariosOf } from './index.js';
import type { Climate } from './index.js';

const gardens: [name: string, latitude: number, coldest: number, last: number, first: number, sd: number][] = [
	['inland, cold', 52, -17, 125, 285, 10],
	['maritime', 50, -6, 95, 320, 12],
	['mild, hardly a frost', 50, -2, 60, 345, 12],
	['southern coast', -43, -6, 280, 120, 12],
	['southern, mild', -36, -1, 230, 160, 10],
	['mountain', 46, -20, 165, 240, 9],
	['subarctic', 64, -35, 150, 245, 8],
	['warm', 35, -4, 75, 330, 15]
];
const climate = (latitude: number, coldestC: number, last: number, first: number, sd: number): Climate => ({
	latitude,
	longitude: 10,
	coldestC,
	lastFrost: { doy: last, sd },
	firstFrost: { doy: first, sd }
});
const apart = (a: number, b: number) => Math.min(daysRound(a, b), daysRound(b, a));

describe('a made record', () => {
	const now = dayNumber('2027-05-01');
	it.each(gardens)(
		'%s: frosts and coldest nights come back, and every year has them',
		(_, latitude, coldest, last, first, sd) => {
			const c = climate(latitude, coldest, last, first, sd);
			const recordClimate = climateOfRecord(madeRecord(c, now), c)!;
			expect(apart(recordClimate.climate.lastFrost!.doy, last)).toBeLessThanOrEqual(2);
			expect(apart(recordClimate.climate.firstFrost!.doy, first)).toBeLessThanOrEqual(2);
			expect(Math.abs(recordClimate.climate.lastFrost!.sd - sd)).toBeLessThanOrEqual(2);
			expect(Math.abs(recordClimate.climate.firstFrost!.sd - sd)).toBeLessThanOrEqual(2);
			expect(recordClimate.climate.lastFrost!.share).toBe(1);
			expect(Math.abs(recordClimate.coldestC - coldest)).toBeLessThan(1);
		}
	);
	it('without frosts has none', () => {
		const r = madeRecord({ latitude: 3, longitude: 20, coldestC: 14, lastFrost: null, firstFrost: null }, now);
		expect(Math.min(...r.low)).toBeGreaterThan(0);
	});
	it('its days are warmer than their nights', () => {
		const r = madeRecord(climate(50, -6, 95, 320, 12), now);
		for (let i = 0; i < r.low.length; i++) expect(r.high[i]!).toBeGreaterThan(r.low[i]!);
	});
});

describe('the years of a record as seasons', () => {
	const c = climate(52, -17, 125, 285, 10);
	const now = dayNumber('2027-05-01');
	const record = madeRecord(c, now);
	const recordClimate = climateOfRecord(record, c)!;
	const ever = scenariosOf(record, recordClimate, 2027, null);
	const seasons = seasonsOfRecord({ recordClimate, now: ever, ever }, { id: 'x', habit: 'tender', bloom: null });

	it('has one last and one first frost a year for seven years, spread as the record is', () => {
		const lasts = seasons.flatMap((s) => s.frostsIn(dayNumber('2028-01-01'), dayNumber('2033-12-31')).last.length);
		for (const n of lasts) expect(n).toBe(6);
		const first = seasons.map((s) => s.frostsIn(dayNumber('2030-07-01'), dayNumber('2031-06-30')).first[0]!);
		const mean = first.reduce((a, b) => a + b, 0) / first.length;
		const spread = Math.sqrt(first.reduce((a, b) => a + (b - mean) ** 2, 0) / (first.length - 1));
		expect(Math.abs(mean - (dayNumber('2030-01-01') + 284))).toBeLessThan(3);
		expect(Math.abs(spread - 10)).toBeLessThan(2);
	});

	it('an opening is a distribution: a day just after the mean day is in the window in about half of the years', () => {
		const rule = {
			opens: { from: 'last_frost', days: 0 },
			closes: { from: 'first_frost', days: 0 },
			no_frost: 'all_year'
		} as const;
		const share = (day: string) =>
			seasons.filter((s) => s.openings(rule, dayNumber(day), dayNumber(day)).length > 0).length / seasons.length;
		// Day 125 is 5 May; by the normal table 16 % lie one spread before, 84 % one after.
		expect(Math.abs(share('2029-05-06') - 0.5)).toBeLessThan(0.12);
		expect(Math.abs(share('2029-05-16') - 0.84)).toBeLessThan(0.1);
		expect(Math.abs(share('2029-04-25') - 0.16)).toBeLessThan(0.1);
	});

	it('every year rests once', () => {
		for (const s of seasons) expect(s.standstills(dayNumber('2028-07-01'), dayNumber('2033-06-30'))).toHaveLength(5);
	});
});
