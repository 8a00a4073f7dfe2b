import type { Point } from '../src/lib/core/ground/index.js';

/** Even–odd, as a textbook has it. */
export function insideByRule(ring: readonly Point[], x: number, y: number): boolean {
	let inside = false;
	for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
		const [xi, yi] = ring[i]!;
		const [xj, yj] = ring[j]!;
		if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
	}
	return inside;
}
