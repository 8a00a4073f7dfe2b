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
import type { Ask } from './ask.js';

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
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
		asked,
		found: asked ? await lookUpVariety(asked) : undefined
	};
}
