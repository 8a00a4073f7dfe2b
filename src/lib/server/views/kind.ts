import { snapshotOf } from '../snapshot.js';
import { error } from '@sveltejs/kit';
import { kindsOf, viewedDay } from '../context.js';
import { recordOf } from '../record.js';
import { seasonOf } from '../season.js';
import { STEP, stripWindows, wayLabel, windowView } from '../windows.js';
import { handbook } from '../handbook.js';
import { gardenOr404 } from '../forms.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import { editableFigures } from '$lib/core/handbook/figures.js';
import { botanicalName } from '$lib/core/handbook/names.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import { meanOf } from '$lib/core/odds/beta.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { sayTemperature } from '$lib/core/units/index.js';
import type { Ask } from './ask.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { SIGHTING_WORDS, SIGHTINGS } from '$lib/core/season/suitability.js';

const sightingsFor = (kind: Kind) =>
	SIGHTINGS.filter((e) =>
		e === 'bloom' || e === 'bloom_over' ? kind.bloom !== null : e !== 'leaf_fall' || /deciduous|climber|tree/.test(kind.habit)
	).map((event) => ({ value: event, name: SIGHTING_WORDS[event] }));

export async function kindView({ params, query }: Ask<'kind'>) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));

	const { ownKinds, figures } = await snapshotOf(garden.id);
	const mine = ownKinds.find((r) => r.kind.id === params.kind);
	const printed = handbook().kinds.get(params.kind) ?? mine?.kind;
	if (!printed) error(404, { message: 'The handbook does not know that kind.', code: 'kind.unknown' });
	const kind = (await kindsOf(garden)).get(params.kind)!;
	const record = await recordOf(garden);
	const season = await seasonOf(garden);
	const own = new Map(figures.filter((f) => f.kind_id === kind.id).map((f) => [f.path, f.value]));
	const ways = kind.ways.map((w) => {
		const way = handbook().ways.get(w.way)!;
		const seen = record.of(kind.id, w.id);
		const all = record.counts(kind.id, w.id);
		return {
			id: w.id,
			name: wayLabel(kind, w),
			how: w.how ?? way.how,
			cautions: way.cautions,
			signs: way.signs,
			pieces: way.piece,
			profile: w,
			window: windowView(season, w.window, kind, day),
			stages: w.stages.map((s) => {
				const counted = all[s.to];
				return {
					...s,
					container: handbook().containers.get(s.holds)?.name ?? s.holds,
					own: meanOf(stageOdds(s, seen)),
					/** Pieces that passed, and that were counted. */
					passed: Math.round(counted?.passed ?? 0),
					counted: Math.round((counted?.passed ?? 0) + (counted?.failed ?? 0))
				};
			}),
			/** Forms that go by their own record: what was counted of them at the first stage. */
			forms: record.forms(kind.id, w.id).flatMap(({ form, counts }) => {
				const counted = counts[w.stages[0]!.to];
				return counted ? [{ form, counted }] : [];
			}),
			schools: w.schools.map((id) => handbook().schools.get(id)!)
		};
	});
	return {
		kind: { ...kind, botanical: botanicalName(kind) },
		/** Null for a kind of the handbook. */
		mine: mine ? { like: handbook().kinds.get(mine.like ?? '')?.common ?? null, likeId: mine.like } : null,
		ways,
		hardiness: sayHardiness(kind, garden.climate.coldestC, (c) => sayTemperature(c, garden.units)),
		from: day - 15,
		day,
		step: STEP,
		sightings: (season.sightings.get(kind.id) ?? []).map((s) => ({ event: s.event, on: isoOf(s.day) })),
		events: sightingsFor(kind),
		stripWindows: stripWindows(season, kind, dayNumber(garden.today)),
		figures: editableFigures(printed).map((f) => ({ ...f, own: own.get(f.path) ?? null })),
		sources: Object.fromEntries([...handbook().sources].map(([id, s]) => [id, s.name]))
	};
}
