import { z } from 'zod';
import { ok } from '../../../result.js';
import { openPlace } from '../../agree.js';
import { tally } from '../../checkBatch.js';
import { batchNamed, entryKind, goingTo } from '../../describe.js';
import { some, uuid } from '../../fields.js';
import { enough, hadRooted, takeFurthest } from '../../handling.js';

export const planted = entryKind({
	words: 'planted',
	data: z.object({ count: some('How many planted'), place_id: uuid.nullable() }),
	line: (e, n) => `${batchNamed(n)}: planted ${e.data.count}${goingTo(n, e.data.place_id)}`,
	check: (e, facts) => openPlace(facts, e.data.place_id),
	step(b, { data: d, on }) {
		const can = enough(b, d.count, 'planting');
		if (!can.ok) return can;
		const from = takeFurthest(b, d.count);
		// A planted piece has passed all that lies before the ground.
		hadRooted(b, on, from.unrooted);
		tally(b, 'ready', from.potted, 0);
		tally(b, 'planted', d.count, 0);
		b.planted += d.count;
		if (d.place_id) b.placeId = d.place_id;
		return ok(b);
	}
});
