import cdf from '@stdlib/stats-base-dists-normal-cdf';
import type { DayNumber } from '../dates.js';
import { nextTurning } from './anchors.js';
import type { Climate } from './climate.js';

/**
 * Chance that this day lies in the frosty part of its year: the last frost has not been yet, or the
 * first has come. Frost dates are taken as normal with the garden's mean and spread.
 */
export function frostOdds(day: DayNumber, c: Climate): number {
	if (!c.lastFrost || !c.firstFrost) return 0;
	const last = c.lastFrost;
	const first = c.firstFrost;
	// The nearest spring and autumn decide; a half year off is near enough on either side.
	const spring = nearest('last_frost', day, c);
	const autumn = nearest('first_frost', day, c);
	const stillToCome = (last.share ?? 1) * (1 - cdf(day, spring, Math.max(1, last.sd)));
	const hasCome = (first.share ?? 1) * cdf(day, autumn, Math.max(1, first.sd));
	// In a half year after a spring and before an autumn both must be spared.
	return spring < autumn ? 1 - (1 - stillToCome) * (1 - hasCome) : stillToCome * hasCome;
}

function nearest(anchor: 'last_frost' | 'first_frost', day: DayNumber, c: Climate): DayNumber {
	const after = nextTurning(anchor, 0, day, c);
	const before = nextTurning(anchor, 0, after - 370, c);
	return day - before < after - day ? before : after;
}
