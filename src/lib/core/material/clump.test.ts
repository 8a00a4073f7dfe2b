/** Clumps, canes, roots, leaves and suckers against closed forms and the habits of the trade. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	AIMS,
	byEyes,
	canes,
	checkClump,
	divide,
	layers,
	leafHalves,
	leafTips,
	learntFactor,
	rootPieces,
	strikesInPlace,
	sucker
} from './index.js';
import type { Clump, DivisionHabit } from './index.js';

/** Points of a triangular grid counted one by one on a rectangle, cm. */
function spacingCount(widthCm: number, heightCm: number, spacingCm: number): number {
	let count = 0;
	const rise = (spacingCm * Math.sqrt(3)) / 2;
	for (let row = 0; row * rise < heightCm; row++) for (let x = row % 2 ? spacingCm / 2 : 0; x < widthCm; x += spacingCm) count++;
	return count;
}

const habit: DivisionHabit = { usualCount: 6, usualCm: 30, spacingCm: 40 };
const clump = (over: Partial<Clump> = {}): Clump => ({
	diameterCm: 30,
	ageYears: 4,
	points: null,
	deadShare: 0,
	lifted: 1,
	...over
});

describe('dividing a clump', () => {
	it('gives the usual number at the usual size, fewer for a show, more as many as possible', () => {
		expect(divide(clump(), habit, 'middling').count).toBe(6);
		expect(divide(clump(), habit, 'show').count).toBe(2);
		expect(divide(clump(), habit, 'many').count).toBe(12);
	});
	it('big ones fill their place a season or more sooner (common practice, no source)', () => {
		const wait = (aim: 'show' | 'many') => divide(clump(), habit, aim).yearsToFill;
		expect(wait('many')).toBeGreaterThan(wait('show') + 0.9);
	});
	it('is held back by growing points, by the dead middle, and by how much is lifted', () => {
		expect(divide(clump({ points: 9 }), habit, 'middling')).toMatchObject({ count: 3, bound: 'points', pointsEach: 3 });
		expect(divide(clump({ deadShare: 0.5 }), habit, 'middling').count).toBe(3);
		expect(divide(clump({ lifted: 0.5 }), habit, 'middling').count).toBe(3);
		expect(divide(clump({ points: 1 }), habit, 'show').count).toBe(1);
	});
	it('cuts that do not overlap, cover the living part and are all of one size', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 4, max: 300, noNaN: true }),
				fc.double({ min: 0, max: 0.9, noNaN: true }),
				fc.double({ min: 0.2, max: 1, noNaN: true }),
				fc.constantFrom('show' as const, 'middling' as const, 'many' as const),
				(diameterCm, deadShare, lifted, aim) => {
					const c = clump({ diameterCm, deadShare, lifted });
					const d = divide(c, habit, aim);
					expect(d.sectors).toHaveLength(d.count);
					const areas = d.sectors.map((s) => ((s.to - s.from) / 2) * (s.outer ** 2 - s.inner ** 2));
					const living = (Math.PI / 4) * diameterCm ** 2 * (1 - deadShare) * lifted;
					expect(areas.reduce((a, b) => a + b, 0)).toBeCloseTo(living, 4);
					for (const a of areas) expect(a).toBeCloseTo(living / d.count, 4);
					for (const s of d.sectors) expect(s.outer).toBeLessThanOrEqual(diameterCm / 2 + 1e-9);
				}
			)
		);
	});
	it('0 cm, 3.5 m, no points or nothing lifted cannot be', () => {
		const code = (over: Partial<Clump>) => {
			const r = checkClump(clump(over));
			return r.ok ? 'ok' : r.problem.code;
		};
		expect(code({})).toBe('ok');
		expect(code({ diameterCm: 300 })).toBe('ok');
		expect(code({ diameterCm: 0 })).toBe('clump.size');
		expect(code({ diameterCm: 350 })).toBe('clump.size');
		expect(code({ points: 0 })).toBe('clump.points');
		expect(code({ deadShare: 1 })).toBe('clump.dead');
		expect(code({ lifted: 0 })).toBe('clump.lifted');
		expect(code({ ageYears: Number.NaN })).toBe('clump.age');
	});
	it('a division for a show keeps more points than one of many', () => {
		expect(AIMS.show.points).toBeGreaterThan(AIMS.many.points);
	});
	it('tubers count by eyes on their necks: without one, none', () => {
		expect(byEyes({ all: 9, sound: 7, eyes: 5, each: 1 })).toEqual({ count: 5, thrownOut: 4 });
		expect(byEyes({ all: 3, sound: 3, eyes: 0, each: 1 }).count).toBe(0);
		expect(byEyes({ all: 4, sound: 2, eyes: 12, each: 2 }).count).toBe(2);
	});
});

describe('lengths', () => {
	it('canes give two-node lengths upright, or metres of row flat (common practice, no source)', () => {
		const c = canes(3, 200, 20);
		expect(c.upright).toBe(15);
		expect(c.rowM).toBe(6);
		expect(c.shoots).toBeCloseTo(18, 9);
		expect(canes(3, 200, 0).upright).toBe(0);
	});
	it('thick roots stand in 5 cm lengths, thin ones lie; a third of the roots is taken', () => {
		expect(rootPieces(9, 20, 8)).toEqual({ pieces: 12, cm: 5, set: 'upright', mostRoots: 3 });
		expect(rootPieces(9, 20, 3)).toMatchObject({ set: 'flat', pieces: 6 });
		expect(rootPieces(2, 20, 8).pieces).toBe(0);
	});
	it('only shoots that reach the ground with a tip to spare are layered', () => {
		expect(
			layers([
				{ lengthCm: 60, heightCm: 10 },
				{ lengthCm: 30, heightCm: 20 }
			])
		).toBe(1);
	});
	it('stalks struck in place fill a surface as a triangular grid counted out does', () => {
		// 100 m² is big enough for the edge not to matter.
		const counted = spacingCount(1000, 1000, 25);
		expect(Math.abs(strikesInPlace(100, 25, 15).stalks - counted) / counted).toBeLessThan(0.03);
	});
	it('a sucker that gives is not rooted and would not grow (common practice, no source)', () => {
		expect(sucker('gives', 40).take).toBe(false);
		expect(sucker('resists', 40).take).toBe(true);
		expect(sucker('resists', 2).take).toBe(false);
	});
});

describe('leaves', () => {
	it('about four rows of halves a seed tray, three tips round a 13 cm pot (common practice, no source)', () => {
		const y = leafHalves(10, 10, { lengthCm: 35, widthCm: 22 }, 0.8);
		expect(y.rows).toBe(4);
		expect(y.pieces).toBe(20);
		expect(y.trays).toBe(2);
		expect(leafTips(7, 13)).toEqual({ perPot: 3, pots: 3 });
		expect(leafTips(7, 9).perPot).toBe(2);
	});
});

describe('what was foretold and what was had', () => {
	it('moves the next telling, little by little, within bounds', () => {
		expect(learntFactor([])).toBe(1);
		const once = learntFactor([{ foretold: 12, had: 6 }]);
		const often = learntFactor(Array.from({ length: 10 }, () => ({ foretold: 12, had: 6 })));
		expect(once).toBeLessThan(1);
		expect(often).toBeLessThan(once);
		expect(often).toBeGreaterThan(0.5);
		expect(learntFactor([{ foretold: 1000, had: 1 }])).toBeCloseTo(1 / 3, 9);
	});
});
