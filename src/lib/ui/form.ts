import { getContext, setContext } from 'svelte';
import type { Problem } from '$lib/core/result.js';

const KEY = Symbol('form problem');

/** Names that the field of a problem may have: "last_frost.sd" is typed in last_frost_sd, "shape.lengthM" in lengthM. */
export const fieldsAt = (path: string): string[] => [path.replaceAll('.', '_'), ...path.split('.').reverse()];

/** The problem of the form around, so that a field can say what is wrong with it. */
export const provideProblem = (read: () => Problem | null): void => void setContext(KEY, read);

export function problemFor(name: () => string): () => string | null {
	const read = getContext<(() => Problem | null) | undefined>(KEY);
	return () => {
		const problem = read?.();
		return problem?.path && fieldsAt(problem.path).includes(name()) ? problem.sentence : null;
	};
}

/** What a number field holds; null while it is empty or half typed. */
export function numberOf(value: unknown): number | null {
	if (value === null || value === undefined || value === '') return null;
	const n = Number(value);
	return Number.isFinite(n) ? n : null;
}
