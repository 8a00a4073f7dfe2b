import type { Actions, PageServerLoad } from './$types';
import { z } from 'zod';
import { dayNumber } from '$lib/core/dates.js';
import { inHand, SIGNS } from '$lib/core/ledger/index.js';
import { CARE_WORDS } from '$lib/core/round/words.js';
import { viewedDay } from '$lib/server/context.js';
import type { Garden } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm, refused } from '$lib/server/forms.js';
import type { Act } from '$lib/server/ledger.js';
import { careId, roundOf } from '$lib/server/round.js';
import { seasonOf } from '$lib/server/season.js';
import * as state from '$lib/server/store/state.js';
import { v5 as uuidv5 } from 'uuid';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const [round, season, stocks, wants] = await Promise.all([
			roundOf(garden, day),
			seasonOf(garden),
			state.stocks(database(), garden.id),
			state.wants(database(), garden.id)
		]);
		const away = garden.data.away.find((a) => dayNumber(a.from) <= day + 14 && dayNumber(a.to) >= day) ?? null;
		return {
			round,
			away,
			station: { okAt: season.station.okAt, trouble: season.station.trouble, there: season.station.there },
			now: Date.now(),
			nothingYet: stocks.length === 0 ? ('stock' as const) : wants.length === 0 ? ('want' as const) : null
		};
	});
};

const isUuid = (text: string) => z.uuid().safeParse(text).success;

/** The work of a form: what, where, on which plants. */
function workOf(f: Fields) {
	const place = f.text('place');
	return {
		care: f.text('work'),
		place_id: isUuid(place) ? place : null,
		targets: f.text('targets').split(',').filter(isUuid)
	};
}

function careAct(
	f: Fields,
	garden: Garden,
	kind: 'care.done' | 'care.skipped' | 'care.put-off',
	more: Record<string, unknown>
): Act {
	const work = workOf(f);
	return {
		...frameOf(f, garden),
		on: garden.today,
		kind,
		subjectId: careId(garden.id, work.care, work.place_id),
		data: { ...work, ...more }
	};
}

const named = (f: Fields) => CARE_WORDS[f.text('work')] ?? 'Work';

async function batchOf(garden: Garden, f: Fields) {
	const id = f.text('batch');
	return isUuid(id) ? guarded(() => state.batchById(database(), garden.id, id)) : null;
}
const noBatch = () => refused({ code: 'batch.unknown', sentence: 'There is no such batch.' }, 404);

export const actions: Actions = {
	/** One tap: done, for all plants of the task. */
	done: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		return recordForm(garden, locals.actor, [careAct(f, garden, 'care.done', {})], `${named(f)}: done.`);
	},
	skip: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		return recordForm(
			garden,
			locals.actor,
			[careAct(f, garden, 'care.skipped', { why: f.text('why') })],
			`${named(f)}: skipped.`
		);
	},
	putoff: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		return recordForm(
			garden,
			locals.actor,
			[careAct(f, garden, 'care.put-off', { until: f.text('until') })],
			`${named(f)}: put off.`
		);
	},
	/** One tap: looked at, all that were there are alive. */
	well: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const batch = await batchOf(garden, f);
		if (!batch) return noBatch();
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					on: garden.today,
					kind: 'batch.checked',
					subjectId: batch.id,
					seen: f.number('seen'),
					derived: true,
					data: { alive: inHand(batch), rooted: null, sign: 'firm' }
				}
			],
			`${batch.code}: all ${inHand(batch)} well.`
		);
	},
	/** Counted where one stands. */
	count: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const batch = await batchOf(garden, f);
		if (!batch) return noBatch();
		const winter = f.text('work') === 'winter-count';
		const alive = f.number('alive') ?? Number.NaN;
		const sign = SIGNS.find((s) => s === f.text('sign')) ?? 'none';
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					on: garden.today,
					kind: winter ? 'batch.wintered' : 'batch.checked',
					subjectId: batch.id,
					seen: f.number('seen'),
					data: winter ? { alive } : { alive, rooted: f.number('rooted'), sign }
				}
			],
			`${batch.code}: counted.`
		);
	},
	/** All that a trigger touches is carried to one place, as one act. */
	bring: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const to = f.text('to');
		const { targets } = workOf(f);
		if (!isUuid(to)) return refused({ code: 'place.unknown', sentence: 'Say where they go.', path: 'to' });
		const frame = frameOf(f, garden);
		const [batches, stocks] = await guarded(() =>
			Promise.all([state.batches(database(), garden.id, ['growing']), state.stocks(database(), garden.id)])
		);
		const acts: Act[] = targets.flatMap((id, i): Act[] => {
			// The client's id is the first act's; the rest follow from it, so that sent twice it is still once.
			const base = { ...frame, id: i === 0 ? frame.id : uuidv5(id, frame.id), on: garden.today };
			// Only where it stands is written: what another corrects of it meanwhile stays.
			if (stocks.some((s) => s.id === id && !s.gone_on))
				return [{ ...base, kind: 'stock.moved', subjectId: id, data: { place_id: to } }];
			return batches.some((b) => b.id === id) ? [{ ...base, kind: 'batch.moved', subjectId: id, data: { place_id: to } }] : [];
		});
		if (acts.length === 0) return refused({ code: 'round.nothing', sentence: 'There is nothing left to bring in.' });
		acts[0] = { ...acts[0]!, id: frame.id };
		return recordForm(garden, locals.actor, acts, `Brought in: ${acts.length}.`);
	}
};
