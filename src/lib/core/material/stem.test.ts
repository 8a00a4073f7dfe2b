/** The best cuts against trying all of them, and the habits of the trade. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkStem, gradeOf, PARENT_KEEPS, pieceChance, planStem, usualNodes, worthOfPiece } from './stem.js';
import type { CutRules, Stem } from './stem.js';

const stem = (over: Partial<Stem> = {}): Stem => ({
	lengthCm: 60,
	nodes: usualNodes(60, 5),
	woodyTo: 8,
	softFrom: 50,
	baseMm: 7,
	tipMm: 2,
	flowering: false,
	...over
});
const semiRipe: CutRules = {
	cm: [7.5, 12],
	usualCm: 10,
	leastNodes: 2,
	wood: ['firm'],
	tip: 'may',
	usualMm: 4,
	chance: 0.8
};
const soft: CutRules = {
	cm: [8, 15],
	usualCm: 12,
	leastNodes: 2,
	wood: ['soft', 'firm'],
	tip: 'only',
	usualMm: 3,
	chance: 0.9
};

/** Every choice of disjoint pieces, tried out: what may be a piece is written anew here, with the figures of the trade. */
function bestByTrying(s: Stem, r: CutRules): number {
	const n = s.nodes.length;
	const at = (x: number) => (x < s.woodyTo ? 'woody' : x < s.softFrom ? 'firm' : 'soft');
	const pieces: { from: number; to: number; worth: number }[] = [];
	for (let i = PARENT_KEEPS; i < n; i++)
		for (let j = i; j <= n; j++) {
			const isTip = j === n;
			const last = isTip ? n - 1 : j;
			const nodes = last - i + 1;
			const end = isTip ? s.lengthCm : Math.min(s.lengthCm, s.nodes[last]! + 0.7);
			let start = Math.max(0, s.nodes[i]! - 0.4);
			const far = (n > i + 1 ? s.nodes[i + 1]! : Infinity) - s.nodes[i]! + 1.1 > r.cm[1];
			if (nodes === 1 && r.leg === true && end - start < r.cm[0])
				start = Math.min(start, Math.max(s.nodes[i - 1]! + 0.7, end - r.usualCm));
			const onLeg = s.nodes[i]! - start > 0.8;
			const least = onLeg && far ? 1 : r.leastNodes;
			const cm = end - start;
			if (isTip ? r.tip === 'never' : r.tip === 'only') continue;
			if (nodes < Math.max(1, least - 1) || cm < 0.4 * r.cm[0]) continue;
			if (cm > (nodes > least ? 1.25 : 2.5) * r.cm[1] + 1e-9) continue;
			const wood = at(Math.max(start, Math.min(s.nodes[i]!, end)));
			const older = wood === 'woody' && !r.wood.includes('woody') && r.wood.includes('firm');
			if (!r.wood.includes(wood) && !older && !(wood === 'firm' && r.wood.join() === 'soft')) continue;
			if (!r.wood.includes('soft') && at(end - 1e-6) === 'soft' && end > s.softFrom + r.cm[0] / 2) continue;
			const mm = s.baseMm + ((s.tipMm - s.baseMm) * ((start + end) / 2)) / s.lengthCm;
			const poor = cm < 0.9 * r.cm[0] - 1e-9 || mm < 0.35 * r.usualMm || !r.wood.includes(wood) || nodes < least;
			const chance = pieceChance(s, r, { start, end, wood, isTip, onLeg });
			pieces.push({ from: i, to: last, worth: poor ? chance / 10_000 : chance });
		}
	const known = new Map<number, number>();
	const grow = (from: number): number => {
		const found = known.get(from);
		if (found !== undefined) return found;
		let top = 0;
		for (const p of pieces) if (p.from >= from) top = Math.max(top, p.worth + grow(p.to + 1));
		known.set(from, top);
		return top;
	};
	return grow(PARENT_KEEPS);
}

describe('the best cuts along a stem', () => {
	it('are as good as the best of all choices, on three hundred random stems', () => {
		const random = fc
			.record({
				gaps: fc.array(fc.double({ min: 0.8, max: 24, noNaN: true }), { minLength: 1, maxLength: 13 }),
				woody: fc.double({ min: 0, max: 0.4, noNaN: true }),
				softShare: fc.double({ min: 0.5, max: 1, noNaN: true }),
				base: fc.double({ min: 2, max: 9, noNaN: true }),
				flowering: fc.boolean(),
				rules: fc.constantFrom(
					semiRipe,
					soft,
					{ ...semiRipe, tip: 'never' as const },
					{ ...soft, tip: 'may' as const, leastNodes: 1, cm: [3, 20] as const },
					{ ...soft, tip: 'best' as const, leg: true }
				)
			})
			.map(({ gaps, woody, softShare, base, flowering, rules }) => {
				const nodes = gaps.reduce<number[]>((all, g) => [...all, (all.at(-1) ?? 0) + g], []);
				const lengthCm = nodes.at(-1)! + 2;
				return {
					s: stem({
						lengthCm,
						nodes,
						woodyTo: woody * lengthCm,
						softFrom: softShare * lengthCm,
						baseMm: base,
						tipMm: base / 3,
						flowering
					}),
					rules
				};
			});
		fc.assert(
			fc.property(random, ({ s, rules }) => {
				const worth = planStem(s, rules).pieces.reduce((sum, p) => sum + worthOfPiece(p), 0);
				expect(worth).toBeCloseTo(bestByTrying(s, rules), 9);
			}),
			{ numRuns: 300 }
		);
	});

	it('are disjoint, of the way’s length, between nodes, and leave the parent two', () => {
		const plan = planStem(stem(), semiRipe);
		expect(plan.pieces.length).toBeGreaterThanOrEqual(3);
		for (const [i, p] of plan.pieces.entries()) {
			if (p.lacks.length === 0) expect(p.end - p.start).toBeGreaterThanOrEqual(0.9 * 7.5);
			expect(p.end - p.start).toBeLessThanOrEqual(1.25 * 12);
			expect(p.from).toBeGreaterThanOrEqual(PARENT_KEEPS);
			if (i > 0) expect(p.start).toBeGreaterThanOrEqual(plan.pieces[i - 1]!.end - 1e-9);
		}
		expect(plan.leftCm).toBeGreaterThan(stem().nodes[PARENT_KEEPS - 1]!);
		const whole =
			plan.leftCm + plan.pieces.reduce((s, p) => s + p.end - p.start, 0) + plan.waste.reduce((s, w) => s + w.end - w.start, 0);
		expect(whole).toBeCloseTo(60, 6);
		expect(plan.waste.some((w) => w.why.includes('soft top'))).toBe(true);
	});

	it('one stem is often two or three pieces, from a stem of 60 cm (common practice, no source)', () => {
		const { pieces } = planStem(stem(), { ...semiRipe, cm: [12, 20], usualCm: 15 });
		const n = pieces.filter((p) => p.lacks.length === 0).length;
		expect(n).toBeGreaterThanOrEqual(2);
		expect(n).toBeLessThanOrEqual(4);
	});

	it('longer and thicker beats shorter and thin; soft tops, old wood and flowers cost', () => {
		const s = stem();
		const c = (start: number, end: number, wood: 'firm' | 'woody' = 'firm') =>
			pieceChance(s, semiRipe, { start, end, wood, isTip: false });
		expect(c(10, 20)).toBeGreaterThan(c(10, 16));
		expect(c(10, 20)).toBeGreaterThan(c(40, 50));
		expect(c(10, 20, 'woody')).toBeLessThan(c(10, 20));
		// Below the shortest that is cut by choice it falls faster.
		expect(c(10, 15) / c(10, 17.5)).toBeLessThan(c(10, 17.5) / c(10, 20));
		const flowering = stem({ flowering: true });
		expect(planStem(flowering, soft).expected).toBeLessThan(planStem(stem(), soft).expected);
	});

	it('a tip way takes the tip alone', () => {
		const plan = planStem(stem(), soft);
		expect(plan.pieces).toHaveLength(1);
		expect(plan.pieces[0]!.isTip).toBe(true);
		expect(plan.pieces[0]!.end).toBe(60);
		expect(plan.cuts).toBe(1);
	});
});

describe('stems that give little or cannot be', () => {
	it('no node beyond the two that the plant keeps gives no piece, and the stem stays whole', () => {
		for (const nodes of [[], [10], [10, 20]]) {
			const plan = planStem(stem({ nodes }), semiRipe);
			expect(plan.pieces).toEqual([]);
			expect(plan.leftCm).toBe(60);
			expect(plan.waste).toEqual([]);
		}
	});
	it('no node at all roots nowhere, cut off or not; one node is a poor piece of what is cut off', () => {
		expect(planStem(stem({ nodes: [] }), semiRipe, 0).pieces).toEqual([]);
		const one = planStem(stem({ nodes: [12], lengthCm: 14, woodyTo: 0, softFrom: 14 }), { ...semiRipe, leg: true }, 0);
		expect(one.pieces).toHaveLength(1);
	});
	it('4 m with 200 nodes is cut through', () => {
		const long = stem({ lengthCm: 400, nodes: usualNodes(400, 2), woodyTo: 20, softFrom: 380, baseMm: 14, tipMm: 3 });
		expect(long.nodes).toHaveLength(200);
		const plan = planStem(long, semiRipe);
		expect(plan.pieces.length).toBeGreaterThan(25);
	});
	it('nodes out of order, off the stem, or wood the wrong way round are refused by name', () => {
		const code = (over: Partial<Stem>) => {
			const r = checkStem(stem(over));
			return r.ok ? 'ok' : r.problem.code;
		};
		expect(code({})).toBe('ok');
		expect(code({ nodes: [10, 5] })).toBe('stem.order');
		expect(code({ nodes: [10, 10] })).toBe('stem.order');
		expect(code({ nodes: [10, 70] })).toBe('stem.node-off');
		expect(code({ nodes: [Number.NaN] })).toBe('stem.node-off');
		expect(code({ woodyTo: 55, softFrom: 20 })).toBe('stem.wood');
		expect(code({ lengthCm: 0 })).toBe('stem.length');
		expect(code({ tipMm: 9 })).toBe('stem.thickness');
		expect(usualNodes(50, 0)).toEqual([]);
	});
});

describe('what lies on the table is cut, and nothing useful thrown away (common practice, no source)', () => {
	const all = (s: Stem, r: CutRules, keeps?: number) => planStem({ ...s, tipMm: s.tipMm }, r, keeps);
	const rod: CutRules = {
		cm: [10, 25],
		usualCm: 18,
		leastNodes: 3,
		wood: ['firm', 'woody'],
		tip: 'never',
		usualMm: 7,
		chance: 0.7
	};
	it('a cane of 200 cm with nodes each 15 cm: rods of three nodes, longer than usual, none refused', () => {
		const cane = stem({ lengthCm: 200, nodes: usualNodes(200, 15), woodyTo: 120, softFrom: 200, baseMm: 12, tipMm: 6 });
		const { pieces } = all(cane, rod);
		expect(pieces.filter((p) => p.lacks.length === 0).length).toBeGreaterThanOrEqual(3);
		// With two nodes a length it gives one for every two of them.
		expect(all(cane, { ...rod, leastNodes: 2 }, 0).pieces.length).toBeGreaterThanOrEqual(6);
	});
	it('a soft stem of 40 cm with nodes each 5 cm: its tip and two lengths more', () => {
		const coleus = stem({ lengthCm: 40, nodes: usualNodes(40, 5), woodyTo: 0, softFrom: 12, baseMm: 6, tipMm: 4 });
		const tips: CutRules = { ...soft, tip: 'best', leg: true };
		// Two while it stands, for the plant keeps two nodes; three of what is cut off, none of them poor.
		expect(all(coleus, tips).pieces.length).toBe(2);
		const { pieces, waste } = all(coleus, tips, 0);
		expect(pieces.length).toBe(3);
		expect(pieces.flatMap((p) => p.lacks)).toEqual([]);
		expect(pieces.at(-1)!.isTip).toBe(true);
		expect(waste.reduce((sum, w) => sum + w.end - w.start, 0)).toBeLessThan(40 / 3);
	});
	it('a shoot of 9 cm from a tuber is one piece, node or none', () => {
		const basal: CutRules = {
			cm: [8, 10],
			usualCm: 9,
			leastNodes: 1,
			wood: ['soft'],
			tip: 'only',
			sliver: true,
			usualMm: 7,
			chance: 0.8
		};
		for (const nodes of [[], [4], [2, 5, 7.5]]) {
			const { pieces } = all(stem({ lengthCm: 9, nodes, woodyTo: 0, softFrom: 0, baseMm: 8, tipMm: 6 }), basal, 0);
			expect(pieces).toHaveLength(1);
			expect(pieces[0]!).toMatchObject({ start: 0, end: 9, lacks: [], nodes: nodes.length });
		}
	});
	it('a vine of 120 cm with nodes each 20 cm: each node with a leg of bare stem, nothing thrown out', () => {
		const vine = stem({ lengthCm: 120, nodes: usualNodes(120, 20), woodyTo: 0, softFrom: 70, baseMm: 5, tipMm: 3 });
		const { pieces, waste } = all(vine, { ...soft, tip: 'best', leg: true }, 0);
		expect(pieces.length).toBe(6);
		expect(pieces.filter((p) => p.onLeg).length).toBeGreaterThanOrEqual(4);
		// What goes is bare stem beyond the length of a piece.
		expect(waste.every((w) => /bare stem/.test(w.why))).toBe(true);
	});
	it('130 cm, nodes from 6 to 18 cm apart, woody below, soft above, one flower: good ones, and poor ones told so', () => {
		const nodes = [5, 11, 19, 29, 41, 55, 70, 84, 96, 106, 114, 121, 127];
		const long = stem({ lengthCm: 130, nodes, woodyTo: 25, softFrom: 110, baseMm: 9, tipMm: 1, flowering: true });
		const { pieces } = all(long, { ...semiRipe, cm: [10, 20], usualCm: 15, leg: true });
		const grades = pieces.map((p) => gradeOf(p, semiRipe.chance));
		expect(grades.filter((g) => g !== 'poor').length).toBeGreaterThanOrEqual(4);
		expect(grades).toContain('poor');
		for (const [k, p] of pieces.entries()) if (k > 0) expect(p.start).toBeGreaterThanOrEqual(pieces[k - 1]!.end - 1e-9);
	});
	it('close nodes are no hindrance: 15 cm of rosemary with a node each 5 mm', () => {
		const twig = stem({ lengthCm: 15, nodes: usualNodes(15, 0.5), woodyTo: 0, softFrom: 13, baseMm: 4, tipMm: 2 });
		expect(all(twig, semiRipe, 0).pieces.filter((p) => p.lacks.length === 0).length).toBeGreaterThanOrEqual(1);
	});
});
