/**
 * What is given, as the same thing as long as nothing in it has changed: a field that is filled from it and then typed over
 * keeps what was typed when the page's data is read anew (an undo, a clock, another hand's work), and follows what changes.
 *
 * const asked = $derived.by(steady(() => data.asked));
 * let count = $derived(asked.count);
 */
export function steady<T>(given: () => T): () => T {
	let kept: { value: T; written: string } | null = null;
	return () => {
		const value = given();
		const written = JSON.stringify(value) ?? '';
		if (kept?.written !== written) kept = { value, written };
		return kept.value;
	};
}
