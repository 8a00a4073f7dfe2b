/** How else a want would do, and its rank among others, in words: the same in the ledger and on the want. */
import { withVariety } from '../handbook/names.js';
import type { Kind } from '../handbook/schema.js';

/** "lavender", "lavender or sage", "lavender, sage or rosemary". */
export const anyOf = (names: readonly string[]): string =>
	names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)!}`;

/** Every kind that a want may be met with, the one it names first. */
export const kindsOfWant = (w: { kind_id: string; or_kinds: readonly string[] }): readonly string[] => [w.kind_id, ...w.or_kinds];

/** A kind by its name; by its id where it is in the handbook no more. */
export const kindNamed = (kinds: ReadonlyMap<string, Pick<Kind, 'common' | 'cultivar'>>, id: string): string => {
	const kind = kinds.get(id);
	return kind ? withVariety(kind) : id;
};

/** What a want is of, by name: all that would do. */
export const wantedName = (
	kinds: ReadonlyMap<string, Pick<Kind, 'common' | 'cultivar'>>,
	w: Parameters<typeof kindsOfWant>[0]
): string => anyOf(kindsOfWant(w).map((id) => kindNamed(kinds, id)));

/** What one of them costs bought: of several kinds that would do, the cheapest. */
export const priceOf = (kinds: ReadonlyMap<string, Pick<Kind, 'price'>>, w: Parameters<typeof kindsOfWant>[0]): number =>
	kindsOfWant(w).reduce((least, id) => Math.min(least, kinds.get(id)?.price.v ?? Infinity), Infinity);

/** Plants that stand or will without anything being struck: bought, and to be bought. */
export const boughtFor = (w: { bought: number; buying: number }): number => w.bought + w.buying;

export interface Wish {
	enough: number | null;
	lateWeeks: number;
	mayBuy: number;
	/** The least height, as it is said; null for none. */
	tall: string | null;
	weighs: 'first' | 'alike' | 'last';
}

/** "12 would do", "up to 6 weeks late would do", "before other wants"; none where nothing was said. */
export const wishWords = ({ enough, lateWeeks, weighs, mayBuy, tall }: Wish): string[] => [
	...(tall === null ? [] : [`at least ${tall} tall`]),
	...(enough === null ? [] : [`${enough} would do`]),
	...(mayBuy === 0 ? [] : [`${mayBuy} may be bought`]),
	...(lateWeeks === 0 ? [] : [`up to ${lateWeeks === 1 ? 'a week' : `${lateWeeks} weeks`} late would do`]),
	...(weighs === 'alike' ? [] : [weighs === 'first' ? 'before other wants' : 'after other wants'])
];
