import { json } from '@sveltejs/kit';
import { z } from 'zod';
import type { RequestHandler } from './$types';
import { problem, readBody } from '$lib/server/api.js';
import { gardenHeadOr404, guarded } from '$lib/server/forms.js';
import { record } from '$lib/server/ledger.js';
import { instantNow } from '$lib/server/clock.js';

const body = z.union([
	z.strictObject({
		start: z.strictObject({ id: z.uuid(), say: z.string().min(1).max(120), minutes: z.number(), batch_id: z.uuid().nullable() })
	}),
	z.strictObject({ end: z.strictObject({ id: z.uuid(), clock: z.uuid() }) })
]);

export const POST: RequestHandler = async ({ params, request, locals }) => {
	const asked = await readBody(request, body);
	if (asked instanceof Response) return asked;
	const garden = await gardenHeadOr404(params.garden);
	const writer = { gardenId: garden.id, actor: locals.actor, today: garden.today };
	const result = await guarded(() =>
		'start' in asked
			? record(writer, [
					{
						id: asked.start.id,
						kind: 'timer.started',
						subjectId: asked.start.id,
						on: garden.today,
						derived: true,
						data: { say: asked.start.say, batch_id: asked.start.batch_id, minutes: asked.start.minutes, started_at: instantNow() }
					}
				])
			: record(writer, [{ id: asked.end.id, kind: 'timer.ended', subjectId: asked.end.clock, on: garden.today, data: {} }])
	);
	return result.ok ? json({ entryId: result.value.ids[0] }) : problem(result.problem);
};
