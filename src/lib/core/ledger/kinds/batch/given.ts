import { z } from 'zod';
import { ok } from '../../../result.js';
import { batchNamed, entryKind } from '../../describe.js';
import { some, text } from '../../fields.js';
import { enough, takeFurthest } from '../../handling.js';
import { goneUnrooted } from '../../rootingRecord.js';

export const given = entryKind({
	words: 'given away',
	data: z.object({ count: some('How many given'), to: text(80) }),
	line: ({ data: d }, n) => `${batchNamed(n)}: gave away ${d.count}${d.to ? ` to ${d.to}` : ''}`,
	step(b, { data: d }) {
		const can = enough(b, d.count, 'giving away');
		if (!can.ok) return can;
		// Given away unrooted is no success of rooting, and no failure.
		goneUnrooted(b.rootRecord, takeFurthest(b, d.count).unrooted);
		b.given += d.count;
		return ok(b);
	}
});
