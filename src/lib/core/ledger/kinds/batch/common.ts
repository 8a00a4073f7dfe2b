/** What the entries that begin a batch have in common. */
import { z } from 'zod';
import type { Names } from '../../describe.js';
import { text, uuid } from '../../fields.js';

export const begun = {
	code: z.string(),
	kind_id: z.string(),
	way_id: z.string(),
	stock_id: uuid.nullable(),
	want_id: uuid.nullable(),
	place_id: uuid.nullable()
};

export const treatment = z.object({
	medium: text(120),
	hormone: text(120),
	wound: z.boolean(),
	cover: text(120)
});
export const noTreatment = { medium: '', hormone: '', wound: false, cover: '' };

export const newlyNamed = (d: { code: string; kind_id: string }, n: Names): string => `${d.code} ${n.kindName(d.kind_id)}`;
