import { snapshotOf } from '../snapshot.js';
import { kindsOf } from '../context.js';
import { gardenOr404 } from '../forms.js';
import type { Garden } from '../context.js';
import { addDays, dayNumber, isoOf } from '$lib/core/dates.js';
import { allNames, withVariety } from '$lib/core/handbook/names.js';
import { MOST_PIECES } from '$lib/core/ledger/fields.js';
import { shootOf } from '$lib/core/plan/tall.js';
import { nextTurning } from '$lib/core/season/anchors.js';
import type { Ask } from './ask.js';

/** When "through the winter" is over: two weeks after the last frost, as plants go out again by degrees. */
const afterWinter = (garden: Garden): string =>
	isoOf(nextTurning('last_frost', 14, nextTurning('shortest_day', 0, dayNumber(garden.today), garden.climate), garden.climate));

/** How many a link asks for. */
const countIn = (text: string | null): number | null => {
	const n = Number(text ?? Number.NaN);
	return Number.isInteger(n) && n >= 1 && n <= MOST_PIECES ? n : null;
};

export async function newWantView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const [kinds, { places, stocks }] = await Promise.all([kindsOf(garden), snapshotOf(garden.id)]);
	const have = new Set(stocks.filter((s) => !s.gone_on).map((s) => s.kind_id));
	return {
		kinds: [...kinds.values()]
			.map((k) => ({
				id: k.id,
				name: withVariety(k),
				also: allNames(k).join(' '),
				spacingCm: k.size.spacing_cm,
				growsTall: shootOf(k) !== null,
				have: have.has(k.id),
				tender: k.winter.limit_c > garden.climate.coldestC
			}))
			.sort((a, b) => Number(b.have) - Number(a.have) || a.name.localeCompare(b.name)),
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name, kind: p.kind })),
		kind: query.get('kind') ?? '',
		count: countIn(query.get('count')),
		place: query.get('place') ?? '',
		afterWinter: afterWinter(garden),
		nextAutumn: addDays(garden.today, 365)
	};
}
