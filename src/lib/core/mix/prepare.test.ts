/** From batches to what is filled, wetted and bought. */
import { describe, expect, it } from 'vitest';
import { fill, potFor, prepare, readMix } from './index.js';
import { allKinds } from '../../../testing/handbook.js';
import type { Filling, Material } from './index.js';

const pot: Filling = {
	id: 'a',
	pieces: 20,
	each: 6,
	vessel: { shape: 'round', topCm: 13, baseCm: 9, heightCm: 11.5 },
	mix: { parts: [{ material: 'multi', parts: 1 }], shrinkage: 0 }
};
const materials = new Map<string, Material>([
	['multi', { id: 'multi', name: 'multi-purpose', bags: [{ litres: 10, price: 4 }], water: 0.3, fine: false }],
	['soil', { id: 'soil', name: 'garden soil', bags: [], water: 0.2, fine: true }]
]);

describe('preparing', () => {
	it('six to a pot: twenty pieces want four pots', () => {
		expect(fill(pot)).toMatchObject({ each: 6, vessels: 4 });
		expect(fill({ ...pot, each: 1 }).vessels).toBe(20);
		expect(fill({ ...pot, vessel: null })).toMatchObject({ vessels: 0, litres: 0 });
	});
	it('adds up over batches, takes off what is on the shelf, buys the rest', () => {
		const one = prepare([pot], materials, new Map());
		const two = prepare([pot, { ...pot, id: 'b' }], materials, new Map());
		expect(two.materials[0]!.litres).toBeCloseTo(2 * one.materials[0]!.litres, 9);
		expect(two.water).toBeCloseTo(two.materials[0]!.litres * 0.3, 9);
		const shelved = prepare([pot], materials, new Map([['multi', 100]]));
		expect(shelved.cost).toBe(0);
		expect(one.materials[0]!.buy.litres).toBeGreaterThanOrEqual(one.materials[0]!.litres);
	});
	it('what cannot be bought is said to be short', () => {
		const soil = prepare([{ ...pot, mix: { parts: [{ material: 'soil', parts: 1 }], shrinkage: 0 } }], materials, new Map());
		expect(soil.materials[0]!.short).toBeGreaterThan(3);
		expect(soil.materials[0]!.buy.bags).toEqual([]);
	});
	it('jars take water and no mix', () => {
		const jars = prepare([{ ...pot, vessel: { shape: 'jar', acrossCm: 9, waterCm: 8 }, mix: null }], materials, new Map());
		expect(jars.materials).toEqual([]);
		expect(jars.water).toBeGreaterThan(0.5);
	});
});

describe('mixes as they are written', () => {
	it('are read into parts (common practice, no source)', () => {
		expect(readMix('2 multi-purpose : 1 medium vermiculite')!.parts).toEqual([
			{ material: 'multi', parts: 2 },
			{ material: 'vermiculite', parts: 1 }
		]);
		expect(readMix('1 peat substitute : 1 perlite')!.parts.map((p) => p.material)).toEqual(['substitute', 'perlite']);
		expect(readMix('1 used multi-purpose : 1 sharp grit')!.parts.map((p) => p.material)).toEqual(['used', 'grit']);
		expect(readMix('2 garden soil : 1 rice hull')!.parts.map((p) => p.material)).toEqual(['soil', 'hull']);
		expect(readMix('multi-purpose with a third of grit')!.parts).toEqual([
			{ material: 'multi', parts: 2 },
			{ material: 'grit', parts: 1 }
		]);
		expect(readMix('water')).toBeNull();
		expect(readMix('nursery row or deep pot')).toBeNull();
		expect(readMix('moon dust')).toBeNull();
	});
	it('every medium of the handbook is either read or is water or ground', () => {
		for (const kind of allKinds())
			for (const w of kind.ways)
				if (!/^water|row|where it is|weed-free|rhizome/i.test(w.medium))
					expect(readMix(w.medium), `${kind.id}: ${w.medium}`).not.toBeNull();
	});
});

describe('the next pot', () => {
	const round = (topCm: number) => ({
		id: `p${topCm}`,
		name: `${topCm} cm pot`,
		vessel: { shape: 'round' as const, topCm, baseCm: topCm * 0.7, heightCm: topCm * 0.9 }
	});
	const pots = [
		round(17),
		round(9),
		round(13),
		{ id: 'tray', name: 'tray', vessel: { shape: 'tray' as const, lengthCm: 35, widthCm: 22, heightCm: 5 } }
	];
	it('is the smallest that leaves a finger all round (common practice, no source)', () => {
		expect(potFor(5, pots).pot?.id).toBe('p9');
		expect(potFor(7, pots).pot?.id).toBe('p9');
		expect(potFor(7.5, pots).pot?.id).toBe('p13');
		expect(potFor(11, pots).pot?.id).toBe('p13');
	});
	it('says when it is far too big, or when there is none', () => {
		expect(potFor(2, pots).say).toContain('water little');
		expect(potFor(16, pots).pot).toBeNull();
		expect(potFor(0, pots).pot).toBeNull();
		expect(potFor(Number.NaN, pots).pot).toBeNull();
	});
});
