/**
 * The best cuts along a stem. It starts from what lies on the table: nodes and wood decide what can be a piece, the
 * way's lengths are what one would rather have. The plan that brings the most rooted pieces is found by dynamic
 * programming over the nodes, from the base up; of equal plans the one with fewer cuts. What is left beside those
 * and has a node is cut as well, and told to be poor.
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
	/** Length of a piece, cm: shortest and longest that one would rather have, and what is usual. */
	cm: readonly [number, number];
	usualCm: number;
	/** Nodes on a piece at least, its lowest included. */
	leastNodes: number;
	/** Wood that the way takes at the piece's base. */
	wood: readonly Wood[];
	/** Must pieces be tips, are tips the best, may they be, must they not? */
	tip: 'only' | 'best' | 'may' | 'never';
	/** May bare stem below the lowest node be the piece's leg where nodes are far apart? */
	leg?: boolean;
	/** A shoot taken with a sliver of its parent needs no node at its foot. */
	sliver?: boolean;
	/** Usual thickness, mm. */
	usualMm: number;
	/** Chance of a usual piece to root. */
	chance: number;
}

/** What a piece lacks. */
export type Lack = 'short' | 'thin' | 'old wood' | 'few nodes';

export interface StemPiece {
	/** Numbers of its lowest and highest node, its foot counting as one where it has a sliver. */
	from: number;
	to: number;
	/** Nodes on it. */
	nodes: number;
	/** Cut just below the lowest node (or its leg) and just above the highest, cm from the base; the tip's end if it keeps it. */
	start: number;
	end: number;
	wood: Wood;
	isTip: boolean;
	/** Stands on bare stem below its node. */
	onLeg: boolean;
	/** None for a piece as the way wants it. */
	lacks: Lack[];
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
const SECTION = MATERIAL.section.value;
const ON_LEG = MATERIAL.onLeg.value;
const SHORT_POWER = MATERIAL.shortPower.value;
const SHORTEST = MATERIAL.shortest.value;
const TOLERATED = MATERIAL.tolerated.value;
const LONGER = MATERIAL.longer.value;
const LONGEST = MATERIAL.longest.value;

/** Chance of a piece: the way's usual, moved on the scale of odds by length, thickness, wood, flowers and how it is cut. */
export function pieceChance(
	s: Stem,
	r: CutRules,
	p: Pick<StemPiece, 'start' | 'end' | 'wood' | 'isTip'> & { onLeg?: boolean }
): number {
	const cm = p.end - p.start;
	const thick = Math.min(1, mmAt(s, (p.start + p.end) / 2) / r.usualMm);
	let odds = (r.chance / (1 - r.chance)) * Math.min(1, cm / r.usualCm) ** 1.2 * thick ** 1.2;
	// Shorter than anyone would cut it by choice: it has little to live on.
	odds *= Math.min(1, cm / r.cm[0]) ** SHORT_POWER;
	if (!r.wood.includes(p.wood)) odds *= OFF_WOOD;
	if (p.isTip && s.flowering) odds *= FLOWERING;
	if (!p.isTip && r.tip === 'best') odds *= SECTION;
	if (p.onLeg) odds *= ON_LEG;
	return odds / (1 + odds);
}

const AGE: Record<Wood, number> = { soft: 0, firm: 1, woody: 2 };
/** Wood a step older than the way asks for roots less readily; softer wilts, older than that does not root. */
const woodBears = (r: CutRules, wood: Wood): boolean =>
	r.wood.includes(wood) || AGE[wood] === Math.max(...r.wood.map((w) => AGE[w])) + 1;

/** Where cuts may fall: the nodes, and the foot of a shoot taken with a sliver. */
const footed = (s: Stem, r: CutRules): readonly number[] => (r.sliver && s.nodes[0] !== 0 ? [0, ...s.nodes] : s.nodes);

/** The piece from node i to node j (j may be past the last node: then it keeps the tip); null if it can be none. */
export function pieceBetween(s: Stem, r: CutRules, i: number, j: number): StemPiece | null {
	const cuts = footed(s, r);
	const isTip = j === cuts.length;
	if (isTip ? r.tip === 'never' : r.tip === 'only') return null;
	const last = isTip ? cuts.length - 1 : j;
	const withSliver = i === 0 && cuts !== s.nodes;
	const count = last - i + 1;
	const end = isTip ? s.lengthCm : Math.min(s.lengthCm, cuts[last]! + ABOVE_NODE);
	let start = Math.max(0, cuts[i]! - BELOW_NODE);
	// A node by itself stands on as much of the bare stem below it as a piece is long: where nodes are far apart as a rule,
	// else where one is left over.
	const farApart = (cuts[i + 1] ?? Infinity) - cuts[i]! + BELOW_NODE + ABOVE_NODE > r.cm[1];
	if (r.leg && end - start < r.cm[0] && count === 1 && !withSliver)
		start = Math.min(start, Math.max(i > 0 ? cuts[i - 1]! + ABOVE_NODE : 0, end - r.usualCm));
	const onLeg = cuts[i]! - start > 2 * BELOW_NODE;
	const least = onLeg && farApart ? 1 : r.leastNodes;
	if (count < Math.max(1, least - 1)) return null;
	const cm = end - start;
	if (cm < SHORTEST * r.cm[0] || cm > (count > least ? LONGER : LONGEST) * r.cm[1] + 1e-9) return null;
	// What counts is the wood at the base, where the roots come; a soft end may be on it unless only firm is taken.
	const wood = woodAt(s, Math.max(start, Math.min(cuts[i]!, end)));
	if (!woodBears(r, wood)) return null;
	// Semi-ripe and hard pieces lose their soft top: it would only wilt.
	if (!r.wood.includes('soft') && woodAt(s, end - 1e-6) === 'soft' && end > s.softFrom + r.cm[0] / 2) return null;
	const lacks: Lack[] = [];
	if (cm < TOLERATED * r.cm[0] - 1e-9) lacks.push('short');
	if (mmAt(s, (start + end) / 2) < THIN_SHARE * r.usualMm) lacks.push('thin');
	if (!r.wood.includes(wood)) lacks.push('old wood');
	if (count < least && !withSliver) lacks.push('few nodes');
	const piece = { from: i, to: last, nodes: count - (withSliver ? 1 : 0), start, end, wood, isTip, onLeg, lacks };
	return { ...piece, chance: pieceChance(s, r, piece) };
}

/** A piece that lacks something takes nothing from one that does not. */
const BESIDE = 1e-4;
export const worthOfPiece = (p: StemPiece): number => p.chance * (p.lacks.length ? BESIDE : 1);

interface Best {
	value: number;
	cuts: number;
	piece: StemPiece | null;
	next: number;
}

/**
 * The best plan for one stem.
 *
 * @param keeps nodes left to the parent; 0 where the stem is cut off already
 */
export function planStem(s: Stem, r: CutRules, keeps = PARENT_KEEPS): StemPlan {
	const n = footed(s, r).length;
	// best[i]: what the stem from node i up can bring when a cut may fall below node i.
	const best: Best[] = new Array<Best>(n + 1);
	best[n] = { value: 0, cuts: 0, piece: null, next: n + 1 };
	for (let i = n - 1; i >= keeps; i--) {
		let top: Best = { ...best[i + 1]!, piece: null, next: i + 1 };
		for (let j = i; j <= n; j++) {
			const piece = pieceBetween(s, r, i, j);
			if (!piece) continue;
			const rest = best[piece.isTip ? n : j + 1]!;
			const value = worthOfPiece(piece) + rest.value;
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
	const first = pieces[0];
	const left = !first
		? s.lengthCm
		: // The parent is cut just above the node that the first piece leaves it; a stem cut off already has no parent.
			keeps > 0
			? Math.min(first.start, (footed(s, r)[first.from - 1] ?? 0) + ABOVE_NODE)
			: 0;
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
	const soft = 'soft top: it would wilt';
	if (!r.wood.includes('soft') && woodAt(s, end - 1e-6) === 'soft') return soft;
	if (!s.nodes.some((at) => at > start && at < end)) return 'bare stem between two nodes';
	if (!woodBears(r, wood))
		return wood === 'soft' ? soft : wood === 'woody' ? 'old wood: it hardly roots' : 'too firm for this way';
	return r.tip === 'only' ? 'this way takes the tip alone' : 'too short for a piece';
}

/** As the way wants it; rather less; or taken since it is there, and expected to fail more often than not. */
export type Grade = 'good' | 'fair' | 'poor';
export const gradeOf = (p: StemPiece, usual: number): Grade =>
	p.lacks.length > 0 || p.chance < usual / 2 ? 'poor' : p.chance < 0.8 * usual ? 'fair' : 'good';

/** When a stem that was cut has grown again what was taken, by the way's days to recover. */
export const cutAgainOn = (on: number, taken: number, of: number, recoverDays: number): number =>
	on + Math.round(recoverDays * Math.min(1, of > 0 ? taken / of : 1));
