import { z } from 'zod';
import { ok } from '../../../result.js';
import { meantRightly } from '../../agree.js';
import { batchNamed, entryKind } from '../../describe.js';
import { uuid } from '../../fields.js';

/** Given to a want, or taken away from the one that it was for: whatever came first, the batch or the want. */
export const meant = entryKind({
	words: 'meant for a want',
	data: z.object({ want_id: uuid.nullable() }),
	line: (e, n) => `${batchNamed(n)}: ${e.data.want_id ? 'meant for a want' : 'for no want any more'}`,
	check: (e, facts) => meantRightly(facts, e.subjectId, e.data.want_id),
	step(b, e) {
		b.wantId = e.data.want_id;
		return ok(b);
	},
	unstruck: true
});
