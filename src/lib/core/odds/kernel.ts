/**
 * A stage as a rule from those who enter it to those who pass. Its pieces are exchangeable: given the batch's
 * chance they pass independently. So the rule for n pieces is that for n + 1 with one left out by chance,
 *
 *   P(k | n) = P(k | n+1)·(n+1−k)/(n+1) + P(k+1 | n+1)·(k+1)/(n+1),
 *
 * a sum of positive terms. Only the row of the largest n is worked out from the chance itself; whatever the
 * chance is (one Beta, a mixture, a list of points), the rest costs the same.
 */
import { eachTerm } from './betaBinomial.js';
import type { Part } from './belief.js';

/** Distribution of those that pass of `n`, index = how many. */
export type Rule = (n: number) => Float64Array;

/** A point of a discrete chance: weight and chance, 0–1. */
export interface Atom {
	w: number;
	q: number;
}

/** Pieces whose chance is a mixture of Beta distributions. */
export function mixedRule(parts: readonly Part[]): Rule {
	return (n) => {
		const row = new Float64Array(n + 1);
		const own = new Float64Array(n + 1);
		for (const part of parts) {
			let sum = 0;
			let from = n;
			let to = 0;
			eachTerm(n, part, (k, p) => {
				own[k] = p;
				sum += p;
				if (k < from) from = k;
				if (k > to) to = k;
			});
			// The terms are right against each other; the logarithms of their first may be some 1e-8 out at great weights.
			for (let k = from; k <= to; k++) row[k]! += (part.w / sum) * own[k]!;
		}
		return row;
	};
}

/** Adds w·Binomial(n, q) to a row, from its mode outwards. */
function addBinomial(row: Float64Array, n: number, q: number, w: number): void {
	if (q <= 0 || q >= 1) {
		row[q <= 0 ? 0 : n]! += w;
		return;
	}
	const odds = q / (1 - q);
	const mode = Math.min(n, Math.floor((n + 1) * q));
	let log = n * Math.log1p(-q) + mode * Math.log(odds);
	for (let i = 1; i <= mode; i++) log += Math.log((n - mode + i) / i);
	const top = w * Math.exp(log);
	let p = top;
	for (let k = mode; k <= n && p > top * 1e-17; k++) {
		row[k]! += p;
		p *= ((n - k) / (k + 1)) * odds;
	}
	p = top;
	for (let k = mode; k > 0;) {
		p *= k / (n - k + 1) / odds;
		k--;
		if (p <= top * 1e-17) break;
		row[k]! += p;
	}
}

/** Pieces whose chance is one of a list of points. */
export function atomRule(atoms: readonly Atom[]): Rule {
	return (n) => {
		const row = new Float64Array(n + 1);
		for (const { w, q } of atoms) addBinomial(row, n, q, w);
		return row;
	};
}

/** The same rule with its rows kept: for a stage that is gone through many times. */
export function keptRule(rule: Rule): Rule {
	const rows = new Map<number, Float64Array>();
	return (n) => {
		let row = rows.get(n);
		if (!row) rows.set(n, (row = rule(n)));
		// Whoever walks down the rows writes over the one that was given.
		return row.slice();
	};
}

/** Values below this share of a row cannot move a sum of at most 10⁴ of them by 10⁻¹². */
const SLIGHT = 1e-17;

/** Visits the rows of n = most, most − 1, … down to `least`; the row given is used again for the next. */
function eachRow(
	rule: Rule,
	most: number,
	least: number,
	visit: (n: number, row: Float64Array, from: number, to: number) => void
) {
	const row = rule(most);
	let from = 0;
	let to = most;
	for (let n = most; ; n--) {
		while (from < to && row[from]! < SLIGHT) from++;
		while (to > from && row[to]! < SLIGHT) to--;
		visit(n, row, from, to);
		if (n <= least) return;
		// One left out: k of n−1 came from k of n or from k+1 of n.
		if (from > 0) row[--from] = 0;
		const end = Math.min(to, n - 1);
		for (let k = from; k <= end; k++) row[k] = (row[k]! * (n - k) + (k + 1 <= to ? row[k + 1]! * (k + 1) : 0)) / n;
		to = end;
	}
}

/** Those that pass, when `entering[m]` is the chance that m enter. */
export function through(entering: Float64Array, rule: Rule): Float64Array {
	let most = entering.length - 1;
	while (most > 0 && entering[most]! < SLIGHT) most--;
	let least = 0;
	while (least < most && entering[least]! < SLIGHT) least++;
	const leaving = new Float64Array(entering.length);
	eachRow(rule, most, least, (n, row, from, to) => {
		const weight = entering[n]!;
		if (weight < SLIGHT) return;
		for (let k = from; k <= to; k++) leaving[k]! += weight * row[k]!;
	});
	return leaving;
}

/** Worth of entering the stage with n pieces, n = 0 … most, when leaving it with k is worth `worth[k]`. */
export function before(worth: Float64Array, rule: Rule): Float64Array {
	const table = new Float64Array(worth.length);
	eachRow(rule, worth.length - 1, 0, (n, row, from, to) => {
		let sum = 0;
		for (let k = from; k <= to; k++) sum += row[k]! * worth[k]!;
		table[n] = sum;
	});
	return table;
}
