/** A living batch: what its checks leave to come, exactly where it can be summed by hand, and unmoved by what says nothing. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { outcome } from '../odds/chain.js';
import { atLeast, meanCount } from '../odds/strike.js';
import { rootingAfter } from '../odds/rooting.js';
import type { StageName } from '../handbook/schema.js';
import { forecast, growthClock } from './index.js';
import type { StandingCohort } from './index.js';
import { seasonOfClimate } from '../season/season.js';
import { north } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';
import { batchOf, yearsOf } from '../../../testing/plans.js';
import { beliefsOf } from './beliefs.js';

const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const day = dayNumber;
const cohort = (stage: StandingCohort['stage'], count: number, since: string, aliveOn = since): StandingCohort => ({
	stage,
	count,
	since: day(since),
	aliveOn: day(aliveOn)
});
const at = (cohorts: StandingCohort[], planted = 0) => ({ standing: { cohorts, planted, struckOn: day('2027-07-12') } });
const odds = beliefsOf(semiRipe, {}, 0.1);
const chain = (...stages: StageName[]) => stages.map((s) => odds.get(s)!);

describe('a living batch', () => {
	const struck = { struckOn: day('2027-07-12'), pieces: 20 };

	// One year as it usually goes, nothing planted before growth has begun, and all ready well before it rests again.
	const spring = {
		...lavender,
		plant_out: [
			{
				...lavender.plant_out[1]!,
				opens: { from: 'bud_break' as const, days: 3 },
				closes: { from: 'first_frost' as const, days: -5 }
			}
		]
	};
	const quick = {
		...semiRipe,
		stages: semiRipe.stages.map((s) => ({
			...s,
			days: [0.95 * s.days[1], s.days[1], 1.05 * s.days[1]] as [number, number, number]
		}))
	};
	const even = yearsOf(spring, { ...north, lastFrost: { doy: 125, sd: 0 }, firstFrost: { doy: 285, sd: 0 } }, struck.struckOn);

	it('untouched, is the chain of its stages, for every luck crosses one whole winter', () => {
		const f = forecast(batchOf(spring, quick, north, { ...struck, years: even }));
		const all = outcome(chain('rooted', 'potted', 'wintered', 'ready', 'planted'), 20);
		f.pmf.forEach((p, k) => expect(p).toBeCloseTo(all[k]!, 9));
		expect(f.ahead.map((a) => a.stage)).toEqual(['rooted', 'potted', 'wintered', 'ready', 'planted']);
	});

	it('after a check, what was seen replaces what was guessed and the rest keeps its odds', () => {
		const today = day('2028-05-01');
		const seen = cohort('rooted', 12, '2028-05-01');
		const f = forecast(batchOf(spring, quick, north, { ...struck, ...at([seen]), today, years: even }));
		const rest = outcome(chain('potted', 'ready', 'planted'), 12);
		rest.forEach((p, k) => expect(f.pmf[k]).toBeCloseTo(p, 9));
	});

	it('its own counts weigh on its own chance more than on the way’s', () => {
		// Of 12 potted 2 have lived: by the batch's own Beta given the way's mean, not by adding to the handbook's.
		const own = beliefsOf(semiRipe, {}, 0.1, { ready: { passed: 2, failed: 10 } });
		const f = forecast(
			batchOf(lavender, semiRipe, north, {
				...struck,
				...at([cohort('potted', 8, '2027-09-01')]),
				today: day('2028-04-20'),
				odds: own
			})
		);
		const g = forecast(
			batchOf(lavender, semiRipe, north, { ...struck, ...at([cohort('potted', 8, '2027-09-01')]), today: day('2028-04-20') })
		);
		expect(meanCount(f.pmf)).toBeLessThan(0.6 * meanCount(g.pmf));
	});

	it('slow pieces lose hope as time goes by', () => {
		const still = (on: string) => {
			const days = day(on) - day('2027-07-12');
			const rooting = rootingAfter(
				{ chance: odds.get('rooted')!, days: [21, 35, 56] },
				{ epochs: [{ from: 0, died: [], rooted: [], left: 20, seen: days, counted: true }], signs: [] }
			);
			return meanCount(forecast(batchOf(lavender, semiRipe, north, { ...struck, rooting, today: day(on) })).pmf);
		};
		expect(still('2027-08-01')).toBeGreaterThan(still('2027-08-30'));
		expect(still('2027-08-30')).toBeGreaterThan(still('2027-10-30'));
	});

	it('a few laggards do not make the rest late', () => {
		const due = day('2028-06-10');
		const today = day('2027-09-01');
		const main = cohort('potted', 18, '2027-09-01');
		const one = forecast(batchOf(lavender, semiRipe, north, { ...struck, ...at([main]), today, due }));
		const two = forecast(
			batchOf(lavender, semiRipe, north, {
				...struck,
				...at([main, cohort('unrooted', 2, '2027-07-12', '2027-08-30')]),
				today,
				due
			})
		);
		expect(two.inTime).toBeCloseTo(one.inTime, 9);
		expect(atLeast(two.pmf, 10)).toBeGreaterThanOrEqual(atLeast(one.pmf, 10) - 1e-3);
		expect(two.pmf.reduce((s, w) => s + w, 0)).toBeCloseTo(1, 9);
	});

	it('two cohorts alike are one, and order does not matter', () => {
		const today = day('2027-09-10');
		const f = (...c: StandingCohort[]) => forecast(batchOf(lavender, semiRipe, north, { ...struck, ...at(c), today })).pmf;
		const [one, two, turned] = [
			f(cohort('potted', 9, '2027-09-01')),
			f(cohort('potted', 4, '2027-09-01'), cohort('potted', 5, '2027-09-01')),
			f(cohort('potted', 5, '2027-09-01'), cohort('potted', 4, '2027-09-01'))
		];
		one!.forEach((p, k) => {
			expect(two![k]).toBeCloseTo(p, 12);
			expect(turned![k]).toBeCloseTo(p, 12);
		});
	});

	it('each cohort goes on from the day it came there: twenty rooted on two days are not planted on one', () => {
		const today = day('2027-08-28');
		const dates = (...c: StandingCohort[]) =>
			forecast(batchOf(lavender, semiRipe, north, { ...struck, ...at(c), today })).planted!;
		const early = dates(cohort('potted', 19, '2027-06-01', '2027-08-28'));
		const late = dates(cohort('potted', 19, '2027-08-20', '2027-08-28'));
		expect(late.usual).toBeGreaterThan(early.usual);
	});

	it('in the ground, is done', () => {
		const f = forecast(batchOf(lavender, semiRipe, north, { ...struck, ...at([], 9) }));
		expect(f.pmf[9]).toBe(1);
		expect(f.inTime).toBe(1);
	});

	it('late by today is not planted in the past', () => {
		const f = forecast(batchOf(lavender, semiRipe, north, { struckOn: day('2025-07-12'), pieces: 20, today: day('2027-07-20') }));
		expect(f.planted!.quick).toBeGreaterThanOrEqual(day('2027-07-20'));
	});
});

describe('winters', () => {
	const spring = (aliveOn: string) =>
		meanCount(
			forecast(
				batchOf(lavender, semiRipe, north, {
					struckOn: day('2027-07-12'),
					pieces: 10,
					...at([cohort('potted', 10, '2027-09-01', aliveOn)]),
					today: day('2028-04-25')
				})
			).pmf
		);
	it('only a count of the living proves one passed', () => {
		const winter = odds.get('wintered')!;
		const mean = winter.alpha / (winter.alpha + winter.beta);
		expect(spring('2027-10-01') / spring('2028-04-20')).toBeCloseTo(mean, 1);
	});
	it('part of one counts for its part: the later in it they were counted, the less is left to fear', () => {
		const counted = ['2027-10-20', '2027-12-20', '2028-02-01', '2028-03-20', '2028-04-20'].map((d) => spring(d));
		for (let i = 1; i < counted.length; i++) expect(counted[i]!).toBeGreaterThan(counted[i - 1]!);
	});
	it('in May there is none', () => {
		expect(spring('2028-04-25')).toBeCloseTo(spring('2028-04-20'), 1);
	});
});

describe('rods that wait for growth', () => {
	it('twenty willow rods struck on 20 November lose no hope by 1 March, for nothing has grown', () => {
		const willow = kind('willow');
		const way = willow.ways[0]!;
		const season = seasonOfClimate(north);
		const struckOn = day('2027-11-20');
		const clock = growthClock(struckOn, season);
		const rods = beliefsOf(way, {}, 0.1);
		const looked = (on: string | null) => {
			const seen = on === null ? 0 : clock.at(day(on));
			const rooting =
				on === null
					? null
					: rootingAfter(
							{ chance: rods.get('rooted')!, days: way.stages[0]!.days },
							{ epochs: [{ from: 0, died: [], rooted: [], left: 20, seen, counted: true }], signs: [] }
						);
			return meanCount(
				forecast(batchOf(willow, way, north, { struckOn, pieces: 20, clock, rooting, today: day(on ?? '2027-11-20') })).pmf
			);
		};
		expect(looked('2028-03-01')).toBeCloseTo(looked(null), 1);
		expect(looked('2028-04-10')).toBeCloseTo(looked(null), 1);
		expect(looked('2028-08-10')).toBeLessThan(0.8 * looked(null));
	});
});
