import type { Problem, Result } from '$lib/core/result.js';

/** Ends a transaction with a reason for people; turned back into a value at its edge. */
export class Refusal extends Error {
	constructor(readonly problem: Problem) {
		super(problem.sentence);
	}
}

export function must<T>(result: Result<T>): T {
	if (!result.ok) throw new Refusal(result.problem);
	return result.value;
}

export function no(code: string, sentence: string, path?: string): never {
	throw new Refusal(path === undefined ? { code, sentence } : { code, sentence, path });
}

/** Runs work that may refuse and gives the refusal back as a value. */
export async function attempt<T>(work: () => Promise<T>): Promise<Result<T>> {
	try {
		return { ok: true, value: await work() };
	} catch (error) {
		if (error instanceof Refusal) return { ok: false, problem: error.problem };
		throw error;
	}
}
