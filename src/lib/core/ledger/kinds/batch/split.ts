import { z } from 'zod';
import { ok, refuse } from '../../../result.js';
import { inHand } from '../../batch.js';
import { batchNamed, entryKind } from '../../describe.js';
import { some, uuid } from '../../fields.js';
import { enough, takeFurthest } from '../../handling.js';
import { goneUnrooted } from '../../rootingRecord.js';

export const split = entryKind({
	words: 'split',
	data: z.object({ count: some('How many'), to: uuid }),
	line: (e, n) => `${batchNamed(n)}: split ${e.data.count} off`,
	step(b, { data: d }) {
		const can = enough(b, d.count, 'splitting off');
		if (!can.ok) return can;
		if (d.count === inHand(b))
			return refuse('batch.split-all', 'That is the whole batch: move it instead of splitting it.', 'count');
		goneUnrooted(b.rootRecord, takeFurthest(b, d.count).unrooted);
		b.splitOff += d.count;
		return ok(b);
	}
});
