/** A living batch: what its checks leave to come. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { betaOf } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import { outcome } from '../odds/chain.js';
import { atLeast } from '../odds/strike.js';
import { stageOdds } from '../evidence/evidence.js';
import type { StageName } from '../handbook/schema.js';
import { forecast, shareRooted } from './index.js';
import { north } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';

const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const day = dayNumber;

describe('a living batch', () => {
	const odds = new Map<StageName, Beta>(semiRipe.stages.map((s) => [s.to, stageOdds(s, {})]));
	const at = {
		unrooted: 20,
		rooted: 0,
		potted: 0,
		planted: 0,
		aliveOn: null,
		struckOn: day('2027-07-12'),
		since: day('2027-07-12'),
		lookedOn: null,
		seen: {}
	};
	const today = day('2027-07-20');

	it('untouched, is the chain of its stages', () => {
		const f = forecast(lavender, semiRipe, at, odds, today, null, north);
		const chain = outcome(
			['rooted', 'potted', 'wintered', 'ready', 'planted'].map((s) => odds.get(s as StageName)!),
			20
		);
		f.pmf.forEach((p, k) => expect(p).toBeCloseTo(chain[k]!, 12));
	});

	it('after a check, what was seen replaces what was guessed and the rest keeps its odds', () => {
		const seen = { rooted: { passed: 12, failed: 8 } };
		const f = forecast(
			lavender,
			semiRipe,
			{ ...at, unrooted: 0, rooted: 12, since: day('2027-08-16'), seen },
			odds,
			today,
			null,
			north
		);
		const rest = outcome(
			['potted', 'wintered', 'ready', 'planted'].map((s) => odds.get(s as StageName)!),
			12
		);
		rest.forEach((p, k) => expect(f.pmf[k]).toBeCloseTo(p, 12));
	});

	it('half seen, equals enumeration over what may come of the others', () => {
		// 8 rooted, 2 lost, 10 not rooted when looked at on day 35, when half of those that ever root have:
		// of the ten each is slow with p/2 against 1 − p never, p from Beta(α+8, β+2).
		const seen = { rooted: { passed: 8, failed: 2 } };
		const f = forecast(
			lavender,
			semiRipe,
			{ ...at, unrooted: 10, rooted: 8, lookedOn: day('2027-08-16'), seen },
			odds,
			today,
			null,
			north
		);
		const first = odds.get('rooted')!;
		const [a, b] = [first.alpha + 8, first.beta + 2];
		const p = a / (a + b);
		const open = outcome([betaOf(p / 2 / (p / 2 + 1 - p), a + b)], 10);
		const rest = ['potted', 'wintered', 'ready', 'planted'].map((s) => odds.get(s as StageName)!);
		const total = new Float64Array(19);
		open.forEach((w, k) => outcome(rest, 8 + k).forEach((q, j) => (total[j]! += w * q)));
		f.pmf.forEach((w, k) => expect(w).toBeCloseTo(total[k]!, 10));
	});

	it('slow pieces lose hope as time goes by', () => {
		expect(shareRooted([21, 35, 56], 35)).toBeCloseTo(0.5, 10);
		expect(shareRooted([21, 35, 56], 56)).toBeCloseTo(0.9, 10);
		expect(shareRooted([21, 35, 56], 0)).toBe(0);
		const still = (lookedOn: string) =>
			forecast(lavender, semiRipe, { ...at, lookedOn: day(lookedOn) }, odds, day(lookedOn), null, north).pmf.reduce(
				(m, w, k) => m + w * k,
				0
			);
		expect(still('2027-08-01')).toBeGreaterThan(still('2027-08-30'));
		expect(still('2027-08-30')).toBeGreaterThan(still('2027-10-30'));
	});

	it('a few laggards do not make the rest late', () => {
		const due = day('2028-06-10');
		const main = { ...at, unrooted: 0, potted: 18, since: day('2027-09-01') };
		const one = forecast(lavender, semiRipe, main, odds, today, due, north);
		const two = forecast(lavender, semiRipe, { ...main, unrooted: 2, lookedOn: day('2027-08-30') }, odds, today, due, north);
		expect(one.inTime).toBe(two.inTime);
		const atLeastTen = (pmf: Float64Array) => atLeast(pmf, 10);
		expect(atLeastTen(two.pmfInTime)).toBeGreaterThanOrEqual(atLeastTen(one.pmfInTime) - 1e-9);
		expect(two.pmfInTime.reduce((s, w) => s + w, 0)).toBeCloseTo(1, 9);
	});

	it('does not go through a winter twice that it was counted after', () => {
		const spring = { ...at, unrooted: 0, potted: 10, since: day('2027-09-01') };
		const winters = (aliveOn: string) =>
			forecast(lavender, semiRipe, { ...spring, aliveOn: day(aliveOn) }, odds, day('2028-04-25'), null, north).ahead.filter(
				(a) => a.stage === 'wintered'
			).length;
		expect(winters('2027-10-01')).toBe(1);
		expect(winters('2028-04-20')).toBe(0);
	});

	it('in the ground, is done', () => {
		const f = forecast(lavender, semiRipe, { ...at, unrooted: 0, planted: 9 }, odds, today, today, north);
		expect(f.pmf[9]).toBe(1);
		expect(f.inTime).toBe(1);
	});

	it('late by today is not planted in the past', () => {
		const f = forecast(lavender, semiRipe, { ...at, struckOn: day('2025-07-12') }, odds, today, null, north);
		expect(f.planted!.quick).toBeGreaterThanOrEqual(today);
	});
});
