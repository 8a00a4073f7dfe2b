/** From what was logged at the bench to what its roots are told by: dates become readings of the batch's clock. */
import { dayNumber } from '../dates.js';
import type { DayNumber } from '../dates.js';
import type { RootingRecord } from '../ledger/rootingRecord.js';
import { ROOT_SIGNS } from '../odds/rooting.js';
import type { RootingSeen, RootSign } from '../odds/rooting.js';

/** `clockAt` gives the batch's clock (days of the usual warmth, or of growth) from the strike to a day. */
export function rootingSeen(r: RootingRecord, clockAt: (day: DayNumber) => number): RootingSeen {
	const at = (on: string) => clockAt(dayNumber(on));
	return {
		epochs: r.epochs.map((e) => ({
			from: at(e.from),
			died: e.died.map((d) => ({ after: at(d.after), by: at(d.by), count: d.count })),
			rooted: e.rooted.map((d) => ({ by: at(d.by), count: d.count })),
			left: e.left,
			seen: at(e.seen),
			counted: e.counted
		})),
		signs: r.signs.flatMap((s) =>
			(ROOT_SIGNS as readonly string[]).includes(s.sign)
				? [{ at: at(s.on), looked: s.looked, showing: s.showing, sign: s.sign as RootSign }]
				: []
		)
	};
}
