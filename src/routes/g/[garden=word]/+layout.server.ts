import type { LayoutServerLoad } from './$types';
import { allGardens, viewedDay } from '$lib/server/context.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { stripLanes, stripWeather } from '$lib/server/strip.js';
import { instantNow } from '$lib/server/clock.js';
import { database } from '$lib/server/db.js';
import { timers } from '$lib/server/store/benchware.js';
import { signInAsked } from '$lib/server/auth.js';

export const load: LayoutServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const viewed = viewedDay(garden, url.searchParams.get('day'));
	const [lanes, weather, gardens, clocks] = await guarded(() =>
		Promise.all([stripLanes(garden), stripWeather(garden), allGardens(), timers(database(), garden.id)])
	);
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
};
