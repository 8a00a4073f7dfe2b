import { z } from 'zod';
import { ok, refuse } from '../../../result.js';
import { lose, loseToWinter, tally } from '../../checkBatch.js';
import { ofCause } from '../../causes.js';
import { batchNamed, because, entryKind } from '../../describe.js';
import { cause, some, text } from '../../fields.js';
import { enough } from '../../handling.js';

export const lost = entryKind({
	words: 'lost',
	data: z.object({ count: some('How many lost'), why: text(200), planted: z.boolean(), cause }),
	line: ({ data: d }, n) =>
		`${batchNamed(n)}: lost ${d.count}${d.planted ? ' after planting' : ''}${ofCause(d.cause)}${because(d.why)}`,
	step(b, { data: d, on }) {
		if (d.planted) {
			const standing = b.planted - b.lostPlanted;
			if (d.count > standing)
				return refuse(
					'batch.lost-planted',
					`Only ${standing} planted from ${b.code} still stand: ${d.count} can't be lost.`,
					'count'
				);
			b.lostPlanted += d.count;
			// It was counted as planted once; now it is known that it did not take.
			tally(b, 'planted', -d.count, d.count);
			return ok(b);
		}
		const can = enough(b, d.count, 'losing');
		if (!can.ok) return can;
		// The cold of where they stood is in the place's own odds: it says nothing of the way.
		if (d.cause === 'cold') loseToWinter(b, d.count);
		else lose(b, d.count, on);
		return ok(b);
	},
	loses: true
});
