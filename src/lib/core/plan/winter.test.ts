/** A winter's cold where plants stand: facts of the trade are common practice, no source (limits and routes of winter). */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bearsCold, chanceAt, livesAt, livesThrough } from './winter.js';
import type { WinterAt } from './winter.js';
import { oneNight } from '../season/cold.js';

const shelter = (kind: 'sill' | 'garage' | 'ground', chance: number) => ({ in: kind, chance, weight: 10, care: 1, say: '' });
const plant = (v: number): WinterAt['kind'] => ({
	hardiness_c: { v, src: 'memory' },
	winter: { limit_c: 3, say: '', shelters: [shelter('sill', 0.9), shelter('garage', 0.8), shelter('ground', 0.5)], src: 'memory' }
});
const tender = plant(-1);
const at = (over: Partial<WinterAt>): WinterAt => ({ kind: tender, place: 'garage', coldestC: -18, ...over });
const winters = (...c: number[]) => c.map((x) => oneNight(x));

describe('a winter’s cold', () => {
	it('is none of the handbook’s chance where the shelter is as warm as it means: a frost-free garage of 5–8 °C', () => {
		expect(bearsCold(at({ inside: winters(5, 6, 8) }))).toBe(1);
		expect(livesAt(at({ inside: winters(5, 6, 8) }))).toBeCloseTo(0.8, 9);
		// Nothing known of the place: the handbook's word.
		expect(bearsCold(at({ inside: null }))).toBe(1);
	});

	it('kills what is tender at the first frost, wherever that comes: a shed is no garage', () => {
		expect(livesAt(at({ inside: winters(-12, -9, -14) }))).toBeLessThan(0.01);
		// One winter in four falls to −8 °C: about three in four live.
		expect(bearsCold(at({ inside: winters(5, 6, 4, -8) }))).toBeCloseTo(0.75, 1);
		expect(livesAt(at({ place: 'bed' }))).toBeLessThan(0.01);
	});

	it('is the mulched ground’s own where plants stand in it, about even odds at the limit of hardiness', () => {
		const hardy = plant(-18);
		const limit = livesAt(at({ kind: hardy, place: 'bed', coldestC: -18 }))!;
		expect(limit).toBeGreaterThan(0.45);
		expect(limit).toBeLessThan(0.55);
		// Where no frost comes the limit is no limit: it lives as what stands where it stands does.
		expect(livesAt(at({ kind: hardy, place: 'bed', coldestC: 14 }))).toBeCloseTo(0.95, 3);
		const mulched = bearsCold(at({ kind: hardy, place: 'ground', inside: winters(-9, -8, -11) }));
		expect(mulched).toBeGreaterThan(0.99);
		expect(bearsCold(at({ place: 'ground', inside: winters(-9, -8, -11) }))).toBeLessThan(0.01);
	});

	it('never helps: colder winters, fewer alive; and a batch and a plant feel the same nights', () => {
		const some = fc.array(fc.double({ min: -25, max: 12, noNaN: true }), { minLength: 1, maxLength: 12 });
		fc.assert(
			fc.property(
				some,
				fc.double({ min: 0, max: 8, noNaN: true }),
				fc.double({ min: -20, max: 3, noNaN: true }),
				(c, colder, v) => {
					const kind = plant(v);
					const [a, b] = [c, c.map((x) => x - colder)].map((x) => bearsCold(at({ kind, inside: winters(...x) })));
					expect(b!).toBeLessThanOrEqual(a! + 1e-12);
					expect(a! >= 0 && a! <= 1).toBe(true);
					// The batch's own chance, of a way that means its best shelter, times the hazard of this one, times the cold.
					const inside = winters(...c);
					const batch = chanceAt(0.9, at({ kind, inside }));
					expect(batch).toBeCloseTo(Math.min(0.9999, Math.max(0.0001, 0.9 ** (Math.log(0.8) / Math.log(0.9)) * a!)), 9);
				}
			)
		);
		expect(livesThrough(tender, oneNight(-1), false)).toBeCloseTo(0.5, 9);
		// What is tender does not harden; what is hardy bears no more than a few degrees of frost while it grows.
		expect(livesThrough(tender, oneNight(-1, 0), false)).toBeCloseTo(0.5, 9);
		expect(livesThrough(plant(-20), oneNight(-9, 0), false)).toBeLessThan(0.05);
		expect(livesThrough(plant(-20), oneNight(-9, 1), false)).toBeGreaterThan(0.99);
		expect(livesThrough(plant(-20), oneNight(-3, 0), true)).toBeGreaterThan(0.8);
	});
});
