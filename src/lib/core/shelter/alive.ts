/**
 * Is it dead? What a plant that looks so says when it is asked: its crown, its bark, its roots, and how long it has been
 * warm without a shoot. Bayes' rule with how often the living and the dead show each sign. From memory, all of it.
 */
import cdf from '@stdlib/stats-base-dists-normal-cdf';

export const SIGNS_OF_LIFE = {
	/** [of the living, of the dead] that show it. */
	bark: { yes: [0.9, 0.08], asks: 'Green and moist under the bark where you scratch it, low down?' },
	crown: { yes: [0.95, 0.2], asks: 'Crown or tuber firm when you press it?' },
	roots: { yes: [0.9, 0.15], asks: 'Roots pale and firm, not brown mush?' },
	snaps: { yes: [0.25, 0.85], asks: 'Do all its twigs snap dry?' }
} as const satisfies Record<string, { yes: readonly [number, number]; asks: string }>;
export type SignOfLife = keyof typeof SIGNS_OF_LIFE;

/** Warm days until the living have shot: the middle of them, and the spread of its logarithm. */
export const SHOOTS = { days: 35, spread: 0.5 } as const;

/** Share of the living that have not yet shot after so many warm days. */
export const stillWithout = (warmDays: number): number =>
	warmDays <= 0 ? 1 : 1 - cdf(Math.log(warmDays / SHOOTS.days), 0, SHOOTS.spread);

/**
 * Chance that it lives, 0–1.
 *
 * @param prior before it was asked
 * @param seen the signs that were looked for, yes or no; what was not looked for says nothing
 * @param warmDays days of growth since the winter without a shoot
 */
export function livesGiven(prior: number, seen: Readonly<Partial<Record<SignOfLife, boolean>>>, warmDays: number): number {
	let [alive, dead] = [prior * stillWithout(warmDays), 1 - prior];
	for (const [sign, yes] of Object.entries(seen) as [SignOfLife, boolean | undefined][]) {
		if (yes === undefined) continue;
		const [a, d] = SIGNS_OF_LIFE[sign].yes;
		alive *= yes ? a : 1 - a;
		dead *= yes ? d : 1 - d;
	}
	return alive + dead > 0 ? alive / (alive + dead) : 0;
}

/** Given up below this. Own judgement. */
export const GIVE_UP = 0.05;
/** Warm days without a shoot after which it is given up; null while even a year of them would leave hope. */
export function warmDaysToWait(prior: number, seen: Parameters<typeof livesGiven>[1]): number | null {
	for (let days = 0; days <= 200; days++) if (livesGiven(prior, seen, days) < GIVE_UP) return days;
	return null;
}
