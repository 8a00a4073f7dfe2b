/** Height by year, and the ball and pot of a move, in words. */
import { isoOf, plainDate, sayDate } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { potFor } from '../mix/potOn.js';
import type { PotChoice } from '../mix/potOn.js';
import { ballOf, roundTall } from './tall.js';

const listed = new Intl.ListFormat('en', { type: 'conjunction' });
/** "November 2028". */
const month = (day: DayNumber): string => plainDate(day).toLocaleString('en', { month: 'long', year: 'numeric' });

/** "About 20 cm tall by November 2028 and 25 cm by November 2029." Blank where no year is told. */
export function sayYears(years: readonly { on: DayNumber; cm: number }[], say: (cm: number) => string): string {
	if (years.length === 0) return '';
	const each = years.map((y, i) => `${say(roundTall(y.cm))}${i === 0 ? ' tall' : ''} by ${month(y.on)}`);
	return `About ${listed.format(each)}.`;
}

/** The pots that one lifts with: what fits the usual ball, with the next smaller and the next bigger. */
export function potsForBall(ballCm: number, pots: readonly PotChoice[]): { fits: string; beside: string[] } | null {
	const fits = potFor(ballCm, pots).pot;
	if (!fits) return null;
	const step = (by: number) => potFor(Math.max(1, ballCm * by), pots).pot?.name ?? null;
	const beside = [step(1 / 1.4), step(1.4)].filter((p): p is string => p !== null && p !== fits.name);
	return { fits: fits.name, beside: [...new Set(beside)] };
}

const article = (thing: string): string => (/^[aeiou8]/i.test(thing) ? `an ${thing}` : `a ${thing}`);

/** How it is moved from the row to where it is to stand. */
export function sayLift(cm: number, on: DayNumber, pots: readonly PotChoice[], say: (cm: number) => string): string {
	const ball = ballOf(cm);
	const moved = `Lifted about ${sayDate(isoOf(on))} at ${say(roundTall(cm))}, with a ball about ${say(roundTall(ball))} across, straight into its hole.`;
	const into = potsForBall(ball, pots);
	if (!into) return `${moved} A ball so wide that must wait is wrapped in sacking and kept damp.`;
	const sizes = into.beside.length ? `; have ${listed.format(into.beside.map(article))} by you too, for balls differ` : '';
	return `${moved} One that must wait goes into ${article(into.fits)}${sizes}.`;
}
