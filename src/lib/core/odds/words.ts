/**
 * Odds as a gardener says them. No false precision: tenths in the middle, and only towards the
 * ends finer, where "9 in 10" and "99 in 100" are different promises.
 */
export function sayOdds(p: number): string {
	if (p >= 0.995) return 'as good as certain';
	if (p >= 0.985) return '99 times in 100';
	if (p >= 0.965) return '49 times in 50';
	if (p >= 0.925) return '19 times in 20';
	if (p < 0.005) return 'hardly ever';
	if (p < 0.035) return '1 time in 50';
	if (p < 0.075) return '1 time in 20';
	const tenths = Math.min(9, Math.max(1, Math.round(p * 10)));
	return tenths === 1 ? '1 time in 10' : `${tenths} times in 10`;
}

/** The same in few characters, for small places: "9 in 10". */
export const sayOddsShort = (p: number): string => sayOdds(p).replace(' times', '').replace(' time', '');

/** A word that stands beside the number wherever odds are judged. */
export type Standing = 'in hand' | 'likely' | 'in doubt' | 'unlikely';

/** Judged against what the person asked for. */
export function standing(p: number, wished: number): Standing {
	if (p >= wished - 0.005) return 'in hand';
	if (p >= wished * 0.8) return 'likely';
	if (p >= 0.3) return 'in doubt';
	return 'unlikely';
}
