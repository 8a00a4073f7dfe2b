import { z } from 'zod';
import { ok, refuse } from '../../result.js';
import { entryKind } from '../describe.js';
import { name, uuid, within } from '../fields.js';

const LONG_MINUTES = 180;

export const timerKinds = {
	'timer.started': entryKind({
		words: 'clock started',
		data: z.object({
			say: name(120),
			batch_id: uuid.nullable(),
			started_at: z.iso.datetime({ offset: true }),
			minutes: within(1, 60 * 24 * 30, 'Minutes')
		}),
		line: ({ data: d }) =>
			`Clock: ${d.say}, ${d.minutes < LONG_MINUTES ? `${d.minutes} minutes` : `${Math.round(d.minutes / 6) / 10} hours`}`,
		check: async ({ data: d }, facts) =>
			d.batch_id !== null && !(await facts.batch(d.batch_id))
				? refuse('batch.unknown', 'There is no such batch in this garden.', 'batch_id')
				: ok(true)
	}),
	'timer.ended': entryKind({
		words: 'clock ended',
		data: z.object({}),
		line: () => 'Clock ended',
		check: async (e, facts) =>
			(await facts.clock(e.subjectId)) ? ok(true) : refuse('timer.unknown', 'There is no such clock, or it has ended.')
	})
} as const;
