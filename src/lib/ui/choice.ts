/** A choice out of many, found by any of its names. */
import MiniSearch from 'minisearch';
import { plainLetters } from '$lib/core/letters.js';

export interface Choice {
	value: string;
	name: string;
	/** Other names it is looked for by. */
	also?: string;
	/** Told beside it. */
	beside?: string;
}

/** More are never drawn: whoever types one letter more sees fewer. */
export const MOST_SHOWN = 60;

/**
 * Finds by the beginning of any word of any name, small slips of the finger forgiven; in the list's own order where
 * nothing is typed.
 */
export function finder(items: readonly Choice[]): (text: string) => Choice[] {
	const index = new MiniSearch<Choice & { id: number }>({
		fields: ['name', 'also'],
		idField: 'id',
		processTerm: (term) => plainLetters(term) || null,
		searchOptions: { prefix: true, fuzzy: (term) => (term.length > 4 ? 0.2 : false), boost: { name: 2 }, combineWith: 'AND' }
	});
	index.addAll(items.map((item, id) => ({ ...item, also: item.also ?? '', id })));
	/** The name itself, then what begins so, then what has every word as it was typed, then what is one slip away. */
	const rank = (name: string, typed: string, words: readonly string[]): number => {
		if (name === typed) return 0;
		if (name.startsWith(typed)) return 1;
		return typed.split(/\s+/).every((t) => words.some((w) => w.startsWith(t))) ? 2 : 3;
	};
	return (text) => {
		if (!text.trim()) return items.slice(0, MOST_SHOWN);
		const typed = plainLetters(text);
		if (!typed) return [];
		return index
			.search(text)
			.map((r, at) => {
				const item = items[r.id as number]!;
				return { item, at, rank: rank(plainLetters(item.name), typed, r.terms) };
			})
			.sort((a, b) => a.rank - b.rank || a.at - b.at)
			.slice(0, MOST_SHOWN)
			.map((r) => r.item);
	};
}
