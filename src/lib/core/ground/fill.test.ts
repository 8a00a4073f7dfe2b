/**
 * How many stand in an outline: closed forms, a published sequence, another geometry library, and shifts tried one by one
 * with a test of its own for who stands inside.
 */
import booleanPointInPolygon from '@turf/boolean-point-in-polygon';
import { randomLcg } from 'd3-random';
import polygonClipping from 'polygon-clipping';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaOf, checkOutline } from './outline.js';
import { fill, fillOutline } from './fill.js';
import type { FillAsked } from './fill.js';
import { rowsAcross } from './region.js';
import type { Point } from './region.js';

const box = (w: number, h: number, x = 0, y = 0): Point[] => [
	[x, y],
	[x + w, y],
	[x + w, y + h],
	[x, y + h]
];
const asked = (outline: Point[], spacing: number, over: Partial<FillAsked> = {}): FillAsked => ({
	...{ outline, spacing, holes: [], margin: 0, pattern: 'square', turn: false, ...over }
});
const about = (n: number, radius: (i: number) => number): Point[] =>
	Array.from({ length: n }, (_, i) => {
		const a = (2 * Math.PI * (i + 0.137)) / n;
		return [radius(i) * Math.cos(a), radius(i) * Math.sin(a)];
	});

/** Inside by turf, and far enough from every edge by the plain distance to a segment. */
function stands([x, y]: Point, { outline, holes, margin }: FillAsked, slack: number): boolean {
	const rings = [outline, ...holes];
	const from = (ring: readonly Point[]) =>
		Math.min(
			...ring.map(([x1, y1], i) => {
				const [x2, y2] = ring[(i + 1) % ring.length]!;
				const t = Math.max(0, Math.min(1, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / ((x2 - x1) ** 2 + (y2 - y1) ** 2)));
				return Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1));
			})
		);
	const edge = Math.min(...rings.map(from));
	if (edge <= slack && margin <= slack) return true;
	if (edge < margin - slack) return false;
	const closed = rings.map((r) => [...r, r[0]!].map((p) => [...p]));
	return booleanPointInPolygon([x, y], { type: 'Polygon', coordinates: closed });
}

describe('the most that fit', () => {
	it('in a rectangle are those counted along its sides; a plant may stand on its edge', () => {
		const side = (long: number, s: number) => Math.floor(long / s + 1e-9) + 1;
		for (const [w, h, s] of [
			[1, 1, 0.1],
			[3, 1.2, 0.35],
			[10, 2.5, 0.22],
			[0.5, 7, 0.6],
			[4, 4, 5]
		] as const) {
			expect(fill(asked(box(w, h), s)).count, `${w} × ${h}`).toBe(side(w, s) * side(h, s));
			// Staggered: full rows and rows in their gaps by turns, along the better side.
			const rows = (along: number, across: number) => {
				const n = Math.floor(across / ((s * Math.sqrt(3)) / 2) + 1e-9) + 1;
				const [full, gaps] = [side(along, s), Math.max(0, Math.floor((along - s / 2) / s + 1e-9) + 1)];
				// Where half a spacing is left over both kinds of row are as long.
				return Math.ceil(n / 2) * full + Math.floor(n / 2) * gaps;
			};
			const told = fill(asked(box(w, h), s, { pattern: 'triangular' }));
			expect(told.count, `${w} × ${h}`).toBeGreaterThanOrEqual(Math.max(rows(w, h), rows(h, w)));
			expect(told.exact).toBe(true);
		}
		// A margin that leaves a line, and one that leaves nothing.
		expect(fill(asked(box(1, 2), 0.3, { margin: 0.5 })).count).toBe(4);
		expect(fill(asked(box(1, 2), 0.3, { margin: 0.51 })).count).toBe(0);
	});

	it('about a lattice point are the numbers of OEIS A000328, and no fewer where the circle may be moved', () => {
		// Lattice points in a circle of radius n about one of them.
		const published = [1, 5, 13, 29, 49, 81, 113, 149, 197, 253, 317];
		for (const [n, count] of published.entries()) {
			if (n === 0) continue;
			// A polygon about the circle, so close to it that no other point is in it.
			const circle = about(720, () => n / Math.cos(Math.PI / 720));
			let seen = 0;
			rowsAcross({ outline: circle, holes: [], margin: 0 }, 1)(0, (_, from, to) => {
				seen += Math.floor(to + 1e-9) - Math.ceil(from - 1e-9) + 1;
			});
			expect(seen, `radius ${n}`).toBe(count);
			if (n <= 6) expect(fill(asked(circle, 1)).count).toBeGreaterThanOrEqual(count);
		}
	});

	it('are as dense as their pattern: 1/s², and 2/(√3 s²)', () => {
		for (const [pattern, density] of [
			['square', 1],
			['triangular', 2 / Math.sqrt(3)]
		] as const) {
			const { count } = fill(asked(box(60, 60), 1, { pattern }));
			expect(count / 3600 / density).toBeGreaterThan(0.99);
			expect(count / 3600 / density).toBeLessThan(1.05);
		}
	});

	it('are never beaten by a shift tried by hand, all stand inside, and none nearer than asked', () => {
		const u = randomLcg(0.31);
		let [met, tried] = [0, 0];
		for (let n = 0; n < 30; n++) {
			const corners = 3 + Math.floor(u() * 9);
			const radii = Array.from({ length: corners }, () => 1.2 + 1.6 * u());
			const outline = about(corners, (i) => radii[i]!);
			const holes = n % 3 === 0 ? [about(5, () => 0.25).map(([x, y]): Point => [x + 0.1, y - 0.2])] : [];
			const q = asked(outline, 0.45 + 0.4 * u(), {
				holes,
				margin: n % 2 === 0 ? 0 : 0.05 + 0.3 * u(),
				pattern: n % 4 < 2 ? 'square' : 'triangular'
			});
			if (!checkOutline(q).ok) continue;
			const told = fill(q);
			expect(told.exact).toBe(true);
			expect(told.points).toHaveLength(told.count);
			for (const p of told.points) expect(stands(p, q, 1e-6), `garden ${n}`).toBe(true);
			for (const [i, a] of told.points.entries())
				for (const b of told.points.slice(0, i)) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(q.spacing - 1e-6);
			let best = 0;
			const h = q.pattern === 'square' ? q.spacing : (q.spacing * Math.sqrt(3)) / 2;
			for (const across of [false, true])
				for (let i = 0; i < 16; i++)
					for (let j = 0; j < 16; j++) {
						let count = 0;
						for (let row = -8; row <= 8; row++)
							for (let k = -8; k <= 8; k++) {
								const lean = q.pattern === 'triangular' && row % 2 !== 0 ? q.spacing / 2 : 0;
								const [x, y] = [(k + i / 16) * q.spacing + lean, (row + j / 16) * h];
								if (Math.hypot(x, y) < 2.9 && stands(across ? [y, x] : [x, y], q, 0)) count++;
							}
						best = Math.max(best, count);
					}
			tried++;
			if (best === told.count) met++;
			expect(told.count, `garden ${n}`).toBeGreaterThanOrEqual(best);
		}
		// And it is no larger than what a fine net of shifts comes near to.
		expect(tried).toBeGreaterThan(20);
		expect(met / tried).toBeGreaterThan(0.6);
	}, 240_000);

	it('keep off what stands there already, wherever it stands: in the middle, over the edge, one over another', () => {
		const u = randomLcg(0.53);
		for (let n = 0; n < 24; n++) {
			const keepOff = Array.from({ length: 1 + Math.floor(u() * 5) }, () => ({ x: 3 * u(), y: 2 * u(), r: 0.1 + 0.5 * u() }));
			const q = asked(box(3, 2), 0.3 + 0.2 * u(), { keepOff, pattern: n % 2 ? 'square' : 'triangular', margin: n % 3 ? 0 : 0.1 });
			const told = fill(q);
			const free = ([x, y]: Point) => keepOff.every((d) => Math.hypot(x - d.x, y - d.y) > d.r - 1e-6);
			for (const p of told.points) expect(free(p) && stands(p, q, 1e-6)).toBe(true);
			expect(told.count).toBeLessThanOrEqual(fill({ ...q, keepOff: [] }).count);
			let best = 0;
			const h = q.pattern === 'square' ? q.spacing : (q.spacing * Math.sqrt(3)) / 2;
			for (let i = 0; i < 16; i++)
				for (let j = 0; j < 16; j++) {
					let count = 0;
					for (let row = -1; row <= 8; row++)
						for (let k = -1; k <= 11; k++) {
							const lean = q.pattern === 'triangular' && row % 2 !== 0 ? q.spacing / 2 : 0;
							const p: Point = [(k + i / 16) * q.spacing + lean, (row + j / 16) * h];
							const [x, y] = p;
							const m = q.margin;
							if (x >= m && x <= 3 - m && y >= m && y <= 2 - m && keepOff.every((d) => Math.hypot(x - d.x, y - d.y) >= d.r))
								count++;
						}
					best = Math.max(best, count);
				}
			expect(told.count, `garden ${n}`).toBeGreaterThanOrEqual(best);
		}
	});

	it('do not depend on where the outline lies or from which corner it is told; turned, at least as many', () => {
		const L: Point[] = [
			[0, 0],
			[3, 0],
			[3, 1],
			[1, 1],
			[1, 2.6],
			[0, 2.6]
		];
		const turn = (p: Point, a: number): Point => [
			p[0] * Math.cos(a) - p[1] * Math.sin(a),
			p[0] * Math.sin(a) + p[1] * Math.cos(a)
		];
		fc.assert(
			fc.property(
				fc.double({ min: -50, max: 50, noNaN: true }),
				fc.integer({ min: 0, max: 5 }),
				fc.boolean(),
				fc.constantFrom('square' as const, 'triangular' as const),
				fc.constantFrom(0, 0.12),
				(by, first, back, pattern, margin) => {
					const plain = fill(asked(L, 0.31, { pattern, margin })).count;
					let moved = [...L.slice(first), ...L.slice(0, first)].map(([x, y]): Point => [x + by, y - by / 3]);
					if (back) moved = moved.reverse();
					expect(fill(asked(moved, 0.31, { pattern, margin })).count).toBe(plain);
				}
			),
			{ numRuns: 30 }
		);
		const skew = L.map((p) => turn(p, 0.5));
		for (const pattern of ['square', 'triangular'] as const) {
			const straight = fill(asked(L, 0.3, { pattern }));
			const freely = fill(asked(skew, 0.3, { pattern, turn: true }));
			expect(freely.count).toBeGreaterThanOrEqual(straight.count);
			for (const p of freely.points) expect(stands(p, asked(skew, 0.3), 1e-6)).toBe(true);
			expect(fill(asked(skew, 0.3, { pattern })).count).toBeLessThanOrEqual(freely.count);
		}
	});
});

describe('an outline', () => {
	const refusedAt = (outline: Point[], holes: Point[][] = []) => {
		const r = checkOutline({ outline, holes });
		return r.ok ? null : r.problem.path;
	};
	it('is refused where it crosses itself, has no area, or a hole is not in it', () => {
		const bow: Point[] = [
			[0, 0],
			[2, 2],
			[2, 0],
			[0, 2]
		];
		expect(refusedAt(bow)).toBe('outline');
		expect(refusedAt(box(2, 0))).toBe('outline');
		expect(refusedAt(box(2, 2).slice(0, 2))).toBe('outline');
		expect(refusedAt(box(Number.NaN, 2))).toBe('outline');
		expect(refusedAt(box(20_000, 2))).toBe('outline');
		expect(refusedAt(box(4, 4), [box(1, 1, 1, 1)])).toBeNull();
		expect(refusedAt(box(4, 4), [box(1, 1, 5, 1)])).toBe('holes.0');
		expect(refusedAt(box(4, 4), [box(2, 2, 3, 3)])).toBe('holes.0');
		expect(refusedAt(box(4, 4), [box(9, 9, -2, -2)])).toBe('holes.0');
		expect(refusedAt(box(4, 4), [box(1, 1, 1, 1), box(1, 1, 1.5, 1.5)])).toBe('holes.1');
		expect(refusedAt(box(4, 4), [box(2, 2, 1, 1), box(1, 1, 1.5, 1.5)])).toBe('holes.1');
		const many = fillOutline(asked(box(900, 900), 0.1));
		expect(many.ok ? '' : many.problem.sentence).toContain('81,000,000 plants');
	});
	it('has the area that another library cuts out of it', () => {
		const u = randomLcg(0.77);
		for (let n = 0; n < 40; n++) {
			const corners = 4 + Math.floor(u() * 12);
			const radii = Array.from({ length: corners }, () => 1 + 2 * u());
			const outline = about(corners, (i) => radii[i]!);
			const hole = about(6, () => 0.3);
			// Strips of the whole, clipped by the library, triangle by triangle from each piece's first corner.
			let area = 0;
			for (let x = -4; x < 4; x += 0.5)
				for (const piece of polygonClipping.intersection(
					polygonClipping.difference([outline as [number, number][]], [hole as [number, number][]]),
					[box(0.5, 8, x, -4) as [number, number][]]
				))
					for (const [k, ring] of piece.entries()) {
						let a = 0;
						for (let i = 1; i + 1 < ring.length; i++)
							a +=
								((ring[i]![0] - ring[0]![0]) * (ring[i + 1]![1] - ring[0]![1]) -
									(ring[i + 1]![0] - ring[0]![0]) * (ring[i]![1] - ring[0]![1])) /
								2;
						area += (k === 0 ? 1 : -1) * Math.abs(a);
					}
			expect(areaOf({ outline, holes: [hole] })).toBeCloseTo(area, 8);
		}
	});
});
