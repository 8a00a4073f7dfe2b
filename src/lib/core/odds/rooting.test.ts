/** Time to root and what looks teach: against a statistics library, enumeration, and the facts of the trade. */
import { jStat } from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ROOT_SIGNS, rootingAfter, rootingDates, SIGN_ODDS, warmthDays } from './rooting.js';
import type { Look, RootingPrior } from './rooting.js';

const prior: RootingPrior = { chance: { alpha: 8, beta: 2 }, days: [16, 26, 45] };
const look = (at: number, showing: number, looked = 10, sign: Look['sign'] = 'resists a tug'): Look => ({
	at,
	looked,
	showing,
	sign
});

describe('before any look', () => {
	const r = rootingAfter(prior, []);
	it('low, usual and high days of the handbook are met', () => {
		for (const [day, share] of [
			[16, 0.1],
			[26, 0.5],
			[45, 0.9]
		] as const)
			expect(Math.abs(r.share(day) - share), `day ${day}`).toBeLessThan(0.025);
		expect(r.chance).toBeCloseTo(0.8, 2);
		expect(r.pace).toBeCloseTo(1, 6);
	});
	it('with even spread it is the log-normal distribution function of jStat', () => {
		const even: RootingPrior = { chance: { alpha: 40, beta: 10 }, days: [10, 20, 40] };
		const e = rootingAfter(even, []);
		for (const day of [8, 14, 20, 30, 55]) {
			const sigma = Math.log(2) / 1.2815515655446004;
			expect(Math.abs(e.share(day) - jStat.lognormal.cdf(day, Math.log(20), sigma)), `day ${day}`).toBeLessThan(0.012);
		}
	});
	it('rises with time, and hope falls', () => {
		fc.assert(
			fc.property(fc.double({ min: 1, max: 120, noNaN: true }), (day) => {
				expect(r.rooted(day + 1)).toBeGreaterThanOrEqual(r.rooted(day));
				expect(r.hope(day + 1)).toBeLessThanOrEqual(r.hope(day) + 1e-9);
				expect(r.rooted(day)).toBeLessThanOrEqual(r.chance + 1e-9);
			})
		);
		expect(r.rooted(0)).toBe(0);
	});
});

describe('after looks', () => {
	it('agrees with enumeration: sampling batches by the thousand and keeping those that would have shown the same', () => {
		// Numerical Recipes' generator; a normal by the sum of twelve.
		let state = 7;
		const u = () => (state = (1664525 * state + 1013904223) % 2 ** 32) / 2 ** 32;
		const normal = () => Array.from({ length: 12 }, u).reduce((a, b) => a + b, -6);
		const looks = [look(20, 1, 6), look(28, 4, 6)];
		const r = rootingAfter({ chance: { alpha: 3, beta: 2 }, days: [12, 24, 48] }, looks);
		const spread = Math.sqrt((Math.log(2) / 1.2815515655446004) ** 2 - 0.22 ** 2);
		const gamma = (k: number) => Array.from({ length: k }, () => -Math.log(u() + 1e-12)).reduce((a, b) => a + b, 0);
		let weight = 0;
		let rooted = 0;
		let chance = 0;
		for (let run = 0; run < 60_000; run++) {
			const [a, b] = [gamma(3), gamma(2)];
			const p = a / (a + b);
			const slow = 0.22 * normal();
			const by = (at: number) => p * jStat.normal.cdf((Math.log(at / 24) - slow) / spread, 0, 1);
			const s = SIGN_ODDS['resists a tug'];
			let w = 1;
			for (const l of looks) {
				const q = s.rooted * by(l.at) + s.not * (1 - by(l.at));
				w *= jStat.binomial.pdf(l.showing, l.looked, q);
			}
			weight += w;
			chance += w * p;
			rooted += w * by(30);
		}
		expect(Math.abs(r.chance - chance / weight)).toBeLessThan(0.015);
		expect(Math.abs(r.rooted(30) - rooted / weight)).toBeLessThan(0.015);
	});
	it('good signs early make it quicker and surer, bad signs late the contrary', () => {
		const good = rootingAfter(prior, [look(16, 8)]);
		const bad = rootingAfter(prior, [look(45, 1)]);
		const none = rootingAfter(prior, []);
		expect(good.pace).toBeLessThan(1);
		expect(good.rooted(20)).toBeGreaterThan(none.rooted(20));
		expect(bad.chance).toBeLessThan(none.chance);
		expect(bad.hope(50)).toBeLessThan(none.hope(20));
	});
	it('stronger signs teach more than weak ones, in the order of the trade', () => {
		const after = (sign: Look['sign']) => rootingAfter(prior, [look(24, 10, 10, sign)]).rooted(24);
		const order = (['roots seen', 'resists a tug', 'new growth', 'firm'] as const).map(after);
		for (let i = 1; i < order.length; i++) expect(order[i - 1]!).toBeGreaterThan(order[i]!);
		expect(after('rot')).toBeLessThan(after('none'));
		expect(after('none')).toBeLessThan(order[3]!);
		expect(ROOT_SIGNS.every((s) => SIGN_ODDS[s].rooted <= 1 && SIGN_ODDS[s].not <= 1)).toBe(true);
	});
	it('impossible looks teach nothing, and twenty looks stay in bounds', () => {
		expect(rootingAfter(prior, [look(20, 12, 10), look(-3, 1), look(10, 0, 0)]).chance).toBe(rootingAfter(prior, []).chance);
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						at: fc.double({ min: 0, max: 200, noNaN: true }),
						looked: fc.integer({ min: 1, max: 50 }),
						share: fc.double({ min: 0, max: 1, noNaN: true }),
						sign: fc.constantFrom(...ROOT_SIGNS)
					}),
					{ maxLength: 20 }
				),
				(all) => {
					const r = rootingAfter(
						prior,
						all.map((l) => ({ ...l, showing: Math.round(l.share * l.looked) }))
					);
					for (const at of [5, 30, 100]) {
						expect(r.rooted(at)).toBeGreaterThanOrEqual(0);
						expect(r.rooted(at)).toBeLessThanOrEqual(1);
						expect(Number.isFinite(r.hope(at))).toBe(true);
					}
				}
			)
		);
	});
});

describe('dates and warmth', () => {
	it('warmth speeds, cold stands still', () => {
		expect(warmthDays(18)).toBe(1);
		expect(warmthDays(5)).toBe(0);
		expect(warmthDays(-3)).toBe(0);
		expect(warmthDays(11.5)).toBeCloseTo(0.5, 10);
		expect(warmthDays(40)).toBeLessThan(1.5);
	});
	it('soft cuttings of two to four weeks: a look after the second week, given up some weeks after the fourth (common practice, no source)', () => {
		const r = rootingAfter({ chance: { alpha: 17, beta: 3 }, days: [14, 20, 30] }, []);
		const d = rootingDates(r, 0, () => 1);
		expect(d.look!).toBeGreaterThan(13);
		expect(d.look!).toBeLessThan(28);
		expect(d.eighty!).toBeGreaterThan(20);
		expect(d.eighty!).toBeLessThan(32);
		expect(d.half!).toBeGreaterThan(18);
		expect(d.half!).toBeLessThan(23);
		expect(d.giveUp!).toBeGreaterThan(d.eighty!);
		expect(d.giveUp!).toBeLessThan(70);
	});
	it('are those that asking day by day gives', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 1.3, noNaN: true }),
				fc.double({ min: 0, max: 30, noNaN: true }),
				fc.integer({ min: 0, max: 8 }),
				(pace, at, showing) => {
					const r = rootingAfter(prior, at > 5 ? [look(at / 2, showing, 10, 'counted')] : []);
					const since = at > 5 ? at / 2 : 0;
					const d = rootingDates(r, at, () => pace, since);
					const first = (share: number) => {
						for (let day = 0; day <= 500; day++) if (r.rootedSince(since, at + day * pace) >= share * r.hope(since)) return day;
						return null;
					};
					for (const [got, share] of [
						[d.half, 0.5],
						[d.eighty, 0.8]
					] as const) {
						const want = first(share);
						if (want === null || got === null) expect(got === null || got > 480).toBe(want === null || want > 480);
						else expect(Math.abs(got - want)).toBeLessThanOrEqual(1);
					}
				}
			),
			{ numRuns: 60 }
		);
	});
	it('in the cold all comes later, or not at all', () => {
		const r = rootingAfter(prior, []);
		const warm = rootingDates(r, 0, () => 1);
		const cool = rootingDates(r, 0, () => 0.5);
		expect(cool.eighty!).toBeGreaterThan(1.8 * warm.eighty!);
		expect(rootingDates(r, 0, () => 0)).toEqual({ half: null, eighty: null, look: null, giveUp: null });
	});
});

describe('looks at the same pieces, and pieces that died', () => {
	it('an interval-censored look is the difference of the distribution function at its ends', () => {
		const r = rootingAfter({ chance: { alpha: 80, beta: 20 }, days: [10, 20, 40] }, []);
		for (const [a, b] of [
			[10, 20],
			[20, 40],
			[0, 15]
		] as const)
			expect(r.rootedSince(a, b)).toBeCloseTo((r.rooted(b) - r.rooted(a)) / (1 - r.rooted(a)), 6);
		expect(r.rootedSince(30, 20)).toBe(0);
	});
	it('two looks at the same pieces teach what one at the end does when all came in one span', () => {
		// None of ten by day 16, then six: against telling the two looks as if they were of twenty pieces.
		const same = rootingAfter(prior, [look(16, 0, 10, 'counted'), { ...look(30, 6, 10, 'counted'), since: 16 }]);
		// After six of ten the chance lies between what was seen and the handbook's.
		expect(same.chance).toBeGreaterThan(0.6);
		expect(same.chance).toBeLessThan(0.85);
	});
	it('deaths lower the chance as failures do: conjugate when no look was taken', () => {
		const r = rootingAfter({ chance: { alpha: 6, beta: 3 }, days: [10, 20, 40] }, [], 5);
		expect(r.chance).toBeCloseTo(6 / (6 + 3 + 5), 2);
	});
});
