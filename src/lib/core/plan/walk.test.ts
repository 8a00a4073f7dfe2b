/** Batches walked through the seasons: how long each stage takes and when planting comes. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber, isoOf } from '../dates.js';
import { chanceInTime, stageDays, walk } from './index.js';
import { north, south } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';

const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const day = dayNumber;

describe('how long a stage takes', () => {
	it('goes through low, usual and high at one in ten, one in two, nine in ten', () => {
		expect([0.1, 0.5, 0.9].map((q) => stageDays([21, 35, 56], q))).toEqual([21, 35, 56]);
		fc.assert(
			fc.property(fc.double({ min: 0.01, max: 0.98, noNaN: true }), (q) => {
				expect(stageDays([21, 35, 56], q + 0.01)).toBeGreaterThanOrEqual(stageDays([21, 35, 56], q));
			})
		);
	});
});

describe('walking a batch through the seasons', () => {
	it('roots in summer, winters, and is planted when the season is right', () => {
		const w = walk(lavender, semiRipe, day('2027-07-12'), 0.5, north)!;
		expect(w.steps.map((s) => s.stage.to)).toEqual(['rooted', 'potted', 'wintered', 'ready', 'planted']);
		expect(isoOf(w.steps[0]!.to)).toBe('2027-08-16');
		expect(isoOf(w.steps[2]!.to)).toBe('2028-04-13');
		// Sixty-five days of growth, of which 56 fall before leaf fall; the rest after bud break.
		expect(w.planted).toBeGreaterThan(day('2028-04-13'));
		expect(w.planted).toBeLessThan(day('2028-06-05'));
	});

	it('knows no winter where there is none, and the other winter in the south', () => {
		const mild = { ...north, lastFrost: null, firstFrost: null, coldestC: 8 };
		expect(walk(lavender, semiRipe, day('2027-07-12'), 0.5, mild)!.steps.map((s) => s.stage.to)).not.toContain('wintered');
		const w = walk(lavender, semiRipe, day('2028-02-15'), 0.5, south)!;
		expect(w.steps.map((s) => s.stage.to)).toContain('wintered');
		expect(isoOf(w.planted).slice(0, 7)).toMatch(/2028-(09|10|11)/);
	});

	it('is never planted earlier when things go slower', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 700 }), fc.double({ min: 0.05, max: 0.9, noNaN: true }), (after, q) => {
				const on = day('2027-01-01') + after;
				expect(walk(lavender, semiRipe, on, q + 0.05, north)!.planted).toBeGreaterThanOrEqual(
					walk(lavender, semiRipe, on, q, north)!.planted
				);
			})
		);
	});

	it('goes through every winter until it is planted, and counts none twice', () => {
		const holly = kind('holly');
		const winters = (on: string, winteredOn: string | null) =>
			walk(holly, holly.ways[0]!, day(on), 0.9, north, null, winteredOn === null ? null : day(winteredOn))!.steps.filter(
				(s) => s.stage.to === 'wintered'
			).length;
		expect(winters('2027-09-20', null)).toBeGreaterThanOrEqual(2);
		expect(winters('2027-09-20', '2028-05-01')).toBe(winters('2027-09-20', null) - 1);
	});

	it('gives the share of luck that is in time', () => {
		expect(chanceInTime((q) => 1000 + q * 100, 1050)).toBe(0.5);
		expect(chanceInTime(() => 1000, 1000)).toBe(1);
		expect(chanceInTime(() => null, 1000)).toBe(0);
	});
});
