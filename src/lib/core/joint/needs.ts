/** What batches ask of a garden, week by week: minutes, room, and the stock they are taken from. Rows of the programme. */
import type { DayNumber } from '../dates.js';
import type { StageNeed } from '../plan/effort.js';
import type { Span } from '../season/growth.js';
import { JOINT } from './judged.js';
import { isIn, roomIn, roomsFor, unionsOf } from './rooms.js';
import type { RoomSet } from './rooms.js';
import type { JointRequest, JointWant, Source, Wintering } from './types.js';

/** So much of each row: pairs of row and amount. */
export interface Asks {
	rows: Int32Array;
	amounts: Float64Array;
}

/** A stage as it stands in one week. */
interface Stood {
	week: number;
	need: StageNeed;
	set: RoomSet;
}

/** What of a stage falls on a row, and the share of it that does. */
interface Term {
	row: number;
	need: StageNeed;
	of: 'handling' | 'minutesPerWeek' | 'areaCm2';
	share: number;
}

/** What a batch asks for, whatever its number: where in its rows what of its stages falls. */
export interface Shape {
	rows: Int32Array;
	terms: readonly { at: number; stage: number; of: Term['of']; share: number }[];
	/** Shares of the stock plant that are still missing, for each share that is taken. */
	stock: readonly { at: number; missing: number }[];
	money: number;
}

export interface StandingStages {
	kind: Wintering;
	needs: readonly StageNeed[];
	/** Winters of the same pieces; those among the needs if left out. */
	winters?: readonly StageNeed[] | undefined;
	/** Is the first of them a strike still to be made? */
	struck: boolean;
	/** By stage: does it go on in winter? */
	grows: (to: StageNeed['to']) => 'always' | 'season';
	rests: readonly Span[];
}

const WEEK = 7;
const SPREAD_WEEKS = JOINT.spread.value;

export class Rows {
	readonly weeks: number;
	/** Sets of places that are watched. */
	readonly sets: readonly RoomSet[];
	/** What there is, less what grows already: by row. */
	readonly limits: Float64Array;
	/** What grows already asks for, and what was pinned. */
	readonly busy: Float64Array;
	readonly held: Float64Array;
	/** What all that is new may cost. */
	private readonly moneyRow: number;
	private readonly stockRow = new Map<string, number>();
	private readonly stockDays: DayNumber[][] = [];
	/** The free ground of each bed that something is wanted for, from each day on which it changes: all of it is 1. */
	private readonly beds = new Map<string, { first: number; from: readonly DayNumber[] }>();

	/**
	 * @param until last day that is looked at
	 * @param takenOn days on which pieces may be taken from each source: so many rows does a stock plant have
	 */
	constructor(
		private readonly r: JointRequest,
		until: DayNumber,
		takenOn: ReadonlyMap<string, readonly DayNumber[]>
	) {
		this.weeks = Math.max(1, Math.ceil((until - r.today) / WEEK) + 1);
		this.sets = unionsOf(this.setsThatOccur());
		const weekly = this.weeks * (1 + this.sets.length);
		let rows = weekly;
		for (const source of r.sources) {
			// What is promised for a later day must still be there on it.
			const promised = source.takings.flatMap((t) => (t.on >= r.today ? [t.on] : []));
			const days = [...new Set([...(takenOn.get(source.id) ?? []), ...promised])].sort((a, b) => a - b);
			this.stockRow.set(source.id, rows);
			this.stockDays.push(days);
			rows += days.length;
		}
		this.moneyRow = rows++;
		for (const { ground } of r.wants) {
			if (!ground || this.beds.has(ground.bedId)) continue;
			this.beds.set(ground.bedId, { first: rows, from: ground.from });
			rows += ground.from.length;
		}
		this.limits = new Float64Array(rows);
		this.limits[this.moneyRow] = r.rules?.spend ?? Infinity;
		for (const { first, from } of this.beds.values()) this.limits.fill(1, first, first + from.length);
		this.busy = new Float64Array(rows);
		this.held = new Float64Array(rows);
		for (let w = 0; w < this.weeks; w++) {
			// In weeks away a neighbour waters; only nothing is struck in them (candidates.ts).
			this.limits[w] = r.minutesPerWeek;
			this.sets.forEach((set, i) => (this.limits[this.roomRow(i, w)] = roomIn(set, r.rooms)));
		}
		r.sources.forEach((source, i) => this.fillStock(source, this.stockDays[i]!));
		for (const b of r.busy) {
			const { kind } = r.kinds.get(b.kindId)!;
			const at = b.roomId === null ? -1 : r.rooms.findIndex((x) => x.id === b.roomId && x.cm2 !== null);
			const stages: StandingStages = {
				kind,
				needs: [b.need],
				winters: b.winters,
				struck: b.struck,
				grows: () => b.grows,
				rests: this.restsOf(b.kindId)
			};
			for (const t of this.termsOf(stages, at >= 0 ? 1 << at : null)) this.busy[t.row]! += t.need[t.of] * t.share;
		}
		for (let row = 0; row < weekly; row++) this.limits[row] = Math.max(0, this.limits[row]! - this.busy[row]!);
	}

	/** Every set of places that a stage of the kinds at hand can be told to stand in. */
	private setsThatOccur(): RoomSet[] {
		const { rooms, kinds, lives } = this.r;
		const sets: RoomSet[] = [];
		for (const { kind } of kinds.values())
			for (const rests of [false, true])
				for (const grows of ['always', 'season'] as const)
					for (const open of [false, true])
						for (const to of ['rooted', 'potted'] as const)
							sets.push(roomsFor({ kind, need: { to, open }, grows, rests }, rooms, lives));
		for (const b of this.r.busy) {
			const at = rooms.findIndex((x) => x.id === b.roomId && x.cm2 !== null);
			if (at >= 0) sets.push(1 << at);
		}
		return [...new Set(sets)];
	}

	roomRow = (set: number, w: number): number => this.weeks * (1 + set) + w;
	weekOf = (day: DayNumber): number => Math.max(0, Math.floor((day - this.r.today) / WEEK));
	dayOf = (week: number): DayNumber => this.r.today + week * WEEK;

	/** Takes room, minutes and stock for what is to be, whatever else is; what there is too little of is all gone then. */
	hold({ rows, amounts }: Asks): void {
		rows.forEach((row, i) => {
			this.held[row]! += amounts[i]!;
			this.limits[row] = Math.max(0, this.limits[row]! - amounts[i]!);
		});
	}

	private readonly rests = new Map<string, readonly Span[]>();
	restsOf(kindId: string): readonly Span[] {
		let rests = this.rests.get(kindId);
		if (!rests) {
			rests = this.r.kinds.get(kindId)!.season.standstills(this.r.today, this.dayOf(this.weeks));
			this.rests.set(kindId, rests);
		}
		return rests;
	}

	/** Shares of a plant that are free on each day on which something may be taken. */
	private fillStock(source: Source, days: readonly DayNumber[]): void {
		const first = this.stockRow.get(source.id)!;
		days.forEach((day, i) => {
			const missing = source.takings.reduce((sum, t) => sum + (t.on <= day ? t.share * stillMissing(t, day) : 0), 0);
			this.limits[first + i] = Math.max(0, 1 - missing);
		});
	}

	private readonly watchedBy = new Map<RoomSet, number[]>();
	/** Sets that are watched and hold all places of this one. */
	private watching(set: RoomSet): readonly number[] {
		let watching = this.watchedBy.get(set);
		if (!watching) {
			watching = set ? this.sets.flatMap((watched, i) => (isIn(set, watched) ? [i] : [])) : [];
			this.watchedBy.set(set, watching);
		}
		return watching;
	}

	/** @param keptIn the place that holds them, wherever else they could stand */
	private *termsOf(stages: StandingStages, keptIn: RoomSet | null = null): Iterable<Term> {
		const { needs, struck } = stages;
		const winters = wintersOf(stages);
		for (const need of needs) {
			const from = this.weekOf(need.from);
			if (need.handling > 0 && need.from >= this.r.today) {
				// Striking is done on its day; potting and planting are got round to within some weeks.
				const weeks = struck && need === needs[0] ? 1 : SPREAD_WEEKS;
				for (let row = from; row < Math.min(from + weeks, this.weeks); row++)
					yield { row, need, of: 'handling', share: 1 / weeks };
			}
			if (need.minutesPerWeek === 0) continue;
			for (let row = from; row < this.weeks && this.dayOf(row) < need.until; row++)
				if (!inWinter(winters, need, this.dayOf(row) + 3)) yield { row, need, of: 'minutesPerWeek', share: 1 };
		}
		for (const { week, need, set } of this.stood(stages))
			for (const i of this.watching(keptIn ?? set)) yield { row: this.roomRow(i, week), need, of: 'areaCm2', share: 1 };
	}

	/** The places of a stage, worked out once for a kind: asked for each week of each pattern. */
	private readonly setsOf = new Map<Wintering, Map<number, RoomSet>>();
	private setFor(kind: Wintering, need: StageNeed, grows: 'always' | 'season', rests: boolean): RoomSet {
		let of = this.setsOf.get(kind);
		if (!of) this.setsOf.set(kind, (of = new Map()));
		const key = (need.to === 'rooted' ? 1 : 0) + (need.open ? 2 : 0) + (grows === 'always' ? 4 : 0) + (rests ? 8 : 0);
		let set = of.get(key);
		if (set === undefined) of.set(key, (set = roomsFor({ kind, need, grows, rests }, this.r.rooms, this.r.lives)));
		return set;
	}

	/** Where each week's pieces stand: in winter as winter has them. */
	private *stood(stages: Omit<StandingStages, 'struck'>): Iterable<Stood> {
		const { kind, needs, grows, rests } = stages;
		const winters = wintersOf(stages);
		for (const n of needs) {
			if (n.areaCm2 <= 0) continue;
			for (let week = this.weekOf(n.from); week < this.weeks && this.dayOf(week) < n.until; week++) {
				const day = this.dayOf(week) + 3;
				if (inWinter(winters, n, day)) continue;
				const resting = n.to === 'wintered' || rests.some((x) => x.from <= day && day < x.to);
				yield { week, need: n, set: this.setFor(kind, n, grows(n.to), resting) };
			}
		}
	}

	/** The places where a stage can stand in its middle week; 0 where room does not limit it. */
	setOf(stages: StandingStages, need: StageNeed): RoomSet {
		let set = 0;
		for (const s of this.stood({ ...stages, needs: [need] })) {
			set = s.set;
			if (this.dayOf(s.week) >= (need.from + need.until) / 2 - WEEK) break;
		}
		return set;
	}

	/** Rows of minutes and room that more of this would overfill, each with by how much. */
	overBy(stages: StandingStages): { row: number; over: number }[] {
		return [...this.weekly(stages)].flatMap(([row, asks]) => {
			const over = asks - this.limits[row]!;
			return over > 1e-6 * Math.max(1, this.limits[row]!) ? [{ row, over }] : [];
		});
	}

	/** Minutes and room that stages ask for, by row. */
	private weekly(stages: StandingStages): Map<number, number> {
		const sum = new Map<number, number>();
		for (const { row, need, of, share } of this.termsOf(stages)) sum.set(row, (sum.get(row) ?? 0) + need[of] * share);
		return sum;
	}

	private readonly shapes = new Map<object, Shape>();
	/**
	 * Where a batch asks for something, worked out once: its stages', its stock plant's from its day on, and its money's rows.
	 * @param stages of so many pieces that what is ever asked for is asked for
	 */
	shapeOf(
		batch: object,
		stages: () => StandingStages,
		taking: { source: Source; on: DayNumber; recoverDays: number; usesUp: boolean }
	): Shape {
		const known = this.shapes.get(batch);
		if (known) return known;
		const told = stages();
		const terms = [...this.termsOf(told)];
		const first = this.stockRow.get(taking.source.id)!;
		const stock = this.stockDays[this.r.sources.indexOf(taking.source)]!.flatMap((day, i) => {
			const missing = day < taking.on ? 0 : stillMissing(taking, day);
			return missing > 0 ? [{ row: first + i, missing }] : [];
		});
		const rows = Int32Array.from(new Set([...terms.map((t) => t.row), ...stock.map((t) => t.row), this.moneyRow])).sort();
		const at = new Map(Array.from(rows, (row, i) => [row, i]));
		const shape: Shape = {
			rows,
			terms: terms.map(({ row, need, of, share }) => ({ at: at.get(row)!, stage: told.needs.indexOf(need), of, share })),
			stock: stock.map(({ row, missing }) => ({ at: at.get(row)!, missing })),
			money: at.get(this.moneyRow)!
		};
		this.shapes.set(batch, shape);
		return shape;
	}

	/**
	 * All that a batch of some number asks for.
	 * @param taken share of the stock plant
	 */
	asksOf({ rows, terms, stock, money }: Shape, needs: readonly StageNeed[], taken: number, cost: number): Asks {
		const amounts = new Float64Array(rows.length);
		for (const { at, stage, of, share } of terms) amounts[at]! += needs[stage]![of] * share;
		for (const { at, missing } of stock) amounts[at]! += taken * missing;
		amounts[money]! += cost;
		return { rows, amounts };
	}

	/** What so much money asks for. */
	moneyAsks = (cost: number): Asks =>
		cost > 0
			? { rows: Int32Array.of(this.moneyRow), amounts: Float64Array.of(cost) }
			: { rows: new Int32Array(0), amounts: new Float64Array(0) };

	/**
	 * The ground that so many plants ask for in the bed of their want, from its day on: of what is free at each time the
	 * share that they fill. What stands there of the want already, and what comes beyond its number, asks for none.
	 */
	groundAsks({ ground, target, due, bought = 0 }: JointWant, plants: number): Asks {
		const bed = ground && this.beds.get(ground.bedId);
		const more = ground ? Math.max(0, Math.min(target - ground.there, plants + bought)) : 0;
		const times = bed && more > 0 ? bed.from.flatMap((_, i) => ((bed.from[i + 1] ?? Infinity) > due ? [i] : [])) : [];
		return {
			rows: Int32Array.from(times, (i) => bed!.first + i),
			// Where nothing fits, not one plant does.
			amounts: Float64Array.from(times, (i) => more / Math.max(more / NEVER, ground!.fits[i]!))
		};
	}

	/** What a row is of, for people. */
	about(row: number): { of: 'minutes' | 'money' | RoomSet | Source | { bedId: string }; day: DayNumber } {
		if (row === this.moneyRow) return { of: 'money', day: this.r.today };
		for (const [bedId, { first, from }] of this.beds)
			if (row >= first && row < first + from.length) return { of: { bedId }, day: from[row - first]! };
		if (row < this.weeks) return { of: 'minutes', day: this.dayOf(row) };
		const set = Math.floor(row / this.weeks) - 1;
		if (set < this.sets.length) return { of: this.sets[set]!, day: this.dayOf(row % this.weeks) };
		const at = this.r.sources.findIndex((s, i) => {
			const first = this.stockRow.get(s.id)!;
			return row >= first && row < first + this.stockDays[i]!.length;
		});
		const source = this.r.sources[at]!;
		return { of: source, day: this.stockDays[at]![row - this.stockRow.get(source.id)!]! };
	}
}

const wintersOf = ({ needs, winters }: Pick<StandingStages, 'needs' | 'winters'>): readonly StageNeed[] =>
	winters ?? needs.filter((n) => n.to === 'wintered');

/** A winter that falls into a stage is cared for, and stands, as winter. */
const inWinter = (winters: readonly StageNeed[], n: StageNeed, day: DayNumber): boolean =>
	n.to !== 'wintered' && winters.some((x) => x.from <= day && day < x.until);

/** More than all there is, by far. */
const NEVER = 1_000;

/** Share of a taking that is still missing on a day. */
export const stillMissing = (t: { on: DayNumber; recoverDays: number; usesUp: boolean }, day: DayNumber): number =>
	t.usesUp ? 1 : Math.max(0, 1 - (day - t.on) / t.recoverDays);
