/**
 * Who spends the winter where: all that may not stay as it stands against the room of each place through the winter and
 * the minutes a week there are, so that what is worth most comes through most surely. Written as a programme of noughts
 * and ones; the solver is handed in.
 */
import type { Programme, Row, Solver, Terms } from '../solve/programme.js';
import { SHELTER } from './judged.js';

/** What it would be to lose it. */
export const WORTHS = ['gone', 'dear', 'easy'] as const;
export type Worth = (typeof WORTHS)[number];
const WORTH: Readonly<Record<Worth, number>> = SHELTER.worth.value;

export interface Choice {
	/** Null: outside, without a place. */
	place: string | null;
	/** How many of its plants go there; the rest is given away or let go. */
	keeps: number;
	/** Chance of one plant of it to live through the winter there, 0–1. */
	chance: number;
	/** Minutes a week that those want there. */
	minutes: number;
}

export interface Guest {
	id: string;
	/** Those of one group are copies of each other: the second in another place is worth more than its own odds. */
	group: string;
	worth: Worth;
	/** How many plants it is. */
	count: number;
	/** Room that all of it takes by PERIODS, cm². */
	area: readonly number[];
	/** Where it stands. */
	here: string | null;
	choices: readonly Choice[];
	/** It stays there, whatever is better; one of the choices. */
	pinned: string | null;
	/** Has something that others could catch: nobody stands with it. */
	apart: boolean;
}

/** Before the cold, in the dark of the year, and when what is kept growing has been potted on. */
export const PERIODS = ['autumn', 'midwinter', 'late winter'] as const;

export interface Room {
	id: string;
	/** cm²; null where nobody has said. */
	areaCm2: number | null;
	/** The place that it is a level of: what strikes one level strikes all of them. */
	of?: string | null;
}

export interface WinterAsked {
	guests: readonly Guest[];
	rooms: readonly Room[];
	/** For all of them; null where nobody has said. */
	minutesAWeek: number | null;
}

export interface WinterPlan {
	/** By guest: what it was given. */
	at: ReadonlyMap<string, Choice>;
	/** Rooms that hold more than they have room for, by what must be there. */
	overfull: readonly string[];
	worth: number;
	proven: boolean;
}

/** A dozen of one are worth more than one, but not twelve times: the last of them is what would be missed. */
export const valueOf = (worth: Worth, count: number): number => WORTH[worth] * Math.log2(1 + count);

/** Of a choice, cm². */
export const areaOf = (g: Pick<Guest, 'area' | 'count'>, c: Pick<Choice, 'keeps'>, period: number): number =>
	(g.area[period]! * c.keeps) / g.count;

/** Worth a walk: to carry it somewhere for less is to carry it for nothing. */
const CARRY = SHELTER.carry.value;
/** A minute a week all winter, against a plant that is easily had. */
const MINUTE = SHELTER.minute.value;
/** Of the value of a plant that cannot be had again: that another of it stands in a second place. */
const SECOND = SHELTER.second.value;

/** The programme, and which column is which choice of which guest. */
export function winterProgramme({ guests, rooms, minutesAWeek }: WinterAsked): {
	programme: Programme;
	columns: readonly (readonly [guest: number, choice: number])[];
	overfull: string[];
} {
	const worth: number[] = [];
	const columns: [number, number][] = [];
	const rows: Row[] = [];
	const of = guests.map((g, i) =>
		g.choices.map((c, k) => {
			columns.push([i, k]);
			const carried = c.place === g.here ? 0 : CARRY;
			worth.push(valueOf(g.worth, c.keeps) * c.chance - carried - c.minutes * MINUTE);
			return worth.length - 1;
		})
	);
	const free = (i: number) => guests[i]!.pinned === null;
	guests.forEach((g, i) => {
		rows.push({ terms: of[i]!.map((c) => [c, 1]), least: 1, most: 1 });
		if (g.pinned !== null) {
			const k = pinnedTo(g);
			if (k >= 0) rows.push({ terms: [[of[i]![k]!, 1]], least: 1, most: 1 });
		}
	});
	const into = (place: string): { i: number; c: number; choice: Choice }[] =>
		guests.flatMap((g, i) => g.choices.flatMap((choice, k) => (choice.place === place ? [{ i, c: of[i]![k]!, choice }] : [])));
	const overfull: string[] = [];
	for (const room of rooms) {
		const all = into(room.id);
		const held = guests.filter((g) => g.pinned === room.id);
		const others = all.filter(({ i }) => free(i));
		// One that has something stands alone: where one is held there, nobody else comes.
		const shut = held.some((g) => g.apart);
		if (room.areaCm2 !== null) {
			let over = false;
			PERIODS.forEach((_, t) => {
				const pinned = held.reduce((s, g) => s + g.area[t]!, 0);
				if (pinned > room.areaCm2!) over = true;
				const most = Math.max(0, room.areaCm2! - pinned);
				// It takes the whole room, however small it is: said so, the bounds are far tighter than by pairs alone.
				const terms: Terms = others.map(({ i, c, choice }) => {
					const area = areaOf(guests[i]!, choice, t);
					return [c, guests[i]!.apart ? Math.max(area, most) : area];
				});
				if (terms.length) rows.push({ terms, least: -Infinity, most });
			});
			if (over) overfull.push(room.id);
		}
		const sick = others.filter(({ i }) => guests[i]!.apart).map(({ c }): [number, number] => [c, 1]);
		if (sick.length > 0) rows.push({ terms: sick, least: -Infinity, most: held.length > 0 ? 0 : 1 });
		if (shut && others.length > 0) rows.push({ terms: others.map(({ c }) => [c, 1]), least: -Infinity, most: 0 });
		else if (sick.length > 0)
			for (const i of new Set(others.map((x) => x.i)))
				if (!guests[i]!.apart) {
					const mine = others.filter((x) => x.i === i).map(({ c }): [number, number] => [c, 1]);
					rows.push({ terms: [...mine, ...sick], least: -Infinity, most: 1 });
				}
	}
	if (minutesAWeek !== null) {
		const pinned = guests.reduce((s, g) => s + (g.pinned === null ? 0 : (g.choices[pinnedTo(g)]?.minutes ?? 0)), 0);
		const terms = guests.flatMap((g, i) =>
			free(i) ? g.choices.flatMap((c, k) => (c.minutes > 0 ? [[of[i]![k]!, c.minutes] as const] : [])) : []
		);
		if (terms.length) rows.push({ terms, least: -Infinity, most: Math.max(0, minutesAWeek - pinned) });
	}
	// Two places for what cannot be had again.
	const groups = new Map<string, number[]>();
	guests.forEach((g, i) => g.worth === 'gone' && groups.set(g.group, [...(groups.get(g.group) ?? []), i]));
	for (const members of groups.values()) {
		if (members.length < 2) continue;
		const second = worth.push(SECOND * WORTH.gone) - 1;
		columns.push([-1, -1]);
		const used: [number, number][] = [];
		const wholeOf = new Map(rooms.map((r) => [r.id, r.of ?? r.id]));
		for (const whole of new Set(wholeOf.values())) {
			const theirs = members.flatMap((i) =>
				guests[i]!.choices.flatMap((c, k) => (wholeOf.get(c.place ?? '') === whole ? [of[i]![k]!] : []))
			);
			if (theirs.length === 0) continue;
			const there = worth.push(0) - 1;
			columns.push([-1, -1]);
			used.push([there, 1]);
			rows.push({ terms: [[there, 1], ...theirs.map((c) => [c, -1] as const)], least: -Infinity, most: 0 });
		}
		rows.push({ terms: [[second, 2], ...used.map(([c]) => [c, -1] as const)], least: -Infinity, most: 0 });
	}
	return { programme: { worth, rows }, columns, overfull };
}

/** The choice of a pinned guest: all of it goes there. */
const pinnedTo = (g: Guest): number => g.choices.findIndex((c) => c.place === g.pinned && c.keeps === g.count);

/** More choices than these a solver is not asked at each visit: hundreds of batches go by what is gained for its room. */
export const MOST_CHOICES = 4_000;

const MOST_PASSES = 6;
/** What gains most for its room goes first, as long as there is room: quick, and not the best. */
export function greedyWinter({ guests, rooms, minutesAWeek }: WinterAsked): WinterPlan {
	const left = new Map(rooms.map((r) => [r.id, PERIODS.map(() => r.areaCm2 ?? Infinity)]));
	const held = new Map<string, Guest[]>();
	let minutes = minutesAWeek ?? Infinity;
	const at = new Map<string, Choice>();
	const takes = (g: Guest, c: Choice, sign: number) => {
		at.set(g.id, c);
		minutes -= sign * c.minutes;
		if (c.place === null || !left.has(c.place)) return;
		PERIODS.forEach((_, t) => (left.get(c.place!)![t]! -= sign * areaOf(g, c, t)));
		const there = held.get(c.place) ?? [];
		held.set(c.place, sign > 0 ? [...there, g] : there.filter((x) => x !== g));
	};
	const fits = (g: Guest, c: Choice) =>
		c.minutes <= minutes &&
		(c.place === null ||
			!left.has(c.place) ||
			(PERIODS.every((_, t) => areaOf(g, c, t) <= left.get(c.place!)![t]!) &&
				((held.get(c.place)?.length ?? 0) === 0 || !(g.apart || held.get(c.place)!.some((o) => o.apart)))));
	const gain = (g: Guest, c: Choice) => valueOf(g.worth, c.keeps) * c.chance;
	const net = (g: Guest, c: Choice) => gain(g, c) - (c.place === g.here ? 0 : CARRY) - c.minutes * MINUTE;
	for (const g of guests) if (g.pinned !== null) takes(g, g.choices[Math.max(0, pinnedTo(g))]!, 1);
	const free = guests.filter((g) => g.pinned === null);
	const offers = free
		.flatMap((g) => {
			const out = g.choices.find((c) => c.place === null || !left.has(c.place)) ?? g.choices[0]!;
			return g.choices.map((c) => ({ g, c, per: (gain(g, c) - gain(g, out)) / (1 + areaOf(g, c, 0)) }));
		})
		.sort((a, b) => b.per - a.per);
	for (const { g, c, per } of offers) if (per > 0 && !at.has(g.id) && fits(g, c)) takes(g, c, 1);
	for (const g of free)
		if (!at.has(g.id)) takes(g, g.choices.find((c) => c.place === null || !left.has(c.place)) ?? g.choices[0]!, 1);
	// A few of each came first: what room is left takes more of them, and what is better off elsewhere moves.
	for (let pass = 0, moved = true; moved && pass < MOST_PASSES; pass++) {
		moved = false;
		for (const g of free) {
			const was = at.get(g.id)!;
			takes(g, was, -1);
			const best = g.choices.reduce((a, c) => (net(g, c) > net(g, a) + 1e-9 && fits(g, c) ? c : a), was);
			takes(g, best, 1);
			moved ||= best !== was;
		}
	}
	const overfull = [...left].filter(([, by]) => by.some((cm2) => cm2 < -1e-6)).map(([id]) => id);
	return { at, overfull, worth: guests.reduce((s, g) => s + gain(g, at.get(g.id)!), 0), proven: false };
}

/** Where each is best off, all of them considered. */
export function assignWinter(asked: WinterAsked, solve: Solver): WinterPlan {
	if (asked.guests.reduce((n, g) => n + g.choices.length, 0) > MOST_CHOICES) return greedyWinter(asked);
	const { programme, columns, overfull } = winterProgramme(asked);
	const at = new Map<string, Choice>(asked.guests.map((g) => [g.id, g.choices[Math.max(0, pinnedTo(g))]!]));
	if (asked.guests.length === 0) return { at, overfull, worth: 0, proven: true };
	const solution = solve(programme);
	if (!solution) return { at, overfull, worth: Number.NaN, proven: false };
	columns.forEach(([i, k], c) => {
		if (i >= 0 && solution.x[c] === 1) at.set(asked.guests[i]!.id, asked.guests[i]!.choices[k]!);
	});
	return { at, overfull, worth: solution.worth, proven: solution.proven };
}
