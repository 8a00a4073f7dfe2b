import { redirect, isActionFailure } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { kindsOf } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { Fields, frameOf, gardenOr404, guarded, recordForm, refused } from '$lib/server/forms.js';
import type { Garden } from '$lib/server/context.js';
import * as state from '$lib/server/store/state.js';
import { addDays, dayNumber, isoOf } from '$lib/core/dates.js';
import { bedCount, hedgeCount } from '$lib/core/ground/index.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { ok } from '$lib/core/result.js';
import type { Result } from '$lib/core/result.js';
import { nextTurning } from '$lib/core/season/anchors.js';

/** When "through the winter" is over: two weeks after the last frost, as plants go out again by degrees. */
const afterWinter = (garden: Garden): string =>
	isoOf(nextTurning('last_frost', 14, nextTurning('shortest_day', 0, dayNumber(garden.today), garden.climate), garden.climate));

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => {
		const [kinds, places, stocks] = await Promise.all([
			kindsOf(garden),
			state.places(database(), garden.id),
			state.stocks(database(), garden.id)
		]);
		const have = new Set(stocks.filter((s) => !s.gone_on).map((s) => s.kind_id));
		return {
			kinds: [...kinds.values()]
				.map((k) => ({
					id: k.id,
					name: k.common,
					spacingCm: k.size.spacing_cm,
					have: have.has(k.id),
					tender: k.winter.limit_c > garden.climate.coldestC
				}))
				.sort((a, b) => Number(b.have) - Number(a.have) || a.name.localeCompare(b.name)),
			places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name, kind: p.kind })),
			kind: url.searchParams.get('kind') ?? '',
			afterWinter: afterWinter(garden),
			nextAutumn: addDays(garden.today, 365)
		};
	});
};

function targetOf(
	f: Fields,
	purpose: string,
	kind: Kind | undefined,
	garden: Garden
): Result<{ count: number; shape: Record<string, number | string> | null }> {
	const spacingCm = f.cm('spacing', garden.units) ?? kind?.size.spacing_cm ?? Number.NaN;
	const spares = f.number('spares') ?? 0;
	if (purpose === 'hedge') {
		const shape = {
			lengthM: f.metres('length', garden.units) ?? Number.NaN,
			spacingCm,
			rows: f.text('rows') === '2' ? (2 as const) : (1 as const),
			spares
		};
		const count = hedgeCount(shape);
		return count.ok ? ok({ count: count.value, shape }) : count;
	}
	if (purpose === 'bed') {
		const areaTyped = f.number('area');
		const shape = {
			areaM2: areaTyped === null ? undefined : garden.units.length === 'metric' ? areaTyped : areaTyped * 0.09290304,
			widthM: f.metres('width', garden.units) ?? undefined,
			lengthM: f.metres('length', garden.units) ?? undefined,
			slopeDeg: f.number('slope') ?? 0,
			spacingCm,
			pattern: f.text('pattern') === 'square' ? ('square' as const) : ('triangular' as const),
			spares
		};
		const bed = bedCount(shape);
		if (!bed.ok) return bed;
		const kept = Object.fromEntries(Object.entries(shape).filter(([, v]) => v !== undefined)) as Record<string, number | string>;
		return ok({ count: bed.value.count, shape: kept });
	}
	return ok({ count: f.number('target') ?? Number.NaN, shape: null });
}

export const actions: Actions = {
	default: async ({ params, request, locals }) => {
		const garden = await gardenOr404(params.garden);
		const f = await Fields.of(request);
		const purpose = f.text('purpose');
		const kindId = f.text('kind_id');
		const kinds = await guarded(() => kindsOf(garden));
		const target = targetOf(f, purpose, kinds.get(kindId), garden);
		if (!target.ok) return refused(target.problem);
		const frame = frameOf(f, garden);
		const answer = await recordForm(
			garden,
			locals.actor,
			[
				{
					...frame,
					on: garden.today,
					kind: 'want.set',
					subjectId: frame.id,
					data: {
						kind_id: kindId,
						purpose,
						label: f.text('label'),
						place_id: f.textOrNull('place_id'),
						target: target.value.count,
						due: f.text('due'),
						confidence: (f.number('confidence') ?? Number.NaN) / 100,
						shape: target.value.shape
					}
				}
			],
			'Want written down.'
		);
		if (isActionFailure(answer)) return answer;
		redirect(303, `/g/${garden.slug}/wants/${frame.id}`);
	}
};
