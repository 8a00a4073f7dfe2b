/** Plants bought towards a want: how many are to be, and that they were. */
import { z } from 'zod';
import type { Asked, Made } from './doing.js';
import { database } from '../db.js';
import { guarded, refused } from '../forms.js';
import * as state from '../store/state.js';

type Refusing = ReturnType<typeof refused>;
const UNKNOWN = { code: 'want.unknown', sentence: 'There is no such want.' };

/** So many are to be bought towards a want, whatever was said before: from the plan, or on its page. */
export async function buyFor({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const id = f.text('want');
	const want = z.uuid().safeParse(id).success ? await guarded(() => state.wantById(database(), garden.id, id)) : null;
	if (!want || want.dropped_on) return refused(UNKNOWN, 404);
	const count = f.number('count') ?? Number.NaN;
	if (count === want.buying)
		return refused({ code: 'want.same', sentence: 'So many are to be bought already: nothing was written.', path: 'count' });
	return {
		acts: [{ ...frame, on: garden.today, kind: 'want.buying', subjectId: want.id, seen: f.number('seen'), data: { count } }],
		said: count === 0 ? 'None is to be bought: its odds follow.' : 'To be bought, and on the round in its time.'
	};
}

/** They were bought, and stand. */
export const writeBought = ({ f, frame, params }: Asked<'want'>): Made => ({
	acts: [
		{
			...frame,
			...{ kind: 'want.bought', subjectId: params.want },
			data: { count: f.number('count') ?? Number.NaN }
		}
	],
	said: 'Bought: they count from now on.'
});
