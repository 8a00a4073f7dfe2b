import { json } from '@sveltejs/kit';
import { z } from 'zod';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { gardenHeadOr404, guarded } from '$lib/server/forms.js';
import { undo } from '$lib/server/ledger.js';

const body = z.strictObject({
	entryId: z.uuid('entryId must be an id.'),
	undoId: z.uuid('undoId must be an id.')
});

export const POST: RequestHandler = async ({ params, request, locals }) => {
	const asked = await readBody(request, body);
	if (asked instanceof Response) return asked;
	const garden = await gardenHeadOr404(params.garden);
	const result = await guarded(() =>
		undo({ gardenId: garden.id, actor: locals.actor, today: garden.today }, asked.entryId, asked.undoId)
	);
	return result.ok ? json(result.value) : problem(result.problem);
};
