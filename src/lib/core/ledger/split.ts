/** What goes along with pieces that are split off: the furthest on and the oldest first, each with its history. */
import { inHand } from './batch.js';
import type { Batch } from './batch.js';
import { takeOf } from './cohorts.js';
import type { Cohort } from './cohorts.js';
import type { EntryData } from './entries.js';
import { splitRecord } from './rootingRecord.js';
import { tallied } from './tallied.js';

type Part = Pick<EntryData<'batch.split-off'>, 'unrooted' | 'rooted' | 'potted' | 'wintered' | 'history'>;

/** The part of a batch that so many pieces make, as its own first entry tells it. `count` is less than what is in hand. */
export function partOf(b: Batch, count: number): Part {
	const potted = Math.min(count, b.potted);
	const rooted = Math.min(count - potted, b.rooted);
	const unrooted = Math.min(count - potted - rooted, b.unrooted, inHand(b));
	const cohorts: Cohort[] = [
		...takeOf(b.cohorts, 'potted', potted, 'oldest').taken,
		...takeOf(b.cohorts, 'rooted', rooted, 'oldest').taken,
		...takeOf(b.cohorts, 'unrooted', unrooted, 'oldest').taken
	];
	return {
		unrooted,
		rooted,
		potted,
		wintered: b.winteredOn !== null,
		history: {
			family: b.family,
			cohorts,
			rooting: splitRecord(b.rootRecord, unrooted),
			seen: tallied(b.inherited, b.seen),
			stays: b.stays
		}
	};
}
