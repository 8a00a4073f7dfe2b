import { error } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { v5 as uuidv5 } from 'uuid';
import { batchViews } from '$lib/server/bench.js';
import { strikeFields } from '$lib/server/batchForm.js';
import { kindsOf, viewedDay, wayIn } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm, refused } from '$lib/server/forms.js';
import type { Act } from '$lib/server/ledger.js';
import { handbook } from '$lib/server/handbook.js';
import { entriesOf } from '$lib/server/store/entries.js';
import { dayNumber } from '$lib/core/dates.js';
import { seasonOf } from '$lib/server/season.js';
import { stripWindows } from '$lib/server/windows.js';
import * as state from '$lib/server/store/state.js';
import { vesselsOf } from '$lib/server/mixing.js';
import { lineage } from '$lib/server/lineage.js';
import { wantViews } from '$lib/server/wants.js';
import { inHand, partOf } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const db = database();
		const row = await state.batchById(db, garden.id, params.batch);
		if (!row) error(404, { message: 'There is no such batch.', code: 'batch.unknown' });
		const [batch] = await batchViews(garden, day, [row], { curve: true });
		const kind = (await kindsOf(garden)).get(row.kindId)!;
		const profile = wayIn(kind, row.wayId)!;
		const way = handbook().ways.get(profile.way)!;
		const [places, story, want, stock, parent] = await Promise.all([
			state.places(db, garden.id),
			entriesOf(db, garden.id, 'batch', row.id),
			row.wantId ? wantViews(garden, row.wantId, { brief: true }).then((w) => w[0] ?? null) : null,
			row.stockId ? state.stockById(db, garden.id, row.stockId) : null,
			row.fromBatch ? state.batchById(db, garden.id, row.fromBatch) : null
		]);
		const potted = profile.stages.find((s) => s.to === 'potted' || s.to === 'ready');
		return {
			stripWindows: stripWindows(await seasonOf(garden), kind, dayNumber(garden.today), row.wayId),
			batch: batch!,
			way: {
				how: way.how,
				cautions: way.cautions,
				signs: way.signs,
				then: profile.then,
				piece: profile.piece,
				medium: profile.medium,
				cover: profile.cover,
				hormone: profile.hormone,
				container: handbook().containers.get(profile.stages[0]!.holds)?.name ?? '',
				pieces: way.piece,
				days: profile.stages[0]!.days,
				schools: profile.schools.map((id) => handbook().schools.get(id)!)
			},
			potIn: nextPot(row.container, potted?.holds ?? null),
			pots: (await vesselsOf(garden)).map((v) => ({ id: v.id, name: v.name, vessel: v.vessel })),
			line: await lineage(garden.id, row),
			hazards: kind.hazards,
			places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name, kind: p.kind })),
			want: want && {
				id: want.id,
				odds: want.odds,
				target: want.target,
				name: `${want.target} ${want.kindName}`,
				due: want.due,
				placeId: want.placeId
			},
			stock: stock && { id: stock.id, label: stock.label, kind_id: stock.kind_id, placeId: stock.place_id },
			parent: parent && { id: parent.id, code: parent.code },
			story: story
				.filter((e) => e.kind !== 'entry.reversed')
				.reverse()
				.map((e) => ({ id: e.id, on: e.happened_on, line: e.line, note: e.note, undone: e.undone })),
			ask: url.searchParams.get('do'),
			fresh: url.searchParams.has('struck')
		};
	});
};

/** The next pot of the ladder: after what they stand in now, else what the handbook pots them in. */
function nextPot(container: string, holds: string | null): string {
	const { containers } = handbook();
	const now = [...containers.values()].find((c) => c.name === container);
	return containers.get(now?.next ?? holds ?? '')?.name ?? container;
}

type Verb =
	| 'struck'
	| 'checked'
	| 'laid-out'
	| 'potted'
	| 'moved'
	| 'split'
	| 'wintered'
	| 'planted'
	| 'given'
	| 'lost'
	| 'kept'
	| 'dropped';

/** From a form's fields to the acts of one doing. */
function actsFor(verb: Verb, f: Fields, b: Batch, frame: { id: string; on: string; note: string }): Act[] {
	const act = (kind: Act['kind'], data: Record<string, unknown>): Act => ({
		...frame,
		kind,
		subjectId: b.id,
		data,
		seen: f.number('seen')
	});
	const count = f.number('count') ?? Number.NaN;
	switch (verb) {
		case 'struck':
			return [
				{
					...act('batch.struck', {
						...strikeFields(f),
						kind_id: b.kindId,
						way_id: b.wayId,
						stock_id: b.stockId,
						want_id: b.wantId
					}),
					takesCode: true
				}
			];
		case 'checked':
			return [
				act('batch.checked', {
					alive: f.number('alive') ?? Number.NaN,
					// A count of roots where nobody looked for them would teach what was not seen.
					rooted: b.unrooted === 0 || f.flag('looked_at_roots') ? f.number('rooted') : null,
					sign: f.text('sign') || 'none',
					looked: f.text('sign') === 'none' ? null : f.number('looked'),
					showing: f.text('sign') === 'none' ? null : f.number('showing'),
					cells: f.json('cells')
				})
			];
		case 'laid-out':
			return [
				act('batch.laid-out', {
					rows: f.number('rows') ?? Number.NaN,
					columns: f.number('columns') ?? Number.NaN,
					groups: f.json('groups') ?? [],
					of: f.json('of') ?? []
				})
			];
		case 'potted':
			return [act('batch.potted', { count, container: f.text('container'), place_id: f.textOrNull('place_id') })];
		case 'moved':
			return [act('batch.moved', { place_id: f.text('place_id') })];
		case 'wintered':
			return [act('batch.wintered', { alive: f.number('alive') ?? Number.NaN })];
		case 'planted':
			return [act('batch.planted', { count, place_id: f.textOrNull('place_id') })];
		case 'given':
			return [act('batch.given', { count, to: f.text('to') })];
		case 'lost':
			return [act('batch.lost', { count, why: f.text('why'), planted: f.text('from') === 'planted' })];
		case 'dropped':
			return [act('batch.dropped', { why: f.text('why') })];
		case 'kept': {
			const stockId = uuidv5('stock', frame.id);
			return [
				act('batch.kept', { count, stock_id: stockId }),
				{
					derived: true,
					id: uuidv5('stock-entry', frame.id),
					kind: 'stock.set',
					subjectId: stockId,
					on: frame.on,
					data: {
						kind_id: b.kindId,
						place_id: f.textOrNull('place_id'),
						label: `from ${b.code}`,
						count,
						size_cm: null,
						age_years: 0,
						condition: 'strong',
						protection: { status: 'unknown', until: null },
						from_batch: b.id
					}
				}
			];
		}
		case 'split': {
			const to = uuidv5('split', frame.id);
			const part = partOf(b, Math.min(count, inHand(b)));
			return [
				act('batch.split', { count, to }),
				{
					derived: true,
					id: uuidv5('split-entry', frame.id),
					kind: 'batch.split-off',
					subjectId: to,
					on: frame.on,
					takesCode: true,
					data: {
						from: b.id,
						kind_id: b.kindId,
						way_id: b.wayId,
						stock_id: b.stockId,
						want_id: b.wantId,
						place_id: f.textOrNull('place_id') ?? b.placeId,
						...part,
						struck_on: b.struckOn ?? frame.on,
						treatment: b.treatment,
						container: b.container
					}
				}
			];
		}
	}
}

const SAID: Record<Verb, (b: Batch, f: Fields) => string> = {
	struck: (b, f) => `Struck ${f.text('struck')}: ${b.code}.`,
	checked: (b, f) => `${b.code}: ${f.text('alive')} alive${f.text('rooted') ? `, ${f.text('rooted')} rooted` : ''}.`,
	'laid-out': (b) => `${b.code} is laid out.`,
	potted: (b, f) => `${b.code}: ${f.text('count')} potted.`,
	moved: (b) => `${b.code} moved.`,
	split: (b, f) => `${f.text('count')} split off ${b.code}.`,
	wintered: (b, f) => `${b.code}: ${f.text('alive')} came through the winter.`,
	planted: (b, f) => `${b.code}: ${f.text('count')} planted.`,
	given: (b, f) => `${b.code}: ${f.text('count')} given away.`,
	lost: (b, f) => `${b.code}: ${f.text('count')} lost.`,
	kept: (b, f) => `${b.code}: ${f.text('count')} kept as stock.`,
	dropped: (b) => `Plan ${b.code} dropped.`
};

export const actions: Actions = {
	default: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const verb = f.text('verb') as Verb;
		const batch = await guarded(() => state.batchById(database(), garden.id, params.batch));
		if (!batch || !Object.hasOwn(SAID, verb)) return refused({ code: 'batch.unknown', sentence: 'There is no such batch.' }, 404);
		return recordForm(garden, locals.actor, actsFor(verb, f, batch, frameOf(f, garden)), SAID[verb](batch, f));
	}
};
