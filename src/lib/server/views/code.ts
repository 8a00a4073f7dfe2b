import { error, redirect } from '@sveltejs/kit';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import * as state from '../store/state.js';
import { readCode } from '$lib/core/ledger/code.js';
import type { Ask } from './ask.js';

/** A label was scanned or its code typed: to the batch and its quick log in one step. */

export async function codeView({ params }: Ask<'code'>) {
	const garden = await gardenOr404(params.garden);
	const read = readCode(params.code);
	if (!read.ok) error(404, { message: read.problem.sentence, code: read.problem.code });
	const code = read.value;

	const b = await state.batchByCode(database(), garden.id, code);
	if (b) redirect(303, `/g/${garden.slug}/bench/${b.id}?do=${b.status === 'planned' ? 'strike' : 'look'}`);
	// The code is well made: it may be of another garden of the house.
	return { code, elsewhere: await state.batchesElsewhere(database(), garden.id, code) };
}
