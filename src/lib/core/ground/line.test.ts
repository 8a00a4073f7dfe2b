/** Hedges along a line, gaps, slopes, spares: by hand, by geometry of another library, by simulation. */
import { describe, expect, it } from 'vitest';
import polygonClipping from 'polygon-clipping';
import { randomLcg } from 'd3-random';
import { hedgePlants } from './hedge.js';
import { alongLine, plantsAlong, plantsInGap, rowAlong } from './line.js';
import { areaOf } from './outline.js';
import { outlineOf, shapeData } from './shape.js';
import { readSlope } from './slope.js';
import { livesTwoYears, sparesFor } from './spares.js';
import { shapeOf } from './typed.js';

const wide = (line: [number, number][], w: number) => {
	const r = alongLine(line, w);
	if (!r.ok) throw new Error(r.problem.sentence);
	return r.value;
};

describe('a hedge along a line', () => {
	it('straight is as the count by length and spacing has it; round a corner each leg has its own last gap', () => {
		for (const [l, s] of [[10, 1], [9.3, 0.6], [0.7, 0.1]] as const) // prettier-ignore
			if (Math.abs(l / s - Math.round(l / s)) < 1e-9) expect(plantsAlong([[0, 0], [l, 0]], s, 1)).toBe(hedgePlants(l, s, 1)); // prettier-ignore
		// 4 m and 3 m at 60 cm, by hand: 7 gaps of 57 cm and 5 of 60 cm, 13 plants; the second row fills 12 gaps.
		const corner: [number, number][] = [[0, 0], [4, 0], [4, 3]]; // prettier-ignore
		expect(plantsAlong(corner, 0.6, 1)).toBe(13);
		expect(plantsAlong(corner, 0.6, 2)).toBe(25);
		const row = rowAlong(corner, 0.6);
		expect(row).toContainEqual([4, 0]);
		for (const [i, [x, y]] of row.slice(1).entries())
			expect(Math.hypot(x - row[i]![0], y - row[i]![1])).toBeLessThanOrEqual(0.6 + 1e-9);
	});
	it('has ground half its width to each side: as the strips of another library joined, but for the mitre', () => {
		const u = randomLcg(0.4);
		for (let i = 0; i < 50; i++) {
			const line: [number, number][] = [[0, 0]];
			let turn = u() * 6;
			for (let n = 0; n < 3; n++) {
				turn += (u() - 0.5) * 2;
				const [x, y] = line.at(-1)!;
				const long = 2 + 3 * u();
				line.push([x + long * Math.cos(turn), y + long * Math.sin(turn)]);
			}
			const w = 0.4 + 0.4 * u();
			const ring = wide(line, w);
			const strips = line.slice(1).map(([x2, y2], n) => {
				const [x1, y1] = line[n]!;
				const long = Math.hypot(x2 - x1, y2 - y1);
				const [nx, ny] = [((y1 - y2) / long) * (w / 2), ((x2 - x1) / long) * (w / 2)];
				return [[[x1 + nx, y1 + ny], [x2 + nx, y2 + ny], [x2 - nx, y2 - ny], [x1 - nx, y1 - ny]]] as [number, number][][]; // prettier-ignore
			});
			const joined = polygonClipping.union(strips[0]!, ...strips.slice(1));
			const area = (rings: [number, number][][][]) =>
				rings.reduce((sum, [outer]) => sum + Math.abs(areaOf({ outline: outer!.slice(0, -1), holes: [] })), 0);
			const mine = areaOf({ outline: ring, holes: [] });
			// A mitre at each of two corners adds tan(bend / 2)·w²/4 less what the strips have there.
			expect(mine).toBeGreaterThan(area(joined) - 1e-9);
			expect(mine - area(joined)).toBeLessThan(2 * (w / 2) ** 2);
		}
	});
	it('that turns back on itself, or stands still, is refused', () => {
		expect(alongLine([[0, 0], [5, 0], [0, 0.1]], 1)).toMatchObject({ ok: false }); // prettier-ignore
		expect(alongLine([[0, 0], [5, 0], [5, 0]], 1)).toMatchObject({ ok: false }); // prettier-ignore
	});
	it('gaps take so many that none stand wider than asked (worked by hand)', () => {
		expect([0.5, 0.6, 0.61, 1.2, 1.8, 2.5].map((g) => plantsInGap(g, 0.6))).toEqual([0, 0, 1, 1, 2, 4]);
	});
});

describe('a slope', () => {
	it('is read as people measure it', () => {
		expect(readSlope('28')).toBe(28);
		expect(readSlope('28,5°')).toBe(28.5);
		expect(readSlope('1 in 3')).toBeCloseTo(18.435, 3);
		expect(readSlope('1:1')).toBeCloseTo(45, 10);
		expect(readSlope('40/100')).toBeCloseTo(21.801, 3);
		for (const wrong of ['steep', '1 in 0', '3:', '-1 in 4']) expect(readSlope(wrong)).toBeNaN();
	});
	it('of a map is longer along the ground, one measured on the ground is not; 90° is no slope', () => {
		const how = { by: 'sides' as const, length_m: 6, width_m: 2 };
		const area = (slope: object | null) => {
			const r = outlineOf(shapeData.parse({ how, slope }));
			return r.ok ? areaOf(r.value) : Number.NaN;
		};
		expect(area(null)).toBeCloseTo(12, 9);
		expect(area({ deg: 60, on: 'ground' })).toBeCloseTo(12, 9);
		// cos 60° = ½
		expect(area({ deg: 60, on: 'map' })).toBeCloseTo(24, 9);
		expect(shapeData.safeParse({ how, slope: { deg: 90, on: 'map' } }).success).toBe(false);
	});
	it('is typed with the bed, and light by parts of it, or said what is wrong', () => {
		const typed = (fields: Record<string, string>) =>
			shapeOf((n) => ({ by: 'sides', length: '6', width: '2', ...fields })[n] ?? '', (t) => (t === '' ? null : Number(t))); // prettier-ignore
		expect(typed({ slope: '1 in 3', slope_on: 'map', light: '0 2.5 shade\n2.5 4 part' })).toMatchObject({
			ok: true,
			value: { slope: { on: 'map' }, light: [{ from_m: 0, to_m: 2.5, light: 'shade' }, { light: 'part' }] }
		});
		expect(typed({ slope: 'steep' })).toMatchObject({ ok: false, problem: { path: 'slope' } });
		for (const light of ['0 2 dusk', '2 1 sun', '0 shade'])
			expect(typed({ light })).toMatchObject({ ok: false, problem: { path: 'light' } });
	});
});

describe('spares', () => {
	it('replace all that die, as often as wished: no fewer do, by simulation', () => {
		const u = randomLcg(0.9);
		const often = (count: number, spares: number, lives: number) => {
			let good = 0;
			for (let t = 0; t < 20_000; t++) {
				let alive = 0;
				for (let i = 0; i < count + spares; i++) if (u() < lives) alive++;
				if (alive >= count) good++;
			}
			return good / 20_000;
		};
		for (const [count, lives] of [
			[12, 0.9],
			[40, 0.93],
			[1, 0.8]
		] as const) {
			// prettier-ignore
			const spares = sparesFor(count, lives, 0.9);
			expect(often(count, spares, lives)).toBeGreaterThan(0.89);
			if (spares > 0) expect(often(count, spares - 1, lives)).toBeLessThan(0.91);
		}
		expect(sparesFor(10, 1, 0.9)).toBe(0);
	});
	it('of a hedge of 40 bare-rooted shrubs are about eight (own judgement)', () => {
		const shrub = {
			habit: 'deciduous shrub' as const,
			size: { height_cm: 300, spread_cm: 200, spacing_cm: 60, src: 'invented' }
		};
		expect(livesTwoYears(shrub)).toBeCloseTo(0.92 * 0.97, 10);
		expect(sparesFor(40, livesTwoYears(shrub), 0.9)).toBe(8);
	});
});
