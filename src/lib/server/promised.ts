/** What a want was promised when its plan was taken, and what was logged of it since: a plan keeps what it was made on. */
import { database } from './db.js';
import { entriesOf } from './store/entries.js';
import type { StoredEntry } from './store/entries.js';

export interface Promised {
	on: string;
	/** Odds that were told then. */
	odds: number;
	/** What was logged of the want and its batches since, the newest first. */
	since: { id: string; on: string; line: string }[];
	more: number;
}

const SHOWN = 8;

/** Of the plan that was taken last; null where none was, or none says what it promised. */
export async function promisedOf(gardenId: string, wantId: string, batchIds: readonly string[]): Promise<Promised | null> {
	const db = database();
	const each = await Promise.all([
		entriesOf(db, gardenId, 'want', wantId),
		...batchIds.map((id) => entriesOf(db, gardenId, 'batch', id))
	]);
	const all = each
		.flat()
		.filter((e) => e.kind !== 'entry.reversed' && !e.undone)
		.sort((a, b) => a.seq - b.seq);
	const oddsIn = (e: StoredEntry): number | null => (e.data as { promised?: number | null }).promised ?? null;
	const last = all.filter((e) => e.kind === 'batch.planned' && oddsIn(e) !== null).at(-1);
	if (!last) return null;
	const since = all.filter((e) => e.seq > last.seq && e.group_id !== last.group_id).reverse();
	return {
		...{ on: last.happened_on, odds: oddsIn(last)! },
		since: since.slice(0, SHOWN).map((e) => ({ id: e.id, on: e.happened_on, line: e.line })),
		more: Math.max(0, since.length - SHOWN)
	};
}
