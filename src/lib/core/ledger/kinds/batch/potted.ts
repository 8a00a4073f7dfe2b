import { z } from 'zod';
import { ok } from '../../../result.js';
import { openPlace } from '../../agree.js';
import { setCohorts, take, tally } from '../../checkBatch.js';
import { seenAlive } from '../../cohorts.js';
import { batchNamed, entryKind, goingTo } from '../../describe.js';
import { some, text, uuid } from '../../fields.js';
import { enough, hadRooted, standAt } from '../../handling.js';

export const potted = entryKind({
	words: 'potted',
	data: z.object({ count: some('How many potted'), container: text(80), place_id: uuid.nullable() }),
	line: ({ data: d }, n) =>
		`${batchNamed(n)}: potted ${d.count}${d.container ? ` in ${d.container}` : ''}${goingTo(n, d.place_id)}`,
	check: (e, facts) => openPlace(facts, e.data.place_id),
	step(b, { data: d, on }) {
		const can = enough(b, d.count, 'potting');
		if (!can.ok) return can;
		// Potting what is potted already is potting on: it changes pot and place, not the count.
		const fresh = Math.min(d.count, b.rooted + b.unrooted);
		const fromRooted = Math.min(fresh, b.rooted);
		const fromBare = fresh - fromRooted;
		take(b, 'rooted', fromRooted, 'oldest');
		take(b, 'unrooted', fromBare, 'oldest');
		// Those potted on keep the day since when they are potted; all that were handled are alive.
		const pottedOn = take(b, 'potted', d.count - fresh, 'oldest');
		const handled = [
			...seenAlive(pottedOn, on),
			{ stage: 'potted', count: fresh, since: on, aliveOn: on, lookedOn: null } as const
		];
		setCohorts(b, [...b.cohorts, ...handled]);
		hadRooted(b, on, fromBare);
		tally(b, 'potted', fresh, 0);
		if (d.container) b.container = d.container;
		if (d.place_id) standAt(b, d.place_id, on);
		return ok(b);
	}
});
