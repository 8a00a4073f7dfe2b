/**
 * The climate a garden is reckoned by: its weather record if there is one of enough years, else a record
 * made from what the person told. Reckoned once for each state of the record and kept.
 */
import { createHash } from 'node:crypto';
import { database } from './db.js';
import { handbook } from './handbook.js';
import { Kept } from './kept.js';
import { importedDays } from './store/weather.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import type { GardenData } from '$lib/core/ledger/index.js';
import type { Climate } from '$lib/core/season/climate.js';
import { madeRecord } from '$lib/core/season/made.js';
import type { Moment } from '$lib/core/season/momentSchema.js';
import { daysOf, LEAST_YEARS, recordOfDays } from '$lib/core/season/record.js';
import type { DailyRecord, WeatherDay } from '$lib/core/season/record.js';
import { climateOfRecord, scenariosOf } from '$lib/core/season/scenarios.js';
import type { RecordClimate, Scenario } from '$lib/core/season/scenarios.js';
import { momentOver } from '$lib/core/season/suitability.js';

export interface ClimateBase {
	/** Changes whenever anything below does. */
	key: string;
	record: DailyRecord;
	/** The record is made, not measured. */
	made: boolean;
	/** Why it is made although days were imported. */
	tooShort: number | null;
	recordClimate: RecordClimate;
	climate: Climate;
	/** Imported days of the last two years, also where the record itself is too short to be used. */
	recent: WeatherDay[];
	/** The year ahead as each year of the record would have it, nothing observed laid over. */
	ever: Scenario[];
	/** The handbook's kinds with their moments as they fall in this garden. */
	kinds: Map<string, Kind>;
}

/** What the person told of the frosts and the cold. */
export const toldClimate = (d: GardenData): Climate => ({
	latitude: d.latitude,
	longitude: d.longitude,
	coldestC: d.coldest_c,
	lastFrost: d.last_frost,
	firstFrost: d.first_frost
});

/** Bytes of a garden's years: numbers by day, and what was found in each scenario about as much again. */
const bytesOf = (b: ClimateBase): number =>
	400_000 + b.record.low.byteLength * 3 + 2 * b.ever.reduce((n, s) => n + s.low.byteLength * 3, 0);
const kept = new Kept<ClimateBase>(192, bytesOf);

/** `imports` names the standing imports, so that a base is found without reading any day. */
export function climateBase(gardenId: string, data: GardenData, imports: string, today: string): Promise<ClimateBase> {
	const told = [data.latitude, data.longitude, data.coldest_c, data.last_frost, data.first_frost, data.frost_from];
	const key = createHash('sha1')
		.update(JSON.stringify([gardenId, imports, today.slice(0, 4), told]))
		.digest('hex');
	return kept.waited(key, () => reckon(gardenId, data, imports, today, key));
}

async function reckon(gardenId: string, data: GardenData, imports: string, today: string, key: string): Promise<ClimateBase> {
	const now = dayNumber(today);
	const told = toldClimate(data);
	const imported = recordOfDays(imports ? await importedDays(database(), gardenId) : []);
	const measured = climateOfRecord(imported, told, LEAST_YEARS);
	const record = measured ? imported : madeRecord(told, now);
	const recordClimate = measured ?? climateOfRecord(record, told)!;
	const ever = scenariosOf(record, recordClimate, yearAhead(now), null);
	const own = !measured || data.frost_from === 'own';
	const climate: Climate = own ? { ...told, rains: recordClimate.rains } : recordClimate.climate;
	return {
		key,
		record,
		made: !measured,
		tooShort: !measured && imports ? imported.low.length : null,
		recordClimate,
		climate,
		recent: daysOf(imported).filter((d) => d.day > now - 730),
		ever,
		kinds: resolvedKinds(handbook().kinds, ever, recordClimate)
	};
}

/** Lifted from the ground, or set into it. */
const DUG: ReadonlySet<string> = new Set(['division', 'sucker', 'root', 'layer']);
const digs = (w: WayProfile): boolean => DUG.has(w.way) || ['row', 'ground'].includes(w.stages[0]!.holds);

/** Puts the usual day of every rule of the handbook beside it, so that plans use the garden's own. */
export function resolvedKinds(
	kinds: ReadonlyMap<string, Kind>,
	scenarios: readonly Scenario[],
	recordClimate: RecordClimate
): Map<string, Kind> {
	return new Map(
		[...kinds].map(([id, kind]) => {
			const at = (m: Moment): Moment => {
				if (!m.rule) return m;
				const usual = momentOver(m, scenarios, recordClimate, kind);
				return usual ? { ...m, at: usual } : { ...m, never: true };
			};
			const window = <W extends Kind['plant_out'][number]>(w: W): W => ({
				...w,
				opens: at(w.opens),
				closes: at(w.closes),
				...(w.best ? { best: { from: at(w.best.from), to: at(w.best.to) } } : {})
			});
			const outdoors = (w: WayProfile) => ({ ...window(w.window), digs: digs(w) });
			return [
				id,
				{
					...kind,
					plant_out: kind.plant_out.map((w) => ({ ...window(w), digs: true })),
					ways: kind.ways.map((w) => ({ ...w, window: outdoors(w) }))
				}
			];
		})
	);
}

/** The year in the middle of the three that scenarios tell, so that they reach from three months back to fifteen ahead. */
export const yearAhead = (day: DayNumber): number => new Date((day + 150) * 86_400_000).getUTCFullYear();
