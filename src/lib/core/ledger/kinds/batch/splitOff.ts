import { z } from 'zod';
import { STAGES } from '../../../handbook/schema.js';
import { ok, refuse } from '../../../result.js';
import { blankBatch } from '../../batch.js';
import { setCohorts } from '../../checkBatch.js';
import { COHORT_STAGES } from '../../cohorts.js';
import type { Cohort } from '../../cohorts.js';
import { entryKind } from '../../describe.js';
import { isoDate, pieces, some, text, uuid } from '../../fields.js';
import { standAt } from '../../handling.js';
import { struckRooting } from '../../rootingRecord.js';
import { begun, newlyNamed, treatment } from './common.js';

const tallied = z.object({ passed: z.number(), failed: z.number() });
const epoch = z.object({
	from: isoDate,
	died: z.array(z.object({ after: isoDate, by: isoDate, count: pieces('Died') })).max(1_000),
	rooted: z.array(z.object({ by: isoDate, count: pieces('Rooted') })).max(1_000),
	left: pieces('Left'),
	seen: isoDate,
	counted: z.boolean()
});
const splitHistory = z.object({
	/** The batch that was first struck. */
	family: uuid,
	cohorts: z
		.array(
			z.object({
				stage: z.enum(COHORT_STAGES),
				count: some('Pieces'),
				since: isoDate,
				aliveOn: isoDate,
				lookedOn: isoDate.nullable()
			})
		)
		.max(1_000),
	rooting: z.object({
		epochs: z.array(epoch).max(1_000),
		own: z.number().int().min(0),
		signs: z
			.array(z.object({ on: isoDate, looked: pieces('Looked at'), showing: pieces('Showing it'), sign: z.string() }))
			.max(1_000)
	}),
	seen: z.partialRecord(z.enum(STAGES), tallied),
	stays: z.array(z.object({ placeId: uuid.nullable(), from: isoDate })).max(1_000)
});

export const splitOff = entryKind({
	words: 'split off',
	data: z.object({
		/** The batch that these pieces came from, and how they stood there. */
		from: uuid,
		...begun,
		unrooted: pieces('Unrooted'),
		rooted: pieces('Rooted'),
		potted: pieces('Potted'),
		wintered: z.boolean(),
		struck_on: isoDate,
		treatment,
		container: text(80),
		/** What its pieces lived through before, so that nothing seen is forgotten (missing from the first versions). */
		history: splitHistory.nullish()
	}),
	line: ({ data: d }, n) => `${newlyNamed(d, n)}: split off ${d.unrooted + d.rooted + d.potted}`,
	begin({ subjectId, on, data: d }) {
		const b = blankBatch(subjectId, d);
		b.fromBatch = d.from;
		b.status = 'growing';
		b.struckOn = d.struck_on;
		b.struck = d.unrooted + d.rooted + d.potted;
		if (b.struck < 1) return refuse('batch.empty-split', 'Split off at least one piece.', 'count');
		b.winteredOn = d.wintered ? on : null;
		b.family = d.history?.family ?? d.from;
		b.inherited = d.history?.seen ?? {};
		const plain = (stage: Cohort['stage']): Cohort => ({ stage, count: d[stage], since: on, aliveOn: on, lookedOn: null });
		// Entries of the first versions did not take the pieces' history along.
		setCohorts(b, d.history?.cohorts ?? [{ ...plain('unrooted'), since: d.struck_on }, plain('rooted'), plain('potted')]);
		if (b.unrooted !== d.unrooted || b.rooted !== d.rooted || b.potted !== d.potted)
			return refuse('batch.split-counts', 'The pieces split off and their history do not tell the same.', 'count');
		b.rootRecord = d.history?.rooting ?? struckRooting(d.struck_on, d.unrooted);
		b.stays = [...(d.history?.stays ?? [])];
		standAt(b, d.place_id, d.history?.stays?.length ? on : d.struck_on);
		Object.assign(b, { treatment: d.treatment, container: d.container, lastOn: on });
		return ok(b);
	}
});
