/** The odds of a want, from its batches and the parent kept alive. */
import { describe, expect, it } from 'vitest';
import { betaOf } from '../odds/beta.js';
import { outcome, reachTable, reachWith } from '../odds/chain.js';
import { smallestReaching } from '../odds/strike.js';
import { hangsOn, keepThrough, wantOdds } from './index.js';

describe('the odds of a want', () => {
	const half = { pmfInTime: Float64Array.from([0.5, 0.5]), ahead: [] };
	it('adds its batches, and leaves out what comes too late', () => {
		expect(wantOdds(1, 0, [half, half]).probability).toBeCloseTo(0.75, 12);
		expect(wantOdds(2, 1, [half]).probability).toBeCloseTo(0.5, 12);
	});

	it('hangs on the least certain stage', () => {
		const batch = {
			pmfInTime: outcome([betaOf(0.5, 4), betaOf(0.95, 100)], 10),
			ahead: [
				{ stage: 'rooted' as const, odds: betaOf(0.5, 4), entering: 10 },
				{ stage: 'potted' as const, odds: betaOf(0.95, 100), entering: 5 }
			]
		};
		const hinge = hangsOn(4, [batch], (_, stage, odds) => ({
			pmfInTime: outcome(stage === 'rooted' ? [odds, betaOf(0.95, 100)] : [betaOf(0.5, 4), odds], 10)
		}));
		expect(hinge).toMatchObject({ batch: 0, stage: 'rooted' });
		expect(hinge!.swing).toBeGreaterThan(0.3);
	});

	it('keeping one through winter needs less of the cuttings when the parent is sheltered', () => {
		const shelters = [
			{ in: 'garage', chance: 0.8, weight: 10, care: 0, say: '' },
			{ in: 'sill', chance: 0.9, weight: 10, care: 0, say: '' }
		];
		const parent = keepThrough(shelters, new Set(['garage']), 'bed', 1);
		expect(parent).toMatchObject({ parentAlone: 0.8, toMove: true });
		// 1 − 0.2 · (1 − x) = 0.95 → the cuttings must bring x = 0.75 by themselves.
		const table = reachWith(parent.pmf, [betaOf(0.5, 10)], 1, 20);
		const alone = reachTable([betaOf(0.5, 10)], 1, 20);
		table.forEach((p, n) => expect(p).toBeCloseTo(1 - 0.2 * (1 - alone[n]!), 10));
		expect(smallestReaching(table, 0.95)).toBe(smallestReaching(alone, 0.75));
		// One that stands under shelter is reckoned where it stands.
		expect(keepThrough(shelters, new Set(['garage', 'sill']), 'garage', 2)).toMatchObject({
			parentAlone: 0.8,
			toMove: false
		});
		expect([...keepThrough(shelters, new Set(), 'garage', 2).pmf]).toEqual([expect.closeTo(0.2, 12), 0, 0.8]);
		expect(keepThrough(shelters, new Set(), 'bed', 1)).toMatchObject({ shelter: null, parentAlone: 0 });
	});
});
