/**
 * A batch is what its entries make of it, one after another. The same fold serves logging, undo and
 * rebuilding, so the counts cannot come out differently, and an undo that would leave nonsense
 * behind is refused for the same reasons as a wrong count.
 */
import { sayDate } from '../dates.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { inHand } from './batch.js';
import type { Batch } from './batch.js';
import { kindOfEntry } from './entries.js';
import type { AnyEntry } from './entries.js';
import { settle } from './tray.js';

function begin(e: AnyEntry): Result<Batch> {
	const kind = kindOfEntry(e.kind);
	return kind.begin
		? kind.begin(e)
		: refuse('batch.not-begun', 'This batch has not been planned or struck (or that was undone).');
}

function step(b: Batch, e: AnyEntry): Result<Batch> {
	const kind = kindOfEntry(e.kind);
	if (kind.step && kind.unstruck) return kind.step(b, e);
	if (b.struckOn === null) return refuse('batch.not-struck', `${b.code} has not been struck yet.`);
	if (b.lastOn !== null && e.on < b.lastOn)
		return refuse(
			'batch.date-order',
			`The last entry of ${b.code} is of ${sayDate(b.lastOn)}: this one can't be earlier. Undo that one first, or use its date.`,
			'on'
		);
	if (!kind.step) return refuse('batch.begun', 'This batch has begun already.');
	const result = kind.step(b, e);
	if (!result.ok) return result;
	// Pieces that went without anyone saying which: the tray follows the counts.
	if (b.tray) b.tray = settle(b.tray, b.unrooted, b.rooted, kind.loses === true);
	b.lastOn = e.on;
	b.status = inHand(b) === 0 ? 'done' : 'growing';
	return ok(b);
}

/** Folds the standing entries of one batch. Null when nothing of it stands (all undone). */
export function foldBatch(entries: readonly AnyEntry[]): Result<Batch | null> {
	let batch: Batch | null = null;
	for (const e of entries) {
		const next: Result<Batch> = batch === null ? begin(e) : step(batch, e);
		if (!next.ok) return next;
		batch = next.value;
	}
	return ok(batch);
}
