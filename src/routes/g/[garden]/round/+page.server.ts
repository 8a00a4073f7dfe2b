import type { Actions, PageServerLoad } from './$types';
import { dayNumber } from '$lib/core/dates.js';
import { roundOf } from '$lib/server/bench.js';
import { viewedDay } from '$lib/server/context.js';
import { inHand } from '$lib/core/ledger/index.js';
import { z } from 'zod';
import { Fields, frameOf, gardenOr404, guarded, recordForm, refused } from '$lib/server/forms.js';
import { database } from '$lib/server/db.js';
import * as state from '$lib/server/store/state.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const [round, stocks, wants] = await Promise.all([
			roundOf(garden, day),
			state.stocks(database(), garden.id),
			state.wants(database(), garden.id)
		]);
		const away = garden.data.away.find((a) => dayNumber(a.from) <= day + 7 && dayNumber(a.to) >= day) ?? null;
		return { round, away, nothingYet: stocks.length === 0 ? 'stock' : wants.length === 0 ? 'want' : null };
	});
};

export const actions: Actions = {
	/** One tap: looked at, all that were there are alive. */
	well: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = new Fields(await request.formData());
		const id = f.text('batch');
		const batch = z.uuid().safeParse(id).success ? await guarded(() => state.batchById(database(), garden.id, id)) : null;
		if (!batch) return refused({ code: 'batch.unknown', sentence: 'There is no such batch.' }, 404);
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					on: garden.today,
					kind: 'batch.checked',
					subjectId: id,
					seen: f.number('seen'),
					data: { alive: inHand(batch), rooted: null, sign: 'firm' }
				}
			],
			`${batch.code}: all ${inHand(batch)} well.`
		);
	}
};
