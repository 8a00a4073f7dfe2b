import { z } from 'zod';
import { WORTHS } from '../../shelter/assign.js';
import { ok, refuse } from '../../result.js';
import { allOf, openPlace } from '../agree.js';
import { batchNamed, entryKind, stockNamed } from '../describe.js';
import { uuid } from '../fields.js';

const MOST_PLACES = 200;

export const lodgingData = z
	.object({
		/** Stays there through the winter, whatever is better. */
		pinned: uuid.nullable(),
		/** Places it must not go. */
		never: z.array(uuid).max(MOST_PLACES),
		/** What it would be to lose it; null as its price has it. */
		worth: z.enum(WORTHS).nullable(),
		/** Has something that others could catch: stands alone for two weeks from the entry's day. */
		apart: z.boolean()
	})
	.refine((d) => d.pinned === null || !d.never.includes(d.pinned), {
		message: 'It cannot both stay there and never go there.',
		path: ['pinned']
	});
export type LodgingData = z.infer<typeof lodgingData>;

/** What a household says of one plant's winter. The subject is the batch or the stock plant itself. */
export const lodgingKinds = {
	'lodging.set': entryKind({
		words: 'where it spends the winter',
		data: lodgingData,
		line: ({ data: d }, n) =>
			[
				`${n.batch ? batchNamed(n) : stockNamed(n)}, for the winter:`,
				[
					d.pinned ? `stays at ${n.placeName(d.pinned)}` : '',
					d.never.length ? `never to ${d.never.map((p) => n.placeName(p)).join(', ')}` : '',
					d.worth ? WORTH_LINES[d.worth] : '',
					d.apart ? 'kept apart for two weeks' : ''
				]
					.filter(Boolean)
					.join('; ') || 'wherever it is best off'
			].join(' '),
		check: (e, facts) =>
			allOf(
				async () =>
					(await facts.plants([e.subjectId])) === 1
						? ok(true)
						: refuse('lodging.unknown', 'There is no such plant in this garden.'),
				() => openPlace(facts, e.data.pinned)
			)
	})
} as const;

const WORTH_LINES = { gone: 'cannot be had again', dear: 'dear', easy: 'easily had' } as const;
