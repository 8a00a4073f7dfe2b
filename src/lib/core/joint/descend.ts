/**
 * Choosing one pattern for each want by hand's reach: each in turn takes the cheapest that the others leave room for,
 * until none gains; then one that wants what others hold is put first, and they look anew. Never worse than it began.
 */
import type { Asks } from './needs.js';
import type { Pattern } from './patterns.js';

export interface Choosing {
	/** By want, its patterns from the cheapest on. */
	pools: readonly (readonly Pattern[])[];
	limits: Float64Array;
}

/** Loads may exceed a limit by so much of it, for rounding. */
const SLACK = 1e-7;

export class Choice {
	readonly chosen: (Pattern | null)[];
	readonly loads: Float64Array;

	constructor(
		readonly of: Choosing,
		start?: readonly (Pattern | null)[]
	) {
		this.chosen = of.pools.map(() => null);
		this.loads = new Float64Array(of.limits.length);
		if (start) start.forEach((p, w) => p && this.put(w, p));
	}

	fits({ rows, amounts }: Asks): boolean {
		const { limits } = this.of;
		// The stock plant's rows come last, and are what most often lacks.
		for (let i = rows.length - 1; i >= 0; i--) {
			const row = rows[i]!;
			if (this.loads[row]! + amounts[i]! > limits[row]! * (1 + SLACK) + SLACK) return false;
		}
		return true;
	}

	put(w: number, p: Pattern): void {
		this.take(w);
		p.asks.rows.forEach((row, i) => (this.loads[row]! += p.asks.amounts[i]!));
		this.chosen[w] = p;
	}

	take(w: number): void {
		const p = this.chosen[w];
		if (!p) return;
		p.asks.rows.forEach((row, i) => (this.loads[row]! -= p.asks.amounts[i]!));
		this.chosen[w] = null;
	}

	/** The cheapest that fits beside the others. Every pool has the empty pattern, which always does. */
	answer(w: number): Pattern {
		this.take(w);
		const best = this.of.pools[w]!.find((p) => this.fits(p.asks))!;
		this.put(w, best);
		return best;
	}

	cost = (): number => this.chosen.reduce((sum, p) => sum + (p?.cost ?? 0), 0);

	/** Wants whose pattern asks for something of a row that this one would overfill. */
	inTheWay(p: Pattern, w: number): number[] {
		const { limits } = this.of;
		const over = new Uint8Array(limits.length);
		let any = false;
		p.asks.rows.forEach((row, i) => {
			if (this.loads[row]! + p.asks.amounts[i]! <= limits[row]! * (1 + SLACK) + SLACK) return;
			over[row] = 1;
			any = true;
		});
		if (!any) return [];
		return this.chosen.flatMap((o, v) => (v !== w && o?.asks.rows.some((row, i) => over[row] && o.asks.amounts[i]) ? [v] : []));
	}

	copy = (): (Pattern | null)[] => [...this.chosen];
}

/** @param tries how many times a pattern that others are in the way of is put first: what ends it, never the clock */
export function descend(of: Choosing, start: readonly (Pattern | null)[], tries: number): (Pattern | null)[] {
	const choice = new Choice(of, start);
	const order = of.pools.map((_, w) => w);
	settleAll(choice, order);
	let best = choice.cost();
	let left = tries;
	for (let gained = true; gained && left > 0;) {
		gained = false;
		// Those that lose most by what the others hold come first.
		const losing = order
			.map((w) => ({ w, loses: choice.chosen[w]!.cost - of.pools[w]![0]!.cost }))
			.filter((x) => x.loses > 1e-9)
			.sort((a, b) => b.loses - a.loses || a.w - b.w);
		for (const { w } of losing) {
			const before = choice.copy();
			for (const p of of.pools[w]!.slice(0, MOST_FIRST)) {
				if (left <= 0 || p.cost >= before[w]!.cost - 1e-9) break;
				left--;
				choice.take(w);
				const others = choice.inTheWay(p, w);
				for (const v of others) choice.take(v);
				if (!choice.fits(p.asks)) {
					restore(choice, before);
					continue;
				}
				choice.put(w, p);
				for (const v of others.sort((a, b) => before[b]!.cost - before[a]!.cost || a - b)) choice.answer(v);
				// Whoever it pushed aside looks again; the rest only where something was won.
				for (const v of others) choice.answer(v);
				if (choice.cost() < best - 1e-9) settleAll(choice, order);
				if (choice.cost() < best - 1e-9) {
					best = choice.cost();
					gained = true;
					break;
				}
				restore(choice, before);
			}
		}
	}
	return choice.copy();
}
/** Of a want's patterns so many are put first in turn. */
const MOST_FIRST = 12;
/** Rounds in which each takes the best that is left: in practice two or three. */
const MOST_ROUNDS = 20;

function settleAll(choice: Choice, order: readonly number[]): void {
	for (let round = 0; round < MOST_ROUNDS; round++) {
		const before = choice.cost();
		for (const w of order) choice.answer(w);
		if (choice.cost() >= before - 1e-9 && round > 0) return;
	}
}

function restore(choice: Choice, to: readonly (Pattern | null)[]): void {
	const other = to.flatMap((p, w) => (choice.chosen[w] === p ? [] : [w]));
	for (const w of other) choice.take(w);
	for (const w of other) if (to[w]) choice.put(w, to[w]);
}

/** One want after the other, the weightiest first: what a person would do, and where the search begins. */
export function inTurn(of: Choosing, order: readonly number[]): (Pattern | null)[] {
	const choice = new Choice(of);
	for (const w of order) choice.answer(w);
	return choice.copy();
}
