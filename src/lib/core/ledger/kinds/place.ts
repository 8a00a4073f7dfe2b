import { z } from 'zod';
import { SHELTERS } from '../../handbook/schema.js';
import { BODIES, SHELTER_NAMES } from '../../shelter/bodies.js';
import { ok, refuse } from '../../result.js';
import { allOf, knownPlace } from '../agree.js';
import { entryKind } from '../describe.js';
import { name, whole, within } from '../fields.js';

export const PLACE_KINDS = ['bed', 'hedge', 'slope', 'nursery_row', 'bench', ...SHELTERS] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];
const walk = whole(0, 999, 'Order of the walk');

export const placeData = z
	.object({
		name: name(80),
		kind: z.enum(PLACE_KINDS),
		/** What it is as a shelter, where it is said: else what such a place usually is. */
		body: z.enum(SHELTER_NAMES).nullable().default(null),
		light: z.enum(['dark', 'shade', 'part', 'bright', 'sun']),
		/** Lowest and highest temperature it sees, °C; unknown outdoors. */
		low_c: within(-60, 50, 'Lowest temperature').nullable(),
		high_c: within(-60, 70, 'Highest temperature').nullable(),
		room_cm2: within(0, 2e8, 'Room').nullable(),
		walk
	})
	.refine((p) => p.low_c === null || p.high_c === null || p.low_c <= p.high_c, {
		message: 'The lowest temperature is above the highest.',
		path: ['low_c']
	})
	.refine((p) => p.body === null || (BODIES[p.kind] ?? []).includes(p.body), {
		message: 'A place of that sort is no such shelter.',
		path: ['body']
	});
export type PlaceData = z.infer<typeof placeData>;
/** As it is said: what it is as a shelter may be left out. */
export type PlaceSaid = z.input<typeof placeData>;

export const placeKinds = {
	'place.set': entryKind({ words: 'place', data: placeData, ahead: true, line: (e) => `Place: ${e.data.name}` }),
	/** Where it comes in the order of the walk; nothing else of it. */
	'place.walked': entryKind({
		words: 'order of the walk',
		data: z.object({ walk }),
		line: (e, n) => `${n.place?.name ?? 'Place'}: number ${e.data.walk} of the walk`,
		check: (e, facts) => knownPlace(facts, e.subjectId)
	}),
	'place.closed': entryKind({
		words: 'place closed',
		data: z.object({}),
		line: (_, n) => `Place closed: ${n.place?.name ?? ''}`,
		check: (e, facts) =>
			allOf(
				() => knownPlace(facts, e.subjectId),
				async () => {
					const codes = await facts.standingAt(e.subjectId);
					return codes.length > 0
						? refuse('place.in-use', `${codes.join(', ')} still stand${codes.length === 1 ? 's' : ''} there: move first.`)
						: ok(true);
				}
			)
	})
} as const;
