import { snapshotOf } from '../snapshot.js';
import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { kindsOf, viewedDay } from '../context.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import { lookUpVariety } from '../standIns.js';
import { stockViews } from '../stock.js';
import { dayNumber } from '$lib/core/dates.js';
import { seasonOf } from '../season.js';
import { stripWindows } from '../windows.js';
import * as state from '../store/state.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { OUTDOORS } from '$lib/core/places.js';
import { sayTemperature } from '$lib/core/units/index.js';
import type { Ask } from './ask.js';

const standsOut = (place: string | undefined): boolean => place === undefined || OUTDOORS.has(place);

export async function plantView({ params, query }: Ask<'stock'>) {
	const garden = await gardenOr404(params.garden);
	if (!z.uuid().safeParse(params.stock).success) error(404, { message: 'There is no such stock.', code: 'stock.unknown' });
	const { day } = viewedDay(garden, query.get('day'));

	const [stock] = await stockViews(garden, day, params.stock);
	if (!stock) error(404, { message: 'There is no such stock.', code: 'stock.unknown' });
	const { places } = await snapshotOf(garden.id);
	const kind = (await kindsOf(garden)).get(stock.kind_id)!;
	const parent = stock.from_batch ? await state.batchById(database(), garden.id, stock.from_batch) : null;
	const asked = query.get('variety') ?? '';
	return {
		stripWindows: stripWindows(await seasonOf(garden), kind, dayNumber(garden.today)),
		stock,
		parent: parent && { id: parent.id, code: parent.code },
		hazards: kind.hazards,
		/** Where it stands out, or nobody has said where. */
		hardiness: standsOut(places.find((p) => p.id === stock.place_id)?.kind)
			? sayHardiness(kind, garden.climate.coldestC, (c) => sayTemperature(c, garden.units))
			: null,
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
		asked,
		found: asked ? await lookUpVariety(asked) : undefined
	};
}
