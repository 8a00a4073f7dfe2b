/** Plants wanted in their pots: ready before the season for planting, standing until their day; what grows in the ground is lifted. */
import { describe, expect, it } from 'vitest';
import { CLIMATES, TRUE_RHO } from '../../../testing/calibrate.js';
import { arctic, tropics } from '../../../testing/climates.js';
import { allKinds, book, kind } from '../../../testing/handbook.js';
import { exactOf, jointOf, sourceOf, wantOf } from '../../../testing/joint.js';
import { dayNumber } from '../dates.js';
import { solveJoint } from '../joint/solve.js';
import { seasonOfClimate } from '../season/season.js';
import { beliefsOf } from './beliefs.js';
import { effortOf } from './effort.js';
import { endsInPots, inPots } from './ends.js';
import { walk } from './walk.js';

const kinds = allKinds();

describe('a way that ends in pots', () => {
	it('has no planting, and is the same where its plants stand in open ground', () => {
		for (const k of kinds)
			for (const way of k.ways) {
				const as = inPots(way);
				expect(inPots(way)).toBe(as);
				const last = way.stages.findLast((s) => s.to !== 'planted' && s.to !== 'wintered')!;
				const open = ['row', 'ground'].includes(last.holds);
				expect(as === way, `${k.id} ${way.id}`).toBe(open);
				expect(endsInPots(as)).toBe(!open);
				if (!open) expect(as.stages).toEqual(way.stages.filter((s) => s.to !== 'planted'));
			}
	});

	it('is ready no later than it could be planted, at all times of the year, and stands until its day', () => {
		for (const climate of [...CLIMATES, arctic, tropics]) {
			const season = seasonOfClimate(climate);
			for (const k of kinds.filter((_, i) => i % 5 === 0))
				for (const way of k.ways)
					for (const on of ['2027-02-01', '2027-07-01', '2027-10-15'].map((d) => dayNumber(d))) {
						const as = inPots(way);
						const whole = walk({ kind: k, way, start: on, season });
						const wanted = on + 500;
						const pots = walk({ kind: k, way: as, start: on, season, wanted });
						if (as === way || !whole) continue;
						expect(pots!.planted).toBeLessThanOrEqual(whole.planted);
						expect(pots!.leaves).toBe(Math.max(pots!.planted, wanted));
						expect(whole.leaves).toBe(whole.planted);
						// All of that time it has its room: no gap from the strike to its leaving but what winter fills.
						const odds = beliefsOf(as, {}, TRUE_RHO);
						const needs = effortOf({ walk: pots!, odds, struck: 10, way: as, book }).stages;
						for (let day = on; day < pots!.leaves; day += 7)
							expect(
								needs.some((n) => n.from <= day && day < n.until),
								`${k.id} ${way.id} day ${day - on}`
							).toBe(true);
					}
		}
	});
});

describe('pots for a fête', () => {
	// The fête is before the last frost: by then nothing tender stands in the ground.
	const fuchsia = kind('fuchsia');
	const today = dayNumber('2026-08-10');
	const asked = (pots: boolean) =>
		jointOf(CLIMATES[0]!, [fuchsia], {
			today,
			wants: [wantOf({ id: 'w', kindId: 'fuchsia', target: 8, due: dayNumber('2027-04-15'), pots })],
			sources: [sourceOf('s', fuchsia, 3)]
		});

	it('can be had before the season for planting, where plants in the ground can not', () => {
		const inGround = asked(false);
		expect(solveJoint(inGround, null, exactOf(inGround)).promised[0]).toBeLessThan(0.05);
		const r = asked(true);
		const { p, chosen, promised } = solveJoint(r, null, exactOf(r));
		expect(promised[0]).toBeGreaterThanOrEqual(0.9 - 1e-9);
		// Two ways of reckoning agree: the seasons of the sample, and the chances summed exactly.
		expect(Math.abs(chosen[0]!.odds - promised[0]!)).toBeLessThan(0.06);
		// They stand until the fête.
		for (const { c, n } of chosen[0]!.parts) {
			const { stages } = p.field.effortOf(c, n);
			expect(Math.max(...stages.map((s) => s.until))).toBeGreaterThanOrEqual(r.wants[0]!.due);
		}
	});
});
