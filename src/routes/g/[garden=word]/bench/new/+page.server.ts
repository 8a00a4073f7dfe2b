import { isActionFailure, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { kindsOf } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm } from '$lib/server/forms.js';
import { strikeFields } from '$lib/server/batchForm.js';
import { handbook } from '$lib/server/handbook.js';
import { stockViews } from '$lib/server/stock.js';
import * as state from '$lib/server/store/state.js';
import { dayNumber } from '$lib/core/dates.js';

const whole = (text: string | null): number | null => (text && /^[1-9]\d{0,3}$/.test(text) ? Number(text) : null);

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => {
		const [stocks, places, kinds] = await Promise.all([
			stockViews(garden, dayNumber(garden.today)),
			state.places(database(), garden.id),
			kindsOf(garden)
		]);
		return {
			stocks: stocks.map((s) => ({
				id: s.id,
				kindId: s.kind_id,
				name: [s.kindName, s.label].filter(Boolean).join(', '),
				refused: s.protection === 'protected' && s.may.may !== 'yes',
				sentence: s.may.may === 'yes' ? '' : s.may.sentence,
				ways: s.gives.map((g) => {
					const profile = kinds.get(s.kind_id)!.ways.find((w) => w.id === g.wayId)!;
					return {
						id: g.wayId,
						name: g.wayName,
						gives: g.now,
						open: g.open,
						medium: profile.medium,
						hormone: profile.hormone,
						cover: profile.cover,
						container: handbook().containers.get(profile.stages[0]!.holds)?.name ?? ''
					};
				})
			})),
			places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
			stock: url.searchParams.get('stock') ?? '',
			way: url.searchParams.get('way') ?? '',
			count: whole(url.searchParams.get('count')),
			foretold: whole(url.searchParams.get('foretold'))
		};
	});
};

export const actions: Actions = {
	default: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const frame = frameOf(f, garden);
		const stock = await guarded(async () => (await state.stocks(database(), garden.id)).find((s) => s.id === f.text('stock_id')));
		const answer = await recordForm(
			garden,
			locals.actor,
			[
				{
					...frame,
					kind: 'batch.struck',
					subjectId: frame.id,
					takesCode: true,
					data: {
						...strikeFields(f),
						kind_id: stock?.kind_id ?? '',
						way_id: f.text('way_id'),
						stock_id: stock?.id ?? f.textOrNull('stock_id'),
						want_id: null
					}
				}
			],
			(code) => `Struck: ${code}.`
		);
		if (isActionFailure(answer)) return answer;
		redirect(303, `/g/${garden.slug}/bench/${frame.id}?struck`);
	}
};
