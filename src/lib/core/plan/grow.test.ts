/** Growing the stock first: against trying everything in small gardens, closed forms, and another solver. */
import GLPK from 'glpk.js/node';
import { describe, expect, it } from 'vitest';
import { randomLcg } from 'd3-random';
import { solver } from '../../server/solver.js';
import { grow, growProgramme } from './grow.js';
import type { GrowAsked } from './grow.js';

const highs = await solver({ seconds: 20, gap: 0 });
const glpk = await GLPK();
const asked = (more: Partial<GrowAsked> = {}): GrowAsked => ({
	...{ periods: 4, lag: 1, initialStock: 1, perStock: 3, survival: { num: 1, den: 1 }, maxTake: null, stockCountsAtEnd: false },
	...{ bench: [1000, 1000, 1000, 1000], demand: [{ date: 4, quantity: 10 }] },
	...more
});
const total = (q: GrowAsked): number | null => {
	const r = grow(q, highs);
	if (!r.ok) throw new Error(r.problem.sentence);
	return r.value.status === 'optimal' ? r.value.total : null;
};

/** Fewest cuttings by trying every number, period after period, with the rules written out as they are told. */
function tried(q: GrowAsked): number | null {
	let best: number | null = null;
	const cut: number[] = [];
	const go = (t: number, stock: number, promotedSoFar: number, used: number) => {
		if (best !== null && used >= best) return;
		const arrived = cut.slice(0, Math.max(0, t - q.lag + 1)).reduce((a, b) => a + b, 0);
		const dueNow = q.demand.filter((d) => d.date <= t).reduce((s, d) => s + d.quantity, 0);
		const spare = (q.survival.num * arrived) / q.survival.den - promotedSoFar - dueNow;
		if (t === q.periods) {
			if (spare + (q.stockCountsAtEnd ? stock : 0) >= -1e-9) best = used;
			return;
		}
		for (let m = 0; m <= spare + 1e-9; m++) {
			const plants = stock + m;
			const standing = cut.slice(Math.max(0, t - q.lag + 1)).reduce((a, b) => a + b, 0);
			const most = Math.min(q.perStock * plants, q.maxTake?.[t] ?? Infinity, q.bench[t]! - standing);
			for (let c = 0; c <= most; c++) {
				cut.push(c);
				go(t + 1, plants, promotedSoFar + m, used + c);
				cut.pop();
			}
		}
	};
	go(0, q.initialStock, 0, 0);
	return best;
}

describe('growing the stock first', () => {
	it('takes the fewest cuttings there are: every way tried in 150 small gardens', () => {
		let [met, not] = [0, 0];
		for (let seed = 1; seed <= 150; seed++) {
			const u = randomLcg(seed / 4096);
			const whole = (most: number, least = 0) => least + Math.floor(u() * (most - least + 1));
			const periods = whole(4, 2);
			const q: GrowAsked = {
				...{
					periods,
					lag: whole(2, 1),
					initialStock: whole(2, u() < 0.1 ? 0 : 1),
					perStock: whole(3, 1),
					stockCountsAtEnd: u() < 0.4
				},
				survival: u() < 0.5 ? { num: 1, den: 1 } : { num: whole(3, 1), den: 4 },
				bench: Array.from({ length: periods }, () => whole(6, 2)),
				maxTake: u() < 0.6 ? null : Array.from({ length: periods }, () => whole(4, 1)),
				demand: Array.from({ length: whole(2, 1) }, () => ({ date: whole(periods, 1), quantity: whole(3, 1) }))
			};
			const least = tried(q);
			expect(total(q), JSON.stringify(q)).toBe(least);
			if (least === null) not++;
			else if (least > 0) met++;
		}
		expect(met).toBeGreaterThan(25);
		expect(not).toBeGreaterThan(25);
	});

	it('multiplies as generations do where all is kept: (1 + k)ⁿ plants from one, and not one more', () => {
		// Every cutting roots, all are promoted: the stock of each period is (1 + perStock) times the last one's.
		for (const [perStock, periods] of [
			[1, 6],
			[2, 5],
			[3, 4]
		] as const) {
			// prettier-ignore
			const most = (1 + perStock) ** periods;
			const q = (quantity: number) =>
				asked({
					...{ periods, perStock, stockCountsAtEnd: true, bench: new Array<number>(periods).fill(1e6) },
					demand: [{ date: periods, quantity }]
				});
			expect(total(q(most)), `${perStock} in ${periods}`).toBe(most - 1);
			expect(total(q(most + 1))).toBeNull();
		}
	});

	it('is a lot size of nothing but cuttings: what is wanted over what survives, rounded up', () => {
		const q = asked({ survival: { num: 7, den: 10 }, initialStock: 40, demand: [{ date: 4, quantity: 50 }] });
		expect(total(q)).toBe(Math.ceil(50 / 0.7));
	});

	it('agrees with a second solver on two years of weeks', () => {
		for (let seed = 1; seed <= 4; seed++) {
			const u = randomLcg(seed / 100);
			const periods = 24;
			const q = asked({
				...{ periods, lag: 3, perStock: 4, initialStock: 2, survival: { num: 4, den: 5 } },
				bench: Array.from({ length: periods }, () => 60 + Math.floor(u() * 80)),
				demand: [{ date: 14, quantity: 20 }, { date: 24, quantity: 150 }] // prettier-ignore
			});
			const p = growProgramme(q);
			const other = glpk.solve(
				{
					name: 'grow',
					objective: { direction: glpk.GLP_MAX, name: 'worth', vars: p.worth.map((coef, c) => ({ name: `x${c}`, coef })) },
					subjectTo: p.rows.map(({ terms, least, most }, r) => ({
						name: `r${r}`,
						vars: terms.map(([c, coef]) => ({ name: `x${c}`, coef })),
						bnds: least === -Infinity ? { type: glpk.GLP_UP, lb: 0, ub: most } : { type: glpk.GLP_LO, lb: least, ub: 0 }
					})),
					bounds: p.most!.map((ub, c) => ({ name: `x${c}`, type: ub === 0 ? glpk.GLP_FX : glpk.GLP_DB, lb: 0, ub })),
					generals: p.worth.map((_, c) => `x${c}`)
				},
				{ msglev: glpk.GLP_MSG_OFF, presol: true, mipgap: 0, tmlim: 20 }
			) as { result: { status: number; z: number } };
			expect(other.result.status).toBe(glpk.GLP_OPT);
			expect(total(q)).toBe(Math.round(-other.result.z));
		}
	});

	it('has an answer for no periods, no stock, nothing wanted', () => {
		expect(total(asked({ periods: 0, bench: [], demand: [] }))).toBe(0);
		expect(total(asked({ periods: 0, bench: [], demand: [{ date: 0, quantity: 1 }] }))).toBeNull();
		expect(total(asked({ initialStock: 0 }))).toBeNull();
		expect(total(asked({ demand: [] }))).toBe(0);
		// One is there already, and may go.
		expect(total(asked({ stockCountsAtEnd: true, demand: [{ date: 4, quantity: 1 }] }))).toBe(0);
	});
});
