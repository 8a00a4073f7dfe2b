/**
 * The best cuts along a stem. Pieces run from just below one node to just above another; each must be of
 * the way's length, nodes and wood. The plan that brings the most rooted pieces is found by dynamic
 * programming over the nodes, from the base up; of equal plans the one with fewer cuts.
 */
import type { Result } from '../result.js';
import { ok, refuse } from '../result.js';
import { MATERIAL } from './judged.js';

export type Wood = 'soft' | 'firm' | 'woody';

export interface Stem {
	/** Whole length from where it leaves the plant, cm. */
	lengthCm: number;
	/** Distances of the nodes from the base, cm, rising. */
	nodes: readonly number[];
	/** Below this it is woody, cm from the base; above `softFrom` it is soft. */
	woodyTo: number;
	softFrom: number;
	/** Thickness at the base and at the tip, mm. */
	baseMm: number;
	tipMm: number;
	/** The tip carries flowers or buds. */
	flowering: boolean;
}

export interface CutRules {
	/** Length of a piece, cm: shortest and longest, and what is usual. */
	cm: readonly [number, number];
	usualCm: number;
	/** Nodes on a piece at least, its lowest included. */
	leastNodes: number;
	mostNodes: number;
	/** Wood that the way takes, in whole or at its base. */
	wood: readonly Wood[];
	/** Must pieces be tips? Or must they have none? */
	tip: 'only' | 'may' | 'never';
	/** Usual thickness, mm. */
	usualMm: number;
	/** Chance of a usual piece to root. */
	chance: number;
}

export interface StemPiece {
	/** Numbers of its lowest and highest node. */
	from: number;
	to: number;
	/** Cut just below the lowest node and just above the highest, cm from the base; the tip's end if it keeps it. */
	start: number;
	end: number;
	wood: Wood;
	isTip: boolean;
	/** Chance to root, after length, thickness, wood and flowers. */
	chance: number;
}

export interface StemPlan {
	pieces: StemPiece[];
	/** What stays on the plant: from its base to just above the last node left. */
	leftCm: number;
	/** Lengths that are thrown out, and why. */
	waste: { start: number; end: number; why: string }[];
	cuts: number;
	/** Pieces expected to root. */
	expected: number;
}

export const PARENT_KEEPS = MATERIAL.parentKeeps.value;
const BELOW_NODE = MATERIAL.belowNode.value;
const ABOVE_NODE = MATERIAL.aboveNode.value;
const MOST_NODES = 400;
const MOST_CM = 1500;

export function checkStem(s: Stem): Result<Stem> {
	if (!(s.lengthCm > 0 && s.lengthCm <= MOST_CM)) return refuse('stem.length', 'A stem is between 1 cm and 15 m long.', 'length');
	if (s.nodes.length > MOST_NODES) return refuse('stem.nodes', `At most ${MOST_NODES} nodes.`, 'nodes');
	for (let i = 0; i < s.nodes.length; i++) {
		if (!(s.nodes[i]! >= 0 && s.nodes[i]! <= s.lengthCm))
			return refuse('stem.node-off', `Node ${i + 1} lies off the stem: between 0 and ${s.lengthCm} cm.`, 'nodes');
		if (i > 0 && !(s.nodes[i]! > s.nodes[i - 1]!))
			return refuse('stem.order', `Nodes go from the base up: node ${i + 1} does not lie above node ${i}.`, 'nodes');
	}
	if (!(s.woodyTo >= 0 && s.woodyTo <= s.softFrom && s.softFrom <= s.lengthCm + 1e-9))
		return refuse('stem.wood', 'Woody below, then firm, then soft: check where they change.', 'wood');
	if (!(s.baseMm > 0 && s.baseMm <= 100 && s.tipMm > 0 && s.tipMm <= s.baseMm))
		return refuse('stem.thickness', 'Between 0.1 and 100 mm thick, and not thicker at the tip than at the base.', 'thickness');
	return ok(s);
}

/** Nodes a usual internode apart, from half of one above the base. */
export function usualNodes(lengthCm: number, internodeCm: number): number[] {
	const nodes: number[] = [];
	if (!(internodeCm > 0)) return nodes;
	for (let at = internodeCm / 2; at < lengthCm && nodes.length < MOST_NODES; at += internodeCm)
		nodes.push(Math.round(at * 10) / 10);
	return nodes;
}

const woodAt = (s: Stem, at: number): Wood => (at < s.woodyTo ? 'woody' : at < s.softFrom ? 'firm' : 'soft');
const mmAt = (s: Stem, at: number): number => s.baseMm + ((s.tipMm - s.baseMm) * at) / s.lengthCm;

const THIN_SHARE = MATERIAL.thin.value;
const OFF_WOOD = MATERIAL.offWood.value;
const FLOWERING = MATERIAL.flowering.value;

/** Chance of a piece: the way's usual, moved on the scale of odds by length, thickness, wood and flowers. */
export function pieceChance(s: Stem, r: CutRules, start: number, end: number, wood: Wood, isTip: boolean): number {
	const length = Math.min(1, (end - start) / r.usualCm);
	const thick = Math.min(1, mmAt(s, (start + end) / 2) / r.usualMm);
	let odds = (r.chance / (1 - r.chance)) * length ** 1.2 * thick ** 1.2;
	if (!r.wood.includes(wood)) odds *= OFF_WOOD;
	if (isTip && s.flowering) odds *= FLOWERING;
	return odds / (1 + odds);
}

/** The piece from node i to node j (j may be past the last node: then it keeps the tip); null if the way does not take it. */
export function pieceBetween(s: Stem, r: CutRules, i: number, j: number): StemPiece | null {
	const isTip = j === s.nodes.length;
	if (isTip ? r.tip === 'never' : r.tip === 'only') return null;
	const last = isTip ? s.nodes.length - 1 : j;
	const nodes = last - i + 1;
	if (nodes < r.leastNodes || nodes > r.mostNodes) return null;
	const start = Math.max(0, s.nodes[i]! - BELOW_NODE);
	const end = isTip ? s.lengthCm : Math.min(s.lengthCm, s.nodes[last]! + ABOVE_NODE);
	const cm = end - start;
	if (cm < r.cm[0] - 1e-9 || cm > r.cm[1] + 1e-9) return null;
	// What counts is the wood at the base, where the roots come; a soft end may be on it unless only firm is taken.
	const wood = woodAt(s, s.nodes[i]!);
	if (!r.wood.includes(wood)) return null;
	if (mmAt(s, (start + end) / 2) < THIN_SHARE * r.usualMm) return null;
	// Semi-ripe and hard pieces lose their soft top: it would only wilt.
	const endWood = woodAt(s, end - 1e-6);
	if (!r.wood.includes('soft') && endWood === 'soft' && end > s.softFrom + r.cm[0] / 2) return null;
	return { from: i, to: last, start, end, wood, isTip, chance: pieceChance(s, r, start, end, wood, isTip) };
}

interface Best {
	value: number;
	cuts: number;
	piece: StemPiece | null;
	next: number;
}

/** The best plan for one stem. No piece may be had from a stem without a node. */
export function planStem(s: Stem, r: CutRules, keeps = PARENT_KEEPS): StemPlan {
	const n = s.nodes.length;
	// best[i]: what the stem from node i up can bring when a cut may fall below node i.
	const best: Best[] = new Array<Best>(n + 2);
	best[n] = best[n + 1] = { value: 0, cuts: 0, piece: null, next: n + 1 };
	for (let i = n - 1; i >= keeps; i--) {
		let top: Best = { ...best[i + 1]!, piece: null, next: i + 1 };
		for (let j = i + r.leastNodes - 1; j <= Math.min(n, i + r.mostNodes); j++) {
			const piece = pieceBetween(s, r, i, j);
			if (!piece) continue;
			const rest = best[Math.min(n, piece.isTip ? n : j + 1)]!;
			const value = piece.chance + rest.value;
			// Each piece costs a cut below it, and one above unless it ends in the tip.
			const cuts = 1 + (piece.isTip ? 0 : 1) + rest.cuts;
			if (value > top.value + 1e-12 || (value > top.value - 1e-12 && cuts < top.cuts))
				top = { value, cuts, piece, next: piece.isTip ? n : j + 1 };
		}
		best[i] = top;
	}
	const pieces: StemPiece[] = [];
	for (let i = keeps; i < n;) {
		const b = best[i]!;
		if (b.piece) pieces.push(b.piece);
		i = b.next;
	}
	return finish(s, r, pieces, keeps);
}

function finish(s: Stem, r: CutRules, pieces: StemPiece[], keeps: number): StemPlan {
	const left =
		pieces.length === 0
			? s.lengthCm
			: // The parent is cut just above the node that the first piece leaves it.
				Math.min(pieces[0]!.start, (s.nodes[Math.max(keeps, pieces[0]!.from) - 1] ?? 0) + ABOVE_NODE);
	const waste: StemPlan['waste'] = [];
	let at = left;
	for (const p of [...pieces, { start: s.lengthCm, end: s.lengthCm }]) {
		if (p.start - at > 1e-6 && pieces.length) waste.push({ start: at, end: p.start, why: whyNot(s, r, at, p.start) });
		at = p.end;
	}
	return {
		pieces,
		leftCm: left,
		waste,
		// Below and above each piece; a tip keeps its end.
		cuts: pieces.reduce((sum, p) => sum + (p.isTip ? 1 : 2), 0),
		expected: pieces.reduce((sum, p) => sum + p.chance, 0)
	};
}

function whyNot(s: Stem, r: CutRules, start: number, end: number): string {
	const middle = (start + end) / 2;
	const wood = woodAt(s, middle);
	if (!r.wood.includes('soft') && woodAt(s, end - 1e-6) === 'soft') return 'soft top: it would wilt';
	if (end - start < 2 * (BELOW_NODE + ABOVE_NODE)) return 'bare stem between two nodes';
	if (!r.wood.includes(wood))
		return wood === 'soft' ? 'soft top: it would wilt' : wood === 'woody' ? 'old wood: slow to root' : 'too firm for this way';
	if (mmAt(s, middle) < THIN_SHARE * r.usualMm) return 'too thin: little stored';
	return 'too short for a piece';
}

/** When a stem that was cut has grown again what was taken, by the way's days to recover. */
export const cutAgainOn = (on: number, taken: number, of: number, recoverDays: number): number =>
	on + Math.round(recoverDays * Math.min(1, of > 0 ? taken / of : 1));
