/** Windows over the years of a record: dates in order, sharpened by weather and by what a person saw, in any climate. */
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { dayInYear, dayNumber, isoOf } from '../dates.js';
import {
	climateOfRecord,
	dayLength,
	daysOf,
	madeRecord,
	momentOver,
	momentsIn,
	openings,
	recordOfDays,
	sayMoment,
	sayRule,
	scenariosOf,
	seasonRule,
	windowOdds
} from './index.js';
import type { Climate, Moment, RecordClimate, Scenario, SeasonKind, SeasonRule, Sharpening, WindowRule } from './index.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { vegaCity, VEGA_AT } from '../../../testing/vegaWeather.js';

const TODAY = dayNumber('2026-06-01');
const box: SeasonKind = { id: 'box', habit: 'evergreen shrub', bloom: null };
const iris: SeasonKind = { id: 'iris', habit: 'herbaceous', bloom: { opens: { from: 'last_frost', days: 5 }, days: 28 } };
const by = (rule: SeasonRule, then?: number): Moment => ({
	from: 'last_frost',
	days: 0,
	rule,
	...(then === undefined ? {} : { then })
});
const semiRipe: WindowRule = {
	opens: by({ by: 'shoot', is: 'semi-ripe' }),
	closes: by({ by: 'shoot', is: 'hard' }),
	no_frost: 'by_season'
};

interface World {
	recordClimate: RecordClimate;
	scenarios: Scenario[];
	sharpened(sharp: Sharpening): Scenario[];
}
function world(c: Climate): World {
	const record = madeRecord(c, TODAY);
	const recordClimate = climateOfRecord(record, c)!;
	return {
		recordClimate,
		scenarios: scenariosOf(record, recordClimate, 2026, null),
		sharpened: (sharp) => scenariosOf(record, recordClimate, 2026, sharp)
	};
}

describe('windows that follow the season', () => {
	let cold: World;
	let mild: World;
	beforeAll(() => {
		cold = world(north);
		mild = world(south);
	});
	const usual = (w: World, m: Moment, kind = box) => momentOver(m, w.scenarios, w.recordClimate, kind);

	it('shoots turn soft, semi-ripe and hard in that order every year, semi-ripe in June or July in the north (common practice, no source)', () => {
		for (const s of cold.scenarios) {
			const [soft, semi, hard] = (['soft', 'semi-ripe', 'hard'] as const).map((is) =>
				momentsIn(by({ by: 'shoot', is }), s, cold.recordClimate, box).find((d) => d >= dayInYear(2026, 60))!
			);
			expect(soft).toBeLessThan(semi!);
			expect(semi).toBeLessThan(hard!);
		}
		const { doy } = usual(cold, semiRipe.opens)!;
		expect(isoOf(dayInYear(2026, doy)) >= '2026-06-01').toBe(true);
		expect(isoOf(dayInYear(2026, doy)) <= '2026-07-20').toBe(true);
		// Half a year later in the south.
		expect(isoOf(dayInYear(2026, usual(mild, semiRipe.opens)!.doy)).slice(5, 7)).toMatch(/^(11|12|01)$/);
	});

	it('a moment by day length is the astronomers’ day', () => {
		const { doy } = usual(cold, by({ by: 'day_length', hours: 14, going: 'up' }))!;
		expect(dayLength(north.latitude, 0, dayInYear(2026, doy - 2))).toBeLessThan(14);
		expect(dayLength(north.latitude, 0, dayInYear(2026, doy + 2))).toBeGreaterThan(14);
		const down = usual(cold, by({ by: 'day_length', hours: 14, going: 'down' }))!.doy;
		expect(down).toBeGreaterThan(172);
		// At the equator no day is ever so long: the moment does not come, and nothing breaks.
		const equator = world({ ...tropics, latitude: 0 });
		expect(usual(equator, by({ by: 'day_length', hours: 14, going: 'up' }))).toBeNull();
	});

	it('degree days since midwinter on real days are those added up by hand', () => {
		const days = vegaCity('New York').map((d) => ({ ...d, day: dayNumber(d.date) }));
		const record = recordOfDays(days);
		const recordClimate = climateOfRecord(record, VEGA_AT['New York'])!;
		const s = scenariosOf(record, recordClimate, 2014, null)[2]!;
		const from = dayInYear(2014, recordClimate.middle) - 183;
		let sum = 0;
		let on = 0;
		for (const d of days.filter((x) => x.day >= from)) {
			sum += Math.max(0, (d.low + d.high) / 2 - 10);
			if (sum >= 500) {
				on = d.day;
				break;
			}
		}
		const told = momentsIn(by({ by: 'degree_days', sum: 500, base: 10, since: 'midwinter' }), s, recordClimate, box);
		expect(told.map(isoOf)).toContain(isoOf(on));
	});

	it('a warm spring opens them earlier, a cold one later, and the spread narrows as it goes', () => {
		const spring = (shift: number): Sharpening => ({
			today: TODAY,
			forecast: null,
			observed: Array.from({ length: 150 }, (_, i) => {
				const day = TODAY - 149 + i;
				const n = cold.recordClimate.normals;
				const doy = day - dayInYear(2026, 1);
				return { day, low: n.low[doy]! + shift, high: n.high[doy]! + shift, rain: 0 };
			})
		});
		const opens = (shift: number) =>
			windowOdds(semiRipe, cold.sharpened(spring(shift)), cold.recordClimate, box).likely.find((l) =>
				isoOf(l.opens.p50).startsWith('2026')
			)!.opens;
		const before = windowOdds(semiRipe, cold.scenarios, cold.recordClimate, box).likely.find((l) =>
			isoOf(l.opens.p50).startsWith('2026')
		)!.opens;
		expect(opens(3).p50).toBeLessThan(opens(0).p50 - 3);
		expect(opens(-2).p50).toBeGreaterThan(opens(0).p50 + 2);
		expect(opens(0).p90 - opens(0).p10).toBeLessThan(before.p90 - before.p10);
	});

	it('what a person saw moves them at once, in its own season only', () => {
		const seen = [{ event: 'semi-ripe' as const, day: dayNumber('2026-06-04') }];
		const odds = windowOdds(semiRipe, cold.scenarios, cold.recordClimate, box, seen);
		const [last, now, next] = odds.likely.map((l) => l.opens).slice(-3);
		expect(now!.p10).toBe(dayNumber('2026-06-04'));
		expect(now!.p90).toBe(dayNumber('2026-06-04'));
		expect(next!.p90).toBeGreaterThan(next!.p10);
		expect(last!.p50).toBeLessThan(dayNumber('2026-01-01'));
		expect(odds.on(dayNumber('2026-06-05'))).toBe(1);
	});

	it('flowers over and soil freezing lie where they must', () => {
		const s = cold.scenarios[0]!;
		const opens = momentsIn(iris.bloom!.opens, s, cold.recordClimate, iris);
		expect(momentsIn(by({ by: 'bloom_over' }, 7), s, cold.recordClimate, iris)).toEqual(opens.map((d) => d + 35));
		expect(momentsIn(by({ by: 'bloom_over' }), s, cold.recordClimate, box)).toEqual([]);
		for (const freeze of momentsIn(by({ by: 'soil_freeze' }), s, cold.recordClimate, box)) {
			const month = isoOf(freeze).slice(5, 7);
			expect(['10', '11', '12', '01', '02']).toContain(month);
		}
	});

	it('frost at a chance comes later the smaller the chance, and nights in their order', () => {
		const after = (chance: number) => usual(cold, by({ by: 'frost_chance', chance, side: 'spring' }))!.doy;
		expect(after(0.05)).toBeGreaterThan(after(0.2));
		expect(after(0.2)).toBeGreaterThan(after(0.5));
		const above = (c: number) => usual(cold, by({ by: 'nights_above', c }))!.doy;
		expect(above(10)).toBeGreaterThan(above(5));
		const below = (c: number) => usual(cold, by({ by: 'nights_below', c }))!.doy;
		expect(below(2)).toBeGreaterThan(below(7));
	});

	it('suitability is the share of years, between 0 and 1, and 1 in the middle', () => {
		const odds = windowOdds(semiRipe, cold.scenarios, cold.recordClimate, box);
		const now = odds.likely.find((l) => isoOf(l.opens.p50).startsWith('2026'))!;
		expect(odds.on(Math.round((now.opens.p90 + now.closes.p10) / 2))).toBe(1);
		expect(odds.on(dayNumber('2026-01-15'))).toBe(0);
		fc.assert(
			fc.property(fc.integer({ min: TODAY - 100, max: TODAY + 400 }), (day) => {
				const v = odds.on(day);
				expect(v).toBeGreaterThanOrEqual(0);
				expect(v).toBeLessThanOrEqual(1);
			})
		);
	});
});

describe('every rule in every climate', () => {
	const rules: SeasonRule[] = [
		...[100, 800, 5000].map((sum): SeasonRule => ({ by: 'degree_days', sum, base: 5, since: 'bud_break' })),
		{ by: 'degree_days', sum: 300, base: 10, since: 'bloom' },
		{ by: 'day_length', hours: 13, going: 'down' },
		{ by: 'nights_above', c: 12 },
		{ by: 'nights_below', c: 5 },
		{ by: 'bloom_over' },
		{ by: 'soil_freeze' },
		{ by: 'frost_chance', chance: 0.1, side: 'autumn' },
		{ by: 'shoot', is: 'hard' },
		{ by: 'rains', edge: 'start' }
	];
	for (const [name, climate] of Object.entries({ north, south, tropics, arctic, equator: { ...tropics, latitude: 0 } }))
		it(`${name}: days come in order, openings end after they begin, and the plain form agrees with the record`, () => {
			const w = world(climate);
			for (const rule of rules) {
				expect(seasonRule.safeParse(rule).success).toBe(true);
				expect(sayMoment(by(rule, 14))).toMatch(/^2 weeks after .+/);
				for (const s of w.scenarios.slice(0, 6)) {
					const days = momentsIn(by(rule), s, w.recordClimate, iris);
					expect([...days].sort((a, b) => a - b)).toEqual(days);
				}
				const window: WindowRule = { opens: by(rule), closes: { from: 'longest_day', days: 40 }, no_frost: 'by_season' };
				const odds = windowOdds(window, w.scenarios, w.recordClimate, iris);
				for (const list of odds.byYear) for (const o of list) expect(o.closes).toBeGreaterThanOrEqual(o.opens);
				expect(sayRule(window)).toContain('the longest day');
			}
		});

	it('a garden without frost keeps an all-year window open', () => {
		const w = world(tropics);
		const odds = windowOdds({ ...semiRipe, no_frost: 'all_year' }, w.scenarios, w.recordClimate, box);
		for (let day = TODAY - 90; day < TODAY + 450; day += 30) expect(odds.on(day)).toBe(1);
	});

	it('with a dry season, a window with the rains opens and shuts with them, for the planner as for the odds', () => {
		const w = world({ ...tropics, latitude: 14 });
		const rule: WindowRule = { ...semiRipe, no_frost: 'with_rains' };
		const odds = windowOdds(rule, w.scenarios, w.recordClimate, box);
		const { start, end } = w.recordClimate.rains!;
		const wet = dayInYear(2026, start + Math.round((((end - start + 365) % 365) as number) / 2));
		expect(odds.on(wet)).toBeGreaterThan(0.9);
		expect(odds.on(wet + 183)).toBeLessThan(0.2);
		const [plain] = openings(rule, wet, wet, w.recordClimate.climate);
		expect(plain!.opens).toBeLessThanOrEqual(wet);
		expect(plain!.closes - plain!.opens).toBe((end - start + 365) % 365);
	});

	it('finds wet and dry seasons near the equator, and none where rain falls all the year', () => {
		expect(world({ ...tropics, latitude: 14 }).recordClimate.rains).not.toBeNull();
		expect(world(north).recordClimate.rains).toBeNull();
		const days = vegaCity('New York').map((d) => ({ ...d, day: dayNumber(d.date) }));
		expect(climateOfRecord(recordOfDays(days), VEGA_AT['New York'])!.rains).toBeNull();
	});

	it('a year that is missing from the record, and leap days, change little', () => {
		const record = madeRecord(north, TODAY);
		const holed = recordOfDays(daysOf(record).filter((d) => isoOf(d.day).slice(0, 4) !== '2010'));
		const [a, b] = [climateOfRecord(record, north)!, climateOfRecord(holed, north)!];
		expect(b.years).toHaveLength(a.years.length - 1);
		expect(Math.abs(a.climate.lastFrost!.doy - b.climate.lastFrost!.doy)).toBeLessThan(4);
		const leap = scenariosOf(record, a, 2028, null);
		expect(leap[0]!.low).toHaveLength(365 + 365 + 366 + 365);
		expect(leap.every((s) => s.low.every(Number.isFinite))).toBe(true);
	});
});

describe('a moment resolved for a garden', () => {
	it('is used by the planner in place of the plain form', () => {
		const rule: WindowRule = {
			opens: { ...by({ by: 'shoot', is: 'semi-ripe' }), days: 45, at: { doy: 170, sd: 6 } },
			closes: { from: 'first_frost', days: -20 },
			no_frost: 'all_year'
		};
		const [first] = openings(rule, dayInYear(2027, 1), dayInYear(2027, 365), north).filter((o) => o.opens >= dayInYear(2027, 1));
		expect(first!.opens).toBe(dayInYear(2027, 170));
		expect(first!.opensSd).toBe(6);
		const plain = openings({ ...rule, opens: { from: 'last_frost', days: 45 } }, dayInYear(2027, 1), dayInYear(2027, 365), north);
		expect(plain.find((o) => o.opens >= dayInYear(2027, 1))!.opens).toBe(dayInYear(2027, north.lastFrost!.doy) + 45);
	});
});
