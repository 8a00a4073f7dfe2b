import { z } from 'zod';
import { sayDate } from '../../../dates.js';
import { ok } from '../../../result.js';
import { takenRightly } from '../../agree.js';
import { blankBatch } from '../../batch.js';
import { entryKind } from '../../describe.js';
import { isoDate, some, within } from '../../fields.js';
import { begun, newlyNamed } from './common.js';

export const planned = entryKind({
	words: 'planned',
	data: z.object({
		...begun,
		count: some('How many'),
		planned_on: isoDate,
		/** Odds of its want that whoever took the plan was told; null where none were. */
		promised: within(0, 1, 'What was promised').nullable().default(null)
	}),
	ahead: true,
	line: ({ data: d }, n) =>
		`${newlyNamed(d, n)}: planned ${d.count}, ${n.wayName(d.kind_id, d.way_id)}, for ${sayDate(d.planned_on)}`,
	check: (e, facts) => takenRightly(facts, e.data, facts.today),
	begin({ subjectId, data }) {
		const b = blankBatch(subjectId, data);
		b.plannedOn = data.planned_on;
		b.plannedCount = data.count;
		return ok(b);
	}
});
