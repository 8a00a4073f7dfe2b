/**
 * What a thermometer in a shelter teaches of it: Bayes over a grid of bodies. The prior is what such a place usually
 * is; each day's lowest and highest speak for the bodies that would have had them. A probe that jumps now and then is
 * borne (Student's t, 4 degrees of freedom), and days in a row count as fewer, for they err alike.
 */
import { SHELTER } from './judged.js';
import type { ShelterKind } from './bodies.js';
import { daysInside } from './thermal.js';
import type { Body, Weather } from './thermal.js';

/** Lowest and highest of a day as they were read; NaN where nothing was. */
export interface Read {
	low: ArrayLike<number>;
	high: ArrayLike<number>;
}

export interface Fitted {
	bodies: readonly Body[];
	/** Chance of each, 1 in all. */
	weights: Float64Array;
	/** Days that were read, and nights of them with frost outside. */
	days: number;
	coldNights: number;
	/** Readings that no body of such a place would show: a broken probe, one in the sun, °F taken for °C. */
	odd: number;
}

/** Nodes of the grid, in spreads from the middle. */
const Z = [-2.4, -1.8, -1.2, -0.6, 0, 0.6, 1.2, 1.8, 2.4];
const SUN = [0, 0.33, 0.67, 1];
const FREEDOM = 4;
/** Farther than this from every likely body a reading is none of the air's, °C. */
const ODD_C = 15;
/** Days until a body has forgotten how the reckoning began, at most. */
const WARM_UP = 10;

const logit = (p: number) => Math.log(p / (1 - p));
const expit = (x: number) => 1 / (1 + Math.exp(-x));

/** Where the grid lies, in spreads from the middle: centre and half width over the last node. */
interface Frame {
	tau: readonly [number, number];
	share: readonly [number, number];
	sun: readonly [number, number];
}
const WHOLE: Frame = { tau: [0, 1], share: [0, 1], sun: [0, 1] };

interface Node {
	body: Body;
	prior: number;
	/** Its place, in spreads. */
	at: readonly [number, number, number];
}

function gridOf({ tauH, share, sunC }: ShelterKind, frame: Frame = WHOLE): Node[] {
	const nodes: Node[] = [];
	// The sun falls off from its most usual to the most: a half normal.
	const sunSpread = Math.max(1e-9, (sunC[1] - sunC[0]) / 1.5);
	for (const t of Z)
		for (const s of Z)
			for (const u of SUN) {
				const zt = frame.tau[0] + t * frame.tau[1];
				const zs = frame.share[0] + s * frame.share[1];
				const zu = Math.max(0, frame.sun[0] + u * frame.sun[1]);
				const sun = zu * sunC[1];
				nodes.push({
					body: { tauH: tauH[0] * Math.exp(zt * tauH[1]), share: expit(logit(share[0]) + zs * share[1]), sunC: sun },
					prior: -(zt * zt + zs * zs + ((sun - sunC[0]) / sunSpread) ** 2) / 2,
					at: [zt, zs, zu]
				});
			}
	return nodes;
}

/** Around what is believed now, as wide as that is sure, never finer than a thermometer can tell. */
const LEAST_WIDE = 0.06;
function around(nodes: readonly Node[], weights: Float64Array): Frame {
	const [tau, share, sun] = [0, 1, 2].map((axis) => {
		const mean = nodes.reduce((s, n, i) => s + weights[i]! * n.at[axis]!, 0);
		const sd = Math.sqrt(nodes.reduce((s, n, i) => s + weights[i]! * (n.at[axis]! - mean) ** 2, 0));
		return [mean, sd] as const;
	}) as [[number, number], [number, number], [number, number]];
	const wide = (sd: number) => Math.min(1, Math.max(LEAST_WIDE, sd * 1.3));
	const sunWide = Math.max(0.1, 4.5 * sun[1]);
	return { tau: [tau[0], wide(tau[1])], share: [share[0], wide(share[1])], sun: [Math.max(0, sun[0] - sunWide / 2), sunWide] };
}

const logT = (x: number, scale: number): number =>
	-((FREEDOM + 1) / 2) * Math.log1p((x / scale) ** 2 / FREEDOM) - Math.log(scale);

/** Log weights made chances. */
function chancesOf(logs: Float64Array): Float64Array {
	const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
	const w = logs.map((l) => Math.exp(l - most));
	const sum = w.reduce((a, b) => a + b, 0);
	return w.map((x) => x / sum);
}

/** Before anything was read. */
export function unread(kind: ShelterKind): Fitted {
	const grid = gridOf(kind);
	return {
		bodies: grid.map((g) => g.body),
		weights: chancesOf(Float64Array.from(grid, (g) => g.prior)),
		...{ days: 0, coldNights: 0, odd: 0 }
	};
}

/**
 * @param weather outside on the days of the readings, day by day
 * @param frostC a night outside at or below it is a cold one
 */
export function fitShelter(kind: ShelterKind, weather: Weather, read: Read, frostC = 0): Fitted {
	const n = weather.anchor.length;
	const known: number[] = [];
	for (let d = 0; d < n; d++) if (d >= Math.min(WARM_UP, n - 1) && !Number.isNaN(read.low[d]!)) known.push(d);
	if (known.length === 0) return unread(kind);
	const coarse = gridOf(kind);
	const inside = coarse.map((g) => daysInside(g.body, weather));
	// Odd ones are told by all bodies together, before they speak: one probe at 85 °C is no sunny day.
	const believable = (value: number, of: 'low' | 'high', d: number): boolean => {
		let [least, most] = [Infinity, -Infinity];
		for (const i of inside) {
			least = Math.min(least, i[of][d]!);
			most = Math.max(most, i[of][d]!);
		}
		return value > least - ODD_C && value < most + ODD_C;
	};
	const used = known.filter((d) => believable(read.low[d]!, 'low', d) && believable(read.high[d]!, 'high', d));
	const first = believed(coarse, inside, read, used);
	// Once more, finer, about what the whole of the grid found likely.
	const fine = gridOf(kind, around(coarse, first));
	const weights = believed(
		fine,
		fine.map((g) => daysInside(g.body, weather)),
		read,
		used
	);
	const frost = (d: number) => weather.hours.subarray(d * 24, d * 24 + 24).some((c) => c <= frostC);
	return {
		bodies: fine.map((g) => g.body),
		weights,
		days: used.length,
		coldNights: used.filter(frost).length,
		odd: known.length - used.length
	};
}

function believed(
	nodes: readonly Node[],
	inside: readonly { low: Float64Array; high: Float64Array }[],
	read: Read,
	days: readonly number[]
): Float64Array {
	const scales = SHELTER.probe.value;
	const alike = SHELTER.daysAlike.value;
	return chancesOf(
		Float64Array.from(nodes, ({ prior }, k) => {
			const { low, high } = inside[k]!;
			const each = scales.map((scale) => {
				let sum = 0;
				for (const d of days) sum += logT(read.low[d]! - low[d]!, scale) + logT(read.high[d]! - high[d]!, scale);
				return sum / alike;
			});
			const most = Math.max(...each);
			return prior + most + Math.log(each.reduce((a, l) => a + Math.exp(l - most), 0));
		})
	);
}

/** Middle and span (80 %) of what is believed of a body. */
export function spanOf(f: Fitted, of: (b: Body) => number, q: readonly number[] = [0.1, 0.5, 0.9]): number[] {
	const sorted = f.bodies.map((b, i) => ({ v: of(b), w: f.weights[i]! })).sort((a, b) => a.v - b.v);
	return q.map((share) => {
		let sum = 0;
		for (const { v, w } of sorted) if ((sum += w) >= share - 1e-12) return v;
		return sorted.at(-1)!.v;
	});
}

/** A few bodies that stand for all: as many of each as it is likely, in an order that any first few stand for all too. */
export function drawn(f: Fitted, count: number): Body[] {
	const sums = new Float64Array(f.weights.length);
	let sum = 0;
	f.weights.forEach((w, i) => (sums[i] = sum += w));
	return Array.from({ length: count }, (_, k) => {
		// Van der Corput's sequence: spread evenly however many are taken.
		let [u, base] = [0, 0.5];
		for (let n = k + 1; n > 0; n >>= 1, base /= 2) if (n & 1) u += base;
		const at = sums.findIndex((s) => s >= u * sum);
		return f.bodies[at < 0 ? f.bodies.length - 1 : at]!;
	});
}
