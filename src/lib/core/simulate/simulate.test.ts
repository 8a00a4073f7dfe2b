/** Simulated seasons against the exact odds, against the tests' own engine, and against what must be. */
import { describe, expect, it } from 'vitest';
import { simulate, simulationOf } from './index.js';
import type { SimRequest } from './index.js';
import { solveJoint } from '../joint/index.js';
import { dice } from '../../../testing/growIt.js';
import { allKinds } from '../../../testing/handbook.js';
import { errorOf } from '../../../testing/calibrate.js';
import { exactOf, inventGarden } from '../../../testing/joint.js';

const NOBODY = { batches: [], kinds: [], planted: [], others: [] };
const SEASONS = 4_000;

/** Plans of invented gardens that strike something, and what their wants will tell. */
function* plans(many: number, seed: number): Iterable<{ sim: SimRequest; odds: number[]; struck: number[]; bought: number[] }> {
	const d = dice(seed);
	const kinds = allKinds();
	for (let n = 0; n < many;) {
		const { r } = inventGarden(kinds, d);
		const solved = solveJoint(r, null, exactOf(r));
		const struck = solved.chosen.map((x) => x.parts.reduce((s, p) => s + p.n, 0));
		if (struck.every((s) => s === 0)) continue;
		n++;
		yield { sim: simulationOf(solved, NOBODY, SEASONS, n), odds: solved.odds, struck, bought: solved.chosen.map((x) => x.buys) };
	}
}

describe('a simulated plan', () => {
	it('meets its wants as often as their own odds say, in gardens of nine climates', { timeout: 400_000 }, () => {
		let bias = 0;
		let wants = 0;
		for (const { sim, odds, struck, bought } of plans(24, 0.4142)) {
			const told = simulate(sim);
			expect(told.seasons).toBe(SEASONS);
			told.wants.forEach((w, i) => {
				if (struck[i] === 0) return expect(w.odds).toBe(bought[i]! >= sim.wants[i]!.target ? 1 : 0);
				// Where the due day cuts through the lucks that the exact sum knows a season by, it is some hundredths off.
				const lateShare = (w.lostAt.late ?? 0) > 0.2 ? 0.04 : 0.02;
				expect(Math.abs(w.odds - odds[i]!), `want ${i}`).toBeLessThan(lateShare + 3 * errorOf(odds[i]!, SEASONS));
				bias += w.odds - odds[i]!;
				wants++;
				expect(w.again).toBeGreaterThanOrEqual(w.odds);
				const most = struck[i]! + bought[i]!;
				expect(w.stand.p95).toBeLessThanOrEqual(most);
				const lost = Object.values(w.lostAt).reduce((a, b) => a + b, 0);
				if (w.stand.p50 < most) expect(lost).toBeCloseTo(1, 6);
			});
		}
		expect(wants).toBeGreaterThan(40);
		expect(Math.abs(bias / wants)).toBeLessThan(0.008);
	});

	it('is the same from the same seed, another from another, and stops when it is told to', () => {
		const { sim } = [...plans(1, 0.7)][0]!;
		expect(simulate(sim)).toEqual(simulate(sim));
		expect(simulate({ ...sim, seed: 9 })).not.toEqual(simulate(sim));
		let asked = 0;
		const part = simulate(sim, (done) => (asked++, done < 500));
		expect(part.seasons).toBe(500);
		expect(asked).toBe(6);
		expect(part.wants).toHaveLength(sim.wants.length);
	});

	it('knows every piece: no more stand in a week than were struck, and none before', () => {
		for (const { sim, struck } of plans(4, 0.9)) {
			const told = simulate(sim);
			const all = struck.reduce((a, b) => a + b, 0);
			const first = Math.min(...sim.batches.flatMap((b) => b.parts.map((p) => p.since)));
			for (let w = 0; w < sim.weeks; w++) {
				const low = told.stages.reduce((n, s) => n + s.weeks[w]!.p05, 0);
				expect(low).toBeLessThanOrEqual(all);
				if (sim.today + 7 * (w + 1) <= first) for (const s of told.stages) expect(s.weeks[w]!.p95).toBe(0);
				expect(told.minutes[w]!.p05).toBeGreaterThanOrEqual(-1e-3);
				expect(told.over[w]!).toBeGreaterThanOrEqual(0);
			}
		}
	});

	it('strikes again only what a look shows to be short of, and only while there is stock and time', () => {
		for (const { sim } of plans(6, 0.31)) {
			const never = simulate({ ...sim, batches: sim.batches.map((b) => ({ ...b, again: { ...b.again!, until: 0 } })) });
			const none = simulate({ ...sim, batches: sim.batches.map((b) => ({ ...b, again: { ...b.again!, most: 0 } })) });
			for (const told of [never, none])
				for (const w of told.wants) {
					expect(w.struckAgain).toEqual({ share: 0, pieces: 0 });
					expect(w.again).toBe(w.odds);
				}
		}
	});
});
