/** The choice among patterns: against every choice tried, against a second solver, and a problem of the literature. */
import GLPK from 'glpk.js/node';
import { describe, expect, it } from 'vitest';
import { exactly } from './solver.js';
import { Choice } from '$lib/core/joint/descend.js';
import { master } from '$lib/core/joint/master.js';
import { choose, costOf, holds, prepareJoint } from '$lib/core/joint/index.js';
import type { JointRequest, Prepared } from '$lib/core/joint/index.js';
import type { Programme } from '$lib/core/solve/programme.js';
import { dice } from '../../testing/growIt.js';
import { allKinds } from '../../testing/handbook.js';
import { inventGarden } from '../../testing/joint.js';

/** TINY_GARDENS=300 tries three times as many: some 80 s. */
const TINY = Number(process.env.TINY_GARDENS ?? 100);

/** The cheapest of all choices that fit, by trying each. */
function everyChoice({ pools, rows }: Prepared): number {
	const choice = new Choice({ pools, limits: rows.limits });
	let best = Infinity;
	const go = (w: number, cost: number) => {
		if (cost >= best) return;
		if (w === pools.length) {
			best = cost;
			return;
		}
		for (const p of pools[w]!) {
			if (!choice.fits(p.asks)) continue;
			choice.put(w, p);
			go(w + 1, cost + p.cost);
			choice.take(w);
		}
	};
	go(0, 0);
	return best;
}

/** A garden's pools cut down to what can be tried out, from the cheap and the dear end; and less time, so that it matters. */
function tiny(r: JointRequest): Prepared {
	const p = prepareJoint({ ...r, wants: r.wants.slice(0, 3), minutesPerWeek: r.minutesPerWeek / 1.5 });
	p.pools = p.pools.map((pool) => {
		const step = Math.max(1, Math.floor(pool.length / 12));
		const some = pool.filter((x, i) => i < 6 || i % step === 0 || x.parts.length === 0);
		return some.slice(0, 20).concat(some.slice(20).filter((x) => x.parts.length === 0));
	});
	return p;
}

/** Their recursion: the least cost up to a period is the least over where its last run began. */
function wagnerWhitin(demand: readonly number[], setUp: readonly number[]): number {
	const best = [0];
	for (let t = 1; t <= demand.length; t++) {
		let least = Infinity;
		for (let i = 0; i < t; i++) {
			const held = demand.slice(i, t).reduce((s, q, k) => s + q * k, 0);
			least = Math.min(least, best[i]! + setUp[i]! + held);
		}
		best.push(least);
	}
	return best.at(-1)!;
}

describe('the choice among patterns', () => {
	it(
		'is the best of all choices, in a hundred tiny gardens; its bound is one, and the search alone is seldom far off',
		{ timeout: 600_000 },
		async () => {
			const solvers = await exactly();
			const d = dice(0.1234);
			const kinds = allKinds();
			let tried = 0;
			let bound = 0;
			let off = 0;
			let met = 0;
			for (let g = 0; g < TINY; g++) {
				const p = tiny(inventGarden(kinds, d).r);
				if (p.pools.every((x) => x.length < 2)) continue;
				const best = everyChoice(p);
				const found = choose(p, solvers);
				tried++;
				expect(costOf(found.chosen)).toBeCloseTo(best, 4);
				expect(holds({ pools: p.pools, limits: p.rows.limits }, found.chosen)).toBe(true);
				expect(found.bound).toBeLessThanOrEqual(best + 1e-4);
				expect(costOf(found.chosen)).toBeLessThanOrEqual(costOf(found.first) + 1e-9);
				if (best > found.bound + 1) bound++;
				const alone = costOf(choose(p, null).chosen);
				expect(alone).toBeGreaterThanOrEqual(best - 1e-6);
				if (alone > best * 1.001) off++;
				if (costOf(found.first) > best * 1.001) met++;
			}
			expect(tried).toBeGreaterThan(0.6 * TINY);
			// Room and minutes do matter in these gardens, or nothing was proved.
			expect(met).toBeGreaterThan(tried / 20);
			expect(off).toBeLessThan(tried / 20);
			expect(bound).toBeLessThan(tried);
		}
	);

	it('agrees with a second solver on the programme, whole and in parts (glpk.js)', { timeout: 400_000 }, async () => {
		const glpk = await GLPK();
		const ours = await exactly();
		const d = dice(0.77);
		const kinds = allKinds();
		const programmes: Programme[] = [];
		for (let g = 0; g < 12; g++) {
			const p = tiny(inventGarden(kinds, d).r);
			master(
				{ pools: p.pools, limits: p.rows.limits },
				p.pools.map((x) => x[0] ?? null),
				{
					whole: (q) => (programmes.push(q), ours.whole(q)),
					relaxed: ours.relaxed
				}
			);
		}
		const theirs = (q: Programme, whole: boolean): number => {
			const names = q.worth.map((_, c) => `x${c}`);
			const solved = glpk.solve(
				{
					name: 'p',
					objective: { direction: glpk.GLP_MAX, name: 'worth', vars: names.map((name, c) => ({ name, coef: q.worth[c]! })) },
					subjectTo: q.rows
						.filter((row) => row.terms.length > 0)
						.map((row, i) => ({
							name: `r${i}`,
							vars: row.terms.map(([c, coef]) => ({ name: names[c]!, coef })),
							bnds: { type: glpk.GLP_UP, ub: row.most, lb: 0 }
						})),
					bounds: names.map((name) => ({ name, type: glpk.GLP_DB, lb: 0, ub: 1 })),
					...(whole ? { binaries: names } : {})
				},
				{ msglev: glpk.GLP_MSG_OFF, presol: true, mipgap: 0 }
			) as { result: { z: number } };
			return solved.result.z;
		};
		let solved = 0;
		for (const q of programmes.filter((x) => x.worth.length > 0)) {
			solved++;
			expect(ours.relaxed(q)!.worth).toBeCloseTo(theirs(q, false), 3);
			expect(ours.whole(q)!.worth).toBeCloseTo(theirs(q, true), 3);
		}
		expect(solved).toBeGreaterThan(8);
	});

	it('reads prices off the rows: one more of a limit is worth its price (by hand)', async () => {
		// 3x + 2y + 2z, x + y + z ≤ 1.5: the half goes to what is next best, so one more is worth 2.
		const { relaxed } = await exactly();
		const q: Programme = {
			worth: [3, 2, 2],
			rows: [
				{
					terms: [
						[0, 1],
						[1, 1],
						[2, 1]
					],
					least: -Infinity,
					most: 1.5
				},
				{ terms: [[0, 1]], least: -Infinity, most: 5 }
			]
		};
		const told = relaxed(q)!;
		expect(told.worth).toBeCloseTo(4, 9);
		expect([...told.prices]).toEqual([expect.closeTo(2, 9), expect.closeTo(0, 9)]);
	});

	it('solves lot-sizing in the literature’s form: Wagner and Whitin’s twelve periods cost 864 (1958; demands and set-ups from memory)', async () => {
		const demand = [69, 29, 36, 61, 61, 26, 34, 67, 45, 67, 79, 56];
		const setUp = [85, 102, 102, 101, 98, 114, 105, 86, 119, 110, 98, 114];
		// A run made in period i lasts to period j: each period is in one run. Held a period, a piece costs 1.
		const runs = demand.flatMap((_, i) =>
			demand
				.slice(i)
				.map((__, n) => ({ i, j: i + n, cost: setUp[i]! + demand.slice(i, i + n + 1).reduce((s, q, k) => s + q * k, 0) }))
		);
		const { whole } = await exactly();
		const q: Programme = {
			worth: runs.map((r) => -r.cost),
			rows: demand.map((_, t) => ({
				terms: runs.flatMap((r, c) => (r.i <= t && t <= r.j ? [[c, 1] as const] : [])),
				least: 1,
				most: 1
			}))
		};
		expect(-whole(q)!.worth).toBe(wagnerWhitin(demand, setUp));
		expect(-whole(q)!.worth).toBe(864);
	});
});
