/** What an entry must agree with beyond itself: the handbook, other rows, the calendar. */
import type { Queryable } from './db.js';
import { orThrow, refuseWith } from './refusal.js';
import { lastKindId, namingKind } from './store/ownKinds.js';
import * as state from './store/state.js';
import { sayDate } from '$lib/core/dates.js';
import type { Facts } from '$lib/core/ledger/describe.js';
import { kindOfEntry } from '$lib/core/ledger/index.js';
import type { AnyEntry } from '$lib/core/ledger/index.js';

/** Throws a Refusal when the entry does not go with what is there. */
export async function checkEntry(e: AnyEntry, facts: Facts): Promise<void> {
	const kind = kindOfEntry(e.kind);
	if (e.on > facts.today && !kind.ahead)
		refuseWith('entry.future', `${sayDate(e.on)} has not come yet: an entry tells what was done or seen.`, 'on');
	if (kind.check) orThrow(await kind.check(e, facts));
}

/** What still leans on a subject whose last entry is being undone. */
export async function checkUnleaned(db: Queryable, gardenId: string, subject: string, id: string): Promise<void> {
	if (!['stock', 'want', 'place', 'kind'].includes(subject)) return;
	if (subject === 'kind') {
		const gone = await lastKindId(db, gardenId, id);
		const by = gone === null ? [] : await namingKind(db, gardenId, gone);
		if (by.length)
			refuseWith('undo.leaned-on', `${by.join(', ')} ${by.length === 1 ? 'is' : 'are'} of this kind: undo that first.`);
	}
	if (subject === 'stock') {
		const from = await state.codesNaming(db, gardenId, 'stock_id', id);
		if (from.length) refuseWith('undo.leaned-on', `${from.join(', ')} came from this stock: undo that first.`);
	}
	if (subject === 'want') {
		const of = await state.codesNaming(db, gardenId, 'want_id', id);
		if (of.length)
			refuseWith('undo.leaned-on', `${of.join(', ')} belong${of.length === 1 ? 's' : ''} to this want: undo that first.`);
	}
	if (subject === 'place') {
		const at = await state.codesNaming(db, gardenId, 'place_id', id);
		const stock = (await state.stocks(db, gardenId)).filter((s) => s.place_id === id && !s.gone_on);
		const wants = (await state.wants(db, gardenId)).filter((w) => w.place_id === id && !w.dropped_on);
		if (at.length || stock.length || wants.length)
			refuseWith('undo.leaned-on', 'Plants stand there or are wanted there: move them first.');
	}
}
