/** Gardens invented for the joint plan, and what became of its promises when the tests' own engine grew them. */
import { dayNumber } from '$lib/core/dates.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { weightsOf } from '$lib/core/joint/aims.js';
import type { Exact, JointRequest, JointWant, Room, Solvers, Source } from '$lib/core/joint/index.js';
import { solveJoint, wouldDo } from '$lib/core/joint/index.js';
import { beliefsOf, plannedBatch, wantOdds } from '$lib/core/plan/index.js';
import type { Climate } from '$lib/core/season/climate.js';
import { seasonOfClimate } from '$lib/core/season/season.js';
import { CLIMATES, TRUE_RHO, worldOf } from './calibrate.js';
import { dice, grow, yearByChance } from './growIt.js';
import type { Dice, World } from './growIt.js';
import { book } from './handbook.js';
import { yearsOf } from './plans.js';
import { arctic, tropics } from './climates.js';

const pick = <T>(list: readonly T[], d: Dice): T => list[Math.floor(d.uniform() * list.length)]!;

export const wantOf = (over: Partial<JointWant> & Pick<JointWant, 'id' | 'kindId' | 'target' | 'due'>): JointWant => ({
	confidence: 0.9,
	priority: 1,
	already: Float64Array.of(1),
	...over
});

/** The same want with what would do too, where nothing stands yet. */
export const alsoDoing = (want: JointWant, wish: { enough?: number; lateWeeks?: number }): JointWant => ({
	...want,
	otherwise: wouldDo({ target: want.target, due: want.due, enough: wish.enough ?? null, lateWeeks: wish.lateWeeks ?? 0 }).map(
		(o) => ({ ...o, already: want.already })
	)
});

export const sourceOf = (id: string, kind: Kind, count: number): Source => ({
	...{ id, kindId: kind.id, takings: [], record: {} },
	stock: { count, sizeCm: null, ageYears: 4, condition: 'strong' },
	shares: Object.fromEntries(kind.ways.map((w) => [w.id, `${kind.id} ${w.id}`]))
});

/** A question about a garden of some climate, with all that is not said as in a quiet one. */
export function jointOf(
	climate: Climate,
	kinds: readonly Kind[],
	over: Partial<JointRequest> & Pick<JointRequest, 'wants' | 'sources'>
): JointRequest {
	const today = over.today ?? dayNumber('2027-03-20');
	const season = seasonOfClimate(climate);
	return {
		...{ today, book, rho: TRUE_RHO, rooms: [], busy: [], minutesPerWeek: 1_000, away: [], seed: 1 },
		kinds: new Map(kinds.map((kind) => [kind.id, { kind, season, years: yearsOf(kind, climate, today) }])),
		weights: weightsOf('usual'),
		...over
	};
}

/** The odds of a want as its own page would tell them: each batch exact, together as the ways' means have them. */
export const exactOf =
	(r: JointRequest): Exact =>
	(want, { parts, buys }) => {
		const batches = parts.map(({ c, n }) => {
			const { kind, season, years } = r.kinds.get(c.source.kindId)!;
			const means = beliefsOf(c.way, c.source.record[c.way.id] ?? {}, r.rho);
			const of = { kind, season, years, today: r.today, rho: r.rho, record: c.source.record };
			return {
				...{ way: c.source.shares[c.way.id]!, means, likely: means },
				prepared: plannedBatch(of, c.way, c.on, n, want.due)
			};
		});
		return wantOdds(Math.max(0, want.target - buys), [want.already], batches).probability;
	};

/** A garden by chance: its climate, two to five wants, few or many plants to take from, more or less room and time. */
export function inventGarden(kinds: readonly Kind[], d: Dice, g = 0): { climate: Climate; r: JointRequest } {
	const climate = pick([...CLIMATES, tropics, arctic], d);
	const today = dayNumber('2027-01-01') + Math.floor(d.uniform() * 365);
	const mine = Array.from({ length: 2 + Math.floor(d.uniform() * 4) }, () => pick(kinds, d));
	const wants = mine.map((kind, i) => {
		const want = wantOf({
			...{ id: `w${i}`, kindId: kind.id, target: 2 + Math.floor(d.uniform() * 25) },
			due: today + 180 + Math.floor(d.uniform() * 700)
		});
		// Every fourth may be of the next one's kind as well.
		const next = mine[(i + 1) % mine.length]!;
		if (i % 4 === 1 && next !== kind) want.orKinds = [next.id];
		// Of every third some may be bought: a few of some, nearly all of others.
		if (i % 3 === 1) want.buys = { most: Math.ceil((want.target * (1 + (g % 4))) / 4), each: 6 };
		// Of every third half would do, and ten weeks late.
		return i % 3 === 2 ? alsoDoing(want, { enough: Math.ceil(want.target / 2), lateWeeks: 10 }) : want;
	});
	const own = [...new Set(mine)];
	const sources = own.flatMap((kind, i) =>
		Array.from({ length: 1 + Math.floor(d.uniform() * 2) }, (_, k) =>
			sourceOf(`s${i}${k}`, kind, 1 + Math.floor(d.uniform() * 8))
		)
	);
	const room = (id: string, kind: string, most: number): Room => ({ id, kind, cm2: 500 + Math.floor(d.uniform() * most) });
	const rooms = [room('a', 'sill', 6_000), room('b', 'frame', 20_000), room('c', 'bench', 30_000), room('d', 'garage', 20_000)];
	return {
		climate,
		r: jointOf(climate, own, { today, wants, sources, rooms, minutesPerWeek: 20 + Math.floor(d.uniform() * 150) })
	};
}

export interface Kept {
	promised: number;
	/** By the sample that the search was made on. */
	sampled: number;
	kept: number;
	runs: number;
	batches: number;
	what: string;
}

/** Wants of invented gardens that were promised as asked, and how often the engine met them. One season for all batches of a run. */
export function keepJoint(kinds: readonly Kind[], gardens: number, runs: number, seed: number, solvers: Solvers | null): Kept[] {
	const d = dice(seed);
	const found: Kept[] = [];
	for (let g = 0; g < gardens; g++) {
		const { climate, r } = inventGarden(kinds, d, g);
		const { chosen, promised } = solveJoint(r, solvers, exactOf(r));
		const told = r.wants.map((want, w): Kept => {
			const parts = chosen[w]!.parts;
			return {
				...{ promised: promised[w]!, sampled: chosen[w]!.odds, kept: 0, runs: 0, batches: parts.length },
				what: `${parts.map((p) => `${p.c.source.kindId} ${p.c.way.id}`).join(' + ')} ${climate.latitude}°`
			};
		});
		for (let run = 0; run < runs; run++) {
			const season = yearByChance(climate, d);
			const worlds = new Map<string, World>();
			chosen.forEach(({ parts, buys, as: want }, w) => {
				if (parts.length === 0) return;
				let there = buys;
				for (const { c, n } of parts) {
					const { kind } = r.kinds.get(c.source.kindId)!;
					const key = `${kind.id} ${c.way.id}`;
					const world = worlds.get(key) ?? worldOf(c.way, d);
					worlds.set(key, world);
					const g2 = grow({ kind, way: c.way, world, season, struckOn: c.on, pieces: n, dice: d });
					there += g2.pieces.filter((p) => p.plantedOn !== null && p.plantedOn <= want.due).length;
				}
				told[w]!.kept += there >= want.target ? 1 : 0;
				told[w]!.runs++;
			});
		}
		found.push(...told.filter((t) => t.runs > 0));
	}
	return found;
}

/** Of some wants: how many, what they were promised on average, and how often they were met. */
export function told(list: readonly Kept[]): { wants: number; promised: number; kept: number; runs: number } {
	const runs = list.reduce((n, k) => n + k.runs, 0);
	return {
		wants: list.length,
		promised: list.reduce((s, k) => s + k.promised * k.runs, 0) / runs,
		kept: list.reduce((s, k) => s + k.kept, 0) / runs,
		runs
	};
}
