/** Figures of the joint plan: time to a first plan and to the end, the gap, and what simpler planners lose. */
import { solver, solversOf } from '../src/lib/server/solver.js';
import { Choice } from '../src/lib/core/joint/descend.js';
import { choose, costOf, prepareJoint, solveJoint } from '../src/lib/core/joint/index.js';
import type { JointRequest, Prepared } from '../src/lib/core/joint/index.js';
import { simulate, simulationOf } from '../src/lib/core/simulate/index.js';
import { dayNumber } from '../src/lib/core/dates.js';
import { dice } from '../src/testing/growIt.js';
import { north } from '../src/testing/climates.js';
import { allKinds } from '../src/testing/handbook.js';
import { exactOf, inventGarden, jointOf, sourceOf, wantOf } from '../src/testing/joint.js';

const today = dayNumber('2027-03-20');

/** A garden of so many wants over so many weeks, each met with any of so many kinds, with room and minutes for some of them. */
function garden(wants: number, weeks: number, seed: number, anyOf = 1): JointRequest {
	const d = dice(seed);
	const all = allKinds();
	const kinds = Array.from({ length: Math.min(wants, 45) }, () => all[Math.floor(d.uniform() * all.length)]!);
	const own = [...new Set(kinds)];
	const others = (i: number) => {
		const of = kinds[i % kinds.length]!;
		return own
			.filter((k) => k !== of)
			.slice(0, anyOf - 1)
			.map((k) => k.id);
	};
	return jointOf(north, own, {
		today,
		wants: Array.from({ length: wants }, (_, i) =>
			wantOf({
				...{ id: `w${i}`, kindId: kinds[i % kinds.length]!.id, orKinds: others(i), target: 3 + Math.floor(d.uniform() * 25) },
				due: today + Math.floor(weeks * 7 * (0.35 + 0.65 * d.uniform()))
			})
		),
		sources: own.map((k, i) => sourceOf(`s${i}`, k, 1 + Math.floor(d.uniform() * 6))),
		rooms: [
			{ id: 'sill', kind: 'sill', cm2: 400 * wants },
			{ id: 'frame', kind: 'frame', cm2: 900 * wants },
			{ id: 'bench', kind: 'bench', cm2: 1_000 * wants },
			{ id: 'garage', kind: 'garage', cm2: 600 * wants }
		],
		minutesPerWeek: 12 * wants
	});
}

/** Each want alone, as if it had the garden to itself; then what does not fit is left out, the last first. */
function oneByOne(p: Prepared): number {
	const choice = new Choice({ pools: p.pools, limits: p.rows.limits });
	return p.pools.reduce((sum, pool, w) => {
		const own = pool[0]!;
		const taken = choice.fits(own.asks) ? own : pool.find((x) => x.empty)!;
		choice.put(w, taken);
		return sum + taken.cost;
	}, 0);
}

/** The least that any choice of all patterns costs, proven; none where that takes too long. Not through prices and chosen columns, as a plan is found. */
async function leastOfAll({ pools, rows: { limits } }: Prepared): Promise<number | null> {
	const columns = pools.flatMap((pool) => pool.filter((x) => !x.empty));
	const empty = pools.map((pool) => pool.find((x) => x.empty)!.cost);
	const ofWant: [number, number][][] = pools.map(() => []);
	const ofRow = new Map<number, [number, number][]>();
	columns.forEach(({ want, asks }, c) => {
		ofWant[want]!.push([c, 1]);
		asks.rows.forEach((row, i) => {
			if (asks.amounts[i]! > 0 && limits[row]! < Infinity) ofRow.set(row, [...(ofRow.get(row) ?? []), [c, asks.amounts[i]!]]);
		});
	});
	const solved = (await solver({ seconds: 90, gap: 0 }))({
		worth: columns.map((x) => empty[x.want]! - x.cost),
		rows: [
			...ofWant.map((terms) => ({ terms, least: -Infinity, most: 1 })),
			...[...ofRow].map(([row, terms]) => ({ terms, least: -Infinity, most: limits[row]! }))
		]
	});
	return solved?.proven ? empty.reduce((a, b) => a + b, 0) - solved.worth : null;
}

const ms = (t: number) => (t < 1_000 ? `${t.toFixed(0)} ms` : `${(t / 1_000).toFixed(1)} s`);

export async function benchJoint(tell: (line: string) => void): Promise<void> {
	tell('');
	tell('## All wants together');
	tell('');
	tell(
		'| wants × weeks | candidates | patterns | first plan | to the end | gap to the bound | above the least of all patterns, proven | in turn, by weight | each alone, then what fits |'
	);
	tell('| --- | --- | --- | --- | --- | --- | --- | --- | --- |');
	for (const [wants, weeks, anyOf = 1] of [
		[12, 104],
		[12, 104, 5],
		[60, 104],
		[60, 156],
		[120, 104],
		[120, 156]
	] as [number, number, number?][]) {
		const r = garden(wants, weeks, 0.5 + wants / 1_000 + weeks / 100_000, anyOf);
		const solvers = await solversOf(wants);
		const t0 = performance.now();
		const p = prepareJoint(r);
		const quick = choose(p, null);
		const t1 = performance.now();
		const found = choose(p, solvers);
		const t2 = performance.now();
		const best = costOf(found.chosen);
		const over = (cost: number) => `${((100 * (cost - best)) / best).toFixed(1)} % dearer`;
		// Larger ones take the solver longer than anybody waits.
		const least = wants <= 12 && anyOf === 1 ? await leastOfAll(p) : null;
		const candidates = p.candidates.reduce((n, c) => n + c.length, 0);
		const patterns = p.pools.reduce((n, c) => n + c.length, 0);
		tell(
			`| ${wants} × ${weeks}${anyOf > 1 ? `, each any of ${anyOf} kinds` : ''} | ${candidates} | ${patterns} | ${ms(t1 - t0)} (${over(costOf(quick.chosen))}) | ${ms(t2 - t0)} | ${((100 * (best - found.bound)) / best).toFixed(1)} % | ${least === null ? '–' : `${((100 * (best - least)) / least).toFixed(2)} %`} | ${over(costOf(found.first))} | ${over(oneByOne(p))} |`
		);
	}
	tell('');
	tell(
		'A first prototype on other gardens, with 1,000 to 10,000 candidates of a simpler model (no shelter, no winters, one luck with time), took 1.1 to 2.1, 3.1 to 3.2 and 4.7 to 6.0 s of the processor to a first plan of 12, 60 and 120 wants, and 1.7 to 2.4, 4.2 to 5.3 and 7.1 to 9.6 s to the end; its greedy plans were 3 to 45 % dearer.'
	);
	const d = dice(0.66);
	const kinds = allKinds();
	let [turn, alone, gardens] = [0, 0, 0];
	const few = await solversOf(5);
	for (let g = 0; g < 50; g++) {
		const { r } = inventGarden(kinds, d);
		const p = prepareJoint({ ...r, minutesPerWeek: r.minutesPerWeek / 2 });
		const found = choose(p, few);
		const best = costOf(found.chosen);
		if (best <= 0) continue;
		gardens++;
		turn += costOf(found.first) / best - 1;
		alone += oneByOne(p) / best - 1;
	}
	tell('');
	tell(
		`Over ${gardens} random gardens of two to five wants the plan of each want in turn is ${((100 * turn) / gardens).toFixed(1)} % dearer on average, that of each alone ${((100 * alone) / gardens).toFixed(1)} %. Dearer counts work, money and what wants are short of.`
	);
	const r = garden(12, 104, 0.612);
	const solved = solveJoint(r, null, exactOf(r));
	const parts = solved.chosen.flatMap((x) => x.parts).slice(0, 4);
	const at = solved.chosen.findIndex((x) => x.parts.length > 0);
	const tries = Array.from({ length: 200 }, (_, i) => {
		const t = performance.now();
		solved.p.faces[at]![0]!.odds.of(solved.chosen[at]!.parts.map((x) => ({ c: x.c, n: x.n + (i % 7) })));
		for (const x of parts) solved.p.field.asksOf(solved.p.rows, x.c, x.n + (i % 7));
		return performance.now() - t;
	}).sort((a, b) => a - b);
	tell('');
	tell(`A batch changed by hand, on the sample with its rows: 95 in 100 within ${tries[189]!.toFixed(1)} ms.`);
	tell('');
	tell('| simulated | pieces | time | seasons a second |');
	tell('| --- | --- | --- | --- |');
	for (const seasons of [1_000, 10_000]) {
		const sim = simulationOf(solved, { batches: [], kinds: [], planted: [], others: [] }, seasons, 1);
		const t = performance.now();
		simulate(sim);
		const took = performance.now() - t;
		const pieces = sim.batches.reduce((n, b) => n + b.parts.reduce((k, x) => k + x.count, 0), 0);
		tell(
			`| ${seasons.toLocaleString('en')} seasons | ${pieces} | ${ms(took)} | ${Math.round((1_000 * seasons) / took).toLocaleString('en')} |`
		);
	}
}
