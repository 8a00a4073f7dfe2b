/** Every batch that could be made for a want: by which way, from which stock plant, in which week. */
import type { DayNumber } from '../dates.js';
import type { StageName, WayProfile } from '../handbook/schema.js';
import { canGive, fullYield } from '../material/capacity.js';
import type { Belief } from '../odds/belief.js';
import { meanChance } from '../odds/belief.js';
import { beliefsOf } from '../plan/beliefs.js';
import { effortOf } from '../plan/effort.js';
import type { Effort } from '../plan/effort.js';
import { PLAN } from '../plan/judged.js';
import { walk } from '../plan/walk.js';
import type { Walk } from '../plan/walk.js';
import type { Opening } from '../season/suitability.js';
import { chancesIn, meanOf } from './chances.js';
import type { ChancesOf } from './chances.js';
import type { Rows, Asks } from './needs.js';
import type { Sample } from './sample.js';
import { timetableOf } from '../plan/timetable.js';
import type { Timetable } from '../plan/timetable.js';
import { kindsFor, wayFor } from './types.js';
import type { JointRequest, JointWant, Source } from './types.js';

/** Dates looked at for one way from one stock plant: weekly where they are few, further apart where a window is long. */
const MOST_DATES = 30;
const WEEK = 7;
/** A batch of which fewer come in time is no way to a want. */
const LEAST_CHANCE = 0.01;
/** Where fewer of those that come at all come in time, a person asks for a later day and strikes nothing (common practice, no source). */
const LEAST_IN_TIME = 0.1;
/** Of so many pieces some come to each stage that any come to. */
const MANY = 1_000;
const RELUCTANCE = PLAN.reluctance.value;

export interface Candidate {
	/** Names it for its own luck and for ties: the same plan from the same question. */
	name: string;
	want: JointWant;
	source: Source;
	way: WayProfile;
	on: DayNumber;
	odds: ReadonlyMap<StageName, Belief>;
	/** Chance of a piece in each season. */
	q: Float32Array;
	/** Its mean. */
	mean: number;
	/** By its stages' means alone: what it comes to however late. */
	ever: number;
	usual: Walk;
	/** Pieces that the plant can give on that day beside what is taken of it already. */
	most: number;
	/** Pieces that it gives when nothing was taken lately. */
	full: number;
	inBest: boolean;
	reluctance: number;
	/** Money of one piece more, roughly: what orders candidates. */
	perPiece: number;
}

/** The last day on which a want would do. */
export const lastDue = (w: JointWant): DayNumber => (w.otherwise ?? []).reduce((day, o) => Math.max(day, o.due), w.due);

/** The garden as its candidates are worked out. */
export class Field {
	private readonly tables = new Map<string, readonly Timetable[]>();
	private readonly odds = new Map<string, ReadonlyMap<StageName, Belief>>();
	private readonly known = new Map<string, Candidate | null>();
	private readonly last: DayNumber;

	constructor(
		readonly r: JointRequest,
		readonly sample: Sample
	) {
		this.last = r.wants.reduce((day, w) => Math.max(day, lastDue(w)), r.today) + 400;
	}

	private yearsOf(kindId: string): readonly Timetable[] {
		let tables = this.tables.get(kindId);
		if (!tables) {
			const { years } = this.r.kinds.get(kindId)!;
			const base = this.r.today - WEEK;
			tables = years.map((y) => timetableOf(y, base, this.last - base));
			this.tables.set(kindId, tables);
		}
		return tables;
	}

	oddsOf(source: Source, way: WayProfile): ReadonlyMap<StageName, Belief> {
		// To the ground it has a stage more than to its pots.
		const key = `${source.id} ${way.id} ${way.stages.length}`;
		let odds = this.odds.get(key);
		if (!odds) this.odds.set(key, (odds = beliefsOf(way, source.record[way.id] ?? {}, this.r.rho)));
		return odds;
	}

	/** When a way is open for a kind, from today to a day. */
	openings(kindId: string, way: WayProfile, to: DayNumber): readonly Opening[] {
		return this.r.kinds.get(kindId)!.season.openings(way.window, this.r.today, to);
	}

	/** The opening that a day lies in; out of season the day itself, no part of which is the best. */
	windowOn(kindId: string, way: WayProfile, on: DayNumber): Opening {
		const { season } = this.r.kinds.get(kindId)!;
		const open = season.openings(way.window, on, on).find((o) => o.opens <= on && on <= o.closes);
		return open ?? { opens: on, closes: on, bestFrom: on + 1, bestTo: on };
	}

	/**
	 * One batch, worked out once; null where the plant gives nothing then, or none of it can be in time.
	 * @param anyhow as well where none can be in time: somebody insists on it
	 */
	candidate(want: JointWant, source: Source, way: WayProfile, on: DayNumber, window: Opening, anyhow = false): Candidate | null {
		const name = `${want.id} ${source.id} ${way.id} ${on}`;
		const key = `${name} ${want.due} ${anyhow}`;
		const before = this.known.get(key);
		if (before !== undefined) return before;
		const made = this.made(name, want, source, way, on, window, anyhow ? 0 : LEAST_CHANCE);
		this.known.set(key, made);
		return made;
	}

	private made(
		name: string,
		want: JointWant,
		source: Source,
		way: WayProfile,
		on: DayNumber,
		window: Opening,
		least: number
	): Candidate | null {
		const { kind, season } = this.r.kinds.get(source.kindId)!;
		const usual = walk({ kind, way, start: on, season, wanted: want.due });
		const most = canGive(source.stock, way.gives, source.takings, on);
		if (!usual || most < 1) return null;
		const odds = this.oddsOf(source, way);
		const q = chancesIn(this.sample, this.chanceAsked(name, source, way, on, want.due), least);
		const mean = q ? meanOf(q) : 0;
		if (!q || mean < least) return null;
		const ever = way.stages.reduce((p, s) => (s.to === 'wintered' ? p : p * meanChance(odds.get(s.to)!)), 1);
		if (least > 0 && mean < LEAST_IN_TIME * ever) return null;
		const inBest = on >= window.bestFrom && on <= window.bestTo;
		const away = Math.max(0, window.bestFrom - on, on - window.bestTo);
		const opened = Math.max(window.opens, this.r.today);
		const reluctance = (inBest ? 1 : RELUCTANCE.outside) + away * RELUCTANCE.perDayAway + (on - opened) * RELUCTANCE.perDayLater;
		const c = { name, want, source, way, on, odds, q, mean, ever, usual, most, inBest, reluctance };
		const full = fullYield(source.stock, way.gives, on);
		const ten = effortOf({ walk: usual, odds, struck: 10, way, book: this.r.book });
		return { ...c, full, perPiece: this.moneyOf(ten, reluctance) / 10 };
	}

	/** A batch's work and money as one sum: what the plan makes small. */
	moneyOf(effort: Pick<Effort, 'minutes' | 'cost'>, reluctance: number): number {
		const { hourWorth, money } = this.r.weights;
		return ((effort.minutes / 60) * hourWorth + effort.cost * money) * reluctance;
	}

	/** Of each season the chance that a piece struck on a day is in the ground by another. */
	chances = (name: string, source: Source, way: WayProfile, on: DayNumber, due: DayNumber): Float32Array =>
		chancesIn(this.sample, this.chanceAsked(name, source, way, on, due))!;

	private chanceAsked(name: string, source: Source, way: WayProfile, on: DayNumber, due: DayNumber): ChancesOf {
		const shares = source.shares[way.id] ?? `${source.kindId} ${way.id}`;
		return { name, shares, way, odds: this.oddsOf(source, way), on, due, years: this.yearsOf(source.kindId) };
	}

	effortOf = (c: Candidate, pieces: number): Effort =>
		effortOf({ walk: c.usual, odds: c.odds, struck: pieces, way: c.way, book: this.r.book });

	/** All batches of a want worth a look, by date. */
	*candidatesOf(want: JointWant): Iterable<Candidate> {
		const kinds = kindsFor(want);
		for (const source of this.r.sources) {
			if (!kinds.includes(source.kindId)) continue;
			const { kind } = this.r.kinds.get(source.kindId)!;
			for (const whole of kind.ways) {
				const way = wayFor(want, kind.id, whole);
				if (this.r.rules?.notWays?.includes(`${kind.id} ${way.id}`)) continue;
				for (const { on, window } of this.datesOf(want, kind.id, way)) {
					const c = this.candidate(want, source, way, on, window);
					if (c) yield c;
				}
			}
		}
	}

	private *datesOf(want: JointWant, kindId: string, way: WayProfile): Iterable<{ on: DayNumber; window: Opening }> {
		const open = this.openings(kindId, way, want.due);
		const spans = open.map((o) => ({ from: Math.max(o.opens, this.r.today), to: Math.min(o.closes, want.due), window: o }));
		const days = spans.reduce((n, s) => n + Math.max(0, s.to - s.from), 0);
		const step = WEEK * Math.max(1, Math.ceil(days / WEEK / MOST_DATES));
		for (const { from, to, window } of spans) {
			let last = -Infinity;
			for (let on = from; on <= to; on += step) {
				if (this.mayStrike(on)) yield { on: (last = on), window };
			}
			// The last day of a window is the last chance; the first day of its best is where most would begin.
			if (to - last >= WEEK && this.mayStrike(to)) yield { on: to, window };
			const best = Math.max(window.bestFrom, this.r.today);
			if (best > from && best <= to && (best - from) % step !== 0 && this.mayStrike(best)) yield { on: best, window };
		}
	}

	/** Nobody strikes while away, or in weeks that were ruled out. */
	mayStrike(on: DayNumber): boolean {
		const out = [...this.r.away, ...(this.r.rules?.notIn ?? [])];
		return on >= this.r.today && !out.some((a) => a.from <= on && on <= a.to);
	}

	/** What so many pieces of a candidate ask of the garden. */
	asksOf(rows: Rows, c: Candidate, pieces: number, effort = this.effortOf(c, pieces)): Asks {
		const { recover_days: recoverDays, uses_up: usesUp } = c.way.gives;
		const shape = rows.shapeOf(c, () => this.stagesOf(rows, c, MANY), { source: c.source, on: c.on, recoverDays, usesUp });
		return rows.asksOf(shape, effort.stages, pieces / Math.max(1, c.full), effort.cost);
	}

	stagesOf(rows: Rows, c: Candidate, pieces: number, effort = this.effortOf(c, pieces)) {
		return {
			kind: this.r.kinds.get(c.source.kindId)!.kind,
			needs: effort.stages,
			struck: true,
			grows: (to: StageName) => c.way.stages.find((s) => s.to === to)?.grows ?? ('season' as const),
			rests: rows.restsOf(c.source.kindId)
		};
	}
}
