/** Batches walked through the seasons: how long each stage takes and when planting comes. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber, isoOf } from '../dates.js';
import type { Climate } from '../season/climate.js';
import { seasonOfClimate, wintersIn } from '../season/season.js';
import { grownBy, plantedFrom, plantingDay, walk, wintersOf, yearOfSeason } from './index.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';
import { afterGrowth } from '../season/index.js';

const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const day = dayNumber;
const go = (c: Climate, on: string, more: Partial<Parameters<typeof walk>[0]> = {}) =>
	walk({ kind: lavender, way: semiRipe, start: day(on), season: seasonOfClimate(c), ...more });

describe('walking a batch through the seasons', () => {
	it('roots in summer, winters, and is planted when the season is right', () => {
		const w = go(north, '2027-07-12')!;
		expect(w.steps.map((s) => s.stage.to)).toEqual(['rooted', 'potted', 'wintered', 'ready', 'planted']);
		expect(isoOf(w.steps[0]!.to)).toBe('2027-08-16');
		expect(isoOf(w.steps[2]!.to)).toBe('2028-04-13');
		// Sixty-five days of growth, of which 56 fall before leaf fall; the rest after bud break.
		expect(w.planted).toBeGreaterThan(day('2028-04-13'));
		expect(w.planted).toBeLessThan(day('2028-06-05'));
	});

	it('knows no winter where there is none, and the other winter in the south', () => {
		const mild = { ...north, lastFrost: null, firstFrost: null, coldestC: 8 };
		expect(go(mild, '2027-07-12')!.steps.map((s) => s.stage.to)).not.toContain('wintered');
		const w = go(south, '2028-02-15')!;
		expect(w.steps.map((s) => s.stage.to)).toContain('wintered');
		expect(isoOf(w.planted).slice(0, 7)).toMatch(/2028-(09|10|11)/);
	});

	it('is never planted earlier when things go slower, nor before today', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 700 }), fc.double({ min: -1.6, max: 1.2, noNaN: true }), (after, luck) => {
				const on = isoOf(day('2027-01-01') + after);
				expect(go(north, on, { luck: luck + 0.3 })!.planted).toBeGreaterThanOrEqual(go(north, on, { luck })!.planted);
				const today = day(on) + 900;
				expect(go(north, on, { today })!.planted).toBeGreaterThanOrEqual(today);
			}),
			{ numRuns: 60 }
		);
	});

	it('goes through every winter until it is planted, and counts none twice', () => {
		const holly = kind('holly');
		const winters = (aliveOn: string | null) =>
			walk({
				kind: holly,
				way: holly.ways[0]!,
				start: day('2027-09-20'),
				season: seasonOfClimate(north),
				luck: 1.28,
				aliveOn: aliveOn === null ? null : day(aliveOn)
			})!.steps.filter((s) => s.stage.to === 'wintered').length;
		expect(winters(null)).toBeGreaterThanOrEqual(2);
		expect(winters('2028-05-01')).toBe(winters(null) - 1);
	});
});

describe('a year in plain lists', () => {
	it('grows, rests, plants and winters as the season it was read from', () => {
		const kinds = ['lavender', 'box', 'dahlia', 'willow'].map(kind);
		fc.assert(
			fc.property(
				fc.constantFrom(...kinds),
				fc.constantFrom(north, south, tropics, arctic),
				fc.integer({ min: 0, max: 900 }),
				fc.integer({ min: 0, max: 250 }),
				(k, c, after, days) => {
					const season = seasonOfClimate(c);
					const from = day('2027-01-01');
					const year = yearOfSeason(season, k, from);
					const on = from + after;
					expect(grownBy(year, on, days)).toBe(afterGrowth(season, on, days));
					expect(plantedFrom(year, on)).toBe(plantingDay(k, on, season));
					expect(wintersOf(year, on, on + days)).toBeCloseTo(wintersIn(season, on, on + days), 12);
				}
			),
			// The last day of a rest, and nothing left to grow.
			{ numRuns: 150, examples: [[kind('lavender'), south, 623, 0]] }
		);
	});
});
