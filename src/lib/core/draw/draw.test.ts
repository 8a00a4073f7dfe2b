/** Drawings are to scale and inside their frame. */
import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { divide } from '../material/clump.js';
import { planStem, usualNodes } from '../material/stem.js';
import type { Stem } from '../material/stem.js';
import { waySchema } from '../handbook/schema.js';
import { drawClump, drawGuide, drawStem } from './index.js';
import type { Drawing } from './index.js';

const say = (cm: number) => `${Math.round(cm * 10) / 10} cm`;

/** Numbers of a path that are coordinates: letters apart, and an arc's radii and flags left out. */
function points(path: string): [number, number][] {
	const found: [number, number][] = [];
	for (const [, letter, rest] of path.matchAll(/([MLQCA])([^MLQCAZ]*)/g)) {
		const nums = (rest!.match(/-?[\d.]+(?:e-?\d+)?/g) ?? []).map(Number);
		const pairs = letter === 'A' ? nums.slice(-2) : nums;
		for (let i = 0; i + 1 < pairs.length; i += 2) found.push([pairs[i]!, pairs[i + 1]!]);
	}
	return found;
}

function inFrame(d: Drawing, slack: number): void {
	const [x, y, w, h] = d.box;
	// No word is cut off: half its size for a letter on average.
	for (const s of d.shapes) {
		if (!('text' in s)) continue;
		const wide = s.text.length * s.size * 0.5;
		const from = s.anchor === 'end' ? s.x - wide : s.anchor === 'middle' ? s.x - wide / 2 : s.x;
		expect(from, s.text).toBeGreaterThanOrEqual(x - slack);
		expect(from + wide, s.text).toBeLessThanOrEqual(x + w + slack);
	}
	for (const s of d.shapes)
		for (const [px, py] of 'path' in s ? points(s.path) : [[s.x, s.y] as [number, number]]) {
			expect(px, JSON.stringify(s)).toBeGreaterThanOrEqual(x - slack);
			expect(px, JSON.stringify(s)).toBeLessThanOrEqual(x + w + slack);
			expect(py, JSON.stringify(s)).toBeGreaterThanOrEqual(y - slack);
			expect(py, JSON.stringify(s)).toBeLessThanOrEqual(y + h + slack);
		}
	expect(d.say.length).toBeGreaterThan(20);
	expect(JSON.stringify(d)).not.toMatch(/null|NaN/);
}

describe('drawings', () => {
	it('of a stem: every cut stands where the plan has it', () => {
		const stem: Stem = { lengthCm: 60, nodes: usualNodes(60, 5), woodyTo: 8, softFrom: 50, baseMm: 7, tipMm: 2, flowering: true };
		const plan = planStem(stem, {
			cm: [8, 14],
			usualCm: 11,
			leastNodes: 2,
			wood: ['firm'],
			tip: 'may',
			usualMm: 4,
			chance: 0.8
		});
		const d = drawStem(stem, plan, say);
		const cuts = d.shapes.flatMap((s) => ('path' in s && s.stroke === 'cut' && s.dash ? [points(s.path)[0]![0]] : []));
		expect(cuts).toHaveLength(plan.cuts);
		for (const p of plan.pieces) expect(cuts.some((x) => Math.abs(x - p.start) < 0.002)).toBe(true);
		inFrame(d, 2);
		for (const long of [1, 400]) {
			const s: Stem = { ...stem, lengthCm: long, nodes: usualNodes(long, 2), woodyTo: 0, softFrom: long };
			inFrame(
				drawStem(
					s,
					planStem(s, {
						cm: [8, 14],
						usualCm: 11,
						leastNodes: 2,
						wood: ['firm'],
						tip: 'may',
						usualMm: 4,
						chance: 0.8
					}),
					say
				),
				long / 20 + 3
			);
		}
	});
	it('of a clump: as wide as it is', () => {
		for (const diameterCm of [5, 30, 300]) {
			const c = { diameterCm, ageYears: 4, points: null, deadShare: 0.3, lifted: 0.7 };
			const d = drawClump(c, divide(c, { usualCount: 6, usualCm: 30, spacingCm: 40 }, 'many'), say);
			inFrame(d, 0.5 + diameterCm / 100);
			expect(d.box[2]).toBeGreaterThanOrEqual(diameterCm);
		}
	});
	it('of every way in the handbook, in both schools', () => {
		const ways = (parse(readFileSync('handbook/ways.yaml', 'utf8')) as unknown[]).map((w) => waySchema.parse(w));
		for (const way of ways)
			for (const on of [true, false]) {
				const d = drawGuide(way.cut, { slant: on, wound: on, hormone: on, cover: on, inWater: way.id === 'water' }, say);
				inFrame(d, d.box[2] / 8);
				if (way.cut.draws === 'stem') expect(d.say).toContain(on ? 'slant' : 'straight');
			}
	});
});
