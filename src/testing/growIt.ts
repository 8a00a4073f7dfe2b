/**
 * Gardens grown piece by piece with dice: the tests' own engine, against which what the core promises is counted.
 * It knows the model (a way's mean, each batch's chance about it, split log-normal days, winters) and nothing of how
 * the core sums it: chances come from d3-random's samplers, days are stepped one by one.
 */
import { randomBeta, randomLcg, randomNormal } from 'd3-random';
import type { DayNumber } from '$lib/core/dates.js';
import { wrapDoy } from '$lib/core/dates.js';
import type { Kind, Stage, StageName, WayProfile } from '$lib/core/handbook/schema.js';
import type { Climate } from '$lib/core/season/climate.js';
import { seasonOfClimate } from '$lib/core/season/season.js';
import type { Season } from '$lib/core/season/season.js';

export interface Dice {
	uniform(): number;
	normal(): number;
	beta(a: number, b: number): number;
}

export function dice(seed: number): Dice {
	const uniform = randomLcg(seed);
	const normal = randomNormal.source(uniform)();
	const beta = randomBeta.source(uniform);
	return { uniform, normal, beta: (a, b) => beta(a, b)() };
}

const Z90 = 1.2815515655446004;
/** Days at a standard normal luck through the handbook's three figures. */
export function daysFor([low, usual, high]: Stage['days'], z: number): number {
	if (usual <= 0) return 0;
	const far = z < 0 ? usual / Math.max(low, usual / 20) : Math.max(high, usual) / usual;
	return usual * far ** (z / Z90);
}

/** One year of a climate as it may come: frost dates moved by chance. */
export function yearByChance(c: Climate, d: Dice): Season {
	if (!c.lastFrost || !c.firstFrost) return seasonOfClimate(c);
	const moved = (f: { doy: number; sd: number }) => ({ ...f, doy: wrapDoy(f.doy + f.sd * d.normal()) });
	return seasonOfClimate({ ...c, lastFrost: moved(c.lastFrost), firstFrost: moved(c.firstFrost) });
}

export interface World {
	/** Mean chances of the way by stage. */
	means: Map<StageName, number>;
	rho: number;
	batchShare: number;
	stageCorrelation: number;
}

export interface Grown {
	/** For each piece: day rooted (null never), day in the ground (null if it died or never got there). */
	pieces: { rootedOn: DayNumber | null; rottenOn: DayNumber | null; plantedOn: DayNumber | null; diedAt: StageName | null }[];
	/** The batch's own chances. */
	chances: Map<StageName, number>;
}

/** A batch's own chance of each stage. */
export function ownChances(w: World, stages: readonly StageName[], d: Dice): Map<StageName, number> {
	const c = (1 - w.rho) / w.rho;
	return new Map(stages.map((s) => [s, d.beta(w.means.get(s)! * c, (1 - w.means.get(s)!) * c)]));
}

export interface Lucks {
	rooted: number;
	potted: number;
	ready: number;
}
/** Three equally correlated lucks of a batch. */
export function batchLucks(w: World, d: Dice): Lucks {
	const g = d.normal();
	const one = () => Math.sqrt(w.stageCorrelation) * g + Math.sqrt(1 - w.stageCorrelation) * d.normal();
	return { rooted: one(), potted: one(), ready: one() };
}

export interface GrowOf {
	kind: Pick<Kind, 'plant_out'>;
	way: Pick<WayProfile, 'stages'>;
	world: World;
	season: Season;
	struckOn: DayNumber;
	pieces: number;
	dice: Dice;
	/** All are looked at on this day: what has rooted by then is potted from then on, what is dead is thrown out. */
	lookOn?: DayNumber;
}

/** Strikes a batch and lets it grow to the end. */
export function grow(g: GrowOf, lucks = batchLucks(g.world, g.dice)): Grown {
	const { way, season, dice: d, world } = g;
	const end = g.struckOn + 6 * 366;
	const rests = season.standstills(g.struckOn - 366, end);
	const resting = (day: DayNumber) => rests.some((r) => day >= r.from && day < r.to);
	const open = g.kind.plant_out.flatMap((rule) => season.openings(rule, g.struckOn, end));
	const may = (day: DayNumber) => open.some((o) => day >= o.opens && day <= o.closes);
	const chances = ownChances(
		world,
		way.stages.map((s) => s.to),
		d
	);
	const stage = (to: StageName) => way.stages.find((s) => s.to === to);
	/** Day on which so many days are done, counting days of growth where the stage asks for them. */
	const after = (from: DayNumber, days: number, s: Stage): DayNumber => {
		let day = from;
		for (let left = Math.round(days); left > 0; day++) if (s.grows === 'always' || !resting(day)) left--;
		// Done on the eve of a rest counts as done on its first day.
		return day;
	};
	// What never roots rots, in this batch within so many days on average: from days to years.
	const rot = (stage('rooted')?.days[1] ?? 30) * 0.7 * 43 ** d.uniform();
	const pieces = Array.from({ length: g.pieces }, () => {
		let day = g.struckOn;
		let diedAt: StageName | null = null;
		let rootedOn: DayNumber | null = null;
		let rottenOn: DayNumber | null = null;
		for (const to of ['rooted', 'potted', 'ready'] as const) {
			const s = stage(to);
			if (!s) continue;
			const z = Math.sqrt(world.batchShare) * lucks[to] + Math.sqrt(1 - world.batchShare) * d.normal();
			day = after(day, to === 'rooted' ? Math.ceil(daysFor(s.days, z)) : daysFor(s.days, z), s);
			if (diedAt === null && d.uniform() > chances.get(to)!) diedAt = to;
			if (to !== 'rooted') continue;
			if (diedAt === null) rootedOn = day;
			else rottenOn = g.struckOn + Math.ceil(-Math.log(1 - d.uniform()) * rot);
			if (g.lookOn !== undefined && day < g.lookOn) day = g.lookOn;
		}
		while (day < end && !may(day)) day++;
		if (day >= end) return { rootedOn, rottenOn, plantedOn: null, diedAt: diedAt ?? ('planted' as StageName) };
		const winter = chances.get('wintered');
		if (winter !== undefined && diedAt === null) {
			let winters = 0;
			for (const r of rests) {
				const at = (x: DayNumber) =>
					(1 - Math.cos(Math.PI * Math.min(1, Math.max(0, (x - r.from) / Math.max(1, r.to - r.from))))) / 2;
				winters += Math.max(0, at(day) - at(g.struckOn));
			}
			if (d.uniform() > winter ** winters) diedAt = 'wintered';
		}
		if (diedAt === null && d.uniform() > chances.get('planted')!) diedAt = 'planted';
		return { rootedOn, rottenOn, plantedOn: diedAt === null ? day : null, diedAt };
	});
	return { pieces, chances };
}
