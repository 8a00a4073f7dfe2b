/** Orders in which plants with overlapping places are lifted: against every order there is, and known process numbers. */
import { describe, expect, it } from 'vitest';
import { randomLcg } from 'd3-random';
import { knotsOf, turnsOf } from './turns.js';
import type { Turns, Waits } from './turns.js';

/** Both wait for each other along each pair. */
const mutual = (n: number, pairs: readonly (readonly [number, number])[]): Waits => ({
	after: Array.from({ length: n }, (_, v) => pairs.flatMap(([a, b]) => (a === v ? [b] : b === v ? [a] : []))),
	pots: new Array<number>(n).fill(1)
});
const oneWay = (n: number, pairs: readonly (readonly [number, number])[]): Waits => ({
	after: Array.from({ length: n }, (_, v) => pairs.flatMap(([a, b]) => (a === v ? [b] : []))),
	pots: new Array<number>(n).fill(1)
});

/** Carried out by hand, on the plants alone: what stands where is what the steps say, and a broken rule throws. */
function carriedOut({ after, pots }: Waits, { steps }: Turns): { most: number; held: number } {
	const state = new Array<'old' | 'pot' | 'new'>(after.length).fill('old');
	let [now, most, held] = [0, 0, 0];
	for (const { plant, does } of steps) {
		expect(state[plant]).toBe(does === 'out' ? 'pot' : 'old');
		if (does === 'waits') {
			state[plant] = 'pot';
			now += pots[plant]!;
			held += pots[plant]!;
			most = Math.max(most, now);
			continue;
		}
		// Nobody else stands where it goes.
		for (const u of after[plant]!) if (u !== plant) expect(state[u]).not.toBe('old');
		if (does === 'out') now -= pots[plant]!;
		state[plant] = 'new';
	}
	expect(state.every((s) => s === 'new')).toBe(true);
	return { most, held };
}

/** Every order of lifts: the fewest that wait together, and of those orders the fewest that wait at all. */
function everyOrder({ after, pots }: Waits): [most: number, held: number] {
	let best: [number, number] = [Infinity, Infinity];
	const go = (lifted: number[], waiting: number[], most: number, held: number): void => {
		if (lifted.length === after.length) {
			if (most < best[0] || (most === best[0] && held < best[1])) best = [most, held];
			return;
		}
		for (let v = 0; v < after.length; v++) {
			if (lifted.includes(v)) continue;
			const now = [...lifted, v];
			const stuck = (u: number) => after[u]!.some((w) => w !== u && !now.includes(w));
			const pot = stuck(v) ? [...waiting, v] : waiting;
			const weight = pot.reduce((sum, u) => sum + pots[u]!, 0);
			go(now, pot.filter(stuck), Math.max(most, weight), held + (stuck(v) ? pots[v]! : 0));
		}
	};
	go([], [], 0, 0);
	return best;
}

describe('the order of lifts', () => {
	it('is as good as the best of every order, for 200 random gardens of up to six', () => {
		const u = randomLcg(0.37);
		for (let i = 0; i < 200; i++) {
			const n = 2 + Math.floor(u() * 5);
			const density = u();
			const waits: Waits = {
				after: Array.from({ length: n }, (_, v) =>
					Array.from({ length: n }, (_, w) => w).filter((w) => w !== v && u() < density)
				),
				pots: Array.from({ length: n }, () => 1 + Math.floor(u() * 3))
			};
			const turns = turnsOf(waits);
			const [most, held] = everyOrder(waits);
			expect([turns.mostHeld, turns.atLeast]).toEqual([most, most]);
			// How many wait at all is made least knot by knot: never fewer in one knot for more in another.
			expect(turns.held).toBeGreaterThanOrEqual(held);
			if (knotsOf(waits.after).length === 1) expect(turns.held).toBe(held);
			expect(carriedOut(waits, turns)).toEqual({ most, held: turns.held });
		}
	});

	it('has the process numbers that are known (Coudert and others, 2005, from memory)', () => {
		const path = (n: number) => Array.from({ length: n - 1 }, (_, i) => [i, i + 1] as const);
		const ring = (n: number) => Array.from({ length: n }, (_, i) => [i, (i + 1) % n] as const);
		const all = (n: number) => ring(n).flatMap((_, a) => Array.from({ length: a }, (_, b) => [a, b] as const));
		const number = (w: Waits) => turnsOf(w).mostHeld;
		// Who only waits along a line never waits in a pot; one ring needs one pot.
		expect(number(oneWay(12, path(12)))).toBe(0);
		for (const n of [2, 5, 12]) expect(number(oneWay(n, ring(n)))).toBe(1);
		// A star: the middle is lifted first.
		expect(
			number(
				mutual(
					7,
					[1, 2, 3, 4, 5, 6].map((i) => [0, i] as const)
				)
			)
		).toBe(1);
		for (const n of [4, 5, 12]) expect(number(mutual(n, path(n)))).toBe(2);
		for (const n of [5, 6, 12]) expect(number(mutual(n, ring(n)))).toBe(3);
		// Everyone in everyone's way: all but one wait.
		for (const n of [2, 3, 6, 10]) expect(number(mutual(n, all(n)))).toBe(n - 1);
	});

	it('past what can be looked at whole, tells what no order can do without', () => {
		const u = randomLcg(0.11);
		const n = 40;
		const after = Array.from({ length: n }, (_, v) => [(v + 1) % n, ...Array.from({ length: 3 }, () => Math.floor(u() * n))]);
		const waits: Waits = {
			after: after.map((us, v) => [...new Set(us)].filter((w) => w !== v)),
			pots: new Array<number>(n).fill(1)
		};
		const turns = turnsOf(waits);
		expect(turns.atLeast).toBeGreaterThan(0);
		expect(turns.mostHeld).toBeGreaterThanOrEqual(turns.atLeast);
		expect(carriedOut(waits, turns).most).toBe(turns.mostHeld);
		// 40 all in each other's way: nothing is better than all but one, and that is proved.
		const all = Array.from({ length: n }, (_, v) => Array.from({ length: n }, (_, w) => w).filter((w) => w !== v));
		expect(turnsOf({ after: all, pots: waits.pots })).toMatchObject({ mostHeld: n - 1, atLeast: n - 1 });
	});

	it('follows a chain of 5,000 without filling the stack', () => {
		const turns = turnsOf({
			after: Array.from({ length: 5_000 }, (_, v) => (v < 4_999 ? [v + 1] : [])),
			pots: new Array<number>(5_000).fill(1)
		});
		expect(turns.steps).toHaveLength(5_000);
		expect(turns.mostHeld).toBe(0);
	});
});
