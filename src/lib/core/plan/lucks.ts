/**
 * Luck with time and with the year. A batch's luck in each stage, the year that comes, and each piece's own luck are
 * summed over a fixed even set of points (a Kronecker lattice on powers of the root of x⁴ = x + 1; Roberts 2018,
 * from memory), never drawn: the same question has the same answer. Rooting's luck runs over the points that a
 * batch's looks are weighed on, so that what they taught is used as it stands.
 */
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { STAGE_CORRELATION } from '../odds/durations.js';
import { LUCKS } from '../odds/rooting.js';

/** Stages that take time after rooting. */
export interface LaterLuck {
	potted: number;
	ready: number;
}

export interface Luck {
	/** Weight before anything was seen; all sum to 1. */
	w: number;
	/** Index of the batch's luck with rooting among LUCKS. */
	root: number;
	/** The batch's luck with the stages after it, standard normal. */
	batch: LaterLuck;
	/** Which year comes, 0 ≤ year < 1. */
	year: number;
	/** Each piece's own luck: with rooting as a share 0–1, later as standard normals. */
	pieces: (LaterLuck & { root: number })[];
}

/** Points: about so many batches' lucks, and for each so many pieces'. Twice as many move no chance by half a point. */
const BATCHES = 64;
const PIECES = 8;

const STEPS = [0.8191725133961645, 0.6710436067037893, 0.5497004779019703] as const;
const fraction = (x: number) => x - Math.floor(x);
const point = (i: number) => STEPS.map((s) => fraction(0.5 + (i + 1) * s)) as [number, number, number];
const normal = (u: number) => normalQuantile(Math.min(0.9995, Math.max(0.0005, u)), 0, 1);

export const LUCK_POINTS: readonly Luck[] = (() => {
	const points: Luck[] = [];
	const r = STAGE_CORRELATION;
	LUCKS.forEach(({ z, w }, root) => {
		const n = Math.max(1, Math.round(w * BATCHES));
		for (let k = 0; k < n; k++) {
			const [a, b, year] = point(points.length);
			// Three equally correlated normals: the second given the first, the third given both.
			const potted = r * z + Math.sqrt(1 - r * r) * normal(a);
			const ready = (r / (1 + r)) * (z + potted) + Math.sqrt(1 - (2 * r * r) / (1 + r)) * normal(b);
			const pieces = Array.from({ length: PIECES }, (_, i) => {
				const [c, d, e] = point(points.length * PIECES + i + 1);
				return { root: c, potted: normal(d), ready: normal(e) };
			});
			points.push({ w: w / n, root, batch: { potted, ready }, year, pieces });
		}
	});
	return points;
})();
