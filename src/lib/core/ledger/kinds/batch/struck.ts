import { z } from 'zod';
import { sayDate } from '../../../dates.js';
import { ok, refuse } from '../../../result.js';
import type { Result } from '../../../result.js';
import { takenRightly } from '../../agree.js';
import { blankBatch } from '../../batch.js';
import type { Batch } from '../../batch.js';
import { setCohorts } from '../../checkBatch.js';
import { entryKind, goingTo } from '../../describe.js';
import { some, text } from '../../fields.js';
import { standAt } from '../../handling.js';
import { struckRooting } from '../../rootingRecord.js';
import { begun, newlyNamed, treatment } from './common.js';

const data = z.object({
	...begun,
	struck: some('How many struck'),
	treatment,
	container: text(80),
	/** Pieces that were foretold of the plant before it was cut. */
	foretold: some('Foretold').nullish()
});

function strike(b: Batch, d: z.infer<typeof data>, on: string): Result<Batch> {
	if (b.struckOn !== null) return refuse('batch.struck-twice', `It was struck on ${sayDate(b.struckOn)} already.`);
	if (b.status === 'dropped') return refuse('batch.dropped', 'This batch was dropped: undo that first.');
	Object.assign(b, { stockId: d.stock_id, placeId: d.place_id, wantId: d.want_id, wayId: d.way_id });
	Object.assign(b, { struckOn: on, struck: d.struck, status: 'growing', lastOn: on });
	setCohorts(b, [{ stage: 'unrooted', count: d.struck, since: on, aliveOn: on, lookedOn: null }]);
	b.rootRecord = struckRooting(on, d.struck);
	standAt(b, b.placeId, on);
	Object.assign(b, { treatment: d.treatment, container: d.container, foretold: d.foretold ?? null });
	return ok(b);
}

export const struck = entryKind({
	words: 'struck',
	data,
	line: ({ data: d }, n) => `${newlyNamed(d, n)}: struck ${d.struck}, ${n.wayName(d.kind_id, d.way_id)}${goingTo(n, d.place_id)}`,
	check: (e, facts) => takenRightly(facts, e.data, e.on),
	begin: (e) => strike(blankBatch(e.subjectId, e.data), e.data, e.on),
	step: (b, e) => strike(b, e.data, e.on),
	unstruck: true
});
