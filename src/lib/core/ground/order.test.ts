/** The order of moves: against a search through every state of small gardens, and by hand-worked cases. */
import { describe, expect, it } from 'vitest';
import { randomLcg } from 'd3-random';
import { HOLD, orderMoves } from './order.js';
import type { MovesAsked, MovesOrder } from './order.js';

const solved = (asked: MovesAsked): MovesOrder => {
	const r = orderMoves(asked);
	if (!r.ok) throw new Error(r.problem.sentence);
	return r.value;
};

/** Fewest moves into holding, then fewest in all, by looking at every state that can be reached (Dijkstra's search). */
function searched({ beds, start, target, parking }: MovesAsked): [holding: number, moves: number] {
	const plants = Object.keys(start);
	const key = (s: readonly (string | null)[], was: readonly boolean[]) => JSON.stringify([s, was]);
	const goal = plants.map((p) => target[p]!);
	type Node = { at: (string | null)[]; held: boolean[]; cost: [number, number] };
	const open: Node[] = [{ at: plants.map((p) => start[p]!), held: plants.map(() => false), cost: [0, 0] }];
	const done = new Set<string>();
	while (open.length > 0) {
		open.sort((a, b) => a.cost[0] - b.cost[0] || a.cost[1] - b.cost[1]);
		const n = open.shift()!;
		const k = key(n.at, n.held);
		if (done.has(k)) continue;
		done.add(k);
		if (n.at.every((bed, i) => bed === goal[i])) return n.cost;
		n.at.forEach((from, i) => {
			const free = (bed: string | null) => bed === null || bed === HOLD || !n.at.includes(bed);
			const tos =
				parking === 'holding'
					? [goal[i]!, ...(from !== HOLD && !n.held[i] ? [HOLD] : [])]
					: [...beds, HOLD, ...(goal[i] === null ? [null] : [])];
			for (const to of tos) {
				if (to === from || !free(to)) continue;
				// Straight to its target, or once into holding.
				if (parking === 'holding' && from !== start[plants[i]!] && from !== HOLD) continue;
				const at = n.at.with(i, to);
				const held = n.held.with(i, n.held[i]! || to === HOLD);
				open.push({ at, held, cost: [n.cost[0] + Number(to === HOLD), n.cost[1] + 1] });
			}
		});
	}
	throw new Error('cannot be done');
}

/** Follows the moves, and finds what breaks a rule. */
function followed({ start, target }: MovesAsked, { moves }: MovesOrder): void {
	const at = new Map<string, string | null>(Object.entries(start));
	for (const m of moves) {
		expect(at.get(m.plant)).toBe(m.from);
		if (m.to !== null && m.to !== HOLD) expect([...at.values()]).not.toContain(m.to);
		at.set(m.plant, m.to);
	}
	expect(Object.fromEntries(at)).toEqual(target);
}

function garden(seed: number, parking: MovesAsked['parking'], most = 4): MovesAsked {
	const u = randomLcg(seed / 4096);
	const beds = Array.from({ length: 1 + Math.floor(u() * most) }, (_, i) => `bed ${i}`);
	const plants = Array.from({ length: 1 + Math.floor(u() * (beds.length + 1)) }, (_, i) => `plant ${i}`);
	const deal = () => {
		const left = [...beds];
		return Object.fromEntries(
			plants.map((p) => [p, u() < 0.15 || left.length === 0 ? null : left.splice(Math.floor(u() * left.length), 1)[0]!])
		);
	};
	return { beds, start: deal(), target: deal(), parking };
}

describe('the order of moves', () => {
	it('needs no more holding and no more moves than any order: 300 small gardens, every state looked at', () => {
		let rings = 0;
		for (let seed = 1; seed <= 300; seed++)
			for (const parking of ['holding', 'anywhere'] as const) {
				const asked = garden(seed, parking);
				const found = solved(asked);
				followed(asked, found);
				expect([found.holdingMoves, found.totalMoves], JSON.stringify(asked)).toEqual(searched(asked));
				if (found.holdingMoves > 0) rings++;
			}
		expect(rings).toBeGreaterThan(40);
	});
	it('two that swap need a third spot; a ring of twelve needs one; two rings one after the other, or by the bed that one leaves', () => {
		const ring = (n: number, of = 'a') => Array.from({ length: n }, (_, i) => `${of}${i}`);
		const turned = (...rings: string[][]): MovesAsked => ({
			beds: rings.flat(),
			start: Object.fromEntries(rings.flat().map((b) => [`plant ${b}`, b])),
			target: Object.fromEntries(rings.flatMap((r) => r.map((b, i) => [`plant ${b}`, r[(i + 1) % r.length]!]))),
			parking: 'holding'
		});
		const two = solved(turned(ring(2)));
		expect([two.holdingMoves, two.mostHeld, two.totalMoves]).toEqual([1, 1, 3]);
		const twelve = solved(turned(ring(12)));
		expect([twelve.holdingMoves, twelve.mostHeld, twelve.totalMoves]).toEqual([1, 1, 13]);
		const both = turned(ring(3), ring(4, 'b'));
		expect([solved(both).holdingMoves, solved(both).mostHeld, solved(both).totalMoves]).toEqual([2, 1, 9]);
		const anywhere = solved({ ...both, parking: 'anywhere' });
		expect([anywhere.holdingMoves, anywhere.totalMoves]).toEqual([1, 9]);
		const spare = solved({ ...both, beds: [...both.beds, 'empty'], parking: 'anywhere' });
		expect([spare.holdingMoves, spare.totalMoves]).toEqual([0, 9]);
	});
	it('a chain begins at its free end, and a plant that stays is left alone', () => {
		const { moves } = solved({
			...{ beds: ['a', 'b', 'c', 'd'], parking: 'holding' },
			...{ start: { p: 'a', q: 'b', r: 'c', s: 'd', t: null }, target: { p: 'b', q: 'c', r: null, s: 'd', t: 'a' } }
		});
		expect(moves.map((m) => m.plant)).toEqual(['r', 'q', 'p', 't']);
	});
	it('hundreds of moves at once', () => {
		const asked = garden(9, 'holding', 500);
		followed(asked, solved(asked));
	});
	it('says what is wrong with a question', () => {
		const why = (asked: Partial<MovesAsked>) => {
			const r = orderMoves({ beds: ['a', 'b'], start: { p: 'a' }, target: { p: 'b' }, parking: 'holding', ...asked });
			return r.ok ? null : r.problem.path;
		};
		expect(why({})).toBeNull();
		expect(why({ beds: ['a', 'a', 'b'] })).toBe('beds');
		expect(why({ beds: ['a', 'b', HOLD] })).toBe('beds');
		expect(why({ start: { p: 'x' } })).toBe('start.p');
		expect(why({ start: { p: 'a', q: 'a' }, target: { p: 'b', q: null } })).toBe('start.q');
		expect(why({ target: { p: 'b', q: 'b' }, start: { p: 'a', q: null } })).toBe('target.q');
		expect(why({ target: {} })).toBe('target');
		expect(why({ start: {} })).toBe('start');
	});
});
