/** Stock plants: added, looked over, given leave, gone. */
import type { Asked, Made } from './doing.js';
import { database } from '../db.js';
import { guarded, refused } from '../forms.js';
import { CAUSES } from '$lib/core/ledger/index.js';
import { stockFields } from '../stockForm.js';
import * as state from '../store/state.js';

export const addPlant = ({ garden, f, frame }: Asked): Made => ({
	acts: [{ ...frame, kind: 'stock.set', subjectId: frame.id, data: stockFields(f, garden, null) }],
	said: 'Stock added.',
	next: `/g/${garden.slug}/stock/${frame.id}`
});

export async function lookOver({ garden, f, frame, params }: Asked<'stock'>): Promise<Made | ReturnType<typeof refused>> {
	const stock = await guarded(() => state.stockById(database(), garden.id, params.stock));
	if (!stock) return refused({ code: 'stock.unknown', sentence: 'There is no such stock in this garden.' }, 404);
	const data = { ...stockFields(f, garden, stock.from_batch), kind_id: stock.kind_id };
	return { acts: [{ ...frame, kind: 'stock.set', subjectId: params.stock, seen: f.number('seen'), data }], said: 'Looked over.' };
}

export const giveLeave = ({ f, frame, params }: Asked<'stock'>): Made => ({
	acts: [
		{
			...frame,
			kind: 'stock.leave',
			subjectId: params.stock,
			data: { basis: f.text('basis'), reference: f.text('reference') }
		}
	],
	said: 'Recorded: it may be multiplied.'
});

export const gone = ({ f, frame, params }: Asked<'stock'>): Made => ({
	acts: [
		{
			...frame,
			kind: 'stock.gone',
			subjectId: params.stock,
			data: { why: f.text('why'), cause: CAUSES.find((c) => c === f.text('cause')) ?? null }
		}
	],
	said: 'Logged as gone.'
});
