/** What is said of a plan of all wants: what it gives, what is next, what holds a want back, what would help. */
import { sayDate } from '../dates.js';
import type { IsoDate } from '../dates.js';
import { sayCost, sayMoney } from '../numbers.js';
import { capital, sayDoes, sayOdds, sayOddsAsked } from '../odds/words.js';
import { sayArea, sayMinutes } from '../units/say.js';
import type { UnitChoice } from '../units/say.js';

/** "7 of 9 wants can be met as surely as you ask; 1 more with fewer or later, as would do." */
export function sayMet(met: number, all: number, otherwise = 0): string {
	if (otherwise > 0) {
		const more =
			all === 1
				? 'with fewer or later, as would do, it can'
				: `${otherwise} ${met ? 'more ' : ''}with fewer or later, as would do`;
		return `${sayMet(met, all).slice(0, -1)}; ${more}.`;
	}
	if (all === 0) return 'Nothing is wanted that is still to be planned.';
	if (all === 1)
		return met === 1 ? 'The one want can be met as surely as you ask.' : 'The one want can’t be met as surely as you ask.';
	if (met === 0) return `None of the ${all} wants can be met as surely as you ask.`;
	if (met === all) return `All ${all} wants can be met as surely as you ask.`;
	return `${met} of ${all} wants can be met as surely as you ask.`;
}

/** "12 by 1 May 2027 would do: 9 times in 10", without a stop. What differs from the want itself is named. */
export function sayWouldDo(
	of: { target: number; due: IsoDate; confidence: number },
	as: { target: number; due: IsoDate },
	odds: number
): string {
	const many = as.target < of.target ? `${as.target}` : `All ${as.target}`;
	return `${many}${as.due > of.due ? ` by ${sayDate(as.due)}` : ''} would do: ${sayOddsAsked(odds, of.confidence)}`;
}

export interface NextMove {
	pieces: number;
	/** What a piece is called, one and many. */
	piece: readonly [string, string];
	kind: string;
	on: IsoDate;
	/** The last day on which so many still do. */
	last: IsoDate;
	today: IsoDate;
}

/** "24 rods of dogwood on 12 December; they still do until 20 December." */
export function sayMove({ pieces, piece, kind, on, last, today }: NextMove): string {
	const what = `${pieces} ${pieces === 1 ? piece[0] : piece[1]} of ${kind}`;
	const when = on <= today ? 'now' : `on ${sayDate(on)}`;
	return `${what} ${when}${last > on ? `; until ${sayDate(last)} it is as good` : '; no later day is as good'}.`;
}

/** "Buy 6 Lavender by 1 May 2027, about €36." */
export const sayBuy = (of: { count: number; name: string; by: IsoDate; cost: number }, currency: string): string =>
	`Buy ${of.count} ${of.name} by ${sayDate(of.by)}, ${sayCost(of.cost, currency)}.`;

/** What so many pieces more of a batch are worth: "10 more: 95 times in 100 instead of 9 times in 10." */
export const sayMore = (more: number, before: number, then: number): string =>
	sayOdds(before) === sayOdds(then)
		? `${more} more would make it no surer than ${sayOdds(then)}.`
		: `${more} more: ${sayOdds(then)} instead of ${sayOdds(before)}.`;

export interface Replanned {
	/** "8 Daylily". */
	want: string;
	old: readonly { pieces: number; on: IsoDate }[];
	now: readonly { pieces: number; on: IsoDate }[];
	/** Plants to buy, as it was planned and then. */
	buys: readonly [number, number];
	/** Odds as it was planned, and then. */
	before: number;
	then: number;
}

/** "8 Daylily: strike 12 on 6 Aug 2027 instead of 11 on 30 Jul 2027; 98 times in 100 instead of 95 times in 100." */
export function sayReplanned({ want, old, now, buys: [bought, buying], before, then }: Replanned): string {
	const list = (all: Replanned['old']) => all.map((b) => `${b.pieces} on ${sayDate(b.on)}`).join(' and ');
	const struck =
		old.length === 0
			? now.length === 0
				? []
				: [`strike ${list(now)} as well`]
			: [now.length === 0 ? `leave out the ${list(old)}` : `strike ${list(now)} instead of ${list(old)}`];
	const number = (n: number) => (n === 0 ? 'none' : `${n}`);
	const what = [...struck, ...(bought === buying ? [] : [`buy ${number(buying)} instead of ${number(bought)}`])].join('; ');
	const odds =
		sayOdds(then) === sayOdds(before) ? `${sayOdds(then)} as before` : `${sayOdds(then)} instead of ${sayOdds(before)}`;
	return `${want}: ${what}; ${odds}.`;
}

/** What mends a want that has slipped: "12 slips of Sage now; until 3 Jul 2027 it is as good. Then 9 times in 10 you get all 9." */
export function sayRepair(
	first: NextMove | null,
	others: number,
	to: { odds: number; target: number; met: boolean; buys: number }
): string {
	if (!first && to.buys === 0) return 'Nothing that can still be struck mends it: the plan tells what else would.';
	const more = [
		...(others === 0 ? [] : [others === 1 ? 'another batch after it' : `${others} more batches after it`]),
		...(to.buys === 0 ? [] : [`${to.buys} bought`])
	];
	const then = more.length === 0 ? 'then' : `with ${more.join(' and ')}`;
	const all = to.target === 1 ? 'it' : `all ${to.target}`;
	const odds = `${capital(to.met ? then : `even ${then}`)} ${sayDoes(to.odds, 'you', 'get', all)}.`;
	return first ? `${sayMove(first)} ${odds}` : odds;
}

/** What holds a want back, as the subject of a sentence. */
export type Bind = 'minutes' | 'spend' | 'room' | 'ground' | 'stock' | 'time';

const BIND_WORDS: Record<Bind, string> = {
	minutes: 'your minutes a week',
	spend: 'what it may cost',
	room: 'the room you have',
	ground: 'the free ground of its bed',
	stock: 'what its stock can give',
	time: 'the time that is left'
};

/** "What its stock can give and the time that is left hold it back." */
export function sayBinds(by: readonly Bind[]): string {
	if (by.length === 0) return 'No one thing holds it back: it takes a change in more than one.';
	const words = by.map((b) => BIND_WORDS[b]);
	const list = words.length === 1 ? words[0]! : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;
	const many = words.length > 1 || by[0] === 'minutes';
	return `${capital(list)} ${many ? 'hold' : 'holds'} it back.${words.length > 1 ? ' More of any one of them would do.' : ''}`;
}

export type ChangeSaid =
	| { of: 'minutes'; more: number }
	| { of: 'spend'; more: number }
	| { of: 'room'; place: string; moreCm2: number }
	| { of: 'bed'; place: string }
	| { of: 'stock'; more: number; kind: string }
	| { of: 'due'; on: IsoDate }
	| { of: 'confidence'; to: number; from: number }
	| { of: 'number'; to: number; from: number }
	| {
			of: 'grow';
			rungs: readonly { on: IsoDate; pieces: number; plants: number }[];
			piece: readonly [string, string];
			due: IsoDate;
			/** Its first step is under way. */
			growing: boolean;
	  }
	| { of: 'money'; plants: number; cost: number };

/** "Grow the stock first: strike 12 cuttings on 3 May 2027 and keep the 9 that usually come of them; on 1 May 2028 strike 40 from all of them: by 30 Sep 2028". */
function sayLadder({ rungs, piece, due, growing }: Extract<ChangeSaid, { of: 'grow' }>): string {
	const steps = rungs.map((x, i) => {
		const what =
			i === 0
				? `strike ${x.pieces} ${x.pieces === 1 ? piece[0] : piece[1]} on ${sayDate(x.on)}${growing ? ', from all of them' : ''}`
				: `on ${sayDate(x.on)} strike ${x.pieces} from all of them`;
		if (i === rungs.length - 1) return what;
		return `${what} and keep ${x.plants === 0 ? 'what comes' : x.plants === 1 ? 'the one that usually comes' : `the ${x.plants} that usually come`} of ${x.pieces === 1 ? 'it' : 'them'}`;
	});
	return `${growing ? 'With the stock that you are growing' : 'Grow the stock first'}: ${steps.join('; ')}: by ${sayDate(due)}`;
}

/** A change that was seen to help, as something to do. */
export function sayChange(c: ChangeSaid, odds: number, units: UnitChoice, currency: string): string {
	const then = `: then ${sayOdds(odds)}.`;
	switch (c.of) {
		case 'minutes':
			return `${capital(sayMinutes(c.more))} more a week${then}`;
		case 'spend':
			return `${sayMoney(c.more, currency)} more to spend${then}`;
		case 'room':
			return `${capital(sayArea(c.moreCm2 / 10_000, units))} more room in ${c.place}${then}`;
		case 'bed':
			return `In ${c.place} instead${then}`;
		case 'stock':
			return `${c.more === 1 ? 'One more plant' : `${c.more} more plants`} of ${c.kind} to take from${then}`;
		case 'due':
			return `By ${sayDate(c.on)} instead${then}`;
		case 'confidence':
			return `As sure as ${Math.round(c.to * 100)} times in 100 instead of ${Math.round(c.from * 100)}: then it is met as it stands.`;
		case 'number':
			return `${c.to} instead of ${c.from}${then}`;
		case 'grow':
			return `${sayLadder(c)} ${sayOdds(odds)}.`;
		case 'money':
			return `Buy ${c.plants}, ${sayCost(c.cost, currency)}.`;
	}
}

/** What is done about it, as its button says it; null where nothing but doing it helps. */
export function sayDoing(c: ChangeSaid, of: { target: number; oneAge: boolean }, currency: string): string | null {
	switch (c.of) {
		case 'due':
			return `Have them by ${sayDate(c.on)}`;
		case 'number':
			return `Ask for ${c.to}`;
		case 'confidence':
			return `Ask for ${Math.round(c.to * 100)} times in 100`;
		case 'money':
			// Some bought and some grown would not grow up alike.
			return c.plants < of.target ? (of.oneAge ? null : `Buy ${c.plants} and grow the rest`) : `Buy ${c.plants}`;
		case 'minutes':
			return 'Give it more time';
		case 'spend':
			return `Let it cost ${sayMoney(c.more, currency)} more`;
		case 'room':
			return `Make more room in ${c.place}`;
		case 'bed':
			return `Plant them in ${c.place}`;
		case 'stock':
			return `Write another ${c.kind} down`;
		case 'grow':
			return c.growing ? null : 'Grow the stock first';
	}
}

export type ClashSaid =
	| { of: 'minutes'; on: IsoDate; over: number }
	| { of: 'money'; over: number }
	| { of: 'age'; want: string }
	| { of: 'room'; places: readonly string[]; on: IsoDate; overCm2: number }
	| { of: 'ground'; place: string; on: IsoDate }
	| { of: 'stock'; plant: string; on: IsoDate };

/** Where a plan changed by hand asks for more than there is. */
export function sayClash(c: ClashSaid, units: UnitChoice, currency: string): string {
	switch (c.of) {
		case 'money':
			return `It costs about ${sayMoney(Math.max(1, Math.round(c.over)), currency)} more than it may.`;
		case 'age':
			return `${c.want} would not grow up alike: for a hedge strike all by one way within a season.`;
		case 'minutes':
			return `In the week of ${sayDate(c.on)} it asks for ${sayMinutes(Math.max(1, c.over))} more than you have left.`;
		case 'room':
			return `In the week of ${sayDate(c.on)} ${sayArea(Math.max(100, c.overCm2) / 10_000, units)} is missing in ${c.places.length === 1 ? c.places[0]! : `${c.places.slice(0, -1).join(', ')} and ${c.places.at(-1)!} together`}.`;
		case 'ground':
			return `From ${sayDate(c.on)} on more is to stand in ${c.place} than its free ground takes.`;
		case 'stock':
			return `Around ${sayDate(c.on)} ${c.plant} is asked for more than it can give.`;
	}
}

/** Where a plan asks for nothing: all is in hand, or waits for its stock to grow, or nothing would help any more. */
export const sayNoMoves = (wants: readonly { standing: string; waits: boolean }[]): string =>
	wants.some((w) => w.standing !== 'in hand' && !w.waits)
		? 'Nothing that you could strike would give more of them in time.'
		: 'Nothing new needs striking.';
