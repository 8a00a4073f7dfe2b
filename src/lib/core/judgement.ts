/**
 * Figures that decide results and are no kind's own: what a batch's pieces share, when a pot must come in, how fast a
 * mix dries. Each subject keeps its own in one file, `judged.ts`, with meaning, unit and what it rests on, so that
 * they can be read, doubted and replaced; the page of sources lists them all.
 */
export interface Judged<V> {
	value: V;
	unit: string;
	what: string;
	source: string;
}
export type Figure = number | readonly number[] | Readonly<Record<string, number>>;

export const OWN = 'own judgement';
export const MEMORY = 'from memory';
export const PRACTICE = 'common practice, no source';

export function judged(value: number, unit: string, what: string, source: string): Judged<number>;
export function judged<V extends Figure>(value: V, unit: string, what: string, source: string): Judged<V>;
export function judged<V extends Figure>(value: V, unit: string, what: string, source: string): Judged<V> {
	return { value, unit, what, source };
}

/** "0.2", "0.7, 2, 6, 30", "outside 1.33, per day away 0.01". */
export function sayFigure(value: Figure): string {
	const number = (n: number) => String(Number(n.toPrecision(3)));
	if (typeof value === 'number') return number(value);
	if (Array.isArray(value)) return value.map(number).join(', ');
	return Object.entries(value)
		.map(([name, n]) => `${name.replace(/[A-Z_]/g, (c) => ` ${c === '_' ? '' : c.toLowerCase()}`)} ${number(n)}`)
		.join(', ');
}
