/**
 * From one plant to many: when to take cuttings, and how many of the rooted to keep as stock, so that what is wanted is
 * there on its dates with the fewest cuttings in all. Generations in whole numbers; the solver is handed in.
 */
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { holds } from '../solve/programme.js';
import type { Programme, Row, Solver } from '../solve/programme.js';

export interface GrowAsked {
	/** Periods 0 … T−1; dates 0 … T. */
	periods: number;
	/** Periods from cutting to rooted plant, 1 at least. */
	lag: number;
	initialStock: number;
	/** Cuttings that one stock plant gives in a period. */
	perStock: number;
	/** Share that survives, as a fraction. */
	survival: { num: number; den: number };
	/** Cuttings that the bench holds, by period. */
	bench: readonly number[];
	/** The most taken, by period; null where nothing but stock and bench limits it. */
	maxTake: readonly number[] | null;
	/** Rooted plants that leave on a date. */
	demand: readonly { date: number; quantity: number }[];
	/** On the last date stock plants may meet the demand as well. */
	stockCountsAtEnd: boolean;
}

export type Grown =
	| { status: 'optimal'; cuttings: number[]; promoted: number[]; total: number }
	| { status: 'infeasible'; cuttings: number[]; promoted: number[]; total: number };

/** c(0) … c(T−1), then m(0) … m(T−1). */
export function growProgramme(q: GrowAsked): Programme {
	const T = q.periods;
	const [C, M] = [(t: number) => t, (t: number) => T + t];
	const dueBy = (date: number) => q.demand.reduce((s, d) => s + (d.date <= date ? d.quantity : 0), 0);
	const rows: Row[] = [];
	const upTo = (t: number) => Array.from({ length: Math.max(0, t + 1) }, (_, i) => i);
	for (let t = 0; t < T; t++) {
		// Stock of the period: what there was, and all promoted up to it.
		rows.push({
			terms: [[C(t), 1], ...upTo(t).map((u) => [M(u), -q.perStock] as const)],
			least: -Infinity,
			most: q.perStock * q.initialStock
		});
		// Whatever was cut in the last periods of a lag stands on the bench.
		const standing = upTo(t).filter((u) => u > t - q.lag);
		rows.push({ terms: standing.map((u) => [C(u), 1] as const), least: -Infinity, most: q.bench[t]! });
	}
	for (let date = 0; date <= T; date++) {
		// num · arrived − den · (promoted + delivered) ≥ 0
		const arrived = upTo(date - q.lag).map((u) => [C(u), q.survival.num] as const);
		const last = date === T;
		const counts = last && q.stockCountsAtEnd;
		const promoted = upTo(Math.min(date, T - 1)).map((u) => [M(u), -q.survival.den + (counts ? q.survival.den : 0)] as const);
		rows.push({
			terms: [...arrived, ...promoted.filter(([, k]) => k !== 0)],
			least: q.survival.den * (dueBy(date) - (counts ? q.initialStock : 0)),
			most: Infinity
		});
	}
	const ceiling = Math.max(0, ...q.bench);
	return {
		worth: Array.from({ length: 2 * T }, (_, i) => (i < T ? -1 : 0)),
		most: Array.from({ length: 2 * T }, (_, i) => (i < T ? Math.min(q.bench[i]!, q.maxTake?.[i] ?? Infinity) : ceiling * T)),
		rows: rows.filter((r) => r.terms.length > 0 || r.least > 0)
	};
}

/** The fewest cuttings; refused where it could not be proven within the solver's time. */
export function grow(q: GrowAsked, solve: Solver): Result<Grown> {
	const T = q.periods;
	const programme = growProgramme(q);
	const never: Grown = { status: 'infeasible', cuttings: [], promoted: [], total: 0 };
	// A row with nothing in it that asks for something.
	if (programme.rows.some((r) => r.terms.length === 0 && r.least > 0)) return ok(never);
	const found = T === 0 ? { x: new Float64Array(0), worth: 0, proven: true } : solve(programme);
	if (!found) return ok(never);
	if (!found.proven || !holds(programme, found.x, 1e-9))
		return refuse('grow.unproven', 'That is too much to be worked out exactly: ask for fewer periods or smaller numbers.');
	const [cuttings, promoted] = [found.x.slice(0, T), found.x.slice(T)].map((x) => [...x]) as [number[], number[]];
	return ok({ status: 'optimal', cuttings, promoted, total: cuttings.reduce((a, b) => a + b, 0) });
}
