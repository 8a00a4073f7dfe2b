/** The one sentence of the bench: is it rooted yet, when to look, when to give up. */
import { isoOf, sayDate, yearOf } from '../dates.js';
import { sayShare } from './words.js';
import type { DayNumber } from '../dates.js';

export interface RootingFacts {
	/** Pieces not known to have rooted. */
	unrooted: number;
	/** Chance that one of them has by now, and that one of them ever will. */
	now: number;
	ever: number;
	/** Days; null when out of reach. */
	eighty: DayNumber | null;
	look: DayNumber | null;
	giveUp: DayNumber | null;
	today: DayNumber;
}

/** The year is told where it is another. */
const dayFrom = (today: DayNumber) => (day: DayNumber) => sayDate(isoOf(day), yearOf(day) !== yearOf(today));

/** What hardly will root any more. */
export const GIVEN_UP = 'given up';

/** Heading in two or three words, for lists. */
export function rootedWord(f: RootingFacts): string {
	if (f.ever < 0.1 && f.now < 0.05) return GIVEN_UP;
	const share = f.ever > 0 ? f.now / f.ever : 0;
	return share >= 0.8
		? 'probably rooted'
		: share >= 0.4
			? 'about half rooted'
			: share >= 0.1
				? 'first ones rooting'
				: 'not yet rooted';
}

export function rootingSentence(f: RootingFacts): string {
	const word = rootedWord(f);
	const on = dayFrom(f.today);
	if (word === GIVEN_UP)
		return `The ${f.unrooted === 1 ? 'one' : f.unrooted} left will hardly root any more: fewer than 1 in 10. Give the room to others.`;
	const head = {
		'probably rooted': 'Probably rooted',
		'about half rooted': 'Perhaps half have rooted',
		'first ones rooting': 'A few may have rooted',
		'not yet rooted': 'Not rooted yet'
	}[word]!;
	const parts = [`${head}: ${sayShare(f.now)} of ${f.unrooted === 1 ? 'such pieces' : `the ${f.unrooted}`} by today.`];
	if (word !== 'probably rooted')
		parts.push(
			f.eighty === null
				? f.giveUp === null
					? 'It is too cold there for roots to come within a year.'
					: 'It is too cold there for the rest to root.'
				: `Most of those that will have rooted by ${on(f.eighty)}.`
		);
	if (f.look !== null)
		parts.push(
			f.look <= f.today ? 'A look is worth it now.' : `Look on ${on(f.look)}: an earlier look does more harm than good.`
		);
	if (f.giveUp !== null && f.giveUp > f.today) parts.push(`After ${on(f.giveUp)} give up what has not rooted.`);
	else if (f.giveUp !== null) parts.push('What has not rooted by now hardly will.');
	return parts.join(' ');
}
