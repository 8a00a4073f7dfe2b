import { v5 as uuidv5 } from 'uuid';
import type { Asked, Made } from './doing.js';
import { database } from '../db.js';
import { guarded } from '../forms.js';
import * as state from '../store/state.js';

/** The places in another order. Only what has moved is written; all of it is one act, undone together. */
export async function walkInOrder({ garden, f, frame }: Asked): Promise<Made> {
	const places = new Map((await guarded(() => state.places(database(), garden.id))).map((p) => [p.id, p]));
	const moved = f
		.text('order')
		.split(',')
		.flatMap((id, i) => {
			const place = places.get(id);
			return place && !place.closed && place.walk !== i + 1 ? [{ id, walk: i + 1 }] : [];
		});
	return {
		acts: moved.map(({ id, walk }, i) => ({
			...frame,
			id: i === 0 ? frame.id : uuidv5(id, frame.id),
			on: garden.today,
			kind: 'place.walked' as const,
			subjectId: id,
			data: { walk }
		})),
		said: 'The round follows your walk.'
	};
}
