/** What is said of a plan of all wants: what it gives, what is next, what holds a want back, what would help. */
import { sayDate } from '../dates.js';
import type { IsoDate } from '../dates.js';
import { sayMoney } from '../numbers.js';
import { capital, sayOdds } from '../odds/words.js';
import { sayArea, sayMinutes } from '../units/say.js';
import type { UnitChoice } from '../units/say.js';

/** "7 of 9 wants can be met as surely as you ask." */
export function sayMet(met: number, all: number): string {
	if (all === 0) return 'Nothing is wanted that is still to be planned.';
	if (all === 1)
		return met === 1 ? 'The one want can be met as surely as you ask.' : 'The one want can’t be met as surely as you ask.';
	if (met === 0) return `None of the ${all} wants can be met as surely as you ask.`;
	if (met === all) return `All ${all} wants can be met as surely as you ask.`;
	return `${met} of ${all} wants can be met as surely as you ask.`;
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

/** What holds a want back, as the subject of a sentence. */
export type Bind = 'minutes' | 'room' | 'stock' | 'time';

const BIND_WORDS: Record<Bind, string> = {
	minutes: 'your minutes a week',
	room: 'the room you have',
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
	| { of: 'room'; place: string; moreCm2: number }
	| { of: 'stock'; more: number; kind: string }
	| { of: 'due'; on: IsoDate }
	| { of: 'confidence'; to: number; from: number }
	| { of: 'number'; to: number; from: number }
	| { of: 'money'; plants: number; cost: number };

/** A change that was seen to help, as something to do. */
export function sayChange(c: ChangeSaid, odds: number, units: UnitChoice, currency: string): string {
	const then = `: then ${sayOdds(odds)}.`;
	switch (c.of) {
		case 'minutes':
			return `${capital(sayMinutes(c.more))} more a week${then}`;
		case 'room':
			return `${capital(sayArea(c.moreCm2 / 10_000, units))} more room in ${c.place}${then}`;
		case 'stock':
			return `${c.more === 1 ? 'One more plant' : `${c.more} more plants`} of ${c.kind} to take from${then}`;
		case 'due':
			return `By ${sayDate(c.on)} instead${then}`;
		case 'confidence':
			return `As sure as ${Math.round(c.to * 100)} times in 100 instead of ${Math.round(c.from * 100)}: then it is met as it stands.`;
		case 'number':
			return `${c.to} instead of ${c.from}${then}`;
		case 'money':
			return `Buy ${c.plants}, about ${sayMoney(c.cost, currency)}.`;
	}
}

export type ClashSaid =
	| { of: 'minutes'; on: IsoDate; over: number }
	| { of: 'room'; places: readonly string[]; on: IsoDate; overCm2: number }
	| { of: 'stock'; plant: string; on: IsoDate };

/** Where a plan changed by hand asks for more than there is. */
export function sayClash(c: ClashSaid, units: UnitChoice): string {
	switch (c.of) {
		case 'minutes':
			return `In the week of ${sayDate(c.on)} it asks for ${sayMinutes(Math.max(1, c.over))} more than you give.`;
		case 'room':
			return `In the week of ${sayDate(c.on)} ${sayArea(Math.max(100, c.overCm2) / 10_000, units)} is missing in ${c.places.length === 1 ? c.places[0]! : `${c.places.slice(0, -1).join(', ')} and ${c.places.at(-1)!} together`}.`;
		case 'stock':
			return `Around ${sayDate(c.on)} ${c.plant} is asked for more than it can give.`;
	}
}
