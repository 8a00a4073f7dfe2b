/**
 * Odds as a gardener says them: counts of ten, and only towards the ends of a hundred, where "9 in 10" and "99 in
 * 100" are different promises. Nothing else says a chance.
 */
import { ODDS } from './judged.js';

type Told = { certain: 'almost certain' | 'hardly ever' } | { times: number; of: 10 | 100 };

function told(p: number): Told {
	if (p >= 0.995) return { certain: 'almost certain' };
	if (p < 0.005) return { certain: 'hardly ever' };
	if (p >= 0.985) return { times: 99, of: 100 };
	if (p >= 0.965) return { times: 98, of: 100 };
	if (p >= 0.925) return { times: 95, of: 100 };
	if (p < 0.015) return { times: 1, of: 100 };
	if (p < 0.035) return { times: 2, of: 100 };
	if (p < 0.075) return { times: 5, of: 100 };
	return { times: Math.min(9, Math.max(1, Math.round(p * 10))), of: 10 };
}

/** "9 times in 10", "1 time in 100", "almost certain", "hardly ever". */
export function sayOdds(p: number): string {
	const t = told(p);
	return 'certain' in t ? t.certain : `${t.times} ${t.times === 1 ? 'time' : 'times'} in ${t.of}`;
}

/** The same in few characters, for small places: "9 in 10". */
export function sayOddsShort(p: number): string {
	const t = told(p);
	return 'certain' in t ? t.certain : `${t.times} in ${t.of}`;
}

/** "4 in 10 that a night falls to 3 °C within the week." */
export function sayThat(p: number, clause: string): string {
	const t = told(p);
	if (!('certain' in t)) return `${sayOddsShort(p)} that ${clause}`;
	return t.certain === 'almost certain' ? `almost certain that ${clause}` : `hardly any chance that ${clause}`;
}

/** "9 times in 10 you get 12 or more", "you almost certainly get 12 or more". */
export function sayDoes(p: number, subject: string, verb: string, rest: string): string {
	const t = told(p);
	if (!('certain' in t)) return `${sayOdds(p)} ${subject} ${verb} ${rest}`;
	return `${subject} ${t.certain === 'almost certain' ? 'almost certainly' : t.certain} ${verb} ${rest}`;
}

interface Spread {
	p05: number;
	p50: number;
	p95: number;
}

/** How many it comes to: "usually 4, and 9 times in 10 between 2 and 5", "almost always 4", "don’t count on any". */
export function sayCount({ p05, p50, p95 }: Spread): string {
	if (p50 === 0) return `don’t count on any${p95 > 0 ? `; at best ${p95}` : ''}`;
	if (p05 === p95) return `almost always ${p50}`;
	return `usually ${p50}, and 9 times in 10 between ${p05} and ${p95}`;
}

/**
 * The same of pieces on their way to the ground.
 * @param pots they are wanted in their pots, and count once they are ready
 */
export function sayPlanted({ p05, p50, p95 }: Spread, pots = false): string {
	const there = pots ? 'ready in pots' : 'planted';
	if (p50 === 0)
		return `Don’t count on any of these being ${there}${p95 > 0 ? `; at best ${p95} ${p95 === 1 ? 'is' : 'are'}` : ''}`;
	const end = p50 === 1 ? 'ends' : 'end';
	if (p05 === p95) return `Of these almost always ${p50} ${end} up ${there}`;
	return `Of these usually ${p50} ${end} up ${there}, 9 times in 10 between ${p05} and ${p95}`;
}

/** A sentence begins with it. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A share of many, as a person would count it: "about 7 in 10", "nearly all", "hardly any". */
export function sayShare(p: number): string {
	if (p >= 0.95) return 'nearly all';
	if (p < 0.05) return 'hardly any';
	return `about ${Math.min(9, Math.max(1, Math.round(p * 10)))} in 10`;
}

/** A word that stands beside the number wherever odds are judged. */
export type Standing = 'in hand' | 'likely' | 'in doubt' | 'unlikely';

const LIKELY = ODDS.likely.value;

/** Chances are told to the nearest hundredth: what would be told as kept is kept. */
export const HUNDREDTH = 0.005;

/** Judged against what the person asked for. */
export function standing(p: number, wished: number): Standing {
	if (p >= wished - HUNDREDTH) return 'in hand';
	if (p >= Math.max(LIKELY, wished * 0.8)) return 'likely';
	if (p >= 0.3) return 'in doubt';
	return 'unlikely';
}

/** What rounds to what was asked for and is less says so. */
export const notQuite = (p: number, wished: number): '' | 'not quite ' =>
	standing(p, wished) !== 'in hand' && sayOdds(p) === sayOdds(wished) ? 'not quite ' : '';

/** Odds beside what was asked for: "not quite 8 times in 10". */
export const sayOddsAsked = (p: number, wished: number): string => `${notQuite(p, wished)}${sayOdds(p)}`;
