/** Every way and date by which a want can be met from a stock, the best of each way, and the last safe day. */
import type { DayNumber } from '../dates.js';
import type { StageName, WayProfile } from '../handbook/schema.js';
import { meanChance, summaryOf } from '../odds/belief.js';
import type { Belief } from '../odds/belief.js';
import { backward, missingFrom, ruleOf } from '../odds/chain.js';
import { atomRule, before } from '../odds/kernel.js';
import { atLeast, meanCount, MOST_STRUCK, quantilesOf, smallestReaching } from '../odds/strike.js';
import type { Quantiles } from '../odds/strike.js';
import { sumOf } from '../odds/sum.js';
import { HUNDREDTH } from '../odds/words.js';
import { effortOf } from './effort.js';
import { flushesFor, mostBy, nearest, piecesOf } from './flushes.js';
import type { Flush, FlushesOf } from './flushes.js';
import { chancesOf } from './counts.js';
import { oddsOfWay, plannedBatch } from './planned.js';
import type { Prepared } from './timing.js';
import type { Plan, PlanOption, PlanRequest, WayOutlook } from './planTypes.js';
import { bindings, whyNot } from './reasons.js';
import { walk } from './walk.js';
import type { Walk } from './walk.js';
import { countsTogether, hangsOn, wantOdds } from './wantOdds.js';
import type { WantBatch } from './wantOdds.js';
import { PLAN } from './judged.js';

export type { Plan, PlanOption, PlanRequest, WayOutlook } from './planTypes.js';

/** Days between dates looked at: windows are known to the week at best. */
const STEP = 4;
/** How far the search goes on past the due day for what could be had instead. */
const BEYOND = 3 * 366;
const HOUR_WORTH = PLAN.hourWorth.value;
const RELUCTANCE = PLAN.reluctance.value;
/** An option that something speaks against comes after all that nothing does. */
const BOUND = 1e6;
/** Shares of a batch that must be ready on a day that is offered instead, tried in turn. */
const READY_SHARES = [0.9, 0.97, 0.995] as const;

/** The whole of what an option asks, in money. */
const priceOf = (o: PlanOption, hour = HOUR_WORTH): number =>
	o.binds.length * BOUND + (o.effort.minutes / 60) * hour + o.effort.cost;

export function plan(request: PlanRequest): Plan {
	const ways = request.kind.ways.map((way) => outlook(way, request));
	const price = (w: WayOutlook) => (w.best ? priceOf(w.best) : Infinity);
	ways.sort((a, b) => price(a) - price(b) || (b.fallback?.probability ?? 0) - (a.fallback?.probability ?? 0));
	const safe = ways.flatMap((w) => (w.lastSafe === null ? [] : [w.lastSafe]));
	return { ways, lastSafe: safe.length ? Math.max(...safe) : null, byHour: firstByHour(ways), hourWorth: HOUR_WORTH };
}

function firstByHour(ways: readonly WayOutlook[]): Plan['byHour'] {
	const had = ways.flatMap((w) => w.best ?? []);
	return [HOUR_WORTH / 2, HOUR_WORTH * 2].flatMap((worth) => {
		const first = had.reduce<PlanOption | null>((a, o) => (a && priceOf(a, worth) <= priceOf(o, worth) ? a : o), null);
		return first && first !== had[0] ? [{ worth, wayId: first.wayId }] : [];
	});
}

/** A way's part of the request, worked out once for all its dates. */
interface Search {
	r: PlanRequest;
	way: WayProfile;
	odds: Map<StageName, Belief>;
	/** Chance of the target for n pieces that all come in time, by how winter is reckoned; up to `most` pieces. */
	tables: { withWinter: Float64Array; without: Float64Array };
	most: number;
	/** Thinned tables already reckoned, by their shares. */
	known: Map<string, Float64Array>;
	open: { from: DayNumber; to: DayNumber; bestFrom: DayNumber; bestTo: DayNumber }[];
}

/** Size of the table: as many as the surest date asks for, so far as that is a home's work. */
function tablesFor(
	r: PlanRequest,
	odds: ReadonlyMap<StageName, Belief>,
	existing: Float64Array
): Pick<Search, 'tables' | 'most'> {
	const chance = [...odds.values()].reduce((p, b) => p * meanChance(b), 1);
	let most = Math.min(MOST_STRUCK, Math.max(24, Math.ceil((r.target / chance) * 2.5) + 12));
	const others = [...odds].flatMap(([stage, b]) => (stage === 'wintered' ? [] : [b]));
	const winter = odds.get('wintered');
	for (;;) {
		const without = backward(others, missingFrom(existing, r.target, most));
		const withWinter = winter ? before(without, ruleOf(winter, most)) : without;
		if (most >= MOST_STRUCK || smallestReaching(withWinter, r.confidence) !== null)
			return { tables: { withWinter, without }, most };
		most = Math.min(MOST_STRUCK, most * 2);
	}
}

/** Chance of the target by how many are struck, for a batch with these times. */
function tableOf(s: Search, p: Prepared): Float64Array {
	const { whole, atoms } = chancesOf(p, s.odds);
	const base = whole ? s.tables.withWinter : s.tables.without;
	const only = atoms.length === 1 ? atoms[0]! : null;
	if (only && only.q >= 1) return base;
	const key = `${whole} ${atoms.map((a) => `${a.w.toFixed(6)}:${a.q.toFixed(6)}`).join()}`;
	let table = s.known.get(key);
	if (!table) s.known.set(key, (table = before(base, atomRule(atoms))));
	return table;
}

function outlook(way: WayProfile, r: PlanRequest): WayOutlook {
	const odds = oddsOfWay(way, r);
	const existing = r.others.reduce(sumOf, countsTogether(r.growing));
	const horizon = Math.max(r.due, r.today) + BEYOND;
	const open = r.season
		.openings(way.window, r.today, horizon)
		.map((o) => ({ from: Math.max(o.opens, r.today), to: o.closes, bestFrom: o.bestFrom, bestTo: o.bestTo }));
	const s: Search = { r, way, odds, known: new Map(), open, ...tablesFor(r, odds, existing) };
	const result: WayOutlook = { wayId: way.id, best: null, lastSafe: null, curve: [], why: null, fallback: null, earliest: null };
	const dates: DateFacts[] = [];
	for (const { on, window } of datesOf(s)) {
		if (on > r.due) break;
		const usual = walkFrom(s, on);
		if (!usual) continue;
		const flushes = flushesBy(s, on);
		const prepared = plannedBatch(r, way, on, 1, r.due);
		dates.push({ on, usual, flushes, most: mostBy(flushes, s.most), window, prepared, share: shareInTime(prepared, odds) });
	}
	settle(s, result, dates);
	if (!result.best) {
		result.earliest = earliestOf(s);
		result.why = whyNot(s, result);
	}
	return result;
}

/** The dates looked at, with the opening that each lies in. */
function* datesOf(s: Search): Iterable<{ on: DayNumber; window: Search['open'][number] }> {
	for (const window of s.open) for (let on = window.from; on <= window.to; on += STEP) yield { on, window };
}

const flushesBy = (s: Search, last: DayNumber): FlushesOf => ({
	last,
	open: s.open,
	stock: s.r.stock,
	gives: s.way.gives,
	takings: s.r.takings,
	within: s.r.oneAge ? PLAN.oneAge.value : undefined
});

/** Dates that are reckoned to the end for what could be had later: what the table promises holds for nearly all. */
const MOST_OFFERED = 5;

function earliestOf(s: Search): WayOutlook['earliest'] {
	let tried = 0;
	for (const { on } of datesOf(s)) {
		const flushes = flushesBy(s, on);
		const offer = walkFrom(s, on) && earliestFrom(s, on, flushes, piecesOf(mostBy(flushes, s.most)));
		if (!offer) continue;
		if (holds(s, offer)) return { on, strike: offer.strike, ready: offer.ready };
		if (++tried >= MOST_OFFERED) return null;
	}
	return null;
}

/** Is it as sure when it is reckoned as the want will be, every strike a batch of its own beside what grows already? */
function holds(s: Search, offer: Offer): boolean {
	if (offer.flushes.length === 1 && s.r.growing.length === 0) return true;
	const batches = offer.flushes.map((f) => wantBatchOf(s, f, offer.ready));
	return wantOdds(s.r.target, s.r.others, [...s.r.growing, ...batches]).probability >= s.r.confidence - 1e-9;
}

const walkFrom = (s: Search, on: DayNumber): Walk | null =>
	walk({ kind: s.r.kind, way: s.way, start: on, season: s.r.season, wanted: s.r.due });

interface DateFacts {
	on: DayNumber;
	usual: Walk;
	flushes: FlushesOf;
	/** The most that the stock can give by then, as far as it is of use. */
	most: Flush[];
	window: Search['open'][number];
	/** One piece struck on it, and its chance to be in time if it lives. */
	prepared: Prepared;
	share: number;
}

interface Candidate extends DateFacts {
	strike: number;
	taken: Flush[];
	score: number;
}

function shareInTime(p: Prepared, odds: Search['odds']): number {
	return chancesOf(p, odds).atoms.reduce((sum, a) => sum + a.w * a.q, 0);
}

/** One date: how many it takes if all are struck on it, and whether they are to be had. */
function considerDate(s: Search, result: WayOutlook, d: DateFacts): Candidate | null {
	const strike = smallestReaching(tableOf(s, d.prepared), s.r.confidence);
	result.curve.push({ on: d.on, strike, canGive: piecesOf(mostBy(d.flushes)), inTime: d.prepared.inTime });
	const taken = strike === null ? null : flushesFor(Math.max(1, strike), d.flushes);
	if (!taken) return null;
	// What is struck in several goes is begun with the first of them.
	result.lastSafe = Math.max(result.lastSafe ?? -Infinity, taken[0]!.on);
	return candidateOf(s, d, taken);
}

function candidateOf(s: Search, d: DateFacts, taken: Flush[]): Candidate {
	const strike = piecesOf(taken);
	const effort = effortOf({ walk: d.usual, odds: s.odds, struck: strike, way: s.way, book: s.r.book });
	const { bestFrom, bestTo, from } = d.window;
	const inBest = d.on >= bestFrom && d.on <= bestTo;
	const away = Math.max(0, bestFrom - d.on, d.on - bestTo);
	const reluctance = (inBest ? 1 : RELUCTANCE.outside) + away * RELUCTANCE.perDayAway + (d.on - from) * RELUCTANCE.perDayLater;
	const bound = bindings(s.r, s.way, effort, taken).length * BOUND;
	return { ...d, strike, taken, score: (bound + (effort.minutes / 60) * HOUR_WORTH + effort.cost) * reluctance };
}

/** The most that can be had by a date. */
interface Most {
	d: DateFacts;
	/** What it is worth to look closer at, roughly. */
	rough: number;
}

/** Odds too small to be told apart from none: there the number that is left decides. */
const TOLD = 0.02;
const worthOfMost = (probability: number, usually: number): number => (probability >= TOLD ? 1 + probability : usually * 1e-4);

/** What the most that the stock gives by each date would bring, roughly, the best first. */
function mostByDates(s: Search, dates: readonly DateFacts[]): Most[] {
	const found = dates.flatMap((d): Most[] => {
		if (d.most.length === 0) return [];
		const inTime = d.most.reduce((sum, f) => sum + f.pieces * nearest(dates, f.on).share, 0);
		if (inTime <= 0) return [];
		const { whole } = chancesOf(d.prepared, s.odds);
		const stages = [...s.odds].filter(([stage]) => stage !== 'wintered' || whole).map(([, b]) => meanChance(b));
		const usually = inTime * stages.reduce((a, b) => a * b, 1);
		// Earlier goes have more time than the last: their share is as if all that are in time were certain to be.
		const table = d.most.length > 1 ? (whole ? s.tables.withWinter : s.tables.without) : tableOf(s, d.prepared);
		const pieces = d.most.length > 1 ? Math.floor(inTime) : piecesOf(d.most);
		return [{ d, rough: worthOfMost(table[Math.min(pieces, table.length - 1)]!, usually) }];
	});
	return found.sort((a, b) => b.rough - a.rough);
}

/** Dates looked at closely for the most that can be had. */
const MOST_CLOSE = 4;

/** The most that can be had, each strike a batch of its own beside what grows already: as the want will be reckoned. */
function mostThatCan(s: Search, dates: readonly DateFacts[]): { d: DateFacts; told: NonNullable<WayOutlook['fallback']> } | null {
	let best: ReturnType<typeof mostThatCan> = null;
	let top = -Infinity;
	for (const { d } of mostByDates(s, dates).slice(0, MOST_CLOSE)) {
		const { most } = d;
		const { probability, mean } = wantOdds(s.r.target, s.r.others, [...s.r.growing, ...most.map((f) => wantBatchOf(s, f))]);
		const worth = worthOfMost(probability, mean);
		if (worth <= top) continue;
		top = worth;
		best = { d, told: { on: most.at(-1)!.on, strike: piecesOf(most), flushes: most, probability, usually: mean } };
	}
	return best;
}

interface Offer {
	strike: number;
	ready: DayNumber;
	flushes: Flush[];
}

/** The first day by which it could be had as surely as asked, struck on a day; what is offered is tried as if it were asked. */
function earliestFrom(s: Search, on: DayNumber, flushes: FlushesOf, stockMost: number): Offer | null {
	const ever = plannedBatch(s.r, s.way, on, 1, null);
	const least = smallestReaching(tableOf(s, ever), s.r.confidence);
	if (least === null || least > stockMost || !ever.usual()) return null;
	for (const share of READY_SHARES) {
		const ready = ever.plantedBy(share);
		if (ready === null) continue;
		const strike = smallestReaching(tableOf(s, plannedBatch(s.r, s.way, on, 1, ready)), s.r.confidence);
		const taken = strike !== null && strike <= stockMost ? flushesFor(Math.max(1, strike), flushes) : null;
		if (taken) return { strike: strike!, ready, flushes: taken };
	}
	return null;
}

/** Candidates weighed to the end: the best whose promise holds when it is reckoned as the want will be. */
const MOST_TRIED = 3;
/** More pieces on top, tried in turn, where several strikes or what grows already make the sum another than the table's. */
const MOST_STEPS = 6;

function settle(s: Search, result: WayOutlook, dates: readonly DateFacts[]): void {
	const candidates = dates.flatMap((d) => considerDate(s, result, d) ?? []);
	candidates.sort((a, b) => a.score - b.score || a.on - b.on);
	for (const c of candidates.slice(0, MOST_TRIED)) {
		result.best = optionOf(s, c);
		if (result.best) return;
	}
	// None keeps its word as it stands: then none is safe.
	result.lastSafe = null;
	const most = mostThatCan(s, dates);
	// No date takes them all, but what is begun early has more time: several goes together may do.
	const enough = s.r.confidence - HUNDREDTH;
	if (most && most.told.probability >= enough) result.best = optionOf(s, candidateOf(s, most.d, most.d.most), enough);
	if (result.best) result.lastSafe = result.best.flushes[0]!.on;
	else result.fallback = most?.told ?? null;
}

/** The option as the want will reckon it once it is planned: every strike a batch of its own, beside what grows already. */
function optionOf(s: Search, c: Candidate, enough = s.r.confidence - 1e-9): PlanOption | null {
	const { r, way } = s;
	const oddsOf = (flushes: readonly Flush[]) =>
		wantOdds(r.target, r.others, [...r.growing, ...flushes.map((f) => wantBatchOf(s, f))]);
	const flushesOf = (pieces: number) => flushesFor(pieces, c.flushes);
	let strike = Math.max(1, c.strike);
	let flushes: Flush[] | null = c.taken;
	for (let step = 0; step < MOST_STEPS && flushes !== null; step++) {
		let odds = oddsOf(flushes);
		if (odds.probability >= enough) {
			// The table has them all struck on the last day. Those of earlier goes have more time, so fewer may do.
			for (let least = 0, i = 0; flushes.length > 1 && i < MOST_STEPS; i++) {
				const fewer = Math.ceil((least + strike) / 2);
				if (fewer >= strike) break;
				const taken = flushesOf(fewer);
				const told = taken && oddsOf(taken);
				if (told && told.probability >= enough) {
					odds = told;
					flushes = taken;
					strike = fewer;
				} else least = fewer;
			}
			const effort = effortOf({ walk: c.usual, odds: s.odds, struck: strike, way: s.way, book: r.book });
			return {
				wayId: way.id,
				on: c.on,
				flushes,
				strike,
				probability: odds.probability,
				inTime: c.prepared.inTime,
				mean: odds.mean,
				quantiles: odds.quantiles,
				ready: c.prepared.dates() ?? { quick: c.usual.planted, usual: c.usual.planted, slow: c.usual.planted },
				stages: c.usual.steps.map((x) => x.stage.to),
				effort,
				buying: r.target * r.kind.price.v,
				inBest: c.on >= c.window.bestFrom && c.on <= c.window.bestTo,
				hinge: hingeOf(s, flushes.at(-1)!),
				moreAlike: promisedIfAlike(s, flushes),
				binds: bindings(r, s.way, effort, flushes)
			};
		}
		strike += Math.max(1, Math.ceil(strike * 0.04));
		flushes = flushesOf(strike);
	}
	return null;
}

/** What an option's odds hang on most, with what its figure rests on. */
function hingeOf(s: Search, f: Flush): PlanOption['hinge'] {
	const prepared = plannedBatch(s.r, s.way, f.on, f.pieces, s.r.due);
	const ahead = s.way.stages.map((x) => ({ stage: x.to, odds: summaryOf(s.odds.get(x.to)!) }));
	const rest = s.r.others.reduce(sumOf, countsTogether(s.r.growing));
	const hinge = hangsOn(Math.min(s.r.target, f.pieces), [rest], [{ prepared, ahead }]);
	const stage = hinge && s.way.stages.find((x) => x.to === hinge.stage);
	if (!stage) return null;
	const { alpha, beta } = s.odds.get(stage.to)!;
	return { stage: stage.to, chance: alpha / (alpha + beta), weight: alpha + beta, src: stage.src };
}

/** The promise of the same strikes when the correlation within a batch is twice what it is taken to be. */
function promisedIfAlike(s: Search, flushes: readonly Flush[]): number {
	const r = { ...s.r, rho: Math.min(MOST_ALIKE, 2 * s.r.rho) };
	const batches = [...r.growing, ...flushes.map((f) => wantBatchOf({ ...s, r }, f))];
	return wantOdds(r.target, r.others, batches).probability;
}
/** Beyond this all pieces of a batch live or all die. */
const MOST_ALIKE = 0.9;

function wantBatchOf(s: Pick<Search, 'r' | 'way'>, f: Flush, due = s.r.due): WantBatch {
	const means = oddsOfWay(s.way, s.r);
	return {
		way: `${s.r.kind.id} ${s.way.id}`,
		means,
		likely: means,
		prepared: plannedBatch(s.r, s.way, f.on, f.pieces, due)
	};
}

/** Chance that the target stands by itself, without anything new. */
export const aloneOf = (
	r: Pick<PlanRequest, 'growing' | 'others' | 'target'>
): { probability: number; mean: number; quantiles: Quantiles } => {
	const pmf = r.others.reduce(sumOf, countsTogether(r.growing));
	return { probability: atLeast(pmf, r.target), mean: meanCount(pmf), quantiles: quantilesOf(pmf) };
};
