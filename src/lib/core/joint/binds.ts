/**
 * What stands in the way of a want, and the smallest change that frees it: each found by planning that want anew beside
 * all others, with one thing altered. Prices only say where to look; what would help is what was seen to help.
 */
import { takingOf } from '../material/capacity.js';
import { Choice } from './descend.js';
import { ladderFor } from './ladder.js';
import type { Coming, Ladder } from './ladder.js';
import { plantsOf } from './patterns.js';
import type { Pattern } from './patterns.js';
import { boughtFor, poolOf, prepareJoint, withLimits } from './plan.js';
import type { Prepared } from './plan.js';
import type { Exact, Solved } from './solve.js';
import type { Tail } from './tail.js';
import { kindsFor } from './types.js';
import type { Busy, Ground, JointRequest, JointWant, Room } from './types.js';

export type Change =
	| { of: 'minutes'; more: number }
	| { of: 'spend'; more: number }
	| { of: 'room'; roomId: string; moreCm2: number }
	| { of: 'bed'; bedId: string }
	| { of: 'stock'; kindId: string; more: number }
	| { of: 'due'; weeks: number }
	| { of: 'confidence'; to: number }
	| { of: 'number'; to: number }
	| { of: 'grow'; ladder: Ladder; growing: boolean }
	| { of: 'money'; plants: number };

export interface Freed {
	change: Change;
	/** Odds of the want with it. */
	odds: number;
}

export interface Bound {
	want: number;
	/** Odds as the plan has it. */
	odds: number;
	/** Things that hold it back: with all of one free it would be met. */
	by: ('minutes' | 'spend' | 'room' | 'ground' | 'stock' | 'time')[];
	/** Changes that were seen to meet it, the least effort first. */
	changes: Freed[];
}

/** Steps that a person would think in. */
const MINUTES = [15, 30, 45, 60, 90, 120, 180, 240] as const;
const ROOM_CM2 = [1_000, 2_000, 4_000, 6_000, 10_000, 20_000, 40_000] as const;
const MONEY = [5, 10, 20, 30, 50, 100, 200, 500, 1_000] as const;
const PLANTS = [1, 2, 3, 5, 8, 12] as const;
const WEEKS = [2, 4, 6, 8, 10, 13, 17, 22, 26, 30, 35, 39, 44, 48, 52, 56, 61, 65, 70, 78, 87, 96, 104] as const;
const SURE = [0.95, 0.9, 0.85, 0.8, 0.75, 0.7, 0.6, 0.5] as const;
const A_SEASON = 91;
/** Chances are told to the nearest hundredth: a promise that would be told as kept is kept. */
const NEARLY = 0.005;
/** What the sample and the exact odds never differ by. */
const CLEARLY = 0.1;

/** The request with one want left, and all else that the plan holds as what grows already. */
function besideOthers({ p, chosen }: Solved, at: number): JointRequest {
	const { r, field } = p;
	const busy: Busy[] = [...r.busy];
	const takings = new Map(r.sources.map((s) => [s.id, [...s.takings]]));
	let spent = 0;
	const want = r.wants[at]!;
	const ground = want.ground ? besideIn(want.ground, { p, chosen }, at) : null;
	chosen.forEach((x, w) => {
		if (w === at) return;
		spent += boughtFor(r.wants[w]!, x);
		for (const { c, n } of x.parts) {
			const effort = field.effortOf(c, n);
			spent += effort.cost;
			takings.get(c.source.id)!.push(takingOf(c.source.stock, c.way.gives, n, c.on));
			const winters = effort.stages.filter((s) => s.to === 'wintered');
			effort.stages.forEach((need, i) =>
				busy.push({
					...{ kindId: c.source.kindId, roomId: null, need, winters, struck: i === 0 },
					grows: c.way.stages.find((s) => s.to === need.to)?.grows ?? 'season'
				})
			);
		}
	});
	return {
		...r,
		rules: r.rules && { ...r.rules, ...(r.rules.spend === undefined ? {} : { spend: Math.max(0, r.rules.spend - spent) }) },
		busy,
		// Whole and in time: fewer or later is what it is freed from.
		wants: [{ ...want, ground, otherwise: [] }],
		sources: r.sources.map((s) => ({ ...s, takings: takings.get(s.id)! }))
	};
}

/** What fits of a bed's ground, less what the other wants fill of it. */
function besideIn(ground: Ground, { p, chosen }: Pick<Solved, 'p' | 'chosen'>, at: number): Ground {
	const filled = new Float64Array(ground.from.length);
	chosen.forEach((x, w) => {
		if (w === at || x.as.ground?.bedId !== ground.bedId || (x.parts.length === 0 && x.buys === 0)) return;
		const { rows, amounts } = p.rows.groundAsks(x.as, plantsOf(x.parts) + x.buys);
		// A bed's rows run to its last time.
		rows.forEach((_, i) => (filled[filled.length - rows.length + i]! += amounts[i]!));
	});
	return { ...ground, fits: ground.fits.map((n, i) => n * Math.max(0, 1 - filled[i]!)) };
}

interface Tried {
	x: Pattern;
	odds: number;
	met: boolean;
}

/** The best pattern that fits of what was prepared for one want, with its odds as the want would tell them. */
function best(p: Prepared, exact: ((x: Pattern) => number) | null): Tried {
	const pick = () => new Choice({ pools: p.pools, limits: p.rows.limits }).answer(0);
	const { confidence } = p.r.wants[0]!;
	let x = pick();
	// While a step is looked for the sample will do.
	if (exact === null) return { x, odds: x.odds, met: x.odds >= confidence };
	// Far from it on the sample is far from it.
	if (x.odds < confidence - CLEARLY) return { x, odds: x.odds, met: false };
	let odds = exact(x);
	// The sample may have been too hopeful: asked for so much more, once.
	if (x.odds >= confidence && odds < confidence) {
		const more: Prepared = { ...p, margins: Float64Array.of(p.margins[0]! + confidence - odds + 0.004), pools: [] };
		more.pools = [poolOf(more, 0)];
		x = new Choice({ pools: more.pools, limits: p.rows.limits }).answer(0);
		odds = exact(x);
	}
	return { x, odds, met: odds >= confidence - NEARLY };
}

export interface BindsOf {
	solved: Solved;
	/** As the want would tell it with another target or day as well. */
	exact: Exact;
	/** What stands by another day. */
	already: (want: JointWant) => Float64Array;
	/** The other beds that a want could go to, the one that takes the most of it first. */
	elsewhere?: (want: JointWant) => readonly Ground[];
	/** Plants that are being grown to be stock. */
	coming?: readonly Coming[];
}

/** What holds back each want that is short, with what would free it. */
export function bindsOf(b: BindsOf, wants?: readonly number[]): Bound[] {
	const { r } = b.solved.p;
	const short = b.solved.odds.flatMap((o, w) => (o < r.wants[w]!.confidence - NEARLY ? [w] : []));
	return short.filter((w) => !wants || wants.includes(w)).map((w) => boundOf(b, w));
}

function boundOf({ solved, exact, already, elsewhere, coming = [] }: BindsOf, at: number): Bound {
	const base = besideOthers(solved, at);
	const want = base.wants[0]!;
	const tails = new Map<number, Tail>();
	const prepared = prepareJoint(base, undefined, tails);
	const seen = new Map<string, number>();
	const told = (p: Prepared, exactly: boolean): Tried => {
		const w = p.r.wants[0]!;
		if (!exactly) return best(p, null);
		return best(p, (x) => {
			const key = `${w.target} ${w.due} ${x.key}`;
			let odds = seen.get(key);
			if (odds === undefined) seen.set(key, (odds = exact(w, x)));
			return odds;
		});
	};
	/** With more room or minutes; with another number; with another day or other stock. */
	const roomier = (r: JointRequest, exactly: boolean): Tried => told(withLimits(prepared, r), exactly);
	const withTarget = (target: number, exactly: boolean): Tried =>
		told(prepareJoint({ ...base, wants: [{ ...want, target }] }, prepared.field, tails), exactly);
	const anew = (r: JointRequest, exactly: boolean): Tried => told(prepareJoint(r, undefined, tails), exactly);
	const changes: Freed[] = [];
	const add = (change: Change, t: Pick<Tried, 'odds'>) => changes.push({ change, odds: t.odds });
	/** The first step that meets it; steps rise, so what a smaller one does a larger does too. Found on the sample, then seen. */
	const first = <S>(steps: readonly S[], of: (step: S, exactly: boolean) => Tried): { step: S; t: Tried } | null => {
		let low = 0;
		let high = steps.length;
		while (low < high) {
			const middle = (low + high) >> 1;
			if (of(steps[middle]!, false).met) high = middle;
			else low = middle + 1;
		}
		for (const step of steps.slice(low, low + TRIED_ON)) {
			const t = of(step, true);
			if (t.met) return { step, t };
		}
		return null;
	};
	const by: Bound['by'] = [];
	const free = (rooms: readonly Room[], open: (room: Room) => boolean, more: number): Room[] =>
		rooms.map((x) => (open(x) && x.cm2 !== null ? { ...x, cm2: x.cm2 + more } : x));

	if (roomier({ ...base, minutesPerWeek: Infinity }, false).met) {
		const found = first(MINUTES, (m, e) => roomier({ ...base, minutesPerWeek: base.minutesPerWeek + m }, e));
		if (found) by.push('minutes');
		if (found) add({ of: 'minutes', more: found.step }, found.t);
	}
	const spend = base.rules?.spend;
	if (spend !== undefined) {
		const withMoney = (more: number) => ({ ...base, rules: { ...base.rules, spend: spend + more } });
		const found = roomier(withMoney(MONEY.at(-1)!), false).met ? first(MONEY, (m, e) => roomier(withMoney(m), e)) : null;
		if (found) by.push('spend');
		if (found) add({ of: 'spend', more: found.step }, found.t);
	}
	if (roomier({ ...base, rooms: free(base.rooms, () => true, 1e9) }, false).met) {
		let helps = false;
		for (const room of base.rooms) {
			if (room.cm2 === null) continue;
			const only = (more: number) => ({ ...base, rooms: free(base.rooms, (x) => x.id === room.id, more) });
			if (!roomier(only(ROOM_CM2.at(-1)!), false).met) continue;
			const found = first(ROOM_CM2, (cm2, e) => roomier(only(cm2), e));
			if (!found) continue;
			helps = true;
			add({ of: 'room', roomId: room.id, moreCm2: found.step }, found.t);
		}
		if (helps) by.push('room');
	}
	if (want.ground) {
		const inBed = (ground: Ground | null, e: boolean) => anew({ ...base, wants: [{ ...want, ground }] }, e);
		if (inBed(null, false).met) {
			by.push('ground');
			for (const bed of elsewhere?.(want) ?? []) {
				const t = inBed(besideIn(bed, solved, at), true);
				if (!t.met) continue;
				add({ of: 'bed', bedId: bed.bedId }, t);
				break;
			}
		}
	}
	const withStock = (kindId: string, more: number) => ({
		...base,
		sources: base.sources.map((s) =>
			s.kindId === kindId
				? {
						...s,
						stock: { ...s.stock, count: s.stock.count + more },
						// What was taken was a share of fewer.
						takings: s.takings.map((t) => ({ ...t, share: (t.share * s.stock.count) / (s.stock.count + more) }))
					}
				: s
		)
	});
	// Of several kinds that would do, more plants of the one of which the fewest are missing.
	const stocked = kindsFor(want).filter((kindId) => base.sources.some((s) => s.kindId === kindId));
	const missing = stocked.flatMap((kindId) => {
		const found = anew(withStock(kindId, PLANTS.at(-1)!), false).met
			? first(PLANTS, (n, e) => anew(withStock(kindId, n), e))
			: null;
		return found ? [{ kindId, ...found }] : [];
	});
	if (missing.length > 0) {
		const { kindId, step, t } = missing.reduce((a, b) => (b.step < a.step ? b : a));
		by.push('stock');
		add({ of: 'stock', kindId, more: step }, t);
	}
	const dueBy = (due: number, e: boolean) => {
		const later = { ...want, due };
		return anew({ ...base, wants: [{ ...later, already: already(later) }] }, e);
	};
	const later = first(WEEKS, (weeks, e) => dueBy(want.due + 7 * weeks, e));
	if (later) {
		by.push('time');
		add({ of: 'due', weeks: later.step }, later.t);
	}
	const less = SURE.find((c) => c < want.confidence && solved.odds[at]! >= c - NEARLY);
	if (less !== undefined) add({ of: 'confidence', to: less }, { odds: solved.odds[at]! });
	// Where the stock is what holds it, or no wait would do; and only where that is a season sooner than to wait, and the wait not as good.
	if (stocked.length > 0 && (by.includes('stock') || !later)) {
		const growing = coming.some((c) => stocked.includes(c.kindId));
		const ladder = ladderFor(base, want, prepared.field.sample, coming);
		const sooner = ladder !== null && (!later || ladder.due + A_SEASON <= want.due + 7 * later.step);
		if (ladder && (growing || (sooner && !dueBy(ladder.due, true).met))) add({ of: 'grow', ladder, growing }, ladder);
	}
	const fewer = mostOf(want.target, withTarget);
	if (fewer && fewer.step >= 1) {
		add({ of: 'number', to: fewer.step }, fewer.t);
		add({ of: 'money', plants: want.target - fewer.step }, fewer.t);
	} else add({ of: 'money', plants: want.target }, told(prepared, true));
	return { want: at, odds: solved.odds[at]!, by, changes };
}

/** The most that can be had as surely as asked; null where that is none. Found on the sample, then seen. */
function mostOf(target: number, of: (n: number, exactly: boolean) => Tried): { step: number; t: Tried } | null {
	let low = 0;
	let high = target;
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if (of(middle, false).met) low = middle;
		else high = middle;
	}
	for (let n = low; n > Math.max(0, low - TRIED_ON); n--) {
		const t = of(n, true);
		if (t.met) return { step: n, t };
	}
	return null;
}
/** Steps beyond what the sample found that are looked at, where it was too hopeful. */
const TRIED_ON = 3;
