import { snapshotOf } from '../snapshot.js';
import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { kindsOf, viewedDay } from '../context.js';
import type { Garden } from '../context.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import { lookUpVariety } from '../standIns.js';
import { modelOf } from '../model.js';
import { stockViews } from '../stock.js';
import type { StockView } from '../stock.js';
import { frostOnStock } from '../stood.js';
import { growthDays } from '$lib/core/season/season.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import { seasonOf } from '../season.js';
import { stripWindows } from '../windows.js';
import * as state from '../store/state.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { OUTDOORS } from '$lib/core/places.js';
import { sayTemperature } from '$lib/core/units/index.js';
import type { Ask } from './ask.js';

const standsOut = (place: string | undefined): boolean => place === undefined || OUTDOORS.has(place);

/** Farther back nobody's nights are looked through. */
const MOST_NIGHTS = 400;
async function coldestSeen(garden: Garden, stock: StockView): Promise<{ lowC: number; on: string } | null> {
	const m = await modelOf(garden);
	const gone = dayNumber(stock.gone_on!);
	const nights = m.nights(stock.place_id);
	let least: { lowC: number; on: string } | null = null;
	for (let day = Math.max(dayNumber(stock.told_on), gone - MOST_NIGHTS); day <= Math.min(gone, m.today - 1); day++) {
		const night = nights(day);
		if (night !== null && (least === null || night.low < least.lowC)) least = { lowC: night.low, on: isoOf(day) };
	}
	return least;
}

/** Where nothing is known of a winter that went by. */
const USUAL = 0.7;
async function livesNow(garden: Garden, stock: StockView): Promise<{ prior: number; warmDays: number } | null> {
	if (stock.gone_on) return null;
	const m = await modelOf(garden);
	const rest = m.season.usual.standstills(m.today - LOOKED_BACK, m.today).at(-1);
	// In the middle of winter everything looks dead, and in late summer nobody waits any more.
	if (!rest || m.today <= rest.to) return rest ? { prior: frostOnStock(m, stock)?.alive ?? USUAL, warmDays: 0 } : null;
	return { prior: frostOnStock(m, stock)?.alive ?? USUAL, warmDays: growthDays(m.season.usual, rest.to, m.today) };
}
const LOOKED_BACK = 200;

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
		/** Of what is gone: the coldest night that was seen where it stood, since it was last looked over. */
		coldestSeen: stock.gone_on ? await coldestSeen(garden, stock) : null,
		/** Does it live, before anybody asks the plant; and days of growth since the winter. */
		lives: await livesNow(garden, stock),
		asked,
		found: asked ? await lookUpVariety(asked) : undefined
	};
}
