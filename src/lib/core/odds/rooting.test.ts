/** Time to root and what looks teach: against a statistics library, enumeration, and the facts of the trade. */
import { randomBeta, randomExponential, randomLcg, randomNormal } from 'd3-random';
import { jStat } from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	BATCH_SHARE,
	daysAt,
	durationOf,
	luckAt,
	luckOf,
	ROOT_SIGNS,
	rootingAfter,
	rootingDates,
	shareBy,
	SIGN_ODDS,
	warmthDays
} from './index.js';
import { rootingSentence } from './rootingWords.js';
import type { RootingDates } from './rootingDates.js';
import type { Epoch, RootingPrior, RootingSeen, SignLook, ThreeDays } from './index.js';

const prior: RootingPrior = { chance: { alpha: 8, beta: 2 }, days: [16, 26, 45] };
const look = (at: number, showing: number, looked = 10, sign: SignLook['sign'] = 'resists a tug'): SignLook => ({
	at,
	looked,
	showing,
	sign
});
const signs = (...list: SignLook[]): RootingSeen => ({ epochs: [], signs: list });
/** Counts at days: of so many, newly rooted and dead since the last. */
function counts(pieces: number, ...list: [at: number, newly: number, dead: number][]): RootingSeen {
	let from = 0;
	let left = pieces;
	const epochs = list.map(([at, newly, dead]): Epoch => {
		left -= newly + dead;
		const e: Epoch = {
			from,
			died: dead ? [{ after: from, by: at, count: dead }] : [],
			rooted: newly ? [{ by: at, count: newly }] : [],
			left,
			seen: at,
			counted: true
		};
		from = at;
		return e;
	});
	return { epochs, signs: [] };
}

/** Dates as days of the calendar, from the day number 20,731 (5 October 2026). */
const inDays = (d: RootingDates) => {
	const on = (n: number | null) => (n === null ? null : 20_731 + n);
	return { eighty: on(d.eighty), look: on(d.look), giveUp: on(d.giveUp) };
};

describe('how long a stage takes', () => {
	it('meets low, usual and high to 1e-6, however lopsided', () => {
		fc.assert(
			fc.property(
				fc.tuple(
					fc.double({ min: 0.06, max: 1, noNaN: true }),
					fc.double({ min: 1, max: 400, noNaN: true }),
					fc.double({ min: 1, max: 9, noNaN: true })
				),
				([low, usual, high]) => {
					const d = durationOf([low * usual, usual, high * usual]);
					for (const [z, days] of [
						[-1.2815515655446004, low * usual],
						[0, usual],
						[1.2815515655446004, high * usual]
					] as const)
						expect(Math.abs(daysAt(d, z) / days - 1)).toBeLessThan(1e-3);
					expect(daysAt(d, 0)).toBeCloseTo(usual, 9);
				}
			)
		);
		const d = durationOf([21, 35, 56]);
		expect([-1.2815515655446004, 0, 1.2815515655446004].map((z) => daysAt(d, z))).toEqual(
			[21, 35, 56].map((x) => expect.closeTo(x, 9))
		);
		expect(luckAt(d, daysAt(d, 0.7))).toBeCloseTo(0.7, 9);
		expect(daysAt(durationOf([0, 0, 0]), 2)).toBe(0);
	});
	it('over all batches, pieces are through by the handbook’s days', () => {
		// The batch's luck and the piece's make a standard normal: by the trapezoidal rule over the batch's.
		const d = durationOf([18, 20, 22]);
		for (const [day, share] of [
			[18, 0.1],
			[20, 0.5],
			[22, 0.9]
		] as const) {
			let sum = 0;
			let all = 0;
			for (let z = -6; z <= 6; z += 0.05) {
				const w = Math.exp((-z * z) / 2);
				all += w;
				sum += w * shareBy(d, day, z);
			}
			expect(sum / all).toBeCloseTo(share, 6);
		}
	});
});

describe('before any look', () => {
	const r = rootingAfter(prior);
	it('low, usual and high days of the handbook are met, for narrow figures too', () => {
		for (const days of [
			[16, 26, 45],
			[18, 20, 22],
			[5, 30, 31]
		] as const) {
			const s = rootingAfter({ chance: { alpha: 8, beta: 2 }, days });
			[0.1, 0.5, 0.9].forEach((share, i) => expect(s.rooted(days[i]!) / s.chance).toBeCloseTo(share, 6));
		}
		expect(r.chance).toBeCloseTo(0.8, 4);
		expect(r.pace).toBeCloseTo(1, 1);
	});
	it('keeps a chance that is well known: Beta(990, 10) is .99', () => {
		expect(rootingAfter({ chance: { alpha: 990, beta: 10 }, days: [16, 26, 45] }).chance).toBeCloseTo(0.99, 5);
	});
	it('with even spread it is the log-normal distribution function of jStat', () => {
		const e = rootingAfter({ chance: { alpha: 40, beta: 10 }, days: [10, 20, 40] });
		const sigma = Math.log(2) / 1.2815515655446004;
		for (const day of [8, 14, 20, 30, 55])
			expect(e.rooted(day) / e.chance).toBeCloseTo(jStat.lognormal.cdf(day, Math.log(20), sigma), 5);
	});
	it('rises with time, and hope falls', () => {
		fc.assert(
			fc.property(fc.double({ min: 1, max: 120, noNaN: true }), (day) => {
				expect(r.rooted(day + 1)).toBeGreaterThanOrEqual(r.rooted(day));
				expect(r.rooted(day)).toBeLessThanOrEqual(r.chance + 1e-9);
			})
		);
		expect(r.hope(60)).toBeLessThan(r.hope(20));
		expect(r.rooted(0)).toBe(0);
	});
});

/**
 * The same by dice: batches by the thousand, struck and counted piece by piece, of which those are kept that showed
 * just what was seen. Rot times as odds/rooting.ts has them.
 */
function byDice(
	days: ThreeDays,
	chance: { alpha: number; beta: number },
	pieces: number,
	story: [number, number, number][],
	later: number,
	runs: number
) {
	const u = randomLcg(0.271);
	const normal = randomNormal.source(u)();
	const beta = randomBeta.source(u)(chance.alpha, chance.beta);
	const exponential = randomExponential.source(u);
	const d = durationOf(days);
	let kept = 0;
	let rootedLater = 0;
	let ever = 0;
	let left = 0;
	for (let run = 0; run < runs; run++) {
		const p = beta();
		const batch = normal();
		const rot = exponential(1)() && [0.7, 2, 6, 30][Math.floor(u() * 4)]! * days[1];
		const dies = exponential(1 / rot);
		const all = Array.from({ length: pieces }, () =>
			u() < p ? { roots: daysAt(d, luckOf(batch, normal())), dies: Infinity } : { roots: Infinity, dies: dies() }
		);
		let before = 0;
		const same = story.every(([at, newly, dead]) => {
			const now = all.filter((x) => x.roots <= at && x.roots > before).length;
			const gone = all.filter((x) => x.dies <= at && x.dies > before).length;
			before = at;
			return now === newly && gone === dead;
		});
		if (!same) continue;
		kept++;
		for (const x of all)
			if (x.roots > before && x.dies > before) {
				left++;
				if (x.roots < Infinity) ever++;
				if (x.roots <= later) rootedLater++;
			}
	}
	return { kept, now: rootedLater / left, ever: ever / left };
}

describe('after counts', () => {
	const chance = { alpha: 12, beta: 4 };
	const days: ThreeDays = [12, 24, 48];
	it('agrees with batches by dice that showed the same: five rooted and two dead of eight', () => {
		const story: [number, number, number][] = [[24, 4, 2]];
		const dice = byDice(days, chance, 8, story, 40, 150_000);
		expect(dice.kept).toBeGreaterThan(2_000);
		const r = rootingAfter({ chance, days }, counts(8, ...story));
		expect(Math.abs(r.ever - dice.ever)).toBeLessThan(0.03);
		expect(Math.abs(r.now(40) - dice.now)).toBeLessThan(0.03);
	});
	it('and of two counts: none of six by day 20, then three', () => {
		const story: [number, number, number][] = [
			[20, 0, 0],
			[32, 3, 1]
		];
		const dice = byDice(days, chance, 6, story, 60, 400_000);
		expect(dice.kept).toBeGreaterThan(800);
		const r = rootingAfter({ chance, days }, counts(6, ...story));
		expect(Math.abs(r.ever - dice.ever)).toBeLessThan(0.05);
		expect(Math.abs(r.now(60) - dice.now)).toBeLessThan(0.05);
	});
	it('two counts with nothing between them teach what one at the end does', () => {
		const one = rootingAfter({ chance, days }, counts(10, [30, 6, 0]));
		const two = rootingAfter({ chance, days }, counts(10, [30, 6, 0], [30, 0, 0]));
		expect(two.ever).toBeCloseTo(one.ever, 9);
		expect(two.chance).toBeCloseTo(one.chance, 9);
	});
	it('slow batches keep their hope: none of twelve by the slowest day is not none ever', () => {
		const r = rootingAfter({ chance, days }, counts(12, [48, 0, 0]));
		expect(r.now(90)).toBeGreaterThan(0.15);
		expect(r.ever).toBeLessThan(0.6);
	});
	it('pieces given up as a rule do not root: fewer than 1 in 10 of what is found unrooted on the day', () => {
		const r = rootingAfter({ chance, days }, counts(12, [20, 4, 0]));
		const giveUp = rootingDates(r, 20, () => 1).giveUp!;
		expect(r.hope(20 + giveUp)).toBeLessThan(0.13);
	});
	it('another prior weighs the same counts anew, and tells how well it bears them', () => {
		const seen = counts(12, [30, 9, 1]);
		const r = rootingAfter({ chance: { alpha: 6, beta: 4 }, days }, seen);
		const other = rootingAfter({ chance: { alpha: 9, beta: 2 }, days }, seen);
		const as = r.of({ alpha: 9, beta: 2 });
		const mean = as.atoms.reduce((s, atoms, b) => s + as.lucks[b]! * atoms.reduce((t, a) => t + a.w * a.q, 0), 0);
		expect(mean).toBeCloseTo(other.ever, 2);
		expect(as.evidence).toBeGreaterThan(r.of({ alpha: 2, beta: 9 }).evidence);
	});
});

describe('after signs', () => {
	it('agrees with enumeration over batches by the thousand, weighed by what they would have shown', () => {
		const u = randomLcg(0.7);
		const normal = randomNormal.source(u)();
		const beta = randomBeta.source(u)(3, 2);
		const list = [look(28, 4, 6)];
		const days: ThreeDays = [12, 24, 48];
		const r = rootingAfter({ chance: { alpha: 3, beta: 2 }, days }, signs(...list));
		const d = durationOf(days);
		let weight = 0;
		let rooted = 0;
		for (let run = 0; run < 60_000; run++) {
			const p = beta();
			const z = normal();
			const by = (at: number) =>
				p * jStat.normal.cdf((luckAt(d, at) - Math.sqrt(BATCH_SHARE) * z) / Math.sqrt(1 - BATCH_SHARE), 0, 1);
			const s = SIGN_ODDS['resists a tug'];
			const w = jStat.binomial.pdf(4, 6, s.rooted * by(28) + s.not * (1 - by(28)));
			weight += w;
			rooted += w * by(40);
		}
		expect(Math.abs(r.rooted(40) - rooted / weight)).toBeLessThan(0.01);
	});
	it('the same sign on the same pieces five times in a day is one sign', () => {
		const once = rootingAfter(prior, signs(look(20, 10, 10, 'firm')));
		const often = rootingAfter(prior, signs(...Array.from({ length: 5 }, () => look(20, 10, 10, 'firm'))));
		expect(often.now(20)).toBeCloseTo(once.now(20), 12);
	});
	it('good signs early make it quicker and surer, bad signs late the contrary', () => {
		const good = rootingAfter(prior, signs(look(16, 8)));
		const bad = rootingAfter(prior, signs(look(45, 1)));
		const none = rootingAfter(prior);
		expect(good.pace).toBeLessThan(none.pace);
		expect(good.rooted(20)).toBeGreaterThan(none.rooted(20));
		expect(bad.chance).toBeLessThan(none.chance);
	});
	it('stronger signs teach more than weak ones, in the order of the trade (common practice, no source)', () => {
		const after = (sign: SignLook['sign']) => rootingAfter(prior, signs(look(24, 10, 10, sign))).rooted(24);
		const order = (['roots seen', 'resists a tug', 'new growth', 'firm'] as const).map(after);
		for (let i = 1; i < order.length; i++) expect(order[i - 1]!).toBeGreaterThan(order[i]!);
		expect(after('rot')).toBeLessThan(after('none'));
		expect(after('none')).toBeLessThan(order[3]!);
	});
	it('impossible looks teach nothing, and twenty looks stay in bounds', () => {
		expect(rootingAfter(prior, signs(look(20, 12, 10), look(-3, 1), look(10, 0, 0))).chance).toBe(rootingAfter(prior).chance);
		const one = fc.record({
			at: fc.double({ min: 0, max: 200, noNaN: true }),
			looked: fc.integer({ min: 1, max: 50 }),
			share: fc.double({ min: 0, max: 1, noNaN: true }),
			sign: fc.constantFrom(...ROOT_SIGNS)
		});
		fc.assert(
			fc.property(fc.array(one, { maxLength: 20 }), (all) => {
				const r = rootingAfter(prior, signs(...all.map((l) => ({ ...l, showing: Math.round(l.share * l.looked) }))));
				for (const at of [5, 30, 100])
					for (const p of [r.rooted(at), r.now(at), r.hope(at), r.ever]) {
						expect(p).toBeGreaterThanOrEqual(0);
						expect(p).toBeLessThanOrEqual(1 + 1e-9);
					}
			}),
			{ numRuns: 40 }
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
		const d = rootingDates(rootingAfter({ chance: { alpha: 17, beta: 3 }, days: [14, 20, 30] }), 0, () => 1);
		expect(d.look!).toBeGreaterThan(13);
		expect(d.look!).toBeLessThan(28);
		expect(d.half!).toBeGreaterThan(18);
		expect(d.half!).toBeLessThan(23);
		expect(d.eighty!).toBeGreaterThan(d.half!);
		expect(d.eighty!).toBeLessThan(32);
		expect(d.giveUp!).toBeGreaterThan(d.eighty!);
		expect(d.giveUp!).toBeLessThan(80);
	});
	it('are those that asking day by day gives', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 1.3, noNaN: true }),
				fc.integer({ min: 6, max: 30 }),
				fc.integer({ min: 0, max: 8 }),
				(pace, at, newly) => {
					const r = rootingAfter(prior, counts(10, [at / 2, newly, 0]));
					const d = rootingDates(r, at, () => pace);
					for (const [got, share] of [
						[d.half, 0.5],
						[d.eighty, 0.8]
					] as const) {
						let want: number | null = null;
						for (let day = 0; day <= 500 && want === null; day++) if (r.now(at + day * pace) >= share * r.ever) want = day;
						if (want === null || got === null) expect(got === null || got > 480).toBe(want === null || want > 480);
						else expect(Math.abs(got - want)).toBeLessThanOrEqual(1);
					}
				}
			),
			{ numRuns: 30 }
		);
	});
	it('a winter that comes between is waited for: what half has done in autumn is not given up before spring', () => {
		const r = rootingAfter({ chance: { alpha: 18, beta: 2 }, days: [14, 21, 35] });
		// 22 days of growth, 160 of rest, growth again.
		const d = rootingDates(r, 0, (day) => (day <= 22 || day > 182 ? 1 : 0), 500, 210);
		expect(d.half!).toBeLessThanOrEqual(22);
		expect(d.eighty!).toBeGreaterThan(182);
		expect(d.eighty!).toBeLessThan(195);
		expect(d.giveUp!).toBeGreaterThan(d.eighty!);
		// Leafy pieces whose roots do not rest are not kept through a winter for the few.
		expect(rootingDates(r, 0, (day) => (day <= 22 || day > 182 ? 1 : 0)).giveUp!).toBeLessThan(60);
		// Nothing more comes of the rest where it stays cold for good.
		const ever = rootingDates(r, 0, (day) => (day <= 22 ? 1 : 0));
		expect(ever.eighty).toBeNull();
		expect(ever.giveUp).not.toBeNull();
		const said = (x: typeof d) => rootingSentence({ unrooted: 4, now: 0, ever: r.ever, today: 20_731, ...inDays(x) });
		expect(said(d)).toMatch(/Most of those that will have rooted by \d+ Apr 2027\./);
		expect(said(ever)).toContain('It is too cold there for the rest to root.');
		expect(said(rootingDates(r, 0, () => 0))).toContain('It is too cold there for roots to come within a year.');
	});
	it('in the cold all comes later, or not at all', () => {
		const r = rootingAfter(prior);
		const warm = rootingDates(r, 0, () => 1);
		const cool = rootingDates(r, 0, () => 0.5);
		expect(cool.eighty!).toBeGreaterThan(1.8 * warm.eighty!);
		expect(rootingDates(r, 0, () => 0)).toEqual({ half: null, eighty: null, look: null, giveUp: null });
	});
});
