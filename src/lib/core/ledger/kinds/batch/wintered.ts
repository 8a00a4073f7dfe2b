import { z } from 'zod';
import { ok, refuse } from '../../../result.js';
import { inHand } from '../../batch.js';
import { loseToWinter, setCohorts, tally } from '../../checkBatch.js';
import { seenAlive } from '../../cohorts.js';
import { batchNamed, entryKind } from '../../describe.js';
import { pieces } from '../../fields.js';

export const wintered = entryKind({
	words: 'counted after the cold',
	/** After a winter; or after one night's frost, of which they would not have had to die. */
	data: z.object({ alive: pieces('Alive'), after: z.enum(['winter', 'frost']).optional() }),
	line: (e, n) => `${batchNamed(n)}: ${e.data.alive} came through the ${e.data.after ?? 'winter'}`,
	step(b, { data: d, on }) {
		const have = inHand(b);
		if (d.alive > have)
			return refuse(
				'batch.more-alive',
				`${b.code} went into the ${d.after ?? 'winter'} with ${have}: more can't have come out.`,
				'alive'
			);
		const lost = have - d.alive;
		loseToWinter(b, lost);
		setCohorts(b, seenAlive(b.cohorts, on));
		// A frost where they should not have stood teaches nothing of how the way's plants winter, and winter is still ahead.
		if (d.after !== 'frost') {
			tally(b, 'wintered', d.alive, lost);
			b.winteredOn = on;
		}
		return ok(b);
	},
	loses: true
});
