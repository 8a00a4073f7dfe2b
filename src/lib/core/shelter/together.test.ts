import jstat from 'jstat';
import { randomLcg } from 'd3-random';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noneOf, oneAlive } from './together.js';
import type { Copies } from './together.js';

const chance = fc.double({ min: 0, max: 1, noNaN: true });

describe('a kind in several places', () => {
	it('is lost only if every copy is: by enumeration of all that may happen', () => {
		fc.assert(
			fc.property(fc.array(fc.array(chance, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 5 }), (chances) => {
				const copies: Copies[] = chances.map((byWinter) => ({ count: 1, byWinter, alike: 0 }));
				let alive = 0;
				for (let w = 0; w < 3; w++)
					for (let fate = 1; fate < 2 ** chances.length; fate++)
						alive += chances.reduce((p, c, i) => p * (fate & (1 << i) ? c[w]! : 1 - c[w]!), 1) / 3;
				expect(oneAlive(copies, 3)).toBeCloseTo(alive, 10);
			})
		);
	});

	it('counts each by itself, all as one, and what lies between', () => {
		for (const p of [0.05, 0.4, 0.9])
			for (const n of [1, 2, 7]) {
				expect(noneOf(n, p, 0)).toBeCloseTo(jstat.jStat.binomial.pdf(0, n, p), 12);
				expect(noneOf(n, p, 1)).toBeCloseTo(1 - p, 12);
				const between = [0, 0.1, 0.3, 0.7, 1].map((alike) => noneOf(n, p, alike));
				for (let i = 1; i < between.length; i++) expect(between[i]!).toBeGreaterThan(between[i - 1]! - 1e-12);
			}
		expect([noneOf(0, 0.5, 0.2), noneOf(3, 0, 0.2), noneOf(3, 1, 0.2)]).toEqual([1, 1, 0]);
	});

	it('has the beta-binomial’s chance of none, drawn', () => {
		// Pólya's urn draws it without any formula of ours: each death makes the next likelier.
		const random = randomLcg(0.37);
		const [p, alike, n] = [0.7, 0.25, 5];
		const weight = 1 / alike - 1;
		let none = 0;
		const RUNS = 200_000;
		for (let r = 0; r < RUNS; r++) {
			let [dead, drawn] = [(1 - p) * weight, weight];
			let alive = 0;
			for (let k = 0; k < n; k++, drawn++) {
				if (random() < dead / drawn) dead++;
				else alive++;
			}
			if (alive === 0) none++;
		}
		expect(Math.abs(noneOf(n, p, alike) - none / RUNS)).toBeLessThan(4 * Math.sqrt(0.05 / RUNS));
	});

	it('gains by a second place, and less where the same winters hit both', () => {
		const hard = [0.95, 0.95, 0.95, 0.05];
		const mean = hard.reduce((a, b) => a + b, 0) / 4;
		const one: Copies = { count: 1, byWinter: hard, alike: 0 };
		const both = oneAlive([one, one], 4);
		const apart = oneAlive(
			[
				{ ...one, byWinter: [mean] },
				{ ...one, byWinter: [mean] }
			],
			4
		);
		expect(oneAlive([one], 4)).toBeCloseTo(mean, 12);
		expect(both).toBeGreaterThan(mean);
		expect(both).toBeLessThan(apart);
		expect(oneAlive([], 4)).toBe(0);
	});
});
