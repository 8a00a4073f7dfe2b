/** SQL of weather: imported days, what the station told, readings of places. */
import type { Queryable } from '../db.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { WeatherDay } from '$lib/core/season/record.js';

interface DayRow {
	day: string;
	low: number | null;
	high: number | null;
	rain: number | null;
}
/** Single precision holds a tenth of a degree, and says 4.199999809: give the tenth back. */
const tenth = (v: number | null) => (v === null ? null : Math.round(v * 10) / 10);
const asDay = (r: DayRow): WeatherDay => ({
	day: dayNumber(r.day),
	low: tenth(r.low),
	high: tenth(r.high),
	rain: tenth(r.rain)
});

/** Stores the days of a file under an import's id; sent again it changes nothing. */
export async function putImport(
	db: Queryable,
	gardenId: string,
	id: string,
	name: string,
	days: readonly WeatherDay[]
): Promise<boolean> {
	const { rowCount } = await db.query(
		'INSERT INTO weather_import (garden_id, id, name) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING',
		[gardenId, id, name]
	);
	if (rowCount === 0) return false;
	await db.query(
		`INSERT INTO weather_day (garden_id, import_id, day, low, high, rain)
		 SELECT $1, $2, * FROM unnest($3::date[], $4::real[], $5::real[], $6::real[])`,
		[gardenId, id, days.map((d) => isoOf(d.day)), days.map((d) => d.low), days.map((d) => d.high), days.map((d) => d.rain)]
	);
	return true;
}

export async function setStanding(db: Queryable, gardenId: string, id: string, standing: boolean): Promise<void> {
	await db.query('UPDATE weather_import SET standing = $3 WHERE garden_id = $1 AND id = $2', [gardenId, id, standing]);
}

export interface ImportRow {
	id: string;
	name: string;
	from: string;
	to: string;
	days: number;
}

export async function imports(db: Queryable, gardenId: string): Promise<ImportRow[]> {
	const { rows } = await db.query<ImportRow>(
		`SELECT i.id, i.name, min(d.day) AS from, max(d.day) AS to, count(*) AS days
		 FROM weather_import i JOIN weather_day d ON d.garden_id = i.garden_id AND d.import_id = i.id
		 WHERE i.garden_id = $1 AND i.standing GROUP BY i.id, i.name, i.seq ORDER BY i.seq`,
		[gardenId]
	);
	return rows;
}

/** Days of all standing imports, the later import's figure standing where two tell of a day. */
export async function importedDays(db: Queryable, gardenId: string): Promise<WeatherDay[]> {
	const { rows } = await db.query<DayRow>(
		`SELECT d.day, d.low, d.high, d.rain
		 FROM weather_day d JOIN weather_import i ON i.garden_id = d.garden_id AND i.id = d.import_id
		 WHERE d.garden_id = $1 AND i.standing ORDER BY i.seq, d.day`,
		[gardenId]
	);
	return merged(rows.map(asDay));
}

/** One day a date: figures of later rows stand, but a blank does not wipe a figure out. */
export function merged(days: readonly WeatherDay[]): WeatherDay[] {
	const byDay = new Map<number, WeatherDay>();
	for (const d of days) {
		const before = byDay.get(d.day);
		if (!before) {
			byDay.set(d.day, d);
			continue;
		}
		const both = { day: d.day, low: d.low ?? before.low, high: d.high ?? before.high, rain: d.rain ?? before.rain };
		// Lowest of one source above the highest of another: the later source alone is believed.
		byDay.set(d.day, both.low !== null && both.high !== null && both.low > both.high ? d : both);
	}
	return [...byDay.values()];
}

export async function stationDays(db: Queryable, gardenId: string, from: string): Promise<WeatherDay[]> {
	const { rows } = await db.query<DayRow>(
		'SELECT day, low, high, rain FROM station_day WHERE garden_id = $1 AND day >= $2 ORDER BY day',
		[gardenId, from]
	);
	return rows.map(asDay);
}

export async function putStationDays(db: Queryable, gardenId: string, days: readonly WeatherDay[]): Promise<void> {
	await db.query(
		`INSERT INTO station_day (garden_id, day, low, high, rain)
		 SELECT $1, * FROM unnest($2::date[], $3::real[], $4::real[], $5::real[])
		 ON CONFLICT (garden_id, day) DO UPDATE SET low = EXCLUDED.low, high = EXCLUDED.high, rain = EXCLUDED.rain`,
		[gardenId, days.map((d) => isoOf(d.day)), days.map((d) => d.low), days.map((d) => d.high), days.map((d) => d.rain)]
	);
}

export interface StationState {
	tried_at: Date;
	ok_at: Date | null;
	trouble: string | null;
	issued_on: string | null;
	forecast: { low: number; high: number; rain: number }[][] | null;
	hours: { date: string; hours: number[] } | null;
}

export async function stationState(db: Queryable, gardenId: string): Promise<StationState | null> {
	const { rows } = await db.query<StationState>(
		'SELECT tried_at, ok_at, trouble, issued_on, forecast, hours FROM station_state WHERE garden_id = $1',
		[gardenId]
	);
	return rows[0] ?? null;
}

/** Takes the turn to ask the station: false when another request has just taken it. */
export async function takeTurn(db: Queryable, gardenId: string, notWithinSeconds: number): Promise<boolean> {
	const { rowCount } = await db.query(
		`INSERT INTO station_state (garden_id, tried_at) VALUES ($1, now())
		 ON CONFLICT (garden_id) DO UPDATE SET tried_at = now()
		 WHERE station_state.tried_at < now() - make_interval(secs => $2)`,
		[gardenId, notWithinSeconds]
	);
	return rowCount === 1;
}

export async function putForecast(
	db: Queryable,
	gardenId: string,
	issuedOn: string,
	forecast: StationState['forecast'],
	hours: StationState['hours']
): Promise<void> {
	await db.query(
		`UPDATE station_state SET ok_at = now(), trouble = NULL, issued_on = $2, forecast = $3, hours = $4 WHERE garden_id = $1`,
		[gardenId, issuedOn, JSON.stringify(forecast), JSON.stringify(hours)]
	);
}

export async function putTrouble(db: Queryable, gardenId: string, trouble: string): Promise<void> {
	await db.query('UPDATE station_state SET trouble = $2 WHERE garden_id = $1', [gardenId, trouble.slice(0, 300)]);
}

export interface ReadingIn {
	placeId: string;
	day: string;
	low: number;
	high: number;
	now: number;
	at: string;
	readings: number;
}

/** Adds readings to their days. One row a place and day, however many come. */
export async function addReadings(db: Queryable, gardenId: string, readings: readonly ReadingIn[]): Promise<void> {
	await db.query(
		`INSERT INTO reading_day AS r (garden_id, place_id, day, low, high, last_c, last_at, readings)
		 SELECT $1, * FROM unnest($2::uuid[], $3::date[], $4::real[], $5::real[], $6::real[], $7::timestamptz[], $8::int[])
		 ON CONFLICT (garden_id, place_id, day) DO UPDATE SET
			low = least(r.low, EXCLUDED.low), high = greatest(r.high, EXCLUDED.high), readings = r.readings + EXCLUDED.readings,
			last_c = CASE WHEN EXCLUDED.last_at >= r.last_at THEN EXCLUDED.last_c ELSE r.last_c END,
			last_at = greatest(r.last_at, EXCLUDED.last_at)`,
		[
			gardenId,
			readings.map((r) => r.placeId),
			readings.map((r) => r.day),
			readings.map((r) => r.low),
			readings.map((r) => r.high),
			readings.map((r) => r.now),
			readings.map((r) => r.at),
			readings.map((r) => r.readings)
		]
	);
}

export interface PlaceReading {
	place_id: string;
	day: string;
	low: number;
	high: number;
	last_c: number;
	last_at: Date;
	readings: number;
}

/** The newest day of readings of each place. */
export async function lastReadings(db: Queryable, gardenId: string): Promise<PlaceReading[]> {
	const { rows } = await db.query<PlaceReading>(
		`SELECT DISTINCT ON (place_id) place_id, day, low, high, last_c, last_at, readings
		 FROM reading_day WHERE garden_id = $1 ORDER BY place_id, day DESC`,
		[gardenId]
	);
	return rows.map((r) => ({ ...r, low: tenth(r.low)!, high: tenth(r.high)!, last_c: tenth(r.last_c)! }));
}

/** Lowest and highest that each place has read in a span of days. */
export async function readingRanges(
	db: Queryable,
	gardenId: string,
	from: string
): Promise<{ place_id: string; low: number; high: number; days: number }[]> {
	const { rows } = await db.query<{ place_id: string; low: number; high: number; days: number }>(
		`SELECT place_id, min(low) AS low, max(high) AS high, count(*) AS days FROM reading_day
		 WHERE garden_id = $1 AND day >= $2 GROUP BY place_id`,
		[gardenId, from]
	);
	return rows.map((r) => ({ ...r, low: tenth(r.low)!, high: tenth(r.high)! }));
}

/** What each place has read since a day, by place and day number. */
export async function readingsSince(
	db: Queryable,
	gardenId: string,
	from: string
): Promise<Map<string, Map<number, { low: number; high: number }>>> {
	const { rows } = await db.query<{ place_id: string; day: string; low: number; high: number }>(
		'SELECT place_id, day, low, high FROM reading_day WHERE garden_id = $1 AND day >= $2',
		[gardenId, from]
	);
	const places = new Map<string, Map<number, { low: number; high: number }>>();
	for (const r of rows) {
		const days = places.get(r.place_id) ?? new Map<number, { low: number; high: number }>();
		days.set(dayNumber(r.day), { low: r.low, high: r.high });
		places.set(r.place_id, days);
	}
	return places;
}
