/** The sample against the forecast's exact sums. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { plannedBatch } from '../plan/index.js';
import { patternOf, patternsOf } from './patterns.js';
import { patternsFor, prepareJoint } from './plan.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { allKinds, kind } from '../../../testing/handbook.js';
import { exactOf, jointOf, sourceOf, wantOf } from '../../../testing/joint.js';

const today = dayNumber('2027-03-20');

describe('one want and one batch', () => {
	it(
		'is the exact chain’s: 200 batches of all kinds in four climates, within what 400 seasons can tell',
		{ timeout: 400_000 },
		() => {
			let n = 0;
			let square = 0;
			let bias = 0;
			let worst = 0;
			let atTheEdge = 0;
			for (const [i, k] of allKinds().entries()) {
				if (n >= 200) break;
				const climate = [north, south, tropics, arctic][i % 4]!;
				const target = 3 + (i % 17);
				const r = jointOf(climate, [k], {
					wants: [wantOf({ id: 'w', kindId: k.id, target, due: today + 300 + (i % 5) * 90 })],
					sources: [sourceOf('s', k, 40)]
				});
				const p = prepareJoint(r);
				const of = patternsFor(p, 0);
				const exact = exactOf(r);
				for (const c of p.candidates[0]!.filter((_, at) => at % 9 === 0)) {
					const pieces = Math.min(c.most, Math.ceil((1.3 * target) / c.mean));
					const x = patternOf(of, [{ c, n: pieces }], 'x');
					const off = x.odds - exact(r.wants[0]!, x);
					n++;
					square += off * off;
					bias += off;
					// Where the due day cuts through the pieces, 400 seasons of 16 pieces each tell less.
					const { season, years } = r.kinds.get(k.id)!;
					const asked = { kind: k, season, years, today, rho: r.rho, record: {} };
					const sure = plannedBatch(asked, c.way, c.on, pieces, r.wants[0]!.due).inTime > 0.97;
					if (sure) worst = Math.max(worst, Math.abs(off));
					else atTheEdge = Math.max(atTheEdge, Math.abs(off));
				}
			}
			expect(n).toBeGreaterThan(190);
			expect(Math.sqrt(square / n)).toBeLessThan(0.02);
			// Candidates of a want share its ways' draws: some sixty samples of their own, three standard errors of their mean.
			expect(Math.abs(bias / n)).toBeLessThan(0.006);
			expect(worst).toBeLessThan(0.06);
			expect(atTheEdge).toBeLessThan(0.12);
		}
	);

	it('has the same patterns from the same seed, and odds that rise with the pieces', () => {
		const k = kind('lavender');
		const r = jointOf(north, [k], {
			wants: [wantOf({ id: 'w', kindId: k.id, target: 12, due: today + 500 })],
			sources: [sourceOf('s', k, 20)]
		});
		const [a, b] = [prepareJoint(r), prepareJoint(r)];
		expect(a.pools[0]!.map((x) => `${x.key} ${x.cost}`)).toEqual(b.pools[0]!.map((x) => `${x.key} ${x.cost}`));
		expect(a.pools[0]!.length).toBeGreaterThan(50);
		const c = a.candidates[0]![3]!;
		let before = 0;
		for (let n = 1; n < 60; n += 4) {
			const odds = a.faces[0]![0]!.odds.of([{ c, n }]);
			expect(odds).toBeGreaterThanOrEqual(before - 1e-6);
			before = odds;
		}
		expect(patternsOf(patternsFor(a, 0))[0]!.parts).toEqual([]);
	});
});
