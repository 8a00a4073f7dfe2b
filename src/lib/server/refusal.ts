import type { Problem, Result } from '$lib/core/result.js';

/** Ends a transaction with a reason for people; turned back into a value at its edge. */
export class Refusal extends Error {
	constructor(readonly problem: Problem) {
		super(problem.sentence);
	}
}

/** The value, or the end of the transaction with its reason. */
export function orThrow<T>(result: Result<T>): T {
	if (!result.ok) throw new Refusal(result.problem);
	return result.value;
}

/** Ends the transaction with a reason. */
export function refuseWith(code: string, sentence: string, path?: string): never {
	throw new Refusal(path === undefined ? { code, sentence } : { code, sentence, path });
}

/** PostgreSQL's codes of what its constraints refuse: a row that others point at, a row that is there. */
const FOREIGN_KEY = '23503';
const TWICE = '23505';

/** Runs work that may refuse and gives the refusal back as a value. */
export async function asResult<T>(work: () => Promise<T>): Promise<Result<T>> {
	try {
		return { ok: true, value: await work() };
	} catch (error) {
		if (error instanceof Refusal) return { ok: false, problem: error.problem };
		// The database holds it as well: state that other state points at stays.
		if ((error as { code?: string }).code === FOREIGN_KEY)
			return {
				ok: false,
				problem: { code: 'ledger.leaned-on', sentence: 'Other entries name it still: undo or change those first.' }
			};
		if ((error as { code?: string }).code === TWICE)
			return { ok: false, problem: { code: 'ledger.twice', sentence: 'That is there already, under another entry.' } };
		throw error;
	}
}
