import { kindsOf, viewedDay } from '../context.js';
import { seasonOf } from '../season.js';
import { STEP, wayLabel, windowView } from '../windows.js';
import { gardenOr404 } from '../forms.js';
import { isOwnKind } from '$lib/core/handbook/ownKind.js';
import { allNames, botanicalName } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Ask } from './ask.js';

/** One's own first, then by name. */
const ownFirst = (a: Kind, b: Kind): number =>
	Number(isOwnKind(b.id)) - Number(isOwnKind(a.id)) || a.common.localeCompare(b.common);

export async function handbookView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));
	const season = await seasonOf(garden);
	return {
		from: day - 15,
		day,
		step: STEP,
		kinds: [...(await kindsOf(garden)).values()].sort(ownFirst).map((k) => ({
			id: k.id,
			common: k.common,
			botanical: botanicalName(k),
			names: allNames(k).join(' '),
			standsFor: k.stands_for,
			mine: isOwnKind(k.id),
			ways: k.ways.map((w) => ({
				id: w.id,
				name: wayLabel(k, w),
				window: windowView(season, w.window, k, day)
			}))
		}))
	};
}
