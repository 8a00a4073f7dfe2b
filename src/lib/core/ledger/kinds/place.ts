import { z } from 'zod';
import { BODIES, bodyOf, SHELTER_NAMES } from '../../shelter/bodies.js';
import { COMPASS, GLASSES } from '../../shelter/light.js';
import { COVERS, coversOf, heats } from '../../shelter/guards.js';
import { areaOf } from '../../ground/outline.js';
import { outlineOf, shapeData } from '../../ground/shape.js';
import { sayNumber } from '../../numbers.js';
import { IN_THE_GROUND, PLACE_KINDS } from '../../places.js';
import { ok, refuse } from '../../result.js';
import { allOf, knownPlace } from '../agree.js';
import { entryKind } from '../describe.js';
import { name, uuid, whole, within } from '../fields.js';

const walk = whole(0, 999, 'Order of the walk');

export const placeData = z
	.object({
		name: name(80),
		kind: z.enum(PLACE_KINDS),
		/** What it is as a shelter, where it is said: else what such a place usually is. */
		body: z.enum(SHELTER_NAMES).nullable().default(null),
		light: z.enum(['dark', 'shade', 'part', 'bright', 'sun']),
		/** A shelf or floor of another place: as warm as that is, with room and light of its own. */
		level_of: uuid.nullable().default(null),
		/** The side that its window faces, and the glass in it. */
		faces: z.enum(COMPASS).nullable().default(null),
		glass: z.enum(GLASSES).nullable().default(null),
		/** What a lamp gives where the leaves are, µmol m⁻² s⁻¹, and for how many hours a day. */
		lamp_umol: within(1, 2_000, 'Light of the lamp').nullable().default(null),
		lamp_hours: within(0.5, 24, 'Hours of the lamp').nullable().default(null),
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

const COVER_LINES = { cloth: 'frost cloth', film: 'bubble film', mat: 'a mat at night', mulch: '5 cm of mulch' } as const;

export const placeKinds = {
	'place.set': entryKind({
		words: 'place',
		data: placeData,
		ahead: true,
		line: (e) => `Place: ${e.data.name}`,
		check: async (e, facts) => {
			if (e.data.level_of === null) return ok(true);
			if (e.data.level_of === e.subjectId) return refuse('place.level', 'A place is no level of itself.', 'level_of');
			const whole = await facts.place(e.data.level_of);
			if (!whole || whole.closed)
				return refuse('place.level', 'There is no such place in this garden to be a level of.', 'level_of');
			if (whole.level_of !== null)
				return refuse('place.level', `${whole.name} is a level itself: choose the place that it is in.`, 'level_of');
			return bodyOf(whole) === null
				? refuse('place.level', `${whole.name} is under the sky: it has no levels.`, 'level_of')
				: ok(true);
		}
	}),
	/** Where it comes in the order of the walk; nothing else of it. */
	'place.walked': entryKind({
		words: 'order of the walk',
		data: z.object({ walk }),
		line: (e, n) => `${n.place?.name ?? 'Place'}: number ${e.data.walk} of the walk`,
		check: (e, facts) => knownPlace(facts, e.subjectId)
	}),
	/** What is put over it, or heats it, until the next word. */
	'place.guarded': entryKind({
		words: 'guard against cold',
		data: z.object({
			cover: z.enum(COVERS).nullable(),
			heater: z.object({ watts: within(10, 20_000, 'Power'), setC: within(-5, 25, 'Set to') }).nullable()
		}),
		line: ({ data: d }, n) =>
			`${n.place?.name ?? 'Place'}: ${
				[d.cover ? COVER_LINES[d.cover] : '', d.heater ? `a heater of ${d.heater.watts} W set to ${d.heater.setC} °C` : '']
					.filter(Boolean)
					.join(' and ') || 'nothing over it'
			}`,
		check: async (e, facts) => {
			const place = await facts.place(e.subjectId);
			if (!place) return knownPlace(facts, e.subjectId);
			const body = bodyOf(place);
			if (e.data.cover && !(body && coversOf(body).includes(e.data.cover)))
				return refuse('place.cover', `${place.name} is no place for that cover.`, 'cover');
			if (e.data.heater && !(body && heats(body)))
				return refuse('place.heater', `${place.name} is no place for a heater of its own.`, 'heater');
			return ok(true);
		}
	}),
	/** Its ground, as it was measured last. */
	'place.shaped': entryKind({
		words: 'ground measured',
		data: shapeData,
		line: (e, n) => {
			const measured = outlineOf(e.data);
			const area = measured.ok ? `, ${sayNumber(areaOf(measured.value), 1)} m²` : '';
			return `${n.place?.name ?? 'Place'} measured${area}`;
		},
		check: async (e, facts) => {
			const place = await facts.place(e.subjectId);
			if (!place) return knownPlace(facts, e.subjectId);
			if (!IN_THE_GROUND.has(place.kind))
				return refuse('ground.none', `${place.name} is no ground to plant in: only beds, hedges, slopes and rows are measured.`);
			const measured = outlineOf(e.data);
			return measured.ok ? ok(true) : measured;
		}
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
