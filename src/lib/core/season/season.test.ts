import fc from 'fast-check';
import { jStat } from 'jstat';
import { getTimes } from 'suncalc';
import { describe, expect, it } from 'vitest';
import { addDays, dateIn, dayInYear, dayNumber, dayOfYear, isIsoDate, isoOf, yearOf } from '../dates.js';
import {
	afterGrowth,
	checkClimate,
	dayLength,
	frostOdds,
	guessClimate,
	nextStandstill,
	nextTurning,
	openings,
	sayRule,
	seasonOfClimate,
	wintersIn
} from './index.js';
import { chanceSeasons, usualSeason } from './season.js';
import type { WindowRule } from './index.js';
import { north, south, tropics } from '../../../testing/climates.js';

describe('dates', () => {
	it('knows the calendar', () => {
		expect(isIsoDate('2028-02-29')).toBe(true);
		for (const bad of ['2027-02-29', '2026-02-30', '2026-13-01', '2026-1-1', '1899-12-31', 'today', '2026-01-01T00:00'])
			expect(isIsoDate(bad)).toBe(false);
	});

	it('goes both ways, with the right year and day', () => {
		fc.assert(
			fc.property(fc.integer({ min: -25_000, max: 80_000 }), (day) => {
				const iso = isoOf(day);
				expect(dayNumber(iso)).toBe(day);
				expect(yearOf(day)).toBe(Number(iso.slice(0, 4)));
				expect(dayInYear(yearOf(day), dayOfYear(day))).toBe(day);
			})
		);
		expect(addDays('2027-12-31', 1)).toBe('2028-01-01');
		expect(dateIn('Pacific/Auckland', Date.UTC(2026, 10, 24, 12))).toBe('2026-11-25');
	});
});

describe('day length', () => {
	const places: [number, number][] = [
		[0, 0],
		[23.4, 77],
		[-34, 18.5],
		[45, -93],
		[52.5, 13.4],
		[-54.8, -68.3],
		[64.1, -21.9]
	];

	it('is within two minutes of the suncalc almanac library at 7 latitudes × 12 dates', () => {
		for (const [latitude, longitude] of places)
			for (let month = 1; month <= 12; month++) {
				const iso = `2027-${String(month).padStart(2, '0')}-15`;
				const noon = new Date(Date.UTC(2027, month - 1, 15, 12) - (longitude / 360) * 86_400_000);
				const { sunrise, sunset } = getTimes(noon, latitude, longitude) as { sunrise: Date; sunset: Date };
				const hours = (sunset.getTime() - sunrise.getTime()) / 3_600_000;
				expect(Math.abs(dayLength(latitude, longitude, iso) - hours) * 60, `${latitude} ${iso}`).toBeLessThan(2);
			}
	});

	it('knows polar day and night', () => {
		expect(dayLength(69.6, 18.9, '2027-06-21')).toBe(24);
		expect(dayLength(69.6, 18.9, '2026-12-21')).toBe(0);
		expect(dayLength(-77.8, 166.7, '2026-12-21')).toBe(24);
		expect(dayLength(-77.8, 166.7, '2027-06-21')).toBe(0);
	});
});

describe('turning points and windows', () => {
	const semiRipe: WindowRule = {
		opens: { from: 'last_frost', days: 35 },
		closes: { from: 'first_frost', days: -30 },
		no_frost: 'all_year'
	};
	const hardwood: WindowRule = {
		opens: { from: 'leaf_fall', days: 0 },
		closes: { from: 'bud_break', days: -7 },
		no_frost: 'by_season'
	};

	it('move with the garden and flip with the hemisphere', () => {
		const from = dayNumber('2027-01-01');
		const [n] = openings(semiRipe, from, from + 365, north);
		const [s] = openings(semiRipe, from, from + 365, south).slice(-1);
		expect(isoOf(n!.opens)).toBe('2027-06-09');
		expect(isoOf(n!.closes)).toBe('2027-09-12');
		expect(isoOf(s!.opens)).toBe('2027-11-11');
		// Day 120 of a leap year is 29 April; thirty days earlier.
		expect(isoOf(s!.closes)).toBe('2028-03-30');
	});

	it('span the turn of the year', () => {
		const open = openings(hardwood, dayNumber('2027-01-10'), dayNumber('2027-01-20'), north);
		expect(open).toHaveLength(1);
		expect(isoOf(open[0]!.opens)).toBe('2026-10-26');
		expect(isoOf(open[0]!.closes)).toBe('2027-04-07');
	});

	it('never stand backwards, wherever the garden lies', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: -68, max: 68 }),
				fc.integer({ min: 0, max: 2500 }),
				fc.integer({ min: 18_000, max: 25_000 }),
				(latitude, height, from) => {
					const c = guessClimate({ latitude, longitude: 10, heightM: height }).climate;
					for (const rule of [semiRipe, hardwood])
						for (const w of openings(rule, from, from + 500, c)) {
							expect(w.closes).toBeGreaterThanOrEqual(w.opens);
							expect(w.bestFrom).toBeGreaterThanOrEqual(w.opens);
							expect(w.bestTo).toBeLessThanOrEqual(w.closes);
						}
				}
			)
		);
	});

	it('stay open all the year where frost never comes, if the way allows it', () => {
		expect(openings(semiRipe, 20_000, 20_400, tropics)).toMatchObject([{ opens: 20_000, closes: 20_400 }]);
		expect(openings(hardwood, 20_000, 20_400, tropics).length).toBeGreaterThan(0);
	});

	it('are said in words', () => {
		expect(sayRule(hardwood)).toBe('from leaf fall to 1 week before bud break');
	});
});

describe('frost', () => {
	it('is even odds at the mean date and one at midwinter', () => {
		expect(frostOdds(nextTurning('last_frost', 0, dayNumber('2027-01-01'), north), north)).toBeCloseTo(0.5, 5);
		expect(frostOdds(nextTurning('first_frost', 0, dayNumber('2027-01-01'), north), north)).toBeCloseTo(0.5, 5);
		expect(frostOdds(dayNumber('2027-01-15'), north)).toBeGreaterThan(0.999);
		expect(frostOdds(dayNumber('2027-07-15'), north)).toBeLessThan(0.001);
		expect(frostOdds(dayNumber('2027-07-15'), south)).toBeGreaterThan(0.999);
		expect(frostOdds(dayNumber('2027-01-15'), tropics)).toBe(0);
	});

	it('falls by the normal table: one spread past the mean date 16 % remain', () => {
		const mean = nextTurning('last_frost', 0, dayNumber('2027-01-01'), north);
		expect(frostOdds(mean + 10, north)).toBeCloseTo(0.1587, 3);
	});
});

describe('the years that may come by frost dates alone', () => {
	it('lean to no side: the openings of 31 years lie as the dates’ own spread has them', () => {
		const opens: WindowRule = {
			opens: { from: 'last_frost', days: 10 },
			closes: { from: 'first_frost', days: -40 },
			no_frost: 'all_year'
		};
		for (const [climate, from] of [
			[north, '2027-03-01'],
			[south, '2027-08-01']
		] as const) {
			const day = dayNumber(from);
			const found = chanceSeasons(climate)
				.map((s) => s.openings(opens, day, day + 200).find((o) => o.opens >= day)!.opens)
				.sort((a, b) => a - b);
			const { doy, sd } = climate.lastFrost!;
			found.forEach((opened, k) => {
				const moved = opened - 10 - dayInYear(yearOf(day), doy);
				// Whole days: half of one is at most two hundredths of the years.
				expect(Math.abs(jStat.normal.cdf(moved, 0, sd) - (k + 0.5) / found.length), `${from} ${k}`).toBeLessThan(0.022);
			});
		}
	});
});

describe('growth and standstill', () => {
	it('rests from leaf fall to bud break', () => {
		const rest = nextStandstill(dayNumber('2026-12-20'), north)!;
		expect(isoOf(rest.from)).toBe('2026-10-26');
		expect(isoOf(rest.to)).toBe('2027-04-14');
		// Ten days of growth are left before leaf fall, then ten more after bud break.
		expect(isoOf(afterGrowth(seasonOfClimate(north), dayNumber('2026-10-16'), 20))).toBe('2027-04-24');
		expect(afterGrowth(seasonOfClimate(tropics), 20_000, 90)).toBe(20_090);
	});

	it('tells how much of a winter lies between', () => {
		const winters = (c: typeof north, from: string, to: string) => wintersIn(seasonOfClimate(c), dayNumber(from), dayNumber(to));
		expect(winters(north, '2026-08-01', '2026-10-20')).toBe(0);
		expect(winters(north, '2026-08-01', '2027-05-01')).toBe(1);
		// The standstill of 26 October to 14 April is half over on 18 January.
		expect(winters(north, '2026-08-01', '2027-01-18')).toBeCloseTo(0.5, 1);
		expect(winters(north, '2027-01-18', '2027-05-01')).toBeCloseTo(0.5, 1);
		expect(winters(north, '2027-05-01', '2027-10-01')).toBe(0);
		expect(winters(north, '2027-03-20', '2028-06-01')).toBeGreaterThan(1);
		expect(winters(south, '2026-12-20', '2027-03-20')).toBe(0);
		expect(wintersIn(seasonOfClimate(tropics), 20_000, 21_000)).toBe(0);
	});
});

describe('the first guess', () => {
	it('is a possible year everywhere people garden', () => {
		fc.assert(
			fc.property(fc.integer({ min: -60, max: 68 }), fc.integer({ min: 0, max: 2000 }), (latitude, height) => {
				const { climate } = guessClimate({ latitude, longitude: 0, heightM: height });
				const checked = checkClimate(climate);
				expect(checked.ok, `${latitude} ${height} ${JSON.stringify(climate)}`).toBe(true);
			})
		);
	});

	it('is warmer towards the equator and colder with height', () => {
		const coldest = (lat: number, h: number) => guessClimate({ latitude: lat, longitude: 0, heightM: h }).climate.coldestC;
		expect(coldest(35, 0)).toBeGreaterThan(coldest(55, 0));
		expect(coldest(45, 0)).toBeGreaterThan(coldest(45, 1200));
		expect(guessClimate({ latitude: 5, longitude: 100, heightM: 0 }).climate.lastFrost).toBeNull();
	});

	it('refuses dates of the other hemisphere and half a year', () => {
		expect(checkClimate({ ...north, latitude: -40 }).ok).toBe(false);
		expect(checkClimate({ ...north, firstFrost: null }).ok).toBe(false);
		expect(checkClimate({ ...north, firstFrost: { doy: 130, sd: 5 } }).ok).toBe(false);
		expect(checkClimate(south).ok).toBe(true);
	});
});

describe('the usual season of a kind', () => {
	const rule = {
		opens: { from: 'last_frost', days: 0 },
		closes: { from: 'first_frost', days: 0 },
		no_frost: 'all_year'
	} as const;
	const likely = (opens: string, closes: string, share = 1) => {
		const [o, c] = [dayNumber(opens), dayNumber(closes)];
		const around = (d: number) => ({ p10: d - 9, p50: d, p90: d + 9 });
		return { opens: around(o), closes: around(c), bestFrom: o, bestTo: c, share };
	};
	const season = (...list: ReturnType<typeof likely>[]) =>
		usualSeason(seasonOfClimate(north), () => ({ byYear: [], likely: list, on: () => 0 }), 2026);
	const opens = (s: ReturnType<typeof season>, year: number) =>
		s.openings(rule, dayInYear(year, 1), dayInYear(year + 1, 1) - 1).map((o) => isoOf(o.opens));

	it('of the year after next goes by its own openings, not by the weather of the year in hand', () => {
		const s = season(likely('2026-02-05', '2026-06-09'), likely('2027-01-13', '2027-06-09'));
		expect(opens(s, 2026)).toEqual(['2026-02-05']);
		expect(opens(s, 2027)).toEqual(['2027-01-13']);
		expect(opens(s, 2029)).toEqual(['2029-01-13']);
	});
	it('where that year is not known whole, by those of the year before; what most years have not is shut', () => {
		const cut = season(likely('2026-10-05', '2026-12-20'), likely('2027-10-01', '2027-12-30'));
		expect(opens(cut, 2027)).toEqual(['2027-10-05']);
		expect(opens(season(likely('2026-02-05', '2026-06-09', 0.3)), 2026)).toEqual([]);
	});
});
