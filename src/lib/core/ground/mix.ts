/** A bed of several kinds: so many of each by their shares, in groups of three, five and seven. */
import { randomLcg } from 'd3-random';
import type { Point } from './region.js';

const GROUPS = [3, 5, 7] as const;

/** So many of each by its share, whole numbers that add up: what is left over goes to the largest remainders (Hamilton's method). */
export function countsOf(total: number, shares: readonly number[]): number[] {
	const all = shares.reduce((a, b) => a + b, 0);
	const exact = shares.map((s) => (total * s) / all);
	const counts = exact.map(Math.floor);
	const byRest = exact.map((x, i) => ({ i, rest: x - counts[i]! })).sort((a, b) => b.rest - a.rest || a.i - b.i);
	const left = total - counts.reduce((a, b) => a + b, 0);
	for (const { i } of byRest.slice(0, left)) counts[i]!++;
	return counts;
}

/** A group's size: odd, and so that what is left of the kind makes groups too; all of it where that can't be. */
function sizeOf(left: number, random: () => number): number {
	const fits = GROUPS.filter((g) => g === left || left - g >= GROUPS[0]);
	return fits.length === 0 ? left : fits[Math.floor(random() * fits.length)]!;
}

/**
 * Which kind stands at each point. Groups are laid from one end of the bed to the other, each of neighbours, the kind that
 * is most behind its share next; the same seed, the same bed.
 *
 * @param shares of each kind, above 0
 */
export function mixed(points: readonly Point[], shares: readonly number[], seed = 1): { of: number[]; groups: number[][] } {
	const random = randomLcg(seed / 2 ** 20);
	const left = countsOf(points.length, shares);
	const total = [...left];
	const of = new Array<number>(points.length).fill(-1);
	const wide = Math.max(...points.map((p) => p[0])) - Math.min(...points.map((p) => p[0]));
	const tall = Math.max(...points.map((p) => p[1])) - Math.min(...points.map((p) => p[1]));
	const along = (i: number) => (wide >= tall ? points[i]![0] + points[i]![1] / 1e3 : points[i]![1] + points[i]![0] / 1e3);
	const open = [...points.keys()].sort((a, b) => along(a) - along(b));
	const groups: number[][] = [];
	let last = -1;
	while (open.length > 0) {
		// The kind of which most is still to come; not the same twice while there is another.
		const kinds = [...left.keys()].filter((k) => left[k]! > 0 && (k !== last || left.every((n, j) => j === k || n === 0)));
		const kind = kinds.reduce((a, b) => (left[b]! / total[b]! > left[a]! / total[a]! ? b : a));
		const size = sizeOf(left[kind]!, random);
		const [x, y] = points[open[0]!]!;
		const near = [...open].sort(
			(a, b) => Math.hypot(points[a]![0] - x, points[a]![1] - y) - Math.hypot(points[b]![0] - x, points[b]![1] - y)
		);
		const group = near.slice(0, size);
		for (const i of group) {
			of[i] = kind;
			open.splice(open.indexOf(i), 1);
		}
		groups.push(group);
		left[kind]! -= group.length;
		last = kind;
	}
	return { of, groups };
}
