/** The plan of all wants as it is shown: what it gives, what is next, what each want gets, what is full when. */
import { tallSaid } from './asWanted.js';
import { clashSaid } from './carried.js';
import { handbook } from './handbook.js';
import { oddsOf } from './jointRequest.js';
import type { Left } from './jointRequest.js';
import { asIfOf, firstOf, jointOf, rulesOf } from './jointSolved.js';
import { solversOf } from './solver.js';
import type { Joint, PlanAsked } from './jointSolved.js';
import { forecastOf, known } from './model.js';
import type { Model } from './model.js';
import { isPlannedAs } from './planAsked.js';
import type { PlanChoice } from './planAsked.js';
import type * as state from './store/state.js';
import { waitsFor } from './wants.js';
import { STOP } from './watched.js';
import type { Watched } from './watched.js';
import { wayLabel } from './windows.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withLabel, withVariety } from '$lib/core/handbook/names.js';
import type { Aim } from '$lib/core/joint/aims.js';
import { boughtFor, byHand, lastDayOf, solveJoint, standsIn, tell } from '$lib/core/joint/index.js';
import type { Solved } from '$lib/core/joint/index.js';
import { sayBuy, sayMet, sayMove, sayReplanned } from '$lib/core/joint/words.js';
import { inHand } from '$lib/core/ledger/batch.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { atLeast, quantilesOf } from '$lib/core/odds/strike.js';
import { standing } from '$lib/core/odds/words.js';
import { effortOf } from '$lib/core/plan/effort.js';
import { buyFrom } from '$lib/core/round/buying.js';
import { ok } from '$lib/core/result.js';
import type { Result } from '$lib/core/result.js';
import { wantedName } from '$lib/core/ledger/wish.js';

export interface PlanView {
	aim: Aim;
	anew: boolean;
	says: string;
	met: number;
	wants: WantPlanned[];
	moves: Move[];
	loads: LoadView[];
	totals: Totals;
	/** The same of the usual plan, where another was asked for. */
	usual: Totals | null;
	/** What a plan changed by hand asks too much of. */
	clashes: string[];
	/** Ways that were ruled out. */
	not: { way: string; says: string }[];
	/** Days between which nothing is struck, and what it may cost. */
	off: readonly string[];
	/** Places that are kept free, and all that could be. */
	free: PlaceNamed[];
	rooms: PlaceNamed[];
	spend: number | null;
	/** As if there were so many minutes a week, more room in places, and some wants were not; each told, with what takes it away. */
	asIf: { minutes: number | null; room: AsIfRoom[]; without: { id: string; name: string }[] };
	/** Places that have a measure: those that could have more room. */
	measured: PlaceNamed[];
	/** Planned anew: what would change of what is planned, and how many batches stay as they are. */
	changes: { says: string[]; stay: number };
	/** Wants that are left out, and why. */
	left: { name: string; why: Left }[];
	figures: { candidates: number; patterns: number; gap: number };
}

export interface AsIfRoom extends PlaceNamed {
	moreCm2: number;
}

export interface PlaceNamed {
	id: string;
	name: string;
}

export interface Totals {
	met: number;
	batches: number;
	/** Plants to buy. */
	buys: number;
	minutes: number;
	cost: number;
}

export interface WantPlanned {
	id: string;
	/** Of the want, as it was when this was planned. */
	version: number;
	name: string;
	label: string;
	target: number;
	due: string;
	confidence: number;
	odds: number;
	/** Fewer or later as would do too, where that is what the plan is for; with its odds. */
	instead: { target: number; due: string; odds: number } | null;
	/** Plants that usually stand by the day. */
	usually: number;
	/** With nothing new. */
	alone: number;
	/** Nothing is planned, for the stock that it is taken from is being grown. */
	waits: boolean;
	standing: ReturnType<typeof standing>;
	minutes: number;
	cost: number;
	/** Plants to buy for it, and what of the cost that is. */
	buys: number;
	buysCost: number;
	/** What is planned to be bought already. */
	buying: number;
	/** Batches that it has already: if there are others when the plan is taken, someone else was quicker. */
	beside: number;
	batches: BatchPlanned[];
	/** What grows or is planned for it already. */
	growing: Growing[];
}

export interface Growing {
	id: string;
	code: string;
	planned: boolean;
	stages: { to: string; from: string; until: string; count: number }[];
}

export interface BatchPlanned {
	kindId: string;
	kind: string;
	wayId: string;
	way: string;
	piece: readonly [string, string];
	stockId: string;
	stock: string;
	on: string;
	last: string;
	pieces: number;
	inBest: boolean;
	/** Moved or held by hand. */
	pinned: boolean;
	/** Where it is on its way: each stage from a day with so many, standing somewhere. */
	stages: { to: string; from: string; until: string; count: number; container: string; containers: number; place: string }[];
}

export interface Move {
	wantId: string;
	want: string;
	on: string;
	last: string;
	says: string;
	/** The guide to its cut; null for what is bought. */
	guide: string | null;
}

export interface LoadView {
	/** Null: minutes. */
	places: string[] | null;
	weeks: { from: string; busy: number; plan: number; limit: number }[];
	/** Share of the limit in its fullest week, and that week. */
	fullest: { from: string; share: number };
}

/** The first plan that was found: on the screen while a better one is looked for. */
export async function firstView(asked: PlanAsked): Promise<PlanView> {
	const joint = await firstOf(asked);
	return shown(asked, joint, joint.solved, null, []);
}

/** @throws 503 when it was stopped */
export async function planView({ watch, ...asked }: PlanAsked & { watch: Watched }): Promise<PlanView> {
	const joint = await jointOf(asked, () => Atomics.load(watch, STOP) !== 0);
	const usual = asked.aim === 'usual' ? null : totalsOf((await jointOf({ ...asked, aim: 'usual' })).solved);
	return shown(asked, joint, joint.solved, usual, []);
}

export interface HandAsked extends PlanAsked {
	batches: { want: string; way: string; stock: string; on: string; pieces: number; pinned: boolean }[];
	/** Plants to buy. */
	buys: { want: string; count: number }[];
	/** Those that are pinned stay, all else is looked for anew. */
	resolve: boolean;
}

/** The plan changed by hand: as it was told, or with the rest found anew around it. */
export async function handView({ batches, buys, resolve, ...asked }: HandAsked): Promise<Result<PlanView>> {
	const joint = await jointOf(asked);
	const all = batches.map((b) => ({
		...{ wantId: b.want, wayId: b.way, sourceId: b.stock, on: dayNumber(b.on), pieces: b.pieces, pinned: b.pinned }
	}));
	const told = byHand(joint.solved.p, all, joint.exact, new Map(buys.map((b) => [b.want, b.count])));
	if (!told.ok) return told;
	const usual = totalsOf(joint.solved);
	if (!resolve) {
		const clashes = told.value.clashes.map((c) => clashSaid(joint.ask.m, joint.ask.snapshot, c));
		return ok(shown(asked, joint, told.value.solved, usual, clashes));
	}
	const rules = { ...rulesOf(asked), pinned: all.filter((b) => b.pinned) };
	const request = { ...joint.ask.request, rules };
	const again = solveJoint(request, await solversOf(request.wants.length), joint.exact);
	return ok(shown(asked, joint, again, usual, []));
}

function shown(
	{ aim, anew, not, off, free, spend, ...choice }: PlanChoice,
	joint: Joint,
	solved: Solved,
	usual: Totals | null,
	clashes: string[]
): PlanView {
	const { ask } = joint;
	const { m, request, snapshot, left } = ask;
	const told = tell(solved.p, solved);
	const placeName = new Map(m.places.map((p) => [p.id, p.name]));
	const stocks = new Map(snapshot.stocks.map((s) => [s.id, s]));
	const wantRow = new Map(snapshot.wants.map((w) => [w.id, w]));
	const today = m.garden.today;
	const nameOf = (w: state.WantRow) => wantedName(m.kinds, w);
	const wants = told.wants.map((w, i): WantPlanned => {
		const row = wantRow.get(w.wantId)!;
		return {
			...{
				id: row.id,
				version: row.version,
				name: nameOf(row),
				label: row.label,
				target: row.target,
				due: row.due,
				confidence: row.confidence
			},
			waits:
				w.batches.length === 0 && w.buys === 0 && ask.all.get(row.id) === 0 && waitsFor(snapshot.wants, row, m.today) !== null,
			...{ odds: solved.odds[i]!, alone: atLeast(request.wants[i]!.already, row.target), minutes: w.minutes, cost: w.cost },
			...{
				buys: w.buys,
				buysCost: boughtFor(request.wants[i]!, solved.chosen[i]!),
				buying: ask.whole.find((x) => x.id === row.id)!.buying
			},
			standing: standing(solved.odds[i]!, row.confidence),
			instead: w.as === request.wants[i] ? null : { target: w.as.target, due: isoOf(w.as.due), odds: solved.promised[i]! },
			usually: quantilesOf(joint.stands(request.wants[i]!, solved.chosen[i]!)).p50,
			beside: ask.all.get(row.id) ?? 0,
			growing: ask.mine.get(row.id)!.flatMap((b) => growingOf(m, b)),
			batches: w.batches.map((b): BatchPlanned => {
				const stock = stocks.get(b.sourceId)!;
				const kind = m.kinds.get(stock.kind_id)!;
				const called = stock.label || (placeName.get(stock.place_id ?? '') ?? '');
				const profile = kind.ways.find((x) => x.id === b.wayId)!;
				return {
					...{ kindId: kind.id, kind: withVariety(kind) },
					...{ wayId: b.wayId, way: wayLabel(kind, profile), stockId: b.sourceId },
					piece: handbook().ways.get(profile.way)!.piece as [string, string],
					// Where other kinds would do as well, it says which one it is.
					stock: row.or_kinds.length > 0 ? withLabel(kind, called) : called,
					...{ on: isoOf(b.on), last: isoOf(lastOf(solved, i, b)), pieces: b.pieces, inBest: b.inBest, pinned: b.pinned },
					stages: b.needs.map((n, k) => ({
						...{ to: n.to, from: isoOf(n.from), until: isoOf(n.until), count: Math.round(n.entering) },
						...{ container: n.container, containers: n.containers, place: placeName.get(b.rooms[k] ?? '') ?? '' }
					}))
				};
			})
		};
	});
	const rooms = request.rooms.filter(standsIn).map(({ id }) => ({ id, name: placeName.get(id) ?? '' }));
	const moves = wants
		.flatMap((w) => {
			const of = { wantId: w.id, want: `${w.target} ${w.name}${w.label ? `, ${w.label}` : ''}` };
			const tall = tallSaid(m.garden, wantRow.get(w.id)?.least_cm ?? null);
			const name = tall ? `${w.name}${tall},` : w.name;
			const by = { count: w.buys, name, by: w.due, cost: w.buysCost };
			return [
				...w.batches.map((b): Move => ({
					...{ ...of, on: b.on, last: b.last, guide: `guide/${b.kindId}/${b.wayId}` },
					says: sayMove({ pieces: b.pieces, piece: b.piece, kind: b.kind, on: b.on, last: b.last, today })
				})),
				...(w.buys === 0
					? []
					: [
							{
								...of,
								on: isoOf(buyFrom(dayNumber(w.due), m.today)),
								last: w.due,
								guide: null,
								says: sayBuy(by, m.garden.data.currency)
							}
						])
			];
		})
		.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.want < b.want ? -1 : 1));
	const met = wants.filter((w) => w.standing === 'in hand').length;
	const otherwise = wants.filter(
		(w) => w.instead && w.standing !== 'in hand' && standing(w.instead.odds, w.confidence) === 'in hand'
	).length;
	return {
		...{ aim, anew, off, spend, met, wants, moves, usual, clashes, totals: totalsOf(solved) },
		asIf: {
			minutes: choice.minutes,
			room: [...asIfOf(choice).room].flatMap(([id, moreCm2]) => {
				const name = placeName.get(id);
				return name === undefined ? [] : [{ id, name, moreCm2 }];
			}),
			without: choice.without.flatMap((id) => {
				const row = wantRow.get(id);
				return row ? [{ id, name: `${row.target} ${nameOf(row)}` }] : [];
			})
		},
		measured: request.rooms.filter((r) => r.cm2 !== null).map(({ id }) => ({ id, name: placeName.get(id) ?? '' })),
		...{ rooms, free: rooms.filter((room) => free.includes(room.id)) },
		not: not.flatMap((way) => notShown(m, way)),
		says: sayMet(met, wants.length, otherwise),
		loads: loadsShown(told.loads, placeName, m.today),
		changes: changesOf(joint, wants),
		left: left.filter((l) => l.why !== 'without').map((l) => ({ name: nameOf(wantRow.get(l.wantId)!), why: l.why })),
		figures: {
			candidates: told.candidates,
			patterns: told.patterns,
			gap: told.objective > 0 ? Math.max(0, (told.objective - told.bound) / told.objective) : 0
		}
	};
}

/** What was planned against what would be planned, want by want. */
function changesOf({ ask: { m, snapshot, gives, mine, whole } }: Joint, wants: readonly WantPlanned[]): PlanView['changes'] {
	const says: string[] = [];
	let stay = 0;
	for (const w of wants) {
		const there = gives.get(w.id) ?? [];
		const asked = (x: BatchPlanned) => ({ want: w.id, way: x.wayId, stock: x.stockId, on: x.on, pieces: x.pieces });
		const old = there.filter((b) => !w.batches.some((x) => isPlannedAs(b, asked(x))));
		const now = w.batches.filter((x) => !there.some((b) => isPlannedAs(b, asked(x))));
		stay += there.length - old.length;
		const row = whole.find((x) => x.id === w.id)!;
		if (there.length === 0 && row.buying === 0) continue;
		if (old.length === 0 && now.length === 0 && row.buying === w.buys) continue;
		says.push(
			sayReplanned({
				...{ want: `${w.target} ${w.name}`, then: w.odds, now, buys: [row.buying, w.buys] },
				old: old.map((b) => ({ pieces: b.plannedCount, on: b.plannedOn! })),
				before: atLeast(oddsOf(m, snapshot, row, [...mine.get(w.id)!, ...there]).pmf, w.target)
			})
		);
	}
	return { says, stay };
}

/** A batch that there is, on its usual way from today on; nothing when its way is over. */
function growingOf(m: Model, b: Batch): Growing[] {
	const k = known(m, b);
	const usual = k && forecastOf(m, k).usual;
	if (!k || !usual) return [];
	const pieces = b.status === 'planned' ? b.plannedCount : inHand(b);
	const { stages } = effortOf({ walk: usual, odds: k.odds, struck: pieces, way: k.way, book: m.book });
	const shown = stages.map((n) => ({ to: n.to, from: isoOf(n.from), until: isoOf(n.until), count: Math.round(n.entering) }));
	return [{ id: b.id, code: b.code, planned: b.status === 'planned', stages: shown }];
}

/** The last day on which the same pieces still do, others as they are. */
function lastOf(solved: Solved, at: number, b: { sourceId: string; wayId: string; on: DayNumber }): DayNumber {
	const part = solved.chosen[at]!.parts.find((x) => x.c.source.id === b.sourceId && x.c.way.id === b.wayId && x.c.on === b.on)!;
	return lastDayOf(solved, at, part);
}

/** A way that was ruled out, as its kind calls it; nothing where there is none of that name. */
function notShown(m: Model, way: string): PlanView['not'] {
	const [kindId = '', wayId = ''] = way.split('~');
	const kind = m.kinds.get(kindId);
	const profile = kind?.ways.find((w) => w.id === wayId);
	return kind && profile ? [{ way, says: `${withVariety(kind)}, ${wayLabel(kind, profile)}` }] : [];
}

const totalsOf = ({ chosen, odds, p }: Solved): Totals => ({
	met: odds.filter((o, w) => standing(o, p.r.wants[w]!.confidence) === 'in hand').length,
	batches: chosen.reduce((n, x) => n + x.parts.length, 0),
	buys: chosen.reduce((n, x) => n + x.buys, 0),
	minutes: chosen.reduce((n, x) => n + x.parts.reduce((s, { c, n: k }) => s + p.field.effortOf(c, k).minutes, 0), 0),
	cost: chosen.reduce(
		(n, x, w) => n + boughtFor(p.r.wants[w]!, x) + x.parts.reduce((s, { c, n: k }) => s + p.field.effortOf(c, k).cost, 0),
		0
	)
});

/** Of sets of places those that tell something of their own: each place that plants stand in, and the fullest together. */
function loadsShown(loads: ReturnType<typeof tell>['loads'], names: ReadonlyMap<string, string>, today: DayNumber): LoadView[] {
	return loads
		.map((l): LoadView => {
			const weeks = l.weeks.filter((w) => w.from < today + SHOWN_DAYS);
			const share = (w: (typeof weeks)[number]) => (w.limit > 0 ? (w.busy + w.plan) / w.limit : w.busy + w.plan > 0 ? 1 : 0);
			const fullest = weeks.reduce((a, b) => (share(b) > share(a) ? b : a), weeks[0]!);
			return {
				places: l.of === 'minutes' ? null : l.of.map((id) => names.get(id) ?? ''),
				weeks: weeks.map((w) => ({ ...w, from: isoOf(w.from) })),
				fullest: { from: isoOf(fullest.from), share: share(fullest) }
			};
		})
		.filter((l) => l.places === null || l.weeks.some((w) => w.plan > 0))
		.sort((a, b) => Number(b.places === null) - Number(a.places === null) || b.fullest.share - a.fullest.share)
		.slice(0, MOST_LOADS);
}
const SHOWN_DAYS = 2 * 366;
const MOST_LOADS = 4;
