import { allGardens, viewedDay } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { stripLanes, stripWeather } from '../strip.js';
import { instantNow } from '../clock.js';
import { database } from '../db.js';
import { timers } from '../store/benchware.js';
import { signInAsked } from '../auth.js';
import type { Ask } from './ask.js';

export async function frameView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const viewed = viewedDay(garden, query.get('day'));
	const [lanes, weather, gardens, clocks] = await Promise.all([
		stripLanes(garden),
		stripWeather(garden),
		allGardens(),
		timers(database(), garden.id)
	]);
	return {
		garden: {
			slug: garden.slug,
			name: garden.data.name,
			version: garden.version,
			units: garden.units,
			climate: garden.climate,
			today: garden.today,
			currency: garden.data.currency
		},
		gardens,
		viewed: viewed.iso,
		isToday: viewed.isToday,
		lanes,
		weather,
		madeRecord: garden.base.made,
		clocks: clocks.map((c) => ({ id: c.id, say: c.say, endsAt: c.ends_at.getTime() })),
		now: Date.parse(instantNow()),
		canSignOut: signInAsked()
	};
}
