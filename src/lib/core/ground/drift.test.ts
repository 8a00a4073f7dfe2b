/** A drift: blue noise as its definition has it, counted against the lattice that holds most. */
import { describe, expect, it } from 'vitest';
import { driftIn } from './drift.js';
import { fill } from './fill.js';
import { mayStand } from './outline.js';
import type { Point, Region } from './region.js';

const bank: Region = {
	outline: [[0, 0], [5.5, 0.4], [7.2, 1.8], [6.8, 3.6], [3.9, 3.1], [1.1, 3.8], [-0.4, 2]], // prettier-ignore
	holes: [[[1.2, 1.2], [2, 1.2], [2, 1.9], [1.2, 1.9]]], // prettier-ignore
	margin: 0.1,
	keepOff: [{ x: 5, y: 2, r: 0.5 }]
};
const nearest = (points: readonly Point[], p: Point) =>
	Math.min(...points.filter((q) => q !== p).map((q) => Math.hypot(q[0] - p[0], q[1] - p[1])));

describe('a drift', () => {
	it('has no two nearer than asked, keeps off edges, stones and what stands there, and is the same each time', () => {
		for (const spacing of [0.3, 0.45, 0.8]) {
			const points = driftIn(bank, spacing);
			expect(points.length).toBeGreaterThan(10);
			for (const p of points) {
				expect(nearest(points, p)).toBeGreaterThanOrEqual(spacing);
				expect(mayStand(bank, p)).toBe(true);
			}
			expect(driftIn(bank, spacing)).toEqual(points);
		}
	});
	it('leaves no gap that would take one more, and needs fewer than rows do, by a quarter or so', () => {
		const points = driftIn(bank, 0.3);
		let open = 0;
		let asked = 0;
		for (let x = -0.4; x < 7.2; x += 0.05)
			for (let y = 0; y < 3.8; y += 0.05) {
				if (!mayStand(bank, [x, y])) continue;
				asked++;
				// Near the edge a neighbour outside may have kept one away.
				if (points.every((q) => Math.hypot(q[0] - x, q[1] - y) > 0.3)) open++;
			}
		expect(open / asked).toBeLessThan(0.06);
		const rows = fill({ ...bank, spacing: 0.3, pattern: 'triangular', turn: false }).count;
		expect(points.length / rows).toBeGreaterThan(0.6);
		expect(points.length / rows).toBeLessThan(0.9);
	});
	it('is no lattice: its nearest neighbours lie some way further than the least, and in every direction', () => {
		const points = driftIn(bank, 0.3);
		const near = points.map((p) => nearest(points, p) / 0.3);
		const mean = near.reduce((a, b) => a + b) / near.length;
		// A square lattice has 1 exactly; points at random of the same number about half of its own distance.
		expect(mean).toBeGreaterThan(1.005);
		expect(mean).toBeLessThan(1.3);
		const turned = points.map((p) => {
			const q = points.find((o) => o !== p && Math.abs(Math.hypot(o[0] - p[0], o[1] - p[1]) - nearest(points, p)) < 1e-9)!;
			return Math.floor((((Math.atan2(q[1] - p[1], q[0] - p[0]) + Math.PI) / Math.PI) * 4) % 4);
		});
		for (let eighth = 0; eighth < 4; eighth++)
			expect(turned.filter((t) => t === eighth).length).toBeGreaterThan(points.length / 12);
	});
});
