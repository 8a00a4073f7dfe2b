/** Routes through a winter: combined by counting every outcome, a line in water by walking its generations. */
import { describe, expect, it } from 'vitest';
import { randomLcg } from 'd3-random';
import { bestPairs, generationsIn, lineHolds, together } from './routes.js';
import type { Route } from './routes.js';

const route = (id: string, what: Route['what'], placeId: string | null, more: Partial<Route> = {}): Route => ({
	...{ id, what, placeId, minutes: 5, minutesAWeek: 1, areaCm2: 400, money: 0 },
	copies: { count: 1, byWinter: [0.7], alike: 1 },
	...more
});

describe('routes through a winter', () => {
	it('together are what counting every outcome gives', () => {
		const u = randomLcg(0.17);
		for (let n = 0; n < 60; n++) {
			const winters = 1 + Math.floor(u() * 4);
			const all = Array.from({ length: 1 + Math.floor(u() * 3) }, (_, i) =>
				route(`r${i}`, 'cuttings', `p${i}`, {
					copies: {
						count: 1 + Math.floor(u() * 3),
						byWinter: Array.from({ length: winters }, () => u()),
						alike: u() < 0.5 ? 0 : 1
					}
				})
			);
			let alive = 0;
			for (let w = 0; w < winters; w++) {
				// Each plant of each route by itself, or all of a route as one: every way it may end.
				const coins = all.flatMap((r) =>
					Array.from({ length: r.copies!.alike === 1 ? 1 : r.copies!.count }, () => r.copies!.byWinter[w]!)
				);
				for (let bits = 1; bits < 2 ** coins.length; bits++)
					alive += coins.reduce((p, c, i) => p * (bits & (1 << i) ? c : 1 - c), 1) / winters;
			}
			expect(together(all, winters)).toBeCloseTo(alive, 10);
		}
	});
	it('a line in water holds as a walk through its generations has it', () => {
		const u = randomLcg(0.4);
		let held = 0;
		const RUNS = 40_000;
		for (let n = 0; n < RUNS; n++) {
			let line = true;
			for (let g = 0; g < 4 && line; g++) line = [u(), u(), u()].some((x) => x < 0.6);
			if (line) held++;
		}
		// Three standard errors of so many walks.
		expect(Math.abs(held / RUNS - lineHolds(3, 0.6, 0, 4))).toBeLessThan(3 * Math.sqrt(0.25 / RUNS));
		expect(lineHolds(3, 0.6, 1, 1)).toBeCloseTo(0.6, 12);
		expect([1, 42, 43, 170].map(generationsIn)).toEqual([1, 1, 2, 5]);
	});
	it('pairs never have the plant in two places, and no pair that is dearer and no surer', () => {
		const routes = [
			route('a', 'whole', 'sill', { copies: { count: 1, byWinter: [0.9], alike: 1 } }),
			route('b', 'whole', 'garage'),
			route('c', 'cuttings', 'sill', { copies: { count: 4, byWinter: [0.6], alike: 0 }, minutesAWeek: 3 }),
			route('d', 'left', null),
			route('e', 'bought', null, { copies: null })
		];
		const pairs = bestPairs(routes, 1, 5);
		expect(pairs.map((p) => p.routes.map((r) => r.id).join(''))).toEqual(['ac']);
		expect(pairs[0]!.chance).toBeCloseTo(1 - 0.1 * 0.4 ** 4, 12);
	});
});
