import { z } from 'zod';
import { ok } from '../../../result.js';
import { batchNamed, entryKind } from '../../describe.js';
import { some, uuid } from '../../fields.js';
import { enough, hadRooted, takeFurthest } from '../../handling.js';

export const kept = entryKind({
	words: 'kept as stock',
	data: z.object({ count: some('How many kept'), stock_id: uuid }),
	line: (e, n) => `${batchNamed(n)}: kept ${e.data.count} as stock`,
	step(b, { data: d, on }) {
		const can = enough(b, d.count, 'keeping');
		if (!can.ok) return can;
		hadRooted(b, on, takeFurthest(b, d.count).unrooted);
		b.kept += d.count;
		return ok(b);
	}
});
