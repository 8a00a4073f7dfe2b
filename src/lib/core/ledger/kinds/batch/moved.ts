import { z } from 'zod';
import { ok } from '../../../result.js';
import { openPlace } from '../../agree.js';
import { batchNamed, entryKind, goingTo } from '../../describe.js';
import { uuid } from '../../fields.js';
import { standAt } from '../../handling.js';

export const moved = entryKind({
	words: 'moved',
	data: z.object({ place_id: uuid }),
	line: (e, n) => `${batchNamed(n)}: moved${goingTo(n, e.data.place_id)}`,
	check: (e, facts) => openPlace(facts, e.data.place_id),
	step(b, e) {
		standAt(b, e.data.place_id, e.on);
		return ok(b);
	}
});
