/** The points that luck is summed over, where the due day cuts through them: against batches grown one by one. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { atLeast, quantilesOf } from '../odds/strike.js';
import { errorOf, worldOf } from '../../../testing/calibrate.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { dice, grow, yearByChance } from '../../../testing/growIt.js';
import { allKinds } from '../../../testing/handbook.js';
import { batchOf } from '../../../testing/plans.js';
import { forecast, forecastFrom, growthClock, LUCK_POINTS, prepare } from './index.js';
import { seasonOfClimate } from '../season/season.js';

const PIECES = 16;
const RUNS = 700;
const BATCHES = 48;

describe('luck', () => {
	it('weighs what it should: all of it, evenly on both sides, stages alike as far as they are', () => {
		const mean = (of: (l: (typeof LUCK_POINTS)[number]) => number) => LUCK_POINTS.reduce((s, l) => s + l.w * of(l), 0);
		expect(mean(() => 1)).toBeCloseTo(1, 9);
		expect(mean((l) => l.year)).toBeCloseTo(0.5, 1);
		for (const stage of ['rooted', 'potted', 'ready'] as const) {
			expect(Math.abs(mean((l) => l.batch[stage]))).toBeLessThan(0.03);
			expect(Math.abs(mean((l) => l.batch[stage] ** 2) - 1)).toBeLessThan(0.1);
		}
	});

	it(
		'half of the pieces late: the odds of getting the middle number are what comes of batches grown one by one',
		{ timeout: 400_000 },
		() => {
			const d = dice(0.2718);
			const struckOn = dayNumber('2027-06-10');
			let square = 0;
			let noise = 0;
			let n = 0;
			const kinds = allKinds();
			for (let i = 0; n < BATCHES; i++) {
				const kind = kinds[(i * 7) % kinds.length]!;
				const climate = [north, south, tropics, arctic][i % 4]!;
				const way = kind.ways[i % kind.ways.length]!;
				const rests = way.stages.some((s) => s.to === 'rooted' && s.grows === 'season');
				const of = batchOf(kind, way, climate, {
					...{ struckOn, pieces: PIECES },
					...(rests ? { clock: growthClock(struckOn, seasonOfClimate(climate)) } : {})
				});
				const middle = prepare(of).plantedBy(0.5);
				const due = middle === null ? null : middle + Math.round(8 * d.uniform() - 4);
				// Nothing that is planted on one day whatever its luck: there is no cut through it.
				if (due === null || prepare({ ...of, due: due - 3 }).inTime < 0.3 || forecastFrom(prepare({ ...of, due })).inTime > 0.7)
					continue;
				const { pmf } = forecast({ ...of, due });
				const target = Math.max(1, quantilesOf(pmf).p50);
				const told = atLeast(pmf, target);
				let got = 0;
				for (let run = 0; run < RUNS; run++) {
					const { pieces } = grow({
						...{ kind, way, struckOn, pieces: PIECES, dice: d },
						world: worldOf(way, d),
						season: yearByChance(climate, d)
					});
					if (pieces.filter((p) => p.plantedOn !== null && p.plantedOn <= due).length >= target) got++;
				}
				square += (got / RUNS - told) ** 2;
				noise += errorOf(told, RUNS) ** 2;
				n++;
			}
			// What is left when the noise of the runs is taken off is what the points can't tell.
			const off = Math.sqrt(Math.max(0, square - noise) / n);
			expect(off).toBeLessThan(0.022);
		}
	);
});
