/**
 * Plants set as if nobody had: no two nearer than asked, no row to be seen, and no gap that would take one more
 * (blue noise; Bridson 2007, Fast Poisson Disk Sampling in Arbitrary Dimensions).
 */
import PoissonDiskSampling from 'poisson-disk-sampling';
import { randomLcg } from 'd3-random';
import { mayStand } from './outline.js';
import type { Point, Region } from './region.js';

/** Settings that are tried, of a large bed fewer: the fullest is taken. The same bed has the same drift each time. */
const SETTINGS = 24;
/** Plants that are set in all of them, about. */
const MOST_SET = 20_000;
/** Places tried round a plant before it is held to be hemmed in. */
const TRIES = 30;

/** @param spacing between the nearest, m; above 0 */
export function driftIn(region: Region, spacing: number): Point[] {
	const xs = region.outline.map((p) => p[0]);
	const ys = region.outline.map((p) => p[1]);
	const [left, low] = [Math.min(...xs), Math.min(...ys)];
	// Round the bed as well: what is set outside is left out, and the edge is no wall along which they line up.
	const shape = [Math.max(...xs) - left + 2 * spacing, Math.max(...ys) - low + 2 * spacing];
	const settings = Math.min(SETTINGS, Math.max(1, Math.floor((MOST_SET * spacing * spacing) / (shape[0]! * shape[1]!))));
	let best: Point[] = [];
	for (let n = 0; n < settings; n++) {
		const sampling = new PoissonDiskSampling(
			{ shape, minDistance: spacing, maxDistance: spacing * 1.2, tries: TRIES },
			randomLcg((n + 0.5) / settings)
		);
		const points = sampling
			.fill()
			.map(([x, y]): Point => [x! + left - spacing, y! + low - spacing])
			.filter((p) => mayStand(region, p));
		if (points.length > best.length) best = points;
	}
	return best;
}
