import { z } from 'zod';
import { checkFigure } from '../../handbook/figures.js';
import { knownKind } from '../agree.js';
import { entryKind } from '../describe.js';

const of = { kind_id: z.string().max(60), path: z.string().max(80) };

export const figureKinds = {
	'figure.set': entryKind({
		words: 'own figure',
		data: z.object({ ...of, value: z.number() }),
		ahead: true,
		line: ({ data: d }, n) => `${n.kindName(d.kind_id)}: own figure for ${d.path}, ${d.value}`,
		check: async ({ data: d }, facts) => {
			const kind = await facts.kind(d.kind_id);
			return kind ? checkFigure(kind, d.path, d.value) : knownKind(facts, d.kind_id);
		}
	}),
	'figure.cleared': entryKind({
		words: 'own figure cleared',
		data: z.object(of),
		ahead: true,
		line: ({ data: d }, n) => `${n.kindName(d.kind_id)}: back to the handbook's figure for ${d.path}`,
		check: (e, facts) => knownKind(facts, e.data.kind_id)
	})
} as const;
