/**
 * Errors are values: a code for programs, a sentence for gardeners, and where it applies
 * the path of the input that is wrong.
 */
export interface Problem {
	code: string;
	sentence: string;
	path?: string;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const refuse = (code: string, sentence: string, path?: string): Result<never> => ({
	ok: false,
	problem: path === undefined ? { code, sentence } : { code, sentence, path }
});
