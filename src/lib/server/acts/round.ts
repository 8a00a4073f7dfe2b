/** Work of the round: done, skipped, put off, counted, carried in. */
import { v5 as uuidv5 } from 'uuid';
import type { Asked, Made } from './doing.js';
import { database } from '../db.js';
import { guarded, isId, refused } from '../forms.js';
import type { Act } from '../ledger.js';
import { careId } from '../roundTasks.js';
import * as state from '../store/state.js';
import { view } from '../threads/pool.js';
import { inHand, SIGNS } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { CARE_WORDS } from '$lib/core/round/words.js';

type Refusing = ReturnType<typeof refused>;

/** The work of a form: what, where, on which plants. Null when they were too many to send, and are others by now. */
async function workOf({ f, event }: Asked) {
	const place = f.text('place');
	const many = f.text('many');
	const targets = many ? await targetsNamed(event, f.text('task'), many) : f.text('targets').split(',').filter(isId);
	return targets && { care: f.text('work'), place_id: isId(place) ? place : null, targets };
}

function targetsNamed(event: Asked['event'], task: string, many: string): Promise<string[] | null> {
	const url = new URL(`?${new URLSearchParams({ task, many })}`, event.url);
	return view('roundTargets', { params: event.params, request: event.request, url }, null);
}

const OTHERS = {
	code: 'round.others',
	sentence: 'What stands there has changed since this was shown. Nothing was logged: look again, then tap once more.'
};

type CareKind = 'care.done' | 'care.skipped' | 'care.put-off';
const care =
	(kind: CareKind, said: string, more: (asked: Asked) => Record<string, unknown>) =>
	async (asked: Asked): Promise<Made | Refusing> => {
		const { garden, f, frame } = asked;
		const work = await workOf(asked);
		if (!work) return refused(OTHERS, 409);
		const subjectId = careId(garden.id, work.care, work.place_id);
		return {
			acts: [{ ...frame, on: garden.today, kind, subjectId, data: { ...work, ...more(asked) } }],
			said: `${CARE_WORDS[f.text('work')] ?? 'Work'}: ${said}.`
		};
	};

/** One tap: done, for all plants of the task. */
export const careDone = care('care.done', 'done', () => ({}));
export const careSkipped = care('care.skipped', 'skipped', ({ f }) => ({ why: f.text('why') }));
export const carePutOff = care('care.put-off', 'put off', ({ f, garden }) => ({ until: f.day('until', garden.today) }));

const batchNamed = ({ garden, f }: Asked) => {
	const id = f.text('batch');
	return isId(id) ? guarded(() => state.batchById(database(), garden.id, id)) : null;
};
const noBatch = (): Refusing => refused({ code: 'batch.unknown', sentence: 'There is no such batch.' }, 404);

/** A look by which all that were there are alive; their roots were not looked at. */
export const wellNow = (batch: Batch) => ({ alive: inHand(batch), rooted: null, sign: 'firm' as const });

/** One tap: looked at, all that were there are alive. */
export async function allWell(asked: Asked): Promise<Made | Refusing> {
	const { garden, f, frame } = asked;
	const batch = await batchNamed(asked);
	if (!batch) return noBatch();
	return {
		acts: [
			{
				...frame,
				on: garden.today,
				kind: 'batch.checked',
				subjectId: batch.id,
				seen: f.number('seen'),
				derived: true,
				data: wellNow(batch)
			}
		],
		said: `${batch.code}: all ${inHand(batch)} well.`
	};
}

/** One tap: what hardly will root any more is given up, for its room. */
export async function gaveUp({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const acts: Act[] = [];
	const codes: string[] = [];
	let pieces = 0;
	// Each as it was shown: batch, entries that it had, pieces.
	for (const [i, told] of f.all('straggler').entries()) {
		const [id = '', seen, count] = told.split(' ');
		const batch = isId(id) ? await guarded(() => state.batchById(database(), garden.id, id)) : null;
		if (!batch) return noBatch();
		codes.push(batch.code);
		pieces += Number(count);
		acts.push({
			...frame,
			id: i === 0 ? frame.id : uuidv5(id, frame.id),
			on: garden.today,
			kind: 'batch.lost',
			subjectId: id,
			seen: Number(seen),
			data: { count: Number(count), why: 'no roots', planted: false }
		});
	}
	if (acts.length === 0) return noBatch();
	return { acts, said: `${codes.join(', ')}: ${pieces} given up.` };
}

/** Counted where one stands. */
export async function counted(asked: Asked): Promise<Made | Refusing> {
	const { garden, f, frame } = asked;
	const batch = await batchNamed(asked);
	if (!batch) return noBatch();
	// Of those in pots and rooted ones too, only the living are counted.
	const after = { 'winter-count': 'winter', 'frost-count': 'frost' }[f.text('work')] as 'winter' | 'frost' | undefined;
	const alive = f.number('alive') ?? Number.NaN;
	const sign = SIGNS.find((s) => s === f.text('sign')) ?? 'none';
	return {
		acts: [
			{
				...frame,
				on: garden.today,
				kind: after ? 'batch.wintered' : 'batch.checked',
				subjectId: batch.id,
				seen: f.number('seen'),
				data: after ? { alive, after } : { alive, rooted: f.number('rooted'), sign }
			}
		],
		said: `${batch.code}: counted.`
	};
}

/** All that a trigger touches is carried to one place, as one act. */
export async function broughtIn(asked: Asked): Promise<Made | Refusing> {
	const { garden, f, frame } = asked;
	const all = f.text('to');
	const work = await workOf(asked);
	if (!work) return refused(OTHERS, 409);
	/** Each to its own place; where none is said for it, where all go. */
	const placeOf = (id: string) => f.text(`to_${id}`) || all;
	if (!work.targets.every((id) => isId(placeOf(id))))
		return refused({ code: 'place.unknown', sentence: 'Say where they go.', path: 'to' });
	const standing = await guarded(() => state.whatStands(database(), garden.id, work.targets));
	// The client's id is the first act's; the rest follow from it, so that sent twice it is still once. Only where
	// it stands is written: what another corrects of it meanwhile stays.
	const acts = work.targets
		.filter((id) => standing.has(id))
		.map((id, i): Act => {
			const kind = standing.get(id) === 'stock' ? ('stock.moved' as const) : ('batch.moved' as const);
			return {
				...frame,
				id: i === 0 ? frame.id : uuidv5(id, frame.id),
				on: garden.today,
				kind,
				subjectId: id,
				data: { place_id: placeOf(id) }
			};
		});
	if (acts.length === 0) return refused({ code: 'round.nothing', sentence: 'There is nothing left to bring in.' });
	return { acts, said: `${f.text('work') === 'take-out' ? 'Taken out' : 'Brought in'}: ${acts.length}.` };
}
