/** A garden's own winters: which teach, and by how much. */
import { describe, expect, it } from 'vitest';
import { learntShelter, winteredBy } from './wintered.js';
import type { Kept } from './wintered.js';

const MIDSUMMER = 200;
const kinds: Record<string, string> = { g: 'garage', s: 'sill', b: 'bed' };
const plant = (more: Partial<Kept> = {}): Kept => ({
	...{ kind_id: 'fuchsia', since: '2023-05-01', told_on: '2026-06-01', gone_on: null, gone_cause: null },
	stays: [
		{ from: '2023-05-01', placeId: 'b' },
		{ from: '2023-10-10', placeId: 'g' }
	],
	...more
});
const of = (...stocks: Kept[]) => Object.fromEntries(winteredBy(stocks, (id) => kinds[id], MIDSUMMER));

describe('a garden’s own winters', () => {
	it('count one a winter, where it stood in the middle of it', () => {
		expect(of(plant())).toEqual({ 'fuchsia garage': { passed: 3, failed: 0 } });
		const moved = plant({ stays: [...plant().stays, { from: '2025-09-20', placeId: 's' }] });
		expect(of(moved)).toEqual({ 'fuchsia garage': { passed: 2, failed: 0 }, 'fuchsia sill': { passed: 1, failed: 0 } });
	});
	it('count rot, drought, dark and pests against the place, and not the cold, nor what nobody knows', () => {
		const gone = (gone_cause: Kept['gone_cause']) => of(plant({ gone_on: '2026-02-10', told_on: '2025-10-01', gone_cause }));
		for (const c of ['wet', 'dry', 'dark', 'pest'] as const)
			expect(gone(c)).toEqual({ 'fuchsia garage': { passed: 2, failed: 1 } });
		for (const c of ['cold', 'other', null] as const) expect(gone(c)).toEqual({ 'fuchsia garage': { passed: 2, failed: 0 } });
		// Given away in June it had come through.
		expect(of(plant({ gone_on: '2026-06-20', gone_cause: 'other' }))).toEqual({ 'fuchsia garage': { passed: 3, failed: 0 } });
	});
	it('know nothing yet of the winter that is on, nor of a plant that was not looked over since', () => {
		expect(of(plant({ told_on: '2026-01-20' }))).toEqual({ 'fuchsia garage': { passed: 2, failed: 0 } });
		expect(of(plant({ told_on: '2023-06-01' }))).toEqual({});
	});
	it('are those of the south in the south: the middle of winter is July there', () => {
		const south = winteredBy(
			[plant({ since: '2025-12-01', told_on: '2026-10-01', stays: [{ from: '2025-12-01', placeId: 'g' }] })],
			(id) => kinds[id],
			15
		);
		expect(Object.fromEntries(south)).toEqual({ 'fuchsia garage': { passed: 1, failed: 0 } });
	});
	it('move the handbook’s chance as a Beta does', () => {
		const s = { in: 'garage', chance: 0.8, weight: 10 };
		expect(learntShelter(s, undefined)).toBe(s);
		expect(learntShelter(s, { passed: 2, failed: 3 })).toEqual({ in: 'garage', chance: (8 + 2) / 15, weight: 15 });
	});
});
