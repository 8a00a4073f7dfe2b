/** Shelter: what is carried where, what is said of one plant's winter, what is put over a place. */
import { v5 as uuidv5 } from 'uuid';
import type { Asked, Made } from './doing.js';
import { database } from '../db.js';
import { guarded, isId, refused } from '../forms.js';
import type { Act } from '../ledger.js';
import * as state from '../store/state.js';
import { COVERS, WORTHS } from '$lib/core/shelter/index.js';

type Refusing = ReturnType<typeof refused>;

/** One or several, each to its place: "plant place" in a field each. What was ticked at the door is carried in one entry group. */
export async function carried({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const told = f.all('carry').map((c) => c.split(' '));
	if (told.length === 0 || !told.every(([id, place]) => isId(id ?? '') && isId(place ?? '')))
		return refused({ code: 'shelter.none', sentence: 'Tick what you carry, and it is logged at its new place.', path: 'carry' });
	const standing = await guarded(() => state.whatStands(database(), garden.id, told.map(([id]) => id!))); // prettier-ignore
	const acts = told
		.filter(([id]) => standing.has(id!))
		.map(([id, place], i): Act => ({
			...frame,
			id: i === 0 ? frame.id : uuidv5(id!, frame.id),
			kind: standing.get(id!) === 'stock' ? ('stock.moved' as const) : ('batch.moved' as const),
			subjectId: id!,
			data: { place_id: place }
		}));
	if (acts.length === 0)
		return refused({ code: 'shelter.gone', sentence: 'None of these stands here any more: load the page again.' });
	return { acts, said: acts.length === 1 ? 'Moved.' : `${acts.length} moved.` };
}

/** What the household says of one plant's winter. */
export function lodged({ f, frame, params }: Asked<'plant'>): Made {
	const pinned = f.text('pinned');
	return {
		acts: [
			{
				...frame,
				kind: 'lodging.set',
				subjectId: params.plant,
				seen: f.number('seen'),
				data: {
					pinned: isId(pinned) ? pinned : null,
					never: f.all('never').filter(isId),
					worth: WORTHS.find((w) => w === f.text('worth')) ?? null,
					apart: f.text('apart') === 'on'
				}
			}
		],
		said: 'Kept for the winter’s plan.'
	};
}

/** What is put over a place, or heats it. */
export function guardedNow({ garden, f, frame }: Asked): Made | Refusing {
	const place = f.text('place');
	if (!isId(place)) return refused({ code: 'place.unknown', sentence: 'There is no such place in this garden.' });
	const watts = f.number('watts');
	const setC = f.celsius('set', garden.units);
	return {
		acts: [
			{
				...frame,
				kind: 'place.guarded',
				subjectId: place,
				data: {
					cover: COVERS.find((c) => c === f.text('cover')) ?? null,
					heater: watts === null ? null : { watts, setC: setC ?? Number.NaN }
				}
			}
		],
		said: 'Logged: the odds go by it from now on.'
	};
}
