/**
 * Seasons grown piece by piece: which year comes and how a way fares are shared by all, each batch has its own chance and
 * its own pace, each piece its luck. What the plan's odds sum is here counted, and more: what hangs on counts made on the
 * way (a second strike when a look shows too few), and what a week asks for. Repeatable by its seed.
 */
import { randomLcg, randomNormal } from 'd3-random';
import type { DayNumber } from '../dates.js';
import { BATCH_SHARE, daysAt, durationOf, STAGE_CORRELATION } from '../odds/durations.js';
import type { Duration } from '../odds/durations.js';
import { chanceTable, ownTable } from '../joint/sample.js';
import { TIMED } from '../plan/lucks.js';
import type { Timetable } from '../plan/timetable.js';
import type { Fan, SimBatch, SimRequest, SimResult, SimStage } from './types.js';

const FAILS = ['rooted', 'potted', 'ready', 'wintered', 'planted', 'late'] as const;
const [WINTERED, PLANTED, LATE] = [3, 4, 5];
const ALL = Math.sqrt(STAGE_CORRELATION);
const EACH = Math.sqrt(1 - STAGE_CORRELATION);
const SHARED = Math.sqrt(BATCH_SHARE);
const OWN = Math.sqrt(1 - BATCH_SHARE);
/** Every so many seasons whoever waits is told, and may stop it. */
const TOLD_EVERY = 100;
/** Lucks of pieces are dealt from a table of normal numbers: the quick part of what is drawn most. */
const NORMALS = 8192;

/** What a stage's chance is dealt from, and which mean it shares; null: its own. */
interface Chance {
	table: Float64Array;
	shares: string | null;
}

interface Timed {
	stage: SimStage;
	chance: Chance;
	/** Days by luck: from −FAR to FAR by steps. */
	days: Int32Array;
	/** Place among TIMED, and among what pieces fail at. */
	pace: number;
	fails: number;
	rooting: boolean;
	/** Place among TIMED: what pieces on their way to it are counted under. */
	at: number;
}
interface Batch {
	of: SimBatch;
	timed: Timed[];
	planted: (Chance & { handling: number }) | null;
	winter: Chance | null;
	/** Mean chance to get from a count of rooted pieces to the ground, and from the cut to there. */
	afterRooting: number;
	whole: number;
}

/** One season as it goes: what is counted in it, and the means that its batches share. */
class Season {
	year = 0;
	private readonly means = new Map<string, number>();
	/** Changes by week: pieces on their way to each stage, minutes of handling, minutes of care. */
	readonly change: Int32Array[];
	readonly asks: Float64Array;
	readonly care: Float64Array;
	private readonly normals: Float64Array;
	private readonly own: ReturnType<typeof ownTable>;
	private readonly weekAt = new Map<DayNumber, Uint16Array>();
	private readonly lives = new Float64Array(TIMED.length);
	private readonly pace = new Float64Array(TIMED.length);

	constructor(
		private readonly r: SimRequest,
		private readonly random: () => number
	) {
		this.normals = Float64Array.from({ length: NORMALS }, randomNormal.source(random)());
		this.own = ownTable(r.rho);
		this.change = TIMED.map(() => new Int32Array(r.weeks + 1));
		this.asks = new Float64Array(r.weeks + 1);
		this.care = new Float64Array(r.weeks + 1);
	}

	begin(): void {
		this.year = this.random();
		this.means.clear();
		for (const c of this.change) c.fill(0);
		this.asks.fill(0);
		this.care.fill(0);
	}

	private normal = (): number => this.normals[Math.floor(this.random() * NORMALS)]!;

	/** The week of each day of a table, from the day that it begins on. */
	private weeksFrom({ base, days }: Timetable): Uint16Array {
		let weeks = this.weekAt.get(base);
		if (!weeks || weeks.length <= days) {
			weeks = Uint16Array.from({ length: days + 1 }, (_, d) =>
				Math.max(0, Math.min(this.r.weeks, Math.floor((base + d - this.r.today) / 7)))
			);
			this.weekAt.set(base, weeks);
		}
		return weeks;
	}

	/** A batch's chance at a stage: about its way's mean, which all that share it have in this season; or its own. */
	private chanceAt({ table, shares }: Chance): number {
		const q = this.random();
		if (shares === null) return table[Math.floor(q * TABLE)]!;
		let mu = this.means.get(shares);
		if (mu === undefined) this.means.set(shares, (mu = table[Math.floor(this.random() * TABLE)]!));
		return this.own.at(this.own.own, mu, q);
	}

	/**
	 * A batch's pieces from where they are to the ground. Adds those that are there by the due day to `into`; tells how
	 * many have rooted.
	 *
	 * @param lost where losses are counted by what they failed at; null where it is not one of the plan's own strikes
	 */
	grow(b: Batch, parts: SimBatch['parts'], into: Float64Array, lost: Float64Array | null): number {
		const { random, r, lives, pace, asks, care, change } = this;
		const { of, timed } = b;
		const table = of.years[Math.floor(this.year * of.years.length)]!;
		const { base, days: end, grown, dayOf, planted, winters } = table;
		const week = this.weeksFrom(table);
		timed.forEach((t, k) => (lives[k] = this.chanceAt(t.chance)));
		const winter = b.winter ? this.chanceAt(b.winter) : 1;
		const takes = b.planted ? this.chanceAt(b.planted) : 1;
		// Three equally correlated lucks of the batch with time.
		const g = this.normal();
		for (let k = 0; k < TIMED.length; k++) pace[k] = SHARED * (ALL * g + EACH * this.normal());
		const due = of.want >= 0 ? r.wants[of.want]!.due - base : Infinity;
		const now = r.today - base;
		const pots = b.planted === null;
		let rooted = 0;
		let there = 0;
		for (const part of parts) {
			const begin = part.reached === null ? 0 : timed.findIndex((t) => t.stage.to === part.reached) + 1;
			const since = Math.max(0, part.since - base);
			const alive = winters[Math.max(0, part.aliveOn - base)]!;
			for (let piece = 0; piece < part.count; piece++) {
				let day = since;
				let k = begin;
				for (; k < timed.length; k++) {
					const t = timed[k]!;
					const took = t.days[lucky(pace[t.pace]! + OWN * this.normals[(random() * NORMALS) | 0]!)]!;
					const from = day;
					day = t.stage.always ? Math.min(end, day + took) : dayOf[Math.min(end, grown[day]! + took)]!;
					// What should be done by today and is not is done today at the soonest.
					if (day < now) day = now;
					if (lost) {
						const a = week[from]!;
						const z = week[day]!;
						change[t.at]![a]!++;
						change[t.at]![z]!--;
						if (from >= now) asks[a]! += t.stage.handling;
						care[a]! += t.stage.care;
						care[z]! -= t.stage.care;
					}
					if (random() >= lives[k]!) break;
					if (t.rooting) rooted++;
				}
				if (k < timed.length) {
					if (lost) lost[timed[k]!.fails]!++;
					continue;
				}
				const on = day >= end ? -1 : pots ? day : planted[day]!;
				if (on < 0) {
					if (lost) lost[LATE]!++;
					continue;
				}
				const last = timed.at(-1);
				if (lost && last) {
					// What is ready waits in its pots for the day on which it is planted, or for which it is wanted.
					const a = week[day]!;
					const z = week[Math.min(end, pots ? Math.max(on, due) : on)]!;
					change[last.at]![a]!++;
					change[last.at]![z]!--;
					care[a]! += last.stage.care;
					care[z]! -= last.stage.care;
				}
				const crossed = winters[on]! - alive;
				if (b.winter && crossed > 0 && random() >= winter ** crossed) {
					if (lost) lost[WINTERED]!++;
					continue;
				}
				if (lost && b.planted) asks[week[on]!]! += b.planted.handling;
				if (random() >= takes) {
					if (lost) lost[PLANTED]!++;
				} else if (on > due) {
					if (lost) lost[LATE]!++;
				} else there++;
			}
		}
		if (of.want >= 0) into[of.want]! += there;
		return rooted;
	}
}

/** @param goOn told how many seasons are done; false stops it */
export function simulate(r: SimRequest, goOn: (done: number) => boolean = () => true): SimResult {
	const season = new Season(r, randomLcg(((r.seed * 0.618_033_988_749) % 1) + 1e-9));
	const dice = randomLcg(((r.seed * 0.414_213_562_373) % 1) + 1e-9);
	const batches = r.batches.map(prepared);
	const { weeks, seasons } = r;
	const counts = TIMED.map(() => new Uint16Array(weeks * seasons));
	const minutes = new Float32Array(weeks * seasons);
	const stand = r.wants.map(() => new Uint16Array(seasons));
	const met = new Int32Array(r.wants.length);
	const metAgain = new Int32Array(r.wants.length);
	const restruck = r.wants.map(() => ({ seasons: 0, pieces: 0 }));
	const lost = r.wants.map(() => new Float64Array(FAILS.length));
	const nowhere = new Float64Array(FAILS.length);
	const there = new Float64Array(r.wants.length);
	const again = new Float64Array(r.wants.length);
	const expected = new Float64Array(r.wants.length);
	const looked = batches
		.map((b, at) => ({ b, at }))
		.filter((x) => x.b.of.again !== null && x.b.of.want >= 0)
		.sort((x, y) => x.b.of.again!.lookOn - y.b.of.again!.lookOn);

	let done = 0;
	for (; done < seasons; done++) {
		if (done % TOLD_EVERY === 0 && !goOn(done)) break;
		season.begin();
		r.wants.forEach((w, i) => {
			there[i] = w.planted + (w.others ? dealt(w.others, dice()) : 0);
			expected[i] = there[i]!;
		});
		for (const b of batches) {
			const { want } = b.of;
			const rooted = season.grow(b, b.of.parts, there, want >= 0 ? lost[want]! : nowhere);
			if (want >= 0) expected[want]! += rooted * b.afterRooting;
		}
		r.wants.forEach((w, i) => {
			stand[i]![done] = Math.min(65_535, there[i]!);
			if (there[i]! >= w.target) met[i]!++;
			again[i] = there[i]!;
		});
		// As a person would: what a look shows to be short of is struck once more, while there is time and stock.
		for (const { b } of looked) {
			const w = b.of.want;
			const { most, until, lookOn } = b.of.again!;
			const missing = r.wants[w]!.target - expected[w]!;
			if (missing <= 0.5 || lookOn > until || most < 1) continue;
			const pieces = Math.min(most, Math.ceil((missing * HOPE) / Math.max(0.05, b.whole)));
			season.grow(b, [{ count: pieces, reached: null, since: lookOn, aliveOn: lookOn }], again, null);
			expected[w]! += pieces * b.whole;
			restruck[w]!.seasons++;
			restruck[w]!.pieces += pieces;
		}
		r.wants.forEach((w, i) => {
			if (again[i]! >= w.target) metAgain[i]!++;
		});
		TIMED.forEach((_, k) => {
			let n = 0;
			const change = season.change[k]!;
			const column = counts[k]!;
			for (let w = 0; w < weeks; w++) {
				n += change[w]!;
				column[w * seasons + done] = n;
			}
		});
		let caring = 0;
		for (let w = 0; w < weeks; w++) {
			caring += season.care[w]!;
			minutes[w * seasons + done] = season.asks[w]! + caring;
		}
	}
	const share = (n: number) => (done > 0 ? n / done : 0);
	const column = <T extends Uint16Array | Float32Array>(of: T, w: number): T => of.slice(w * seasons, w * seasons + done) as T;
	return {
		seasons: done,
		wants: r.wants.map((w, i) => {
			const all = stand[i]!.slice(0, done);
			const gone = lost[i]!.reduce((a, b) => a + b, 0);
			return {
				odds: share(met[i]!),
				again: share(metAgain[i]!),
				stand: fanOf(all),
				spare: fanOf(all.map((n) => Math.max(0, n - w.target))),
				lostAt: Object.fromEntries(FAILS.flatMap((at, k) => (lost[i]![k]! > 0 ? [[at, lost[i]![k]! / gone]] : []))),
				struckAgain: {
					share: share(restruck[i]!.seasons),
					pieces: restruck[i]!.seasons ? restruck[i]!.pieces / restruck[i]!.seasons : 0
				}
			};
		}),
		stages: TIMED.map((to, k) => ({
			to,
			weeks: Array.from({ length: weeks }, (_, w) => fanOf(column(counts[k]!, w)))
		})),
		minutes: Array.from({ length: weeks }, (_, w) => fanOf(column(minutes, w))),
		over: Array.from({ length: weeks }, (_, w) =>
			share(column(minutes, w).reduce((n, m) => n + (m > r.minutesPerWeek ? 1 : 0), 0))
		)
	};
}

/** Struck again for a little more than is missing. */
const HOPE = 1.25;
const TABLE = 1024;
const mean = (s: SimStage): number => s.beta.alpha / (s.beta.alpha + s.beta.beta);

const FAR = 6;
const STEPS = 64;
const daysOf = (d: Duration): Int32Array =>
	Int32Array.from({ length: 2 * FAR * STEPS + 1 }, (_, i) => Math.round(Math.min(4_000, daysAt(d, i / STEPS - FAR))));
const lucky = (z: number): number => Math.max(0, Math.min(2 * FAR * STEPS, Math.round((z + FAR) * STEPS)));

const chanceOf = (of: SimBatch, s: SimStage): Chance => ({
	table: chanceTable(s.beta),
	shares: of.shares === null ? null : `${of.shares} ${s.to}`
});

function prepared(of: SimBatch): Batch {
	const planted = of.stages.find((s) => s.to === 'planted');
	const winter = of.stages.find((s) => s.to === 'wintered');
	const timed = of.stages
		.filter((s) => TIMED.some((to) => to === s.to))
		.map((stage) => ({
			stage,
			chance: chanceOf(of, stage),
			days: daysOf(durationOf(stage.days)),
			pace: TIMED.findIndex((to) => to === stage.to),
			fails: FAILS.indexOf(stage.to),
			rooting: stage.to === 'rooted',
			at: TIMED.findIndex((to) => to === stage.to)
		}));
	const rest = of.stages.filter((s) => s.to !== 'rooted');
	return {
		...{ of, timed },
		planted: planted ? { ...chanceOf(of, planted), handling: planted.handling } : null,
		winter: winter ? chanceOf(of, winter) : null,
		afterRooting: rest.reduce((p, s) => p * mean(s), 1),
		whole: of.stages.reduce((p, s) => p * mean(s), 1)
	};
}

/** A count of a distribution, at a share of it. */
function dealt(pmf: Float64Array, u: number): number {
	let k = 0;
	let below = pmf[0]!;
	while (below < u && k < pmf.length - 1) below += pmf[++k]!;
	return k;
}

function fanOf(values: Uint16Array | Float32Array): Fan {
	if (values.length === 0) return { p05: 0, p50: 0, p95: 0 };
	const sorted = values.slice().sort();
	const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;
	return { p05: at(0.05), p50: at(0.5), p95: at(0.95) };
}
