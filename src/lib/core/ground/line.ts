/** A hedge along a line with corners: its ground, its plants, and those that fill gaps in it. */
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import type { Point } from './region.js';

const HAIR = 1e-9;
/** Sharper corners than this are two hedges, degrees between the legs. */
const SHARPEST = 20;

/** The ground of a line so wide: half to each side, its corners mitred. */
export function alongLine(line: readonly (readonly [number, number])[], wide: number): Result<Point[]> {
	const legs = line.slice(1).map(([x, y], i) => [x - line[i]![0], y - line[i]![1]] as const);
	const short = legs.findIndex(([dx, dy]) => Math.hypot(dx, dy) < 0.01);
	if (short >= 0) return refuse('ground.line', `Corner ${short + 2} lies on the one before it.`, 'corners');
	const side = (sign: number): Point[] | null => {
		const points: Point[] = [];
		for (let i = 0; i < line.length; i++) {
			const [a, b] = [legs[Math.max(0, i - 1)]!, legs[Math.min(legs.length - 1, i)]!];
			const unit = ([dx, dy]: readonly [number, number]) => [dx / Math.hypot(dx, dy), dy / Math.hypot(dx, dy)] as const;
			const [[ax, ay], [bx, by]] = [unit(a), unit(b)];
			const cos = ax * bx + ay * by;
			if (cos < -Math.cos((SHARPEST * Math.PI) / 180)) return null;
			// Both sides are moved out by half the width: they meet on the bisector.
			const far = (sign * wide) / 2 / (1 + cos);
			points.push([line[i]![0] - far * (ay + by), line[i]![1] + far * (ax + bx)]);
		}
		return points;
	};
	const [left, right] = [side(1), side(-1)];
	if (!left || !right) return refuse('ground.line', 'The line turns back on itself: measure that as two hedges.', 'corners');
	return ok([...right, ...left.reverse()]);
}

/** Where plants of one row stand along a line: at both ends and at each corner, what is left over shared out in each leg. */
export function rowAlong(line: readonly (readonly [number, number])[], spacing: number): Point[] {
	const points: Point[] = [[...line[0]!]];
	for (const [i, [x2, y2]] of line.slice(1).entries()) {
		const [x1, y1] = line[i]!;
		const gaps = gapsIn(Math.hypot(x2 - x1, y2 - y1), spacing);
		for (let n = 1; n <= gaps; n++) points.push([x1 + ((x2 - x1) * n) / gaps, y1 + ((y2 - y1) * n) / gaps]);
	}
	return points;
}

/** Gaps of a length, none wider than the spacing. */
const gapsIn = (length: number, spacing: number): number => Math.max(1, Math.ceil(length / spacing - HAIR));

/** Plants of a hedge along a line. The second row stands in the gaps of the first: one for each. */
export function plantsAlong(line: readonly (readonly [number, number])[], spacing: number, rows: 1 | 2): number {
	const first = rowAlong(line, spacing).length;
	return rows === 1 ? first : 2 * first - 1;
}

/**
 * Plants that fill a gap in a standing hedge, from one that lives to the next: so many that none stand wider than asked,
 * the room shared out. A gap as wide as the spacing is none.
 */
export const plantsInGap = (gap: number, spacing: number): number => gapsIn(gap, spacing) - 1;
