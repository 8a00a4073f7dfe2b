import { z } from 'zod';
import { SIGHTING_WORDS, SIGHTINGS } from '../../season/suitability.js';
import { knownKind } from '../agree.js';
import { entryKind } from '../describe.js';
import { kindId } from '../fields.js';

export const sightingKinds = {
	'sighting.made': entryKind({
		words: 'seen in the garden',
		data: z.object({ kind_id: kindId, event: z.enum(SIGHTINGS) }),
		line: ({ data: d }, n) => `${n.kindName(d.kind_id)}: ${SIGHTING_WORDS[d.event]}`,
		check: (e, facts) => knownKind(facts, e.data.kind_id)
	})
} as const;
