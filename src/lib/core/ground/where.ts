/** Where can so many of a kind go? Beds by the light that it likes and by how many each takes. */
import type { Kind } from '../handbook/schema.js';

type Light = 'sun' | 'part' | 'shade';
/** Light of a place under the sky, as kinds ask for it. */
const UNDER_SKY: Readonly<Record<string, Light>> = { sun: 'sun', bright: 'part', part: 'part', shade: 'shade', dark: 'shade' };
const IN_ORDER: readonly Light[] = ['sun', 'part', 'shade'];

/** 0: as it likes it best; 1: it will do; 2: nobody has said; 3: not for it. */
export type Liking = 0 | 1 | 2 | 3;

export interface LightSuits {
	liking: Liking;
	say: string;
}

const LIGHT_WORDS: Record<Light, string> = { sun: 'full sun', part: 'sun for part of the day', shade: 'shade' };

/** "full sun or sun for part of the day". */
export const sayLight = (likes: readonly Light[]): string => likes.map((l) => LIGHT_WORDS[l]).join(' or ');

export function suitsLight(kind: Pick<Kind, 'light'>, placeLight: string): LightSuits {
	const here = UNDER_SKY[placeLight];
	const likes = kind.light?.in;
	if (!here || !likes) return { liking: 2, say: here ? LIGHT_WORDS[here] : '' };
	const at = likes.indexOf(here);
	if (at === 0) return { liking: 0, say: `${LIGHT_WORDS[here]}, as it likes it` };
	if (at > 0) return { liking: 1, say: `${LIGHT_WORDS[here]}: it will do` };
	const sunnier = IN_ORDER.indexOf(here) < Math.min(...likes.map((l) => IN_ORDER.indexOf(l)));
	return { liking: 3, say: sunnier ? 'too sunny for it' : 'too shady for it' };
}

export interface Offer {
	id: string;
	liking: Liking;
	/** Plants that fit beside what stands there. */
	fits: number;
}

export interface Share {
	id: string;
	takes: number;
}

/** Beds in the order in which they are offered: by the light, then by how many fit. */
export const inOrder = <T extends Offer>(beds: readonly T[]): T[] =>
	[...beds].sort((a, b) => a.liking - b.liking || b.fits - a.fits || a.id.localeCompare(b.id));

/**
 * How many go where: all into the best bed that takes them all, for a kind looks best in one place; else the best beds are
 * filled one after another. Beds that are not for it take none.
 *
 * @returns the beds that take some, and how many are left over
 */
export function share(beds: readonly Offer[], count: number): { shares: Share[]; left: number } {
	const offered = inOrder(beds.filter((b) => b.liking < 3 && b.fits > 0));
	const one = offered.find((b) => b.fits >= count);
	const best = Math.min(...offered.map((b) => b.liking));
	// A bed that it likes less takes them all only where none that it likes best would.
	if (one && (one.liking === best || sumOf(offered.filter((b) => b.liking === best)) < count))
		return { shares: [{ id: one.id, takes: count }], left: 0 };
	let left = count;
	const shares: Share[] = [];
	for (const b of offered) {
		const takes = Math.min(left, b.fits);
		if (takes > 0) shares.push({ id: b.id, takes });
		left -= takes;
	}
	return { shares, left };
}
const sumOf = (beds: readonly Offer[]): number => beds.reduce((n, b) => n + b.fits, 0);
