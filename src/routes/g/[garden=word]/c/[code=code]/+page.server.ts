/** A label was scanned or its code typed: to the batch and its quick log in one step. */
import { error, redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';
import { database } from '$lib/server/db.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import * as state from '$lib/server/store/state.js';
import { readCode } from '$lib/core/ledger/code.js';

export const load: PageServerLoad = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	const read = readCode(params.code);
	if (!read.ok) error(404, { message: read.problem.sentence, code: read.problem.code });
	const code = read.value;
	return guarded(async () => {
		const b = await state.batchByCode(database(), garden.id, code);
		if (b) redirect(303, `/g/${garden.slug}/bench/${b.id}?do=${b.status === 'planned' ? 'strike' : 'look'}`);
		// The code is well made: it may be of another garden of the house.
		return { code, elsewhere: await state.batchesElsewhere(database(), garden.id, code) };
	});
};
