import type { Asked, Made } from './doing.js';
import { strikeFields } from '../batchForm.js';
import { database } from '../db.js';
import { guarded, isId } from '../forms.js';
import * as state from '../store/state.js';

/** Struck without a plan. */
export async function strike({ garden, f, frame }: Asked): Promise<Made> {
	const asked = f.text('stock_id');
	const stock = isId(asked) ? await guarded(() => state.stockById(database(), garden.id, asked)) : null;
	return {
		acts: [
			{
				...frame,
				kind: 'batch.struck',
				subjectId: frame.id,
				takesCode: true,
				data: {
					...strikeFields(f),
					kind_id: stock?.kind_id ?? '',
					way_id: f.text('way_id'),
					stock_id: stock?.id ?? f.textOrNull('stock_id'),
					want_id: null
				}
			}
		],
		said: (code) => `Struck: ${code}.`,
		next: `/g/${garden.slug}/bench/${frame.id}?struck`
	};
}
