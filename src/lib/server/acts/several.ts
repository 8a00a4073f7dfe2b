/** One thing done to several batches at once: one doing, one undo. */
import { v5 as uuidv5 } from 'uuid';
import type { Asked, Made } from './doing.js';
import { wellNow } from './round.js';
import { database } from '../db.js';
import { guarded, isId, refused } from '../forms.js';
import type { Act } from '../ledger.js';
import * as state from '../store/state.js';

type Refusing = ReturnType<typeof refused>;

/** More are not chosen by hand. */
const MOST_CHOSEN = 200;

export async function severalAtOnce({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const verb = f.text('verb');
	const chosen = f.all('chosen');
	if (chosen.length === 0) return refused({ code: 'several.none', sentence: 'Choose the batches first.' });
	if (chosen.length > MOST_CHOSEN)
		return refused({ code: 'several.many', sentence: `Choose ${MOST_CHOSEN} batches at most: ${chosen.length} were chosen.` });
	const place = f.textOrNull('place_id');
	if (verb === 'moved' && place === null)
		return refused({ code: 'several.place', sentence: 'Say where they go.', path: 'place_id' });
	const acts: Act[] = [];
	// Each as it was shown: batch, and entries that it had.
	for (const told of chosen) {
		const [id = '', seen] = told.split(' ');
		const batch = isId(id) ? await guarded(() => state.batchById(database(), garden.id, id)) : null;
		if (!batch) return refused({ code: 'batch.unknown', sentence: 'There is no such batch.' }, 404);
		// What is planned only has nothing to be counted or moved yet.
		if (batch.status !== 'growing') continue;
		const act = { ...frame, id: acts.length === 0 ? frame.id : uuidv5(id, frame.id), subjectId: id, seen: Number(seen) };
		acts.push(
			verb === 'moved'
				? { ...act, kind: 'batch.moved', data: { place_id: place } }
				: { ...act, kind: 'batch.checked', data: wellNow(batch) }
		);
	}
	if (acts.length === 0)
		return refused({ code: 'several.planned', sentence: 'Those are planned only: nothing of them stands anywhere yet.' });
	const many = `${acts.length} ${acts.length === 1 ? 'batch' : 'batches'}`;
	return { acts, said: verb === 'moved' ? `${many} moved.` : `${many} looked at: all well.` };
}
