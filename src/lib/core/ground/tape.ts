/** A corner by two tapes: where the arcs about two fixed points meet, and how far it may be off. */
import { sayNumber } from '../numbers.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { GROUND } from './judged.js';
import type { Point } from './region.js';

export interface Reached {
	/** The first fixed point is (0, 0), the second lies on the x axis; the corner lies above it. */
	at: Point;
	/** How far it is off when each tape is off by its own error, m. */
	offM: number;
}

const off = (m: number): number => Math.max(GROUND.tapeLeast.value, GROUND.tapeShare.value * m);
const said = (m: number): string => `${sayNumber(m, 2)} m`;

/**
 * x = (a² − b² + d²) / 2d, y = √(a² − x²). The errors of both tapes, over the sine of the angle at which they meet (d·y = a·b·sin,
 * twice the triangle's area); flat on the line between the points they say no more than how far the longer one bends off it.
 *
 * @param d between the two points, @param a and @param b from each of them, m
 * @param what is named in the sentence where they do not meet
 */
export function reach(d: number, a: number, b: number, what: string): Result<Reached> {
	if (a + b < d - off(d) - off(a) - off(b))
		return refuse(
			'ground.tape-short',
			`${what}: ${said(a)} and ${said(b)} do not reach each other over the ${said(d)} between the points: ${said(d - a - b)} are missing.`
		);
	if (Math.abs(a - b) > d + off(d) + off(a) + off(b))
		return refuse(
			'ground.tape-long',
			`${what}: ${said(a)} and ${said(b)} do not meet: from points ${said(d)} apart two tapes differ by no more than that.`
		);
	const x = (a * a - b * b + d * d) / (2 * d);
	// Short by less than the tape's own error: the corner lies on the line.
	const y = Math.sqrt(Math.max(0, a * a - x * x));
	const tapes = Math.hypot(off(a), off(b));
	// At one of the points itself the angle is any.
	const sine = a * b > 0 ? (d * y) / (a * b) : 1;
	return ok({ at: [x, y], offM: Math.min(tapes / Math.max(sine, 1e-12), Math.sqrt(2 * Math.max(a, b) * tapes)) });
}
