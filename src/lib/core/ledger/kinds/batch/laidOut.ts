import { sayNumber } from '../../../numbers.js';
import { z } from 'zod';
import { ok } from '../../../result.js';
import { batchNamed, entryKind } from '../../describe.js';
import { name, whole } from '../../fields.js';
import { layOut, MOST_CELLS } from '../../tray.js';

export const laidOut = entryKind({
	words: 'laid out',
	data: z.object({
		rows: whole(1, 100, 'Rows'),
		columns: whole(1, 100, 'Pieces in a row'),
		groups: z.array(name(40)).max(8, 'At most eight treatments.'),
		of: z.array(whole(-1, 7, 'Treatment')).max(MOST_CELLS, { error: () => `At most ${sayNumber(MOST_CELLS)} cells.` })
	}),
	line: ({ data: d }, n) =>
		`${batchNamed(n)}: laid out in ${d.rows} × ${d.columns}${d.groups.length > 1 ? `, a trial of ${d.groups.join(' / ')}` : ''}`,
	step(b, e) {
		const tray = layOut(e.data, b.unrooted, b.rooted);
		if (!tray.ok) return tray;
		b.tray = tray.value;
		return ok(b);
	}
});
