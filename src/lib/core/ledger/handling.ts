/** What is done with the pieces of a batch: taken out of hand, found to have rooted, put somewhere else. */
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { inHand, num } from './batch.js';
import type { Batch } from './batch.js';
import { take, tally } from './checkBatch.js';
import type { Cohort } from './cohorts.js';
import { rootedBy } from './rootingRecord.js';

interface Taken {
	potted: number;
	rooted: number;
	unrooted: number;
	cohorts: Cohort[];
}

/** Takes pieces out of hand, the furthest on and the oldest first; says what was taken. */
export function takeFurthest(b: Batch, count: number): Taken {
	const potted = Math.min(count, b.potted);
	const rooted = Math.min(count - potted, b.rooted);
	const unrooted = count - potted - rooted;
	const cohorts = [
		...take(b, 'potted', potted, 'oldest'),
		...take(b, 'rooted', rooted, 'oldest'),
		...take(b, 'unrooted', unrooted, 'oldest')
	];
	return { potted, rooted, unrooted, cohorts };
}

/** The unrooted among those taken were found to have rooted. */
export function hadRooted(b: Batch, on: string, count: number): void {
	rootedBy(b.rootRecord, on, count);
	tally(b, 'rooted', count, 0);
}

/** It stands somewhere else from a day on. */
export function standAt(b: Batch, placeId: string | null, on: string): void {
	b.placeId = placeId;
	const last = b.stays.at(-1);
	if (last?.placeId === placeId) return;
	if (last?.from === on) b.stays.pop();
	b.stays.push({ placeId, from: on });
}

/** Not more than there is. */
export function enough(b: Batch, count: number, what: string): Result<true> {
	const have = inHand(b);
	if (count > have)
		return refuse(
			'batch.too-many',
			`Only ${num(have, 'piece')} of ${b.code} ${have === 1 ? 'is' : 'are'} in hand: ${what} ${count} can't be.`,
			'count'
		);
	return ok(true);
}
