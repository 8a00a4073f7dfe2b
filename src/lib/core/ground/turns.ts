/**
 * In what order plants are lifted where the new place of one may lie over the places of several: with the fewest waiting
 * in pots at the same time.
 *
 * A plant can be set down once all that stand where it goes are lifted; until then it waits. What waits for each other in
 * a circle is a knot (a strongly connected part of the graph of waits): outside the knots nothing need wait. Inside one, the
 * best order is found over its subsets: what waits after a set of plants is lifted hangs on the set alone, not on the order
 * in which they were (the recurrence of Held and Karp, 1962). The number sought is the process number of the knot, known
 * from rerouting (Coudert and others, 2005, from memory).
 */
import { SEARCH } from './limits.js';

export interface Waits {
	/** Of each plant, the others that stand where it goes, by number. */
	after: readonly (readonly number[])[];
	/** Of each, in how many pots it waits. */
	pots: readonly number[];
}

export interface Turns {
	/** What is done, one after another: straight to its place, into a pot to wait, or out of it to its place. */
	steps: { plant: number; does: 'straight' | 'waits' | 'out' }[];
	/** Pots that wait at the same time, at most; and that wait at all. */
	mostHeld: number;
	held: number;
	/** No order holds fewer at the same time than so many: less than mostHeld only where the best is not proved. */
	atLeast: number;
}

/** Parts in which all wait for each other, each after those that it waits for (Tarjan, 1972). */
export function knotsOf(after: Waits['after']): number[][] {
	const index = new Array<number>(after.length).fill(-1);
	const low = new Array<number>(after.length).fill(0);
	const open: number[] = [];
	const isOpen = new Array<boolean>(after.length).fill(false);
	const knots: number[][] = [];
	let next = 0;
	// With a list of its own: a chain of hundreds must not fill the stack.
	for (let root = 0; root < after.length; root++) {
		if (index[root]! >= 0) continue;
		const way: { v: number; i: number }[] = [];
		const enter = (v: number) => {
			index[v] = low[v] = next++;
			open.push(v);
			isOpen[v] = true;
			way.push({ v, i: 0 });
		};
		enter(root);
		while (way.length > 0) {
			const top = way.at(-1)!;
			const w = after[top.v]![top.i++];
			if (w !== undefined) {
				if (index[w]! < 0) enter(w);
				else if (isOpen[w]) low[top.v] = Math.min(low[top.v]!, index[w]!);
				continue;
			}
			way.pop();
			const parent = way.at(-1);
			if (parent) low[parent.v] = Math.min(low[parent.v]!, low[top.v]!);
			if (low[top.v] !== index[top.v]) continue;
			const knot: number[] = [];
			for (let v = -1; v !== top.v;) {
				v = open.pop()!;
				isOpen[v] = false;
				knot.push(v);
			}
			knots.push(knot.reverse());
		}
	}
	return knots;
}

/** The order of lifts inside one knot, by the numbers of its own plants. */
interface Lifts {
	order: number[];
	atLeast: number;
}

/** Costs are compared by the most that wait, then by how many wait at all, then by how long: one number. */
const WAITS = 1e4;

function exactLifts(before: readonly number[], pots: readonly number[], range: { atLeast: number; atMost: number }): Lifts {
	const n = pots.length;
	const all = 2 ** n;
	const heldOf = (set: number): number => {
		let held = 0;
		for (let rest = set; rest !== 0; rest &= rest - 1) {
			const v = 31 - Math.clz32(rest & -rest);
			if ((before[v]! & ~set) !== 0) held += pots[v]!;
		}
		return held;
	};
	const straightOf = (set: number): number => {
		for (let v = 0; v < n; v++) if (!((set >> v) & 1) && (before[v]! & ~set) === 0) return v;
		return -1;
	};
	/** The most that wait while `v` is lifted after a set: it is put down before what waited for it is taken up. */
	const peakBy = (set: number, v: number, held: number): number =>
		(before[v]! & ~(set | (1 << v))) === 0 ? held : held + pots[v]!;
	/** The least of the highest numbers on the way to all. */
	const leastPeak = (): number => {
		const peak = new Uint32Array(all).fill(0xffffffff);
		peak[0] = 0;
		for (let set = 0; set < all; set++) {
			if (peak[set] === 0xffffffff) continue;
			const held = heldOf(set);
			// Whoever goes straight does, for it costs nothing: nothing else need be looked at.
			const straight = straightOf(set);
			for (let v = Math.max(0, straight); v < (straight < 0 ? n : straight + 1); v++) {
				if ((set >> v) & 1) continue;
				const to = set | (1 << v);
				const p = Math.max(peak[set]!, peakBy(set, v, held));
				if (p <= range.atMost && p < peak[to]!) peak[to] = p;
			}
		}
		return peak[all - 1]!;
	};
	const least = range.atLeast === range.atMost ? range.atMost : leastPeak();
	const cost = new Float64Array(all).fill(Infinity);
	const last = new Int8Array(all).fill(-1);
	cost[0] = 0;
	for (let set = 0; set < all; set++) {
		if (cost[set] === Infinity) continue;
		const held = heldOf(set);
		const straight = straightOf(set);
		for (let v = Math.max(0, straight); v < (straight < 0 ? n : straight + 1); v++) {
			if ((set >> v) & 1) continue;
			const p = peakBy(set, v, held);
			if (p > least) continue;
			const to = set | (1 << v);
			const c = cost[set]! + (p > held ? pots[v]! * WAITS : 0) + p;
			if (c < cost[to]!) {
				cost[to] = c;
				last[to] = v;
			}
		}
	}
	const order: number[] = [];
	for (let set = all - 1; set !== 0; set &= ~(1 << last[set]!)) order.push(last[set]!);
	return { order: order.reverse(), atLeast: least };
}

/**
 * What no order can do without: before the first of any part is set down, all that it waits for in the part are lifted
 * and wait. The best such part is found by taking away, again and again, whoever waits for fewest.
 */
function boundOf(after: readonly ReadonlySet<number>[], pots: readonly number[]): number {
	const left = new Set(after.keys());
	let bound = 0;
	while (left.size > 0) {
		let [easiest, fewest] = [-1, Infinity];
		for (const v of left) {
			let sum = 0;
			for (const u of after[v]!) if (left.has(u)) sum += pots[u]!;
			if (sum < fewest) [easiest, fewest] = [v, sum];
		}
		bound = Math.max(bound, fewest);
		left.delete(easiest);
	}
	return bound;
}

/** So many sets are followed side by side, where there are too many to look at all. */
function beamLifts(after: readonly ReadonlySet<number>[], pots: readonly number[]): { order: number[]; peak: number } {
	const n = pots.length;
	const freedBy = pots.map((_, v) => [...after.keys()].filter((w) => after[w]!.has(v)));
	interface State {
		set: bigint;
		lifted: Uint8Array;
		/** Of each, how many of those that it waits for still stand. */
		missing: Uint16Array;
		peak: number;
		held: number;
		cost: number;
		last: number;
		before: State | null;
	}
	/** What it comes to when a plant is lifted next; nothing is copied until it is known to be among the best. */
	const told = (s: State, v: number) => {
		const waits = s.missing[v]! > 0 ? pots[v]! : 0;
		let held = s.held + waits;
		for (const w of freedBy[v]!) if (s.missing[w] === 1 && (s.lifted[w] === 1 || w === v)) held -= pots[w]!;
		return {
			v,
			s,
			set: s.set | (1n << BigInt(v)),
			held,
			peak: Math.max(s.peak, s.held + waits),
			cost: s.cost + waits * WAITS + held
		};
	};
	const made = ({ v, s, ...rest }: ReturnType<typeof told>): State => {
		const [lifted, missing] = [s.lifted.slice(), s.missing.slice()];
		lifted[v] = 1;
		for (const w of freedBy[v]!) missing[w]!--;
		return { ...rest, lifted, missing, last: v, before: s };
	};
	const wide = Math.ceil(SEARCH.looks / (n * n));
	const missing = Uint16Array.from(after, (us) => us.size);
	let beam: State[] = [{ set: 0n, lifted: new Uint8Array(n), missing, peak: 0, held: 0, cost: 0, last: -1, before: null }];
	for (let step = 0; step < n; step++) {
		const found = new Map<bigint, ReturnType<typeof told>>();
		for (const s of beam) {
			const open = [...after.keys()].filter((v) => s.lifted[v] === 0);
			// Whoever goes straight does, for it costs nothing.
			const straight = open.find((v) => s.missing[v] === 0);
			for (const v of straight === undefined ? open : [straight]) {
				const next = told(s, v);
				const other = found.get(next.set);
				if (!other || next.peak < other.peak || (next.peak === other.peak && next.cost < other.cost)) found.set(next.set, next);
			}
		}
		beam = [...found.values()]
			.sort((a, b) => a.peak - b.peak || a.held - b.held || a.cost - b.cost)
			.slice(0, wide)
			.map(made);
	}
	const order: number[] = [];
	const peak = beam[0]!.peak;
	for (let s: State = beam[0]!; s.before; s = s.before) order.push(s.last);
	return { order: order.reverse(), peak };
}

function liftsOf(knot: readonly number[], { after, pots }: Waits): Lifts {
	const at = new Map(knot.map((v, i) => [v, i]));
	const inside = knot.map((v) => after[v]!.flatMap((u) => (u !== v && at.has(u) ? [at.get(u)!] : [])));
	const own = knot.map((v) => pots[v]!);
	if (knot.length === 1) return { order: [0], atLeast: 0 };
	const sets = inside.map((us) => new Set(us));
	const found = beamLifts(sets, own);
	const atLeast = boundOf(sets, own);
	if (knot.length > SEARCH.exact) return { order: found.order, atLeast };
	return exactLifts(
		inside.map((us) => us.reduce((mask, u) => mask | (1 << u), 0)),
		own,
		{ atLeast, atMost: found.peak }
	);
}

/** @throws RangeError where a plant waits for one that is not there. */
export function turnsOf(waits: Waits): Turns {
	const { after, pots } = waits;
	for (const us of after) for (const u of us) if (after[u] === undefined) throw new RangeError(`there is no plant ${u}`);
	const steps: Turns['steps'] = [];
	const [lifted, waiting] = [new Set<number>(), new Set<number>()];
	const free = (v: number): boolean => after[v]!.every((u) => u === v || lifted.has(u));
	let [heldNow, mostHeld, held, atLeast] = [0, 0, 0, 0];
	for (const knot of knotsOf(after)) {
		const lifts = liftsOf(knot, waits);
		atLeast = Math.max(atLeast, lifts.atLeast);
		for (const v of lifts.order.map((i) => knot[i]!)) {
			lifted.add(v);
			if (free(v)) steps.push({ plant: v, does: 'straight' });
			else {
				waiting.add(v);
				heldNow += pots[v]!;
				held += pots[v]!;
				mostHeld = Math.max(mostHeld, heldNow);
				steps.push({ plant: v, does: 'waits' });
			}
			for (const u of waiting)
				if (free(u)) {
					waiting.delete(u);
					heldNow -= pots[u]!;
					steps.push({ plant: u, does: 'out' });
				}
		}
	}
	return { steps, mostHeld, held, atLeast };
}
