import { z } from 'zod';
import { botanicalName } from '../../handbook/names.js';
import { ownKindSchema } from '../../handbook/ownKind.js';
import { ok, refuse } from '../../result.js';
import { allOf } from '../agree.js';
import { because, entryKind } from '../describe.js';
import { kindId, text } from '../fields.js';

/** Upper and lower case and spaces make no other name. */
const plain = (name: string): string => name.trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');

export const ownKindKinds = {
	'kind.set': entryKind({
		words: 'own kind',
		data: z.object({
			/** The handbook's kind that it behaves like, if it was begun from one. */
			like: kindId.nullable(),
			kind: ownKindSchema
		}),
		ahead: true,
		line: ({ data: { kind } }) => `Own kind: ${kind.common} (${botanicalName(kind)})`,
		check: ({ subjectId, data: { like, kind } }, facts) =>
			allOf(
				async () => {
					if (like === null) return ok(true);
					const other = await facts.kind(like);
					return other && other.id !== kind.id
						? ok(true)
						: refuse('kind.like', 'The kind that it behaves like is not there (any more): choose another.', 'like');
				},
				async () => {
					const before = await facts.ownKind(subjectId);
					if (before && before.id !== kind.id) return refuse('kind.other', 'That is another kind: begin a new one.', 'common');
					const same = (await facts.allKinds()).find(
						(k) =>
							k.id !== kind.id && plain(k.common) === plain(kind.common) && plain(k.cultivar ?? '') === plain(kind.cultivar ?? '')
					);
					return same
						? refuse(
								'kind.twice',
								`There is a kind called ${same.common}${same.cultivar ? ` ‘${same.cultivar}’` : ''} already: give this one another name, or its variety.`,
								'common'
							)
						: ok(true);
				},
				async () => {
					const missing = facts.missingFromBook(kind);
					return missing.length ? refuse('kind.missing', missing[0]!, 'kind') : ok(true);
				}
			)
	}),
	'kind.gone': entryKind({
		words: 'own kind taken away',
		data: z.object({ why: text(200) }),
		line: (e, n) => `Own kind taken away: ${n.kindName(e.subjectId)}${because(e.data.why)}`,
		check: async (e, facts) => {
			const kind = await facts.ownKind(e.subjectId);
			if (!kind) return refuse('kind.unknown', 'There is no such kind of your own.');
			const by = await facts.namingKind(kind.id);
			return by.length
				? refuse('kind.in-use', `${by.join(', ')} ${by.length === 1 ? 'is' : 'are'} of this kind: it stays.`)
				: ok(true);
		}
	})
} as const;
