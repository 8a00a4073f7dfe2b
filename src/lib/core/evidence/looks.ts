/** From what was logged at the bench to looks that teach when pieces root. */
import { dayNumber } from '../dates.js';
import type { DayNumber } from '../dates.js';
import type { Batch } from '../ledger/foldBatch.js';
import { ROOT_SIGNS } from '../odds/rooting.js';
import type { Look, RootSign } from '../odds/rooting.js';

export interface LooksOf {
	looks: Look[];
	/** Warmth-days at the last count, when what is left had not rooted. */
	since: number;
	/** Pieces that died without roots. */
	died: number;
}

/** `warmthAt` gives the warmth-days from the strike to a day. */
export function looksOf(b: Pick<Batch, 'looks' | 'seen'>, warmthAt: (day: DayNumber) => number): LooksOf {
	const looks: Look[] = [];
	let since = 0;
	for (const l of b.looks) {
		const at = warmthAt(dayNumber(l.on));
		if (l.newly !== null) {
			looks.push({ at, looked: l.unrooted, showing: l.newly, sign: 'counted', since });
			since = at;
		} else if (l.sign !== 'none' || l.showing !== null) {
			// A sign without a number was seen on one piece at least; more is not known.
			const looked = Math.min(l.looked ?? (l.showing === null ? 1 : l.unrooted), l.unrooted);
			const sign = (ROOT_SIGNS as readonly string[]).includes(l.sign) ? (l.sign as RootSign) : 'none';
			looks.push({ at, looked, showing: Math.min(looked, l.showing ?? looked), sign, since });
		}
	}
	return { looks, since, died: b.seen.rooted?.failed ?? 0 };
}
