import { error } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { z } from 'zod';
import { kindsOf, viewedDay } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm, refused } from '$lib/server/forms.js';
import { lookUpVariety } from '$lib/server/standIns.js';
import { stockViews } from '$lib/server/stock.js';
import { stockFields } from '$lib/server/stockForm.js';
import { dayNumber } from '$lib/core/dates.js';
import { seasonOf } from '$lib/server/season.js';
import { stripWindows } from '$lib/server/windows.js';
import * as state from '$lib/server/store/state.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	if (!z.uuid().safeParse(params.stock).success) error(404, { message: 'There is no such stock.', code: 'stock.unknown' });
	const { day } = viewedDay(garden, url.searchParams.get('day'));
	return guarded(async () => {
		const [stock] = await stockViews(garden, day, params.stock);
		if (!stock) error(404, { message: 'There is no such stock.', code: 'stock.unknown' });
		const places = await state.places(database(), garden.id);
		const kind = (await kindsOf(garden)).get(stock.kind_id)!;
		const parent = stock.from_batch ? await state.batchById(database(), garden.id, stock.from_batch) : null;
		const asked = url.searchParams.get('variety') ?? '';
		return {
			stripWindows: stripWindows(await seasonOf(garden), kind, dayNumber(garden.today)),
			stock,
			parent: parent && { id: parent.id, code: parent.code },
			hazards: kind.hazards,
			places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
			asked,
			found: asked ? await lookUpVariety(asked) : undefined
		};
	});
};

export const actions: Actions = {
	look: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const stock = await guarded(() => state.stockById(database(), garden.id, params.stock));
		if (!stock) return refused({ code: 'stock.unknown', sentence: 'There is no such stock in this garden.' }, 404);
		const data = { ...stockFields(f, garden, stock.from_batch), kind_id: stock.kind_id };
		return recordForm(
			garden,
			locals.actor,
			[{ ...frameOf(f, garden), kind: 'stock.set', subjectId: params.stock, seen: f.number('seen'), data }],
			'Looked over.'
		);
	},
	leave: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frameOf(f, garden),
					kind: 'stock.leave',
					subjectId: params.stock,
					data: { basis: f.text('basis'), reference: f.text('reference') }
				}
			],
			'Recorded: it may be multiplied.'
		);
	},
	gone: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		return recordForm(
			garden,
			locals.actor,
			[{ ...frameOf(f, garden), kind: 'stock.gone', subjectId: params.stock, data: { why: f.text('why') } }],
			'Logged as gone.'
		);
	}
};
