/** Plans: the number to strike, what binds, and what can be had instead. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { betaOf } from '../odds/beta.js';
import { worthOf } from '../evidence/evidence.js';
import { plan, plannedBatch, wantOdds } from './index.js';
import type { PlanRequest } from './index.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';
import { requestOf } from '../../../testing/plans.js';

const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const day = dayNumber;

describe('a plan', () => {
	const big = { count: 20, sizeCm: 50, ageYears: 4, condition: 'strong' } as const;
	const request = (over: Partial<PlanRequest> = {}): PlanRequest =>
		requestOf(lavender, north, { stock: { count: 4, sizeCm: 50, ageYears: 4, condition: 'strong' }, ...over });

	it('strikes the smallest number that keeps its promise, and what is promised is what the want will show', () => {
		const r = request();
		const p = plan(r);
		const best = p.ways.find((w) => w.wayId === 'semi-ripe')!.best!;
		// The want, once it is planned: a batch of its own for each strike, summed forwards.
		const odds = (n: number) => {
			const prepared = plannedBatch(r, semiRipe, best.on, n, r.due);
			const means = new Map(semiRipe.stages.map((x) => [x.to, betaOf(x.chance, x.weight)] as const));
			return wantOdds(15, [], [{ way: 'x', means, likely: means, prepared }]).probability;
		};
		expect(best.flushes).toEqual([{ on: best.on, pieces: best.strike }]);
		expect(best.probability).toBeCloseTo(odds(best.strike), 9);
		expect(best.probability).toBeGreaterThanOrEqual(0.9 - 1e-9);
		expect(odds(best.strike - 1)).toBeLessThan(0.9);
		expect(p.lastSafe).not.toBeNull();
		expect(best.ready.usual).toBeLessThanOrEqual(day('2028-06-30'));
	});

	it('asks for more the more alike the pieces of one batch fare', () => {
		const n = (rho: number) => plan(request({ rho, stock: big })).ways.find((w) => w.wayId === 'semi-ripe')!.best!.strike;
		expect(n(0.02)).toBeLessThan(n(0.1));
		expect(n(0.1)).toBeLessThan(n(0.3));
	});

	it('tells what its promise would be were pieces twice as alike: as asked for anew at that, and never more', () => {
		const best = plan(request({ stock: big })).ways.find((w) => w.wayId === 'semi-ripe')!.best!;
		const alike = request({ stock: big, rho: 0.2 });
		const prepared = plannedBatch(alike, semiRipe, best.on, best.strike, alike.due);
		const means = new Map(semiRipe.stages.map((x) => [x.to, betaOf(x.chance, x.weight)] as const));
		const odds = wantOdds(15, [], [{ way: 'x', means, likely: means, prepared }]).probability;
		expect(best.moreAlike).toBeCloseTo(odds, 9);
		expect(best.moreAlike).toBeLessThan(best.probability);
	});

	it('says when what an hour is worth decides which way comes first, and only then', () => {
		for (const name of ['lavender', 'penstemon', 'iris'] as const) {
			const k = kind(name);
			const p = plan(requestOf(k, north, { stock: big }));
			const had = p.ways.flatMap((w) => w.best ?? []);
			const first = (hour: number) =>
				[...had].sort(
					(a, b) =>
						a.binds.length - b.binds.length ||
						(a.effort.minutes / 60) * hour + a.effort.cost - (b.effort.minutes / 60) * hour - b.effort.cost
				)[0]?.wayId;
			for (const worth of [6, 24])
				expect(p.byHour.find((o) => o.worth === worth)?.wayId ?? had[0]?.wayId, `${name} ${worth}`).toBe(first(worth));
		}
	});

	it('what it offers instead works when it is asked for', () => {
		for (const due of ['2027-08-01', '2027-12-01', '2028-03-01'].map(day)) {
			const p = plan(request({ due, stock: big }));
			for (const w of p.ways) {
				if (w.best || !w.earliest) continue;
				const again = plan(request({ due: w.earliest.ready, stock: big })).ways.find((x) => x.wayId === w.wayId)!;
				expect(again.best, `${w.wayId} by ${w.earliest.ready}`).not.toBeNull();
			}
		}
	});

	it('asks for less when the garden’s own record is better than the handbook, and more when worse', () => {
		const good = [
			{
				rooted: { passed: 40, failed: 0 },
				potted: { passed: 40, failed: 0 },
				wintered: { passed: 38, failed: 2 }
			}
		];
		const bad = [{ rooted: { passed: 6, failed: 34 } }];
		const n = (record: PlanRequest['record']) =>
			plan(request({ record, stock: big })).ways.find((w) => w.wayId === 'semi-ripe')!.best!.strike;
		expect(n({ 'semi-ripe': worthOf(good) })).toBeLessThan(n({}));
		expect(n({ 'semi-ripe': worthOf(bad) })).toBeGreaterThan(n({}));
	});

	it('says when it is too late, what can be had instead, and when it could be had', () => {
		const p = plan(request({ due: day('2027-08-01') }));
		expect(p.lastSafe).toBeNull();
		for (const w of p.ways) {
			expect(w.best).toBeNull();
			expect(w.why).toBeTruthy();
			expect(w.earliest!.ready).toBeGreaterThan(day('2027-08-01'));
		}
	});

	it('says when the stock is too small, and offers the most there is', () => {
		const p = plan(request({ stock: { count: 1, sizeCm: 30, ageYears: 3, condition: 'weak' } }));
		const w = p.ways.find((x) => x.wayId === 'semi-ripe')!;
		expect(w.best).toBeNull();
		expect(w.why).toMatch(/the stock gives about \d+/);
		expect(w.fallback!.probability).toBeLessThan(0.9);
		expect(w.fallback!.strike).toBeGreaterThan(0);
	});

	it('tells all that a large stock gives, though far less would do', () => {
		const p = plan(request({ stock: { count: 200, sizeCm: null, ageYears: 4, condition: 'strong' } }));
		const curve = p.ways.flatMap((w) => w.curve);
		expect(Math.max(...curve.map((c) => c.canGive))).toBeGreaterThan(1_000);
		expect(p.ways.some((w) => w.best)).toBe(true);
	});

	it('a small parent is asked each time it has grown back, and the most that can be had grows with the wish', () => {
		const small = { count: 1, sizeCm: 40, ageYears: 3, condition: 'strong' } as const;
		const far = { due: day('2030-09-30'), stock: small };
		const one = plan(request({ ...far, due: day('2028-06-30'), target: 25 })).ways[0]!;
		const three = plan(request({ ...far, target: 25 })).ways[0]!;
		const given = (w: typeof one) => w.best?.flushes ?? w.fallback!.flushes;
		const pieces = (w: typeof one) => given(w).reduce((n, f) => n + f.pieces, 0);
		expect(given(three).length).toBeGreaterThan(1);
		expect(pieces(three)).toBeGreaterThan(pieces(one));
		// More wanted never leaves fewer.
		const usually = [25, 48, 200].map((target) => {
			const ways = plan(request({ ...far, due: day('2028-06-30'), target })).ways;
			return Math.max(...ways.map((w) => w.best?.mean ?? w.fallback?.usually ?? 0));
		});
		expect(usually[1]!).toBeGreaterThanOrEqual(usually[0]! - 0.5);
		expect(usually[2]!).toBeGreaterThanOrEqual(usually[1]! - 0.5);
		// Goes lie a recovery apart or more.
		for (const [n, f] of given(three).entries()) if (n > 0) expect(f.on - given(three)[n - 1]!.on).toBeGreaterThanOrEqual(60);
	});

	it('asks only for what is missing beside what grows already, and counts that it shares its luck', () => {
		const r = request({ stock: big });
		const means = new Map(semiRipe.stages.map((x) => [x.to, betaOf(x.chance, x.weight)] as const));
		const growing = [
			{ way: 'lavender semi-ripe', means, likely: means, prepared: plannedBatch(r, semiRipe, day('2027-07-10'), 14, r.due) }
		];
		const best = plan(request({ growing, stock: big })).ways.find((w) => w.wayId === 'semi-ripe')!.best!;
		const all = plan(r).ways.find((w) => w.wayId === 'semi-ripe')!.best!;
		expect(best.strike).toBeLessThan(all.strike);
		const again = wantOdds(
			15,
			[],
			[
				...growing,
				{ way: 'lavender semi-ripe', means, likely: means, prepared: plannedBatch(r, semiRipe, best.on, best.strike, r.due) }
			]
		);
		expect(best.probability).toBeCloseTo(again.probability, 9);
		expect(best.probability).toBeGreaterThanOrEqual(0.9 - 1e-9);
	});

	it('a bush gives in several years what it cannot give in one', () => {
		// 96 at a time do not do for 60 by the first autumn, but two summers' do for the second.
		const one = { count: 1, sizeCm: 50, ageYears: 4, condition: 'strong' } as const;
		const late = plan(request({ target: 20, stock: one, due: day('2029-10-15') })).ways.find(
			(w) => w.wayId === 'semi-ripe'
		)!.best!;
		expect(late.flushes.length).toBeGreaterThan(1);
		for (let i = 1; i < late.flushes.length; i++)
			expect(late.flushes[i]!.on - late.flushes[i - 1]!.on).toBeGreaterThanOrEqual(semiRipe.gives.recover_days);
		expect(late.probability).toBeGreaterThanOrEqual(0.9 - 1e-9);
	});

	it('begins early what no one day gives, is safe no later than the first go, and never calls impossible what it could do', () => {
		const stock = { count: 2, sizeCm: 60, ageYears: 6, condition: 'strong' } as const;
		let early = 0;
		for (const climate of [north, south, tropics, arctic])
			for (const id of ['hibiscus', 'box'])
				for (const today of ['2027-01-15', '2027-07-15'].map(day)) {
					const p = plan(requestOf(kind(id), climate, { today, stock, target: 12, due: today + 600 }));
					for (const w of p.ways) {
						// What would be told as kept is kept.
						expect(w.fallback?.probability ?? 0, `${id} ${w.wayId}`).toBeLessThan(0.895);
						if (!w.best) continue;
						expect(w.lastSafe!).toBeGreaterThanOrEqual(w.best.flushes[0]!.on);
						expect(w.best.probability).toBeGreaterThanOrEqual(0.895);
						// Struck all on the day of its last go it would need more than the stock gives.
						const onLast = w.curve.find((c) => c.on === w.best!.on)!;
						if (onLast.strike !== null && onLast.strike <= onLast.canGive) continue;
						// One go that is a hair less sure than asked, or several.
						if (w.best.flushes.length === 1) expect(w.best.probability).toBeLessThan(0.9);
						else {
							early++;
							expect(w.lastSafe!).toBeLessThan(w.best.on);
						}
					}
				}
		expect(early).toBeGreaterThan(0);
	});

	it('finds the number even when it is many times the target', () => {
		const poor = {
			...lavender,
			ways: [{ ...semiRipe, stages: semiRipe.stages.map((x) => (x.to === 'rooted' ? { ...x, chance: 0.2, weight: 30 } : x)) }]
		};
		const w = plan(requestOf(poor, north, { confidence: 0.95, stock: { ...big, count: 60 } })).ways[0]!;
		expect(w.best!.strike).toBeGreaterThan(15 * 10);
		expect(w.best!.probability).toBeGreaterThanOrEqual(0.95 - 1e-9);
	});

	it('names what binds', () => {
		const asked: number[] = [];
		const carries: PlanRequest['carries'] = (stages) => {
			asked.push(...stages.map((n) => n.areaCm2));
			return [{ code: 'minutes', sentence: 'Too little time.' }];
		};
		const p = plan(request({ carries }));
		expect(p.ways.filter((w) => w.best).every((w) => w.best!.binds.some((b) => b.sentence === 'Too little time.'))).toBe(true);
		expect(Math.max(...asked)).toBeGreaterThan(0);
	});
});
