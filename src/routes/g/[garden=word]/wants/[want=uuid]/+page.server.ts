import { error } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { v5 as uuidv5 } from 'uuid';
import { z } from 'zod';
import { kindsOf } from '$lib/server/context.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm, refused } from '$lib/server/forms.js';
import { handbook } from '$lib/server/handbook.js';
import { planWant, wantViews } from '$lib/server/wants.js';
import { database } from '$lib/server/db.js';
import { seasonOf } from '$lib/server/season.js';
import { stripWindows } from '$lib/server/windows.js';
import * as state from '$lib/server/store/state.js';
import { isoOf, dayNumber } from '$lib/core/dates.js';
import { sayRule } from '$lib/core/season/windows.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	if (!z.uuid().safeParse(params.want).success) error(404, { message: 'There is no such want.', code: 'want.unknown' });
	return guarded(async () => {
		const [want] = await wantViews(garden, params.want);
		if (!want) error(404, { message: 'There is no such want.', code: 'want.unknown' });
		const kind = (await kindsOf(garden)).get(want.kindId)!;
		const places = await state.places(database(), garden.id);
		const asked = url.searchParams.get('stock');
		const planned = want.dropped
			? null
			: await planWant(garden, want.id, asked && z.uuid().safeParse(asked).success ? asked : null);
		const ways = new Map(kind.ways.map((w) => [w.id, w]));
		return {
			stripWindows: stripWindows(await seasonOf(garden), kind, dayNumber(garden.today)),
			want,
			placeName: places.find((p) => p.id === want.placeId)?.name ?? '',
			kind: {
				id: kind.id,
				common: kind.common,
				hazards: kind.hazards,
				winterSays: kind.winter.say,
				price: kind.price.v
			},
			planned: planned && {
				...planned,
				plan: planned.plan && {
					lastSafe: planned.plan.lastSafe === null ? null : isoOf(planned.plan.lastSafe),
					byHour: planned.plan.byHour,
					hourWorth: planned.plan.hourWorth,
					ways: planned.plan.ways.map((w) => {
						const profile = ways.get(w.wayId)!;
						const way = handbook().ways.get(profile.way)!;
						const hinge = w.best?.hinge ?? null;
						return {
							...w,
							stageWeight: hinge && (profile.stages.find((x) => x.to === hinge.stage)?.weight ?? null),
							hinge: hinge && { ...hinge, source: handbook().sources.get(hinge.src)?.name ?? hinge.src },
							name: way.name,
							pieces: way.piece,
							window: sayRule(profile.window),
							piece: profile.piece,
							medium: profile.medium,
							cover: profile.cover,
							hormone: profile.hormone,
							cautions: way.cautions
						};
					})
				}
			}
		};
	});
};

/** Days that a plan can name: 1970 to 2199. */
const FIRST_DAY = 0;
const LAST_DAY = dayNumber('2199-12-31');
const flushesSchema = z
	.array(z.object({ on: z.number().int().min(FIRST_DAY).max(LAST_DAY), pieces: z.number().int().min(1).max(5000) }))
	.min(1)
	.max(6);

export const actions: Actions = {
	accept: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const want = (await guarded(() => state.wants(database(), garden.id))).find((w) => w.id === params.want);
		if (!want) return refused({ code: 'want.unknown', sentence: 'There is no such want.' }, 404);
		let flushes: z.infer<typeof flushesSchema>;
		try {
			flushes = flushesSchema.parse(JSON.parse(f.text('flushes')));
		} catch {
			return refused({ code: 'plan.unreadable', sentence: 'That plan cannot be read: plan again.' });
		}
		const frame = frameOf(f, garden);
		const acts = flushes.map((flush, i) => {
			const id = i === 0 ? frame.id : uuidv5(String(i), frame.id);
			return {
				id,
				kind: 'batch.planned' as const,
				subjectId: id,
				on: garden.today,
				note: i === 0 ? frame.note : '',
				takesCode: true,
				data: {
					kind_id: want.kind_id,
					way_id: f.text('way_id'),
					stock_id: f.textOrNull('stock_id'),
					want_id: want.id,
					place_id: null,
					count: flush.pieces,
					planned_on: isoOf(flush.on)
				}
			};
		});
		const count = flushes.reduce((n, x) => n + x.pieces, 0);
		return recordForm(
			garden,
			locals.actor,
			acts,
			`Planned: ${count} in ${flushes.length === 1 ? 'one batch' : `${flushes.length} batches`}. It is on the round.`
		);
	},
	drop: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const frame = frameOf(f, garden);
		return recordForm(
			garden,
			locals.actor,
			[
				{
					...frame,
					on: garden.today,
					kind: 'want.dropped',
					subjectId: params.want,
					data: { why: f.text('why') }
				}
			],
			'Want dropped. Its batches go on.'
		);
	}
};
