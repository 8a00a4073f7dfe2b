/** Words of the winter's work. */
/** Days until a shelter that was seen to is told again. */
export const LIKELIEST = 2;
const MOST_NAMED = 3;

/** "Fuchsia, Marguerite and 2 more". */
export function named(names: readonly string[]): string {
	const all = [...new Set(names)];
	const shown = all.slice(0, MOST_NAMED);
	if (all.length > MOST_NAMED) return `${shown.join(', ')} and ${all.length - MOST_NAMED} more`;
	return shown.length < 2 ? (shown[0] ?? '') : `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}`;
}
