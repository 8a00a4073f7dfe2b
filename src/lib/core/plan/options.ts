/** Every way and date by which a want can be met from a stock, the best of each way, and the last safe day. */
import type { DayNumber } from '../dates.js';
import type { Container, Kind, StageName, WayProfile } from '../handbook/schema.js';
import { stageOdds } from '../evidence/evidence.js';
import type { Tallies } from '../evidence/evidence.js';
import type { StockPlant, Taking } from '../material/capacity.js';
import { fullYield } from '../material/capacity.js';
import type { Beta } from '../odds/beta.js';
import { expected, outcome, reachWith } from '../odds/chain.js';
import { atLeast, meanCount, MOST_STRUCK, quantilesOf, smallestReaching } from '../odds/strike.js';
import { sumOf } from '../odds/sum.js';
import type { Quantiles } from '../odds/strike.js';
import type { Climate } from '../season/climate.js';
import { openings } from '../season/windows.js';
import { effortOf } from './effort.js';
import type { Effort } from './effort.js';
import { flushesFor, mostBy } from './flushes.js';
import type { Flush } from './flushes.js';
import { chanceInTime, walk } from './walk.js';
import type { Walk } from './walk.js';

export interface PlanRequest {
	kind: Kind;
	containers: ReadonlyMap<string, Container>;
	stock: StockPlant;
	takings: readonly Taking[];
	/** What this garden's batches of the kind are worth as evidence, by the way's id. */
	record: Readonly<Record<string, Tallies>>;
	target: number;
	/** Chance for each number that what grows or is planned already brings by the due day. */
	existing: Float64Array;
	due: DayNumber;
	confidence: number;
	today: DayNumber;
	climate: Climate;
	minutesPerWeek: number;
	/** Free room of all places together, cm²; null when no place has a size. */
	roomCm2: number | null;
}

export interface PlanOption {
	wayId: string;
	/** Day of the last strike. */
	on: DayNumber;
	flushes: Flush[];
	strike: number;
	/** Chance that the target stands in the ground by the due day. */
	probability: number;
	inTime: number;
	mean: number;
	quantiles: Quantiles;
	ready: { quick: DayNumber; usual: DayNumber; slow: DayNumber };
	stages: StageName[];
	effort: Effort;
	buying: number;
	inBest: boolean;
	/** What speaks against it, in sentences. */
	binds: { code: 'minutes' | 'room' | 'flushes' | 'thin'; sentence: string }[];
}

export interface WayOutlook {
	wayId: string;
	/** The best date; null when the way cannot do it in time. */
	best: PlanOption | null;
	/** Last day on which striking still gives what is asked, as sure as asked. */
	lastSafe: DayNumber | null;
	/** How many it takes if struck on that day; null where it can't be as sure as asked. */
	curve: { on: DayNumber; strike: number | null; canGive: number; inTime: number }[];
	/** Why there is no best. */
	why: string | null;
	/** The most that can be had by this way by the due day. */
	fallback: { on: DayNumber; strike: number; probability: number; usually: number } | null;
	/** When it could be had, as sure as asked, if the due day were given up. */
	earliest: { on: DayNumber; strike: number; ready: DayNumber } | null;
}

export interface Plan {
	ways: WayOutlook[];
	lastSafe: DayNumber | null;
}

/** Days between dates looked at: windows are known to the week at best. */
const STEP = 4;
/** How far the search goes on past the due day for what could be had instead. */
const BEYOND = 3 * 366;

export function plan(request: PlanRequest): Plan {
	const ways = request.kind.ways.map((way) => outlook(way, request));
	const effort = (w: WayOutlook) => (w.best ? w.best.binds.length * 1e6 + w.best.effort.minutes + w.best.effort.cost : Infinity);
	ways.sort((a, b) => effort(a) - effort(b) || (b.fallback?.probability ?? 0) - (a.fallback?.probability ?? 0));
	const safe = ways.flatMap((w) => (w.lastSafe === null ? [] : [w.lastSafe]));
	return { ways, lastSafe: safe.length ? Math.max(...safe) : null };
}

/** The stages' odds as this garden knows them. */
export function oddsOfWay(way: Pick<WayProfile, 'stages' | 'id'>, record: PlanRequest['record']): Map<StageName, Beta> {
	return new Map(way.stages.map((s) => [s.to, stageOdds(s, record[way.id] ?? {})]));
}

function outlook(way: WayProfile, r: PlanRequest): WayOutlook {
	const odds = oddsOfWay(way, r.record);
	const tables = new Map<string, Float64Array>();
	// Without anything new: then more pieces need only lift the odds from here.
	const alone = atLeast(r.existing, r.target);
	const stagesOf = (w: Walk) => w.steps.map((s) => s.stage.to);
	const betas = (stages: readonly StageName[]) => stages.map((s) => odds.get(s)!);
	const chanceAll = expected([...odds.values()], 1);
	const most = Math.min(MOST_STRUCK, Math.max(24, Math.ceil((r.target / chanceAll) * 2.5) + 12));
	const tableFor = (stages: readonly StageName[]) => {
		const key = stages.join();
		let table = tables.get(key);
		if (!table) tables.set(key, (table = reachWith(r.existing, betas(stages), r.target, most)));
		return table;
	};
	/** Chance of the target when n are struck and in time with chance inTime. */
	const chance = (table: Float64Array, n: number, inTime: number) => inTime * table[n]! + (1 - inTime) * alone;
	const smallest = (table: Float64Array, inTime: number) =>
		inTime <= 0 ? null : smallestReaching(table, (r.confidence - (1 - inTime) * alone) / inTime);
	const walkFrom = (on: DayNumber, q: number) => walk(r.kind, way, on, q, r.climate);

	const result: WayOutlook = {
		wayId: way.id,
		best: null,
		lastSafe: null,
		curve: [],
		why: null,
		fallback: null,
		earliest: null
	};
	const horizon = Math.max(r.due, r.today) + BEYOND;
	let bestScore = Infinity;
	let opened = false;
	for (const window of openings(way.window, r.today, horizon, r.climate)) {
		const first = Math.max(window.opens, r.today);
		for (let on = first; on <= window.closes; on += STEP) {
			if (on > r.due && result.earliest) return finish();
			const usual = walkFrom(on, 0.5);
			if (!usual) continue;
			opened = true;
			const stages = stagesOf(usual);
			const table = tableFor(stages);
			const stockMost = mostBy(on, first, r.stock, way.gives, r.takings);
			if (!result.earliest) {
				const n = smallest(table, 1);
				const slow = walkFrom(on, 0.9);
				if (n !== null && slow && n <= stockMost) result.earliest = { on, strike: n, ready: slow.planted };
			}
			if (on > r.due) continue;
			const inTime = chanceInTime((q) => walkFrom(on, q)?.planted ?? null, r.due);
			const strike = smallest(table, inTime);
			result.curve.push({ on, strike, canGive: stockMost, inTime });
			considerFallback(on, inTime, table, stockMost, stages);
			const flushes = strike === null ? null : flushesFor(strike, on, first, r.stock, way.gives, r.takings);
			if (strike === null || flushes === null) continue;
			const effort = effortOf(usual, odds, strike, r.containers);
			const inBest = on >= window.bestFrom && on <= window.bestTo;
			result.lastSafe = on;
			const binds = bindings(effort, flushes);
			// Outside the best of the window the work counts a third more, and a hundredth more for each day
			// away from it; of days alike the earlier is taken, for it leaves room for a second try.
			const away = Math.max(0, window.bestFrom - on, on - window.bestTo);
			const reluctance = (inBest ? 1 : 1.33) + away * 0.01 + (on - first) * 0.003;
			const score = (binds.length * 1e6 + effort.minutes + effort.cost) * reluctance;
			if (score < bestScore - 1e-9) {
				bestScore = score;
				const pmf = sumOf(r.existing, outcome(betas(stages), strike));
				result.best = {
					wayId: way.id,
					on,
					flushes,
					strike,
					probability: chance(table, strike, inTime),
					inTime,
					mean: meanCount(pmf),
					quantiles: quantilesOf(pmf),
					ready: {
						quick: walkFrom(on, 0.1)?.planted ?? usual.planted,
						usual: usual.planted,
						slow: walkFrom(on, 0.9)?.planted ?? usual.planted
					},
					stages,
					effort,
					buying: r.target * r.kind.price.v,
					inBest,
					binds
				};
			}
		}
	}
	return finish();

	function considerFallback(on: DayNumber, inTime: number, table: Float64Array, stockMost: number, stages: StageName[]) {
		const struck = Math.min(stockMost, most);
		if (struck <= 0 || inTime <= 0) return;
		const probability = chance(table, struck, inTime);
		// Where the target is out of reach the dates still differ in what they usually leave.
		const worth = probability + 1e-6 * inTime * expected(betas(stages), struck);
		const before = result.fallback;
		if (before && worth <= before.probability + 1e-6 * before.usually) return;
		result.fallback = { on, strike: struck, probability, usually: inTime * expected(betas(stages), struck) };
	}

	function bindings(effort: Effort, flushes: Flush[]): PlanOption['binds'] {
		const binds: PlanOption['binds'] = [];
		if (effort.peakMinutesPerWeek > r.minutesPerWeek)
			binds.push({
				code: 'minutes',
				sentence: `Asks ${Math.round(effort.peakMinutesPerWeek)} minutes a week at its height; you give ${r.minutesPerWeek}.`
			});
		if (r.roomCm2 !== null && effort.peakAreaCm2 > r.roomCm2)
			binds.push({ code: 'room', sentence: 'Needs more room than your sheltered places have.' });
		if (flushes.length > 1) binds.push({ code: 'flushes', sentence: `The stock gives it in ${flushes.length} goes only.` });
		return binds;
	}

	function finish(): WayOutlook {
		if (result.best) return result;
		const full = fullYield(r.stock, way.gives);
		if (!opened) result.why = 'Its window does not open here before then.';
		else if (result.curve.length === 0) result.why = 'Its window opens only after the day you want them.';
		else if (result.curve.every((c) => c.strike === null && c.inTime <= r.confidence))
			result.why = 'Struck at any date still open, they would not be ready as surely as you ask.';
		else if (result.curve.every((c) => c.strike === null))
			result.why = 'Too little is known of this way to be so sure, however many you strike.';
		else {
			const least = Math.min(...result.curve.flatMap((c) => (c.strike === null ? [] : [c.strike])));
			result.why = `It takes ${least}; the stock gives about ${full} at a time.`;
		}
		return result;
	}
}
