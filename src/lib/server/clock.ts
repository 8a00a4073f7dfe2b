/**
 * Today, in the garden's time zone. SURCULUS_TODAY pins the date, so that the demo garden and the
 * tests always stand at the same point of its story.
 */
import { dateIn, isIsoDate } from '$lib/core/dates.js';
import type { IsoDate } from '$lib/core/dates.js';

export function today(timeZone: string): IsoDate {
	const pinned = process.env.SURCULUS_TODAY;
	if (pinned && isIsoDate(pinned)) return pinned;
	return dateIn(timeZone, Date.now());
}

/** The instant now, for clocks that run by minutes. */
export const instantNow = (): string => new Date().toISOString();
