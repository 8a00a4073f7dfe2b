import { viewedDay } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { weatherShown } from '../weatherView.js';
import { warmthMeasure } from '$lib/core/units/index.js';
import type { Ask } from './ask.js';

export async function weatherView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));
	const typed = (query.get('threshold') ?? '').trim();
	const threshold = warmthMeasure(garden.units).read(typed);
	const inReach = threshold !== null && threshold >= -40 && threshold <= 25;
	return {
		view: await weatherShown(garden, day, inReach ? Math.round(threshold * 10) / 10 : null),
		threshold: typed,
		badThreshold: typed !== '' && !inReach,
		now: Date.now()
	};
}
