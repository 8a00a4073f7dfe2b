/** The round of the next two months as a calendar. */
import type { Garden } from './context.js';
import { tasksOf } from './roundTasks.js';
import { roundWorld } from './roundWorld.js';
import { dayNumber } from '$lib/core/dates.js';
import { roundCalendar } from '$lib/formats/roundIcs.js';

/** More than a calendar can show: the soonest of them. */
const MOST_EVENTS = 1_000;
const WEATHER = new Set(['shelter', 'cover', 'heat', 'rain-ahead']);

/** `origin` is where the app is read from, for links back to the work. */
export async function gardenCalendar(garden: Garden, origin: string): Promise<string> {
	const w = await roundWorld(garden);
	const now = dayNumber(garden.today);
	const place = new Map(w.places.map((p) => [p.id, p.name]));
	const due = tasksOf(w, now)
		.due.filter((t) => !t.straggling)
		.sort((a, b) => a.from - b.from || a.by - b.by);
	return roundCalendar(
		garden.data.name,
		garden.id,
		due.slice(0, MOST_EVENTS).map((t) => ({
			key: t.key,
			// Late work is due today; an event in the past is seen by nobody.
			on: Math.max(t.from, now),
			by: t.by,
			title: t.title,
			place: place.get(t.placeId ?? '') ?? '',
			text: [t.why, t.chance !== null && t.ifMissed ? `If missed: ${t.ifMissed}. If needless: ${t.ifNeedless}.` : '']
				.filter(Boolean)
				.join('\n'),
			alarm: t.work === 'cover' ? 'afternoon' : WEATHER.has(t.work) ? 'evening-before' : null,
			// Watering follows the weather; what has a rhythm of its own comes again.
			every: WEATHER.has(t.work) ? null : t.every,
			address: `${origin}/g/${garden.slug}/${t.link}`
		})),
		new Date()
	);
}
