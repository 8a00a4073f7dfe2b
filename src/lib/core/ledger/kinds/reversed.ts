import { z } from 'zod';
import { entryKind } from '../describe.js';
import { uuid } from '../fields.js';

/** Undo: the entry that it names does not stand, as long as this one does. */
export const reversedKinds = {
	'entry.reversed': entryKind({ words: 'undone', data: z.object({ reverses: uuid }), line: () => 'Undone' })
} as const;
