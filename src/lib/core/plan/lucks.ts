/**
 * Luck with time and with the year. A batch's luck in each stage, the year that comes, and each piece's own luck are
 * summed over a fixed even set of points (a Kronecker lattice on powers of the root of x⁴ = x + 1; Roberts 2018,
 * from memory), never drawn: the same question has the same answer. Rooting's luck runs over the points that a
 * batch's looks are weighed on, so that what they taught is used as it stands.
 */
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { evened } from '../evened.js';
import type { StageName } from '../handbook/schema.js';
import { daysAt, durationOf, luckOf, ownLuckAt, STAGE_CORRELATION } from '../odds/durations.js';
import type { ThreeDays } from '../odds/durations.js';
import { LUCKS } from '../odds/rooting.js';

/** Stages that take time. */
export const TIMED = ['rooted', 'potted', 'ready'] as const satisfies readonly StageName[];
export type TimedStage = (typeof TIMED)[number];

export interface Luck {
	/** Weight before anything was seen; all sum to 1. */
	w: number;
	/** Index of the batch's luck with rooting among LUCKS. */
	root: number;
	/** The batch's luck with each stage, standard normal. */
	batch: Record<TimedStage, number>;
	/** Which year comes, 0 ≤ year < 1. */
	year: number;
}

/**
 * Points: about so many batches' lucks, and for each so many pieces'. Where the due day cuts through them, a chance is
 * off by a step of their number: see lucks.test.ts for how far.
 */
const BATCHES = 128;
export const PIECES = 32;

const STEPS = [0.8191725133961645, 0.6710436067037893, 0.5497004779019703] as const;
const fraction = (x: number) => x - Math.floor(x);
const point = (i: number) => STEPS.map((s) => fraction(0.5 + (i + 1) * s)) as [number, number, number];
const normal = (u: number) => normalQuantile(Math.min(0.9995, Math.max(0.0005, u)), 0, 1);

export const LUCK_POINTS: readonly Luck[] = (() => {
	const points: Luck[] = [];
	const r = STAGE_CORRELATION;
	LUCKS.forEach(({ z, w }, root) => {
		const n = Math.max(1, Math.round(w * BATCHES));
		const of = Array.from({ length: n }, (_, k) => point(points.length + k));
		const [first, second] = ([0, 1] as const).map((axis) => evened(of.map((p) => p[axis])));
		of.forEach(([, , year], k) => {
			// Three equally correlated normals: the second given the first, the third given both.
			const potted = r * z + Math.sqrt(1 - r * r) * normal(first![k]!);
			const ready = (r / (1 + r)) * (z + potted) + Math.sqrt(1 - (2 * r * r) / (1 + r)) * normal(second![k]!);
			points.push({ w: w / n, root, batch: { rooted: z, potted, ready }, year });
		});
	});
	// Each year has its share of weight: where a window's opening decides, a year too much is a step of the odds.
	let before = 0;
	for (const p of [...points].sort((a, b) => a.year - b.year)) {
		p.year = before + p.w / 2;
		before += p.w;
	}
	return points;
})();

const SIZE = LUCK_POINTS.length * PIECES;
/** Of each piece, by which share of those still to root it is through. The pieces of a point of LUCK_POINTS follow each other. */
export const OWN_SHARES = new Float64Array(SIZE);
/** Each piece's own luck by stage, standard normal. */
const OWN: Record<TimedStage, Float64Array> = {
	rooted: new Float64Array(SIZE),
	potted: new Float64Array(SIZE),
	ready: new Float64Array(SIZE)
};
for (let i = 0; i < SIZE; i++) {
	const at = point(PIECES + (i >> 1));
	const [a, b, c] = i % 2 === 1 ? at.map((u) => 1 - u) : at;
	OWN_SHARES[i] = a!;
	OWN.rooted[i] = ownLuckAt(a!);
	OWN.potted[i] = normal(b!);
	OWN.ready[i] = normal(c!);
}

/** Nobody waits longer. */
const MOST_DAYS = 20_000;
const MOST_KEPT = 300;
const kept = new Map<string, Float32Array>();

/** Days that a stage takes by luck and piece: rooting's as a clock reads them, all others whole. Not to be written to. */
export function daysByLuck(to: TimedStage, days: ThreeDays): Float32Array {
	const key = `${to} ${days.join(' ')}`;
	let table = kept.get(key);
	if (table) return table;
	if (kept.size >= MOST_KEPT) kept.clear();
	const d = durationOf(days);
	table = new Float32Array(SIZE);
	LUCK_POINTS.forEach((luck, k) => {
		for (let i = k * PIECES; i < (k + 1) * PIECES; i++) {
			const took = Math.min(MOST_DAYS, daysAt(d, luckOf(luck.batch[to], OWN[to][i]!)));
			table![i] = to === 'rooted' ? took : Math.round(took);
		}
	});
	kept.set(key, table);
	return table;
}
