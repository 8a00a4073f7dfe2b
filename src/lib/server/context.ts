/** What every screen of a garden starts from. */
import { today as todayIn } from './clock.js';
import { database } from './db.js';
import * as state from './store/state.js';
import { dayNumber, isIsoDate } from '$lib/core/dates.js';
import type { DayNumber, IsoDate } from '$lib/core/dates.js';
import { climateBase } from './climate.js';
import type { ClimateBase } from './climate.js';
import { withFigures } from '$lib/core/handbook/figures.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import { learnCorrelation, MOST_COUNTS } from '$lib/core/evidence/correlation.js';
import type { CountGroup } from '$lib/core/evidence/correlation.js';
import { countSoFar, without, worthOf } from '$lib/core/evidence/evidence.js';
import type { Tallies } from '$lib/core/evidence/tally.js';
import { betaOf } from '$lib/core/odds/beta.js';
import { durationOf, shareBy } from '$lib/core/odds/durations.js';
import type { GardenData } from '$lib/core/ledger/index.js';
import type { Climate } from '$lib/core/season/climate.js';
import type { UnitChoice } from '$lib/core/units/index.js';

export interface Garden {
	id: string;
	slug: string;
	data: GardenData;
	/** The ledger’s number of the last entry about its settings. */
	version: number;
	climate: Climate;
	/** Its weather record, measured or made, and what was reckoned from it. */
	base: ClimateBase;
	units: UnitChoice;
	today: IsoDate;
}

async function asGarden(row: state.GardenRow): Promise<Garden> {
	const today = todayIn(row.data.time_zone);
	const base = await climateBase(row.id, row.data, row.imports ?? '', today);
	return {
		id: row.id,
		slug: row.slug,
		data: row.data,
		version: row.version,
		climate: base.climate,
		base,
		units: { length: row.data.units, temperature: row.data.temperature },
		today
	};
}

export async function gardenBySlug(slug: string): Promise<Garden | null> {
	const row = await state.gardenBySlug(database(), slug);
	return row ? await asGarden(row) : null;
}

export async function gardenById(id: string): Promise<Garden | null> {
	const row = await state.gardenById(database(), id);
	return row ? await asGarden(row) : null;
}

export const allGardens = async (): Promise<{ slug: string; name: string }[]> =>
	(await state.gardens(database())).map((g) => ({ slug: g.slug, name: g.data.name }));

/** The day the person looks at: today, or the strip's mark if it is a day within reach. */
export function viewedDay(garden: Garden, asked: string | null): { day: DayNumber; iso: IsoDate; isToday: boolean } {
	const now = dayNumber(garden.today);
	const wished = asked && isIsoDate(asked) ? dayNumber(asked) : now;
	const inReach = wished >= now - 120 && wished <= now + 480;
	const day = inReach ? wished : now;
	return { day, iso: day === now || !asked ? garden.today : asked, isToday: day === now };
}

/** The kinds as this garden knows them: the handbook with the garden's own figures. */
export async function kindsOf(garden: Pick<Garden, 'id' | 'base'>): Promise<Map<string, Kind>> {
	const own = new Map<string, Record<string, number>>();
	for (const f of await state.figures(database(), garden.id)) {
		const figures = own.get(f.kind_id) ?? {};
		figures[f.path] = f.value;
		own.set(f.kind_id, figures);
	}
	return new Map([...garden.base.kinds].map(([id, kind]) => [id, own.has(id) ? withFigures(kind, own.get(id)!) : kind]));
}

export interface RecordOf {
	/** What all batches of a kind and way are worth as evidence, but for some, named by their ids. */
	of(kindId: string, wayId: string, but?: readonly (string | null)[]): Tallies;
	/** How alike the pieces of one batch fare here. */
	rho: number;
}

interface Counted {
	id: string;
	kind_id: string;
	way_id: string;
	struck_on: string | null;
	unrooted: number;
	seen: Tallies;
	looked_on: string | null;
}
interface Summed {
	key: string;
	rho: number;
	worth: Map<string, Tallies>;
	/** What each batch was counted as. */
	each: Map<string, Tallies>;
}
/** Sums of gardens asked for lately; good as long as the ledger's last entry is the same. */
const summed = new Map<string, Summed>();
const MOST_SUMMED = 24;

/** What the batches of one kind and way have shown, one count each; a batch that is still rooting by what it shows so far. */
function countsOf(kind: Kind | undefined, rows: readonly Counted[]): Tallies[] {
	return rows.map((r) => {
		const stage = wayIn(kind, r.way_id)?.stages.find((s) => s.to === 'rooted');
		const counted = r.seen.rooted;
		if (!stage || !counted || r.unrooted === 0) return r.seen;
		const days = r.struck_on && r.looked_on ? dayNumber(r.looked_on) - dayNumber(r.struck_on) : 0;
		const share = shareBy(durationOf(stage.days), days, 0);
		return { ...r.seen, rooted: countSoFar(counted, r.unrooted, share, stage.chance) };
	});
}

async function sumUp(garden: Pick<Garden, 'id' | 'base'>): Promise<Summed> {
	const db = database();
	const last = await db.query<{ seq: string; recorded_at: Date }>(
		'SELECT seq, recorded_at FROM entry WHERE garden_id = $1 ORDER BY seq DESC LIMIT 1',
		[garden.id]
	);
	const key = `${last.rows[0]?.seq} ${last.rows[0]?.recorded_at.getTime()}`;
	const known = summed.get(garden.id);
	if (known?.key === key) return known;
	const { rows } = await db.query<Counted>(
		`SELECT id, kind_id, way_id, struck_on, unrooted, seen,
			(SELECT max(c->>'lookedOn') FROM jsonb_array_elements(cohorts) AS c) AS looked_on
		 FROM batch WHERE garden_id = $1 AND seen <> '{}' ORDER BY struck_on DESC, id`,
		[garden.id]
	);
	const groups = new Map<string, Counted[]>();
	for (const r of rows) groups.set(`${r.kind_id} ${r.way_id}`, [...(groups.get(`${r.kind_id} ${r.way_id}`) ?? []), r]);
	const counts = new Map(
		[...groups].map(([name, list]) => [name, countsOf(garden.base.kinds.get(list[0]!.kind_id), list)] as const)
	);
	// To a hundredth: the garden knows it no better, and each entry would move it by a hair.
	const rho = Math.round(correlationOf(garden, groups, counts) * 100) / 100;
	const worth = new Map([...counts].map(([name, list]) => [name, worthOf(list, rho)]));
	const each = new Map([...groups].flatMap(([name, list]) => list.map((r, i) => [r.id, counts.get(name)![i]!] as const)));
	const found: Summed = { key, rho, worth, each };
	summed.delete(garden.id);
	summed.set(garden.id, found);
	if (summed.size > MOST_SUMMED) summed.delete(summed.keys().next().value!);
	return found;
}

/** ρ from batches of one kind and way at one stage, the newest of the garden first. */
function correlationOf(
	garden: Pick<Garden, 'base'>,
	groups: ReadonlyMap<string, readonly Counted[]>,
	counts: ReadonlyMap<string, readonly Tallies[]>
): number {
	let left = MOST_COUNTS;
	const telling: CountGroup[] = [];
	for (const [name, list] of counts) {
		const { kind_id, way_id } = groups.get(name)![0]!;
		for (const stage of wayIn(garden.base.kinds.get(kind_id), way_id)?.stages ?? []) {
			const batches = list.flatMap((t) => t[stage.to] ?? []).slice(0, Math.max(0, left));
			left -= batches.length;
			telling.push({ prior: betaOf(stage.chance, stage.weight), batches });
		}
	}
	return learnCorrelation(telling);
}

/** What this garden's batches have taught: kept until something is logged. */
export async function recordOf(garden: Pick<Garden, 'id' | 'base'>): Promise<RecordOf> {
	const { worth, rho, each } = await sumUp(garden);
	return {
		rho,
		of: (kindId, wayId, but) => {
			const all = worth.get(`${kindId} ${wayId}`) ?? {};
			const out = (but ?? []).flatMap((id) => (id === null ? [] : (each.get(id) ?? [])));
			return out.length ? without(all, out, rho) : all;
		}
	};
}

export const wayIn = (kind: Kind | undefined, wayId: string): WayProfile | undefined => kind?.ways.find((w) => w.id === wayId);
