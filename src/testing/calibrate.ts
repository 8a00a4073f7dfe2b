/**
 * Promises counted: gardens are invented, the core plans and foretells, and the tests' own engine (growIt.ts) grows
 * what was promised. What is told is held against what came.
 */
import { dayNumber } from '$lib/core/dates.js';
import type { Kind, StageName, WayProfile } from '$lib/core/handbook/schema.js';
import { learnCorrelation } from '$lib/core/evidence/correlation.js';
import { worthOf } from '$lib/core/evidence/evidence.js';
import type { Tallies } from '$lib/core/evidence/tally.js';
import { betaOf } from '$lib/core/odds/beta.js';
import { BATCH_SHARE, STAGE_CORRELATION } from '$lib/core/odds/durations.js';
import { rootingAfter } from '$lib/core/odds/rooting.js';
import type { Epoch } from '$lib/core/odds/rooting.js';
import { beliefsOf, forecast, plan } from '$lib/core/plan/index.js';
import type { Climate } from '$lib/core/season/climate.js';
import { batchLucks, dice, grow, ownChances, yearByChance } from './growIt.js';
import type { Dice, World } from './growIt.js';
import { batchOf, requestOf, yearsOf } from './plans.js';

/** Gardens of several climates, both hemispheres; none is the demo's. */
export const CLIMATES: readonly Climate[] = (
	[
		[52, -17, 125, 285, 10],
		[45, -15, 128, 280, 11],
		[-42, -4, 275, 135, 13],
		[50, -5, 95, 325, 14],
		[47, -24, 140, 262, 9],
		[-36, -2, 240, 165, 12],
		[57, -20, 138, 268, 10]
	] as const
).map(([latitude, coldestC, last, first, sd]) => ({
	latitude,
	longitude: 10,
	coldestC,
	lastFrost: { doy: last, sd },
	firstFrost: { doy: first, sd }
}));
const pick = <T>(list: readonly T[], d: Dice): T => list[Math.floor(d.uniform() * list.length)]!;
export const TRUE_RHO = 0.1;

/** A garden's true means of a way, drawn from what the handbook knows. */
export function worldOf(way: Kind['ways'][number], d: Dice, rho = TRUE_RHO): World {
	const means = new Map(way.stages.map((s) => [s.to, d.beta(s.chance * s.weight, (1 - s.chance) * s.weight)] as const));
	return { means, rho, batchShare: BATCH_SHARE, stageCorrelation: STAGE_CORRELATION };
}

/** Batches of years gone by: their counts, stage by stage. */
function recordOf(world: World, way: Kind['ways'][number], batches: number, d: Dice): Tallies[] {
	return Array.from({ length: batches }, () => {
		const chances = ownChances(
			world,
			way.stages.map((s) => s.to),
			d
		);
		let left = 8 + Math.floor(d.uniform() * 25);
		const tallies: Tallies = {};
		for (const s of way.stages) {
			let passed = 0;
			for (let i = 0; i < left; i++) if (d.uniform() < chances.get(s.to)!) passed++;
			tallies[s.to] = { passed, failed: left - passed };
			left = passed;
		}
		return tallies;
	});
}

export interface Promise_ {
	confidence: number;
	promised: number;
	kept: number;
	runs: number;
	/** What was planned, to find it again. */
	what: string;
}

/** Wants planned in invented gardens, and each grown so many times. */
export function keepPromises(kinds: readonly Kind[], gardens: number, runs: number, seed: number): Promise_[] {
	const d = dice(seed);
	const found: Promise_[] = [];
	for (let g = 0; g < gardens; g++) {
		const climate = pick(CLIMATES, d);
		const kind = pick(kinds, d);
		const way = pick(kind.ways, d);
		const confidence = pick([0.8, 0.9, 0.95], d);
		const today = dayNumber('2027-01-01') + Math.floor(d.uniform() * 365);
		const due = today + 240 + Math.floor(d.uniform() * 700);
		const target = 8 + Math.floor(d.uniform() * 30);
		const years = d.uniform() < 0.5 ? 0 : 3 + Math.floor(d.uniform() * 12);
		// The record of a garden and the promise it leads to are of one draw of its means; the promise is over all of them.
		const tries = years === 0 ? 1 : runs;
		let promised = 0;
		let kept = 0;
		let grown = 0;
		for (let t = 0; t < tries; t++) {
			const drawn = worldOf(way, d);
			const record = recordOf(drawn, way, years, d);
			const prior = (s: Kind['ways'][number]['stages'][number]) => betaOf(s.chance, s.weight);
			const rho = learnCorrelation(way.stages.map((s) => ({ prior: prior(s), batches: record.flatMap((r) => r[s.to] ?? []) })));
			const one = { ...kind, ways: [way] };
			const request = requestOf(one, climate, {
				record: { [way.id]: worthOf(record, rho) },
				rho,
				target,
				due,
				today,
				confidence,
				stock: { count: 1_000, sizeCm: null, ageYears: 4, condition: 'strong' }
			});
			const best = plan(request).ways[0]!.best;
			if (!best) break;
			const repeats = years === 0 ? runs : 1;
			for (let r = 0; r < repeats; r++) {
				const world = years === 0 ? worldOf(way, d) : drawn;
				const season = yearByChance(climate, d);
				let there = 0;
				for (const f of best.flushes) {
					const grownNow = grow({ kind, way, world, season, struckOn: f.on, pieces: f.pieces, dice: d });
					there += grownNow.pieces.filter((p) => p.plantedOn !== null && p.plantedOn <= due).length;
				}
				promised += best.probability;
				kept += there >= target ? 1 : 0;
				grown++;
			}
			// A record makes every try a plan of its own: fewer of them do.
			if (years > 0 && t >= runs / 8) break;
		}
		if (grown > 0)
			found.push({
				confidence,
				promised: promised / grown,
				kept,
				runs: grown,
				what: `${kind.id} ${way.id}, ${climate.latitude}°`
			});
	}
	return found;
}

export interface Bin {
	told: number;
	came: number;
	pieces: number;
}

export interface Foretold {
	/** Chance that a piece left has rooted today, in ten bins. */
	rooted: Bin[];
	/** Where the count in the ground lay in its forecast: 0–1, even if the forecast is right. */
	ranks: number[];
}

/** Batches that are looked at once, then foretold, then seen; and as many that are not looked at. */
export function foretell(kinds: readonly Kind[], batches: number, seed: number): Foretold {
	const d = dice(seed);
	const rooted: Bin[] = Array.from({ length: 10 }, () => ({ told: 0, came: 0, pieces: 0 }));
	const ranks: number[] = [];
	untouched(kinds, batches, d, rooted);
	for (let n = 0; n < batches; n++) {
		const climate = pick(CLIMATES, d);
		const kind = pick(kinds, d);
		const way = pick(kind.ways.filter(rootsByDays), d);
		if (!way) continue;
		const world = worldOf(way, d);
		const season = yearByChance(climate, d);
		const struckOn = dayNumber('2027-05-01') + Math.floor(d.uniform() * 120);
		const days = way.stages[0]!.days;
		const lookOn = struckOn + Math.max(2, Math.round(days[1] * (0.4 + 1.2 * d.uniform())));
		const today = lookOn + Math.round(days[1] * 0.8 * d.uniform());
		const pieces = 6 + Math.floor(d.uniform() * 25);
		const g = grow({ kind, way, world, season, struckOn, pieces, dice: d, lookOn }, batchLucks(world, d));
		const isRooted = g.pieces.filter((p) => p.rootedOn !== null && p.rootedOn <= lookOn);
		const dead = g.pieces.filter((p) => p.rottenOn !== null && p.rottenOn <= lookOn);
		const left = g.pieces.filter((p) => !isRooted.includes(p) && !dead.includes(p));
		const epoch: Epoch = {
			from: 0,
			died: dead.length ? [{ after: 0, by: lookOn - struckOn, count: dead.length }] : [],
			rooted: isRooted.length ? [{ by: lookOn - struckOn, count: isRooted.length }] : [],
			left: left.length,
			seen: lookOn - struckOn,
			counted: true
		};
		const odds = beliefsOf(way, {}, TRUE_RHO);
		const r = rootingAfter({ chance: odds.get('rooted')!, days }, { epochs: [epoch], signs: [] });
		const now = r.now(today - struckOn);
		for (const p of left) {
			const bin = rooted[Math.min(9, Math.floor(now * 10))]!;
			bin.pieces++;
			bin.told += now;
			bin.came += p.rootedOn !== null && p.rootedOn <= today ? 1 : 0;
		}
		const counts = new Map<StageName, { passed: number; failed: number }>([
			['rooted', { passed: isRooted.length, failed: dead.length }]
		]);
		const f = forecast(
			batchOf(kind, way, climate, {
				struckOn,
				pieces,
				today: lookOn,
				years: yearsOf(kind, climate, struckOn),
				odds: left.length ? odds : beliefsOf(way, {}, TRUE_RHO, Object.fromEntries(counts)),
				rooting: left.length ? r : null,
				standing: {
					cohorts: [
						{ stage: 'unrooted' as const, count: left.length, since: struckOn, aliveOn: lookOn },
						{ stage: 'rooted' as const, count: isRooted.length, since: lookOn, aliveOn: lookOn }
					].filter((c) => c.count > 0),
					planted: 0,
					struckOn
				}
			})
		);
		const there = g.pieces.filter((p) => p.plantedOn !== null).length;
		const below = f.pmf.slice(0, there).reduce((a, b) => a + b, 0);
		// A count is a step of the forecast: a chance point of the step is even where the forecast is right.
		ranks.push(below + d.uniform() * (f.pmf[there] ?? 0));
	}
	return { rooted, ranks };
}

/** Batches that nobody has looked at, told when most of what will root has. */
function untouched(kinds: readonly Kind[], batches: number, d: Dice, rooted: Bin[]): void {
	for (let n = 0; n < batches; n++) {
		const climate = pick(CLIMATES, d);
		const kind = pick(kinds, d);
		const way = pick(kind.ways.filter(rootsByDays), d);
		if (!way) continue;
		const world = worldOf(way, d);
		const struckOn = dayNumber('2027-05-01') + Math.floor(d.uniform() * 120);
		const days = way.stages[0]!.days;
		const today = struckOn + Math.round(days[1] * (0.6 + 3 * d.uniform()));
		const g = grow({ kind, way, world, season: yearByChance(climate, d), struckOn, pieces: 12, dice: d }, batchLucks(world, d));
		const told = rootingAfter({ chance: beliefsOf(way, {}, TRUE_RHO).get('rooted')!, days }).now(today - struckOn);
		const bin = rooted[Math.min(9, Math.floor(told * 10))]!;
		for (const p of g.pieces) {
			bin.pieces++;
			bin.told += told;
			bin.came += p.rootedOn !== null && p.rootedOn <= today ? 1 : 0;
		}
	}
}

const rootsByDays = (w: WayProfile): boolean =>
	w.stages[0]!.to === 'rooted' && w.stages[0]!.grows === 'always' && w.stages[0]!.days[1] > 0;

/** Standard error of a rate, in points. */
export const errorOf = (rate: number, n: number): number => Math.sqrt((rate * (1 - rate)) / Math.max(1, n));
