/** The one model of a batch: what a forecast, a want of several batches and a plan cost. */
import { dayNumber } from '../src/lib/core/dates.js';
import { betaOf } from '../src/lib/core/odds/beta.js';
import { rootingAfter } from '../src/lib/core/odds/rooting.js';
import { beliefsOf, countsTogether, forecast, plan, prepare } from '../src/lib/core/plan/index.js';
import { north } from '../src/testing/climates.js';
import { kind } from '../src/testing/handbook.js';
import { batchOf, requestOf } from '../src/testing/plans.js';
import { time as timed } from './time.js';

/** The first run is not counted: it makes what the others find made. */
function time(work: () => void, runs: number): number {
	work();
	return timed(work, runs);
}

export function benchModel(tell: (line?: string) => void, ms: (n: number) => string): void {
	const lavender = kind('lavender');
	const way = lavender.ways[0]!;
	const struckOn = dayNumber('2027-07-12');
	const odds = beliefsOf(way, {}, 0.1);
	const rooting = () =>
		rootingAfter(
			{ chance: odds.get('rooted')!, days: way.stages[0]!.days },
			{
				epochs: [
					{ from: 0, died: [{ after: 0, by: 35, count: 2 }], rooted: [{ by: 35, count: 14 }], left: 8, seen: 35, counted: true }
				],
				signs: []
			}
		);
	const planned = batchOf(lavender, way, north, { struckOn, pieces: 24 });
	const seen = rooting();
	const living = batchOf(lavender, way, north, {
		struckOn,
		pieces: 24,
		rooting: seen,
		today: struckOn + 40,
		standing: {
			cohorts: [
				{ stage: 'unrooted', count: 8, since: struckOn, aliveOn: struckOn + 35 },
				{ stage: 'rooted', count: 14, since: struckOn + 35, aliveOn: struckOn + 35 }
			],
			planted: 0,
			struckOn
		}
	});
	const means = new Map(way.stages.map((s) => [s.to, betaOf(s.chance, s.weight)] as const));
	const parts = Array.from({ length: 5 }, (_, i) => ({
		way: 'x',
		means,
		likely: means,
		prepared: prepare(batchOf(lavender, way, north, { struckOn: struckOn + 5 * i, pieces: 12 }))
	}));
	const request = requestOf(lavender, north, { stock: { count: 8, sizeCm: 50, ageYears: 4, condition: 'strong' } });
	const fresh = time(() => void forecast(planned), 60);
	const alone = time(() => parts.forEach((p) => void countsTogether([p])), 30);
	const together = time(() => void countsTogether(parts), 10);
	tell();
	tell('## One model of a batch');
	tell();
	tell('| what | median |');
	tell('| --- | --- |');
	tell(`| what counts and deaths tell of the roots | ${ms(time(() => void rooting(), 60))} |`);
	tell(`| forecast of a batch of 24 as struck | ${ms(fresh)} |`);
	tell(`| forecast of one with two cohorts | ${ms(time(() => void forecast(living), 30))} |`);
	tell(
		`| five batches of a way that share its means | ${ms(together)}, **${Math.round(together / alone)} times** as long as five by themselves |`
	);
	tell(`| plan of a want by all ways and days | ${ms(time(() => void plan(request), 8))} |`);
}
