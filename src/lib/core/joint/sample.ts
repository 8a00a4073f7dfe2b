/**
 * One seeded sample of seasons, shared by all that is planned: which year comes, and what the ways' mean chances are.
 * What a batch adds by itself (its own chance about the mean, its luck with time) is drawn for it alone. For each
 * season the *chance* of a piece is kept, not a count: half the noise of tossed coins, and exact for one batch.
 */
import { randomLcg } from 'd3-random';
import type { StageName } from '../handbook/schema.js';
import type { Beta } from '../odds/beta.js';
import { concentrationOf } from '../odds/belief.js';
import { gridFor } from '../odds/chanceGrid.js';
import { LUCK_POINTS } from '../plan/lucks.js';

/** A random source of its own for whatever has a name: what is drawn for one batch does not hang on who was asked first. */
export function sourceOf(seed: number, name: string): () => number {
	let h = 2_166_136_261 ^ seed;
	for (let i = 0; i < name.length; i++) h = Math.imul(h ^ name.charCodeAt(i), 16_777_619);
	const random = randomLcg((h >>> 0) / 4_294_967_296);
	// Names that differ by a letter begin near each other.
	for (let i = 0; i < 4; i++) random();
	return random;
}

export function shuffled<A extends { length: number; [i: number]: number }>(list: A, random: () => number): A {
	for (let i = list.length - 1; i > 0; i--) {
		const j = Math.floor(random() * (i + 1));
		const kept = list[i]!;
		list[i] = list[j]!;
		list[j] = kept;
	}
	return list;
}

/** Points of a chance's distribution, and of its grid in the logit. */
const POINTS = 257;
/** Quantiles of a batch's own chance: by the mean's logit and by luck. */
const MEANS = 97;
const FURTHEST = 8;
const LUCKS = 129;

/** Quantiles of a Beta distribution at the given shares, read off its grid. */
function quantilesAt(b: Beta, shares: ArrayLike<number>): Float64Array {
	const { p, w } = gridFor({ ...b, rho: 0 }, POINTS);
	const told = new Float64Array(shares.length);
	const order = Array.from(shares, (u, i) => [u, i] as const).sort((a, c) => a[0] - c[0]);
	let k = 0;
	let below = 0;
	for (const [u, i] of order) {
		while (k < p.length - 1 && below + w[k]! < u) below += w[k++]!;
		// Within a point's own weight: from half way to the one before to half way to the one after.
		const t = w[k]! > 0 ? Math.min(1, Math.max(0, (u - below) / w[k]!)) : 0.5;
		const low = k > 0 ? (p[k - 1]! + p[k]!) / 2 : p[k]!;
		const high = k < p.length - 1 ? (p[k]! + p[k + 1]!) / 2 : p[k]!;
		told[i] = low + t * (high - low);
	}
	return told;
}

/** Chance of a batch by its way's mean and its luck: one table for a correlation, for it is the same for all ways. */
const tables = new Map<number, Float64Array>();
function ownQuantiles(rho: number): Float64Array {
	const key = Math.round(Math.max(0.002, Math.min(0.95, rho)) * 1000);
	let table = tables.get(key);
	if (table) return table;
	if (tables.size > 50) tables.clear();
	const c = concentrationOf(key / 1000);
	const shares = Float64Array.from({ length: LUCKS }, (_, i) => (i + 0.5) / LUCKS);
	table = new Float64Array(MEANS * LUCKS);
	for (let m = 0; m < MEANS; m++) {
		const x = -FURTHEST + (2 * FURTHEST * m) / (MEANS - 1);
		const mu = 1 / (1 + Math.exp(-x));
		table.set(quantilesAt({ alpha: mu * c, beta: (1 - mu) * c }, shares), m * LUCKS);
	}
	tables.set(key, table);
	return table;
}

/** The same for whoever draws by chance: a batch's chance from its way's mean and a share. */
export const ownTable = (rho: number): { own: Float64Array; at: (own: Float64Array, mu: number, share: number) => number } => ({
	own: ownQuantiles(rho),
	at: (own, mu, share) => ownAt(own, Math.log(mu / (1 - mu)), share)
});

/** Read between the means, at the nearest luck. */
function ownAt(own: Float64Array, logit: number, share: number): number {
	const m = Math.min(MEANS - 1.001, Math.max(0, ((logit + FURTHEST) / (2 * FURTHEST)) * (MEANS - 1)));
	const at = Math.floor(m) * LUCKS + Math.min(LUCKS - 1, Math.floor(share * LUCKS));
	const low = own[at]!;
	return low + (m - Math.floor(m)) * (own[at + LUCKS]! - low);
}

const chances = new Map<string, Float64Array>();
const CHANCES = 1024;
/** Quantiles of a chance, evenly: one is dealt by any of them. */
export function chanceTable(b: Beta): Float64Array {
	const key = `${b.alpha} ${b.beta}`;
	let table = chances.get(key);
	if (table) return table;
	if (chances.size > 2_000) chances.clear();
	table = quantilesAt(
		b,
		Float64Array.from({ length: CHANCES }, (_, i) => (i + 0.5) / CHANCES)
	);
	chances.set(key, table);
	return table;
}

export class Sample {
	/** Which year comes in each season, as a share of all years: the same for all kinds. */
	private readonly year: Float64Array;
	private readonly means = new Map<string, Float64Array>();
	private readonly own: Float64Array;

	constructor(
		/** Seasons drawn. */
		readonly size: number,
		readonly seed: number,
		rho: number
	) {
		this.own = ownQuantiles(rho);
		this.year = this.even('the year');
	}

	/** An even spread of shares in an order of its own. */
	private even(name: string): Float64Array {
		const random = sourceOf(this.seed, name);
		return shuffled(
			Float64Array.from({ length: this.size }, (_, i) => (i + random()) / this.size),
			random
		);
	}

	yearIn(season: number, years: number): number {
		return Math.floor(this.year[season]! * years);
	}

	/** A way's mean chance at a stage in each season, as its logit: one draw for all that share it. */
	meanOf(shares: string, stage: StageName, b: Beta): Float64Array {
		const key = `${shares} ${stage} ${b.alpha} ${b.beta}`;
		let mean = this.means.get(key);
		if (!mean) {
			mean = quantilesAt(b, this.even(`${shares} ${stage}`)).map((mu) => Math.log(mu / (1 - mu)));
			this.means.set(key, mean);
		}
		return mean;
	}

	/** The chance of one batch at a stage in each season. */
	ownOf(name: string, mean: Float64Array): Float64Array {
		const luck = this.even(name);
		return mean.map((x, s) => ownAt(this.own, x, luck[s]!));
	}

	/** Seasons in an order of a want's own: what grows for it already has its luck apart. */
	orderOf(name: string): Int32Array {
		return shuffled(
			Int32Array.from({ length: this.size }, (_, i) => i),
			sourceOf(this.seed, `order ${name}`)
		);
	}

	/** A batch's luck with time in each season: a point of the lattice that the forecast is summed over (plan/lucks.ts). */
	lucksOf(name: string): Uint16Array {
		const even = this.even(name);
		return Uint16Array.from(even, (u) => LUCK_AT[Math.min(LUCK_AT.length - 1, Math.floor(u * LUCK_AT.length))]!);
	}
}

/** Lucks by their weight, to a part in four thousand. */
const LUCK_AT: Uint16Array = (() => {
	const size = 4096;
	const at = new Uint16Array(size);
	let k = 0;
	let sum = LUCK_POINTS[0]!.w;
	for (let i = 0; i < size; i++) {
		while (k < LUCK_POINTS.length - 1 && sum < (i + 0.5) / size) sum += LUCK_POINTS[++k]!.w;
		at[i] = k;
	}
	return at;
})();
