/** Readings of thermometers at places: many a call, kept by day. */
import { z } from 'zod';
import { gardenById } from './context.js';
import { database } from './db.js';
import * as state from './store/state.js';
import { addReadings } from './store/weather.js';
import type { ReadingIn } from './store/weather.js';
import { dateIn } from '$lib/core/dates.js';
import type { Result } from '$lib/core/result.js';
import { ok, refuse } from '$lib/core/result.js';

/** A sensor at home that shows more has been read wrong, or lies in the sun. */
const celsius = z
	.number({ error: 'A temperature is a number in °C.' })
	.min(-60, 'A reading below −60 °C cannot be.')
	.max(70, 'A reading above 70 °C cannot be.');
export const readingsSchema = z.object({
	readings: z
		.array(
			z
				.object({
					/** Id or name of a place of the garden. */
					place: z.string().min(1).max(80),
					/** Instant with offset; now if not given. */
					at: z.iso.datetime({ offset: true, error: 'at: an instant like 2026-09-05T07:00:00+02:00.' }).optional(),
					now_c: celsius,
					low_c: celsius.optional(),
					high_c: celsius.optional()
				})
				.refine((r) => (r.low_c ?? -99) <= (r.high_c ?? 99), { message: 'The lowest is above the highest.', path: ['low_c'] })
		)
		.min(1, 'No reading.')
		.max(1000, 'At most 1,000 readings a call.')
});

const AHEAD_MS = 10 * 60_000;
const BACK_MS = 400 * 86_400_000;

/** Takes all of a call's readings or none. `now` is the instant of the call. */
export async function takeReadings(
	gardenId: string,
	body: z.infer<typeof readingsSchema>,
	now: number
): Promise<Result<{ taken: number }>> {
	const garden = (await gardenById(gardenId))!;
	const places = (await state.places(database(), gardenId)).filter((p) => !p.closed);
	const days = new Map<string, ReadingIn>();
	for (const [i, r] of body.readings.entries()) {
		const wanted = r.place.trim().toLowerCase();
		const place = places.find((p) => p.id === r.place || p.name.toLowerCase() === wanted);
		if (!place) return refuse('place.unknown', `There is no place “${r.place}” in this garden.`, `readings.${i}.place`);
		const at = r.at ? Date.parse(r.at) : now;
		if (at > now + AHEAD_MS) return refuse('reading.future', 'A reading from the future.', `readings.${i}.at`);
		if (at < now - BACK_MS) return refuse('reading.old', 'A reading of more than 400 days ago.', `readings.${i}.at`);
		const day = dateIn(garden.data.time_zone, at);
		const key = `${place.id} ${day}`;
		const before = days.get(key);
		const low = Math.min(r.low_c ?? r.now_c, r.now_c, before?.low ?? Infinity);
		const high = Math.max(r.high_c ?? r.now_c, r.now_c, before?.high ?? -Infinity);
		const newest = !before || at >= Date.parse(before.at);
		days.set(key, {
			placeId: place.id,
			day,
			low,
			high,
			now: newest ? r.now_c : before.now,
			at: newest ? new Date(at).toISOString() : before.at,
			readings: (before?.readings ?? 0) + 1
		});
	}
	await addReadings(database(), gardenId, [...days.values()]);
	return ok({ taken: body.readings.length });
}
