import { json } from '@sveltejs/kit';
import { v5 as uuidv5 } from 'uuid';
import { z } from 'zod';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { gardenHeadOr404, guarded } from '$lib/server/forms.js';
import { record } from '$lib/server/ledger.js';
import { stockData } from '$lib/core/ledger/entries.js';
import { MOST_ROWS } from '$lib/core/material/plantList.js';

const body = z.strictObject({
	id: z.uuid('id must be an id.'),
	rows: z
		.array(z.strictObject({ row: z.number().int().min(1).max(100_000), data: z.record(z.string().max(40), z.unknown()) }))
		.min(1, 'There is no plant in that list.')
		.max(MOST_ROWS, `A list has at most ${MOST_ROWS} plants.`)
});
const MOST_BYTES = 1_500_000;

/** A list of plants becomes stock: all of it or nothing, as one act that can be undone. */
export const POST: RequestHandler = async ({ params, request, locals }) => {
	const asked = await readBody(request, body, MOST_BYTES);
	if (asked instanceof Response) return asked;
	const garden = await gardenHeadOr404(params.garden);
	for (const { row, data } of asked.rows) {
		const parsed = stockData.safeParse(data);
		if (!parsed.success)
			return problem({
				code: 'list.row',
				sentence: `Row ${row}: ${parsed.error.issues[0]!.message} Nothing was taken in.`,
				path: String(row)
			});
	}
	const acts = asked.rows.map(({ data }, i) => {
		const id = i === 0 ? asked.id : uuidv5(String(i), asked.id);
		return { id, kind: 'stock.set' as const, subjectId: id, on: garden.today, data };
	});
	const result = await guarded(() => record({ gardenId: garden.id, actor: locals.actor, today: garden.today }, acts));
	return result.ok ? json({ entryId: asked.id, count: acts.length }) : problem(result.problem);
};
