/** What an entry must agree with beyond itself: the handbook, other rows, the calendar. */
import type { Queryable } from './db.js';
import { handbook } from './handbook.js';
import { must, no } from './refusal.js';
import { timerThere } from './store/benchware.js';
import * as state from './store/state.js';
import { dayNumber, sayDate, yearOf } from '$lib/core/dates.js';
import { checkFigure, withFigures } from '$lib/core/handbook/figures.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import { inHand } from '$lib/core/ledger/index.js';
import type { AnyEntry } from '$lib/core/ledger/index.js';
import { mayMultiply } from '$lib/core/material/protection.js';
import { checkClimate } from '$lib/core/season/climate.js';

export function kindOf(id: string): Kind {
	return handbook().kinds.get(id) ?? no('kind.unknown', 'The handbook does not know that kind.', 'kind_id');
}

export function wayOf(kind: Kind, wayId: string): WayProfile {
	return (
		kind.ways.find((w) => w.id === wayId) ??
		no('way.unknown', `${kind.common} is not multiplied that way in the handbook.`, 'way_id')
	);
}

async function openPlace(db: Queryable, gardenId: string, id: string | null): Promise<void> {
	if (id === null) return;
	const place = (await state.places(db, gardenId)).find((p) => p.id === id);
	if (!place) no('place.unknown', 'There is no such place in this garden.', 'place_id');
	if (place.closed) no('place.closed', `${place.name} is closed.`, 'place_id');
}

async function knownPlace(db: Queryable, gardenId: string, id: string): Promise<void> {
	if (!(await state.places(db, gardenId)).some((p) => p.id === id)) no('place.unknown', 'There is no such place in this garden.');
}

async function knownStock(db: Queryable, gardenId: string, id: string): Promise<void> {
	if (!(await state.stockById(db, gardenId, id))) no('stock.unknown', 'There is no such stock in this garden.');
}

/** Work of the round is done on plants that there are, at a place that there is. */
async function knownWork(
	db: Queryable,
	gardenId: string,
	{ place_id, targets }: { place_id: string | null; targets: readonly string[] }
): Promise<void> {
	if (place_id !== null) await knownPlace(db, gardenId, place_id);
	const { rows } = await db.query<{ id: string }>(
		`SELECT id FROM batch WHERE garden_id = $1 AND id = ANY ($2)
		 UNION SELECT id FROM stock WHERE garden_id = $1 AND id = ANY ($2)
		 UNION SELECT id FROM want WHERE garden_id = $1 AND id = ANY ($2)`,
		[gardenId, targets]
	);
	if (rows.length < new Set(targets).size)
		no('care.unknown', 'One of the plants of that work is not of this garden: load the page again.');
}

export function protectionOf(s: state.StockRow) {
	return {
		status: s.protection,
		until: s.protected_until,
		leave: s.leave_basis ? { basis: s.leave_basis, reference: s.leave_reference ?? '' } : null
	};
}

async function givingStock(db: Queryable, gardenId: string, id: string | null, kindId: string, on: string): Promise<void> {
	if (id === null) return;
	const stock = await state.stockById(db, gardenId, id);
	if (!stock) no('stock.unknown', 'There is no such stock in this garden.', 'stock_id');
	if (stock.kind_id !== kindId) no('stock.other-kind', 'That stock is of another kind.', 'stock_id');
	if (stock.gone_on && stock.gone_on < on) no('stock.gone', `That stock is gone since ${sayDate(stock.gone_on)}.`, 'stock_id');
	const may = mayMultiply(protectionOf(stock), yearOf(dayNumber(on)));
	if (stock.protection === 'protected' && may.may !== 'yes') no('stock.protected', may.sentence, 'stock_id');
}

async function openWant(db: Queryable, gardenId: string, id: string | null, kindId: string): Promise<void> {
	if (id === null) return;
	const want = (await state.wants(db, gardenId)).find((w) => w.id === id);
	if (!want) no('want.unknown', 'There is no such want in this garden.', 'want_id');
	if (want.kind_id !== kindId) no('want.other-kind', 'That want is for another kind.', 'want_id');
}

const PLANNING = new Set<AnyEntry['kind']>([
	'batch.planned',
	'garden.set',
	'place.set',
	'want.set',
	'figure.set',
	'figure.cleared'
]);

/** Throws a Refusal when the entry does not go with what is there. */
export async function checkEntry(db: Queryable, gardenId: string, e: AnyEntry, today: string): Promise<void> {
	if (e.on > today && !PLANNING.has(e.kind))
		no('entry.future', `${sayDate(e.on)} has not come yet: an entry tells what was done or seen.`, 'on');
	switch (e.kind) {
		case 'garden.set':
			must(
				checkClimate({
					latitude: e.data.latitude,
					longitude: e.data.longitude,
					coldestC: e.data.coldest_c,
					lastFrost: e.data.last_frost,
					firstFrost: e.data.first_frost
				})
			);
			return;
		case 'place.walked':
			return knownPlace(db, gardenId, e.subjectId);
		case 'place.closed': {
			await knownPlace(db, gardenId, e.subjectId);
			const inUse = (await state.batches(db, gardenId, ['growing'])).filter((b) => b.placeId === e.subjectId && inHand(b) > 0);
			if (inUse.length > 0)
				no(
					'place.in-use',
					`${inUse.map((b) => b.code).join(', ')} still stand${inUse.length === 1 ? 's' : ''} there: move first.`
				);
			return;
		}
		case 'stock.set':
			kindOf(e.data.kind_id);
			return openPlace(db, gardenId, e.data.place_id);
		case 'stock.moved':
			await knownStock(db, gardenId, e.subjectId);
			return openPlace(db, gardenId, e.data.place_id);
		case 'stock.leave':
		case 'stock.gone':
			return knownStock(db, gardenId, e.subjectId);
		case 'want.set':
			kindOf(e.data.kind_id);
			if (e.data.due <= today) no('want.past', `${sayDate(e.data.due)} has gone by: give a day that is still to come.`, 'due');
			if (dayNumber(e.data.due) - dayNumber(today) > 366 * 12)
				no('want.far', 'More than twelve years ahead: give a nearer day.', 'due');
			return openPlace(db, gardenId, e.data.place_id);
		case 'want.dropped':
			if (!(await state.wants(db, gardenId)).some((w) => w.id === e.subjectId))
				no('want.unknown', 'There is no such want in this garden.');
			return;
		case 'figure.cleared':
			kindOf(e.data.kind_id);
			return;
		case 'care.done':
		case 'care.skipped':
			return knownWork(db, gardenId, e.data);
		case 'timer.started':
			if (e.data.batch_id !== null && !(await state.batchById(db, gardenId, e.data.batch_id)))
				no('batch.unknown', 'There is no such batch in this garden.', 'batch_id');
			return;
		case 'timer.ended':
			if (!(await timerThere(db, gardenId, e.subjectId))) no('timer.unknown', 'There is no such clock, or it has ended.');
			return;
		case 'sighting.made':
			kindOf(e.data.kind_id);
			return;
		case 'care.put-off':
			await knownWork(db, gardenId, e.data);
			if (e.data.until <= today) no('care.until', 'Put off to a day that is still to come.', 'until');
			if (dayNumber(e.data.until) - dayNumber(today) > 400)
				no('care.until', 'More than a year ahead: give a nearer day.', 'until');
			return;
		case 'figure.set': {
			const own = Object.fromEntries(
				(await state.figures(db, gardenId)).filter((f) => f.kind_id === e.data.kind_id).map((f) => [f.path, f.value])
			);
			must(checkFigure(withFigures(kindOf(e.data.kind_id), own), e.data.path, e.data.value));
			return;
		}
		case 'batch.planned':
			wayOf(kindOf(e.data.kind_id), e.data.way_id);
			await givingStock(db, gardenId, e.data.stock_id, e.data.kind_id, today);
			await openWant(db, gardenId, e.data.want_id, e.data.kind_id);
			return openPlace(db, gardenId, e.data.place_id);
		case 'batch.struck':
			wayOf(kindOf(e.data.kind_id), e.data.way_id);
			await givingStock(db, gardenId, e.data.stock_id, e.data.kind_id, e.on);
			await openWant(db, gardenId, e.data.want_id, e.data.kind_id);
			return openPlace(db, gardenId, e.data.place_id);
		case 'batch.moved':
			return openPlace(db, gardenId, e.data.place_id);
		case 'batch.potted':
		case 'batch.planted':
			return openPlace(db, gardenId, e.data.place_id);
		default:
			return;
	}
}

/** What still leans on a subject whose last entry is being undone. */
export async function checkUnleaned(db: Queryable, gardenId: string, subject: string, id: string): Promise<void> {
	if (!['stock', 'want', 'place'].includes(subject)) return;
	if (subject === 'stock') {
		const from = await state.codesNaming(db, gardenId, 'stock_id', id);
		if (from.length) no('undo.leaned-on', `${from.join(', ')} came from this stock: undo that first.`);
	}
	if (subject === 'want') {
		const of = await state.codesNaming(db, gardenId, 'want_id', id);
		if (of.length) no('undo.leaned-on', `${of.join(', ')} belong${of.length === 1 ? 's' : ''} to this want: undo that first.`);
	}
	if (subject === 'place') {
		const at = await state.codesNaming(db, gardenId, 'place_id', id);
		const stock = (await state.stocks(db, gardenId)).filter((s) => s.place_id === id && !s.gone_on);
		const wants = (await state.wants(db, gardenId)).filter((w) => w.place_id === id && !w.dropped_on);
		if (at.length || stock.length || wants.length)
			no('undo.leaned-on', 'Plants stand there or are wanted there: move them first.');
	}
}
