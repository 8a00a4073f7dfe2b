/** Ways for a tender plant to get through one winter, alone and together. */
import { noneOf, oneAlive } from './together.js';
import type { Copies } from './together.js';

export const ROUTES = ['whole', 'cuttings', 'water', 'left', 'mulched', 'bought'] as const;
export interface Route {
	id: string;
	what: (typeof ROUTES)[number];
	/** Where; null outside, and for what is bought again. */
	placeId: string | null;
	/** What of it there is over the winter; null for what is bought again, which is certain as long as it is sold. */
	copies: Copies | null;
	/** Minutes to begin with, and a week. */
	minutes: number;
	minutesAWeek: number;
	areaCm2: number;
	/** In the garden's money. */
	money: number;
}

/**
 * A line kept in water: it stands so long before it declines, and a new generation is struck from it each time. Lost when
 * none of a generation roots.
 *
 * @param jar pieces struck each time; @param p chance of one to root; @param alike as in a beta-binomial
 * @param generations struck until spring, 1 at least
 */
export const lineHolds = (jar: number, p: number, alike: number, generations: number): number =>
	(1 - noneOf(jar, p, alike)) ** generations;

/** Days after which a jar of cuttings is struck anew. Common practice, no source. */
export const GENERATION_DAYS = 42;
export const generationsIn = (days: number): number => Math.max(1, Math.ceil(days / GENERATION_DAYS));

/** Chance that one at least is alive in spring by all of these routes together. */
export const together = (routes: readonly Pick<Route, 'copies'>[], winters: number): number =>
	oneAlive(
		routes.flatMap((r) => (r.copies ? [r.copies] : [])),
		winters
	);

/** Pairs, the surest first; those that cost more and are no surer are left out. */
export function bestPairs(routes: readonly Route[], winters: number, most: number): { routes: [Route, Route]; chance: number }[] {
	const kept = routes.filter((r) => r.copies !== null && r.what !== 'left');
	const pairs = kept.flatMap((a, i) =>
		kept.slice(i + 1).flatMap((b) => {
			// The whole plant stands at one place only.
			if (a.what === 'whole' && b.what === 'whole') return [];
			if (a.what === b.what && a.placeId === b.placeId) return [];
			return [{ routes: [a, b] as [Route, Route], chance: together([a, b], winters) }];
		})
	);
	const cost = (p: (typeof pairs)[number]) => p.routes.reduce((s, r) => s + r.minutesAWeek, 0);
	return pairs
		.sort((a, b) => b.chance - a.chance || cost(a) - cost(b))
		.filter((p, i, all) => !all.slice(0, i).some((q) => cost(q) <= cost(p) && q.chance >= p.chance))
		.slice(0, most);
}
