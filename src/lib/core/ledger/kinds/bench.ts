/** What is at hand: materials on the shelf, vessels of one's own. */
import { z } from 'zod';
import { checkVessel } from '../../mix/vessel.js';
import type { Vessel } from '../../mix/vessel.js';
import { entryKind } from '../describe.js';
import { name, within } from '../fields.js';

const side = z.number();
const vesselData = z
	.discriminatedUnion('shape', [
		z.object({ shape: z.enum(['round', 'square']), topCm: side, baseCm: side, heightCm: side }),
		z.object({ shape: z.literal('tray'), lengthCm: side, widthCm: side, heightCm: side }),
		z.object({ shape: z.literal('cells'), cells: side, topCm: side, baseCm: side, heightCm: side }),
		z.object({ shape: z.literal('jar'), acrossCm: side, waterCm: side })
	])
	.superRefine((v, c) => {
		const checked = checkVessel(v as Vessel);
		if (!checked.ok) c.addIssue({ code: 'custom', message: checked.problem.sentence, path: [checked.problem.path ?? 'shape'] });
	});

export const shelfKinds = {
	'shelf.set': entryKind({
		words: 'on the shelf',
		data: z.object({ material: z.string().min(1).max(60), litres: within(0, 10_000, 'Litres at hand') }),
		line: ({ data: d }, n) => `On the shelf: ${n.materialName(d.material)}, ${Math.round(d.litres * 10) / 10} L`
	})
} as const;

export const vesselKinds = {
	'vessel.set': entryKind({
		words: 'own vessel',
		data: z.object({ name: name(80), vessel: vesselData }),
		line: (e) => `Own vessel: ${e.data.name}`
	}),
	'vessel.gone': entryKind({ words: 'vessel gone', data: z.object({}), line: () => 'Vessel no longer used' })
} as const;
