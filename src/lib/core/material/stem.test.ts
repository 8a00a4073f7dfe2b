/** The best cuts against trying all of them, and the habits of the trade. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkStem, PARENT_KEEPS, pieceChance, planStem, usualNodes } from './stem.js';
import type { CutRules, Stem, StemPiece } from './stem.js';

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
	mostNodes: 6,
	wood: ['firm'],
	tip: 'may',
	usualMm: 4,
	chance: 0.8
};
const soft: CutRules = {
	cm: [8, 15],
	usualCm: 12,
	leastNodes: 2,
	mostNodes: 8,
	wood: ['soft', 'firm'],
	tip: 'only',
	usualMm: 3,
	chance: 0.9
};

/** Every choice of disjoint pieces, tried out. */
function bestByTrying(s: Stem, r: CutRules): number {
	const n = s.nodes.length;
	const pieces: StemPiece[] = [];
	for (let i = PARENT_KEEPS; i < n; i++)
		for (let j = i; j <= n; j++) {
			// A stem of which only this stretch is free: what the planner takes of it is whether the piece may be.
			const isTip = j === n;
			const last = isTip ? n - 1 : j;
			const nodes = last - i + 1;
			const start = Math.max(0, s.nodes[i]! - 0.4);
			const end = isTip ? s.lengthCm : Math.min(s.lengthCm, s.nodes[last]! + 0.7);
			const at = (x: number) => (x < s.woodyTo ? 'woody' : x < s.softFrom ? 'firm' : 'soft');
			const mm = s.baseMm + ((s.tipMm - s.baseMm) * ((start + end) / 2)) / s.lengthCm;
			if (isTip ? r.tip === 'never' : r.tip === 'only') continue;
			if (nodes < r.leastNodes || nodes > r.mostNodes || end - start < r.cm[0] - 1e-9 || end - start > r.cm[1] + 1e-9) continue;
			if (!r.wood.includes(at(s.nodes[i]!)) || mm < 0.35 * r.usualMm) continue;
			if (!r.wood.includes('soft') && at(end - 1e-6) === 'soft' && end > s.softFrom + r.cm[0] / 2) continue;
			pieces.push({
				from: i,
				to: last,
				start,
				end,
				wood: at(s.nodes[i]!),
				isTip,
				chance: pieceChance(s, r, start, end, at(s.nodes[i]!), isTip)
			});
		}
	const grow = (from: number): number => {
		let top = 0;
		for (const p of pieces) if (p.from >= from) top = Math.max(top, p.chance + grow(p.to + 1));
		return top;
	};
	return grow(PARENT_KEEPS);
}

describe('the best cuts along a stem', () => {
	it('are as good as the best of all choices, on three hundred random stems', () => {
		const random = fc
			.record({
				gaps: fc.array(fc.double({ min: 0.8, max: 7, noNaN: true }), { minLength: 1, maxLength: 13 }),
				woody: fc.double({ min: 0, max: 0.4, noNaN: true }),
				softShare: fc.double({ min: 0.5, max: 1, noNaN: true }),
				base: fc.double({ min: 2, max: 9, noNaN: true }),
				flowering: fc.boolean(),
				rules: fc.constantFrom(
					semiRipe,
					soft,
					{ ...semiRipe, tip: 'never' as const },
					{ ...soft, tip: 'may' as const, leastNodes: 1, cm: [3, 20] as const }
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
				expect(planStem(s, rules).expected).toBeCloseTo(bestByTrying(s, rules), 9);
			}),
			{ numRuns: 300 }
		);
	});

	it('are disjoint, of the way’s length, between nodes, and leave the parent two', () => {
		const plan = planStem(stem(), semiRipe);
		expect(plan.pieces.length).toBeGreaterThanOrEqual(3);
		for (const [i, p] of plan.pieces.entries()) {
			expect(p.end - p.start).toBeGreaterThanOrEqual(7.5);
			expect(p.end - p.start).toBeLessThanOrEqual(12);
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
		const n = planStem(stem(), { ...semiRipe, cm: [12, 20], usualCm: 15 }).pieces.length;
		expect(n).toBeGreaterThanOrEqual(2);
		expect(n).toBeLessThanOrEqual(4);
	});

	it('longer and thicker beats shorter and thin; soft tops, old wood and flowers cost', () => {
		const s = stem();
		const c = (start: number, end: number) => pieceChance(s, semiRipe, start, end, 'firm', false);
		expect(c(10, 20)).toBeGreaterThan(c(10, 16));
		expect(c(10, 20)).toBeGreaterThan(c(40, 50));
		expect(pieceChance(s, semiRipe, 10, 20, 'woody', false)).toBeLessThan(c(10, 20));
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
	it('none or one node gives no piece, and the stem stays whole', () => {
		for (const nodes of [[], [10], [10, 20]]) {
			const plan = planStem(stem({ nodes }), semiRipe);
			expect(plan.pieces).toEqual([]);
			expect(plan.leftCm).toBe(60);
			expect(plan.waste).toEqual([]);
		}
	});
	it('4 m with 200 nodes is cut through', () => {
		const long = stem({ lengthCm: 400, nodes: usualNodes(400, 2), woodyTo: 20, softFrom: 380, baseMm: 14, tipMm: 3 });
		expect(long.nodes).toHaveLength(200);
		const plan = planStem(long, { ...semiRipe, mostNodes: 12 });
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
