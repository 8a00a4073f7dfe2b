/** HiGHS as a solver of programmes: within a part in a hundred of the best unless it is asked for more. Only in a garden's thread or a test: it holds up whatever else the thread would do. */
import loadHighs from 'highs';
import type { Solvers } from '$lib/core/joint/index.js';
import { asLp } from '$lib/core/solve/programme.js';
import type { Relaxer, Solver } from '$lib/core/solve/programme.js';

export interface Limits {
	/** Seconds after which the best found so far is good enough. */
	seconds: number;
	/** How far from the best bound it may end and be called proven, as a share of it. */
	gap: number;
	/** Branches after which the best found so far is good enough: the same on every machine, as seconds are not. */
	nodes?: number;
}
const LIMITS: Limits = { seconds: 1.5, gap: 0.01 };

let loading: ReturnType<typeof loadHighs> | null = null;

export async function solver(limits: Limits = LIMITS): Promise<Solver> {
	const highs = await (loading ??= loadHighs());
	return (programme) => {
		const options = {
			...{ output_flag: false, time_limit: limits.seconds, mip_rel_gap: limits.gap, random_seed: 1, threads: 1 },
			...(limits.nodes === undefined ? {} : { mip_max_nodes: limits.nodes })
		};
		const { Status, Columns } = highs.solve(asLp(programme), options);
		if (Status === 'Infeasible' || Status === 'Primal infeasible or unbounded') return null;
		if (!ENDED.has(Status)) throw new Error(`The solver ended with “${Status}”.`);
		const x = Float64Array.from(programme.worth, (_, c) => {
			const column = Columns[`x${c}`];
			return column && 'Primal' in column ? Math.round(column.Primal) : 0;
		});
		// Out of time before anything was found.
		const worth = programme.worth.reduce((s, w, c) => s + w * x[c]!, 0);
		return { x, worth, proven: Status === 'Optimal' };
	};
}

/** With a solution, proven or the best so far. */
const ENDED: ReadonlySet<string> = new Set([
	'Optimal',
	'Time limit reached',
	'Solution limit reached',
	'Iteration limit reached'
]);

/** The same programmes with parts of columns allowed, and the prices of their rows. */
export async function relaxer(seconds = 5): Promise<Relaxer> {
	const highs = await (loading ??= loadHighs());
	return (programme) => {
		const solved = highs.solve(asLp(programme, true), { output_flag: false, time_limit: seconds, random_seed: 1, threads: 1 });
		if (solved.Status !== 'Optimal') return null;
		const x = Float64Array.from(programme.worth, (_, c) => {
			const column = solved.Columns[`x${c}`];
			return column && 'Primal' in column ? column.Primal : 0;
		});
		const prices = new Float64Array(programme.rows.length);
		for (const row of solved.Rows) {
			const at = 'Name' in row ? /^[rs](\d+)$/.exec(row.Name) : null;
			if (at && 'Dual' in row) prices[Number(at[1])]! += row.Dual;
		}
		return { x, worth: programme.worth.reduce((s, w, c) => s + w * x[c]!, 0), prices };
	};
}

/** To the very best, however long: what others are held to. */
export const exactly = async (): Promise<Solvers> => ({ whole: await solver({ seconds: 20, gap: 0 }), relaxed: await relaxer() });

/**
 * A garden of a dozen wants ends with what is proven best, however loaded the machine: the same question has the same
 * plan. Of many wants the best found in some seconds is within a part in a hundred, and is what people wait for.
 */
export const solversOf = async (wants: number): Promise<Solvers> => ({
	whole: await solver({ seconds: wants <= FEW_WANTS ? 20 : 3, gap: 0.005, nodes: 300 }),
	relaxed: await relaxer()
});
const FEW_WANTS = 20;
