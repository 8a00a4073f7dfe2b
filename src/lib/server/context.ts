/** What every screen of a garden starts from. */
import { today as todayIn } from './clock.js';
import { database } from './db.js';
import * as state from './store/state.js';
import { dayNumber, isIsoDate } from '$lib/core/dates.js';
import type { DayNumber, IsoDate } from '$lib/core/dates.js';
import { climateBase, resolvedKinds } from './climate.js';
import { handbook } from './handbook.js';
import { Kept } from './kept.js';
import { snapshotOf } from './snapshot.js';
import type { ClimateBase } from './climate.js';
import { withFigures } from '$lib/core/handbook/figures.js';
import { learntShelter, winteredBy } from '$lib/core/evidence/wintered.js';
import type { Wintered } from '$lib/core/evidence/wintered.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import type { GardenData } from '$lib/core/ledger/index.js';
import type { Climate } from '$lib/core/season/climate.js';
import type { UnitChoice } from '$lib/core/units/index.js';

/** What is known of a garden without working anything out: enough to write to its ledger. */
export interface GardenHead {
	id: string;
	slug: string;
	data: GardenData;
	/** The ledger’s number of the last entry about its settings. */
	version: number;
	units: UnitChoice;
	today: IsoDate;
}

export interface Garden extends GardenHead {
	climate: Climate;
	/** Its weather record, measured or made, and what was reckoned from it. */
	base: ClimateBase;
}

const headOf = (row: state.GardenRow): GardenHead => ({
	id: row.id,
	slug: row.slug,
	data: row.data,
	version: row.version,
	units: { length: row.data.units, temperature: row.data.temperature },
	today: todayIn(row.data.time_zone)
});

async function asGarden(row: state.GardenRow): Promise<Garden> {
	const head = headOf(row);
	const base = await climateBase(row.id, row.data, row.imports ?? '', head.today);
	return { ...head, climate: base.climate, base };
}

export async function gardenHeadBySlug(slug: string): Promise<GardenHead | null> {
	const row = await state.gardenBySlug(database(), slug);
	return row ? headOf(row) : null;
}

export async function gardenBySlug(slug: string): Promise<Garden | null> {
	const row = await state.gardenBySlug(database(), slug);
	return row ? await asGarden(row) : null;
}

export async function gardenById(id: string): Promise<Garden | null> {
	const row = await state.gardenById(database(), id);
	return row ? await asGarden(row) : null;
}

export const gardenSlugOf = async (id: string): Promise<string | null> => (await state.gardenById(database(), id))?.slug ?? null;

export const allGardens = async (): Promise<{ slug: string; name: string }[]> =>
	(await state.gardens(database())).map((g) => ({ slug: g.slug, name: g.data.name }));

/** The day the person looks at: today, or the strip's mark if it is a day within reach. */
export function viewedDay(
	garden: Pick<GardenHead, 'today'>,
	asked: string | null
): { day: DayNumber; iso: IsoDate; isToday: boolean } {
	const now = dayNumber(garden.today);
	const wished = asked && isIsoDate(asked) ? dayNumber(asked) : now;
	const inReach = wished >= now - 120 && wished <= now + 480;
	const day = inReach ? wished : now;
	return { day, iso: day === now || !asked ? garden.today : asked, isToday: day === now };
}

/** The kinds as this garden knows them: the handbook with the garden's own figures. */
export async function kindsOf(garden: Pick<Garden, 'id' | 'base'>): Promise<Map<string, Kind>> {
	const { base } = garden;
	const { ownKinds, stocks, places } = await snapshotOf(garden.id);
	const mine = ownKinds.map((r) =>
		resolved.of(`${base.key} ${garden.id} ${r.id} ${r.version}`, () =>
			resolvedKinds(new Map([[r.kind.id, r.kind]]), base.ever, base.recordClimate).get(r.kind.id)!
		)
	);
	const kinds = await withOwnFigures(garden.id, [...base.kinds.values(), ...mine]);
	return withWinters(kinds, taughtBy(stocks, places, base.recordClimate.middle));
}
/** Own kinds with their days as they fall in the garden. */
const resolved = new Kept<Kind>(16, () => 40_000);

/** The same with the days as the book has them, not as they fall in the garden: for sizes, counts and prices. */
export async function bookKindsOf(garden: Pick<GardenHead, 'id'>): Promise<Map<string, Kind>> {
	const { ownKinds } = await snapshotOf(garden.id);
	return withOwnFigures(garden.id, [...handbook().kinds.values(), ...ownKinds.map((r) => r.kind)]);
}

async function withOwnFigures(gardenId: string, kinds: readonly Kind[]): Promise<Map<string, Kind>> {
	const own = new Map<string, Record<string, number>>();
	for (const f of (await snapshotOf(gardenId)).figures) {
		const figures = own.get(f.kind_id) ?? {};
		figures[f.path] = f.value;
		own.set(f.kind_id, figures);
	}
	return new Map(kinds.map((kind) => [kind.id, own.has(kind.id) ? withFigures(kind, own.get(kind.id)!) : kind]));
}

/** What a garden's winters have taught, worked out once for the same rows; and the kinds with it. */
interface Taught {
	places: readonly state.PlaceRow[];
	seen: ReadonlyMap<string, Wintered>;
	kinds: WeakMap<Kind, Kind>;
}
const taught = new WeakMap<readonly state.StockRow[], Taught>();
function taughtBy(stocks: readonly state.StockRow[], places: readonly state.PlaceRow[], middle: number): Taught {
	const before = taught.get(stocks);
	if (before?.places === places) return before;
	const kindOf = new Map(places.map((p) => [p.id, p.kind]));
	const now = { places, seen: winteredBy(stocks, (id) => kindOf.get(id), middle), kinds: new WeakMap<Kind, Kind>() };
	taught.set(stocks, now);
	return now;
}

/** How kinds of whole plants have come through in this garden's kinds of place: the handbook first, then its own winters. */
function withWinters(all: Map<string, Kind>, { seen, kinds }: Taught): Map<string, Kind> {
	const done = new Set<string>();
	for (const [key, { passed, failed }] of seen) {
		const kind = all.get(key.split(' ')[0]!);
		if (!kind || passed + failed === 0 || done.has(kind.id)) continue;
		done.add(kind.id);
		let learnt = kinds.get(kind);
		if (!learnt) {
			const shelters = kind.winter.shelters.map((s) => learntShelter(s, seen.get(`${kind.id} ${s.in}`)));
			kinds.set(kind, (learnt = { ...kind, winter: { ...kind.winter, shelters } }));
		}
		all.set(kind.id, learnt);
	}
	return all;
}

export const wayIn = (kind: Kind | undefined, wayId: string): WayProfile | undefined => kind?.ways.find((w) => w.id === wayId);
