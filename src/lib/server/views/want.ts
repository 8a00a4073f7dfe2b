import { snapshotOf } from '../snapshot.js';
import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { kindsOf } from '../context.js';
import type { Garden } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { promisedOf } from '../promised.js';
import { fitsOnDay, groundFor } from '../groundFree.js';
import { modelOf } from '../model.js';
import { planWant } from '../wantPlan.js';
import { wantViews } from '../wants.js';
import type { WantView } from '../wants.js';
import { seasonOf } from '../season.js';
import { vesselsOf } from '../mixing.js';
import { tallIn } from '../tall.js';
import { database } from '../db.js';
import { entriesOf } from '../store/entries.js';
import { stripWindows, wayLabel } from '../windows.js';
import { isoOf, dayNumber } from '$lib/core/dates.js';
import { allNames, withVariety } from '$lib/core/handbook/names.js';
import { priceOf } from '$lib/core/ledger/wish.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { sayTemperature } from '$lib/core/units/index.js';
import { sayRule } from '$lib/core/season/windows.js';
import type { Ask } from './ask.js';

export async function wantView({ params, query }: Ask<'want'>) {
	const garden = await gardenOr404(params.garden);
	if (!z.uuid().safeParse(params.want).success) error(404, { message: 'There is no such want.', code: 'want.unknown' });

	const [want] = await wantViews(garden, params.want);
	if (!want) error(404, { message: 'There is no such want.', code: 'want.unknown' });
	const kinds = await kindsOf(garden);
	const { places, stocks } = await snapshotOf(garden.id);
	const asked = query.get('stock');
	const planned = want.dropped
		? null
		: await planWant(garden, want.id, asked && z.uuid().safeParse(asked).success ? asked : null);
	// Of several kinds that would do, the page is about the one that the plan is of.
	const kind = kinds.get(planned?.kindId ?? want.kindId)!;
	const inStock = new Set(stocks.filter((s) => !s.gone_on).map((s) => s.kind_id));
	const fits = await fitsFor(garden, want);
	const ways = new Map(kind.ways.map((w) => [w.id, w]));
	const pots = await vesselsOf(garden);
	return {
		stripWindows: stripWindows(await seasonOf(garden), kind, dayNumber(garden.today)),
		want,
		/** Kinds that it may be met with: those that there is stock of, and those that were said before. */
		kinds: [...kinds.values()]
			.filter((k) => inStock.has(k.id) || want.orKinds.includes(k.id))
			.map((k) => ({ id: k.id, name: withVariety(k), also: allNames(k).join(' ') }))
			.sort((a, b) => a.name.localeCompare(b.name)),
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
		/** What was said of it before, the newest first. */
		story: (await entriesOf(database(), garden.id, 'want', want.id))
			.filter((e) => e.kind !== 'entry.reversed' && !e.undone)
			.reverse()
			.map((e) => ({ id: e.id, on: e.happened_on, line: e.line })),
		promised: await promisedOf(
			garden.id,
			want.id,
			want.batches.map((b) => b.id)
		),
		/** Of its bed: how many fit on its day and after it, where that is fewer than are wanted. */
		fits: fits !== null && fits < want.target ? fits : null,
		placeName: places.find((p) => p.id === want.placeId)?.name ?? '',
		kind: {
			id: kind.id,
			common: kind.common,
			name: withVariety(kind),
			hazards: kind.hazards,
			winterSays: kind.winter.say,
			hardiness: sayHardiness(kind, garden.climate.coldestC, (c) => sayTemperature(c, garden.units))
		},
		/** Of one of them, bought. */
		price: priceOf(kinds, { kind_id: want.kindId, or_kinds: want.orKinds }),
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
						name: wayLabel(kind, profile),
						pieces: way.piece,
						window: sayRule(profile.window),
						piece: profile.piece,
						medium: profile.medium,
						cover: profile.cover,
						hormone: profile.hormone,
						cautions: way.cautions,
						tall: w.best && tallIn(garden, kind, profile, w.best.effort.stages, pots)
					};
				})
			}
		}
	};
}

async function fitsFor(garden: Garden, want: WantView): Promise<number | null> {
	const [m, s] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const row = s.wants.find((w) => w.id === want.id);
	const ground = row && !want.dropped ? groundFor(m, s, row, new Set(want.batches.map((b) => b.id))) : null;
	return ground && fitsOnDay(ground, dayNumber(want.due));
}
