/** What is to be prepared: for one kind and way, for a batch, or for all that is planned in a span of days. */
import { bookOf } from './book.js';
import { snapshotOf } from './snapshot.js';
import { wayLabel } from './windows.js';
import { kindsOf, wayIn } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { handbook } from './handbook.js';
import * as benchware from './store/benchware.js';
import * as state from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { dipMl, IBA, powderG } from '$lib/core/mix/hormone.js';
import type { CuttingType } from '$lib/core/mix/hormone.js';
import { checkMix } from '$lib/core/mix/mixing.js';
import type { Mix } from '$lib/core/mix/mixing.js';
import { prepare } from '$lib/core/mix/prepare.js';
import { apartIn, rootingIn } from '$lib/core/mix/stands.js';
import type { Filling } from '$lib/core/mix/prepare.js';
import { readMix } from '$lib/core/mix/readMix.js';
import type { Vessel } from '$lib/core/mix/vessel.js';

export interface Wanted {
	id: string;
	title: string;
	code: string | null;
	kindId: string;
	wayId: string;
	pieces: number;
	on: string | null;
	/** Chosen instead of the handbook's, by id. */
	vesselId: string | null;
	/** Mix in parts, typed instead of the handbook's. */
	medium?: string | null;
}

export interface VesselChoice {
	id: string;
	name: string;
	vessel: Vessel;
	how: 'rim' | 'across' | 'alone';
	cost: number;
}

export async function vesselsOf(garden: Garden): Promise<VesselChoice[]> {
	const { containers } = bookOf(await snapshotOf(garden.id));
	return [...containers.values()].flatMap((c) =>
		c.vessel === null ? [] : [{ id: c.id, name: c.name, vessel: c.vessel, how: c.how, cost: c.cost }]
	);
}

/** How much of a hormone for so many bases: powder and dip, by the strength usual for the wood. */
function hormoneFor(profile: WayProfile, iba: CuttingType | undefined, pieces: number, mm: number) {
	if (!iba || /^none\b/i.test(profile.hormone)) return null;
	return { ...IBA[iba], wood: iba, grams: powderG(pieces, mm), dipMl: dipMl(pieces) };
}

export function fillingOf(
	w: Wanted,
	kind: Kind,
	profile: WayProfile,
	vessels: readonly VesselChoice[]
): Filling & { vesselName: string; vesselId: string; apartCm: number } {
	const way = handbook().ways.get(profile.way)!;
	const cut = cutOf(way, profile);
	const printed = handbook().containers.get(profile.stages[0]!.holds)!;
	const chosen = vessels.find((v) => v.id === (w.vesselId ?? printed.id));
	return {
		id: w.id,
		pieces: w.pieces,
		apartCm: apartIn(cut),
		each: chosen ? rootingIn(chosen.vessel, chosen.how, cut) : 1,
		vessel: chosen?.vessel ?? null,
		mix: mixOf(w.medium ?? profile.medium).mix,
		vesselName: chosen?.name ?? printed.name,
		vesselId: chosen?.id ?? ''
	};
}

/** A mix as written, or why there is none. */
function mixOf(medium: string): { mix: Mix | null; problem: string | null } {
	const read = readMix(medium);
	if (!read) return { mix: null, problem: null };
	const checked = checkMix(read);
	return checked.ok ? { mix: read, problem: null } : { mix: null, problem: checked.problem.sentence };
}

export async function preparing(garden: Garden, wanted: readonly Wanted[]) {
	const [kinds, vessels, shelf] = await Promise.all([kindsOf(garden), vesselsOf(garden), benchware.shelf(database(), garden.id)]);
	const rows = wanted.flatMap((w) => {
		const kind = kinds.get(w.kindId);
		const profile = wayIn(kind, w.wayId);
		if (!kind || !profile) return [];
		const way = handbook().ways.get(profile.way)!;
		const cut = cutOf(way, profile);
		const filling = fillingOf(w, kind, profile, vessels);
		return [
			{
				...w,
				kindName: kind.common,
				wayName: wayLabel(kind, profile),
				piece: way.piece,
				medium: w.medium ?? profile.medium,
				read: filling.mix !== null,
				problem: mixOf(w.medium ?? profile.medium).problem,
				filling,
				hormone: hormoneFor(profile, way.iba, w.pieces, cut.mm ?? 4),
				clocks: way.timers.filter((t) => t.when === 'before'),
				price: kind.price.v,
				rooted: profile.stages[0]!.chance
			}
		];
	});
	const materials = handbook().materials;
	const done = prepare(
		rows.map((r) => r.filling),
		materials,
		new Map(shelf.map((s) => [s.material, s.litres]))
	);
	return {
		rows: rows.map((r, i) => ({ ...r, filled: done.fillings[i]! })),
		materials: done.materials.map((m) => ({
			...m,
			name: materials.get(m.id)?.name ?? m.id,
			canBuy: (materials.get(m.id)?.bags.length ?? 0) > 0
		})),
		water: done.water,
		cost: done.cost,
		/** The same plants bought ready, if as many come through as usually root. */
		bought: rows.reduce((sum, r) => sum + r.pieces * r.rooted * r.price, 0),
		vessels,
		shelf: [...materials.values()].map((m) => ({
			id: m.id,
			name: m.name,
			litres: shelf.find((s) => s.material === m.id)?.litres ?? 0
		}))
	};
}

/** What a planned batch is filled for. */
export const wantedFor = (b: Batch, kindName: string): Wanted => ({
	id: b.id,
	title: `${b.code} ${kindName}`,
	code: b.code,
	kindId: b.kindId,
	wayId: b.wayId,
	pieces: b.plannedCount,
	on: b.plannedOn,
	vesselId: null
});

/** Planned batches to be struck by the end of a span of days. */
export async function plannedWithin(garden: Garden, days: number): Promise<Wanted[]> {
	const kinds = await kindsOf(garden);
	const until = dayNumber(garden.today) + days;
	return (await state.batches(database(), garden.id, ['planned']))
		.filter((b) => dayNumber(b.plannedOn!) <= until)
		.map((b) => wantedFor(b, kinds.get(b.kindId)?.common ?? b.kindId));
}
