/** Vessels against closed forms and nominal pots, mixing by mass balance, hormone by published equivalents. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	amounts,
	bagsFor,
	checkMix,
	checkVessel,
	dilute,
	feedMl,
	holds,
	IBA,
	mgLToPercent,
	percentToMgL,
	powderG,
	SOAK,
	takes,
	waterToWet
} from './index.js';
import type { Vessel } from './index.js';

describe('what a vessel holds', () => {
	const pot = (over: Partial<{ topCm: number; baseCm: number; heightCm: number }> = {}): Vessel => ({
		shape: 'round',
		topCm: 13,
		baseCm: 9,
		heightCm: 11.5,
		...over
	});
	it('is a cylinder, a cone, a box where the sides say so (closed forms)', () => {
		expect(holds(pot({ topCm: 10, baseCm: 10, heightCm: 10 }))).toBeCloseTo((Math.PI * 25 * 10) / 1000, 9);
		// Nearly a cone: πr²h/3.
		expect(holds(pot({ topCm: 12, baseCm: 0.0001, heightCm: 9 }))).toBeCloseTo((Math.PI * 36 * 9) / 3 / 1000, 4);
		expect(holds({ shape: 'square', topCm: 8, baseCm: 8, heightCm: 10 })).toBeCloseTo(0.64, 9);
		expect(holds({ shape: 'tray', lengthCm: 35, widthCm: 22, heightCm: 5.5 })).toBeCloseTo(4.235, 9);
		expect(holds({ shape: 'jar', acrossCm: 8, waterCm: 10 })).toBeCloseTo(0.5027, 4);
	});
	it('agrees with slices summed up, for any slope and gap', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 40, noNaN: true }),
				fc.double({ min: 0.1, max: 1, noNaN: true }),
				fc.double({ min: 2, max: 40, noNaN: true }),
				fc.double({ min: 0, max: 1.5, noNaN: true }),
				(topCm, share, heightCm, gap) => {
					const baseCm = topCm * share;
					let sum = 0;
					const n = 4000;
					const top = heightCm - gap;
					for (let i = 0; i < n; i++) {
						const d = baseCm + ((topCm - baseCm) * ((i + 0.5) / n) * top) / heightCm;
						sum += ((Math.PI / 4) * d * d * top) / n / 1000;
					}
					expect(holds({ shape: 'round', topCm, baseCm, heightCm }, gap)).toBeCloseTo(sum, 3);
				}
			),
			{ numRuns: 60 }
		);
	});
	it('is near the nominal volume of trade pots by their catalogue measures (from memory)', () => {
		// 13 cm round: about 1 L; 9 cm square, 10 high: about 0.5 L; 19 cm round, 15 high: about 3 L; a "1 gallon" of 16.5 cm: about 2.8 L.
		expect(Math.abs(holds(pot()) - 1.1)).toBeLessThan(0.15);
		expect(Math.abs(holds({ shape: 'square', topCm: 8.5, baseCm: 6, heightCm: 9.5 }) - 0.5)).toBeLessThan(0.06);
		expect(Math.abs(holds(pot({ topCm: 19, baseCm: 14, heightCm: 14.5 })) - 3.1)).toBeLessThan(0.3);
		expect(Math.abs(holds(pot({ topCm: 16.5, baseCm: 13, heightCm: 16.5 })) - 2.8)).toBeLessThan(0.25);
	});
	it('less the watering gap', () => {
		expect(holds(pot(), 1)).toBeLessThan(holds(pot()));
		expect(holds(pot(), 99)).toBe(0);
	});
	it('takes pieces at the rim so that neighbours are apart, six in a 13 cm pot (common practice, no source)', () => {
		expect(takes(pot(), 5, 'rim')).toBe(6);
		for (const spread of [2, 3.3, 5, 7, 9]) {
			const n = takes(pot(), spread, 'rim');
			const radius = 13 / 2 - 1;
			if (n > 1) expect(2 * radius * Math.sin(Math.PI / n)).toBeGreaterThanOrEqual(spread - 1e-6);
			expect(2 * radius * Math.sin(Math.PI / (n + 1))).toBeLessThan(Math.max(spread, 2 * radius));
			expect(takes(pot(), spread, 'across')).toBeGreaterThanOrEqual(n);
		}
		expect(takes({ shape: 'cells', cells: 24, topCm: 5, baseCm: 3, heightCm: 5 }, 4, 'across')).toBe(24);
		expect(takes({ shape: 'tray', lengthCm: 35, widthCm: 22, heightCm: 5 }, 5, 'across')).toBe(7 * 5);
		expect(takes(pot(), 0, 'rim')).toBe(0);
	});
	it('cannot be wider at the base than at the top, nor have 1,001 cells', () => {
		const code = (v: Vessel) => {
			const r = checkVessel(v);
			return r.ok ? 'ok' : r.problem.code;
		};
		expect(code(pot())).toBe('ok');
		expect(code(pot({ baseCm: 15 }))).toBe('vessel.wider-base');
		expect(code(pot({ heightCm: 0 }))).toBe('vessel.height');
		expect(code({ shape: 'cells', cells: 1001, topCm: 3, baseCm: 2, heightCm: 4 })).toBe('vessel.cells');
		expect(code({ shape: 'cells', cells: 1000, topCm: 3, baseCm: 2, heightCm: 4 })).toBe('ok');
		expect(code({ shape: 'jar', acrossCm: 8, waterCm: 0 })).toBe('vessel.water');
		expect(code({ shape: 'tray', lengthCm: Number.NaN, widthCm: 20, heightCm: 5 })).toBe('vessel.size');
	});
});

describe('mixes by parts', () => {
	it('come out at what was wanted, shrinkage made up for', () => {
		const each = amounts(
			{
				parts: [
					{ material: 'a', parts: 2 },
					{ material: 'b', parts: 1 }
				],
				shrinkage: 0.1
			},
			9
		);
		expect(each.get('a')).toBeCloseTo(20 / 3, 9);
		expect(each.get('b')).toBeCloseTo(10 / 3, 9);
		expect([...each.values()].reduce((x, y) => x + y, 0) * 0.9).toBeCloseTo(9, 9);
	});
	it('0 : 0 makes no mix', () => {
		expect(
			checkMix({
				parts: [
					{ material: 'a', parts: 0 },
					{ material: 'b', parts: 0 }
				],
				shrinkage: 0
			})
		).toMatchObject({ problem: { code: 'mix.nothing' } });
		expect(checkMix({ parts: [], shrinkage: 0 })).toMatchObject({ problem: { code: 'mix.empty' } });
		expect(checkMix({ parts: [{ material: 'a', parts: -1 }], shrinkage: 0 }).ok).toBe(false);
		expect(checkMix({ parts: [{ material: 'a', parts: 1 }], shrinkage: 0.9 }).ok).toBe(false);
	});
	it('bags cost the least there is: against all ways to buy', () => {
		const bag = fc.record({ litres: fc.integer({ min: 1, max: 60 }), price: fc.integer({ min: 1, max: 20 }) });
		fc.assert(
			fc.property(fc.array(bag, { minLength: 1, maxLength: 3 }), fc.integer({ min: 1, max: 90 }), (bags, litres) => {
				let least = Infinity;
				const buy = (i: number, left: number, cost: number): void => {
					if (left <= 0) least = Math.min(least, cost);
					else if (i < bags.length && cost < least)
						for (let n = 0; n <= Math.ceil(left / bags[i]!.litres); n++)
							buy(i + 1, left - n * bags[i]!.litres, cost + n * bags[i]!.price);
				};
				buy(0, litres, 0);
				const got = bagsFor({ bags }, litres);
				expect(got.cost).toBeCloseTo(least, 9);
				expect(got.bags.reduce((s, b) => s + b.count * b.litres, 0)).toBeGreaterThanOrEqual(litres);
			})
		);
		expect(bagsFor({ bags: [{ litres: 10, price: 5 }] }, 0).bags).toEqual([]);
	});
	it('a dry tray of vermiculite takes 1–2 L of water from below (common practice, no source)', () => {
		const tray = holds({ shape: 'tray', lengthCm: 35, widthCm: 22, heightCm: 5.5 }, 0.5);
		const water = waterToWet(new Map([['vermiculite', tray]]), new Map([['vermiculite', { water: 0.35 }]]));
		expect(water).toBeGreaterThan(1);
		expect(water).toBeLessThan(2);
	});
});

describe('hormone', () => {
	it('percent and mg/L: 0.1 % is 1,000, 0.3 % 3,000, 0.8 % 8,000 (as published strengths are converted: 1 % = 10,000 ppm)', () => {
		for (const [percent, mgL] of [
			[0.1, 1000],
			[0.3, 3000],
			[0.8, 8000],
			[1, 10_000]
		] as const) {
			expect(percentToMgL(percent)).toBeCloseTo(mgL, 9);
			expect(mgLToPercent(mgL)).toBeCloseTo(percent, 12);
		}
	});
	it('is thinned so that nothing is lost: C₁V₁ = C₂V₂', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 10, max: 1e5, noNaN: true }),
				fc.double({ min: 0.01, max: 1, noNaN: true }),
				fc.double({ min: 1, max: 5000, noNaN: true }),
				(from, share, ml) => {
					const d = dilute(from, from * share, ml);
					if (!d.ok) throw new Error(d.problem.sentence);
					expect(d.value.concentrateMl * from).toBeCloseTo(from * share * ml, 3);
					expect(d.value.concentrateMl + d.value.waterMl).toBeCloseTo(ml, 9);
				}
			)
		);
		// A 1 % concentrate to a 1,000 mg/L dip: 1 part to 9 of water.
		expect(dilute(10_000, 1000, 100)).toMatchObject({ value: { concentrateMl: 10, waterMl: 90, toOne: 9 } });
	});
	it('never gets stronger by water', () => {
		expect(dilute(1000, 3000, 100)).toMatchObject({ problem: { code: 'dilute.stronger' } });
		expect(dilute(0, 3000, 100).ok).toBe(false);
		expect(dilute(1000, 0, 100).ok).toBe(false);
	});
	it('strengths rise with the wood (Hartmann and Kester, Plant Propagation; from memory)', () => {
		expect(IBA.soft.dip[1]).toBeLessThan(IBA['semi-ripe'].dip[1]);
		expect(IBA['semi-ripe'].dip[1]).toBeLessThan(IBA.hard.dip[1]);
		for (const t of Object.values(IBA)) expect(t.dip[0]).toBeGreaterThan(SOAK.mgL[1]);
	});
	it('powder and feed grow with what they are for', () => {
		expect(powderG(100, 4)).toBeCloseTo(10 * powderG(10, 4), 9);
		// A teaspoon (about 2.5 g of talc) does some fifty to a hundred pencil-thick bases. From memory.
		expect(2.5 / powderG(1, 6)).toBeGreaterThan(40);
		expect(2.5 / powderG(1, 6)).toBeLessThan(110);
		expect(feedMl(10, 4)).toBe(20);
	});
});
