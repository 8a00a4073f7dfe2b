/** The plan of all wants: taken whole or in part, as the batches that it is made of. One doing, one undo. */
import { v5 as uuidv5 } from 'uuid';
import { z } from 'zod';
import type { Asked, Made } from './doing.js';
import { database } from '../db.js';
import { guarded, refused } from '../forms.js';
import { plannedActs } from './want.js';
import { batchAsked, buyTaken, isPlannedAs, MOST_BATCHES } from '../planAsked.js';
import * as state from '../store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import { MOST_DAYS } from '$lib/core/joint/plan.js';
import { kindsOfWant } from '$lib/core/ledger/wish.js';
import { capital } from '$lib/core/odds/words.js';

const taken = z
	.array(batchAsked.extend({ kind: z.string().max(60), promised: z.number().min(0).max(1).nullable().default(null) }))
	.max(MOST_BATCHES);
/** Batches that each want had when the plan was made. */
const besides = z.record(z.uuid(), z.number().int().min(0));

export async function takeWhole({ garden, f, frame }: Asked): Promise<Made | ReturnType<typeof refused>> {
	const anew = f.text('anew') === '1';
	const read = taken.safeParse(f.json('batches'));
	const buying = z
		.array(buyTaken)
		.max(MOST_BATCHES)
		.safeParse(f.json('buys') ?? []);
	// With nothing in it a plan can only be one that takes the place of another.
	if (!read.success || !buying.success || (read.data.length + buying.data.length === 0 && !anew))
		return refused({ code: 'plan.unreadable', sentence: 'That plan cannot be read: plan again.' });
	const db = database();
	// What is gone since the plan was made is not planned for: someone dropped a want, or a plant has died.
	const [wants, stocks] = await Promise.all([
		guarded(() => state.wants(db, garden.id)),
		guarded(() => state.stocks(db, garden.id))
	]);
	const today = dayNumber(garden.today);
	for (const b of read.data) {
		const want = wants.find((w) => w.id === b.want && !w.dropped_on && kindsOfWant(w).includes(b.kind));
		const stock = stocks.find((s) => s.id === b.stock && !s.gone_on && s.kind_id === b.kind);
		if (!want || !stock)
			return refused({
				code: 'plan.changed',
				sentence: `Since this plan was made ${want ? 'a plant that it takes from has gone' : 'a want that it is for was dropped'}. Look at the plan again: it is made anew.`
			});
		const on = dayNumber(b.on);
		if (on < today || on > today + MOST_DAYS)
			return refused({
				code: 'plan.changed',
				sentence: 'A day of this plan has gone by. Look at the plan again: it is made anew.'
			});
	}
	const bought: typeof buying.data = [];
	for (const b of buying.data) {
		const want = wants.find((w) => w.id === b.want && !w.dropped_on);
		if (!want || want.buying !== b.was)
			return refused({
				code: 'plan.changed',
				sentence:
					'Since this plan was made what is to be bought for one of these wants has changed. Look at the plan again: it is made anew.'
			});
		if (want.buying !== b.count) bought.push(b);
	}
	const beside = besides.safeParse(f.json('beside'));
	// A plan made anew may leave a want with nothing: what was planned for that one gives way too, so it is named with the rest.
	const about = new Set([...read.data.map((b) => b.want), ...Object.keys(beside.success ? beside.data : {})]);
	const theirs = await guarded(() => state.batchesOfWants(db, garden.id, [...about]));
	for (const want of about) {
		const there = theirs.filter((b) => b.wantId === want && b.status !== 'dropped').length;
		if (!beside.success || beside.data[want] !== there)
			return refused({
				code: 'plan.changed',
				sentence:
					'Someone has planned or struck for one of these wants since this plan was made. Look at the plan again: it is made anew.'
			});
	}
	// Planned anew: what was only planned for these wants gives way to it.
	const there = anew ? theirs.filter((b) => b.status === 'planned') : [];
	// What stays as it was planned is not written again.
	const old = there.filter((b) => !read.data.some((x) => isPlannedAs(b, x)));
	const fresh = read.data.filter((x) => !there.some((b) => isPlannedAs(b, x)));
	if (fresh.length === 0 && old.length === 0 && bought.length === 0)
		return refused({ code: 'plan.same', sentence: 'All of it is planned like that already: nothing was written.' });
	const planned = plannedActs(
		frame,
		garden.today,
		fresh.map((b) => ({
			...{ kind_id: b.kind, way_id: b.way, stock_id: b.stock, want_id: b.want },
			...{ count: b.pieces, planned_on: b.on, promised: b.promised }
		}))
	);
	// The form's own id is the first act's.
	const others = [
		...bought.map((b) => ({ kind: 'want.buying' as const, subjectId: b.want, data: { count: b.count } })),
		...old.map((b) => ({ kind: 'batch.dropped' as const, subjectId: b.id, data: { why: 'planned anew' } }))
	].map((act, i) => ({
		...{ id: planned.length === 0 && i === 0 ? frame.id : uuidv5(act.subjectId, frame.id), on: garden.today, note: '' },
		...act
	}));
	const acts = [...planned, ...others];
	const buys = bought.reduce((n, b) => n + b.count, 0);
	const parts = [
		...(planned.length ? [planned.length === 1 ? 'One batch is' : `${planned.length} batches are`] : []),
		...(buys ? [`${buys} to be bought ${buys === 1 ? 'is' : 'are'}`] : [])
	];
	if (parts.length === 0) return { acts, said: 'What was only planned is left out.' };
	return {
		acts,
		said: `${capital(parts.join(' and '))} planned and on the round${old.length ? ', in place of what was planned before' : ''}.`
	};
}
