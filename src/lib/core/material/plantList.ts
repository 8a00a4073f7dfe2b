/** A list of plants as people keep it in a spreadsheet: which column is what, and what a row says. */
import { readNumber } from '../numbers.js';

export const COLUMNS = ['plant', 'label', 'count', 'size', 'age', 'place', 'condition'] as const;
export type Column = (typeof COLUMNS)[number];
export const COLUMN_WORDS: Record<Column, string> = {
	plant: 'Plant',
	label: 'Name on its label',
	count: 'How many alike',
	size: 'Size',
	age: 'Age in years',
	place: 'Where it stands',
	condition: 'Condition'
};
/** Heads that people give such columns. */
const HEADS: Record<Column, RegExp> = {
	plant: /^(plant|kind|species|name|common name|what)$/i,
	label: /^(label|variety|cultivar|form|name on its label)$/i,
	count: /^(count|number|how many|qty|quantity|no\.?|pieces)( alike)?$/i,
	size: /^(size|height|width|cm|diameter)( \(?cm\)?| \(?in\)?)?$/i,
	age: /^age( in years| \(years\))?$/i,
	place: /^(place|where|bed|location|where it stands)$/i,
	condition: /^(condition|health|state)$/i
};

export const MOST_ROWS = 1_000;
export const MOST_COLUMNS = 60;

/** Which column is most likely what, by the heads; null where none is. */
export function guessColumns(heads: readonly string[]): Record<Column, number | null> {
	const taken = new Set<number>();
	return Object.fromEntries(
		COLUMNS.map((c) => {
			const at = heads.findIndex((h, i) => !taken.has(i) && HEADS[c].test(h.trim()));
			if (at >= 0) taken.add(at);
			return [c, at < 0 ? null : at];
		})
	) as Record<Column, number | null>;
}

export interface KindName {
	id: string;
	/** Common, botanical and other names. */
	names: readonly string[];
}
const plain = (s: string) =>
	s
		.normalize('NFKD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, ' ')
		.trim();

/** The kind that a name means: the same name, or the only one of which it is a part; null where it is none or several. */
export function kindNamed(name: string, kinds: readonly KindName[]): string | null {
	const asked = plain(name);
	if (asked === '') return null;
	const same = kinds.filter((k) => k.names.some((n) => plain(n) === asked));
	if (same.length === 1) return same[0]!.id;
	const words = asked.split(' ');
	const part = kinds.filter((k) => k.names.some((n) => words.every((w) => plain(n).split(' ').includes(w))));
	return part.length === 1 ? part[0]!.id : null;
}

export interface ListedPlant {
	name: string;
	label: string;
	count: number;
	/** As written: the garden's units decide what it means. NaN where it is no number. */
	size: number | null;
	age: number | null;
	place: string;
	condition: 'strong' | 'fair' | 'weak';
}

/** What a row says by the columns that were chosen; what is not told is taken as usual. */
export function readRow(row: readonly string[], at: Record<Column, number | null>): ListedPlant {
	const cell = (c: Column) => (at[c] === null ? '' : (row[at[c]] ?? '').trim());
	const condition = cell('condition').toLowerCase();
	return {
		name: cell('plant'),
		label: cell('label').slice(0, 80),
		count: readNumber(cell('count')) ?? 1,
		size: readNumber(cell('size')),
		age: readNumber(cell('age')),
		place: cell('place'),
		condition: /weak|poor|bad/.test(condition) ? 'weak' : /fair|middling|ok/.test(condition) ? 'fair' : 'strong'
	};
}
