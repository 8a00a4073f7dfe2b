/** The verbs of the bench: from a form about one batch to the entries of one doing. */
import { v5 as uuidv5 } from 'uuid';
import type { Asked, Made } from './doing.js';
import { strikeFields } from '../batchForm.js';
import { database } from '../db.js';
import { guarded, refused } from '../forms.js';
import type { Fields } from '../forms.js';
import type { Act } from '../ledger.js';
import * as state from '../store/state.js';
import { CAUSES, inHand, partOf } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';

type Verb =
	| 'struck'
	| 'checked'
	| 'laid-out'
	| 'potted'
	| 'moved'
	| 'meant'
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
		case 'meant':
			return [act('batch.meant', { want_id: f.textOrNull('want_id') })];
		case 'moved':
			return [act('batch.moved', { place_id: f.text('place_id') })];
		case 'wintered':
			return [act('batch.wintered', { alive: f.number('alive') ?? Number.NaN, after: afterOf(f) })];
		case 'planted':
			return [act('batch.planted', { count, place_id: f.textOrNull('place_id') })];
		case 'given':
			return [act('batch.given', { count, to: f.text('to') })];
		case 'lost':
			return [
				act('batch.lost', {
					count,
					why: f.text('why'),
					planted: f.text('from') === 'planted',
					cause: CAUSES.find((c) => c === f.text('cause')) ?? null
				})
			];
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

/** Counted after a night's frost, else after the winter. */
const afterOf = (f: Fields): 'winter' | 'frost' => (f.text('after') === 'frost' ? 'frost' : 'winter');

const SAID: Record<Verb, (b: Batch, f: Fields) => string> = {
	struck: (b, f) => `Struck ${f.text('struck')}: ${b.code}.`,
	checked: (b, f) => `${b.code}: ${f.text('alive')} alive${f.text('rooted') ? `, ${f.text('rooted')} rooted` : ''}.`,
	'laid-out': (b) => `${b.code} is laid out.`,
	potted: (b, f) => `${b.code}: ${f.text('count')} potted.`,
	moved: (b) => `${b.code} moved.`,
	meant: (b, f) => (f.text('want_id') ? `${b.code} is for that want now.` : `${b.code} is for no want now.`),
	split: (b, f) => `${f.text('count')} split off ${b.code}.`,
	wintered: (b, f) => `${b.code}: ${f.text('alive')} came through the ${afterOf(f)}.`,
	planted: (b, f) => `${b.code}: ${f.text('count')} planted.`,
	given: (b, f) => `${b.code}: ${f.text('count')} given away.`,
	lost: (b, f) => `${b.code}: ${f.text('count')} lost.`,
	kept: (b, f) => `${b.code}: ${f.text('count')} kept as stock.`,
	dropped: (b) => `Plan ${b.code} dropped.`
};

export async function logBatch({ garden, f, frame, params }: Asked<'batch'>): Promise<Made | ReturnType<typeof refused>> {
	const verb = f.text('verb') as Verb;
	const batch = await guarded(() => state.batchById(database(), garden.id, params.batch));
	if (!batch || !Object.hasOwn(SAID, verb)) return refused({ code: 'batch.unknown', sentence: 'There is no such batch.' }, 404);
	return { acts: actsFor(verb, f, batch, frame), said: SAID[verb](batch, f) };
}
