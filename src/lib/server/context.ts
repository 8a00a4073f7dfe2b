/** What every screen of a garden starts from. */
import { today as todayIn } from './clock.js';
import { database } from './db.js';
import * as state from './store/state.js';
import { dayNumber, isIsoDate } from '$lib/core/dates.js';
import type { DayNumber, IsoDate } from '$lib/core/dates.js';
import { climateBase } from './climate.js';
import type { ClimateBase } from './climate.js';
import { withFigures } from '$lib/core/handbook/figures.js';
import type { Kind, StageName, WayProfile } from '$lib/core/handbook/schema.js';
import { WITHIN_BATCH, without } from '$lib/core/evidence/evidence.js';
import type { Tallies } from '$lib/core/evidence/evidence.js';
import type { GardenData } from '$lib/core/ledger/index.js';
import type { Climate } from '$lib/core/season/climate.js';
import type { UnitChoice } from '$lib/core/units/index.js';

export interface Garden {
	id: string;
	slug: string;
	data: GardenData;
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
	/** What all batches of a kind and way are worth as evidence, but for one. */
	of(kindId: string, wayId: string, but?: Tallies): Tallies;
}

interface Summed {
	key: string;
	worth: Map<string, Tallies>;
}
/** Sums of gardens asked for lately; good as long as the ledger's last entry is the same. */
const summed = new Map<string, Summed>();
const MOST_SUMMED = 24;

async function worthOfAll(gardenId: string): Promise<Map<string, Tallies>> {
	const db = database();
	const last = await db.query<{ seq: string; recorded_at: Date }>(
		'SELECT seq, recorded_at FROM entry WHERE garden_id = $1 ORDER BY seq DESC LIMIT 1',
		[gardenId]
	);
	const key = `${last.rows[0]?.seq} ${last.rows[0]?.recorded_at.getTime()}`;
	const known = summed.get(gardenId);
	if (known?.key === key) return known.worth;
	const { rows } = await db.query<{ kind_id: string; way_id: string; stage: StageName; passed: number; failed: number }>(
		`SELECT kind_id, way_id, stage, sum(passed / design) AS passed, sum(failed / design) AS failed
		 FROM (
			SELECT b.kind_id, b.way_id, t.stage, (t.tally->>'passed')::float8 AS passed, (t.tally->>'failed')::float8 AS failed,
				1 + (greatest(1, (t.tally->>'passed')::float8 + (t.tally->>'failed')::float8) - 1) * $2::float8 AS design
			FROM batch b, jsonb_each(b.seen) AS t (stage, tally)
			WHERE b.garden_id = $1
		 ) AS counted GROUP BY kind_id, way_id, stage`,
		[gardenId, WITHIN_BATCH]
	);
	const worth = new Map<string, Tallies>();
	for (const r of rows) {
		const name = `${r.kind_id} ${r.way_id}`;
		worth.set(name, { ...worth.get(name), [r.stage]: { passed: r.passed, failed: r.failed } });
	}
	summed.delete(gardenId);
	summed.set(gardenId, { key, worth });
	if (summed.size > MOST_SUMMED) summed.delete(summed.keys().next().value!);
	return worth;
}

/**
 * What this garden's batches have taught. Summed by the database, for a long life leaves thousands of
 * batches, and kept until something is logged; the worth of one is core/evidence's asEvidence.
 */
export async function recordOf(gardenId: string): Promise<RecordOf> {
	const worth = await worthOfAll(gardenId);
	return {
		of: (kindId, wayId, but) => {
			const all = worth.get(`${kindId} ${wayId}`) ?? {};
			return but ? without(all, but) : all;
		}
	};
}

export const wayIn = (kind: Kind | undefined, wayId: string): WayProfile | undefined => kind?.ways.find((w) => w.id === wayId);
