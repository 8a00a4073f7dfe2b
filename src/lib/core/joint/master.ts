/**
 * The best choice of patterns: a programme with a row for each want and each thing that there is only so much of.
 * Prices of the rows tell which patterns are worth being in it; they also give a bound that holds for all patterns that
 * were looked at (Lagrange: whatever the prices, Σ min over a want's patterns of cost + price · asks, less price · limits).
 */
import type { Programme, Relaxer, Row, Solver } from '../solve/programme.js';
import type { Choosing } from './descend.js';
import type { Pattern } from './patterns.js';

export interface Solvers {
	whole: Solver;
	relaxed: Relaxer;
}

/** Patterns of each want in the first programme, and those that each round of prices adds. */
const FIRST = 24;
const MORE = 12;
const ROUNDS = 5;
/** At the end so many of each, the cheapest by the prices: a wide pool is what makes whole numbers good. */
const LAST = 60;

export interface Master {
	chosen: Pattern[] | null;
	bound: number;
	proven: boolean;
}

/** @param stopped asked between its programmes: nothing is chosen then */
export function master(
	of: Choosing,
	incumbent: readonly (Pattern | null)[],
	{ whole, relaxed }: Solvers,
	stopped: () => boolean = () => false
): Master {
	const active = of.pools.map((pool, w) => new Set(spread(pool, FIRST).concat(incumbent[w] ?? [])));
	let bound = -Infinity;
	let prices: Map<number, number> = new Map();
	for (let round = 0; round < ROUNDS; round++) {
		if (stopped()) return { chosen: null, bound, proven: false };
		const { programme, columns, rows } = programmeOf(of, active);
		const told = relaxed(programme);
		if (!told) break;
		prices = new Map(rows.map((row, i) => [row, Math.max(0, told.prices[of.pools.length + i]!)]));
		const priced = of.pools.map((pool) => pool.map((p) => priceOf(p, prices)));
		let at = 0;
		for (const [row, price] of prices) at -= price * of.limits[row]!;
		bound = Math.max(
			bound,
			priced.reduce((sum, list) => sum + list.reduce((a, b) => Math.min(a, b), Infinity), at)
		);
		const worth = told.worth;
		if (columns.length === 0 || emptyCost(of) - worth - bound < 1e-6 * Math.max(1, Math.abs(bound))) break;
		let added = 0;
		of.pools.forEach((pool, w) => {
			const order = pool.map((p, i) => [priced[w]![i]!, p] as const).sort((a, b) => a[0] - b[0]);
			let more = 0;
			for (const [, p] of order.slice(0, LAST)) {
				if (more >= MORE) break;
				if (active[w]!.has(p)) continue;
				active[w]!.add(p);
				more++;
			}
			added += more;
		});
		if (added === 0) break;
	}
	of.pools.forEach((pool, w) => {
		const order = pool.map((p) => [priceOf(p, prices), p] as const).sort((a, b) => a[0] - b[0]);
		for (const [, p] of order.slice(0, LAST)) active[w]!.add(p);
	});
	const { programme, columns } = programmeOf(of, active);
	const solved = stopped() ? null : whole(programme);
	if (!solved) return { chosen: null, bound, proven: false };
	const chosen = of.pools.map((pool) => emptyIn(pool));
	columns.forEach((p, c) => {
		if (solved.x[c]! > 0.5) chosen[p.want] = p;
	});
	return { chosen, bound, proven: solved.proven };
}

const emptyIn = (pool: readonly Pattern[]): Pattern => pool.find((p) => p.empty)!;
const emptyCost = (of: Choosing): number => of.pools.reduce((sum, pool) => sum + emptyIn(pool).cost, 0);

function priceOf(p: Pattern, prices: ReadonlyMap<number, number>): number {
	let price = p.cost;
	for (let i = 0; i < p.asks.rows.length; i++) price += (prices.get(p.asks.rows[i]!) ?? 0) * p.asks.amounts[i]!;
	return price;
}

/** The cheapest, and the cheapest of each way, stock plant and quarter of a year: what prices will ask for is among them. */
function spread(pool: readonly Pattern[], most: number): Pattern[] {
	const chosen = pool.slice(0, most / 2);
	const seen = new Set(chosen.map(kindOf));
	for (const p of pool) {
		if (chosen.length >= most) break;
		if (seen.has(kindOf(p))) continue;
		seen.add(kindOf(p));
		chosen.push(p);
	}
	return chosen;
}
const kindOf = (p: Pattern): string =>
	p.parts.map((x) => `${x.c.way.id} ${x.c.source.id} ${Math.floor(x.c.on / 91)}`).join(' ') + ` ${Math.round(p.odds * 5)}`;

interface Columns {
	programme: Programme;
	columns: Pattern[];
	/** Rows of the garden, after those of the wants. */
	rows: number[];
}

/** Only rows that could be overfilled are written: the rest hold whatever is chosen. */
function programmeOf(of: Choosing, active: readonly ReadonlySet<Pattern>[]): Columns {
	const columns = active.flatMap((set) => [...set].filter((p) => !p.empty));
	const could = new Float64Array(of.limits.length);
	for (const set of active) {
		const most = new Map<number, number>();
		for (const p of set) p.asks.rows.forEach((row, i) => most.set(row, Math.max(most.get(row) ?? 0, p.asks.amounts[i]!)));
		for (const [row, amount] of most) could[row]! += amount;
	}
	const rows: number[] = [];
	could.forEach((amount, row) => {
		if (amount > of.limits[row]!) rows.push(row);
	});
	const place = new Map(rows.map((row, i) => [row, i]));
	const terms: [number, number][][] = rows.map(() => []);
	const ofWant: [number, number][][] = of.pools.map(() => []);
	const empty = of.pools.map((pool) => emptyIn(pool).cost);
	columns.forEach((p, c) => {
		ofWant[p.want]!.push([c, 1]);
		p.asks.rows.forEach((row, i) => {
			const at = place.get(row);
			if (at !== undefined && p.asks.amounts[i]! > 0) terms[at]!.push([c, p.asks.amounts[i]!]);
		});
	});
	const all: Row[] = [
		...ofWant.map((t): Row => ({ terms: t, least: -Infinity, most: 1 })),
		...terms.map((t, i): Row => ({ terms: t, least: -Infinity, most: of.limits[rows[i]!]! }))
	];
	return { programme: { worth: columns.map((p) => empty[p.want]! - p.cost), rows: all }, columns, rows };
}
