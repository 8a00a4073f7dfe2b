/** How many rows of a long list a screen shows: as many as a person reads, and more when they ask. */
export const ROWS = 60;
const MOST_ROWS = 6_000;

export function rowsAsked(text: string | null, atFirst = ROWS): number {
	const n = Number(text);
	return text !== null && Number.isInteger(n) ? Math.max(atFirst, Math.min(MOST_ROWS, n)) : atFirst;
}
