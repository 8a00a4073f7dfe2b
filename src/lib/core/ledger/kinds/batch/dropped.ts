import { z } from 'zod';
import { ok, refuse } from '../../../result.js';
import { batchNamed, because, entryKind } from '../../describe.js';
import { text } from '../../fields.js';

export const dropped = entryKind({
	words: 'dropped',
	data: z.object({ why: text(200) }),
	line: (e, n) => `${batchNamed(n)}: plan dropped${because(e.data.why)}`,
	step(b) {
		if (b.status !== 'planned') return refuse('batch.growing', 'It has been struck: log its pieces as lost instead.');
		b.status = 'dropped';
		return ok(b);
	},
	unstruck: true
});
