import { z } from 'zod';
import { checkClimate } from '../../season/climate.js';
import { entryKind } from '../describe.js';
import { isoDate, name, text, whole, within } from '../fields.js';

const frost = z.object({ doy: whole(1, 365, 'Frost date'), sd: within(1, 60, 'Spread') });

export const gardenData = z.object({
	name: name(80),
	place: text(120),
	latitude: within(-90, 90, 'Latitude'),
	longitude: within(-180, 180, 'Longitude'),
	height_m: within(-430, 6000, 'Height'),
	time_zone: z.string().min(1).max(64),
	units: z.enum(['metric', 'us']),
	temperature: z.enum(['C', 'F']),
	currency: z.string().regex(/^[A-Z]{3}$/, 'A currency has three letters, like EUR.'),
	coldest_c: within(-70, 30, 'Coldest night'),
	last_frost: frost.nullable(),
	first_frost: frost.nullable(),
	minutes_per_week: whole(0, 10_000, 'Minutes a week'),
	away: z
		.array(z.object({ from: isoDate, to: isoDate }).refine((a) => a.from <= a.to, 'The first day away comes after the last.'))
		.max(30),
	/** Frost dates and coldest night by the weather record where there is one (unless the person holds to their own). */
	frost_from: z.enum(['record', 'own']).optional(),
	/** Which figures are still the first guess. */
	guessed: z.array(z.string().max(40)).max(20)
});
export type GardenData = z.infer<typeof gardenData>;

export const gardenKinds = {
	'garden.set': entryKind({
		words: 'garden settings',
		data: gardenData,
		ahead: true,
		line: (e) => `Garden settings: ${e.data.name}`,
		check: ({ data: d }) =>
			Promise.resolve(
				checkClimate({
					latitude: d.latitude,
					longitude: d.longitude,
					coldestC: d.coldest_c,
					lastFrost: d.last_frost,
					firstFrost: d.first_frost
				})
			)
	})
} as const;
