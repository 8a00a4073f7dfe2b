/** A mixed-integer programme as plain data: whoever has a solver is handed it, and nothing here knows which one. */

/** Terms of a row: which column, times how much. */
export type Terms = readonly (readonly [column: number, times: number])[];

export interface Row {
	terms: Terms;
	/** At least and at most; infinite where there is no such bound. */
	least: number;
	most: number;
}

/** Maximise `worth · x` over columns that are whole numbers from 0 on, under the rows. */
export interface Programme {
	worth: readonly number[];
	/** The most that each column may be; 1 for all of them if left out. */
	most?: readonly number[];
	rows: readonly Row[];
}

export interface Solution {
	/** Whole numbers by column. */
	x: Float64Array;
	worth: number;
	/** No better one exists, within what the solver was asked for; false where time ran out on the way. */
	proven: boolean;
}
/** Null where no choice satisfies the rows. */
export type Solver = (p: Programme) => Solution | null;

const number = (n: number): string => (Number.isInteger(n) ? String(n) : n.toPrecision(12));
const sum = (terms: Terms): string =>
	terms.map(([c, t]) => `${t < 0 ? '-' : '+'} ${number(Math.abs(t))} x${c}`).join('\n ') || '0 x0';

/** The same with parts of columns allowed: the most it can be worth, and what one more of each row's limit would add. */
export interface Relaxed {
	x: Float64Array;
	worth: number;
	/** By row; 0 where its limit is not reached. */
	prices: Float64Array;
}
export type Relaxer = (p: Programme) => Relaxed | null;

/** In the LP format that solvers read (CPLEX's, as its manual has it): a term a line, for lines may not be long. */
export function asLp({ worth, rows, most }: Programme, parts = false): string {
	const out = ['Maximize', ` worth: ${sum(worth.map((w, c) => [c, w] as const).filter(([, w]) => w !== 0))}`, 'Subject To'];
	rows.forEach(({ terms, least, most: top }, r) => {
		if (least === top) out.push(` r${r}: ${sum(terms)} = ${number(top)}`);
		else {
			if (top < Infinity) out.push(` r${r}: ${sum(terms)} <= ${number(top)}`);
			if (least > -Infinity) out.push(` s${r}: ${sum(terms)} >= ${number(least)}`);
		}
	});
	if (parts) out.push('Bounds', ...worth.map((_, c) => ` 0 <= x${c} <= ${number(most?.[c] ?? 1)}`), 'End');
	if (parts) return out.join('\n');
	if (most) out.push('Bounds', ...most.map((m, c) => ` 0 <= x${c} <= ${number(m)}`));
	out.push(most ? 'General' : 'Binary', ...worth.map((_, c) => ` x${c}`), 'End');
	return out.join('\n');
}

/** Are the rows satisfied, but for rounding? */
export const holds = ({ rows }: Programme, x: ArrayLike<number>, slack = 1e-6): boolean =>
	rows.every(({ terms, least, most }) => {
		const is = terms.reduce((s, [c, t]) => s + t * x[c]!, 0);
		const room = slack * Math.max(1, ...terms.map(([, t]) => Math.abs(t)));
		return is >= least - room && is <= most + room;
	});

export const worthOf = ({ worth }: Programme, x: ArrayLike<number>): number => worth.reduce((s, w, c) => s + w * x[c]!, 0);
