/** The chance that a want is met by some batches, over the seasons of the sample: how many of it stand already, and what comes beside. */
import { atLeast } from '../odds/strike.js';
import type { Candidate, Field } from './candidates.js';
import { Tail } from './tail.js';
import type { JointWant } from './types.js';

export interface Part {
	c: Candidate;
	n: number;
}

/** Levels of what there is already: a season has one of them. */
const LEVELS = 16;

/** One want's chances: how many of it stand already in each season, and the tables by what is still missing. */
export class Odds {
	private readonly level: Uint8Array;
	private readonly missing: number[];
	/** Chance with nothing new but what was pinned. */
	readonly alone: number;
	private readonly tails: Tail[];

	constructor(
		readonly want: JointWant,
		private readonly field: Field,
		private readonly known: Map<number, Tail>,
		/** Batches that are to be, whatever else is. */
		readonly fixed: readonly Part[] = []
	) {
		const size = field.sample.size;
		this.level = new Uint8Array(size);
		const counts = levelsOf(want.already, LEVELS);
		this.missing = counts.map((k) => Math.max(0, want.target - k));
		const order = field.sample.orderOf(want.id);
		for (let s = 0; s < size; s++) this.level[s] = Math.min(counts.length - 1, Math.floor((order[s]! / size) * counts.length));
		this.tails = this.tailsFor(0);
		this.alone = this.all(fixed);
	}

	/** By level: the tail of what is missing where so many are bought. */
	private tailsFor(bought: number): Tail[] {
		return this.missing.map((missing) => {
			const t = Math.max(0, missing - bought);
			let tail = this.known.get(t);
			if (!tail) this.known.set(t, (tail = new Tail(t)));
			return tail;
		});
	}

	/** Plants still missing, usually. */
	get usuallyMissing(): number {
		return this.missing.reduce((a, b) => a + b, 0) / this.missing.length;
	}

	/** Of some parts beside what was pinned. */
	of = (parts: readonly Part[], bought = 0): number => this.all(this.fixed.length ? [...this.fixed, ...parts] : parts, bought);

	/** Of these parts and no others, with so many bought. */
	all(parts: readonly Part[], bought = 0): number {
		const n = parts.reduce((sum, p) => sum + p.n, 0);
		if (n === 0) return atLeast(this.want.already, Math.max(0, this.want.target - bought));
		const tails = bought > 0 ? this.tailsFor(bought) : this.tails;
		const size = this.field.sample.size;
		let sum = 0;
		for (let s = 0; s < size; s++) {
			let mean = 0;
			for (const p of parts) mean += p.n * p.c.q[s]!;
			sum += tails[this.level[s]!]!.of(n, mean / n);
		}
		return sum / size;
	}

	/** Share of what is missing of the whole want that usually comes of it, however many would do. */
	part(more: readonly Part[], bought = 0): number {
		const whole = (this.want.whole ?? this.want.target) - this.want.target;
		const parts = [...this.fixed, ...more];
		const size = this.field.sample.size;
		let sum = 0;
		for (let s = 0; s < size; s++) {
			const missing = this.missing[this.level[s]!]! + whole;
			if (missing === 0) sum += 1;
			else {
				let mean = bought;
				for (const p of parts) mean += p.n * p.c.q[s]!;
				sum += Math.min(1, mean / missing);
			}
		}
		return sum / size;
	}

	/** The chance by the number of pieces, each number worked out once: searches for several chances pass the same ones. */
	by(parts: (n: number) => readonly Part[]): (n: number) => number {
		const known = new Map<number, number>();
		return (n) => {
			let chance = known.get(n);
			if (chance === undefined) known.set(n, (chance = this.of(parts(n))));
			return chance;
		};
	}
}

/** Fewest pieces that are so sure, by a chance that grows with them; null where `most` are not. */
export function least(chance: (n: number) => number, confidence: number, most: number): number | null {
	if (most < 1 || chance(most) < confidence) return null;
	let low = 0;
	let high = most;
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if (chance(middle) >= confidence) high = middle;
		else low = middle;
	}
	return high;
}

/** Evenly weighed counts of a distribution: the mean of each part of it. */
function levelsOf(pmf: Float64Array, levels: number): number[] {
	const found: number[] = [];
	let k = 0;
	let below = 0;
	for (let i = 0; i < levels; i++) {
		const u = (i + 0.5) / levels;
		while (k < pmf.length - 1 && below + pmf[k]! < u) below += pmf[k++]!;
		found.push(k);
	}
	return found;
}
