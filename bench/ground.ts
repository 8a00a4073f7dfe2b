/** Figures of the ground: how many fill a bed, in what order things move. */
import { randomLcg } from 'd3-random';
import { fill, orderMoves, turnsOf } from '../src/lib/core/ground/index.js';
import type { FillAsked, Point, Waits } from '../src/lib/core/ground/index.js';
import { insideByRule } from './insideByRule.js';
import { time } from './time.js';

/** A bed of so many corners, some of them standing in. */
function bed(corners: number, seed: number): Point[] {
	const u = randomLcg(seed);
	return Array.from({ length: corners }, (_, i) => {
		const r = 5 * (0.6 + 0.4 * u());
		return [r * Math.cos((2 * Math.PI * i) / corners), r * Math.sin((2 * Math.PI * i) / corners)];
	});
}

/** Shifts tried one by one, 16 along and 16 across: what one would write down first. */
function byShifts(q: FillAsked): number {
	let best = 0;
	for (let i = 0; i < 16; i++)
		for (let j = 0; j < 16; j++) {
			let count = 0;
			for (let x = -6 + (i / 16) * q.spacing; x < 6; x += q.spacing)
				for (let y = -6 + (j / 16) * q.spacing; y < 6; y += q.spacing) if (insideByRule(q.outline, x, y)) count++;
			best = Math.max(best, count);
		}
	return best;
}

/** Plants that each go where the next stands: one knot of so many, or many. */
function rings(sizes: readonly number[]) {
	const [beds, start, target] = [[] as string[], {} as Record<string, string>, {} as Record<string, string>];
	for (const [r, size] of sizes.entries())
		for (let i = 0; i < size; i++) {
			beds.push(`${r}/${i}`);
			start[`p${r}/${i}`] = `${r}/${i}`;
			target[`p${r}/${i}`] = `${r}/${(i + 1) % size}`;
		}
	return { beds, start, target, parking: 'holding' as const };
}

export function benchGround(tell: (line?: string) => void, ms: (n: number) => string): void {
	tell();
	tell('## The ground');
	tell();
	tell('| what | took | |');
	tell('| --- | --- | --- |');
	const plain: FillAsked = { outline: bed(40, 0.7), holes: [], spacing: 0.163, margin: 0, pattern: 'square', turn: false };
	const told = fill(plain);
	const best = time(() => fill(plain), 3);
	const shifts = time(() => byShifts(plain), 1);
	tell(
		`| fill of a bed of 40 corners: ${told.count} plants, every shift that can be the best | ${ms(best)} | 256 shifts one by one, each point asked for: ${ms(shifts)} (${(shifts / best).toFixed(1)} times), ${byShifts(plain)} plants |`
	);
	for (const [what, more] of [
		['the same, 10 cm from the edge', { margin: 0.1 }],
		['the same, staggered, both ways', { pattern: 'triangular' as const }],
		['the same, rows in any direction', { turn: true }],
		['the same, 30 plants standing in it', { keepOff: bed(30, 0.2).map(([x, y]) => ({ x: x / 2, y: y / 2, r: 0.3 })) }]
	] as const) {
		const q: FillAsked = { ...plain, ...more };
		tell(`| ${what} | ${ms(time(() => fill(q), 1))} | ${fill(q).count} plants |`);
	}
	for (const [what, sizes] of [
		['order of 22 moves in one ring', [22]],
		['order of 200 moves in 40 rings', Array.from({ length: 40 }, () => 5)],
		['order of 2,000 moves in one ring', [2_000]]
	] as const)
		tell(`| ${what} | ${ms(time(() => orderMoves(rings(sizes)), 5))} | |`);
	for (const [what, waits] of [
		['22 plants in one knot, each in the way of two others', knot(22, 2)],
		['22 plants in one knot, each in the way of eight others', knot(22, 8)],
		['200 plants in one knot, each in the way of two others', knot(200, 2)]
	] as const) {
		const t = turnsOf(waits);
		const note = t.atLeast === t.mostHeld ? 'proved the fewest' : `the best found; none holds fewer than ${t.atLeast}`;
		tell(`| order of ${what} | ${ms(time(() => turnsOf(waits), 1))} | ${t.mostHeld} wait at most: ${note} |`);
	}
	const eight = knot(8, 3);
	const [mine, every] = [time(() => turnsOf(eight), 5), time(() => everyOrder(eight), 1)];
	tell(`| 8 plants in one knot | ${ms(mine)} | all 40,320 orders: ${ms(every)} (${Math.round(every / mine)} times) |`);
}

/** One knot: each waits for the next, and for some others. */
function knot(n: number, others: number): Waits {
	const u = randomLcg(0.29);
	return {
		after: Array.from({ length: n }, (_, v) =>
			[...new Set([(v + 1) % n, ...Array.from({ length: others - 1 }, () => Math.floor(u() * n))])].filter((w) => w !== v)
		),
		pots: new Array<number>(n).fill(1)
	};
}

/** The fewest that wait at the same time, by every order of lifts. */
function everyOrder({ after }: Waits): number {
	let best = Infinity;
	const go = (lifted: number[], waiting: number, most: number): void => {
		if (lifted.length === after.length) {
			best = Math.min(best, most);
			return;
		}
		for (let v = 0; v < after.length; v++) {
			if (lifted.includes(v)) continue;
			const now = [...lifted, v];
			const stuck = (u: number) => after[u]!.some((w) => !now.includes(w));
			const put = waiting + Number(stuck(v));
			go(now, now.filter(stuck).length, Math.max(most, put));
		}
	};
	go([], 0, 0);
	return best;
}
