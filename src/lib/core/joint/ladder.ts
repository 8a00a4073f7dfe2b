/**
 * Growing the stock first: what the first pieces become is kept, and gives pieces of its own from its second season on,
 * until there is enough stock to meet a want from. How many come of each step is chance upon chance, so it is grown
 * through the seasons of the sample, which the steps share with all that is planned.
 */
import { randomBinomial } from 'd3-random';
import type { DayNumber } from '../dates.js';
import type { Kind, WayProfile } from '../handbook/schema.js';
import { canGive, fullYield, takingOf } from '../material/capacity.js';
import type { Taking } from '../material/capacity.js';
import { MATERIAL } from '../material/judged.js';
import { walk } from '../plan/walk.js';
import { Field } from './candidates.js';
import { MOST_DAYS } from './plan.js';
import { sourceOf } from './sample.js';
import type { Sample } from './sample.js';
import { Tail } from './tail.js';
import { kindsFor, wayFor } from './types.js';
import type { JointRequest, JointWant, Source } from './types.js';

/** One time that pieces are taken, from the parent and from what was kept before. */
export interface Rung {
	on: DayNumber;
	/** Pieces that are usually taken. */
	pieces: number;
	/** Plants that usually come of them: kept as stock, or at the last what is wanted. */
	plants: number;
}

export interface Ladder {
	/** The plants that the first pieces are taken from. */
	sourceIds: readonly string[];
	kindId: string;
	wayId: string;
	/** At least two, or one where stock is being grown already. */
	rungs: readonly Rung[];
	/** Day by which the want is met as surely as asked. */
	due: DayNumber;
	odds: number;
	/** Of the last step no more is struck, however much there is by then. */
	most: number;
	/** Before the last step so much of what all could give is taken. */
	share: number;
}

/** Plants of a kind that are being grown to be stock. */
export interface Coming {
	kindId: string;
	/** Day on which their pieces are struck. */
	born: DayNumber;
	/** Day by which they are counted, and the chance of each number then. */
	by: DayNumber;
	pmf: Float64Array;
}

/** More steps are more years than anybody plans. */
const MOST_RUNGS = 4;
/** Each season is grown so often: what comes of a few plants differs widely. */
const DRAWS = 16;
/** Of what the stock could give, so much is taken to be kept. */
const SHARES = [0.1, 0.2, 0.35, 0.6] as const;
/** Nobody strikes more at once. */
const MOST_PIECES = 2_000;
/** Days by which an end is looked for. */
const STEP = 28;
/** So many days later an end is looked for that takes fewer pieces, and what counts as the fewest. */
const WAIT = 168;
const NEARLY_LEAST = 1.15;

/**
 * The way to the want that is done soonest, with the fewest pieces of those; null where none is within three years.
 * @param coming plants that are being grown for it: the steps go on from them
 */
export function ladderFor(r: JointRequest, want: JointWant, sample: Sample, coming: readonly Coming[] = []): Ladder | null {
	const last = r.today + MOST_DAYS;
	const field = new Field({ ...r, wants: [{ ...want, due: last, otherwise: [] }] }, sample);
	const tail = new Tail(want.target);
	let best: Ladder | null = null;
	const sum = (l: Ladder) => l.rungs.reduce((n, x) => n + x.pieces, 0);
	for (const kindId of kindsFor(want)) {
		const { kind } = r.kinds.get(kindId)!;
		const young = coming.filter((c) => c.kindId === kind.id);
		const begins = young.reduce((day, c) => Math.max(day, c.by + 1), r.today);
		for (const { way, sources } of parentsOf(r, kind)) {
			const days = climbs(r, field, kind.id, way, begins, last);
			for (let rungs = young.length ? 1 : 2; rungs <= Math.min(MOST_RUNGS, days.length); rungs++) {
				const asked = { r, field, sources, way, want, tail, days: days.slice(0, rungs), last, young };
				const all = climb(asked, 1);
				if (!all) continue;
				// No more is kept than it takes: the least share of what could be that is done as soon.
				const found =
					SHARES.reduce<Ladder | null>((less, share) => {
						if (less) return less;
						const some = climb(asked, share);
						return some && some.due <= all.due ? some : null;
					}, null) ?? all;
				if (!best || found.due < best.due || (found.due === best.due && sum(found) < sum(best))) best = found;
				break;
			}
		}
	}
	return best;
}

/** By each way, the plants that are taken from together: those whose pieces share their way's chances. */
function parentsOf(r: JointRequest, kind: Kind): { way: WayProfile; sources: readonly [Source, ...Source[]] }[] {
	const ways = kind.ways.filter((way) => !r.rules?.notWays?.includes(`${kind.id} ${way.id}`));
	return ways.flatMap((way) => {
		const alike = new Map<string, [Source, ...Source[]]>();
		for (const source of r.sources) {
			if (source.kindId !== kind.id) continue;
			const name = source.shares[way.id] ?? '';
			const others = alike.get(name);
			if (others) others.push(source);
			else alike.set(name, [source]);
		}
		return [...alike.values()].map((sources) => ({ way, sources }));
	});
}

/** Days on which pieces are taken: each time that the way is open and what was taken before stands in the ground. */
function climbs(r: JointRequest, field: Field, kindId: string, way: WayProfile, begins: DayNumber, last: DayNumber): DayNumber[] {
	const { kind, season } = r.kinds.get(kindId)!;
	const days: DayNumber[] = [];
	let from = begins;
	for (const o of field.openings(kindId, way, last)) {
		const earliest = Math.max(from, o.opens);
		// In the best of its window, where that is still to come; else on the first day that somebody is there.
		let on = Math.max(earliest, Math.min(o.bestFrom, o.closes));
		while (on <= o.closes && !field.mayStrike(on)) on++;
		if (on > o.closes || days.length === MOST_RUNGS) continue;
		const usual = walk({ kind, way, start: on, season });
		if (!usual) continue;
		days.push(on);
		from = usual.planted + 1;
	}
	return days;
}

interface Climb {
	r: JointRequest;
	field: Field;
	sources: readonly [Source, ...Source[]];
	way: WayProfile;
	want: JointWant;
	tail: Tail;
	days: readonly DayNumber[];
	last: DayNumber;
	young: readonly Coming[];
}

/**
 * Pieces that one plant kept from a step gives on a later day, when nothing was taken of it lately. A cutting begins at
 * nothing; a part of a clump as so much of it. Both grow as stock does whose size was told once.
 */
export function youngGives(source: Source, { gives }: WayProfile, born: DayNumber, on: DayNumber): number {
	const years = (on - born) / 365.25;
	const grown = source.stock.matureCm ?? gives.at_cm;
	const part = gives.measure === 'diameter' && gives.power > 0 ? gives.at_cm * gives.n ** (-1 / gives.power) : 0;
	const sizeCm = gives.measure === 'pot' ? null : Math.min(grown, part + grown * MATERIAL.growth.value * years);
	// A hundred of them, so that parts of a piece are not lost.
	return fullYield({ count: 100, sizeCm, ageYears: years, condition: 'strong' }, gives) / 100;
}

function climb({ r, field, sources, way, want, tail, days, last, young }: Climb, share: number): Ladder | null {
	const { gives } = way;
	const [source] = sources;
	const name = (k: number) => `${want.id} ${source.id} ${way.id} ladder ${days[k]!}`;
	const end = days.length - 1;
	// Each parent is asked for all it gives, or that share of it, each time but the last.
	const parents = days.map(() => 0);
	for (const { stock, takings: before } of sources) {
		const takings: Taking[] = [...before];
		days.forEach((on, k) => {
			const all = Math.min(MOST_PIECES, canGive(stock, gives, takings, on));
			const n = k === end ? all : Math.ceil(all * share);
			takings.push(takingOf(stock, gives, n, on));
			parents[k]! += n;
		});
	}
	const chances = days.slice(0, end).map((on, k) => field.chances(name(k), source, way, on, days[k + 1]! - 1));
	const random = sourceOf(r.seed, `${want.id} ${source.id} ${way.id} ladder`);
	const size = field.sample.size;
	const taken: number[][] = days.map(() => []);
	const kept: number[][] = chances.map(() => []);
	for (let s = 0; s < size; s++)
		for (let draw = 0; draw < DRAWS; draw++) {
			const stock: { count: number; born: DayNumber; asked: DayNumber | null; took: number }[] = young.map((c) => ({
				...{ count: countAt(c.pmf, random()), born: c.born, asked: null, took: 0 }
			}));
			days.forEach((on, k) => {
				let pieces = parents[k]!;
				for (const own of stock) {
					const back = gives.uses_up || own.asked === null ? 0 : Math.min(1, (on - own.asked) / gives.recover_days);
					const grown = 1 - own.took * (1 - back);
					pieces += own.count * youngGives(source, way, own.born, on) * grown * (k === end ? 1 : share);
					own.asked = on;
					own.took = 1 - grown * (1 - share);
				}
				const n = Math.min(MOST_PIECES, Math.floor(pieces + 1e-9));
				taken[k]!.push(n);
				if (k === end) return;
				const q = Math.min(1, Math.max(0, chances[k]![s]!));
				const count = n === 0 || q === 0 ? 0 : randomBinomial.source(random)(n, q)();
				kept[k]!.push(count);
				stock.push({ count, born: on, asked: null, took: 0 });
			});
		}
	const { kind, season } = r.kinds.get(source.kindId)!;
	// The last step is for the want; all before it for the stock.
	const wanted = wayFor(want, source.kindId, way);
	const usual = walk({ kind, way: wanted, start: days[end]!, season });
	if (!usual) return null;
	const oddsBy = (due: DayNumber) => {
		const q = field.chances(name(end), source, wanted, days[end]!, due);
		return (most: number): number =>
			taken[end]!.reduce((sum, n, i) => sum + tail.of(Math.min(n, most), q[Math.floor(i / DRAWS)]!), 0) / taken[end]!.length;
	};
	const dues = [want.due];
	for (let due = usual.planted; due <= last && due <= usual.planted + 400; due += STEP) if (due > want.due) dues.push(due);
	const ends: { due: DayNumber; odds: number; most: number }[] = [];
	for (const due of dues) {
		if (due <= days[end]! || (ends[0] && due > ends[0].due + WAIT)) continue;
		const odds = oddsBy(due);
		if (odds(MOST_PIECES) < want.confidence) continue;
		// No more of the last than it takes.
		let [low, high] = [0, MOST_PIECES];
		while (high - low > 1) {
			const middle = (low + high) >> 1;
			if (odds(middle) >= want.confidence) high = middle;
			else low = middle;
		}
		ends.push({ due, odds: odds(high), most: high });
	}
	// Some weeks more are worth waiting for, where they take far fewer pieces than a rush does.
	const least = ends.reduce((n, e) => Math.min(n, e.most), Infinity);
	const ended = ends.find((e) => e.most <= least * NEARLY_LEAST);
	if (!ended) return null;
	const rungs = days.map((on, k): Rung => {
		const pieces = middleOf(taken[k]!);
		if (k < end) return { on, pieces, plants: middleOf(kept[k]!) };
		return { on, pieces: Math.min(ended.most, pieces), plants: want.target };
	});
	return { ...ended, share, sourceIds: sources.map((s) => s.id), kindId: source.kindId, wayId: way.id, rungs };
}

/** The count that a chance comes to. */
function countAt(pmf: Float64Array, u: number): number {
	let k = 0;
	for (let sum = pmf[0]!; sum <= u && k < pmf.length - 1; sum += pmf[k]!) k++;
	return k;
}

const middleOf = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1]!;
