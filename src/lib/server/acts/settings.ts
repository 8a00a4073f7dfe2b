/** Settings of a garden and its places. */
import tzLookup from '@photostructure/tz-lookup';
import type { Asked, Made } from './doing.js';
import { isId, refused } from '../forms.js';
import { gardenFields } from '../gardenForm.js';

const CM2_PER_M2 = 10_000;

export function setGarden({ garden, f, frame }: Asked): Made | ReturnType<typeof refused> {
	const data = gardenFields(f);
	if (!data.ok) return refused(data.problem);
	const { latitude, longitude } = data.value as { latitude: number; longitude: number };
	const inRange = Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;
	return {
		acts: [
			{
				...frame,
				on: garden.today,
				kind: 'garden.set',
				subjectId: garden.id,
				seen: f.number('seen'),
				data: { ...data.value, time_zone: inRange ? tzLookup(latitude, longitude) : garden.data.time_zone }
			}
		],
		said: 'Saved. All windows and odds move with it.'
	};
}

export function setPlace({ garden, f, frame }: Asked): Made {
	const room = f.area('room', garden.units);
	const asked = f.text('place');
	return {
		acts: [
			{
				...frame,
				on: garden.today,
				kind: 'place.set',
				subjectId: isId(asked) ? asked : frame.id,
				seen: f.number('seen'),
				data: {
					name: f.text('name'),
					kind: f.text('kind'),
					body: f.textOrNull('body'),
					light: f.text('light'),
					level_of: f.textOrNull('level_of'),
					faces: f.textOrNull('faces'),
					glass: f.textOrNull('glass'),
					lamp_umol: f.number('lamp_umol'),
					lamp_hours: f.number('lamp_hours'),
					low_c: f.celsius('low', garden.units),
					high_c: f.celsius('high', garden.units),
					room_cm2: room === null ? null : room * CM2_PER_M2,
					walk: f.number('walk') ?? Number.NaN
				}
			}
		],
		said: 'Place saved.'
	};
}

export const closePlace = ({ garden, f, frame }: Asked): Made => ({
	acts: [{ ...frame, on: garden.today, kind: 'place.closed', subjectId: f.text('place'), data: {} }],
	said: 'Place closed.'
});
