import { z } from 'zod';
import { check } from '../../checkBatch.js';
import { batchNamed, entryKind } from '../../describe.js';
import { pieces, some } from '../../fields.js';
import { SIGNS } from '../../signs.js';
import { MOST_CELLS } from '../../tray.js';

const cell = z
	.number()
	.int()
	.min(0)
	.max(MOST_CELLS - 1);

const data = z.object({
	alive: pieces('Alive'),
	rooted: pieces('Rooted').nullable(),
	sign: z.enum(SIGNS),
	/** Pieces looked at closely and those that showed the sign, where not all were. */
	looked: some('Looked at').nullish(),
	showing: pieces('Showing it').nullish(),
	/** Cells of the tray, by rows from 0, that are newly rooted or lost. */
	cells: z.object({ rooted: z.array(cell).max(MOST_CELLS), lost: z.array(cell).max(MOST_CELLS) }).nullish()
});
export type Checked = z.infer<typeof data>;

export const checked = entryKind({
	words: 'check',
	data,
	line: ({ data: d }, n) =>
		`${batchNamed(n)}: ${d.alive} alive${d.rooted === null ? '' : `, ${d.rooted} rooted`}${d.sign === 'none' ? '' : `, ${d.sign}`}`,
	step: (b, e) => check(b, e.data, e.on),
	loses: true
});
