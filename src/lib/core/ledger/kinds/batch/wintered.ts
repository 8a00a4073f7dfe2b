import { z } from 'zod';
import { ok, refuse } from '../../../result.js';
import { inHand } from '../../batch.js';
import { loseToWinter, setCohorts, tally } from '../../checkBatch.js';
import { seenAlive } from '../../cohorts.js';
import { batchNamed, entryKind } from '../../describe.js';
import { pieces } from '../../fields.js';

export const wintered = entryKind({
	words: 'counted after winter',
	data: z.object({ alive: pieces('Alive') }),
	line: (e, n) => `${batchNamed(n)}: ${e.data.alive} came through the winter`,
	step(b, { data: d, on }) {
		const have = inHand(b);
		if (d.alive > have)
			return refuse('batch.more-alive', `${b.code} went into winter with ${have}: more can't have come out.`, 'alive');
		const lost = have - d.alive;
		loseToWinter(b, lost);
		setCohorts(b, seenAlive(b.cohorts, on));
		tally(b, 'wintered', d.alive, lost);
		b.winteredOn = on;
		return ok(b);
	},
	loses: true
});
