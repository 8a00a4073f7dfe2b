/** What is said of a bed and of what fills it. */
import { sayDate } from '../dates.js';
import type { IsoDate } from '../dates.js';
import { sayNumber } from '../numbers.js';

const NTH = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

/** "in the third summer"; null is never. */
export function sayWhen(summers: number | null): string | null {
	if (summers === null) return null;
	const n = Math.max(1, Math.ceil(summers - 1e-9));
	return n <= NTH.length ? `in the ${NTH[n - 1]} summer` : `after some ${n} summers`;
}

/** When neighbours touch and when no earth is seen between them. */
export function sayCover(touch: number | null, closed: number | null): string {
	const [touches, closes] = [sayWhen(touch), sayWhen(closed)];
	if (touches === null) return 'They never touch: the earth between them stays bare.';
	if (closes === null) return `They touch ${touches}; earth is seen between them always.`;
	return touches === closes
		? `They touch and cover the earth ${touches}.`
		: `They touch ${touches} and cover the earth ${closes}.`;
}

/** Of another day than today. */
export const sayThen = (day: IsoDate, today: IsoDate): string =>
	day === today ? '' : day < today ? `As it stood on ${sayDate(day)}.` : `As it should stand on ${sayDate(day)}.`;

/** "36 plants fit"; "no plant fits". */
export const sayFits = (count: number): string =>
	count === 0 ? 'No plant fits' : `${sayNumber(count)} ${count === 1 ? 'plant fits' : 'plants fit'}`;

/** Of the same age, for what dies in its first two years. */
export const sayKeptBy = (spares: number): string =>
	spares === 0
		? ''
		: `Keep ${sayNumber(spares)} more of the same age by: 9 times in 10 ${spares === 1 ? 'that fills' : 'they fill'} every gap of the first two years.`;

/** In a hedge that stands. */
export const sayGaps = (plants: number): string =>
	plants === 0
		? 'Its gaps are no wider than the spacing: nothing is missing.'
		: `${sayNumber(plants)} ${plants === 1 ? 'fills' : 'fill'} its gaps.`;

/** What is in hand against what the bed takes. */
export function sayInHand(count: number, likely: number): string {
	if (likely <= 0) return '';
	if (likely >= count) return `You will have about ${sayNumber(likely)}: enough.`;
	return `You will have about ${sayNumber(likely)}: ${sayNumber(count - likely)} too few.`;
}
