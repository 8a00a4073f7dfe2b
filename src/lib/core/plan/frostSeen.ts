/** What frost has done: the coldest night since plants were last seen alive, against what they bear where they stood. */
import type { DayNumber } from '../dates.js';
import { nightOf, oneNight } from '../season/cold.js';
import { livesThrough } from './winter.js';
import type { PlantCold } from './winter.js';

export interface ColdNight {
	lowC: number;
	highC: number;
	/** How hardened the plants were by what had gone before, 0–1. */
	hardened: number;
	on: DayNumber;
	/** Above the ground in a pot, where roots freeze through. */
	inPots: boolean;
}

export interface FrostSeen extends Pick<ColdNight, 'lowC' | 'on' | 'inPots'> {
	/** The night's low in the garden's own degrees. */
	said: string;
	/** Chance that the plants lived through it: one night hits all of them alike. */
	alive: number;
	/** At rest they would have borne it. */
	soft: boolean;
}

/** Where a night is no danger nobody is asked to look. */
const SAFE = 0.9;

/** What the worst of some nights did; null where none of them was a danger. */
export function frostSeen(kind: PlantCold, nights: Iterable<ColdNight>, say: (lowC: number) => string): FrostSeen | null {
	let worst: FrostSeen | null = null;
	for (const night of nights) {
		const { lowC, on, inPots } = night;
		const lives = (hardened: number) => livesThrough(kind, oneNight(nightOf(lowC, night.highC), hardened), inPots);
		const alive = lives(night.hardened);
		if (alive < SAFE && (worst === null || alive < worst.alive))
			worst = { lowC, on, inPots, alive, said: say(lowC), soft: lives(1) >= SAFE };
	}
	return worst;
}

/** In words: what is believed until somebody looks. */
export function sayFate(alive: number, count: number): string {
	const them = count === 1 ? 'it' : 'they';
	const are = count === 1 ? 'is' : 'are';
	if (alive < 0.05) return `${them} ${are} almost certainly dead`;
	if (alive < 0.4) return `${them} ${are} probably dead`;
	if (alive < 0.8) return `${them} may be dead`;
	return `${them} probably came through`;
}

/** How cold it was, and what that did. */
export const sayFell = ({ said, soft, alive }: FrostSeen, count: number): string =>
	`${said} where ${count === 1 ? 'it stands' : 'they stand'}${
		soft ? `, before ${count === 1 ? 'it was' : 'they were'} hardened` : ''
	}: ${sayFate(alive, count)}`;

/** A word for a list. */
export const fateWord = (alive: number): string =>
	alive < 0.05
		? 'killed by frost, by all odds'
		: alive < 0.4
			? 'probably killed by frost'
			: alive < 0.8
				? 'perhaps killed by frost'
				: 'frost to be looked for';
