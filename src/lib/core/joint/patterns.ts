/**
 * Ready-made ways to a want: none, one batch, two, or one stock plant asked each time that it has grown back; each with
 * what has to be bought beside it, where some of the want may be. The odds of
 * a combination are worked out when it is made, and what a batch asks beside its pieces is in its price: so the
 * programme that chooses among them is small, and its chance constraint exact on the sample.
 */
import { HUNDREDTH } from '../odds/words.js';
import { flushesFor, mostBy, nearest, piecesOf } from '../plan/flushes.js';
import type { Flush, FlushesOf } from '../plan/flushes.js';
import type { Candidate, Field } from './candidates.js';
import { PLAN } from '../plan/judged.js';
import { JOINT } from './judged.js';
import { stillMissing } from './needs.js';
import type { Asks, Rows } from './needs.js';
import { least } from './wantChance.js';
import type { Odds, Part } from './wantChance.js';
import type { JointWant } from './types.js';

/** Names batches taken together, in whatever order. */
export const keyOf = (parts: readonly Part[]): string =>
	parts
		.map((x) => `${x.c.name}*${x.n}`)
		.sort()
		.join(' + ');

export interface Pattern {
	want: number;
	/** What was pinned among them. */
	parts: readonly Part[];
	/** Plants that are bought. */
	buys: number;
	/** Nothing beside what was pinned. */
	empty: boolean;
	/** The want as it is met by it: itself, or as would do too. */
	as: JointWant;
	/** Chance of that on the sample. */
	odds: number;
	/** Work and money with set-ups, and what it is short, in money. */
	cost: number;
	/** The same without what it is short. */
	work: number;
	asks: Asks;
	key: string;
}

/** Are they struck by one way within a season? */
export const ofOneAge = (parts: readonly Part[]): boolean => {
	const days = parts.map((x) => x.c.on);
	return new Set(parts.map((x) => x.c.way.id)).size < 2 && Math.max(...days) - Math.min(...days) <= PLAN.oneAge.value;
};

/** Below what was asked, tried for wants that cannot be met whole. */
const LESS = [0, 0.01, 0.025, 0.05, 0.08, 0.12, 0.2, 0.35, 0.55] as const;
/** Candidates of a want among which pairs are looked for, and how a pair is shared out. */
const IN_PAIRS = 9;
const SPLITS = [0.3, 0.5, 0.7] as const;
const PAIR_LESS = [0, 0.05, 0.2] as const;
/** Of the most that can be had, where even that is not enough: less of it fits where there is little room or time. */
const SHARES = [1, 0.7, 0.45, 0.25] as const;
/** Where fewer come, usually none does: nobody strikes what they are told not to count on. */
const LEAST_PLANTS = 0.5;
/** Nobody strikes more for one want. */
const MOST_PIECES = 2_000;
export interface PatternsOf {
	field: Field;
	rows: Rows;
	/** Place of the want among all. */
	at: number;
	want: JointWant;
	odds: Odds;
	candidates: readonly Candidate[];
	/** Asked for, with what the sample is known to be too hopeful by. */
	confidence: number;
	/** What the want is worth in money, and the share of it that is given up where it is met otherwise. */
	worth: number;
	given: number;
}

/** All that is looked at for one want, the empty one first. */
export function patternsOf(p: PatternsOf): Pattern[] {
	const found = new Map<string, Pattern>();
	const add = (parts: readonly Part[]) => {
		const used = parts.filter((x) => x.n > 0);
		// What was pinned is as it is: no second batch of the same day, plant and way.
		if (used.some((x) => p.odds.fixed.some((f) => f.c.name === x.c.name))) return;
		if (p.want.oneAge && used.length && !ofOneAge([...p.odds.fixed, ...used])) return;
		const key = keyOf(used);
		if (found.has(key)) return;
		const made = patternOf(p, used, key);
		if (made.empty || made.odds >= HUNDREDTH || plantsOf(used) >= LEAST_PLANTS) found.set(key, made);
	};
	add([]);
	if (p.odds.alone >= p.confidence - HUNDREDTH) return [...found.values()];
	const sure = singles(p, add);
	pairs(p, sure, add);
	flushes(p, add);
	return [...found.values(), ...bought(p, [...found.values()])];
}

/** Numbers to buy that are looked at: what a plan buys is then made as few as will do (solve.ts). */
const BUYS = 8;
/** What falls short by itself, with the fewest bought that meet it. Bought plants are of another age: a hedge has none. */
function bought(p: PatternsOf, found: readonly Pattern[]): Pattern[] {
	const { want, odds, confidence, given } = p;
	if (!want.buys || want.buys.most < 1 || want.oneAge || given > 0) return [];
	const most = Math.min(want.target, want.buys.most);
	const steps = [...new Set(Array.from({ length: BUYS }, (_, i) => Math.ceil(((i + 1) / BUYS) * most)))];
	return found.flatMap(({ parts, odds: chance }) => {
		if (chance >= confidence) return [];
		const own = parts.slice(odds.fixed.length);
		let [low, high] = [0, steps.length - 1];
		while (low < high) {
			const middle = (low + high) >> 1;
			if (odds.of(own, steps[middle]!) >= confidence) high = middle;
			else low = middle + 1;
		}
		return [patternOf(p, own, keyOf(own), steps[low]!)];
	});
}

/** @param buys plants that are bought beside them */
export function patternOf(
	{ field, rows, at, want, odds, worth, given, confidence }: PatternsOf,
	parts: readonly Part[],
	key: string,
	buys = 0
): Pattern {
	const { setUpMinutes, hourWorth, money } = field.r.weights;
	const price = buys * (want.buys?.each ?? 0);
	const efforts = parts.map((x) => field.effortOf(x.c, x.n));
	const asks = together([
		...parts.map((x, i) => field.asksOf(rows, x.c, x.n, efforts[i])),
		groundOf(rows, want, odds.fixed, parts, buys),
		rows.moneyAsks(price)
	]);
	const work = parts.reduce(
		(sum, x, i) => sum + field.moneyOf(efforts[i]!, x.c.reluctance) + (setUpMinutes / 60) * hourWorth,
		price * money * JOINT.buy.value
	);
	const chance = odds.of(parts, buys);
	return {
		want: at,
		parts: [...odds.fixed, ...parts],
		buys,
		empty: parts.length === 0 && buys === 0,
		as: want,
		odds: chance,
		work,
		cost: work + shortOf({ odds, parts, buys, chance, confidence, worth, given, want }),
		asks,
		key: buys > 0 ? `${key} + ${buys} bought` : key
	};
}

/** Plants that usually come of batches. */
export const plantsOf = (parts: readonly Part[]): number => parts.reduce((sum, { c, n }) => sum + n * c.mean, 0);

/** The ground for what comes of some batches, beside that of those that are to be, whatever else is. */
function groundOf(rows: Rows, want: JointWant, fixed: readonly Part[], parts: readonly Part[], buys: number): Asks {
	if (!want.ground || (parts.length === 0 && buys === 0)) return NOTHING;
	const all = rows.groundAsks(want, plantsOf([...fixed, ...parts]) + buys);
	if (fixed.length === 0) return all;
	const held = rows.groundAsks(want, plantsOf(fixed));
	return { rows: all.rows, amounts: all.amounts.map((share, i) => share - (held.amounts[i] ?? 0)) };
}
const NOTHING: Asks = { rows: new Int32Array(0), amounts: new Float64Array(0) };

interface Short extends Pick<PatternsOf, 'odds' | 'confidence' | 'worth' | 'given' | 'want'> {
	parts: readonly Part[];
	buys?: number;
	chance: number;
}

/**
 * What a want that falls short is worth avoiding: most of it for being less sure than asked, some for plants that are
 * not there. That it goes before others counts for being met: plants towards what will not be met are nobody's first.
 */
export function shortOf({ odds, parts, buys = 0, chance, confidence, worth, given, want }: Short): number {
	if (chance >= confidence) return worth * given;
	const part = JOINT.part.value;
	const { value: atAll } = JOINT.atAll;
	const unsure = (1 - given) * (atAll + ((1 - atAll) * (confidence - chance)) / confidence);
	// What is given up is given up either way: less sure than asked is never cheaper than as sure.
	return worth * (given + (1 - part) * unsure) + (worth / want.priority) * part * (1 - odds.part(parts, buys));
}

/** The least of each candidate at what was asked and at less; the most that the plant gives, where that is not enough. */
function singles({ odds, candidates, confidence }: PatternsOf, add: (parts: Part[]) => void): Candidate[] {
	const ranked: { c: Candidate; price: number }[] = [];
	for (const c of candidates) {
		const most = Math.min(c.most, MOST_PIECES);
		const chance = odds.by((n) => [{ c, n }]);
		const whole = least(chance, confidence, most);
		for (const less of LESS) {
			const n = less === 0 ? whole : least(chance, confidence - less, whole ?? most);
			if (n !== null && confidence > less) add([{ c, n }]);
		}
		if (whole === null) for (const share of SHARES) add([{ c, n: Math.ceil(most * share) }]);
		const need = whole ?? Math.ceil(odds.usuallyMissing / c.mean);
		ranked.push({ c, price: need * c.perPiece * c.reluctance * (whole === null ? 4 : 1) });
	}
	ranked.sort((a, b) => a.price - b.price || (a.c.name < b.c.name ? -1 : 1));
	return apart(ranked.map((x) => x.c));
}

/** The best of all, and the best of each way, stock plant and season: pairs are worth most between unlike ones. */
function apart(ranked: readonly Candidate[]): Candidate[] {
	const chosen: Candidate[] = ranked.slice(0, 3);
	const seen = new Set(chosen.map(seasonOf));
	for (const c of ranked) {
		if (chosen.length >= IN_PAIRS) break;
		if (seen.has(seasonOf(c))) continue;
		seen.add(seasonOf(c));
		chosen.push(c);
	}
	return chosen;
}
const QUARTER = 91;
const seasonOf = (c: Candidate): string => `${c.way.id} ${c.source.id} ${Math.floor(c.on / QUARTER)}`;

function pairs({ odds, confidence }: PatternsOf, chosen: readonly Candidate[], add: (parts: Part[]) => void): void {
	chosen.forEach((a, i) => {
		for (const b of chosen.slice(i + 1)) {
			const [first, then] = a.on <= b.on ? [a, b] : [b, a];
			for (const split of SPLITS) {
				const parts = (n: number): Part[] => {
					const begun = Math.min(first.most, Math.round(n * split));
					return [
						{ c: first, n: begun },
						{ c: then, n: Math.min(n - begun, mostAfter(first, begun, then)) }
					];
				};
				const most = Math.min(MOST_PIECES, Math.floor(mostSplit(first, then, split)));
				const chance = odds.by(parts);
				let found = false;
				for (const less of PAIR_LESS) {
					if (confidence <= less) continue;
					const n = least(chance, confidence - less, most);
					if (n !== null) {
						add(parts(n));
						found ||= less === 0;
					}
				}
				if (!found && most > 1) add(parts(most));
			}
			// All of the earlier, then what the plant has left or grown back, where nothing less will do.
			const begun = mostOf(first);
			const all = [
				{ c: first, n: begun },
				{ c: then, n: mostAfter(first, begun, then) }
			];
			if (odds.of(all) < confidence) add(all);
		}
	});
}

const mostOf = (c: Candidate): number => Math.min(c.most, MOST_PIECES);

/** Pieces of the later that one piece of the earlier still keeps from it, on one plant. */
function eachKeeps(first: Candidate, then: Candidate): number {
	if (first.source !== then.source) return 0;
	const { recover_days, uses_up } = first.way.gives;
	return (
		(then.full / Math.max(1, first.full)) * stillMissing({ on: first.on, recoverDays: recover_days, usesUp: uses_up }, then.on)
	);
}

/** The most that may be taken by the later after so many by the earlier. */
const mostAfter = (first: Candidate, begun: number, then: Candidate): number =>
	Math.max(0, Math.min(mostOf(then), Math.floor(then.most - begun * eachKeeps(first, then) + 1e-9)));

/** The most of both together, with such a share of it by the earlier. */
const mostSplit = (first: Candidate, then: Candidate, split: number): number =>
	Math.min(first.most / split, then.most / (1 - split + split * eachKeeps(first, then)));

/** One stock plant asked again each time that it has grown back. */
function flushes(p: PatternsOf, add: (parts: Part[]) => void): void {
	const ways = new Map<string, Candidate[]>();
	for (const c of p.candidates) {
		const key = `${c.way.id} ${c.source.id}`;
		ways.set(key, [...(ways.get(key) ?? []), c]);
	}
	for (const list of ways.values()) if (!list[0]!.way.gives.uses_up) flushesOf(p, list, add);
}

/** Of one plant by one way: tried by some last days, and closer about the surest of them where none is as sure as asked. */
function flushesOf(
	{ field, want, odds, confidence }: PatternsOf,
	list: readonly Candidate[],
	add: (parts: Part[]) => void
): void {
	const { way, source } = list[0]!;
	const windows = field.openings(source.kindId, way, want.due);
	const open = windows.map((o) => ({ from: Math.max(o.opens, field.r.today), to: o.closes }));
	const within = want.oneAge ? PLAN.oneAge.value : undefined;
	const by = (last: number): FlushesOf => ({
		last,
		open,
		stock: source.stock,
		gives: way.gives,
		takings: source.takings,
		within
	});
	const asParts = (taken: readonly Flush[]): Part[] | null => {
		const parts: Part[] = [];
		for (const { on, pieces } of taken) {
			const window = windows.find((o) => o.opens <= on && on <= o.closes);
			if (!window || !field.mayStrike(on)) continue;
			const c = field.candidate(want, source, way, on, window);
			if (c) parts.push({ c, n: Math.min(pieces, MOST_PIECES) });
		}
		return parts.length ? parts : null;
	};
	/** The chance of all that the plant gives by a day, with what is worth a look of it; none where it gives but once. */
	const look = (last: number): number => {
		const f = by(last);
		const most = mostBy(f);
		const all = most.length < 2 ? null : asParts(most);
		if (!all) return 0;
		add(all);
		const parts = (n: number) => asParts(flushesFor(n, f) ?? most) ?? all;
		const chance = odds.by(parts);
		const sure = odds.of(all);
		if (sure < confidence) for (const share of SHARES) add(parts(Math.ceil(piecesOf(most) * share)));
		for (const less of PAIR_LESS) {
			if (confidence <= less) continue;
			const n = least(chance, confidence - less, Math.min(MOST_PIECES, piecesOf(most)));
			if (n !== null) add(parts(n));
		}
		return sure;
	};
	const usually = (last: number) => mostBy(by(last)).reduce((sum, f) => sum + f.pieces * nearest(list, f.on).mean, 0);
	const days = [...new Set(list.map((c) => c.on))].sort((a, b) => a - b);
	let surest = { last: 0, sure: HUNDREDTH };
	for (const last of new Set([...ends(days), ...bestOf(days, usually)])) {
		const sure = look(last);
		if (sure > surest.sure) surest = { last, sure };
	}
	if (surest.last === 0 || surest.sure >= confidence) return;
	const at = days.indexOf(surest.last);
	for (const beside of [days[at - 1], days[at + 1]])
		if (beside !== undefined) for (const share of BETWEEN) look(Math.round(surest.last + share * (beside - surest.last)));
}
/** Of the days between two that were tried. */
const BETWEEN = [0.25, 0.5, 0.75] as const;

/** Of many dates a few: the last, and some before it. */
const ENDS = 5;
function ends(days: readonly number[]): number[] {
	const sorted = [...days].sort((a, b) => b - a);
	const step = Math.max(1, Math.floor(sorted.length / ENDS));
	return sorted.filter((_, i) => i % step === 0).slice(0, ENDS);
}

/** And those that bring the most, where all is needed that the plant gives. */
const BEST = 2;
function bestOf(days: readonly number[], usually: (day: number) => number): number[] {
	return [...new Set(days)]
		.map((day) => ({ day, brings: usually(day) }))
		.sort((a, b) => b.brings - a.brings || b.day - a.day)
		.slice(0, BEST)
		.map((x) => x.day);
}

/** Several batches' needs as one. */
export const together = (asks: readonly Asks[]): Asks => asks.filter((a) => a.rows.length).reduce(both, NOTHING);

/** Rows come in order in each: so they are laid together. */
function both(a: Asks, b: Asks): Asks {
	if (a.rows.length === 0) return b;
	const rows = new Int32Array(a.rows.length + b.rows.length);
	const amounts = new Float64Array(rows.length);
	let [i, j, k] = [0, 0, 0];
	while (i < a.rows.length || j < b.rows.length) {
		const [x, y] = [a.rows[i] ?? Infinity, b.rows[j] ?? Infinity];
		rows[k] = Math.min(x, y);
		amounts[k++] = (x <= y ? a.amounts[i++]! : 0) + (y <= x ? b.amounts[j++]! : 0);
	}
	return { rows: rows.subarray(0, k), amounts: amounts.subarray(0, k) };
}
